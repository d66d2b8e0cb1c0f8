import { prepare } from '@umbrex/core/flow';
import { firstDifference } from '@umbrex/core/memory';
import { type Description, DescriptionSchema, type Recording, RecordingSchema } from '@umbrex/core/model';
import { CALM, replay, VirtualDevice } from '@umbrex/core/procedure';
import { linesText, readKeys, readLines, withRecordedSteps } from '@umbrex/core/record';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { shipped } from '../support/devices';
import { memoryAfter } from '../support/memory';
import { anyPlan, channel, plan } from '../support/plans';

/** The page hand-held as somebody has it who knows what it holds, but not its keys. */
const PAGE = shipped('page-handheld');
function unkeyed(settings: Description['settings'] = []): Description {
  const { behaviour: _b, recipes: _r, keyMap: _k, ...rest } = PAGE;
  return DescriptionSchema.parse({ ...rest, keys: {}, settings });
}

const line = (keys: string, shows = '') => ({ keys, shows });
const item = (code: string, shows: string, ...lines: ReturnType<typeof line>[]) => [
  line('LIST', '21 RX FREQ'),
  line(code, shows),
  line('KEEP', shows),
  ...lines,
  line('KEEP', shows),
  line('LEAVE', '045'),
];
/** What is seen on the set itself, each task from rest to rest. */
const RECORDED: Recording = RecordingSchema.parse({
  by: 'Signe Aldane',
  on: '2026-11-20',
  firmware: '1.06',
  startNumber: 1,
  number: 45,
  letters: [
    ['1', '1-/'],
    ['2', 'ABC2'],
    ['3', 'DEF3'],
    ['4', 'GHI4'],
    ['5', 'JKL5'],
    ['6', 'MNO6'],
    ['7', 'PQRS7'],
    ['8', 'TUV8'],
    ['9', 'WXYZ9'],
    ['0', ' 0'],
  ].map(([key, letters]) => ({ key, letters })),
  place: [line('045', '045  M45')],
  fields: [
    { field: 'rx', from: '', to: '462.6500', steps: item('21', '21 RX FREQ', line('4626500', '4626500')) },
    { field: 'shift', from: 'OFF', to: '+5.000', steps: item('22', '22 SHIFT', line('▲', '+5.000')) },
    { field: 'txTone', from: 'OFF', to: '82.5', steps: item('23', '23 TX TONE', line('0825', '82.5')) },
    { field: 'rxTone', from: 'OFF', to: 'D023N', steps: item('24', '24 RX TONE', line('# 023', 'D023N')) },
    { field: 'power', from: 'HIGH', to: 'LOW', steps: item('25', '25 POWER', line('▲', 'LOW')) },
    { field: 'width', from: 'WIDE', to: 'NARROW', steps: item('26', '26 WIDTH', line('▲', 'NARROW')) },
    { field: 'noTalk', from: 'OFF', to: 'ON', steps: item('27', '27 NO TALK', line('▲', 'ON')) },
    { field: 'title', from: '', to: 'KELP', steps: item('28', '28 TITLE', line('5 x2 3 x2 5 x3 7', 'KELP')) },
  ],
});

const built = (recording: Recording = RECORDED, settings: Description['settings'] = []): Description => {
  const result = withRecordedSteps(unkeyed(settings), recording);
  if (!result.ok) throw new Error(JSON.stringify(result.findings));
  return result.value;
};
/** Does the steps of a learnt sheet on the set that they were learnt from, key by legend. */
function onPage(learnt: Description, { steps }: ReturnType<typeof prepare>['sheet']) {
  const keyOf = new Map(Object.entries(PAGE.keys).map(([id, legend]) => [legend, id]));
  const own = (key: string) => keyOf.get(learnt.keys[key] ?? '') ?? '';
  return replay(
    PAGE,
    steps.map(({ runs, promises }) => ({
      promises,
      runs: runs.map((run) =>
        run.do === 'press' || run.do === 'until' ? { ...run, key: own(run.key) } : run,
      ),
    })),
    CALM,
  );
}
/** What comes of a plan's sheet there, compared with what it should be. */
function onTheSetItself(anything: ReturnType<typeof plan>, learnt: Description) {
  const { fit, sheet, proof } = prepare(anything, learnt);
  const done = onPage(learnt, sheet);
  const { settings: _, ...memory } = done.memory;
  return {
    proof,
    steps: sheet.steps.length,
    difference: firstDifference(unkeyed(), memoryAfter(unkeyed(), fit.image), { ...memory, settings: {} }),
    brokenPromise: done.brokenPromise,
  };
}

