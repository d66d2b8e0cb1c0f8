import { hzTextFromTenths } from '../../units';
import { CTCSS_CONSUMER_TENTHS_HZ } from './ctcss';
import { DCS_CONSUMER } from './dcs';

/**
 * What the code numbers of many consumer devices stand for: 0 off, 1-38 CTCSS, 39-121 DCS, as canonical tone texts.
 * Common practice with no published source, and only a label: each model has a table of its own, so this list serves
 * for questions, never as an answer.
 */
export const CONSUMER_CODE_TONES: readonly string[] = [
  'off',
  ...CTCSS_CONSUMER_TENTHS_HZ.map(hzTextFromTenths),
  ...DCS_CONSUMER.map((code) => `D${code}N`),
];
