import {
  ALERT_EVENTS,
  CONSUMER_CODE_TONES,
  COUNTRY,
  CTCSS_CONSUMER_TENTHS_HZ,
  CTCSS_RARE_TENTHS_HZ,
  CTCSS_TENTHS_HZ,
  DCS_CODES,
  DCS_CONSUMER,
  SERVICES,
  type ServiceId,
  WEATHER_NUMBERS,
} from '@umbrex/core/facts';
import { describe, expect, it } from 'vitest';

/*
 * Every cell of a table that decides something, typed a second time and in another form (megahertz, one line a row), from memory of the list
 * that each title names. A slip in one of the two is found; one in the memory behind both is not. What `services.test.ts` has by rule (rasters,
 * edges, interoperability) is not here; where both have a row, this one has every column of it.
 */
const words = (text: string) => text.trim().split(/\s+/);
const mhz = (hz: number | null) => (hz === null ? '-' : String(hz / 1e6));

describe('tones (TIA-603, and the numbering of consumer devices as it is usually printed)', () => {
  const HZ = words(`
    67.0 69.3 71.9 74.4 77.0 79.7 82.5 85.4 88.5 91.5 94.8 97.4 100.0 103.5 107.2 110.9 114.8 118.8 123.0 127.3 131.8 136.5 141.3 146.2
    151.4 156.7 159.8 162.2 165.5 167.9 171.3 173.8 177.3 179.9 183.5 186.2 189.9 192.8 196.6 199.5 203.5 206.5 210.7 218.1 225.7 229.1
    233.6 241.8 250.3 254.1`);
  const NUMBERED = words(`
    67.0 71.9 74.4 77.0 79.7 82.5 85.4 88.5 91.5 94.8 97.4 100.0 103.5 107.2 110.9 114.8 118.8 123.0 127.3 131.8 136.5 141.3 146.2 151.4
    156.7 162.2 167.9 173.8 179.9 186.2 192.8 203.5 210.7 218.1 225.7 233.6 241.8 250.3`);
  const inHz = (tenths: readonly number[]) => tenths.map((one) => (one / 10).toFixed(1));
  it('the 50 of CTCSS', () => expect(inHz(CTCSS_TENTHS_HZ)).toEqual(HZ));
  it('the 38 that have a number', () => expect(inHz(CTCSS_CONSUMER_TENTHS_HZ)).toEqual(NUMBERED));
  it('and the one that a few sets have beside them', () =>
    expect(inHz(CTCSS_RARE_TENTHS_HZ)).toEqual(['150.0']));
  const CODES = words(`
    023 025 026 031 032 043 047 051 054 065 071 072 073 074 114 115 116 125 131 132 134 143 152 155 156 162 165 172 174 205 223 226 243 244
    245 251 261 263 265 271 306 311 315 331 343 346 351 364 365 371 411 412 413 423 431 432 445 464 465 466 503 506 516 532 546 565 606 612
    624 627 631 632 654 662 664 703 712 723 731 732 734 743 754`);
  const LATER = words('036 053 122 145 212 225 246 252 255 266 274 325 332 356 446 452 454 455 462 523 526');
  it('the 83 of DCS that have a number', () => expect(DCS_CONSUMER).toEqual(CODES));
  it('the numbers: off, the 38, the 83', () =>
    expect(CONSUMER_CODE_TONES).toEqual(['off', ...NUMBERED, ...CODES.map((code) => `D${code}N`)]));
  it('the 104 of DCS', () => expect(DCS_CODES).toEqual([...CODES, ...LATER].sort()));
});

