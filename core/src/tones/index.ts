export * from './opens';
