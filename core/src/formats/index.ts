export * from './document';
export * from './freshIds';