describe('marine VHF in US waters (47 CFR 80.373, by the list of the coast guard)', () => {
  /** Number and newer number, where ships send, where they hear, watts, who else it is set aside for. */
  const ROWS = `
    01A 1001 156.05  156.05  25 | 03A 1003 156.15  156.15  25 government | 05A 1005 156.25  156.25  25 | 06 - 156.3 156.3 25
    07A 1007 156.35  156.35  25 | 08 - 156.4 156.4 25 | 09 - 156.45 156.45 25 | 10 - 156.5 156.5 25 | 11 - 156.55 156.55 25
    12 - 156.6 156.6 25 | 13 - 156.65 156.65 1 | 14 - 156.7 156.7 25 | 15 - - 156.75 - | 16 - 156.8 156.8 25
    17 - 156.85 156.85 1 state | 18A 1018 156.9 156.9 25 | 19A 1019 156.95 156.95 25 | 20 - 157 161.6 25 | 20A 1020 157 157 25
    21A 1021 157.05 157.05 25 guard | 22A 1022 157.1 157.1 25 | 23A 1023 157.15 157.15 25 guard
    24 - 157.2 161.8 25 | 25 - 157.25 161.85 25 | 26 - 157.3 161.9 25 | 27 - 157.35 161.95 25 | 28 - 157.4 162 25
    61A 1061 156.075 156.075 25 government | 63A 1063 156.175 156.175 25 | 64A 1064 156.225 156.225 25 government
    65A 1065 156.275 156.275 25 | 66A 1066 156.325 156.325 25 | 67 - 156.375 156.375 1 | 68 - 156.425 156.425 25
    69 - 156.475 156.475 25 | 70 - 156.525 156.525 25 selective | 71 - 156.575 156.575 25 | 72 - 156.625 156.625 25
    73 - 156.675 156.675 25 | 74 - 156.725 156.725 25 | 75 - 156.775 156.775 1 | 76 - 156.825 156.825 1 | 77 - 156.875 156.875 1
    78A 1078 156.925 156.925 25 | 79A 1079 156.975 156.975 25 | 80A 1080 157.025 157.025 25
    81A 1081 157.075 157.075 25 government | 82A 1082 157.125 157.125 25 government | 83A 1083 157.175 157.175 25 guard
    84 - 157.225 161.825 25 | 85 - 157.275 161.875 25 | 86 - 157.325 161.925 25 | 87A 1087 157.375 157.375 25
    87B 2087 161.975 161.975 12.5 position | 88A 1088 157.425 157.425 25 | 88B 2088 162.025 162.025 12.5 position`
    .split(/[|\n]/)
    .map(words)
    .filter(([first]) => first);
  const { channels } = SERVICES.marine;
  it.each(ROWS)('%s', (number, newer, sends, hears, watts, reserved) => {
    const found = channels.find((one) => one.number === number);
    expect([
      mhz(found?.transmitHz ?? null),
      mhz(found?.receiveHz ?? null),
      String(found?.maxPowerW ?? '-'),
    ]).toEqual([sends, hears, watts]);
    expect(found?.powerBasis).toBe(sends === '-' ? null : 'transmitter');
    expect([found?.bandwidthHz, found?.noTones, found?.mode]).toEqual([25_000, true, 'FM']);
    expect(found?.aliases.filter((alias) => alias.length === 4)).toEqual(newer === '-' ? [] : [newer]);
    expect(found?.reservedFor ?? '').toMatch(reserved ? new RegExp(reserved) : /^$/);
    expect(found?.neverTest).toBe(['09', '16', '70'].includes(number ?? ''));
  });
  it('has no others, and 7 is called 7 as well', () => {
    expect(channels.map(({ number }) => number)).toEqual(ROWS.map(([number]) => number));
    expect(channels.find(({ number }) => number === '06')?.aliases).toEqual(['6']);
  });
});

