import { groundsOf } from '@umbrex/core/grounds';
import { PersonSchema, StationSchema } from '@umbrex/core/model';
import { type HeldLicence, type Sender, senderOf, type TransmitRule, transmitRule } from '@umbrex/core/rules';
import { describe, expect, it } from 'vitest';
import { channel, plan, unit, uuid } from '../support/plans';

/*
 * Who may send where: a person or a team, their licences, a day, a channel and a set. Decided by hand from the sections named beside each
 * column before the rules were asked (47 CFR, from memory). T: may send; ?: nobody knows; all others listen.
 */

const DAY = '2026-11-25';
const of = (service: string, holds: HeldLicence['holds'], expires: string): HeldLicence => ({
  service,
  holds,
  expires,
});

/** By letter. A licence is good on its last day (95.1731 and common practice). */
const WHO: Readonly<Record<string, Sender['each']>> = {
  none: [[]],
  own: [[of('gmrs', 'own', '2033-04-30')]],
  ended: [[of('gmrs', 'own', '2026-11-24')]],
  lastDay: [[of('gmrs', 'own', '2026-11-25')]],
  family: [[of('gmrs', 'family', '2034-01-01')]],
  employer: [[of('gmrs', 'employer', '2034-01-01')]],
  unsaid: [[of('gmrs', 'own', 'unknown')]],
  amateur: [[of('amateur', 'own', '2031-02-28')]],
  works: [[of('business', 'employer', '2031-02-28')]],
  both: [[of('amateur', 'own', '2031-02-28'), of('gmrs', 'own', '2030-06-30')]],
  renewed: [[of('gmrs', 'own', '2020-01-01'), of('gmrs', 'family', '2034-01-01')]],
  unsaidToo: [[of('gmrs', 'own', 'unknown'), of('gmrs', 'own', '2026-01-01')]],
  agency: [[of('interop', 'employer', '2031-02-28')]],
  teamOfTwo: [[of('gmrs', 'own', '2033-04-30')], [of('gmrs', 'family', '2034-01-01')]],
  teamWithOneWithout: [[of('gmrs', 'own', '2033-04-30')], []],
  teamWithOneUnsaid: [[of('gmrs', 'own', '2033-04-30')], [of('gmrs', 'own', 'unknown')]],
  nobody: null,
};
const ALL = Object.keys(WHO).join(' ');
const GMRS = 'own lastDay family both renewed teamOfTwo nobody';
const UNSAID = 'unsaid unsaidToo teamWithOneUnsaid';

const row = (receiveHz: number, expires: string) => ({
  name: 'Ferry',
  receiveHz,
  transmitHz: receiveHz,
  bandwidthHz: 11_250,
  maxPowerW: 2,
  licence: 'Ostrel Ferry',
  area: '',
  expires,
});
const US = { country: 'US', licensed: [row(451_812_500, '2031-05-31'), row(452_012_500, '2026-11-24')] };

