import { diff, unknownMemory, type Wanted, withWanted } from '@umbrex/core/memory';
import { type Description, factoryMemory } from '@umbrex/core/model';
import {
  CALM,
  copySteps,
  minutesAt,
  offerCopy,
  prove,
  proveCopy,
  type Replay,
  type Run,
  replay,
  SLOW,
  stepFindings,
  stepSlips,
  VirtualDevice,
  writeSheet,
} from '@umbrex/core/procedure';
import { describe, expect, it } from 'vitest';
import { type LittleRaw, little } from '../support/little';

// What replaying and proving say of the little set, reckoned by hand: a tap is 0.12 s, a calm hand waits 0.3 s between keys and 1.5 s
// between steps, a slow one 0.8 s and 4.5 s.

const tap = (key: string, times = 1): Run => ({ do: 'press', key, times });
type Step = { runs: readonly Run[]; promises: string | undefined; hides?: string | undefined };
const step = (runs: readonly Run[], promises?: string, hides?: string): Step => ({ runs, promises, hides });

/** Opens the code of A1, turns it two on, keeps it and leaves. */
const TONE: readonly Step[] = [
  step([tap('menu')], '1 CODE'),
  step([tap('ok')], 'SET CODE'),
  step([tap('up', 2)], '>71.9<'),
  step([tap('ok')], '1 CODE'),
  step([tap('menu')], undefined, 'CODE'),
];

describe('replaying', () => {
  const set = little();
  const done = (steps: readonly Step[], description = set): Replay => replay(description, steps, CALM);

  it('what it showed, how long it waits, how long it took', () => {
    const all = done(TONE);
    expect(all).toMatchObject({
      begins: ['A1', 'OFF HIGH'],
      screens: [['1 CODE'], ['SET CODE', '>OFF<'], ['SET CODE', '>71.9<'], ['1 CODE'], ['A1', '71.9 HIGH']],
      windowsMs: [10_000, 6000, 6000, 10_000, undefined],
      brokenPromise: null,
      brokenAt: undefined,
      radiates: [],
      picked: 0,
      // Six taps, one pause between keys, five between steps.
      ms: 6 * 120 + 300 + 5 * 1500,
    });
    expect(all.memory.slots.get(1)).toEqual({ code: 2, power: 1, name: '' });
    expect(minutesAt(TONE, CALM)).toBeCloseTo((6 * 120 + 300 + 5 * 1500) / 60_000, 9);
    expect(minutesAt(TONE, SLOW)).toBeCloseTo((6 * 120 + 800 + 5 * 4500) / 60_000, 9);
  });
  it('where a step comes to nothing, a hand goes on at once', () => {
    const idle: Step = step([{ do: 'press', key: 'menu', times: 1, when: 'LOCKED' }]);
    expect(done([idle]).ms).toBe(300);
    expect(done([idle, step([tap('menu')])]).ms).toBe(300 + 120 + 1500);
    expect(done([step([{ do: 'wait', ms: 700 }])]).ms).toBe(1000);
    // To switch it off and on is to do something.
    expect(done([step([{ do: 'power' }])]).ms).toBe(3000 + 1500);
  });
  it('the first promise that is not kept, and where', () => {
    const [open, change, ...more] = TONE as readonly [Step, Step, ...Step[]];
    const wrong = [open, { ...change, promises: 'SET POWER' }, { ...change, promises: 'NOTHING' }, ...more];
    expect(done(wrong)).toMatchObject({
      brokenAt: 1,
      brokenPromise: {
        code: 'proof-screen-differs',
        severity: 'error',
        step: 2,
        wanted: 'SET POWER',
        found: 'SET CODE / >OFF<',
      },
    });
  });
  it('a turn that never comes to its end', () => {
    const never: Run = { do: 'until', key: 'up', shows: ['A8', 'A9'], as: 'words', mean: 1, most: 4 };
    expect(done([step([tap('down')], 'A3'), step([never])])).toMatchObject({
      brokenAt: 1,
      brokenPromise: { code: 'proof-never-shown', severity: 'error', step: 2, wanted: 'A9' },
    });
  });
  it('which steps send', () => {
    const talk = step([tap('talk')]);
    expect(done([step([tap('up')]), talk, step([tap('up')]), talk]).radiates).toEqual([
      { code: 'may-radiate', severity: 'warning', step: 2 },
      { code: 'may-radiate', severity: 'warning', step: 4 },
    ]);
  });
  describe('what is gone from the display', () => {
    const gone = (steps: readonly Step[], description = set) =>
      done(steps, description).brokenPromise === null ? 'gone' : 'there';
    it('a text that no line shows', () => expect(gone([step([tap('up')], 'A2', 'A1')])).toBe('gone'));
    it('not one that stays', () => {
      expect(gone([step([tap('talk')], undefined, 'A1')])).toBe('there');
      expect(gone([step([tap('up')], 'A2', 'OFF')])).toBe('there');
      expect(done([step([tap('talk')], undefined, 'A1')])).toMatchObject({
        brokenAt: 0,
        brokenPromise: {
          code: 'proof-still-shown',
          severity: 'error',
          step: 1,
          gone: 'A1',
          found: 'A1 / OFF HIGH',
        },
      });
    });
    it('not one that another line shows now', () => {
      // “1 CODE” becomes “SET CODE”.
      expect(gone([step([tap('menu')]), step([tap('ok')], undefined, 'CODE')])).toBe('there');
    });
    it('one that went from its line, where another line has the same word of its own and stays', () => {
      const alike = little((raw: LittleRaw) => {
        raw.lists.codes[0].items[0].shown = 'A1';
      });
      expect(replay(alike, [], CALM).begins).toEqual(['A1', 'A1 HIGH']);
      expect(gone([step([tap('up')], 'A2', 'A1')], alike)).toBe('gone');
      expect(gone([step([tap('talk')], undefined, 'A1')], alike)).toBe('there');
    });
    it('not one that was not there and came', () => {
      const alike = little((raw: LittleRaw) => {
        raw.lists.codes[1] = { kind: 'items', items: [{ shown: 'A1', means: '67.0' }] };
      });
      expect(gone([step([tap('menu')]), step([tap('ok')]), step([tap('up')], undefined, 'A1')], alike)).toBe(
        'there',
      );
    });
  });
});

