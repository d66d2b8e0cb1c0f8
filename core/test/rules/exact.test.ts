import { SERVICES, type Service } from '@umbrex/core/facts';
import {
  ANYBODY,
  aliasesOf,
  closedService,
  type HeldLicence,
  mustStayQuiet,
  NO_GROUNDS,
  neverTested,
  personFinding,
  type RuleContext,
  ruleRows,
  type Sender,
  senderOf,
  touchedService,
  transmitRule,
  withoutTables,
} from '@umbrex/core/rules';
import { describe, expect, it } from 'vitest';
import { channel, uuid } from '../support/plans';

/* What the rules answer to the last word: each answer with its reason and section, and the edges on both sides (sections from memory). */

const US: RuleContext = { country: 'US' };
const DAY = '2026-11-25';
const by = (...each: HeldLicence[][]): Sender => ({ each, day: DAY });
const has = (service: string, holds: HeldLicence['holds'] = 'own', expires = '2030-01-01'): HeldLicence => ({
  service,
  holds,
  expires,
});
const HAND = {
  certifiedFor: ['gmrs', 'frs', 'murs', 'business', 'marine', 'interop'],
  station: 'hand-held',
} as const;
const ask = (mhz: number, tx: number | null = mhz, more: Partial<ReturnType<typeof channel>> = {}) =>
  channel('Asked', mhz, tx, more);
const answer = (
  of: ReturnType<typeof channel>,
  sender: Sender = by([has('gmrs'), has('amateur')]),
  context = US,
  device: Parameters<typeof transmitRule>[1] = HAND as never,
) => {
  const rule = transmitRule(of, device, context, sender);
  return rule.may === 'transmit'
    ? [rule.may, rule.service.id, rule.limitW, rule.basis, rule.findings]
    : [rule.may, rule.finding];
};
const PAIR = { receiveHz: 462_650_000, transmitHz: 467_650_000 };

describe('reasons, with their sections', () => {
  it('what only a weather station or an aircraft sends, as the check says it too', () => {
    for (const [mhz, service] of [
      [162.4, SERVICES.weather],
      [121.5, SERVICES.airband],
    ] as const)
      expect(answer(ask(mhz))).toEqual([
        'listen',
        { code: 'nobody-transmits-here', severity: 'error', source: service.licenceCitation },
      ]);
    const repeater = answer(ask(462.65, 162.4));
    expect(repeater[1]).toMatchObject({ code: 'nobody-transmits-here' });
  });
  it('an itinerant frequency, until it is in the group’s own licence', () =>
    expect(answer(ask(464.5))).toEqual([
      'listen',
      { code: 'not-on-a-licence', severity: 'warning', source: SERVICES.itinerant.licenceCitation },
    ]));
  it('a keeper who refused, and one whom nobody asked, on exactly that pair', () => {
    const gmrs = has('gmrs');
    const pairs = (pair: typeof PAIR) => [
      { receiveHz: 1, transmitHz: pair.transmitHz },
      { receiveHz: pair.receiveHz, transmitHz: 1 },
    ];
    const kelp = ask(462.65, 467.65);
    const needed = {
      code: 'licence-needed',
      severity: 'note',
      service: 'gmrs',
      source: SERVICES.gmrs.licenceCitation,
    };
    expect(answer(kelp, { ...by([gmrs]), refused: [PAIR] })).toEqual([
      'listen',
      { code: 'keeper-refused', severity: 'error' },
    ]);
    expect(answer(kelp, { ...by([gmrs]), refused: pairs(PAIR), unsettled: pairs(PAIR) })).toEqual([
      'transmit',
      'gmrs',
      50,
      'transmitter',
      [needed],
    ]);
    expect(answer(kelp, { ...by([gmrs]), unsettled: [PAIR] })).toEqual([
      'transmit',
      'gmrs',
      50,
      'transmitter',
      [needed, { code: 'keeper-not-asked', severity: 'warning' }],
    ]);
    // Who may not send there in any case is told why, and not whom to ask.
    expect(answer(kelp, { ...by([]), unsettled: [PAIR] })[0]).toBe('listen');
  });
  it('says what is needed only where something is', () => {
    expect(answer(ask(151.82), ANYBODY)).toEqual(['transmit', 'murs', 2, 'transmitter', []]);
    expect(answer(ask(156.45), ANYBODY)).toEqual([
      'transmit',
      'marine',
      25,
      'transmitter',
      [{ code: 'only-aboard', severity: 'note', source: SERVICES.marine.licenceCitation }],
    ]);
  });
  it('without tables, by what is known of the country', () => {
    expect(withoutTables('unknown')).toEqual({ code: 'country-unknown', severity: 'warning' });
    expect(withoutTables('other')).toEqual({ code: 'country-not-covered', severity: 'warning' });
  });
  it('a spare set, where the plan takes it that nobody has a licence: as somebody without one', () => {
    const of = ask(462.65, 467.65);
    const without = { country: 'US', spares: 'listen-only' } as const;
    expect(answer(of, ANYBODY, without)).toEqual([
      'listen',
      { code: 'no-licence', severity: 'error', service: 'gmrs', source: SERVICES.gmrs.licenceCitation },
    ]);
    expect(answer(of, ANYBODY, { ...without, spares: 'licensed' })[0]).toBe('transmit');
    expect(answer(of, senderOf(NO_GROUNDS, { id: uuid(1) }))[0]).toBe('transmit');
    expect(senderOf({ ...NO_GROUNDS, day: DAY }, { id: uuid(1) })).toEqual({
      each: null,
      day: DAY,
      refused: [],
      unsettled: [],
    });
    expect('day' in senderOf(NO_GROUNDS, { id: uuid(1) })).toBe(false);
  });
});

