export * from './repeater';
