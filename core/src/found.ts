import type { Service } from './facts/index';
import { type Channel, type Description, type DirectoryEntry, kindOf, type Plan } from './model/index';
import { scanOf } from './procedure/index';
import { loadedWith } from './scanned';

/** What a frequency may be that a search stopped at: which side of it, and how far beside it lies, in hertz. */
export type FindMatch = {
  readonly side: 'output' | 'input';
  readonly offHz: number;
} & (
  | { readonly is: 'channel'; readonly name: string; readonly kind: ReturnType<typeof kindOf> }
  | { readonly is: 'service'; readonly service: string; readonly name: string; readonly number: string }
  | {
      readonly is: 'directory';
      readonly title: string;
      readonly source: string;
      readonly status: DirectoryEntry['status'];
    }
);

/** A search goes on in steps and may stop at the one beside: no service’s channels lie nearer to each other than twice this, in hertz (6.25 kHz; ITU-R SM.1540 calls it ultra-narrow, from memory). */
const BESIDE_HZ = 3125;

/** Looks a frequency up in the plan, the published services and what directories said, what lies nearest first and the plan before all. */
export function matchesOf(
  hz: number,
  channels: readonly Channel[],
  services: readonly Service[],
  entries: readonly { readonly entry: DirectoryEntry; readonly source: string }[],
): FindMatch[] {
  const near = (other: number | null): number | null =>
    other !== null && Math.abs(hz - other) <= BESIDE_HZ ? hz - other : null;
  /** The sides of a pair that it may be; of one frequency for both that is one. */
  const sides = (outputHz: number, inputHz: number | null) => {
    const [out, into] = [near(outputHz), near(inputHz)];
    return [
      ...(out === null ? [] : [{ side: 'output' as const, offHz: out }]),
      ...(into === null || inputHz === outputHz ? [] : [{ side: 'input' as const, offHz: into }]),
    ];
  };
  const found: FindMatch[] = [
    ...channels.flatMap((channel) =>
      sides(channel.receiveHz, channel.transmitHz).map((side) => ({
        is: 'channel' as const,
        name: channel.name,
        kind: kindOf(channel),
        ...side,
      })),
    ),
    ...services.flatMap(({ title, channels: rows }) =>
      rows.flatMap(({ name, number, receiveHz, transmitHz }) =>
        sides(receiveHz, transmitHz).map((side) => ({
          is: 'service' as const,
          service: title,
          name,
          number,
          ...side,
        })),
      ),
    ),
    ...entries.flatMap(({ entry: { title, outputHz, inputHz, status }, source }) =>
      sides(outputHz, inputHz).map((side) => ({ is: 'directory' as const, title, source, status, ...side })),
    ),
  ];
  const order = ['channel', 'service', 'directory'];
  return found.toSorted(
    (a, b) => Math.abs(a.offHz) - Math.abs(b.offHz) || order.indexOf(a.is) - order.indexOf(b.is),
  );
}

/** The line by which a find becomes a channel that is listened to: named by what it may be, else by what was heard. */
export function lineOfFind(
  { receiveHz, heard }: { readonly receiveHz: number; readonly heard: string },
  matches: readonly FindMatch[],
  mhz: string,
): string {
  const exact = matches.find(({ offHz, side, is }) => offHz === 0 && side === 'output' && is !== 'channel');
  const title = exact?.is === 'service' ? exact.name : exact?.is === 'directory' ? exact.title : '';
  const said = (title || heard || `Found ${receiveHz}`).replace(/["]/g, '').trim();
  return `"${said.slice(0, 40).trim() || 'Found'}" ${mhz} listen`;
}

/** A place for a channel that a scan of this kind of set leaves out. */
export interface LeftOut {
  readonly channel: string;
  readonly kind: string;
  readonly label: string;
}

/** A kind of set that scans, once a plan is loaded. */
export interface ScanningKind {
  readonly title: string;
  readonly places: readonly {
    readonly channelId: string;
    readonly label: string;
    readonly isScanned: boolean;
  }[];
}

/** Where the channels of a plan stand on a kind of set that scans, and which of the places its scan comes by; `null` for one that does not scan. */
export function scanningKind(plan: Plan, description: Description): ScanningKind | null {
  if (typeof description.scan !== 'object') return null;
  const { fit, memory } = loadedWith(plan, description);
  const scanned = new Set(scanOf(description, memory).map(({ number }) => number));
  const places = fit.cells.flatMap(({ channelId, slot }) =>
    slot ? [{ channelId, label: slot.label, isScanned: scanned.has(slot.number) }] : [],
  );
  return { title: description.title, places };
}

/** Where a frequency stands in the plan's sets and is not scanned: a find that is moved there is not heard again. */
export function leftOutAt(
  { channels }: Pick<Plan, 'channels'>,
  kinds: readonly ScanningKind[],
  hz: number,
): LeftOut[] {
  const names = new Map(
    channels.flatMap(({ id, name, receiveHz }) => (receiveHz === hz ? [[id, name]] : [])),
  );
  return kinds.flatMap(({ title, places }) =>
    places.flatMap(({ channelId, label, isScanned }) => {
      const channel = names.get(channelId);
      return channel !== undefined && !isScanned ? [{ channel, kind: title, label }] : [];
    }),
  );
}
