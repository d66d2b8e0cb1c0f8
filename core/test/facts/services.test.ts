import { SERVICES, type ServiceId, serviceChannel, WEATHER_NUMBERS } from '@umbrex/core/facts';
import { describe, expect, it } from 'vitest';

const direct = (id: 'gmrs' | 'frs') => SERVICES[id].channels.filter((row) => !row.pair);

// Typed from the rules' own lists, in megahertz, independently of the tables in core.
// biome-ignore format: as the rule lists them
const LIST_462_467: readonly (readonly [number, string])[] = [
  [1, '462.5625'], [2, '462.5875'], [3, '462.6125'], [4, '462.6375'], [5, '462.6625'], [6, '462.6875'], [7, '462.7125'],
  [8, '467.5625'], [9, '467.5875'], [10, '467.6125'], [11, '467.6375'], [12, '467.6625'], [13, '467.6875'], [14, '467.7125'],
  [15, '462.5500'], [16, '462.5750'], [17, '462.6000'], [18, '462.6250'], [19, '462.6500'], [20, '462.6750'], [21, '462.7000'], [22, '462.7250'],
];

describe('GMRS channels against 47 CFR 95.1763 as a formula', () => {
  const hz = (number: number) => serviceChannel('gmrs', number)?.receiveHz;
  it('462 MHz main: 462.5500 + 0.0250 k, numbers 15-22', () => {
    for (let k = 0; k < 8; k++) expect(hz(15 + k)).toBe(462_550_000 + 25_000 * k);
  });
  it('462 MHz interstitial: 462.5625 + 0.0250 k, numbers 1-7', () => {
    for (let k = 0; k < 7; k++) expect(hz(1 + k)).toBe(462_562_500 + 25_000 * k);
  });
  it('467 MHz interstitial: 467.5625 + 0.0250 k, numbers 8-14', () => {
    for (let k = 0; k < 7; k++) expect(hz(8 + k)).toBe(467_562_500 + 25_000 * k);
  });
  it('repeater inputs lie exactly 5 MHz above their outputs, on the eight main channels only', () => {
    const pairs = SERVICES.gmrs.channels.filter((row) => row.pair);
    expect(pairs.map((row) => Number(row.number))).toEqual([15, 16, 17, 18, 19, 20, 21, 22]);
    for (const row of pairs) expect((row.transmitHz ?? 0) - row.receiveHz).toBe(5_000_000);
  });
});

describe('GMRS and FRS share 22 channels (47 CFR 95.1763 and 95.563, listed)', () => {
  for (const id of ['gmrs', 'frs'] as const)
    it(id, () => {
      const table = direct(id)
        .map((row) => [Number(row.number), (row.receiveHz / 1e6).toFixed(4)] as const)
        .sort((a, b) => a[0] - b[0]);
      expect(table).toEqual(LIST_462_467);
    });
});

describe('power limits', () => {
  const power = (id: 'gmrs' | 'frs', number: number) => {
    const row = serviceChannel(id, number);
    return [row?.maxPowerW, row?.powerBasis, row?.handHeldOnly];
  };
  it('47 CFR 95.1767: 5 W ERP on 1-7, 0.5 W ERP hand-held only on 8-14, 50 W at the transmitter on 15-22', () => {
    expect(power('gmrs', 4)).toEqual([5, 'erp', false]);
    expect(power('gmrs', 11)).toEqual([0.5, 'erp', true]);
    expect(power('gmrs', 19)).toEqual([50, 'transmitter', false]);
  });
  it('47 CFR 95.567: FRS 2 W ERP, 0.5 W ERP on 8-14', () => {
    for (let n = 1; n <= 22; n++) expect(power('frs', n)[0]).toBe(n >= 8 && n <= 14 ? 0.5 : 2);
  });
});

