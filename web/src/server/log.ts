import { pino } from 'pino';
import { getConfig } from './config';

/** The process's log: one JSON line an event, on standard output. */
export const log = pino({ level: getConfig().LOG_LEVEL, base: { app: 'umbrex' } });
