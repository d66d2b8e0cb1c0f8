export * from './assignment';
export * from './board';
export * from './device';
export * from './fit';
export type { Verdict } from './judge';
export * from './kinds';
export * from './names';
export * from './numbering';
export * from './pickedTone';
