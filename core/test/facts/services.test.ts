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
  it('interoperability channels carry 156.7; the UHF ones are outputs with inputs 5 MHz up', () => {
    for (const row of list('interop')) expect([row.tone, row.bandwidthHz]).toEqual(['156.7', 12_500]);
    expect(serviceChannel('interop', 'UCALL40', true)).toMatchObject({
      receiveHz: 453_212_500,
      transmitHz: 458_212_500,
    });
    expect(serviceChannel('interop', 'VTAC14')?.receiveHz).toBe(159_472_500);
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