describe('CB at 27 MHz (47 CFR 95.963)', () => {
  const rows = SERVICES['cb-us'].channels;
  it('is a raster of 10 kHz from 26.965 MHz with five gaps, in which 23 stands above 24 and 25', () => {
    // Channels of remote control: 26.995, 27.045, 27.095, 27.145, 27.195 (47 CFR 95.763).
    const gaps = [26_995, 27_045, 27_095, 27_145, 27_195];
    const raster = Array.from({ length: 45 }, (_, k) => 26_965 + 10 * k).filter((khz) => !gaps.includes(khz));
    const kilohertz = rows.map(({ receiveHz }) => receiveHz / 1000);
    expect(kilohertz.toSorted((a, b) => a - b)).toEqual(raster);
    expect(kilohertz.slice(0, 22)).toEqual(raster.slice(0, 22));
    expect(kilohertz.slice(22, 25)).toEqual([27_255, 27_235, 27_245]);
    expect(kilohertz.slice(25)).toEqual(raster.slice(25));
  });
  it('has 4 W, nobody needs a licence, and 9 is for emergencies', () => {
    expect(rows.every((row) => row.maxPowerW === 4 && row.powerBasis === 'transmitter')).toBe(true);
    expect(rows.every((row) => row.mode === 'AM' && row.noTones && row.transmitHz === row.receiveHz)).toBe(
      true,
    );
    expect(rows.filter((row) => row.neverTest).map(({ number }) => number)).toEqual(['9']);
    expect(SERVICES['cb-us'].licence).toBe('none');
  });
});

describe('amateur bands of the US, typed again', () => {
  // 47 CFR 97.301(a) edges and 97.305(c) where voices begin, in megahertz; calling frequency and usual shift by the voluntary band plan.
  it.each([
    [
      'amateur-10m',
      28,
      28.3,
      29.7,
      29.6,
      [
        [29.64, -0.1],
        [29.5, 0],
      ],
    ],
    [
      'amateur-6m',
      50,
      50.1,
      54,
      52.525,
      [
        [51.7, -0.5],
        [52.7, -0.5],
        [53.7, -0.5],
        [50.4, 0],
        [52.1, 0],
      ],
    ],
    [
      'amateur-2m',
      144,
      144.1,
      148,
      146.52,
      [
        [145.2, -0.6],
        [146.9, -0.6],
        [147.2, 0.6],
        [146.4, 0],
        [147.5, 0],
      ],
    ],
    [
      'amateur-125cm',
      222,
      222,
      225,
      223.5,
      [
        [224.5, -1.6],
        [223, 0],
      ],
    ],
    [
      'amateur-70cm',
      420,
      420,
      450,
      446,
      [
        [443, 5],
        [448, -5],
        [446.5, 0],
        [432, 0],
      ],
    ],
    [
      'amateur-33cm',
      902,
      902,
      928,
      927.5,
      [
        [927.1, -25],
        [910, 0],
      ],
    ],
    [
      'amateur-23cm',
      1240,
      1240,
      1300,
      1294.5,
      [
        [1284, -12],
        [1270, 0],
      ],
    ],
  ] as const)('%s', (id, from, voices, to, calling, shifts) => {
    const { bands, channels } = SERVICES[id];
    const hz = (mhz: number) => Math.round(mhz * 1e6);
    expect([bands[0]?.fromHz, bands.at(-1)?.toHz]).toEqual([hz(from), hz(to)]);
    expect(bands.find(({ voice }) => voice)?.fromHz).toBe(hz(voices));
    bands.forEach((band, i) => {
      if (i > 0) expect(band.fromHz).toBe((bands[i - 1]?.toHz ?? 0) + 1);
    });
    expect(channels.map((row) => [row.receiveHz, row.neverTest])).toEqual([[hz(calling), true]]);
    for (const [mhz, shift] of shifts) {
      const band = bands.find(({ fromHz, toHz }) => hz(mhz) >= fromHz && hz(mhz) <= toHz);
      expect([mhz, (band?.usualOffsetHz ?? 0) / 1e6]).toEqual([mhz, shift]);
    }
  });
});

