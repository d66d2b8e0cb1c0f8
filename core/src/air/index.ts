export * from './alert';
export * from './hears';
export * from './repeater';
