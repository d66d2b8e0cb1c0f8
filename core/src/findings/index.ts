export * from './air';
export * from './finding';
export * from './question';
export * from './result';
