export * from './columns';
export * from './numbers';
export * from './read';
export * from './write';
