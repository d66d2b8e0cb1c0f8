export * from './person';
export * from './rows';
export * from './transmit';