describe('who may send in a service, and how (the rule that stands beside each)', () => {
  /** Licence, modes, how often one says who one is; then what holds besides. */
  const HEADS: Readonly<Record<ServiceId, string>> = {
    // 47 CFR 95.1705, 95.1771, 95.1751, 95.1761
    gmrs: 'US family FM 15 certified repeaters',
    // 47 CFR 95.305, 95.531, 95.561, 95.587: the antenna does not come off
    frs: 'US none FM - certified fixedAntenna',
    // 47 CFR 95.2705, 95.2731, 95.2761
    murs: 'US none FM,AM,digital - certified',
    // 47 CFR 80.13(c), 80.102, 80.203
    marine: 'US none FM 15 certified aboard',
    // 47 CFR 87.18
    airband: 'US closed AM - certified',
    weather: 'US closed FM -',
    // 47 CFR 90.35, 90.203, 90.425
    business: 'US business FM,digital 15 certified repeaters',
    itinerant: 'US business FM,digital 15 certified ownOnly also:business',
    // 47 CFR 90.20: agencies, and whom they let
    interop: 'US authorised FM,digital 15 certified repeaters publicSafety also:business',
    'rail-us': 'US closed FM - certified',
    // 47 CFR 95.905, 95.961, 95.971
    'cb-us': 'US none AM,FM - certified',
    // 47 CFR 97.5, 97.119, 97.315
    'amateur-10m': 'US personal FM,AM,digital 10 repeaters',
    'amateur-6m': 'US personal FM,AM,digital 10 repeaters',
    'amateur-2m': 'US personal FM,AM,digital 10 repeaters',
    'amateur-125cm': 'US personal FM,AM,digital 10 repeaters',
    'amateur-70cm': 'US personal FM,AM,digital 10 repeaters',
    'amateur-33cm': 'US personal FM,AM,digital 10 repeaters',
    'amateur-23cm': 'US personal FM,AM,digital 10 repeaters',
    'iaru-r1-2m': 'EU personal FM,digital - repeaters',
    'iaru-r1-70cm': 'EU personal FM,digital - repeaters',
    // ECC/DEC/(15)05
    pmr446: 'EU none FM,digital - certified',
    'marine-eu': 'EU authorised FM - certified aboard also:marine licensedAs:marine',
    'marine-au': 'AU authorised FM - certified aboard also:marine licensedAs:marine',
    'uhf-cb-au': 'AU none FM - certified repeaters',
  };
  it.each(Object.entries(HEADS))('%s: %s', (id, said) => {
    const is = SERVICES[id as ServiceId];
    const flags = (['repeaters', 'fixedAntenna', 'aboard', 'ownOnly', 'publicSafety'] as const).filter(
      (flag) => is[flag],
    );
    const here = [is.country, is.licence, is.modes.join(','), is.identifyEveryMinutes ?? '-']
      .concat(is.certification ? ['certified'] : [], flags)
      .concat(
        is.certifiedAlso.map((one) => `also:${one}`),
        is.licensedAs ? [`licensedAs:${is.licensedAs}`] : [],
      );
    expect(here.join(' ')).toBe(said);
  });
  it('are all here', () => expect(Object.keys(SERVICES).sort()).toEqual(Object.keys(HEADS).sort()));
  it('each is called by these words', () =>
    expect(Object.fromEntries(Object.values(SERVICES).map((one) => [one.id, one.words.join(' ')]))).toEqual({
      gmrs: 'gmrs',
      frs: 'frs',
      murs: 'murs',
      marine: 'marine vhf',
      'marine-eu': 'marine vhf ukw',
      'marine-au': 'marine vhf ukw',
      airband: 'air airband',
      weather: 'wx weather',
      business: 'business',
      itinerant: 'itinerant',
      interop: 'interop',
      'rail-us': 'rail railroad aar rr',
      'cb-us': 'cb',
      'amateur-10m': 'ham amateur',
      'amateur-6m': 'ham amateur',
      'amateur-2m': 'ham amateur',
      'amateur-125cm': 'ham amateur',
      'amateur-70cm': 'ham amateur',
      'amateur-33cm': 'ham amateur',
      'amateur-23cm': 'ham amateur',
      'iaru-r1-2m': '',
      'iaru-r1-70cm': '',
      pmr446: 'pmr pmr446',
      'uhf-cb-au': 'cb uhf uhfcb',
    }));
});

