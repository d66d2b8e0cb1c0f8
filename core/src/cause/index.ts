export * from './rank';
export * from './table';
