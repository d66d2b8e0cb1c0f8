import type { Finding } from '../findings/index';
import {
  type Description,
  digitsOf,
  type FrequencyEntry,
  type ListItem,
  leastApartHz,
  type Recording,
  type Slot,
  slotsOf,
  writtenLists,
} from '../model/index';
import { hzFromMHzText, mhzText } from '../units/index';
import { type Press, readKeys } from './keyText';

/** A part of a recorded line, as it is meant: a key as it is, or something that depends on the place or the value. */
export type Piece =
  | { readonly kind: 'press'; readonly legend: string; readonly heldMs?: number }
  | { readonly kind: 'number'; readonly width: number }
  /** It goes on into the next bank only where that was seen. */
  | { readonly kind: 'slotWheel'; readonly legend: string; readonly crosses: boolean }
  | ({ readonly kind: 'frequency' } & FrequencyEntry)
  | { readonly kind: 'code'; readonly width: number }
  | { readonly kind: 'wheel'; readonly legend: string }
  | { readonly kind: 'name' }
  | { readonly kind: 'nameWheel'; readonly legend: string; readonly next: string };

/** A recorded line made out: what its keys mean, and what the set then showed. */
export interface MadeOut {
  readonly pieces: readonly Piece[];
  readonly shows: string;
}

/** What a task brings about: the place gone to, or a field from one value to another. */
export type Goal =
  | {
      readonly kind: 'place';
      readonly from: number;
      readonly to: number;
      readonly slots: readonly Slot[];
      /** Somebody went from one bank into another one in this way. */
      readonly crosses: boolean;
    }
  | { readonly kind: 'frequency'; readonly hz: number; readonly receive: Description['receive'] }
  | { readonly kind: 'value'; readonly list: readonly ListItem[]; readonly from: number; readonly to: number }
  | {
      readonly kind: 'name';
      readonly from: string;
      readonly text: string;
      /** How many letters the set has for it. */
      readonly length: number;
      readonly letters: ReadonlyMap<string, string>;
      /** The characters of the wheel on which it is set, where there is one. */
      readonly wheel: string | undefined;
    };

/** The steps of frequency that a keypad types, in hertz, the usual ones first (common practice). */
const UNITS_HZ = [100, 1000, 10, 10_000];

/** Makes the lines of a task out. The line that spells the goal stands for every such goal; all others are pressed as they are. */
export function makeOut(
  steps: Recording['place'],
  goal: Goal,
  path: string,
): { lines: MadeOut[]; findings: Finding[] } {
  const findings: Finding[] = [];
  const read = steps.map(({ keys, shows }, i) => {
    const presses = readKeys(keys);
    if (!presses) findings.push({ code: 'record-keys', severity: 'error', path: `${path}/${i}/keys`, keys });
    return { presses: presses ?? [], shows, meant: presses ? meaning(presses, goal) : undefined };
  });
  const could = read.filter(({ meant }) => meant !== undefined);
  // One press may be one step of any wheel: what is typed, or shows the goal afterwards, is it.
  const told = could.filter(({ shows }) => shows.includes(goalText(goal)));
  const typed = could.filter(({ meant }) => meant?.kind !== 'wheel' && meant?.kind !== 'slotWheel');
  const it = typed[0] ?? told[0] ?? (could.length === 1 ? could[0] : undefined);
  if (!it && findings.length === 0)
    findings.push({
      code: could.length === 0 ? 'record-not-spelled' : 'record-ambiguous',
      severity: 'error',
      path,
      goal: goalText(goal),
    });
  const lines = read.map(
    (line): MadeOut => ({
      pieces: line === it && line.meant ? [line.meant] : asPressed(line.presses),
      shows: line.shows,
    }),
  );
  return { lines, findings };
}

function asPressed(presses: readonly Press[]): Piece[] {
  return presses.flatMap(({ legend, times, heldMs }) =>
    Array.from({ length: times }, () => ({
      kind: 'press' as const,
      legend,
      ...(heldMs !== undefined && { heldMs }),
    })),
  );
}