describe('amateur bands (47 CFR 97.301, 97.305(c), 97.313; the band plans are the voluntary ones)', () => {
  /** Each stretch from where to where, in megahertz, and what its repeaters shift by; `x` behind where no voices are. */
  it.each([
    ['amateur-10m', 0.1, '28 28.3 0x | 28.3 29.61 0 | 29.61 29.7 -0.1'],
    [
      'amateur-6m',
      0.5,
      '50 50.1 0x | 50.1 51.62 0 | 51.62 51.98 -0.5 | 51.98 52.5 0 | 52.5 52.98 -0.5 | 52.98 53.5 0 | 53.5 53.98 -0.5 | 53.98 54 0',
    ],
    [
      'amateur-2m',
      0.6,
      '144 144.1 0x | 144.1 145.1 0 | 145.1 145.5 -0.6 | 145.5 146.61 0 | 146.61 147 -0.6 | 147 147.4 0.6 | 147.4 148 0',
    ],
    ['amateur-125cm', 1.6, '222 223.85 0 | 223.85 224.98 -1.6 | 224.98 225 0'],
    ['amateur-70cm', 5, '420 442 0 | 442 445 5 | 445 447 0 | 447 450 -5'],
    ['amateur-33cm', 25, '902 927 0 | 927 928 -25'],
    ['amateur-23cm', 12, '1240 1282 0 | 1282 1288 -12 | 1288 1300 0'],
    // IARU Region 1 VHF Managers Handbook; 70 cm by the shift of central Europe
    ['iaru-r1-2m', 0.6, '144 144.15 0x | 144.15 145.575 0 | 145.575 145.79375 -0.6 | 145.79375 146 0'],
    ['iaru-r1-70cm', 0, '430 432 0 | 432 432.15 0x | 432.15 438.65 0 | 438.65 439.425 -7.6 | 439.425 440 0'],
  ] as const)('%s', (id, shift, said) => {
    const { bands, usualShiftHz } = SERVICES[id];
    // An edge belongs to one of the two stretches it lies between: which of them is said elsewhere.
    const edge = (hz: number) => Math.round(hz / 10) / 1e5;
    const here = bands.map(({ fromHz, toHz, usualOffsetHz, voice }) =>
      [edge(fromHz), edge(toHz), `${usualOffsetHz / 1e6}${voice ? '' : 'x'}`].join(' '),
    );
    expect(here.join(' | ')).toBe(said);
    expect(usualShiftHz / 1e6).toBe(shift);
  });
  it('each is called on one frequency, at 1,500 W and 20 kHz', () => {
    const called = Object.values(SERVICES).filter(({ id }) => id.startsWith('amateur'));
    expect(called.map(({ channels: [row, ...more] }) => [row?.number, more.length])).toEqual(
      ['146.52', '446', '29.6', '52.525', '223.5', '927.5', '1294.5'].map((number) => [number, 0]),
    );
    for (const { channels } of called)
      for (const row of channels) {
        expect([row.transmitHz, row.maxPowerW, row.powerBasis]).toEqual([row.receiveHz, 1500, 'transmitter']);
        expect([row.bandwidthHz, row.mode, row.noTones, row.pair]).toEqual([20_000, 'FM', false, false]);
        expect(Number(row.number) * 1e6).toBeCloseTo(row.receiveHz, 0);
      }
  });
  it('in Region 1 the channels of 2 m are V16 to V47 and the repeaters RV48 to RV63, 12.5 kHz apart from 145 MHz', () => {
    const { channels } = SERVICES['iaru-r1-2m'];
    expect(channels.map(({ number }) => number)).toEqual(
      Array.from({ length: 48 }, (_, k) => (k < 32 ? `V${k + 16}` : `RV${k + 16}`)),
    );
    for (const row of channels) {
      const n = Number(row.number.replace(/\D/g, ''));
      expect(mhz(row.receiveHz)).toBe(String((14_500_000 + 1250 * n) / 1e5));
      expect(row.receiveHz - (row.transmitHz ?? 0)).toBe(n < 48 ? 0 : 600_000);
      expect([row.pair, row.neverTest]).toEqual([n >= 48, n === 40]);
    }
    const [calling, ...more] = SERVICES['iaru-r1-70cm'].channels;
    expect([
      calling?.number,
      mhz(calling?.receiveHz ?? null),
      mhz(calling?.transmitHz ?? null),
      more,
    ]).toEqual(['U280', '433.5', '433.5', []]);
    for (const row of [...channels, ...SERVICES['iaru-r1-70cm'].channels])
      expect([row.maxPowerW, row.powerBasis, row.bandwidthHz, row.mode]).toEqual([null, null, 12_500, 'FM']);
  });
});

