import { prepare } from '@umbrex/core/flow';
import {
  type Description,
  DescriptionSchema,
  type Recording,
  RecordingSchema,
  triedOn,
} from '@umbrex/core/model';
import { withRecordedSteps } from '@umbrex/core/record';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { shipped } from '../support/devices';
import { anyPlan, channel, plan } from '../support/plans';
import { runs } from '../support/runs';

const line = (keys: string, shows = '') => ({ keys, shows });

/** The zoned-in-banks hand-held as somebody has it who does not know its keys: three banks of ten, a tone for both ways, and a name. */
function unkeyed(more: Partial<Description> = {}): Description {
  const { behaviour: _b, recipes: _r, keyMap: _k, ...base } = shipped('page-handheld');
  return DescriptionSchema.parse({
    ...base,
    id: 'banked-test',
    keys: {},
    settings: [],
    lists: {
      tones: [
        { kind: 'items', items: [{ shown: 'OFF', means: 'off' }] },
        { kind: 'ctcss', tenthsHz: 'consumer-38', shown: '{hz}' },
      ],
    },
    fields: [
      { id: 'rx', title: 'Frequency', holds: 'receiveHz', factory: 0 },
      { id: 'tone', title: 'Tone', holds: 'bothTones', list: 'tones', factory: 0 },
      { id: 'title', title: 'Name', holds: 'name', factory: '' },
    ],
    names: { length: 4, characters: ' ABCDEFGHIJKLMNOPQRSTUVWXYZ' },
    operatorTone: 'none',
    scan: 'none',
    regions: [
      {
        id: 'own',
        title: 'Memories',
        first: 1,
        count: 30,
        size: 10,
        stride: 10,
        banks: ['A', 'B', 'C'],
        label: '{bank}{position}',
        content: { kind: 'free' },
        ways: [{ by: ['keys'], fields: ['rx', 'tone', 'title'] }],
      },
    ],
    ...more,
  } satisfies Partial<Record<keyof Description, unknown>>);
}

const WHEEL = ' ABCDEFGHIJKLMNOPQRSTUVWXYZ';
/** From rest to rest, on number 4 by three presses of NEXT; the name letter by letter on a wheel. */
const FIRST: Recording = RecordingSchema.parse({
  by: 'Signe Aldane',
  on: '2026-11-20',
  firmware: '1.06',
  startNumber: 1,
  number: 4,
  letterWheel: WHEEL,
  place: [line('NEXT x3', 'A4')],
  fields: [
    {
      field: 'rx',
      from: '',
      to: '462.6500',
      steps: [line('FREQ'), line('4626500', '4626500'), line('OK', 'A4')],
    },
    { field: 'tone', from: 'OFF', to: '71.9', steps: [line('TONE'), line('▲ x2', '71.9'), line('OK', 'A4')] },
    // From blanks: three letters, and a fourth that stays blank.
    {
      field: 'title',
      from: '',
      to: 'CAB',
      steps: [line('NAME'), line('▲ x3 ▶ ▲ ▶ ▲ x2 ▶ ▶', 'CAB'), line('OK', 'A4')],
    },
  ],
});
const AGAIN: NonNullable<Recording['again']> = {
  startNumber: 2,
  number: 7,
  place: [line('NEXT x5', 'A7')],
  settings: [],
  fields: [
    {
      field: 'rx',
      from: '462.5500',
      to: '467.5625',
      steps: [line('FREQ'), line('4675625', '4675625'), line('OK', 'A7')],
    },
    // A used place, and past the end of the wheel.
    {
      field: 'tone',
      from: '250.3',
      to: '67.0',
      steps: [line('TONE'), line('▲ x2', '67.0'), line('OK', 'A7')],
    },
    {
      field: 'title',
      from: 'CAB',
      to: 'DABB',
      steps: [line('NAME'), line('▲ ▶ ▶ ▶ ▲ x2 ▶', 'DABB'), line('OK', 'A7')],
    },
  ],
};
const learn = (recording: Recording, description = unkeyed()) => withRecordedSteps(description, recording);
const learnt = (recording: Recording, description = unkeyed()): Description => {
  const result = learn(recording, description);
  if (!result.ok) throw new Error(JSON.stringify(result.findings));
  return result.value;
};
const findings = (recording: Recording, description = unkeyed()) =>
  learn(recording, description).findings.map(({ code, path }) => [code, path]);

