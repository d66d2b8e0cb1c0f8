export * from './cover';
export * from './verify';
