export * from './job';
export * from './marked';
export * from './resume';
export { scheduleBench } from './schedule';