describe('licences', () => {
  const gmrs = (holds: HeldLicence['holds'], expires: string) => has('gmrs', holds, expires);
  const kelp = ask(462.65, 467.65);
  const source = SERVICES.gmrs.licenceCitation;
  it.each([
    [
      'an employee of a licensee',
      [gmrs('employer', '2030-01-01')],
      { code: 'licence-does-not-cover', severity: 'error', holds: 'employer', source },
    ],
    ['none', [has('marine')], { code: 'no-licence', severity: 'error', service: 'gmrs', source }],
    [
      'two that ended: the later one is said',
      [gmrs('own', '2026-01-01'), gmrs('family', '2025-01-01')],
      { code: 'licence-expired', severity: 'error', expires: '2026-01-01', source },
    ],
    [
      'two that ended, the other way round',
      [gmrs('own', '2024-01-01'), gmrs('family', '2025-01-01')],
      { code: 'licence-expired', severity: 'error', expires: '2025-01-01', source },
    ],
    [
      'one that ended yesterday',
      [gmrs('own', '2026-11-24')],
      { code: 'licence-expired', severity: 'error', expires: '2026-11-24', source },
    ],
  ])('%s', (_, held, finding) => expect(answer(kelp, by(held))).toEqual(['listen', finding]));
  it('of which nobody knows the end, beside one that ended', () =>
    expect(answer(kelp, by([gmrs('own', '2024-01-01'), gmrs('own', 'unknown')]))).toEqual([
      'unknown',
      { code: 'licence-expiry-unknown', severity: 'warning', source },
    ]));
  it('of a team: who surely may not decides, whoever stands first', () => {
    const [perhaps, surely] = [[gmrs('own', 'unknown')], [has('marine')]];
    for (const each of [
      [perhaps, surely],
      [surely, perhaps],
    ])
      expect(answer(kelp, by(...each))).toEqual([
        'listen',
        { code: 'no-licence', severity: 'error', service: 'gmrs', source },
      ]);
    expect(answer(kelp, by(perhaps, perhaps))[0]).toBe('unknown');
  });
  it('without a day none has ended; on its last day it has not', () => {
    expect(answer(kelp, { each: [[gmrs('own', '2000-01-01')]] })[0]).toBe('transmit');
    expect(answer(kelp, by([gmrs('own', DAY)]))[0]).toBe('transmit');
  });
  it('amateur is personal; business and authorised count by the employer, and not by family (97.5, 90.35)', () => {
    const two = ask(146.52, 146.52);
    expect(answer(two, by([has('amateur')]))[0]).toBe('transmit');
    for (const holds of ['family', 'employer'] as const)
      expect(answer(two, by([has('amateur', holds)]))[1]).toMatchObject({
        code: 'licence-does-not-cover',
        holds,
      });
    const calling = ask(155.7525, 155.7525);
    for (const [holds, may] of [
      ['own', 'transmit'],
      ['employer', 'transmit'],
      ['family', 'listen'],
    ] as const)
      expect([holds, answer(calling, by([has('interop', holds)]))[0]]).toEqual([holds, may]);
  });
});