type Set = Parameters<typeof transmitRule>[1];
const hand = (...certifiedFor: string[]): Set => ({ certifiedFor, station: 'hand-held' }) as Set;
const mobile = (...certifiedFor: string[]): Set => ({ certifiedFor, station: 'mobile' }) as Set;
interface Column {
  readonly says: string;
  readonly on: readonly [number, number];
  readonly set: Set;
  readonly may: string;
  readonly unknown?: string;
  readonly day?: string;
  readonly more?: Partial<Sender>;
  readonly context?: Parameters<typeof transmitRule>[2];
}
const PAIR = [462.65, 467.65] as const;
// biome-ignore format: a table
const COLUMNS: readonly Column[] = [
  { says: '95.1705, 95.1763: interstitial', on: [462.6625, 462.6625], set: hand('gmrs'), may: GMRS, unknown: UNSAID },
  { says: '95.1705, 95.1763: main', on: [462.65, 462.65], set: hand('gmrs'), may: GMRS, unknown: UNSAID },
  { says: '95.1705, 95.1763: repeater', on: PAIR, set: hand('gmrs'), may: GMRS, unknown: UNSAID },
  { says: '95.1763: repeater from a vehicle', on: PAIR, set: mobile('gmrs'), may: GMRS, unknown: UNSAID },
  { says: '95.1761: a set for FRS', on: PAIR, set: hand('frs'), may: '' },
  { says: '95.1761: a set for amateurs', on: [462.65, 462.65], set: hand(), may: '' },
  { says: '95.305: FRS needs no licence', on: [462.5625, 462.5625], set: hand('frs'), may: ALL },
  { says: '95.305: FRS 8 to 14', on: [467.6375, 467.6375], set: hand('frs'), may: ALL },
  { says: '95.1763: 467 MHz interstitials hand-held alone', on: [467.6375, 467.6375], set: mobile('gmrs'), may: '' },
  { says: '95.305: MURS needs no licence', on: [151.82, 151.82], set: hand('murs'), may: ALL },
  { says: '95.2761: a set that is not for MURS', on: [151.82, 151.82], set: hand('gmrs'), may: '' },
  { says: '97.5: amateur 2 m', on: [146.52, 146.52], set: hand(), may: 'amateur both nobody' },
  { says: '97.5: amateur 70 cm through a repeater', on: [442.1, 447.1], set: hand(), may: 'amateur both nobody' },
  { says: '90.35: the own frequency', on: [451.8125, 451.8125], set: hand('business'), may: 'works nobody' },
  { says: '90.35: the authorisation has ended, whoever asks', on: [452.0125, 452.0125], set: hand('business'), may: '' },
  { says: '90.35: somebody else’s frequency', on: [451.85, 451.85], set: hand('business'), may: '' },
  { says: '90.20: interoperability', on: [151.1375, 151.1375], set: hand('interop'), may: 'agency nobody' },
  { says: '90.20: interoperability of medical services', on: [155.34, 155.34], set: hand('business'), may: 'agency nobody' },
  { says: '90.531: interoperability at 700 MHz', on: [769.24375, 799.24375], set: hand('interop'), may: 'agency nobody' },
  { says: '90.35(b)(3): an itinerant frequency that is not on the licence', on: [464.55, 464.55], set: hand('business'), may: '' },
  { says: '90.35: a pair of itinerant frequencies that is not on the licence', on: [464.55, 469.55], set: hand('business'), may: '' },
  { says: 'rail: nobody here', on: [160.59, 160.59], set: hand('business'), may: '' },
  { says: 'weather: nobody', on: [162.55, 162.55], set: hand('gmrs'), may: '' },
  { says: 'air: nobody here', on: [121.5, 121.5], set: hand('gmrs'), may: '' },
  { says: 'no table knows it', on: [155.1, 155.1], set: hand('business'), may: '' },
  { says: '95.1763: not the pair', on: [462.65, 467.675], set: hand('gmrs'), may: '' },
  { says: 'the keeper refused', on: PAIR, set: hand('gmrs'), may: '', more: { refused: [{ receiveHz: 462_650_000, transmitHz: 467_650_000 }] } },
  { says: 'the keeper of another one refused', on: PAIR, set: hand('gmrs'), may: GMRS, unknown: UNSAID, more: { refused: [{ receiveHz: 462_675_000, transmitHz: 467_675_000 }] } },
  { says: '95.1731: the day after the last', on: PAIR, set: hand('gmrs'), day: '2026-11-26', may: GMRS.replace('lastDay', ''), unknown: UNSAID },
  { says: '95.1731: years later', on: PAIR, set: hand('gmrs'), day: '2033-05-01', may: 'family renewed nobody', unknown: 'unsaid unsaidToo' },
  { says: '95.1731: before the first ended', on: PAIR, set: hand('gmrs'), day: '2026-11-24', may: `${GMRS} ended`, unknown: UNSAID },
  { says: 'a set of which nobody knows what it is for', on: PAIR, set: { certifiedFor: 'unknown', station: 'hand-held' }, may: '', unknown: ALL },
  { says: 'spare sets listen by the plan', on: PAIR, set: hand('gmrs'), may: GMRS.replace('nobody', ''), unknown: UNSAID, context: { ...US, spares: 'listen-only' } },
  { says: 'but where nobody needs a licence', on: [462.5625, 462.5625], set: hand('frs'), may: ALL, context: { ...US, spares: 'listen-only' } },
  { says: 'another country’s tables', on: PAIR, set: hand('gmrs'), may: '', context: { country: 'AU' } },
  { says: 'class licence of Australia', on: [476.7, 476.7], set: hand('uhf-cb-au'), may: ALL, context: { country: 'AU' } },
  { says: 'no tables', on: PAIR, set: hand('gmrs'), may: '', unknown: ALL, context: { country: 'other' } },
];

const LETTER: Readonly<Record<TransmitRule['may'], string>> = { transmit: 'T', listen: '.', unknown: '?' };

describe('who may send where, with what, when', () => {
  it.each(COLUMNS.map((column) => [column.says, column] as const))('%s', (_, column) => {
    const { on, set, may, unknown = '', day = DAY, more = {}, context = US } = column;
    const has = (list: string, who: string) => list.split(' ').includes(who);
    const expected = Object.keys(WHO).map((who) =>
      has(may, who) ? `${who} T` : has(unknown, who) ? `${who} ?` : `${who} .`,
    );
    const found = Object.entries(WHO).map(([who, each]) => {
      const rule = transmitRule(channel('Asked', on[0], on[1]), set, context, { each, day, ...more });
      return `${who} ${LETTER[rule.may]}`;
    });
    expect(found).toEqual(expected);
  });
  it('are more than 200 cases', () => expect(COLUMNS.length * Object.keys(WHO).length).toBeGreaterThan(400));
});

