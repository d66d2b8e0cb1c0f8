export * from './advise';
export * from './onDevice';
export * from './opens';