describe('keys as people write them', () => {
  it.each([
    ['LIST', [{ legend: 'LIST', times: 1 }]],
    ['045', ['0', '4', '5'].map((legend) => ({ legend, times: 1 }))],
    [
      '▲ x12 OK',
      [
        { legend: '▲', times: 12 },
        { legend: 'OK', times: 1 },
      ],
    ],
    ['▲ ×3', [{ legend: '▲', times: 3 }]],
    ['LIST (2 s)', [{ legend: 'LIST', times: 1, heldMs: 2000 }]],
    [
      'LIST (1.5s) 7',
      [
        { legend: 'LIST', times: 1, heldMs: 1500 },
        { legend: '7', times: 1 },
      ],
    ],
  ])('%s', (text, presses) => expect(readKeys(text)).toEqual(presses));
  it.each(['', 'x3', '(2 s)', '▲ x0', 'LIST (99 s)', 'NINELETTERS'])('“%s” is no keys', (text) =>
    expect(readKeys(text)).toBeNull(),
  );
});

describe('the lines of a task', () => {
  it('are keys and what is then seen, one a line, and written back the same', () => {
    const text = 'LIST -> 21 RX FREQ\n045\n▲ x3 -> 82.5';
    expect(readLines(`\n ${text.replace('->', '→')} \n\n`)).toEqual([
      { keys: 'LIST', shows: '21 RX FREQ' },
      { keys: '045', shows: '' },
      { keys: '▲ x3', shows: '82.5' },
    ]);
    expect(linesText(readLines(text))).toBe(text);
  });
});

describe('a grammar learnt from one recording', () => {
  it('gives sheets that prove, on itself and on the very set that was recorded', () => {
    const kelp = plan([
      channel('Kelp', 462.65, 467.65, { transmitTone: '131.8', receiveTone: 'D606N' }),
      channel('Ferry', 462.65, 467.65, { transmitTone: '82.5', receiveTone: '82.5' }),
      channel('Harbour works', 156.9, null, { service: 'other', receiveTone: '100.0' }),
    ]);
    const { proof, difference, brokenPromise, steps } = onTheSetItself(kelp, built());
    expect([proof.firstDifference, difference, brokenPromise]).toEqual([null, null, null]);
    expect(steps).toBeGreaterThan(40);
  });
  it('does so for any plan', () =>
    fc.assert(
      fc.property(anyPlan, (anything) => {
        const { difference, brokenPromise } = onTheSetItself(anything, built());
        expect([difference, brokenPromise]).toEqual([null, null]);
      }),
      { numRuns: 25 },
    ));
  it('is a description like any other: written, read, and the same', () => {
    const learnt = built();
    expect(DescriptionSchema.parse(JSON.parse(JSON.stringify(learnt)))).toEqual(learnt);
    expect(learnt.recipes?.hazards.at(-1)).toContain('recorded once, by Signe Aldane on 2026-11-20');
  });
  it('goes by wheel to a place and to values where keys were turned, the way round that was recorded', () => {
    const wheels = structuredClone(RECORDED);
    wheels.place = [line('▲ x44', '045')];
    wheels.fields = wheels.fields.filter(({ field }) => ['rx', 'rxTone', 'noTalk', 'title'].includes(field));
    // D023N stands after OFF and the 50 CTCSS tones.
    wheels.fields[1] = {
      field: 'rxTone',
      from: 'OFF',
      to: 'D023N',
      steps: item('24', '24 RX TONE', line('▲ x51', 'D023N')),
    };
    const heard = plan([channel('Club', 150.5, null, { service: 'other', receiveTone: 'D025N' })]);
    const { difference } = onTheSetItself(heard, built(wheels));
    expect(difference).toBeNull();
  });
  it('presses what is nowhere spelled as it was, and holds what was held', () => {
    const held = structuredClone(RECORDED);
    held.place = [line('LIST (2 s)', 'KEYS LOCKED'), line('LIST (2 s)', '001'), line('045', '045  M45')];
    const device = new VirtualDevice(built(held));
    device.take({
      kind: 'key',
      key: Object.entries(built(held).keys).find(([, l]) => l === 'LIST')?.[0] ?? '',
      heldMs: 2000,
    });
    expect(device.screen()).toEqual(['KEYS LOCKED']);
  });
});