describe('other services', () => {
  const list = (id: ServiceId) => SERVICES[id].channels;
  it('MURS as 47 CFR 95.2763 lists it', () =>
    expect(list('murs').map((row) => [row.receiveHz / 1e6, row.bandwidthHz])).toEqual([
      [151.82, 11_250],
      [151.88, 11_250],
      [151.94, 11_250],
      [154.57, 20_000],
      [154.6, 20_000],
    ]));
  it('marine ship frequencies lie on the raster of ITU RR Appendix 18; a coast station sends 4.6 MHz up', () => {
    for (const row of list('marine')) {
      const n = Number.parseInt(row.number, 10);
      const raster = n < 60 ? 156_000_000 + 50_000 * n : 156_025_000 + 50_000 * (n - 60);
      // A B behind the number stands for the coast side alone.
      const ship = row.number.endsWith('B') ? raster + 4_600_000 : raster;
      expect(row.transmitHz ?? row.receiveHz, row.number).toBe(ship);
      expect(row.receiveHz - ship, row.number).toBe(row.pair ? 4_600_000 : 0);
    }
  });
  it('marine in the US at one watt: bridges, beside channel 16, state control, the pilots (47 CFR 80.215(g), 80.373(f), from memory)', () => {
    const low = list('marine').filter(({ maxPowerW }) => maxPowerW === 1);
    expect(low.map(({ number }) => number)).toEqual(['13', '17', '67', '75', '76', '77']);
  });
  it('PMR446 of ECC/DEC/(15)05: sixteen channels, 446.00625 to 446.19375 MHz, 0.5 W ERP', () => {
    expect(list('pmr446')).toHaveLength(16);
    expect([list('pmr446')[0]?.receiveHz, list('pmr446')[15]?.receiveHz]).toEqual([446_006_250, 446_193_750]);
  });
  it('UHF CB: 1 at 476.4250, 40 at 477.4000, 41 at 476.4375, 80 at 477.4125 MHz; inputs 750 kHz up', () => {
    const hz = (n: number) => serviceChannel('uhf-cb-au', n)?.receiveHz;
    expect([hz(1), hz(40), hz(41), hz(80)]).toEqual([476_425_000, 477_400_000, 476_437_500, 477_412_500]);
    const pairs = list('uhf-cb-au').filter((row) => row.pair);
    expect(pairs).toHaveLength(16);
    for (const row of pairs) expect((row.transmitHz ?? 0) - row.receiveHz).toBe(750_000);
    expect([22, 23, 61, 62, 63].map((n) => serviceChannel('uhf-cb-au', n)?.transmitHz)).toEqual(
      Array(5).fill(null),
    );
  });
  it('IARU Region 1: V40 is 145.500 MHz, RV48 answers on 145.600 with its input 600 kHz down', () => {
    expect(serviceChannel('iaru-r1-2m', 'V40')?.receiveHz).toBe(145_500_000);
    expect(serviceChannel('iaru-r1-2m', 'RV48', true)).toMatchObject({
      receiveHz: 145_600_000,
      transmitHz: 145_000_000,
    });
  });
  it('distress and calling channels are never for tests', () => {
    const never = Object.values(SERVICES).flatMap((s) =>
      s.channels.filter((row) => row.neverTest).map((row) => row.receiveHz / 1e6),
    );
    for (const mhz of [156.8, 121.5, 243, 476.525, 477.275]) expect(never).toContain(mhz);
  });
  it('every table passes its schema, every row has a name, and a number stands once for direct and once for a pair', () => {
    for (const service of Object.values(SERVICES)) {
      const keys = service.channels.map((row) => `${row.number} ${row.pair}`);
      expect(new Set(keys).size, service.id).toBe(keys.length);
    }
  });
});

describe('weather numbering', () => {
  it('both numberings are each other’s permutation, and nobody transmits', () => {
    expect(WEATHER_NUMBERS.map((row) => row.marine).sort()).toEqual([1, 2, 3, 4, 5, 6, 7]);
    expect(SERVICES.weather.channels.every((row) => row.transmitHz === null)).toBe(true);
  });
  it('marine order as charts print it: WX1 162.550, WX2 162.400, WX3 162.475 (from memory)', () => {
    const marine = (n: number) => WEATHER_NUMBERS.find((row) => row.marine === n)?.receiveHz;
    expect([marine(1), marine(2), marine(3)]).toEqual([162_550_000, 162_400_000, 162_475_000]);
  });
});

