export * from './control';
export * from './geojson';
export * from './preconditions';
export * from './request';
export * from './view';
