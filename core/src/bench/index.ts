export * from './job';
export * from './resume';
export { scheduleBench } from './schedule';