/*
 * Typed again, apart from the tables in core: from the guides and rules named in each title, in megahertz as they print them. From memory as
 * well, but written down a second time; a slip in one of the two is found, one in the memory behind both is not.
 */
const row = (id: ServiceId, number: string, pair = false) => serviceChannel(id, number, pair);
const mhzOf = (hz: number | null | undefined) => (hz === null || hz === undefined ? null : hz / 1e6);

describe('interoperability, by the field operations guide', () => {
  // biome-ignore format: as the guide lists them: name, receive, transmit, tone
  const VHF_UHF: readonly (readonly [string, number, number, string])[] = [
    ['VCALL10', 155.7525, 155.7525, '156.7'], ['VTAC11', 151.1375, 151.1375, '156.7'], ['VTAC12', 154.4525, 154.4525, '156.7'],
    ['VTAC13', 158.7375, 158.7375, '156.7'], ['VTAC14', 159.4725, 159.4725, '156.7'],
    ['VTAC33', 159.4725, 151.1375, '136.5'], ['VTAC34', 158.7375, 154.4525, '136.5'], ['VTAC35', 159.4725, 158.7375, '136.5'],
    ['VTAC36', 151.1375, 159.4725, '136.5'], ['VTAC37', 154.4525, 158.7375, '136.5'], ['VTAC38', 158.7375, 159.4725, '136.5'],
    ['VFIRE21', 154.28, 154.28, '156.7'], ['VFIRE22', 154.265, 154.265, '156.7'], ['VFIRE23', 154.295, 154.295, '156.7'],
    ['VFIRE24', 154.2725, 154.2725, '156.7'], ['VFIRE25', 154.2875, 154.2875, '156.7'], ['VFIRE26', 154.3025, 154.3025, '156.7'],
    ['VMED28', 155.34, 155.34, '156.7'], ['VMED29', 155.3475, 155.3475, '156.7'],
    ['VLAW31', 155.475, 155.475, '156.7'], ['VLAW32', 155.4825, 155.4825, '156.7'],
    ['UCALL40', 453.2125, 458.2125, '156.7'], ['UTAC41', 453.4625, 458.4625, '156.7'], ['UTAC42', 453.7125, 458.7125, '156.7'],
    ['UTAC43', 453.8625, 458.8625, '156.7'], ['UCALL40D', 453.2125, 453.2125, '156.7'], ['UTAC41D', 453.4625, 453.4625, '156.7'],
    ['UTAC42D', 453.7125, 453.7125, '156.7'], ['UTAC43D', 453.8625, 453.8625, '156.7'],
    ['8CALL90', 851.0125, 806.0125, '156.7'], ['8TAC91', 851.5125, 806.5125, '156.7'], ['8TAC92', 852.0125, 807.0125, '156.7'],
    ['8TAC93', 852.5125, 807.5125, '156.7'], ['8TAC94', 853.0125, 808.0125, '156.7'], ['8CALL90D', 851.0125, 851.0125, '156.7'],
    ['8TAC91D', 851.5125, 851.5125, '156.7'], ['8TAC92D', 852.0125, 852.0125, '156.7'], ['8TAC93D', 852.5125, 852.5125, '156.7'],
    ['8TAC94D', 853.0125, 853.0125, '156.7'],
  ];
  // biome-ignore format: output; the input is 30 MHz up
  const AT_700: readonly (readonly [string, number])[] = [
    ['7CALL50', 769.24375], ['7TAC51', 769.14375], ['7TAC52', 769.64375], ['7TAC53', 770.14375], ['7TAC54', 770.64375],
    ['7TAC55', 769.74375], ['7TAC56', 770.24375], ['7GTAC57', 770.99375], ['7MOB59', 770.89375], ['7LAW61', 770.39375],
    ['7LAW62', 770.49375], ['7FIRE63', 769.89375], ['7FIRE64', 769.99375], ['7MED65', 769.39375], ['7MED66', 769.49375],
    ['7CALL70', 773.25625], ['7TAC71', 773.10625], ['7TAC72', 773.60625], ['7TAC73', 774.10625], ['7TAC74', 774.60625],
    ['7TAC75', 773.75625], ['7TAC76', 774.25625], ['7GTAC77', 774.85625], ['7MOB79', 774.50625], ['7LAW81', 774.00625],
    ['7LAW82', 774.35625], ['7FIRE83', 773.50625], ['7FIRE84', 773.85625], ['7MED86', 773.00625], ['7MED87', 773.35625],
  ];
  const rowOf = (name: string) => SERVICES.interop.channels.find(({ number }) => number === name);
  it.each(VHF_UHF)('%s: hears %d, sends %d, tone %s', (name, receive, transmit, tone) => {
    const found = rowOf(name);
    expect([
      mhzOf(found?.receiveHz),
      mhzOf(found?.transmitHz),
      found?.tone,
      found?.mode,
      found?.pair,
    ]).toEqual([receive, transmit, tone, 'FM', receive !== transmit]);
    expect(found?.bandwidthHz).toBe(receive > 800 ? 20_000 : 12_500);
    expect(found?.neverTest).toBe(name.includes('CALL'));
  });
  it.each(AT_700)('%s: hears %d, sends 30 MHz up, digital, and directly', (name, output) => {
    const [through, direct] = [rowOf(name), rowOf(`${name}D`)];
    expect([mhzOf(through?.receiveHz), mhzOf(through?.transmitHz)]).toEqual([output, output + 30]);
    expect([mhzOf(direct?.receiveHz), mhzOf(direct?.transmitHz)]).toEqual([output, output]);
    for (const one of [through, direct])
      expect([one?.mode, one?.tone, one?.bandwidthHz, one?.neverTest]).toEqual([
        'digital',
        undefined,
        12_500,
        name.includes('CALL'),
      ]);
  });
  it('has no others', () =>
    expect(SERVICES.interop.channels).toHaveLength(VHF_UHF.length + 2 * AT_700.length));
});

