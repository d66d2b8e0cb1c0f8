export * from './job';
export { scheduleBench } from './schedule';