/** What a line of keys stands for, when it spells the goal. */
function meaning(presses: readonly Press[], goal: Goal): Piece | undefined {
  const typed = presses.every(
    ({ legend, times, heldMs }) => legend.length === 1 && times === 1 && heldMs === undefined,
  )
    ? presses.map(({ legend }) => legend).join('')
    : '';
  const [only, ...more] = presses;
  const wheel = only && more.length === 0 && only.heldMs === undefined ? only : undefined;
  switch (goal.kind) {
    case 'place': {
      if (typed !== '' && typed === String(goal.to).padStart(typed.length, '0'))
        return { kind: 'number', width: typed.length };
      const place = (number: number) => goal.slots.findIndex((slot) => slot.number === number);
      return wheel && turns(place(goal.from), place(goal.to), goal.slots.length) === wheel.times
        ? { kind: 'slotWheel', legend: wheel.legend, crosses: goal.crosses }
        : undefined;
    }
    case 'frequency': {
      const entry = typed.length > 3 ? entryOf(typed, goal) : undefined;
      return entry && { kind: 'frequency', ...entry };
    }
    case 'value': {
      const { list, from, to } = goal;
      if (typed !== '' && list[to]?.typed === typed && list.every((item) => item.typed !== undefined))
        return { kind: 'code', width: typed.length };
      return wheel && turns(from, to, list.length) === wheel.times
        ? { kind: 'wheel', legend: wheel.legend }
        : undefined;
    }
    case 'name':
      if (goal.wheel !== undefined) return wheelOf(goal, goal.wheel, presses);
      return tapsOf(goal) === presses.map(({ legend, times }) => `${legend}×${times}`).join(' ')
        ? { kind: 'name' }
        : undefined;
    default:
      return goal satisfies never;
  }
}

/** The rule by which figures stand for a frequency: whole, or as its beginning, where the set's steps leave one that begins so. */
function entryOf(
  typed: string,
  { hz, receive }: Extract<Goal, { kind: 'frequency' }>,
): FrequencyEntry | undefined {
  const whole = UNITS_HZ.map((unitHz): FrequencyEntry => ({ digits: typed.length, unitHz }));
  const begun = whole.flatMap((entry): FrequencyEntry[] =>
    receive !== 'unknown' && leastApartHz(receive) >= entry.unitHz ? [{ ...entry, completes: true }] : [],
  );
  return [...whole, ...begun].find((entry) => digitsOf(entry, receive, hz) === typed);
}

/** Steps forward from one place of a wheel to another. */
const turns = (from: number, to: number, count: number) => (((to - from) % count) + count) % count;

/** The keys that a name is tapped with, as they are read from a line. */
function tapsOf({ text, letters }: Extract<Goal, { kind: 'name' }>): string {
  return [...text]
    .map((char) => {
      const found = [...letters].find(([, row]) => row.includes(char));
      return found ? `${found[0]}×${found[1].indexOf(char) + 1}` : '?';
    })
    .join(' ');
}

/**
 * The two keys with which a name is set on a wheel: one turns a letter on, the other goes on to the next letter, and does so after each of
 * them, also after those that stay blank. `undefined` where the presses are not these.
 */
function wheelOf(
  { from, text, length }: Extract<Goal, { kind: 'name' }>,
  wheel: string,
  presses: readonly Press[],
): Piece | undefined {
  if (presses.some(({ heldMs }) => heldMs !== undefined)) return undefined;
  const done = presses.flatMap(({ legend, times }) => Array.from({ length: times }, () => legend)).join(' ');
  const [before, after] = [from.padEnd(length, ' '), text.padEnd(length, ' ')];
  const legends = [...new Set(presses.map(({ legend }) => legend))];
  for (const legend of legends)
    for (const next of legends) {
      if (legend === next) continue;
      const keys = [...after].flatMap((char, i) => {
        const [was, shall] = [wheel.indexOf(before[i] ?? ' '), wheel.indexOf(char)];
        if (was < 0 || shall < 0) return ['?'];
        return [...Array.from({ length: turns(was, shall, wheel.length) }, () => legend), next];
      });
      if (keys.join(' ') === done) return { kind: 'nameWheel', legend, next };
    }
  return undefined;
}