describe('services by rule, every column of every row', () => {
  const row = (id: ServiceId) =>
    SERVICES[id].channels.map((one) =>
      [
        one.number + (one.pair ? 'R' : ''),
        mhz(one.receiveHz),
        mhz(one.transmitHz),
        one.maxPowerW ?? '-',
        one.powerBasis ?? '-',
        one.bandwidthHz / 1e3,
        one.mode,
        ...(one.handHeldOnly ? ['hand-held'] : []),
        ...(one.fixedMaxW === undefined ? [] : [`fixed:${one.fixedMaxW}`]),
        ...(one.neverTest ? ['never'] : []),
        ...(one.noTones ? ['toneless'] : []),
        ...(one.reservedFor ? [one.reservedFor] : []),
      ].join(' '),
    );
  const count = <T>(n: number, of: (n: number) => T, from = 1): T[] =>
    Array.from({ length: n }, (_, k) => of(from + k));
  // Channels 1 to 22 of both services lie 12.5 kHz apart in three rows.
  const shared = (n: number) =>
    n <= 7 ? 462.5375 + 0.025 * n : n <= 14 ? 467.5625 + 0.025 * (n - 8) : 462.55 + 0.025 * (n - 15);
  const at = (n: number, up = 0) => String(Math.round((shared(n) + up) * 1e4) / 1e4);
  it('GMRS (47 CFR 95.1763, 95.1767, 95.1773)', () =>
    expect(row('gmrs').sort()).toEqual(
      [
        ...count(7, (n) => `${n} ${at(n)} ${at(n)} 5 erp 20 FM fixed:null`),
        ...count(7, (n) => `${n} ${at(n)} ${at(n)} 0.5 erp 12.5 FM hand-held fixed:null`, 8),
        ...count(8, (n) => `${n} ${at(n)} ${at(n)} 50 transmitter 20 FM fixed:15`, 15),
        ...count(8, (n) => `${n}R ${at(n)} ${at(n, 5)} 50 transmitter 20 FM fixed:15`, 15),
      ].sort(),
    ));
  it('FRS (47 CFR 95.563, 95.567, 95.573)', () =>
    expect(row('frs')).toEqual(
      count(22, (n) => `${n} ${at(n)} ${at(n)} ${n >= 8 && n <= 14 ? 0.5 : 2} erp 12.5 FM hand-held`),
    ));
  it('MURS (47 CFR 95.2763, 95.2767, 95.2773), two of them with the names of their boxes', () => {
    expect(row('murs')).toEqual([
      '1 151.82 151.82 2 transmitter 11.25 FM',
      '2 151.88 151.88 2 transmitter 11.25 FM',
      '3 151.94 151.94 2 transmitter 11.25 FM',
      '4 154.57 154.57 2 transmitter 20 FM',
      '5 154.6 154.6 2 transmitter 20 FM',
    ]);
    expect(SERVICES.murs.channels.map(({ aliases }) => aliases.join())).toEqual([
      '',
      '',
      '',
      'Blue Dot',
      'Green Dot',
    ]);
  });
  it('CB at 27 MHz (47 CFR 95.963, 95.967, 95.973): 9 is for emergencies', () => {
    const KHZ = words(`
      26965 26975 26985 27005 27015 27025 27035 27055 27065 27075 27085 27105 27115 27125 27135 27155 27165 27175 27185 27205
      27215 27225 27255 27235 27245 27265 27275 27285 27295 27305 27315 27325 27335 27345 27355 27365 27375 27385 27395 27405`);
    expect(row('cb-us')).toEqual(
      KHZ.map((khz, k) => {
        const on = String(Number(khz) / 1e3);
        return `${k + 1} ${on} ${on} 4 transmitter 8 AM${k === 8 ? ' never' : ''} toneless`;
      }),
    );
  });
  it('PMR446 (ECC/DEC/(15)05)', () =>
    expect(row('pmr446')).toEqual(
      count(16, (n) => {
        const on = String(Math.round((446 + 0.0125 * n - 0.00625) * 1e5) / 1e5);
        return `${n} ${on} ${on} 0.5 erp 12.5 FM hand-held`;
      }),
    ));
  it('UHF CB (Class Licence 2015): 5 and 35 for emergencies, 22 and 23 for telemetry, 61 to 63 kept for later', () => {
    const on = (n: number, up = 0) =>
      String(Math.round((476.4 + (n <= 40 ? 0.025 * n : 0.025 * (n - 40) + 0.0125) + up) * 1e5) / 1e5);
    const more = (n: number) =>
      `5 transmitter 12.5 FM${n === 5 || n === 35 ? ' never toneless' : ''}${n === 22 || n === 23 ? ' toneless telemetry' : ''}${n >= 61 && n <= 63 ? ' later use' : ''}`;
    const sends = (n: number) => ([22, 23, 61, 62, 63].includes(n) ? '-' : on(n));
    expect(row('uhf-cb-au')).toEqual([
      ...count(80, (n) => `${n} ${on(n)} ${sends(n)} ${more(n)}`),
      ...[...count(8, Number), ...count(8, Number, 41)].map(
        (n) => `${n}R ${on(n)} ${on(n, 0.75)} ${more(n)}`,
      ),
    ]);
  });
  it('air (47 CFR 87.173): called by their megahertz, 25 kHz wide, nobody sends', () => {
    const distress = ['121.5', '123.1', '243', '282.8'];
    expect(row('airband')).toEqual(
      words(`121.5 122.7 122.725 122.75 122.8 122.85 122.9 122.925 122.95 122.975 123 123.025 123.05 123.075 123.1 123.3 123.45 123.5
        243 282.8`).map((on) => `${on} ${on} - - - 25 AM${distress.includes(on) ? ' never' : ''} toneless`),
    );
  });
  it('weather (NOAA list): the ascending numbers, the marine ones beside them, and three more', () => {
    const ROWS = [
      '1 162.4 2',
      '2 162.425 4',
      '3 162.45 5',
      '4 162.475 3',
      '5 162.5 6',
      '6 162.525 7',
      '7 162.55 1',
    ];
    expect(WEATHER_NUMBERS.map((one) => `${one.ascending} ${mhz(one.receiveHz)} ${one.marine}`)).toEqual(
      ROWS,
    );
    expect(row('weather')).toEqual(
      [...ROWS, '8 161.65', '9 161.775', '10 163.275'].map(
        (said) => `${words(said).slice(0, 2).join(' ')} - - - 25 FM`,
      ),
    );
    expect(SERVICES.weather.channels.map(({ aliases }) => aliases.join())).toEqual(
      [...ROWS, '', '', ''].map((said) => (said ? `WX${said.at(-1)} in marine order` : '')),
    );
  });
  it('itinerant (47 CFR 90.35(b)(3)): called by their megahertz', () =>
    expect(row('itinerant')).toEqual(
      words(
        `151.505 151.5125 151.625 151.7 151.76 151.955 158.4 451.8 456.8 464.5 464.55 467.85 467.875 467.9 467.925 469.5 469.55`,
      ).map((on) => `${on.includes('5125') ? on : Number(on).toFixed(3)} ${on} ${on} - - 11.25 FM`),
    ));
  it('rail (AAR channel plan): from 5 on 15 kHz apart, narrow, nobody sends', () =>
    expect(row('rail-us').slice(3)).toEqual(
      count(93, (n) => `${n} ${Math.round((160.11 + 0.015 * n) * 1e3) / 1e3} - - - 12.5 FM`, 5),
    ));
  it('interoperability has no limit of power of its own', () => {
    for (const one of SERVICES.interop.channels)
      expect([one.maxPowerW, one.powerBasis]).toEqual([null, null]);
  });
});

