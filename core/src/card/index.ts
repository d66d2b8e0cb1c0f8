export * from './card';
export * from './reach';
export * from './screen';
export * from './steps';
export * from './instead';
