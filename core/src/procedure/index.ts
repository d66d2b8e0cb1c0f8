export * from './decode';
export * from './events';
export * from './proof';
export * from './sheet';
export * from './turns';
export * from './virtual';