describe('who sends with a set', () => {
  const person = (n: number, licences: readonly HeldLicence[], teamIds: string[] = []) =>
    PersonSchema.parse({ id: uuid(n), name: `P${n}`, licences, teamIds });
  const licence = of('gmrs', 'own', '2033-04-30');
  const good = { ...licence, expires: DAY };
  const people = [person(20, [licence]), person(21, [], [uuid(40)]), person(22, [licence], [uuid(40)])];
  const each = (more: { personId?: string; roleId?: string }) =>
    senderOf(groundsOf([unit(1, 'page-handheld', more)], people, [], DAY), { id: uuid(1) }).each;
  it('is its holder, whatever team it is set up for', () =>
    expect(each({ personId: uuid(20), roleId: uuid(40) })).toEqual([[good]]));
  it('is everybody of the team where no one person holds it', () =>
    expect(each({ roleId: uuid(40) })).toEqual([[], [good]]));
  it('is nobody where nobody is in the team, or nothing is said', () =>
    expect([each({ roleId: uuid(41) }), each({})]).toEqual([null, null]));
  it('is somebody without a known licence where the holder cannot be read', () =>
    expect(each({ personId: uuid(99) })).toEqual([[]]));
  it('is alike for two whose licences are good for as long as it matters, and keeps the day of one that ended', () => {
    const two = [
      person(20, [licence]),
      person(21, [of('gmrs', 'own', DAY)]),
      person(22, [of('gmrs', 'own', '2026-11-24')]),
    ];
    const units = two.map(({ id }, i) => unit(i + 1, 'page-handheld', { personId: id }));
    const { each: found } = groundsOf(units, two, [], DAY);
    expect(found[uuid(1)]).toEqual(found[uuid(2)]);
    expect(found[uuid(3)]).toEqual([[of('gmrs', 'own', '2026-11-24')]]);
  });
  it('carries no name and no call sign', () => {
    const named = PersonSchema.parse({
      id: uuid(20),
      name: 'Ada',
      contact: 'ada',
      licences: [{ ...licence, callSign: 'SECRET', class: 'x' }],
    });
    const text = JSON.stringify(
      groundsOf([unit(1, 'page-handheld', { personId: uuid(20) })], [named], [], DAY),
    );
    expect(text).not.toMatch(/Ada|ada|SECRET/);
  });
});

describe('a keeper’s word', () => {
  const PAIR_HZ = { receiveHz: 462_650_000, transmitHz: 467_650_000 };
  const station = (n: number, permission: object, facts = true) =>
    StationSchema.parse({
      id: uuid(n),
      kind: 'repeater',
      name: `R${n}`,
      permission,
      facts: facts
        ? [
            { field: 'outputHz', value: PAIR_HZ.receiveHz, source: 'us', on: '2026-01-01' },
            { field: 'inputHz', value: PAIR_HZ.transmitHz, source: 'us', on: '2026-01-01' },
          ]
        : [],
    });
  const refused = (...stations: ReturnType<typeof station>[]) => groundsOf([], [], stations, DAY).refused;
  it.each([
    ['refused', { state: 'refused' }, true],
    ['granted, and ended yesterday', { state: 'granted', expires: '2026-11-24' }, true],
    ['open until yesterday', { state: 'open', expires: '2026-11-24' }, true],
    ['granted until today', { state: 'granted', expires: DAY }, false],
    ['granted without an end', { state: 'granted' }, false],
    ['nobody asked', { state: 'unknown' }, false],
    ['asked, no answer', { state: 'asked', expires: '2026-11-24' }, false],
  ])('%s', (_, permission, isRefused) =>
    expect(refused(station(1, permission))).toEqual(isRefused ? [PAIR_HZ] : []),
  );
  it.each([
    ['nobody asked', [{ state: 'unknown' }], true],
    ['asked, no answer', [{ state: 'asked', expires: '2026-11-24' }], true],
    ['open', [{ state: 'open' }], false],
    ['granted until today', [{ state: 'granted', expires: DAY }], false],
    ['one refused, the other not asked', [{ state: 'refused' }, { state: 'unknown' }], true],
    ['one open, the other not asked', [{ state: 'open' }, { state: 'unknown' }], false],
  ])('%s: somebody is to be asked first, and nobody is stopped', (_, permissions, isAsked) => {
    const grounds = groundsOf(
      [],
      [],
      permissions.map((permission, i) => station(i, permission)),
      DAY,
    );
    expect([grounds.refused, grounds.unsettled]).toEqual([[], isAsked ? [PAIR_HZ] : []]);
    const channel = { ...PAIR_HZ, service: 'gmrs' as const };
    const sender = { ...senderOf(grounds, { id: uuid(1) }), each: WHO.own ?? null };
    const rule = transmitRule(channel, { certifiedFor: ['gmrs'], station: 'hand-held' }, plan([]), sender);
    expect(rule.may).toBe('transmit');
    const codes = rule.may === 'transmit' ? rule.findings.map(({ code }) => code) : [];
    expect(codes.includes('keeper-not-asked')).toBe(isAsked);
  });
  it('shuts nobody out of another repeater on the same pair that is open, nor where its pair is not known', () => {
    expect(refused(station(1, { state: 'refused' }), station(2, { state: 'open' }))).toEqual([]);
    expect(refused(station(1, { state: 'refused' }), station(2, { state: 'refused' }))).toEqual([PAIR_HZ]);
    expect(refused(station(1, { state: 'refused' }, false))).toEqual([]);
  });
});