describe('a name that is set on a wheel, letter by letter', () => {
  it('is learnt from one name, and any other is written with it', () =>
    fc.assert(
      fc.property(anyPlan, (any) => {
        const own = learnt({ ...FIRST, opposite: [{ key: '▲', other: '▼' }] });
        const near = any.channels.slice(0, 10).map((one) => ({ ...one, trunk: null }));
        const { proof, fit } = prepare({ ...any, channels: near }, own);
        expect(proof.firstDifference).toBeNull();
        for (const { content } of fit.image.slots.values())
          if (content.kind === 'channel') expect(content.name?.length).toBeLessThanOrEqual(4);
      }),
      { numRuns: runs(60) },
    ));
  it('ends by itself after the last letter where it was seen to', () => {
    const ends = structuredClone(FIRST);
    ends.fields[2]?.steps.splice(1, 2, line('▲ x3 ▶ ▲ ▶ ▲ x2 ▶ ▶', 'A4'));
    const wanted = plan([channel('Kelp', 462.65, 462.65), channel('Ferry', 462.6, 462.6)]);
    expect(prepare(wanted, learnt(ends)).proof.firstDifference).toBeNull();
  });
  it.each([
    ['a letter too far', '▲ x4 ▶ ▲ ▶ ▲ x2 ▶ ▶'],
    ['not gone through to its end', '▲ x3 ▶ ▲ ▶ ▲ x2 ▶'],
    ['a letter that was held', '▲ x3 ▶ ▲ ▶ ▲ (2 s) ▶ ▶'],
  ])('%s is no such line', (_, keys) => {
    const wrong = structuredClone(FIRST);
    wrong.fields[2]?.steps.splice(1, 1, line(keys, 'CAB'));
    expect(findings(wrong)).toEqual([['record-not-spelled', '/fields/2/steps']]);
  });
  it('a name longer than the set has letters is none that it has', () => {
    const long = structuredClone(FIRST);
    Object.assign(long.fields[2] ?? {}, { to: 'CABIN' });
    expect(findings(long)).toEqual([['record-value', '/fields/2/to']]);
  });
});

