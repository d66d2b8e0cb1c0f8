export * from './device';
export * from './fit';
export * from './fleet';
export type { Verdict } from './judge';
export * from './names';