describe('typing', () => {
  const typing = little((raw: LittleRaw) => {
    raw.behaviour.keys.up = { char: '1' };
    raw.behaviour.modes.standby.on.unshift({
      keys: ['up', 'ok'],
      do: [{ act: 'typeChar', most: 2 }],
    });
    raw.behaviour.modes.standby.screen = ['{entry:3}'];
  });
  it('a key that has no character, or one too many, is refused', () => {
    const device = new VirtualDevice(typing);
    const after = (key: string) => {
      device.take({ kind: 'key', key, heldMs: 120 });
      return [device.screen()[0], device.beeps().length];
    };
    expect(after('up')).toEqual(['1__', 0]);
    expect(after('ok')).toEqual(['1__', 1]);
    expect(after('up')).toEqual(['11_', 1]);
    expect(after('up')).toEqual(['11_', 2]);
    expect(device.beeps()).toEqual(['refused', 'refused']);
  });
});

describe('copying from set to set', () => {
  const copying = (raw: LittleRaw) => {
    raw.behaviour.modes.copy = {
      screen: ['COPY'],
      takesCopy: { go: 'standby' },
      on: [{ keys: ['talk'], do: [{ act: 'sendCopy' }], go: 'standby' }],
    };
    raw.behaviour.modes.standby.on.unshift({ keys: ['menu'], heldMs: 2000, go: 'copy' });
    const hold = { do: 'press', key: 'menu', heldMs: 2000, says: 'Hold MENU for 2 s', shows: 'COPY' };
    raw.recipes.copy = {
      before: ['Side by side.'],
      steps: [
        { on: 'target', step: hold },
        { on: 'source', step: hold },
        {
          on: 'source',
          step: { do: 'press', key: 'talk', says: 'Press TALK', shows: 'A1' },
          otherShows: 'A1',
        },
      ],
    };
  };
  const set = little(copying);
  const fresh = factoryMemory(set);
  const full = { ...fresh, slots: new Map(fresh.slots).set(3, { code: 2, power: 0, name: 'BED' }) };
  it('comes out right, step by step', () => {
    expect(copySteps(set)).toMatchObject({
      presses: 3,
      steps: [{ on: 'target' }, { on: 'source' }, { on: 'source' }],
    });
    expect(proveCopy(set, full, fresh)).toMatchObject({
      before: ['Side by side.'],
      presses: 3,
      proven: true,
      slowToo: true,
      firstDifference: null,
      screens: [['COPY'], ['COPY'], ['A1', 'OFF HIGH']],
      minutes: (2 * 2000 + 120 + 3 * 1500) / 60_000,
    });
  });
  it('what the other one should show and does not', () => {
    const wrong = little((raw: LittleRaw) => {
      copying(raw);
      raw.recipes.copy.steps[2].otherShows = 'DONE';
    });
    expect(proveCopy(wrong, full, fresh)).toMatchObject({
      proven: false,
      slowToo: false,
      firstDifference: { code: 'proof-screen-differs', step: 3, wanted: 'DONE', found: 'A1 / OFF HIGH' },
    });
  });
  it('what was not taken is a difference', () => {
    const deaf = little((raw: LittleRaw) => {
      copying(raw);
      raw.behaviour.modes.copy.takesCopy = undefined;
    });
    expect(proveCopy(deaf, full, fresh)?.firstDifference).toMatchObject({ code: 'proof-differs', number: 3 });
  });
  it('a hand that is too slow for what waits', () => {
    // 5.12 s after it began to wait at a calm hand, 11.12 s at a slow one.
    const hasty = little((raw: LittleRaw) => {
      copying(raw);
      raw.behaviour.modes.copy.timeout = { ms: 8000, go: 'standby' };
    });
    expect(proveCopy(hasty, full, fresh)).toMatchObject({
      proven: true,
      slowToo: false,
      firstDifference: null,
    });
  });
  it('its words are about the place where the set stands at first', () => {
    const elsewhere = little((raw: LittleRaw) => {
      copying(raw);
      raw.recipes.startNumber = 4;
      raw.recipes.copy.steps[0].step.says = 'Hold MENU on {label} for 2 s';
    });
    expect(copySteps(elsewhere)?.steps[0]?.step.says).toBe('Hold MENU on B1 for 2 s');
  });
  it('is offered from those that hold the same, and never over something of the holder’s own', () => {
    const one = (nickname: string, what: string, keeps: number[] = []) =>
      ({ nickname, keeps, holds: { what } }) as never;
    const offer = (unit: never, own: number[], others: readonly never[]) => {
      const partners = others.map((other) => ({ unit: other, shall: full }));
      const made = offerCopy(set, { unit, shall: full, before: fresh, own }, partners);
      return [made?.why, made?.ready, made?.later];
    };
    const [done, open] = [one('Done', 'plan'), one('Open', 'factory')];
    expect(offer(one('Me', 'factory'), [], [done, open])).toEqual([null, ['Done'], ['Open']]);
    expect(offer(one('Me', 'factory'), [], [])).toEqual(['alone', [], []]);
    for (const [unit, own] of [
      [one('Me', 'other'), []],
      [one('Me', 'factory'), [3]],
      [one('Me', 'factory', [1]), []],
    ] as const)
      expect(offer(unit, [...own], [done])[0]).toBe('own');
    const half = { ...full, slots: new Map(full.slots).set(5, { code: 1 }) };
    const unknown = offerCopy(set, { unit: one('Me', 'factory'), shall: half, before: fresh, own: [] }, [
      { unit: done, shall: half },
    ]);
    expect([unknown?.why, unknown?.ready]).toEqual(['alone', []]);
  });
  it('nothing where nobody wrote down how, or how its keys work', () => {
    expect(copySteps(little())).toBeUndefined();
    expect(proveCopy(little(), full, fresh)).toBeUndefined();
    const { behaviour: _, ...mute } = set;
    expect(proveCopy(mute, full, fresh)).toBeUndefined();
    const unit = { nickname: 'One', keeps: [], holds: { what: 'factory' } } as never;
    expect(offerCopy(little(), { unit, shall: full, before: fresh, own: [] }, [])).toBeUndefined();
  });
});