describe('rail, listened to only (AAR channel plan)', () => {
  // biome-ignore format: number, megahertz: some that railfans write down
  const SOME: readonly (readonly [number, number])[] = [
    [2, 159.81], [3, 159.93], [4, 160.05], [5, 160.185], [7, 160.215], [8, 160.23], [10, 160.26], [14, 160.32], [20, 160.41],
    [23, 160.455], [32, 160.59], [36, 160.65], [39, 160.695], [46, 160.8], [50, 160.86], [56, 160.95], [60, 161.01], [64, 161.07],
    [70, 161.16], [76, 161.25], [84, 161.37], [90, 161.46], [94, 161.52], [97, 161.565],
  ];
  it.each(SOME)('%d is %d', (number, mhz) => {
    const found = row('rail-us', String(number));
    expect([mhzOf(found?.receiveHz), found?.transmitHz, found?.bandwidthHz]).toEqual([mhz, null, 12_500]);
  });
  it('has 96 channels, 2 to 97', () =>
    expect(SERVICES['rail-us'].channels.map(({ number }) => Number(number))).toEqual(
      Array.from({ length: 96 }, (_, k) => k + 2),
    ));
});

describe('marine VHF outside the US (ITU RR Appendix 18)', () => {
  // biome-ignore format: number, ship, coast, watts
  const SOME: readonly (readonly [string, number, number, number])[] = [
    ['01', 156.05, 160.65, 25], ['05', 156.25, 160.85, 25], ['06', 156.3, 156.3, 25], ['07', 156.35, 160.95, 25], ['08', 156.4, 156.4, 25],
    ['09', 156.45, 156.45, 25], ['12', 156.6, 156.6, 25], ['13', 156.65, 156.65, 25], ['15', 156.75, 156.75, 1], ['16', 156.8, 156.8, 25],
    ['17', 156.85, 156.85, 1], ['18', 156.9, 161.5, 25], ['20', 157, 161.6, 25], ['24', 157.2, 161.8, 25], ['28', 157.4, 162, 25],
    ['60', 156.025, 160.625, 25], ['66', 156.325, 160.925, 25], ['67', 156.375, 156.375, 25], ['69', 156.475, 156.475, 25],
    ['70', 156.525, 156.525, 25], ['72', 156.625, 156.625, 25], ['74', 156.725, 156.725, 25], ['75', 156.775, 156.775, 1],
    ['76', 156.825, 156.825, 1], ['77', 156.875, 156.875, 25], ['78', 156.925, 161.525, 25], ['82', 157.125, 161.725, 25],
    ['86', 157.325, 161.925, 25], ['87', 157.375, 157.375, 25], ['88', 157.425, 157.425, 25],
    // Halves of pairs, by Recommendation ITU-R M.1084 (from memory).
    ['1019', 156.95, 156.95, 25], ['2019', 161.55, 161.55, 25], ['1020', 157, 157, 25], ['2020', 161.6, 161.6, 25],
    ['1078', 156.925, 156.925, 25], ['2078', 161.525, 161.525, 25], ['1079', 156.975, 156.975, 25], ['2079', 161.575, 161.575, 25],
    ['2027', 161.95, 161.95, 25], ['2028', 162, 162, 25], ['2087', 161.975, 161.975, 25], ['2088', 162.025, 162.025, 25],
  ];
  it.each(SOME)('%s: ships send %d, hear %d, %d W', (number, ship, coast, watts) => {
    const found = row('marine-eu', number) ?? row('marine-eu', number, true);
    expect([mhzOf(found?.transmitHz), mhzOf(found?.receiveHz), found?.maxPowerW]).toEqual([
      ship,
      coast,
      watts,
    ]);
    expect([found?.powerBasis, found?.bandwidthHz, found?.noTones]).toEqual(['transmitter', 25_000, true]);
  });
  it('is the same in Australia, by its own class licence', () => {
    const [eu, au] = [SERVICES['marine-eu'], SERVICES['marine-au']];
    expect(au.channels).toEqual(eu.channels);
    expect([au.country, au.aboard, au.licence, au.licensedAs, au.certifiedAlso]).toEqual([
      'AU',
      true,
      'authorised',
      'marine',
      ['marine'],
    ]);
  });
  it('has 57 channels and 12 halves; 16 and 70 are never for tests, and 70 and the halves for data are no voice', () => {
    const { channels } = SERVICES['marine-eu'];
    expect(channels).toHaveLength(69);
    expect(channels.filter(({ neverTest }) => neverTest).map(({ number }) => number)).toEqual(['16', '70']);
    expect(channels.filter(({ reservedFor }) => reservedFor).map(({ number }) => number)).toEqual([
      '70',
      '2027',
      '2028',
      '2087',
      '2088',
    ]);
  });
  it('only aboard, with a ship licence', () =>
    expect([
      SERVICES['marine-eu'].aboard,
      SERVICES['marine-eu'].licence,
      SERVICES['marine-eu'].licensedAs,
    ]).toEqual([true, 'authorised', 'marine']));
});

