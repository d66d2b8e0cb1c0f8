import { CTCSS_TENTHS_HZ, DCS_CODES, SERVICE_IDS } from '@umbrex/core/facts';
import type { FieldsOf, Names } from '@umbrex/core/fields';
import {
  BENCH_STATES,
  CALL_SETTLED,
  CALL_WAYS,
  CHECKS,
  type Channel,
  CONDITIONS,
  FIND_STATES,
  NAMING,
  PREPARATIONS,
  STRENGTHS,
} from '@umbrex/core/model';
import fc from 'fast-check';
import { uuid } from './plans';

/* Any value of every field of every thing: what is added to the model does not compile before it is here too. */

/** Ids with the names they stand for; two teams have one name. */
export const NAMES = {
  person: [1, 2, 3].map((n) => ({
    id: uuid(n),
    name: ['Ada Brunlow', 'Bo; Lind', 'Signe "S" Holm'][n - 1] ?? '',
  })),
  team: [11, 12, 13].map((n) => ({ id: uuid(n), name: ['Watch', 'Boat crews', 'watch'][n - 11] ?? '' })),
  group: [21, 22].map((n) => ({ id: uuid(n), name: `Group ${n}` })),
  channel: [31, 32].map((n) => ({ id: uuid(n), name: `Channel ${n}` })),
  plan: [61, 62].map((n) => ({ id: uuid(n), name: `Plan ${n}` })),
  unit: [41, 42, 43].map((n) => ({ id: uuid(n), name: `Set ${n}` })),
  kind: ['pocket-radio', 'page-handheld'].map((id) => ({ id, name: id.replace('-', ' ') })),
} satisfies Names;
const idOf = (kind: keyof typeof NAMES) => fc.constantFrom(...NAMES[kind].map(({ id }) => id));
const orNull = <T>(value: fc.Arbitrary<T>) => fc.option(value, { nil: null });

/** A line as the schemas leave it: no control characters, none that turn the reading direction, no blanks at its ends. */
const text = (most: number, least = 0) =>
  fc
    .oneof(
      fc.string({ unit: 'grapheme', minLength: least, maxLength: most }),
      fc.string({ minLength: least, maxLength: most }),
      fc.constantFrom('=SUM(A1)', "'=1", '-12 dB', 'a; b', '"q"', ' x', 'unknown', '462.5', 'æ, ø'),
    )
    .map((any) =>
      any
        .replace(/[\p{Cc}\u061c\u200e\u200f\u2028-\u202e\u2066-\u2069]/gu, '')
        .slice(0, most)
        .replace(/\p{Cs}/gu, ''),
    );
const line = (most: number, least = 0) =>
  text(most, least)
    .map((any) => any.trim())
    .filter((any) => any.length >= least);
const day = fc
  .date({ min: new Date('2020-01-01'), max: new Date('2039-12-31'), noInvalidDate: true })
  .map((date) => date.toISOString().slice(0, 10));
const dayOrUnknown = fc.oneof(fc.constant('unknown' as const), day);
const hz = fc.integer({ min: 25_000_000, max: 1_300_000_000 });
const knownTone = fc.oneof(
  fc.constant('off'),
  fc.constantFrom(...CTCSS_TENTHS_HZ).map((tenths) => (tenths / 10).toFixed(1)),
  fc.tuple(fc.constantFrom(...DCS_CODES), fc.constantFrom('N', 'I')).map(([code, side]) => `D${code}${side}`),
);
const tone = fc.oneof(fc.constant('unknown'), knownTone);
const coarse = fc.integer({ min: -4000, max: 4000 }).map((n) => Number((n * 0.02).toFixed(2)));
const fine = fc.record({
  latitudeDeg: fc.integer({ min: -90_000, max: 90_000 }).map((n) => n / 1000),
  longitudeDeg: fc.integer({ min: -180_000, max: 180_000 }).map((n) => n / 1000),
});
const places = fc.uniqueArray(fc.nat(9999), { maxLength: 40 }).map((all) => [...all].sort((a, b) => a - b));
const sorted = <V>(all: Record<string, V>) =>
  Object.fromEntries(Object.entries(all).sort(([a], [b]) => (a < b ? -1 : 1)));
