import { MOST_CHECK_INS, type Net } from '../model/index';

/** The check-ins of the list of now. */
export function checkedIn({ checkIns, listFrom }: Pick<Net, 'checkIns' | 'listFrom'>): Net['checkIns'] {
  return listFrom === null ? checkIns : checkIns.filter(({ at }) => Date.parse(at) >= Date.parse(listFrom));
}

/**
 * A net once somebody checked in: heard by whoever leads it now, on its channel of now. It stands in the list of now, also where the clock
 * of whoever began that list is ahead. @param nowMs in milliseconds of UTC
 */
export function withCheckIn(net: Net, { who, note }: { who: string; note: string }, nowMs: number): Net {
  const { checkIns, leader: heardBy, channelId, listFrom } = net;
  const at = new Date(Math.max(nowMs, listFrom === null ? 0 : Date.parse(listFrom))).toISOString();
  return { ...net, checkIns: [...checkIns, { who, at, note, heardBy, channelId }].slice(-MOST_CHECK_INS) };
}

/** A net with a new, empty list of check-ins; what was heard stays on record. @param nowMs in milliseconds of UTC */
export function withNewList(net: Net, nowMs: number): Net {
  const after = net.checkIns.map(({ at }) => Date.parse(at) + 1);
  return { ...net, listFrom: new Date(Math.max(nowMs, ...after)).toISOString() };
}
