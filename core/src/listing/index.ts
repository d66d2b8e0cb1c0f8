export * from './line';
export * from './paste';
export { readTone, type ToneReading } from './tone';
