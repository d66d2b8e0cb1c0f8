import { readFileSync } from 'node:fs';
import { tryAlerts } from '@umbrex/core/air';
import { reviewPlan } from '@umbrex/core/check';
import { THINGS, type ThingKind } from '@umbrex/core/fields';
import type { Finding } from '@umbrex/core/findings';
import { fitBoard } from '@umbrex/core/fit';
import { afterSheet, prepare, triedAs } from '@umbrex/core/flow';
import { type Channel, type Description, PlanSchema, UnitSchema } from '@umbrex/core/model';
import { readBackLines, settingLines } from '@umbrex/core/procedure';
import { NO_GROUNDS } from '@umbrex/core/rules';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import { anyThing } from '../../core/test/support/things';
import { shippedDescriptions } from '../../devices/read';
import { notLooked } from '../src/islands/StartChoice/useUnitChoice';
import { trialText } from '../src/messages/alerts';
import { contentBrief, scanBrief } from '../src/messages/contents';
import { editText } from '../src/messages/edits';
import { findingText } from '../src/messages/findings';
import { claimOf, nothingToChange, overwrittenText } from '../src/messages/sheetWords';
import { WAY_TEXT } from '../src/messages/ways';

const read = (name: string) =>
  JSON.parse(readFileSync(new URL(`../../demo/${name}`, import.meta.url), 'utf8'));
const PLAN = PlanSchema.parse(read('ostrel-plan.json'));
const UNITS = z.array(UnitSchema).parse(read('ostrel-units.json'));
const KINDS = shippedDescriptions();

