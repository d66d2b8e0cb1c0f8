export * from './diff';
export * from './held';
export * from './known';
export * from './random';
