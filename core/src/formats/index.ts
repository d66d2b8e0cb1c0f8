export * from './directory';
export * from './document';
export * from './freshIds';
export * from './mask';
export * from './memory';
