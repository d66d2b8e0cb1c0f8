export * from './board';
export * from './device';
export * from './fit';
export type { Verdict } from './judge';
export * from './names';
