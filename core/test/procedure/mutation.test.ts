import { fitDevice, fitPlan } from '@umbrex/core/fit';
import type { Description } from '@umbrex/core/model';
import {
  CALM,
  firstDifference,
  type KeyEvent,
  replay,
  type SheetStep,
  VirtualDevice,
  writeSheet,
} from '@umbrex/core/procedure';
import { describe, expect, it } from 'vitest';
import { KEYED } from '../support/devices';
import { OSTREL } from '../support/plans';

/*
 * Drop, swap, delay or repeat any one step of a proven sheet: the memory must then differ in nearly every case. The ones that
 * survive must fall under one of the explanations below; an unexplained one fails the test.
 */

const NAMES = [
  'Gannet Top',
  'Ferry Landing',
  'Kelp Stairs',
  'Ridge path',
  'Shelter one',
  'Shelter two',
  'Boat crews',
  'Quarry',
  'Market day',
  'Island dispatch',
];
const SMALL = { ...OSTREL, channels: OSTREL.channels.filter((channel) => NAMES.includes(channel.name)) };
const DELAY_MS = 20_000;

type Step = Pick<SheetStep, 'events' | 'promises'>;
const bare = (steps: readonly SheetStep[]): Step[] =>
  steps.map(({ events }) => ({ events, promises: undefined }));
const pause: KeyEvent = { kind: 'wait', ms: DELAY_MS };

const MUTATIONS = {
  drop: (steps: Step[], i: number) => steps.filter((_, k) => k !== i),
  swap: (steps: Step[], i: number) =>
    steps.map((step, k) => (k === i ? steps[i + 1] : k === i + 1 ? steps[i] : step) as Step),
  delay: (steps: Step[], i: number) =>
    steps.map((step, k) => (k === i ? { ...step, events: [pause, ...step.events] } : step)),
  repeat: (steps: Step[], i: number) => steps.flatMap((step, k) => (k === i ? [step, step] : [step])),
} as const;
type Mutation = keyof typeof MUTATIONS;

/** What the device shows before each step of the right sheet, and whether a time-out is running there. */
function moments(
  description: Description,
  steps: readonly Step[],
): { windowMs: number | undefined; before: string; after: string }[] {
  const device = new VirtualDevice(description);
  return steps.map((step) => {
    const before = device.screen().join('/');
    const windowMs = device.windowMs();
    for (const event of step.events) {
      device.take(event);
      device.take({ kind: 'wait', ms: CALM.betweenKeysMs });
    }
    return { windowMs, before, after: device.screen().join('/') };
  });
}

/** Why a changed sheet still comes to the same memory, or nothing when there is no reason. */
function explanation(
  mutation: Mutation,
  i: number,
  steps: readonly Step[],
  at: ReturnType<typeof moments>,
): string | undefined {
  const step = steps[i];
  const moment = at[i];
  const next = steps[i + 1];
  const keys = (step?.events ?? []).map((event) => (event.kind === 'key' ? event.key : 'pause'));
  const leaves = keys.length === 1 && ['leave', 'no'].includes(keys[0] ?? '');
  if (mutation === 'delay' && moment?.windowMs === undefined)
    return 'no time-out runs there: waiting at rest is harmless';
  if (mutation === 'delay' && leaves)
    return 'the time-out leaves the list, and the leaving key does nothing at rest';
  if (i >= steps.length - 2)
    return 'all is stored by then: the last steps only leave the list, as the time-out would';
  if (mutation === 'drop' && moment?.before === moment?.after)
    return 'the set already stands where the step brings it';
  if (mutation !== 'repeat') return undefined;
  if (leaves) return 'leaving twice: at rest the key does nothing';
  if (keys.length === 1 && ['list', 'item'].includes(keys[0] ?? ''))
    return 'the key that opens the list does nothing in it';
  if (keys[0] === 'keep')
    return 'KEEP again opens the same item unchanged, and the next step types over it or leaves it';
  if (moment?.before === moment?.after) return 'the step comes to where it began';
  if (keys.every((key) => /^(d\d|hash|star)$/.test(key)))
    return 'typing the same whole number again comes to the same place';
  if (keys.at(-1) === 'yes' && JSON.stringify(step?.events) === JSON.stringify(next?.events))
    return 'one letter twice: the surplus step opens another item, and NO leaves it unchanged';
  if (
    keys.at(-1) === 'yes' &&
    keys.length > 1 &&
    JSON.stringify(step?.events) === JSON.stringify(steps[i - 1]?.events)
  )
    return 'one letter twice: the surplus step opens another item, and NO leaves it unchanged';
  return undefined;
}

describe.each(KEYED.map((description) => [description.id, description] as const))('%s', (_, description) => {
  const image = fitPlan(SMALL, fitDevice(description)).image;
  const steps = bare(writeSheet(description, image).steps);
  const at = moments(description, steps);
  const differs = (changed: Step[]) =>
    firstDifference(description, image, replay(description, changed, CALM).memory) !== null;

  it('the right sheet comes to the image', () => expect(differs(steps)).toBe(false));

  it('changed sheets break the proof, and each survivor has its explanation', () => {
    const broken = { drop: 0, swap: 0, delay: 0, repeat: 0 };
    const survived = { drop: 0, swap: 0, delay: 0, repeat: 0 };
    let harmlessWaits = 0;
    const unexplained: string[] = [];
    for (const mutation of Object.keys(MUTATIONS) as Mutation[])
      for (let i = 0; i < steps.length - (mutation === 'swap' ? 1 : 0); i++) {
        const changed = MUTATIONS[mutation](steps, i);
        if (JSON.stringify(changed) === JSON.stringify(steps)) continue; // two like steps swapped: the same sheet
        if (differs(changed)) {
          broken[mutation]++;
          continue;
        }
        const why = explanation(mutation, i, steps, at);
        if (why === undefined)
          unexplained.push(`${mutation} step ${i + 1}: ${JSON.stringify(steps[i]?.events)}`);
        else if (why.startsWith('no time-out')) harmlessWaits++;
        else survived[mutation]++;
      }
    expect(unexplained).toEqual([]);
    const share = (mutation: Mutation) => broken[mutation] / (broken[mutation] + survived[mutation]);
    const figures = JSON.stringify({ broken, survived, harmlessWaits });
    // Steps that name a whole number or keep a value bear being done twice by design, so `repeat` breaks less
    // (seen: 0.40 on the page hand-held, where nearly every step types a whole number or keeps a value).
    for (const mutation of ['drop', 'swap', 'delay'] as const)
      expect(share(mutation), figures).toBeGreaterThan(0.85);
    expect(share('repeat'), figures).toBeGreaterThan(0.35);
  });
});
