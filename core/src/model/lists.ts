import { z } from 'zod';
import { CTCSS_CONSUMER_TENTHS_HZ, CTCSS_TENTHS_HZ, DCS_CODES, DCS_CONSUMER } from '../facts/index';
import { hzTextFromTenths, mhzText } from '../units/index';

const shown = z.string().min(1).max(16);
const typed = z.string().min(1).max(8).optional();
/** As many values as a list has at most, written as a range. */
const MOST_VALUES = 10_000;
const means = z.union([z.string(), z.number(), z.boolean()]);

/**
 * A stretch of a value list. `shown` and `typed` are templates: `{hz}` 82.5, `{tenths}` 0825, `{code}` 023, `{index}` the
 * place in the whole list counted from 0, `{index:2}` the same with two figures, `{nth}` counted from 1, `{n}` a number, `{n:3}` with
 * three figures, `{mhz}` a frequency as 462.5625.
 */
export const SegmentSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('items'),
    items: z.array(z.strictObject({ shown, typed, means })).min(1).max(500),
  }),
  /** Numbers one after another, such as those of the places in a set. */
  z.strictObject({
    kind: z.literal('numbers'),
    from: z.number().int().min(0).max(99_999),
    to: z.number().int().min(0).max(99_999),
    shown,
    typed,
  }),
  /** Frequencies one step after another, in hertz. */
  z
    .strictObject({
      kind: z.literal('range'),
      fromHz: z.number().int().min(-50_000_000).max(3_000_000_000),
      toHz: z.number().int().min(-50_000_000).max(3_000_000_000),
      stepHz: z.number().int().min(1).max(10_000_000),
      shown,
      typed,
    })
    .refine(({ fromHz, toHz, stepHz }) => toHz >= fromHz && (toHz - fromHz) / stepHz < MOST_VALUES, {
      error: `from the lowest to the highest, ${MOST_VALUES} values at most`,
    }),
  z.strictObject({
    kind: z.literal('ctcss'),
    tenthsHz: z.union([
      z.enum(['common-50', 'consumer-38']),
      z.array(z.number().int().min(600).max(2600)).min(1),
    ]),
    shown,
    typed,
  }),
  z.strictObject({
    kind: z.literal('dcs'),
    codes: z.union([z.enum(['common-104', 'consumer-83']), z.array(z.string().regex(/^[0-7]{3}$/)).min(1)]),
    polarity: z.enum(['N', 'I']),
    shown,
    typed,
  }),
]);

/** The values a setting can take, in the order the device has them. */
export const ListSchema = z.array(SegmentSchema).min(1);
export type List = z.infer<typeof ListSchema>;

/** One value of a list: what the device shows, what is typed for it where it takes digits, and what it means. */
export interface ListItem {
  readonly shown: string;
  readonly typed: string | undefined;
  readonly means: string | number | boolean;
}

const CTCSS_SETS = { 'common-50': CTCSS_TENTHS_HZ, 'consumer-38': CTCSS_CONSUMER_TENTHS_HZ } as const;
const DCS_SETS = { 'common-104': DCS_CODES, 'consumer-83': DCS_CONSUMER } as const;

type Written = Readonly<Record<string, readonly ListItem[]>>;
/** Lists that were written out before: descriptions are never changed in place. */
const known = new WeakMap<object, Written>();

/** Every list of a description written out, by its id. */
export function writtenLists({ lists }: { readonly lists: Readonly<Record<string, List>> }): Written {
  const written =
    known.get(lists) ??
    Object.fromEntries(Object.entries(lists).map(([id, list]) => [id, listItems(list)] as const));
  known.set(lists, written);
  return written;
}

/** How many values a list has, without writing it out. */
export function valuesIn(list: List): number {
  return list.reduce((sum, segment) => {
    switch (segment.kind) {
      case 'items':
        return sum + segment.items.length;
      case 'numbers':
        return sum + Math.max(0, segment.to - segment.from + 1);
      case 'range':
        return sum + Math.floor((segment.toHz - segment.fromHz) / segment.stepHz) + 1;
      case 'ctcss':
        return (
          sum +
          (typeof segment.tenthsHz === 'string' ? CTCSS_SETS[segment.tenthsHz] : segment.tenthsHz).length
        );
      case 'dcs':
        return sum + (typeof segment.codes === 'string' ? DCS_SETS[segment.codes] : segment.codes).length;
      default:
        return segment satisfies never;
    }
  }, 0);
}

/** Writes a list out, value by value, in the device's order; tones mean their canonical text. */
export function listItems(list: List): ListItem[] {
  const out: ListItem[] = [];
  const add = (
    segment: { shown: string; typed?: string | undefined },
    marks: Record<string, string>,
    meaning: ListItem['means'],
  ) => {
    const fill = (text: string) =>
      text.replace(/\{(\w+)(?::(\d))?\}/g, (_, key: string, width?: string) => {
        const places: Record<string, string> = { index: String(out.length), nth: String(out.length + 1) };
        return (places[key] ?? marks[key] ?? '').padStart(Number(width ?? 0), '0');
      });
    out.push({
      shown: fill(segment.shown),
      typed: segment.typed === undefined ? undefined : fill(segment.typed),
      means: meaning,
    });
  };
  for (const segment of list) {
    switch (segment.kind) {
      case 'items':
        for (const item of segment.items) add(item, {}, item.means);
        break;
      case 'numbers':
        for (let n = segment.from; n <= segment.to; n++) add(segment, { n: String(n) }, n);
        break;
      case 'range':
        for (let hz = segment.fromHz; hz <= segment.toHz; hz += segment.stepHz)
          add(segment, { mhz: hz < 0 ? `-${mhzText(-hz)}` : mhzText(hz) }, hz);
        break;
      case 'ctcss':
        for (const tenths of typeof segment.tenthsHz === 'string'
          ? CTCSS_SETS[segment.tenthsHz]
          : segment.tenthsHz) {
          const hz = hzTextFromTenths(tenths);
          add(segment, { hz, tenths: String(tenths).padStart(4, '0') }, hz);
        }
        break;
      case 'dcs':
        for (const code of typeof segment.codes === 'string' ? DCS_SETS[segment.codes] : segment.codes)
          add(segment, { code }, `D${code}${segment.polarity}`);
        break;
      default:
        segment satisfies never;
    }
  }
  return out;
}

/** Where values stand in lists, by what they mean: lists that were written out are never changed. */
const standing = new WeakMap<readonly ListItem[], Map<ListItem['means'], number>>();

/** The first place of a list whose value means this, counted from 0; -1 where there is none. */
export function placeOf(list: readonly ListItem[], means: ListItem['means']): number {
  let places = standing.get(list);
  if (!places) {
    places = new Map();
    for (const [at, item] of list.entries()) if (!places.has(item.means)) places.set(item.means, at);
    standing.set(list, places);
  }
  return places.get(means) ?? -1;
}
