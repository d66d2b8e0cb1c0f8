export * from './astray';
export * from './slips';
