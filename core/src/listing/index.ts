export * from './line';
export { readTone, type ToneReading } from './tone';
