export * from './interview';
export * from './questions';