const settings = fc.dictionary(fc.stringMatching(/^[a-z]{2,8}$/), fc.nat(500), { maxKeys: 3 }).map(sorted);
const setup = fc
  .dictionary(fc.constantFrom('pocket-radio', 'page-handheld'), settings, { maxKeys: 2 })
  .map(sorted);

const carries = (by: fc.Arbitrary<string>) =>
  fc
    .dictionary(
      by,
      fc
        .subarray(
          NAMES.group.map(({ id }) => id),
          { minLength: 1 },
        )
        .map((ids) => [...ids].sort()),
      { maxKeys: 2 },
    )
    .map(sorted);

const happened = { id: fc.uuid(), day: dayOrUnknown, by: line(60) };
const only = <W extends string>(what: W) => fc.record({ what: fc.constant(what), ...happened });
const evidence = fc.oneof(
  only('factory'),
  only('read'),
  only('other'),
  only('returned'),
  fc
    .record({
      what: fc.constant('loaded' as const),
      ...happened,
      saidAt: fc.constantFrom(undefined, '2026-11-20T10:00:00.000Z'),
      planId: orNull(fc.uuid()),
      revision: orNull(fc.integer({ min: 1, max: 99 })),
      way: fc.constantFrom('keys' as const, 'file' as const, 'copy' as const, 'unknown' as const),
      described: fc.constantFrom('', 'a'.repeat(64)),
    })
    .map(({ saidAt, ...rest }) => (saidAt === undefined ? rest : { ...rest, saidAt })),
  fc.record({ what: fc.constant('contradicted' as const), ...happened, note: line(200) }),
  fc.record({
    what: fc.constant('checked' as const),
    ...happened,
    check: fc.constantFrom(...CHECKS),
    number: orNull(fc.nat(99_999)),
    result: fc.constantFrom('pass' as const, 'fail' as const, 'undecided' as const),
    note: line(200),
  }),
  fc.record({
    what: fc.constant('condition' as const),
    ...happened,
    is: fc.constantFrom(...CONDITIONS),
    note: line(200),
  }),
  fc.record({ what: fc.constant('lent' as const), ...happened, to: line(60, 1) }),
  fc.record({
    what: fc.constant('backup' as const),
    ...happened,
    how: fc.constantFrom('photographed' as const, 'read' as const),
    where: line(120, 1),
  }),
  fc.record({
    what: fc.constant('let-go' as const),
    ...happened,
    numbers: fc.array(fc.nat(99_999), { minLength: 1, maxLength: 5 }),
  }),
  fc.record({ what: fc.constant('prepared' as const), ...happened, done: fc.constantFrom(...PREPARATIONS) }),
);

const minute = fc.integer({ min: 0, max: 1440 });
type Any = {
  readonly [K in keyof FieldsOf]: { readonly [F in keyof FieldsOf[K]]-?: fc.Arbitrary<FieldsOf[K][F]> };
};