describe('what is usual where', () => {
  it('a bare number is of these, and so far from a channel is a slip', () =>
    expect(Object.entries(COUNTRY).map(([id, one]) => [id, one.home, one.beside, one.slipHz])).toEqual([
      ['US', 'gmrs', 'frs', 12_500],
      ['AU', 'uhf-cb-au', null, 6_250],
      ['EU', 'pmr446', null, 6_250],
    ]));
});

describe('event codes of emergency alerts (47 CFR 11.31(e))', () => {
  const KINDS: Readonly<Record<string, string>> = {
    emergency: 'EAN BLU CAE CEM LAE MEP TOE',
    test: 'NPT RMT RWT DMO',
    notice: 'ADR NMN',
    warning:
      'AVW BZW CDW CFW DSW EQW EVI EWW FRW FFW FLW HMW HWW HUW LEW NUW RHW SVR SPW SMW SSW TOR TRW TSW VOW WSW',
    watch: 'AVA CFA FFA FLA HWA HUA SVA SSA TOA TRA TSA WSA',
    statement: 'FFS FLS HLS SVS SPS',
  };
  it.each(Object.entries(KINDS))('%s: %s', (kind, codes) =>
    expect(
      ALERT_EVENTS.filter((one) => one.kind === kind)
        .map(({ code }) => code)
        .sort(),
    ).toEqual(words(codes).sort()),
  );
});