describe('IARU Region 1 as bands', () => {
  const shiftAt = (id: ServiceId, mhz: number) => {
    const hz = Math.round(mhz * 1e6);
    return SERVICES[id].bands.find(({ fromHz, toHz }) => hz >= fromHz && hz <= toHz);
  };
  it.each([
    ['iaru-r1-2m', 145.6, -0.6],
    ['iaru-r1-2m', 145.7875, -0.6],
    ['iaru-r1-2m', 145.575, -0.6],
    ['iaru-r1-2m', 145.55, 0],
    ['iaru-r1-2m', 145.9, 0],
    ['iaru-r1-70cm', 438.65, -7.6],
    ['iaru-r1-70cm', 439.425, -7.6],
    ['iaru-r1-70cm', 433.5, 0],
    ['iaru-r1-70cm', 439.6, 0],
  ] as const)('%s at %d MHz: %d', (id, mhz, shift) =>
    expect((shiftAt(id, mhz)?.usualOffsetHz ?? Number.NaN) / 1e6).toBe(shift),
  );
  it('leaves no gap, and begins with what has no voices where that is so', () => {
    for (const [id, from, to] of [
      ['iaru-r1-2m', 144_000_000, 146_000_000],
      ['iaru-r1-70cm', 430_000_000, 440_000_000],
    ] as const) {
      const { bands } = SERVICES[id];
      expect([bands[0]?.fromHz, bands.at(-1)?.toHz]).toEqual([from, to]);
      bands.forEach((band, i) => {
        if (i > 0) expect(band.fromHz).toBe((bands[i - 1]?.toHz ?? 0) + 1);
      });
    }
    expect([shiftAt('iaru-r1-2m', 144.05)?.voice, shiftAt('iaru-r1-70cm', 432.1)?.voice]).toEqual([
      false,
      false,
    ]);
    expect([shiftAt('iaru-r1-2m', 144.3)?.voice, shiftAt('iaru-r1-70cm', 431)?.voice]).toEqual([true, true]);
  });
  it('70 cm is called on 433.500 MHz', () =>
    expect(row('iaru-r1-70cm', 'U280')).toMatchObject({ receiveHz: 433_500_000, neverTest: true }));
});