describe('what else a recording may tell', () => {
  const setting = (id: string, from: string, to: string, code: string, shows: string, line_: string) => ({
    setting: id,
    from,
    to,
    steps: [...item(code, shows, line(line_, to)).slice(0, -1), line('LEAVE', '001')],
  });
  const told: Recording = {
    ...RECORDED,
    settings: [
      setting('beep', 'ON', 'OFF', '41', '41 BEEP', '▲'),
      setting('light', '5 S', 'ALWAYS', '42', '42 LIGHT', '▲ x2'),
    ],
  };
  const setup = { 'page-handheld': { beep: 0, light: 1, sideShort: 2 } };
  it('settings of the whole set: the plan’s are set on the very set that was recorded', () => {
    const learnt = built(told, PAGE.settings);
    const { now, proof } = prepare({ ...plan([]), setup }, learnt);
    // The side key was not recorded: it is said, and the sheet is not ready.
    expect(proof.firstDifference).toMatchObject({ code: 'no-recipe', field: 'Side key, short' });
    const { sideShort: _, ...known } = setup['page-handheld'];
    const ready = prepare({ ...plan([]), setup: { 'page-handheld': known } }, learnt);
    expect([ready.proof.proven, ready.fit.image.settings]).toEqual([true, { beep: 0, light: 1 }]);
    expect(onPage(learnt, ready.sheet).memory.settings).toEqual({
      ...now.settings,
      beep: 0,
      light: 1,
    });
  });
  it('a key that turns a wheel the other way, which makes sheets shorter', () => {
    const wheel = structuredClone(RECORDED);
    wheel.fields = wheel.fields.filter(({ field }) => ['rx', 'rxTone', 'noTalk', 'title'].includes(field));
    wheel.fields[1] = {
      field: 'rxTone',
      from: 'OFF',
      to: 'D023N',
      steps: item('24', '24 RX TONE', line('▲ x51', 'D023N')),
    };
    // The last inverted code stands one step back from OFF.
    const heard = plan([channel('Club', 150.5, null, { service: 'other', receiveTone: 'D754I' })]);
    const one = onTheSetItself(heard, built(wheel));
    const both = { ...wheel, opposite: [{ key: '▲', other: '▼' }] };
    expect([one.difference, onTheSetItself(heard, built(both)).difference]).toEqual([null, null]);
    const presses = (recording: Recording) => prepare(heard, built(recording)).sheet.presses;
    expect(presses(wheel) - presses(both)).toBeGreaterThan(200);
  });
  it('how long it waits for the next key: a slow hand is then told to have things ready', () => {
    const kelp = plan([channel('Kelp', 462.65, 467.65, { transmitTone: '131.8', receiveTone: '131.8' })]);
    const windows = (waitsS?: number) => {
      const { proof } = prepare(kelp, built({ ...RECORDED, ...(waitsS && { waitsS }) }));
      return [proof.proven, proof.slowToo, Math.min(...proof.windowsMs.map((ms) => ms ?? 1e9))];
    };
    expect(windows()).toEqual([true, true, 1e9]);
    expect(windows(15)).toEqual([true, true, 15_000]);
    expect(windows(3)).toEqual([true, false, 3000]);
  });
});

type Field = Recording['fields'][number];
type Change = (place: Recording['place'], field: (i: number) => Field, recording: Recording) => unknown;

