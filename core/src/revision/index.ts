export * from './diff';
