import type { Station } from '../model/index';
import { mhzText } from '../units/index';
import { factOf } from './view';

/** What a request to use a repeater tells its owner: frequencies, who asks, how many, for what, until when. */
export interface RequestParts {
  readonly station: string;
  readonly outputMHz: string | null;
  readonly inputMHz: string | null;
  readonly group: string;
  readonly asks: string;
  readonly people: number;
}

/** Gathers the parts of a request; the sentences stand with the other words. */
export function requestParts(station: Station, group: string, asks: string, people: number): RequestParts {
  const outputHz = factOf(station, 'outputHz');
  const inputHz = factOf(station, 'inputHz');
  return {
    station: station.name,
    outputMHz: outputHz === undefined ? null : mhzText(outputHz),
    inputMHz: inputHz === undefined ? null : mhzText(inputHz),
    group,
    asks,
    people,
  };
}
