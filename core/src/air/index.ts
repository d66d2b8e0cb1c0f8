export * from './alert';
export * from './repeater';
