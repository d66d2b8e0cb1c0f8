export * from './alertEvents';
export * from './countries';
export * from './search';
export * from './services/index';
export * from './tones/consumerCodes';
export * from './tones/ctcss';
export * from './tones/dcs';
