export * from './aliases';
export * from './person';
export * from './rows';
export * from './sender';
export * from './transmit';
