export * from './alert';
export * from './during';
export * from './hears';
export * from './matrix';
export * from './repeater';
