export * from './aliases';
export * from './person';
export * from './rows';
export * from './transmit';
