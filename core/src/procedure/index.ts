export * from './card';
export * from './decode';
export * from './events';
export * from './proof';
export * from './readBack';
export * from './sheet';
export * from './turns';
export * from './virtual';
