export * from './directory';
export * from './line';
export * from './paste';
export * from './setPlaces';
export * from './starterSets';
export { readTone, type ToneReading } from './tone';