/** A goal as it is spelled: a number, a value in the set's words, a name; a frequency in MHz. */
export function goalText(goal: Goal): string {
  switch (goal.kind) {
    case 'place':
      return String(goal.to);
    case 'frequency':
      return mhzText(goal.hz);
    case 'value':
      return goal.list[goal.to]?.shown ?? '';
    case 'name':
      return goal.text;
    default:
      return goal satisfies never;
  }
}

/** What of a recording says what was to be brought about. */
export type Tasks = Pick<
  Recording,
  'startNumber' | 'number' | 'fields' | 'settings' | 'letters' | 'letterWheel' | 'again'
>;

/** The goals of a recording, each with where it stands; what the set has no such place, field or value for is a finding. */
export function goalsOf(
  description: Description,
  recording: Tasks,
): { place: Goal | null; fields: (Goal | null)[]; settings: (Goal | null)[]; findings: Finding[] } {
  const findings: Finding[] = [];
  const slots = slotsOf(description);
  const lists = writtenLists(description);
  for (const key of ['startNumber', 'number'] as const)
    if (!slots.some(({ number }) => number === recording[key]))
      findings.push({
        code: 'record-value',
        severity: 'error',
        path: `/${key}`,
        value: String(recording[key]),
      });
  const letters = new Map(recording.letters.map(({ key, letters: row }) => [key, row]));
  const bad = (path: string, value: string) => {
    findings.push({ code: 'record-value', severity: 'error', path, value });
    return null;
  };
  const twice = (path: string, id: string, isTwice: boolean) => {
    if (isTwice) findings.push({ code: 'duplicate-id', severity: 'error', path, id });
    return isTwice;
  };
  const value = (path: string, listId: string, from: string, to: string): Goal | null => {
    const list = lists[listId] ?? [];
    const find = (text: string) => list.findIndex(({ shown }) => shown.toLowerCase() === text.toLowerCase());
    if (find(to) < 0) return bad(`${path}/to`, to);
    if (find(from) < 0) return bad(`${path}/from`, from);
    return { kind: 'value', list, from: find(from), to: find(to) };
  };
  const fields = recording.fields.map(({ field: id, from, to }, i): Goal | null => {
    const path = `/fields/${i}`;
    const field = description.fields.find((candidate) => candidate.id === id);
    if (!field) return bad(`${path}/field`, id);
    if (twice(`${path}/field`, id, recording.fields.findIndex((other) => other.field === id) < i))
      return null;
    if (field.holds === 'name') {
      const length = typeof description.names === 'object' ? description.names.length : 0;
      if (to.length > length) return bad(`${path}/to`, to);
      return { kind: 'name', from, text: to, length, letters, wheel: recording.letterWheel };
    }
    if (field.list !== undefined) return value(path, field.list, from, to);
    const hz = hzFromMHzText(to);
    return hz === undefined ? bad(`${path}/to`, to) : { kind: 'frequency', hz, receive: description.receive };
  });
  const settings = recording.settings.map(({ setting: id, from, to }, i): Goal | null => {
    const path = `/settings/${i}`;
    const setting = description.settings.find((candidate) => candidate.id === id);
    if (!setting) return bad(`${path}/setting`, id);
    if (twice(`${path}/setting`, id, recording.settings.findIndex((other) => other.setting === id) < i))
      return null;
    return value(path, setting.list, from, to);
  });
  const bankOf = (number: number) => slots.find((slot) => slot.number === number)?.bank;
  const crosses = [recording, ...(recording.again?.place.length ? [recording.again] : [])].some(
    (done) => bankOf(done.startNumber) !== bankOf(done.number),
  );
  const place: Goal = {
    kind: 'place',
    from: recording.startNumber,
    to: recording.number,
    slots,
    crosses,
  };
  return {
    place: findings.some(({ path }) => path === '/number') ? null : place,
    fields,
    settings,
    findings,
  };
}