export const ANY: Any = {
  plan: {
    name: line(60, 1),
    country: fc.constantFrom('unknown', 'US', 'AU', 'EU', 'other'),
    receivePolicy: fc.constantFrom('open', 'closed'),
    resumeDelay: fc.constantFrom('on', 'off'),
    groups: fc.uniqueArray(fc.record({ id: idOf('group'), name: line(40, 1), note: text(120) }), {
      selector: ({ id }) => id,
      minLength: 1,
      maxLength: 2,
    }),
    licensed: fc.array(
      fc.record({
        name: line(40, 1),
        receiveHz: hz,
        transmitHz: hz,
        bandwidthHz: fc.integer({ min: 1, max: 25_000 }),
        maxPowerW: fc.integer({ min: 1, max: 100 }),
        licence: line(40, 1),
        area: text(80),
        expires: day,
      }),
      { maxLength: 3 },
    ),
    services: fc.subarray([...SERVICE_IDS]),
    numbering: orNull(
      fc.record({
        numbers: fc.dictionary(idOf('channel'), fc.nat(99_999), { maxKeys: 2 }),
        pins: fc.subarray(NAMES.channel.map(({ id }) => id)),
      }),
    ),
    alerts: orNull(
      fc.record({
        areas: fc.array(fc.stringMatching(/^[02-9]\d{5}$/), { minLength: 1, maxLength: 5 }),
        reach: fc.constantFrom('one' as const, 'list' as const, 'everywhere' as const),
        weatherHz: fc.oneof(fc.constant('unknown' as const), hz),
        silent: fc.subarray(['TOR', 'SVR', 'RWT'] as const),
      }),
    ) as Any['plan']['alerts'],
    areaNames: fc.dictionary(fc.stringMatching(/^\d{6}$/), line(40, 1), { maxKeys: 3 }).map(sorted),
    fleet: fc.record({
      statuses: fc.array(line(16, 1), { maxLength: 3 }),
      calls: fc.array(fc.record({ name: line(20, 1), fleetId: fc.stringMatching(/^\d{1,8}$/) }), {
        maxLength: 3,
      }),
    }),
    setup,
    roleSetup: fc.dictionary(idOf('team'), setup, { maxKeys: 2 }).map(sorted),
    carried: fc.record({
      kinds: carries(fc.constantFrom('pocket-radio', 'page-handheld')),
      teams: carries(idOf('team')),
      units: carries(fc.uuid()),
    }),
    withoutRight: fc.constantFrom('leave-out', 'warn'),
    spares: fc.constantFrom('licensed', 'listen-only'),
    planned: fc.constantFrom('load', 'leave-out'),
    withdrawn: fc.constantFrom('load', 'leave-out'),
    loadOn: fc.option(day),
    archived: fc.boolean(),
    naming: fc.record({
      all: fc.constantFrom(...NAMING),
      kinds: fc
        .dictionary(fc.constantFrom('pocket-radio', 'page-handheld'), fc.constantFrom(...NAMING))
        .map(sorted),
    }),
  },
  channel: {
    id: fc.uuid(),
    groupId: idOf('group'),
    name: line(40, 1),
    receiveHz: hz,
    transmitHz: orNull(hz),
    transmitTone: tone,
    receiveTone: tone,
    receivePolicy: fc.constantFrom('plan', 'open', 'closed'),
    bandwidth: fc.constantFrom('narrow', 'wide', 'unknown'),
    mode: fc.constantFrom('FM', 'AM', 'digital'),
    service: fc.constantFrom(...SERVICE_IDS, 'other' as const),
    access: fc.constantFrom('open', 'permission', 'unknown'),
    tier: fc.constantFrom('must', 'should', 'nice'),
    note: text(400),
    aliases: fc.array(line(40, 1), { maxLength: 8 }),
    shortNames: fc.array(line(20, 1), { maxLength: 4 }),
    tonesSecret: fc.boolean(),
    listed: orNull(fc.record({ source: line(60, 1), changed: dayOrUnknown, taken: day })),
    trunk: orNull(
      fc.record({
        network: line(40, 1),
        carries: fc.constantFrom('control' as const, 'calls' as const),
        isLocal: fc.oneof(fc.boolean(), fc.constant('unknown' as const)),
      }),
    ),
    scan: fc.constantFrom('usual', 'in', 'out', 'priority'),
    resumeDelay: fc.constantFrom('plan', 'on', 'off'),
    state: fc.constantFrom('on-air', 'planned', 'withdrawn'),
  },
  unit: {
    id: fc.uuid(),
    descriptionId: idOf('kind'),
    nickname: line(40, 1),
    // Somebody of the roster is that, not a place of their name.
    holder: line(60).filter(
      (any) => !NAMES.person.some(({ name }) => any.toLowerCase().includes(name.toLowerCase().slice(0, 3))),
    ),
    personId: orNull(idOf('person')),
    serial: line(40),
    firmware: line(20, 1),
    fleetId: line(20),
    accessories: line(120),
    batteryChanged: dayOrUnknown,
    memoryCellChanged: dayOrUnknown,
    testHeard: dayOrUnknown,
    pickedTone: tone,
    holds: fc.oneof(
      fc.record({
        what: fc.constantFrom('unknown' as const, 'other' as const),
        on: dayOrUnknown,
        rest: fc.constant('unknown' as const),
        places: fc.constant([]) as fc.Arbitrary<never[]>,
        settings: fc.constant({}),
        wrote: fc.constant({}),
      }),
      fc.record({
        what: fc.constantFrom('read' as const, 'plan' as const),
        on: dayOrUnknown,
        rest: fc.constantFrom('unknown' as const, 'factory' as const),
        places: fc.array(
          fc.record({
            number: fc.nat(99_999),
            values: orNull(
              fc
                .dictionary(fc.stringMatching(/^[a-z]{2,8}$/), fc.oneof(text(40), fc.nat()), { maxKeys: 4 })
                .map(sorted),
            ),
          }),
          { maxLength: 3 },
        ),
        settings: fc.dictionary(fc.stringMatching(/^[a-z]{2,8}$/), text(40), { maxKeys: 3 }).map(sorted),
        wrote: fc.dictionary(fc.nat(99_999).map(String), fc.nat(), { maxKeys: 3 }).map(sorted),
      }),
    ),
    timeline: fc.array(evidence, { maxLength: 3 }),
    start: fc.constantFrom('absolute', 'reset'),
    names: fc.constantFrom('plan', ...NAMING),
    accepts: places,
    alerts: orNull(
      fc.record({
        areas: fc.array(fc.constantFrom('062042', '062043', '000000'), { minLength: 1, maxLength: 3 }),
        weatherHz: fc.constantFrom('unknown' as const, 162_400_000, 162_550_000),
      }),
    ),
    carries: orNull(idOf('channel')),
    roleId: orNull(idOf('team')),
    keeps: places,
    intake: fc.record({
      cell: fc.constantFrom('unknown', 'good', 'bad'),
      antennaSocket: fc.constantFrom('unknown', 'good', 'bad'),
      speaker: fc.constantFrom('unknown', 'good', 'bad'),
      reset: fc.constantFrom('unknown', 'good', 'bad'),
    }),
    confirmed: fc.boolean(),
    note: text(400),
  },
  bench: {
    id: fc.uuid(),
    name: line(60, 1),
    planId: fc.uuid(),
    revision: fc.integer({ min: 1, max: 99 }),
    day,
    beginsMin: fc.integer({ min: 0, max: 1439 }),
    lastsMin: fc.integer({ min: 10, max: 1440 }),
    people: fc.array(fc.record({ id: idOf('person'), fromMin: minute, toMin: minute }), { maxLength: 3 }),
    stands: fc.nat(20),
    standMin: fc.integer({ min: 1, max: 240 }),
    masterIds: fc.array(idOf('unit'), { maxLength: 2 }),
    setIds: fc.array(idOf('unit'), { maxLength: 3 }),
    tasks: fc.array(
      fc.record({
        setId: idOf('unit'),
        personId: idOf('person'),
        standId: orNull(line(20)),
        masterId: orNull(fc.uuid()),
        way: fc.constantFrom('keys' as const, 'file' as const, 'copy' as const),
        fromMin: minute,
        toMin: minute,
      }),
      { maxLength: 3 },
    ),
    lowerBoundMin: orNull(minute),
    progress: fc.dictionary(idOf('unit'), fc.constantFrom(...BENCH_STATES), { maxKeys: 3 }).map(sorted),
    note: line(400),
  },
  find: {
    id: fc.uuid(),
    at: fc
      .date({ min: new Date('2020-01-01'), max: new Date('2030-01-01'), noInvalidDate: true })
      .map((at) => at.toISOString()),
    receiveHz: hz,
    tone,
    heard: line(200),
    where: line(60),
    unitId: orNull(idOf('unit')),
    state: fc.constantFrom(...FIND_STATES),
    by: line(60),
  },
  heard: {
    id: fc.uuid(),
    at: fc
      .date({ min: new Date('2020-01-01'), max: new Date('2030-01-01'), noInvalidDate: true })
      .map((at) => at.toISOString()),
    planId: idOf('plan'),
    channelId: idOf('channel'),
    way: fc.constantFrom(...CALL_WAYS),
    from: line(60, 1),
    fromId: orNull(idOf('unit')),
    to: line(60, 1),
    toId: orNull(idOf('unit')),
    heard: fc.boolean(),
    readability: fc.constantFrom(1, 2, 3, 4, 5, 'unknown' as const),
    strength: fc.constantFrom(...STRENGTHS, 'unknown' as const),
    fromWhere: line(60),
    toWhere: line(60),
    settled: fc.constantFrom(...CALL_SETTLED),
    by: line(60),
    note: line(200),
  },
  person: {
    id: fc.uuid(),
    name: line(60, 1),
    contact: line(120),
    licences: fc.array(
      fc.record({
        service: fc.constantFrom('gmrs', 'business', 'amateur', 'marine'),
        holds: fc.constantFrom('own', 'family', 'employer'),
        expires: dayOrUnknown,
        callSign: fc.oneof(fc.constant(''), fc.stringMatching(/^[A-Z]{2,4}[0-9]{2,3}$/)),
        class: fc.oneof(
          fc.constant(''),
          fc.stringMatching(/^[a-z]{3,10}$/).filter((w) => !/^(own|family|employer)$/.test(w)),
        ),
      }),
      { maxLength: 3 },
    ),
    teamIds: fc.subarray(NAMES.team.map(({ id }) => id)),
    place: orNull(fc.record({ latitudeDeg: coarse, longitudeDeg: coarse })),
    note: text(400),
  },
  team: {
    id: fc.uuid(),
    name: line(40, 1),
    note: text(120),
  },
  station: {
    id: fc.uuid(),
    kind: fc.constantFrom('repeater', 'weather', 'listen', 'trunked'),
    name: line(60, 1),
    site: orNull(fine),
    facts: fc.array(
      fc.oneof(
        fc.record({
          field: fc.constant('outputHz' as const),
          value: hz,
          source: line(60, 1),
          on: dayOrUnknown,
        }),
        fc.record({
          field: fc.constant('inputTone' as const),
          value: knownTone,
          source: line(60, 1),
          on: dayOrUnknown,
        }),
        fc.record({
          field: fc.constant('owner' as const),
          value: line(80, 1),
          source: line(60, 1),
          on: dayOrUnknown,
        }),
      ),
      { maxLength: 4 },
    ),
    permission: fc.record({
      state: fc.constantFrom('unknown', 'open', 'asked', 'granted', 'refused'),
      by: line(60),
      on: dayOrUnknown,
      note: text(400),
      expires: dayOrUnknown,
    }),
    reports: fc.array(fc.record({ personId: idOf('person'), reached: fc.boolean(), on: day }), {
      maxLength: 3,
    }),
    note: text(400),
  },
  net: {
    id: fc.uuid(),
    name: line(60, 1),
    startsAt: day.map((at) => `${at}T19:30`),
    timeZone: fc.constantFrom('Europe/Oslo', 'America/New_York', 'UTC'),
    repeats: fc.constantFrom('once', 'daily', 'weekly', 'monthly'),
    channelId: orNull(idOf('channel')),
    fallbackId: orNull(idOf('channel')),
    leader: line(60),
    roles: fc.array(fc.record({ name: line(40, 1), who: line(60), channelId: orNull(idOf('channel')) }), {
      maxLength: 3,
    }),
    checkIns: fc.array(
      fc.record({
        who: line(60, 1),
        at: fc
          .date({ min: new Date('2020-01-01'), max: new Date('2039-12-31'), noInvalidDate: true })
          .map((date) => date.toISOString()),
        note: line(200),
        heardBy: line(60),
        channelId: orNull(idOf('channel')),
      }),
      { maxLength: 3 },
    ),
    listFrom: orNull(
      fc
        .date({ min: new Date('2020-01-01'), max: new Date('2039-12-31'), noInvalidDate: true })
        .map((date) => date.toISOString()),
    ),
    note: text(400),
  },
};

/** Any thing of a kind that its schema takes. */
export function anyThing<K extends keyof FieldsOf>(kind: K): fc.Arbitrary<FieldsOf[K]> {
  const any = fc.record(ANY[kind] as Record<string, fc.Arbitrary<unknown>>) as fc.Arbitrary<unknown>;
  return any.map((thing) => (kind === 'channel' ? lawful(thing as Channel) : thing) as FieldsOf[K]);
}

/** What is only heard sends no tone, and a network is only heard. */
export function lawful(channel: Channel): Channel {
  const transmitHz = channel.trunk === null ? channel.transmitHz : null;
  return { ...channel, transmitHz, transmitTone: transmitHz === null ? 'off' : channel.transmitTone };
}