/** A sentence begins large and ends with a stop, and nothing of the program shows in it. */
function expectSentence(text: string, about: unknown): void {
  expect(text, JSON.stringify(about)).not.toMatch(/undefined|NaN|null|\[object|Infinity|\{|\}| {2}/);
  expect(text, JSON.stringify(about)).toMatch(/^[\p{Lu}\d“].*[.?:]$/su);
}

function expectWords(findings: readonly Finding[]): void {
  for (const finding of findings) {
    const { what, more, help } = findingText(finding);
    for (const text of [what, more, help]) if (text !== undefined) expectSentence(text, finding);
  }
}

/** All that is said of a plan: by itself, on every device, on every sheet. */
function allFindings(plan: typeof PLAN, kinds: readonly Description[] = KINDS): Finding[] {
  const board = fitBoard(plan, UNITS, KINDS, NO_GROUNDS);
  return [
    ...reviewPlan(plan).map(({ finding }) => finding),
    ...board.kinds.flatMap(({ cells }) => cells.flatMap(({ findings }) => findings)),
    ...Object.values(board.unitFindings).flat(),
    ...kinds.flatMap((kind) => {
      const { fit, sheet, proof } = prepare(plan, kind, triedAs(kind, plan));
      return [...fit.findings, ...sheet.findings, ...proof.findings];
    }),
  ];
}

describe('what is said of the demo', () => {
  it('is whole sentences, finding by finding', () => {
    const findings = allFindings(PLAN);
    expect(new Set(findings.map(({ code }) => code)).size).toBeGreaterThan(30);
    expectWords(findings);
  });
  it('says of every place what it holds, and of a scan what it does there', () => {
    for (const kind of KINDS) {
      const { fit, sheet, now } = prepare(PLAN, kind, triedAs(kind, PLAN));
      for (const { content, number } of readBackLines(kind, fit.image, sheet, now)) {
        expect(contentBrief(content), `${kind.id} ${number}`).toMatch(/\S/);
        expect(`${contentBrief(content)}${scanBrief(content)}`).not.toMatch(/undefined|NaN|null/);
      }
      for (const { title, shall } of settingLines(kind, fit.image, now))
        expect([title, shall]).not.toContain('');
    }
  });
  it('says of every made-up alert what comes of it', () => {
    const alerts = PLAN.alerts;
    if (!alerts) throw new Error('the demo has no alert radios');
    for (const reach of ['one', 'list', 'everywhere'] as const)
      for (const kind of KINDS.filter((one) => one.kind === 'alert')) {
        const plan = { ...PLAN, alerts: { ...alerts, reach } };
        const memory = afterSheet(kind, prepare(plan, kind));
        for (const trial of tryAlerts(plan.alerts, kind, memory)) expectSentence(trialText(trial), trial);
      }
  });
});

describe('what is said of a plan that somebody spoilt', () => {
  const spoilt = fc.record({
    index: fc.nat(PLAN.channels.length - 1),
    change: fc.constantFrom<Partial<Channel>>(
      { transmitTone: 'unknown' },
      { receiveTone: 'unknown', receivePolicy: 'closed' },
      { transmitTone: 'D023N', receiveTone: 'D047I' },
      { bandwidth: 'unknown', mode: 'digital' },
      { service: 'other', access: 'unknown' },
      { name: 'Gannet Top' },
      { name: 'É', shortNames: ['ÉÉ'] },
      { scan: 'priority', resumeDelay: 'off' },
      { receiveHz: 462_550_001 },
      {
        transmitHz: null,
        transmitTone: 'off',
        trunk: { network: 'County', carries: 'calls', isLocal: 'unknown' },
      },
    ),
  });
  it('is whole sentences as well', () =>
    fc.assert(
      fc.property(
        fc.array(spoilt, { minLength: 1, maxLength: 12 }),
        fc.constantFrom('US' as const, 'AU' as const, 'EU' as const, 'other' as const),
        fc.constantFrom('open' as const, 'closed' as const),
        (changes, country, receivePolicy) => {
          const channels = [...PLAN.channels];
          for (const { index, change } of changes) {
            const before = channels[index];
            if (!before || (before.transmitHz === null && change.transmitTone)) continue;
            channels[index] = { ...before, ...change };
          }
          expectWords(allFindings({ ...PLAN, channels, country, receivePolicy }, KINDS.slice(0, 6)));
        },
      ),
      { numRuns: 8 },
    ));
});

describe('how a sheet begins', () => {
  it('is said to be from anywhere only of kinds whose steps bring themselves to the start', () => {
    for (const way of ['known', 'absolute', 'reset'] as const) {
      expect(WAY_TEXT[way](20, true)).toMatch(/wherever it stands|from every mode/);
      expect(WAY_TEXT[way](20, false)).toMatch(/where it is said to stand/);
      expect(WAY_TEXT[way](20, false)).not.toMatch(/wherever it stands|from every mode/);
    }
    for (const text of Object.values(WAY_TEXT)) expectSentence(text(20, true), 'way');
  });
  it('is chosen for all of a kind only where nobody looked and nobody keeps anything', () => {
    const [first] = UNITS;
    if (!first) throw new Error('no unit');
    const bare = { ...first, keeps: [], holds: { ...first.holds, places: [] } };
    const sets = [
      bare,
      { ...bare, keeps: [60] },
      { ...bare, holds: { ...bare.holds, places: [{ number: 1, values: null }] } },
    ].map((unit, version) => ({ unit, version }));
    expect(notLooked(sets)).toEqual([{ unit: bare, version: 0 }]);
  });
});

const TEAM = '00000000-0000-4000-8000-000000000011';

describe('a sheet with nothing to change', () => {
  it('of a plan that wants nothing claims nothing of a set that nobody looked at', () => {
    const empty = PlanSchema.parse({
      ...PlanSchema.parse(read('ostrel-plan.json')),
      channels: [],
      setup: {},
      alerts: null,
    });
    const kind = shippedDescriptions().find(({ id }) => id === 'page-handheld');
    if (!kind) throw new Error('no such kind');
    const unit = UnitSchema.parse({
      id: TEAM,
      descriptionId: kind.id,
      nickname: 'New',
      holder: '',
      serial: '',
      firmware: 'unknown',
    });
    const prepared = prepare(empty, kind, unit);
    expect(nothingToChange(prepared)).toBe('Nothing to change: the plan wants nothing of this set.');
    const claim = claimOf({ ...prepared, unit }, { word: 'rehearsed', meaning: 'Replayed.' }, () => null);
    expect(claim).toEqual({ stamp: null, meaning: 'What it holds nobody has looked at.' });
  });
});

describe('what an edit was', () => {
  it('a description that was replaced is said with what is other in it, and not written out', () => {
    const document = { id: 'x', title: 'Old', fields: [1], keys: { a: 'A' } };
    const after = { ...document, title: 'New', fields: [2] };
    expect(editText({ kind: 'description', before: document, after }, {})).toEqual({
      what: 'put another description of the kind of device “New” in the place of the old one',
      changes: ['other in it: title, fields'],
    });
  });
  it('a change is said field by field in words, long ones cut', () => {
    const before = { name: 'Ada', note: '', teamIds: [TEAM] };
    const after = { name: 'Ada', note: 'x'.repeat(300), teamIds: [] };
    const { what, changes } = editText(
      { kind: 'person', before, after },
      { team: [{ id: TEAM, name: 'Watch' }] },
    );
    expect(what).toBe('changed the person “Ada”');
    expect(changes).toEqual(['teams: Watch → none', `note: none → ${'x'.repeat(119)}…`]);
  });
  it('and what was written before a field was there says nothing of it', () =>
    expect(
      editText({ kind: 'unit', before: { nickname: 'A' }, after: { nickname: 'A', names: 'later' } }, {}),
    ).toEqual({
      what: 'changed the device “A”',
      changes: ['names on its display: none → later'],
    }));
  it.each(Object.keys(THINGS) as ThingKind[])(
    'a %s that was added is told by what it is called, whatever it is',
    (kind) =>
      fc.assert(
        fc.property(anyThing(kind), (thing) => {
          const { one, nameOf, schema } = THINGS[kind];
          const kept = schema.parse(thing);
          const called = (nameOf as (of: unknown) => string)(kept);
          expect(called.length).toBeGreaterThan(0);
          expect(editText({ kind, before: null, after: kept }, {}).what).toBe(`added the ${one} “${called}”`);
        }),
        { numRuns: 20 },
      ),
  );
  it('a call is told by who talked to whom, and when', () =>
    expect(
      editText(
        {
          kind: 'heard',
          before: null,
          after: {
            id: TEAM,
            at: '2026-11-28T16:20:00.000Z',
            planId: TEAM,
            channelId: TEAM,
            from: 'Club 7',
            to: 'Watch 6',
            heard: false,
          },
        },
        {},
      ).what,
    ).toBe('added the call “Club 7 to Watch 6, 2026-11-28 16:20 UTC”'));
  it('what is there and what is gone, by the name it has', () => {
    expect(editText({ kind: 'net', before: null, after: { name: 'Monday' } }, {}).what).toBe(
      'added the net “Monday”',
    );
    expect(editText({ kind: 'description', before: { title: 'Old' }, after: null }, {}).what).toBe(
      'deleted the kind of device “Old”',
    );
  });
});

describe('what a sheet overwrites', () => {
  const looked = { what: 'read', on: '2026-11-24' } as never;
  const left = { what: 'unknown', on: 'unknown' } as never;
  it.each([
    [looked, 1, 0, 'One place that holds something now, as it was read on '],
    [left, 3, 0, '3 places that hold something now, as it was left.'],
    [left, 1, 1, '1 place. Nobody has looked at it: '],
    [left, 3, 3, '3 places. Nobody has looked at them: '],
    [left, 3, 1, '3 places. Nobody has looked at 1 of them: '],
  ])('%o, %i places, %i of them unseen', (holds, going, unseen, begins) =>
    expect(overwrittenText(holds, going, unseen).startsWith(begins)).toBe(true),
  );
});