describe('itinerant and shared business frequencies (47 CFR 90.35), with the colours on the boxes', () => {
  it.each([
    [151.505, null],
    [151.5125, null],
    [151.625, 'Red Dot'],
    [151.7, null],
    [151.76, null],
    [151.955, 'Purple Dot'],
    [158.4, null],
    [451.8, null],
    [456.8, null],
    [464.5, 'Brown Dot'],
    [464.55, 'Yellow Dot'],
    [467.85, 'Silver Star'],
    [467.875, 'Gold Star'],
    [467.9, 'Red Star'],
    [467.925, 'Blue Star'],
    [469.5, null],
    [469.55, null],
  ] as const)('%d MHz: %s', (mhz, colour) => {
    const found = SERVICES.itinerant.channels.find(({ receiveHz }) => receiveHz === Math.round(mhz * 1e6));
    expect([mhzOf(found?.transmitHz), found?.bandwidthHz, found?.aliases]).toEqual([
      mhz,
      11_250,
      colour ? [colour] : [],
    ]);
  });
  it('has no others, and lets nobody send by itself', () =>
    expect([SERVICES.itinerant.channels.length, SERVICES.itinerant.ownOnly]).toEqual([17, true]));
});

describe('air, listened to only (47 CFR 87.173 and around)', () => {
  it.each([
    [121.5, true],
    [122.7, false],
    [122.725, false],
    [122.75, false],
    [122.8, false],
    [122.85, false],
    [122.9, false],
    [122.925, false],
    [122.95, false],
    [122.975, false],
    [123, false],
    [123.025, false],
    [123.05, false],
    [123.075, false],
    [123.1, true],
    [123.3, false],
    [123.45, false],
    [123.5, false],
    [243, true],
    [282.8, true],
  ] as const)('%d MHz; distress or rescue: %s', (mhz, isDistress) => {
    const found = SERVICES.airband.channels.find(({ receiveHz }) => receiveHz === Math.round(mhz * 1e6));
    expect([found?.transmitHz, found?.mode, found?.neverTest, found?.noTones]).toEqual([
      null,
      'AM',
      isDistress,
      true,
    ]);
  });
  it('has no others', () => expect(SERVICES.airband.channels).toHaveLength(20));
});

describe('weather beyond seven', () => {
  it.each([
    [8, 161.65],
    [9, 161.775],
    [10, 163.275],
  ])('%d is %d MHz, heard only, and in no other order', (n, mhz) => {
    expect([mhzOf(row('weather', String(n))?.receiveHz), row('weather', String(n))?.transmitHz]).toEqual([
      mhz,
      null,
    ]);
    expect(WEATHER_NUMBERS.some(({ receiveHz }) => mhzOf(receiveHz) === mhz)).toBe(false);
  });
});