describe('the same done once more', () => {
  it('must come out of what was learnt the first time', () => {
    const twice = { ...FIRST, again: AGAIN };
    expect(findings(twice)).toEqual([]);
    expect([triedOn(FIRST), triedOn(twice)]).toEqual([0, 4]);
    // Nothing is learnt from it: keys and steps are those of the first.
    const [once, both] = [learnt(FIRST), learnt(twice)];
    expect([both.behaviour, both.recipes]).toEqual([once.behaviour, once.recipes]);
  });
  const cases: readonly [string, (again: typeof AGAIN) => unknown, unknown][] = [
    [
      'another display',
      (a) => a.fields[1]?.steps.splice(1, 1, line('▲ x2', '69.3')),
      ['record-shows', '/again/fields/1/steps/1/shows'],
    ],
    [
      'another value in the end',
      (a) => a.fields[1]?.steps.splice(1, 1, line('▲ x3')),
      ['record-not-kept', '/again/fields/1/to'],
    ],
    [
      'another frequency',
      (a) => a.fields[0]?.steps.splice(1, 1, line('4675525')),
      ['record-not-kept', '/again/fields/0/to'],
    ],
    [
      'a key that was not there',
      (a) => a.fields[0]?.steps.splice(0, 1, line('MENU')),
      ['record-first-missing', '/again/fields/0/steps/0/keys'],
    ],
    [
      'another letter',
      (a) => a.fields[2]?.steps.splice(1, 1, line('▲ ▶ ▶ ▶ ▲ x3 ▶')),
      ['record-not-kept', '/again/fields/2/to'],
    ],
    ['another place', (a) => a.place.splice(0, 1, line('NEXT x4')), ['record-not-kept', '/again/place']],
    ['no way to the place', (a) => a.place.splice(0), ['record-not-spelled', '/again/place']],
    ['a place it has not', (a) => Object.assign(a, { number: 400 }), ['record-value', '/again/number']],
    [
      'a field it has not',
      (a) => Object.assign(a.fields[0] ?? {}, { field: 'colour' }),
      ['record-value', '/again/fields/0/field'],
    ],
    [
      'a value it has not',
      (a) => Object.assign(a.fields[1] ?? {}, { from: '70.0' }),
      ['record-value', '/again/fields/1/from'],
    ],
  ];
  it.each(cases)('%s is said at its line', (_, change, expected) => {
    const again = structuredClone(AGAIN);
    change(again);
    expect(findings({ ...FIRST, again })).toContainEqual(expected);
  });
  it('what was kept instead is said in the set’s own words', () => {
    const again = structuredClone(AGAIN);
    again.fields[1]?.steps.splice(1, 1, line('▲ x3'));
    again.fields[0]?.steps.splice(1, 1, line('4675525'));
    const found = learn({ ...FIRST, again }).findings.map((one) => ('found' in one ? one.found : ''));
    expect(found).toEqual(['467.5525', '71.9']);
  });
  it('what was not recorded the first time cannot be tried', () => {
    const once = { ...FIRST, fields: FIRST.fields.filter(({ field }) => field !== 'tone') };
    expect(findings({ ...once, again: AGAIN })).toEqual([['record-first-missing', '/again/fields/1/field']]);
  });
  it('what was done in the same way both times shows nothing new, and does not count', () => {
    const { startNumber, number, place, fields, settings } = FIRST;
    const same = { startNumber, number, place, fields, settings };
    expect(findings({ ...FIRST, again: same })).toEqual([]);
    expect(triedOn({ ...FIRST, again: same })).toBe(0);
    // One of its tasks with another value counts alone.
    const [rx, ...rest] = AGAIN.fields as [(typeof AGAIN.fields)[0], ...typeof AGAIN.fields];
    expect(rest).toHaveLength(2);
    expect(triedOn({ ...FIRST, again: { ...same, fields: [rx, ...fields.slice(1)] } })).toBe(1);
  });
  it('on the place that it stands on nothing leads there', () => {
    const here = { ...AGAIN, startNumber: 7, place: [] };
    expect(findings({ ...FIRST, again: here })).toEqual([]);
    expect(triedOn({ ...FIRST, again: here })).toBe(3);
  });
});

describe('what was not shown is not assumed', () => {
  const many = plan(
    Array.from({ length: 12 }, (_, i) => channel(`C${i}`, 462.5625 + 0.025 * i, null, { service: 'other' })),
  );
  it('a step of places is taken to stay in its bank: others are not reached', () => {
    const { proof, sheet } = prepare(many, learnt(FIRST));
    expect(proof.proven).toBe(false);
    expect(sheet.findings).toContainEqual({
      code: 'no-recipe',
      severity: 'error',
      field: 'Going to another bank',
    });
    expect(prepare({ ...many, channels: many.channels.slice(0, 10) }, learnt(FIRST)).proof.proven).toBe(true);
  });
  it('until somebody goes on into the next one, the first time or the second', () => {
    const across = {
      ...AGAIN,
      number: 13,
      fields: [],
      place: [line('NEXT x11', 'B3')],
    };
    expect(prepare(many, learnt({ ...FIRST, again: across })).proof.firstDifference).toBeNull();
    const first = { ...FIRST, number: 11, place: [line('NEXT x10', 'B1')], fields: [] };
    const { fields } = structuredClone(FIRST);
    for (const { steps } of fields) for (const step of steps) if (step.shows === 'A4') step.shows = 'B1';
    expect(prepare(many, learnt({ ...first, fields })).proof.firstDifference).toBeNull();
  });
});
