export * from './card';
export * from './events';
export * from './places';
export * from './proof';
export * from './readBack';
export * from './sheet';
export * from './turns';
export * from './virtual';
