import { readFileSync } from 'node:fs';
import { checkPlan, readDescription, readPlan, writePlan } from '@umbrex/core/formats';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { shipped } from '../support/devices';
import { anyPlan, OSTREL } from '../support/plans';

const paths = (text: string) => readPlan(text).findings.map((finding) => finding.path);
const changed = (change: (plan: typeof OSTREL & Record<string, unknown>) => void) => {
  const copy = structuredClone(OSTREL) as never;
  change(copy);
  return JSON.stringify(copy);
};

describe('a plan document', () => {
  it('comes back as it went out', () => {
    fc.assert(
      fc.property(anyPlan, (plan) => {
        expect(readPlan(writePlan(plan))).toEqual({ ok: true, value: plan, findings: [] });
      }),
      { numRuns: 50, seed: 5 },
    );
  });
  it('names the path of what is wrong', () => {
    expect(paths('{')).toEqual(['']);
    expect(readPlan('{"format":"umbrex/plan@9"}').findings).toMatchObject([
      { code: 'document-format', path: '/format' },
    ]);
    expect(paths(changed((plan) => Object.assign(plan.channels[3] ?? {}, { receiveHz: 'loud' })))).toEqual([
      '/channels/3/receiveHz',
    ]);
    expect(paths(changed((plan) => Object.assign(plan.channels[0] ?? {}, { transmitTone: '82.4' })))).toEqual(
      ['/channels/0/transmitTone'],
    );
    expect(paths(changed((plan) => Object.assign(plan.channels[1] ?? {}, { groupId: plan.id })))).toEqual([
      '/channels/1/groupId',
    ]);
    expect(
      paths(changed((plan) => Object.assign(plan.channels[2] ?? {}, { id: plan.channels[1]?.id }))),
    ).toEqual(['/channels/2/id']);
    expect(paths(changed((plan) => Object.assign(plan, { colour: 'red' })))).toEqual(['']);
  });
  it('a listening channel with a transmit tone is refused at that field', () =>
    expect(paths(changed((plan) => Object.assign(plan.channels[0] ?? {}, { transmitHz: null })))).toEqual([
      '/channels/0/transmitTone',
    ]));
  it('any damage to any value is a finding or still a plan, never a throw', () => {
    const text = readFileSync(new URL('../../../demo/ostrel-plan.json', import.meta.url), 'utf8');
    fc.assert(
      fc.property(fc.nat(text.length - 1), fc.string({ maxLength: 4 }), (at, put) => {
        const result = readPlan(text.slice(0, at) + put + text.slice(at + put.length));
        if (!result.ok) expect(result.findings.length).toBeGreaterThan(0);
      }),
      { numRuns: 150, seed: 9 },
    );
  });
});

describe('a device description', () => {
  const broken = (change: (description: ReturnType<typeof shipped>) => void) => {
    const copy = shipped('bank-handheld');
    change(copy);
    const result = readDescription(JSON.stringify(copy));
    return result.findings.map((finding) => finding.path);
  };
  it('ships whole', () => expect(broken(() => {})).toEqual([]));
  it('says where a list, a field or a mode is missing', () => {
    expect(broken((d) => Object.assign(d.fields[0] ?? {}, { list: 'nowhere' }))).toEqual(['/fields/0/list']);
    expect(broken((d) => d.regions[1]?.ways[0]?.fields.push('nothing'))).toEqual(['/regions/1/ways/0']);
    expect(broken((d) => Object.assign(d.behaviour?.modes.items?.on[0] ?? {}, { go: 'away' }))).toEqual([
      '/behaviour/modes/items/on/0/go',
    ]);
  });
  it('refuses banks that overlap, and one memory number in two places', () => {
    expect(broken((d) => Object.assign(d.regions[1] ?? {}, { stride: 4 }))).toContain('/regions/1/stride');
    expect(broken((d) => Object.assign(d.regions[2] ?? {}, { first: 22 }))).toEqual(['/regions/2']);
  });
});

describe('what is wrong with the shape of a document is said in plain words', () => {
  const spoilt = (spoil: (plan: Record<string, unknown>) => void) => {
    const document = structuredClone(OSTREL) as unknown as Record<string, unknown>;
    spoil(document);
    const result = checkPlan(document);
    return result.ok ? [] : result.findings.map((finding) => ('detail' in finding ? finding.detail : ''));
  };
  const [channel = {}] = OSTREL.channels as readonly Record<string, unknown>[];
  const first = (part: Record<string, unknown>) => (plan: Record<string, unknown>) => {
    plan.channels = [{ ...channel, ...part }];
  };
  it.each([
    ['an empty name', first({ name: '' }), 'is too short or too small; at least 1 letter'],
    ['a long name', first({ name: 'x'.repeat(41) }), 'is too long or too large; at most 40 letters'],
    ['words for a frequency', first({ receiveHz: 'x' }), 'is no number'],
    ['no group', first({ groupId: undefined }), 'is missing'],
    ['a field of another program', first({ zz: 1 }), 'has what is not known here: zz'],
    ['a country that there is not', (p) => Object.assign(p, { country: 'XX' }), /^is none of .*US/],
    [
      'no groups at all',
      (p) => Object.assign(p, { groups: [] }),
      'is too short or too small; at least 1 entry',
    ],
    ['an id that is none', first({ id: 'x' }), 'is not written as it should be'],
  ] as readonly (readonly [string, (plan: Record<string, unknown>) => void, string | RegExp])[])(
    '%s',
    (_, spoil, words) => {
      const details = spoilt(spoil);
      expect(details).toContainEqual(typeof words === 'string' ? words : expect.stringMatching(words));
      for (const detail of details) expect(detail).not.toMatch(/Invalid|expected|received|Unrecognized/);
    },
  );
});
