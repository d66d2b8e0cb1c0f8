export * from './build';
export * from './keyText';
