export * from './calls';
export * from './compare';
export * from './draft';
export type { LineKnown } from './items';
export * from './known';
export * from './line';
export * from './pairs';
export * from './said';
export * from './who';