describe('proving', () => {
  const NOTHING: Wanted = { slots: new Map(), settings: {} };
  const wants = (slots: Record<number, object>, settings: Record<string, number> = {}): Wanted => ({
    slots: new Map(Object.entries(slots).map(([number, values]) => [Number(number), values as never])),
    settings,
  });
  const CODE = wants({ 2: { code: 2, power: 1, name: '' } });
  const fresh = (set: Description) => factoryMemory(set);
  const sheetOf = (set: Description, wanted: Wanted, now = fresh(set)) =>
    writeSheet(set, diff(set, now, wanted));

  it('a set that is known: tried twice, calm and slow', () => {
    const set = little();
    const sheet = sheetOf(set, CODE);
    expect(prove(set, fresh(set), CODE, sheet)).toEqual({
      proven: true,
      slowToo: true,
      firstDifference: null,
      findings: [],
      tried: 2,
      screens: [
        ['A2', 'OFF HIGH'],
        ['1 CODE'],
        ['SET CODE', '>OFF<'],
        ['SET CODE', '>71.9<'],
        ['1 CODE'],
        ['A2', '71.9 HIGH'],
      ],
      windowsMs: [undefined, 10_000, 6000, 6000, 10_000, undefined],
      begins: ['A1', 'OFF HIGH'],
      minutes: (7 * 120 + 300 + 6 * 1500) / 60_000,
    });
  });
  it('a hand that is too slow is told, with the step that comes too late', () => {
    const quick = little((raw: LittleRaw) => {
      raw.behaviour.modes.edit.timeout.ms = 4000;
    });
    const sheet = sheetOf(quick, CODE);
    // The slow hand opens the code at step 3, waits 4.5 s, and turns the place at step 4.
    expect(prove(quick, fresh(quick), CODE, sheet)).toMatchObject({
      proven: true,
      slowToo: false,
      firstDifference: null,
      findings: [{ code: 'proof-too-slow', severity: 'warning', step: 4 }],
    });
  });
  it('what is wrong for everybody is not said to be too slow', () => {
    const set = little((raw: LittleRaw) => {
      raw.behaviour.modes.edit.timeout.ms = 1000;
    });
    expect(prove(set, fresh(set), CODE, sheetOf(set, CODE))).toMatchObject({
      proven: false,
      slowToo: false,
      firstDifference: { code: 'proof-differs', number: 2 },
      findings: [],
    });
  });
  it('what it sends by the way is told once', () => {
    const set = little((raw: LittleRaw) => {
      raw.recipes.finish = [{ do: 'press', key: 'talk', says: 'Press TALK' }];
    });
    expect(prove(set, fresh(set), CODE, sheetOf(set, CODE))).toMatchObject({
      proven: true,
      findings: [{ code: 'may-radiate', severity: 'warning', step: 7 }],
    });
  });
  it('anything else that changed is a difference', () => {
    const set = little();
    const sheet = sheetOf(
      set,
      wants({ 2: { code: 2, power: 1, name: '' }, 3: { code: 1, power: 1, name: '' } }),
    );
    expect(prove(set, fresh(set), CODE, sheet).firstDifference).toMatchObject({
      code: 'proof-differs',
      number: 3,
    });
    expect(
      prove(set, fresh(set), wants({}, { bell: 2 }), sheetOf(set, NOTHING)).firstDifference,
    ).toMatchObject({
      code: 'proof-setting-differs',
      setting: 'bell',
    });
  });
  it('a sheet that only warns is tried, one that stops is not', () => {
    const set = little();
    const sheet = sheetOf(set, CODE);
    const warned = { ...sheet, findings: [{ code: 'may-radiate', severity: 'warning', step: 1 } as const] };
    expect(prove(set, fresh(set), CODE, warned)).toMatchObject({ proven: true, tried: 2 });
    const stop = { code: 'no-recipe', severity: 'error', field: 'Code' } as const;
    const stopped = { ...sheet, findings: [...warned.findings, stop] };
    expect(prove(set, fresh(set), CODE, stopped)).toEqual({
      proven: false,
      slowToo: false,
      firstDifference: stop,
      findings: stopped.findings,
      tried: 0,
      screens: [],
      begins: [],
      windowsMs: [],
      minutes: 0,
    });
  });
  it('a tone that was picked by hand and is still there', () => {
    const set = little((raw: LittleRaw) => {
      raw.operatorTone = { reach: 'transmit', sticky: true, list: 'codes' };
    });
    expect(prove(set, fresh(set), NOTHING, { ...sheetOf(set, NOTHING), clears: 3 })).toMatchObject({
      proven: false,
      firstDifference: { code: 'proof-still-picked', severity: 'error' },
    });
  });
  it('a step that turns until something shows is tried in six ways, wherever in the sheet it stands', () => {
    const set = little();
    const sheet = sheetOf(set, CODE);
    const turning = sheet.steps.map((one) =>
      one.id === '2:code:2'
        ? {
            ...one,
            runs: [
              tap('up'),
              { do: 'until', key: 'up', shows: ['>71.9<'], as: 'words', mean: 2, most: 4 } as const,
            ],
          }
        : one,
    );
    expect(prove(set, fresh(set), CODE, { ...sheet, steps: turning })).toMatchObject({
      proven: true,
      tried: 6,
    });
  });

  describe('a set that nobody looked at', () => {
    // So many places that none of the tries stands on the wanted one by chance.
    const many = (raw: LittleRaw) => {
      raw.regions[0].count = 300;
      raw.regions[0].size = 300;
      raw.regions[0].stride = 300;
      raw.regions[0].label = 'P{number}';
      raw.regions[0].banks = [];
      raw.regions[0].content = {
        kind: 'fixed',
        channels: Array.from({ length: 300 }, () => ({
          receiveHz: 462_562_500,
          transmitHz: 462_562_500,
          bandwidth: 'narrow',
        })),
      };
      raw.recipes.bankStep = [];
      raw.recipes.start = {
        atStart: false,
        steps: [{ do: 'power', says: 'Switch off and on' }],
      };
    };
    const sheetFrom = (set: Description, wanted: Wanted) =>
      writeSheet(set, diff(set, unknownMemory(set), wanted));
    const P200 = wants({ 200: { code: 2, power: 0 } });
    it('is tried from twenty states and places; only what all of them show is promised', () => {
      const set = little(many);
      const proof = prove(set, unknownMemory(set), P200, sheetFrom(set, P200));
      expect(proof).toMatchObject({ proven: true, slowToo: true, tried: 20, findings: [] });
      // Where it stands first is another place each time.
      expect(proof.screens[0]).toEqual([]);
      expect(proof.screens[1]?.[0]).toBe('P200');
      expect(proof.screens.at(-1)?.[0]).toBe('P200');
      expect(proof.begins).toEqual([]);
    });
    it('also from the very place it goes to, where nothing is turned and what is open may close', () => {
      const set = little((raw: LittleRaw) => {
        many(raw);
        // Places are turned in a mode of their own that closes 5 s after the last key.
        raw.behaviour.modes.places = {
          screen: ['GO {label}'],
          timeout: { ms: 5000, go: 'standby' },
          on: [
            { keys: ['up'], do: [{ act: 'pickSlot', to: 'next' }] },
            { keys: ['ok'], do: [{ act: 'pickItem', to: 'first' }], go: 'menu' },
          ],
        };
        raw.behaviour.modes.standby.on = [
          { keys: ['bank'], go: 'places' },
          ...raw.behaviour.modes.standby.on.slice(3),
        ];
        raw.recipes.slotStep = [
          { do: 'press', key: 'bank', says: 'Press BANK', shows: 'GO' },
          { do: 'turn', what: 'slot', up: 'up', says: 'Turn to {label}', shows: 'GO {label}' },
        ];
        raw.recipes.open = [{ do: 'press', key: 'ok', says: 'Press OK', shows: '1 CODE' }];
      });
      const proof = prove(set, unknownMemory(set), P200, sheetFrom(set, P200));
      // 4.5 s after BANK, nothing to turn, 0.8 s on: gone before OK.
      expect(proof).toMatchObject({ proven: true, slowToo: false, tried: 20 });
      expect(proof.findings).toEqual([{ code: 'proof-too-slow', severity: 'warning', step: 4 }]);
    });
  });
});

