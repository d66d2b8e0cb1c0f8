export * from './changes';
export * from './field';
export { numbersOfCell, numbersText, readNumbers } from './numbers';
export { licenceText } from './people';
export * from './table';
export * from './things';
