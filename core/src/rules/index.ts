export * from './aliases';
export * from './person';
export * from './roster';
export * from './rows';
export * from './transmit';