describe('the words of steps, held against their keys', () => {
  const slips = (change: (raw: LittleRaw) => void) =>
    stepSlips(little(change)).map(({ path, slip, seen }) => `${path} ${slip} ${seen}`);
  const wordsOf = (says: string, more: object = {}) =>
    slips((raw) => {
      raw.recipes.finish = [{ do: 'press', key: 'talk', says, ...more }];
    });
  const HOLD = (seen: string) => [`/recipes/finish/0 says-other-hold ${seen}`];

  it('are right on the little set', () => {
    expect(stepSlips(little())).toEqual([]);
    expect(stepFindings(little())).toEqual([]);
    const { recipes: _, ...bare } = little();
    expect(stepSlips(bare)).toEqual([]);
    const { behaviour: __, ...mute } = little();
    expect(stepSlips(mute)).toEqual([]);
  });
  it('a key that is not pressed', () => {
    expect(wordsOf('Press BELL')).toEqual(['/recipes/finish/0 names-another-key BELL']);
    expect(wordsOf('Press TALK')).toEqual([]);
    expect(wordsOf('Press TALK and OK', { with: ['ok'], says: 'Hold OK, press TALK' })).toEqual([]);
    expect(
      stepFindings(
        little((raw: LittleRaw) => {
          raw.recipes.finish = [{ do: 'press', key: 'talk', says: 'Press BELL' }];
        }),
      ),
    ).toEqual([
      {
        code: 'step-slip',
        severity: 'warning',
        path: '/recipes/finish/0',
        slip: 'names-another-key',
        says: 'Press BELL',
        seen: 'BELL',
      },
    ]);
  });
  it('a value or a title that reads like a key is none', () => {
    const named = (change: (raw: LittleRaw) => void) =>
      slips((raw) => {
        raw.recipes.finish = [{ do: 'press', key: 'talk', says: 'Press TALK for BELL' }];
        change(raw);
      });
    expect(named(() => undefined)).toHaveLength(1);
    expect(
      named((raw) => {
        raw.lists.codes[0].items[0].shown = 'BELL';
      }),
    ).toEqual([]);
    expect(
      named((raw) => {
        for (const items of [raw.behaviour.items, Object.values(raw.recipes.items)] as LittleRaw[])
          for (const item of items) if (item.title === 'NAME') item.title = 'BELL';
        raw.recipes.settings.bell[2].hides = undefined;
        raw.recipes.settings.bell[2].shows = '{label}';
      }).filter((line) => line.includes('names-another-key')),
    ).toEqual([]);
  });
  it('how long a key is held', () => {
    expect(wordsOf('Hold TALK', { heldMs: 2000 })).toEqual([]);
    expect(wordsOf('Hold TALK for 2 s', { heldMs: 2000 })).toEqual([]);
    expect(wordsOf('Hold TALK for 2 seconds', { heldMs: 2000 })).toEqual([]);
    expect(wordsOf('Hold TALK for 1 second', { heldMs: 1000 })).toEqual([]);
    expect(wordsOf('Hold TALK for 12 s', { heldMs: 12_000 })).toEqual([]);
    expect(wordsOf('Hold TALK for 2.5 s', { heldMs: 2500 })).toEqual([]);
    expect(wordsOf('Hold TALK for 2.25 s', { heldMs: 2250 })).toEqual([]);
    expect(wordsOf('Hold TALK for 3 s', { heldMs: 2000 })).toEqual(HOLD('2 s'));
    expect(wordsOf('Hold TALK for 3 seconds', { heldMs: 2000 })).toEqual(HOLD('2 s'));
    expect(wordsOf('Hold TALK for 2.5 s', { heldMs: 2000 })).toEqual(HOLD('2 s'));
    expect(wordsOf('Press TALK', { heldMs: 2000 })).toEqual(HOLD('2 s'));
    expect(wordsOf('Press TALK', { heldMs: 1000 })).toEqual(HOLD('1 s'));
    expect(wordsOf('Press TALK', { heldMs: 999 })).toEqual([]);
    expect(wordsOf('Hold TALK')).toEqual(HOLD('0 s'));
    expect(wordsOf('Press TALK', { with: ['ok'] })).toEqual(HOLD('0 s'));
    const chord = (says: string) =>
      slips((raw) => {
        raw.keys.talk = 'F+TALK';
        raw.recipes.finish = [{ do: 'press', key: 'talk', says }];
      });
    expect(chord('Hold F, press TALK')).toEqual([]);
    expect(chord('Press TALK')).toEqual(HOLD('0 s'));
  });
  it('what is turned may be held without a word', () => {
    expect(
      slips((raw) => {
        raw.recipes.set.code[0].big = { by: 2, heldMs: 1000 };
        for (const row of raw.behaviour.modes.edit.on)
          if (row.keys[0] !== 'ok') row.when = [{ is: 'itemAllowed' }];
        const [up, down] = raw.behaviour.modes.edit.on;
        raw.behaviour.modes.edit.on.unshift(
          { ...up, heldMs: 1000, do: [{ act: 'stepDraft', by: 2 }] },
          { ...down, heldMs: 1000, do: [{ act: 'stepDraft', by: -2 }] },
        );
      }),
    ).toEqual([]);
  });
  it('figures that are typed', () => {
    const typed = (text: string, says: string) =>
      slips((raw) => {
        const figures = [...'0123456789'];
        raw.recipes.charKeys = Object.fromEntries(figures.map((char) => [char, `d${char}`]));
        for (const char of figures) {
          raw.keys[`d${char}`] = char;
          raw.behaviour.keys[`d${char}`] = { char };
        }
        raw.recipes.finish = [{ do: 'type', what: 'text', text, says }];
      });
    const OTHER = (seen: string) => [`/recipes/finish/0 says-other-figures ${seen}`];
    expect(typed('12', 'Type 12')).toEqual([]);
    expect(typed('12', 'Type 13')).toEqual(OTHER('12'));
    expect(typed('12', 'Type it')).toEqual([]);
    expect(typed('012', 'Type 12')).toEqual([]);
    expect(typed('12', 'Type 012')).toEqual([]);
    expect(typed('12', 'For place 7 type 12')).toEqual([]);
    expect(typed('7', 'Type 8')).toEqual([]);
    expect(typed('1002', 'Type 12')).toEqual(OTHER('1002'));
    expect(typed('12', 'Type 1002')).toEqual(OTHER('12'));
    // A frequency may be said with fewer figures than are typed, if what is left are zeros.
    expect(typed('4626500', 'Type 462.650')).toEqual([]);
    expect(typed('4626000', 'Type 462.6')).toEqual([]);
    expect(typed('4626500', 'Type 462.6')).toEqual(OTHER('4626500'));
    expect(typed('4620000', 'Type 462')).toEqual(OTHER('4620000'));
    expect(typed('1000', 'Type 1000')).toEqual([]);
    expect(typed('4626500', 'Type 626.5')).toEqual(OTHER('4626500'));
    expect(typed('4626', 'Type 462.600')).toEqual([]);
  });
  it('a step that changes the display and promises nothing', () => {
    expect(
      slips((raw) => {
        raw.recipes.open[0].shows = undefined;
      }),
    ).toEqual(['/recipes/open/0 promises-nothing 1 CODE']);
    // A promise of what nobody knows is one.
    expect(
      slips((raw) => {
        raw.recipes.settings.bell[0].shows = 'BELL {now}';
      }),
    ).toEqual([]);
  });
  it('a step that promises what was there', () => {
    const [only, ...others] = slips((raw) => {
      raw.recipes.item[1].shows = '{title}';
    });
    expect(only).toMatch(/^\/recipes\/item\/1 promises-what-was-there SET /);
    expect(others).toEqual([]);
    // To say what went is enough.
    expect(
      slips((raw) => {
        raw.recipes.close[0].shows = '{label}';
      }),
    ).toEqual([]);
  });
  it('a reset and an emptying, too', () => {
    expect(
      slips((raw) => {
        raw.recipes.reset = { steps: [{ do: 'press', key: 'talk', says: 'Press BELL to reset' }] };
      }),
    ).toEqual(['/recipes/reset/steps/0 names-another-key BELL']);
    expect(
      slips((raw) => {
        raw.regions[0].content = { kind: 'free', receiveOnly: true };
        raw.fields.push({ id: 'rx', title: 'Frequency', holds: 'receiveHz', factory: 0 });
        // An empty place shows the first of each list.
        raw.fields[1].factory = 0;
        raw.behaviour.modes.standby.on.at(-1).do = [{ act: 'eraseSlot' }];
        raw.recipes.erase = {
          regions: ['channels'],
          steps: [{ do: 'press', key: 'talk', says: 'Press BELL to empty it', shows: '{label}' }],
        };
      }),
    ).toEqual(['/recipes/erase/steps/0 names-another-key BELL']);
  });
  it('where the steps begin', () => {
    const begin = (...before: string[]) =>
      slips((raw) => {
        raw.recipes.before = before;
      });
    for (const right of [
      'Stand on A1.',
      'Stand on A1, with a full cell.',
      'Stand there (A1)!',
      'Is it on A1?',
    ])
      expect(begin(right)).toEqual([]);
    expect(begin('Full cell.', 'Stand on A1.')).toEqual([]);
    expect(begin('Stand on A1. Then wait.')).toEqual([]);
    expect(begin('Stand on A1...')).toEqual([]);
    const third = (says: string) =>
      slips((raw) => {
        raw.recipes.before = [says];
        raw.recipes.startNumber = 3;
        raw.behaviour.startNumber = 3;
      });
    expect(third('Stand on A3.')).toEqual([]);
    expect(third('Stand on A1.')).toEqual(['/recipes/before start-not-said A3']);
    expect(begin('Stand on A12.')).toEqual(['/recipes/before start-not-said A1']);
    expect(begin('Stand on A1.5')).toEqual(['/recipes/before start-not-said A1']);
    expect(begin()).toEqual(['/recipes/before start-not-said A1']);
    // Steps that bring it there themselves ask nothing of the start.
    expect(
      slips((raw) => {
        raw.recipes.before = [];
        raw.recipes.start = {
          atStart: false,
          steps: [{ do: 'power', says: 'Switch off and on' }],
        };
      }),
    ).toEqual([]);
  });
});

it('the little set is as it shall be after any of its sheets', () => {
  const set = little();
  const now = factoryMemory(set);
  for (const number of [1, 2, 3, 4, 5, 6])
    for (const code of [0, 1, 4])
      for (const name of ['', 'AB', 'E', 'B C'])
        for (const bell of [0, 1, 3]) {
          const wanted: Wanted = {
            slots: new Map([[number, { code, power: code % 2, name }]]),
            settings: { bell },
          };
          const sheet = writeSheet(set, diff(set, now, wanted));
          expect(prove(set, now, wanted, sheet).firstDifference).toBeNull();
          expect(replay(set, sheet.steps, CALM).memory).toEqual(withWanted(set, now, wanted));
        }
});