describe('power', () => {
  const FIXED = { certifiedFor: ['gmrs', 'amateur'], station: 'fixed' } as never;
  it('of a fixed station is 15 W on the main channels, and what the row says elsewhere (95.1767)', () => {
    expect(answer(ask(462.65, 467.65), by([has('gmrs')]), US, FIXED).slice(0, 3)).toEqual([
      'transmit',
      'gmrs',
      15,
    ]);
    // A band has no row, and with it no limit of its own for a fixed station (97.313).
    expect(answer(ask(146.52), by([has('amateur')]), US, FIXED).slice(0, 3)).toEqual([
      'transmit',
      'amateur-2m',
      1500,
    ]);
    expect(ruleRows(ask(146.58), US).map(({ channel: row }) => row)).toEqual([undefined]);
    expect(answer(ask(146.58), by([has('amateur')]), US, FIXED).slice(0, 3)).toEqual([
      'transmit',
      'amateur-2m',
      1500,
    ]);
  });
  it('of a row without a limit is the fixed station’s', () => {
    const table = {
      ...SERVICES.gmrs,
      channels: [{ ...SERVICES.gmrs.channels[0], maxPowerW: null, powerBasis: null, fixedMaxW: 7 }],
    } as unknown as Service;
    const hz = (table.channels[0]?.receiveHz ?? 0) / 1e6;
    const context = { country: 'US', tables: [table] };
    expect(answer(ask(hz), by([has('gmrs')]), context, FIXED)[2]).toBe(7);
    expect(answer(ask(hz), by([has('gmrs')]), context)[2]).toBeNull();
  });
});

