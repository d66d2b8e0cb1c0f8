export * from './limit';