describe('figures that are only the beginning of a frequency', () => {
  const begun = RecordingSchema.parse({
    ...RECORDED,
    fields: [
      { field: 'rx', from: '', to: '462.5625', steps: item('21', '21 RX FREQ', line('462562', '462562')) },
      ...RECORDED.fields.slice(1),
    ],
  });
  const stepping = (stepHz: number, ...otherStepsHz: number[]): Description => {
    const { receive } = unkeyed();
    if (receive === 'unknown') throw new Error('its bands are known');
    const steps = { stepHz, ...(otherStepsHz.length > 0 && { otherStepsHz }) };
    return DescriptionSchema.parse({ ...unkeyed(), receive: { ...receive, ...steps } });
  };

  it('are learnt as such where one frequency alone begins so, and said beside it', () => {
    const result = withRecordedSteps(stepping(5000, 6250), begun);
    if (!result.ok) throw new Error(JSON.stringify(result.findings));
    expect(result.value.recipes?.frequencyEntry).toEqual({ digits: 6, unitHz: 1000, completes: true });
    const { sheet, proof } = prepare(
      plan([channel('Inner', 462.6125, null), channel('Main', 462.65, null)]),
      result.value,
    );
    expect(proof.firstDifference).toBeNull();
    const says = sheet.steps.map((step) => step.says);
    expect(says).toContain('Type 462612, for 462.6125.');
    expect(says).toContain('Type 462650, for 462.6500.');
  });

  it('are nothing that anybody could read where two frequencies begin so', () => {
    const result = withRecordedSteps(stepping(500), begun);
    expect(result.ok ? [] : result.findings.map(({ code }) => code)).toContain('record-not-spelled');
  });
});

describe('a recording that cannot be right is refused at its line', () => {
  const cases: readonly [string, Change, string, string][] = [
    ['keys that are none', (place) => place.splice(0, 1, line('x3')), 'record-keys', '/place/0/keys'],
    [
      'a number that nobody typed',
      (place) => place.splice(0, 1, line('046')),
      'record-not-spelled',
      '/place',
    ],
    ['a place it has not', (_p, _f, r) => Object.assign(r, { number: 900 }), 'record-value', '/number'],
    ['a field twice', (_p, f, r) => r.fields.push(structuredClone(f(1))), 'duplicate-id', '/fields/8/field'],
    [
      'a field it has not',
      (_, f) => Object.assign(f(1), { field: 'colour' }),
      'record-value',
      '/fields/1/field',
    ],
    ['a value it has not', (_, f) => Object.assign(f(2), { to: '82.6' }), 'record-value', '/fields/2/to'],
    [
      'a setting it has not',
      (_p, f, r) => r.settings.push({ setting: 'glow', from: 'A', to: 'B', steps: f(1).steps }),
      'record-value',
      '/settings/0/setting',
    ],
    [
      'a wheel turned too far',
      (_, f) => f(1).steps.splice(3, 1, line('▲ x2')),
      'record-ambiguous',
      '/fields/1/steps',
    ],
    [
      'letters that nobody wrote down',
      (_p, _f, r) => Object.assign(r, { letters: [] }),
      'record-not-spelled',
      '/fields/7/steps',
    ],
    [
      'a value on a place where that field is locked',
      (place, _, r) => {
        Object.assign(r, { number: 31 });
        place.splice(0, 1, line('031'));
      },
      'record-not-kept',
      '/fields/2/to',
    ],
    [
      'a display that cannot be',
      (_, f) => f(3).steps.splice(5, 1, line('LEAVE', 'ELSE')),
      'record-shows',
      '/fields/3/steps/5/shows',
    ],
  ];
  it.each(cases)('%s', (_, change, code, path) => {
    const recording = structuredClone(RECORDED);
    change(recording.place, (i) => recording.fields[i] as Field, recording);
    const result = withRecordedSteps(unkeyed(), recording);
    expect(result.ok ? [] : result.findings.map((finding) => [finding.code, finding.path])).toContainEqual([
      code,
      path,
    ]);
  });
});
