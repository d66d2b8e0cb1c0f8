export * from './calendar';
