export * from './finding';
export * from './question';
export * from './result';
