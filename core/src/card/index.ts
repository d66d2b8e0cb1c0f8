export * from './card';
export * from './instead';
export * from './reach';
export * from './screen';
export * from './steps';