describe('bands of the amateurs', () => {
  const AMATEUR = by([has('amateur')]);
  const at = (mhz: number, more: Partial<ReturnType<typeof channel>>) =>
    answer(ask(mhz, mhz, more), AMATEUR)[1];
  // 144.1 to 148 MHz for voices; half of a signal is 8 kHz wide, 5.625 kHz narrow or digital, 3 kHz in AM (Carson).
  it.each([
    [147.992, { bandwidth: 'wide' }, true],
    [147.9921, { bandwidth: 'wide' }, false],
    [147.992, { bandwidth: 'unknown' }, true],
    [147.9943, { bandwidth: 'narrow' }, true],
    [147.9945, { bandwidth: 'narrow' }, false],
    [147.9943, { bandwidth: 'wide', mode: 'digital' }, true],
    [147.9945, { bandwidth: 'wide', mode: 'digital' }, false],
    [147.997, { bandwidth: 'wide', mode: 'AM' }, true],
    [147.9972, { bandwidth: 'wide', mode: 'AM' }, false],
    [144.108, { bandwidth: 'wide' }, true],
    [144.1079, { bandwidth: 'wide' }, false],
  ] as const)('%d MHz, %o: inside %s', (mhz, more, isInside) => {
    const edge = { code: 'band-edge', severity: 'error', source: SERVICES['amateur-2m'].modesCitation };
    if (isInside) expect(at(mhz, more)).toBe('amateur-2m');
    else expect(at(mhz, more)).toEqual(edge);
  });
  it('begin and end where the table says, for what is heard and for what is sent', () => {
    const ids = (receiveHz: number, transmitHz: number | null) =>
      ruleRows({ receiveHz, transmitHz }, US).map(({ service }) => service.id);
    expect(ids(144_000_000, null)).toEqual(['amateur-2m']);
    expect(ids(143_999_999, null)).toEqual([]);
    expect(ids(148_000_000, null)).toEqual(['amateur-2m']);
    expect(ids(148_000_001, null)).toEqual([]);
    expect(ids(146_940_000, 146_340_000)).toEqual(['amateur-2m']);
    expect(ids(146_940_000, 148_340_000)).toEqual([]);
    expect(ids(150_000_000, 146_340_000)).toEqual([]);
    const [row] = ruleRows({ receiveHz: 146_940_000, transmitHz: null }, US);
    expect(row).toMatchObject({ channel: undefined, handHeldOnly: false, isAtEdge: false, limitW: 1500 });
    // What is only listened to has no edge to send over.
    expect(ruleRows({ receiveHz: 148_000_000, transmitHz: null }, US)[0]?.isAtEdge).toBe(false);
  });
});

