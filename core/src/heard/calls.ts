import type { Heard, Net } from '../model/index';
import { type Roster, setMeant } from './who';

/** A call of the log with the sets that were meant, whoever wrote it and wherever. */
export interface LoggedCall extends Omit<Heard, 'planId'> {
  /** Whether it stands in the log itself, or in the list of a net. */
  readonly source: 'log' | 'net';
  /** Of the sets: named themselves, or by the one who holds no other. */
  readonly fromBy: 'set' | 'holder';
  readonly toBy: 'set' | 'holder';
}

/** The calls of a log with the sets that are meant; where a set is not named its name is looked for among sets and holders. Newest first. */
export function loggedCalls(log: readonly Heard[], nets: readonly Net[], roster: Roster): LoggedCall[] {
  const there = new Set(roster.units.map(({ id }) => id));
  const meant = (said: string, id: string | null) => {
    // A set that is gone is nobody's: its calls stay in the log by the words.
    if (id !== null) return { id: there.has(id) ? id : null, by: 'set' as const };
    const { unitId, by } = setMeant(said, roster);
    return { id: unitId, by: by === 'only-set-held' ? ('holder' as const) : ('set' as const) };
  };
  const own = log.map(({ planId: _, ...call }): LoggedCall => {
    const [from, to] = [meant(call.from, call.fromId), meant(call.to, call.toId)];
    return { ...call, source: 'log', fromId: from.id, fromBy: from.by, toId: to.id, toBy: to.by };
  });
  const checkedIn = nets.flatMap(callsOfNet).map((call): LoggedCall => {
    const [from, to] = [meant(call.from, null), meant(call.to, null)];
    return { ...call, fromId: from.id, fromBy: from.by, toId: to.id, toBy: to.by };
  });
  return [...own, ...checkedIn].sort((a, b) => Date.parse(b.at) - Date.parse(a.at));
}

/** Whoever checked in to a net was heard by the one who led it then, on its channel of then; which way is not written there. A check-in without a channel or a leader says of no call. */
function callsOfNet({ id, name, checkIns }: Net): Omit<LoggedCall, 'fromBy' | 'toBy'>[] {
  const calls = checkIns.flatMap(({ channelId, ...checkIn }, i) =>
    channelId === null || checkIn.heardBy === '' ? [] : [{ ...checkIn, channelId, i }],
  );
  return calls.map(({ who, at, note, heardBy, channelId, i }) => ({
    id: `${id} ${i}`,
    at,
    channelId,
    way: 'unknown',
    from: who,
    fromId: null,
    to: heardBy,
    toId: null,
    heard: true,
    readability: 'unknown',
    strength: 'unknown',
    fromWhere: '',
    toWhere: '',
    settled: 'open',
    by: name,
    note,
    source: 'net',
  }));
}
