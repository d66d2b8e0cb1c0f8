export * from './record';
export * from './timeline';