describe('rows', () => {
  const own = {
    name: 'F',
    receiveHz: 451_812_500,
    transmitHz: 456_812_500,
    bandwidthHz: 11_250,
    maxPowerW: 2,
    licence: 'L',
    area: '',
    expires: '2031-01-01',
  };
  const context = { country: 'US', licensed: [own] };
  const ids = (receiveHz: number, transmitHz: number | null, of: RuleContext = context) =>
    ruleRows({ receiveHz, transmitHz }, of).map(({ service, licensed }) => [service.id, licensed?.name]);
  it('a group’s own frequencies are theirs as a pair, and heard by the output alone', () => {
    expect(ids(451_812_500, 456_812_500)).toEqual([['business', 'F']]);
    expect(ids(451_812_500, null)).toEqual([['business', 'F']]);
    expect(ids(451_812_500, 451_812_500)).toEqual([]);
    expect(ids(456_812_500, null)).toEqual([]);
    expect(ids(456_812_500, 456_812_500)).toEqual([]);
    expect(ids(451_812_500, 456_812_500, { country: 'US' })).toEqual([]);
  });
  it('other tables than the shipped ones are used where they are given, and only then', () => {
    const only = { country: 'US', tables: [SERVICES.murs] };
    expect(ids(151_820_000, 151_820_000, only)).toEqual([['murs', undefined]]);
    expect(ids(462_562_500, 462_562_500, only)).toEqual([]);
    expect(touchedService({ receiveHz: 462_562_500, transmitHz: 1 }, only)).toBeUndefined();
    expect(touchedService({ receiveHz: 462_562_500, transmitHz: 1 }, US)?.id).toBe('gmrs');
    const quiet = {
      ...SERVICES.murs,
      channels: SERVICES.murs.channels.map((row) => ({ ...row, neverTest: true })),
    };
    expect(neverTested({ receiveHz: 151_820_000 }, { country: 'US', tables: [quiet] })?.number).toBe('1');
    expect(neverTested({ receiveHz: 151_820_000 }, US)).toBeUndefined();
    expect(
      neverTested({ receiveHz: 156_800_000 }, { country: 'US', tables: [SERVICES.murs] }),
    ).toBeUndefined();
    expect(neverTested({ receiveHz: 156_800_000 }, US)?.number).toBe('16');
    expect(neverTested({ receiveHz: 156_800_000 }, { country: 'EU' })?.number).toBe('16');
  });
  it('a channel that is only listened to closes whatever comes in on it or goes out to it', () => {
    const closed = (receiveHz: number, transmitHz: number, context = US) =>
      closedService({ receiveHz, transmitHz }, context)?.id;
    expect([closed(162_550_000, 1), closed(1, 162_550_000), closed(1, 2)]).toEqual([
      'weather',
      'weather',
      undefined,
    ]);
    expect(closed(462_562_500, 462_562_500)).toBeUndefined();
    expect(closed(162_550_000, 1, { country: 'US', tables: [SERVICES.murs] })).toBeUndefined();
    expect(closed(162_550_000, 1, { country: 'US', tables: [SERVICES.weather] })).toBe('weather');
  });
  it('a band in which nobody transmits, in tables of somebody’s own: said with its section', () => {
    const service: Service = {
      ...SERVICES['amateur-2m'],
      licence: 'closed',
      licenceCitation: 'section 1',
      channels: [],
    };
    const context = { country: 'US', tables: [service] };
    expect(transmitRule(ask(146.58), HAND as never, context, by([has('amateur')]))).toEqual({
      may: 'listen',
      finding: { code: 'nobody-transmits-here', severity: 'error', source: 'section 1' },
    });
    const [row] = ruleRows(ask(146.58), context);
    if (!row) throw new Error('no row');
    // Whatever licence somebody has of that name.
    expect(personFinding([has('amateur-2m'), has('amateur-2m', 'employer')], row, DAY)?.code).toBe(
      'licence-does-not-cover',
    );
  });
  it('of several services on a frequency one that must stay quiet is enough', () => {
    const rows = SERVICES.murs.channels.slice(0, 1);
    const plain: Service = { ...SERVICES.murs, channels: rows };
    const agency: Service = { ...plain, id: 'agency' as Service['id'], publicSafety: true };
    const quiet = (...tables: Service[]) =>
      mustStayQuiet({ receiveHz: rows[0]?.receiveHz ?? 0 }, { country: 'US', tables });
    expect([quiet(plain), quiet(agency), quiet(plain, agency), quiet(agency, plain)]).toEqual([
      false,
      true,
      true,
      true,
    ]);
  });
  it('a service touches a channel by either of its frequencies', () => {
    expect(touchedService({ receiveHz: 1, transmitHz: 467_650_000 }, US)?.id).toBe('gmrs');
    expect(touchedService({ receiveHz: 467_650_000, transmitHz: 1 }, US)?.id).toBe('gmrs');
    expect(touchedService({ receiveHz: 462_650_000, transmitHz: 1 }, US)?.id).toBe('gmrs');
    expect(touchedService({ receiveHz: 1, transmitHz: 2 }, US)).toBeUndefined();
    expect(touchedService({ receiveHz: 162_400_000, transmitHz: 1 }, US)).toBeUndefined();
  });
  it.each([
    ['distress', 156.8, true],
    ['public safety', 155.7525, true],
    ['itinerant, which is on somebody’s licence', 464.5, true],
    ['government only', 157.075, true],
    ['no table knows it', 155.02, true],
    ['anybody’s', 462.5625, false],
    ['an amateur band', 146.58, false],
  ])('%s: %d MHz must stay quiet %s', (_, mhz, isQuiet) =>
    expect(mustStayQuiet({ receiveHz: Math.round(mhz * 1e6) }, US)).toBe(isQuiet),
  );
  it('in a country without tables nothing is known to have to', () =>
    expect(mustStayQuiet({ receiveHz: 154_280_000 }, { country: 'other' })).toBe(false));
  it('a channel that no table has is called only what people here call it', () => {
    const of = { receiveHz: 155_020_000, transmitHz: null, aliases: ['the mill'] };
    expect(aliasesOf(of, US)).toEqual(['the mill']);
    expect(aliasesOf({ ...of, receiveHz: 146_940_000 }, US)).toEqual(['the mill']);
  });
});
