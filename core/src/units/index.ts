export * from './frequency';
export * from './tenths';
