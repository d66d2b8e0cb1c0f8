import { type BenchDay, BenchDaySchema } from '@umbrex/core/model';
import { clockText, minutesOfClock } from '../../messages/bench';
import { type Faults, faultsOf } from '../../ui/faults';

const DAY_MIN = 1440;

/** What a bench day begins with, as it stands in its form: times and numbers as they are typed. */
export interface BenchTexts {
  readonly name: string;
  readonly day: string;
  readonly from: string;
  readonly to: string;
  readonly stands: string;
  readonly standMin: string;
  readonly people: readonly { readonly id: string; readonly comes: string; readonly goes: string }[];
  readonly setIds: readonly string[];
  readonly masterIds: readonly string[];
}

/** A day as its form begins. */
export function textsOf(day: BenchDay): BenchTexts {
  const clock = (minutes: number) => clockText(day.beginsMin + minutes);
  return {
    name: day.name,
    day: day.day,
    from: clock(0),
    to: clock(day.lastsMin),
    stands: String(day.stands),
    standMin: String(day.standMin),
    people: day.people.map(({ id, fromMin, toMin }) => ({ id, comes: clock(fromMin), goes: clock(toMin) })),
    setIds: day.setIds,
    masterIds: day.masterIds,
  };
}

/** The hours of a day moved: whoever came with its beginning, or stayed to its end, still does. */
export function movedTo(
  texts: BenchTexts,
  hours: { readonly from?: string; readonly to?: string },
): BenchTexts {
  const { from = texts.from, to = texts.to } = hours;
  return {
    ...texts,
    from,
    to,
    people: texts.people.map((one) => ({
      ...one,
      comes: one.comes === texts.from ? from : one.comes,
      goes: one.goes === texts.to ? to : one.goes,
    })),
  };
}

/** Whether a day goes on past midnight, as its form stands. */
export function isOvernight({ from, to }: Pick<BenchTexts, 'from' | 'to'>): boolean {
  const [begins, ends] = [minutesOfClock(from), minutesOfClock(to)];
  return begins !== undefined && ends !== undefined && ends < begins;
}

const WORDS: Faults = {
  name: 'Give it a name.',
  day: 'Give the day.',
  beginsMin: 'Give a time, as 09:00.',
  lastsMin: 'Give a time at least ten minutes after it begins.',
  stands: 'A number from 0 to 20.',
  standMin: 'Minutes, from 1 to 240.',
  setIds: 'At most 300 sets on a day.',
  masterIds: 'At most 40 sets to copy from.',
  people: 'At most 100 people.',
};
const number = (text: string) => (/^\d+$/.test(text.trim()) ? Number(text) : Number.NaN);

/** Reads the form of a bench day; nothing in it is taken for something else than what is typed. Times are those of its clocks, past midnight those of the day after. */
export function readBench(
  texts: BenchTexts,
  day: BenchDay,
): { readonly day: BenchDay; readonly faults: null } | { readonly day: null; readonly faults: Faults } {
  const begins = minutesOfClock(texts.from);
  /** Minutes since it begins. */
  const since = (text: string): number => {
    const minutes = minutesOfClock(text);
    return begins === undefined || minutes === undefined
      ? Number.NaN
      : (minutes - begins + DAY_MIN) % DAY_MIN;
  };
  const lastsMin = since(texts.to);
  const read = BenchDaySchema.safeParse({
    ...day,
    name: texts.name,
    day: texts.day,
    beginsMin: begins ?? Number.NaN,
    lastsMin,
    stands: number(texts.stands),
    standMin: number(texts.standMin),
    people: texts.people.map(({ id, comes, goes }) => ({ id, fromMin: since(comes), toMin: since(goes) })),
    setIds: texts.setIds,
    masterIds: texts.masterIds,
  });
  const within = `Give a time from ${texts.from} to ${texts.to}.`;
  const words = { ...WORDS, 'people.fromMin': within, 'people.toMin': within };
  const faults: Record<string, string> = { ...(read.success ? {} : faultsOf(read.error, words)) };
  // Where the hours of the day itself are wrong, those of its people cannot be told.
  const hasHours = faults.beginsMin === undefined && faults.lastsMin === undefined;
  for (const [i, { comes, goes }] of texts.people.entries()) {
    const [fromAt, toAt] = [`people.${i}.fromMin`, `people.${i}.toMin`];
    if (!hasHours) {
      delete faults[fromAt];
      delete faults[toAt];
      continue;
    }
    if (since(comes) >= lastsMin) faults[fromAt] ??= within;
    else if (since(goes) > lastsMin) faults[toAt] ??= within;
    else if (since(goes) <= since(comes)) faults[toAt] ??= 'Give a time after they come.';
  }
  return read.success && Object.keys(faults).length === 0
    ? { day: read.data, faults: null }
    : { day: null, faults };
}
