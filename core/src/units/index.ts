export * from './alike';
export * from './distance';
export * from './frequency';
export * from './place';
export * from './tenths';
