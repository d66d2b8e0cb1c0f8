export * from './alert';
export * from './during';
export * from './hears';
export * from './matrix';
export * from './meeting';
export * from './notes';
export * from './repeater';
export * from './said';
