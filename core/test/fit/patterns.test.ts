import { SERVICES, type ServiceId } from '@umbrex/core/facts';
import { fitDevice, fitPlan } from '@umbrex/core/fit';
import { prepare } from '@umbrex/core/flow';
import { unknownMemory } from '@umbrex/core/memory';
import { type Alerts, type Channel, factoryMemory, listItems, slotReader, slotsOf } from '@umbrex/core/model';
import { drawn, valuesCard } from '@umbrex/core/procedure';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SHIPPED, shipped } from '../support/devices';
import { read } from '../support/memory';
import { anyPlan, channel, OSTREL, plan, uuid } from '../support/plans';
import { runs } from '../support/runs';
import { told } from '../support/told';
import { WEATHER_MARINE_NUMBERS } from '../support/weather';

const fit = (id: string, channels: readonly Channel[], country: 'US' | 'AU' = 'US') =>
  fitPlan({ ...plan(channels), country }, fitDevice(shipped(id)));
const cell = (id: string, one: Channel, country: 'US' | 'AU' = 'US') => fit(id, [one], country).cells[0];
const codes = (id: string, one: Channel) => cell(id, one)?.findings.map(({ code }) => code);
const kelp = channel('Kelp Stairs', 462.65, 467.65, {
  transmitTone: '131.8',
  receiveTone: '131.8',
  bandwidth: 'wide',
});
const card = (id: string, channels: readonly Channel[]) => {
  const { image } = fit(id, channels);
  return valuesCard(shipped(id), image, factoryMemory(shipped(id))).map(({ label, values }) => [
    label,
    ...values.map(({ title, shown }) => `${title}: ${shown}`),
  ]);
};

describe('the patterns and what makes each of them hard', () => {
  it('separate items for CTCSS and DCS: the one that is not used is off, in both directions', () => {
    expect(card('plain-handheld', [kelp])).toEqual([
      [
        '27R',
        'Send CTCSS: 131.8',
        'Send DCS: OFF',
        'Hear CTCSS: 131.8',
        'Hear DCS: OFF',
        'Power: H',
        'In the scan: +',
      ],
    ]);
    expect(card('plain-handheld', [{ ...kelp, transmitTone: 'D023I', receiveTone: 'off' }])).toEqual([
      [
        '27R',
        'Send CTCSS: OFF',
        'Send DCS: D023I',
        'Hear CTCSS: OFF',
        'Hear DCS: OFF',
        'Power: H',
        'In the scan: +',
      ],
    ]);
  });
  it('a tone at another position in a list of fourteen; one that is not in it leaves listening', () => {
    expect(card('zoned-mobile', [kelp])[0]).toContain('Tone position, sent: T11');
    expect(cell('zoned-mobile', { ...kelp, transmitTone: '136.5' })).toMatchObject({ verdict: 'listen' });
  });
  it('a 467 MHz interstitial channel: a mobile listens, so does a hand-held that cannot go down to 0.5 W (47 CFR 95.1763, 95.1767)', () => {
    const low = channel('Interstitial', 467.5625, 467.5625, { bandwidth: 'narrow' });
    expect(codes('fleet-mobile', low)).toContain('hand-held-only');
    expect(codes('guided-handheld', low)).toContain('power-too-high');
    expect(cell('plain-handheld', low)?.verdict).toBe('full');
  });
  it('an amateur or business set on GMRS listens only; the wide-band one never sends anywhere', () => {
    for (const id of [
      'amateur-handheld',
      'cable-handheld',
      'twostep-mobile',
      'retired-portable',
      'wideband-receiver',
      'bank-scanner',
    ])
      expect(cell(id, kelp)?.verdict, id).toBe('listen');
  });
  it('the preset page with hidden tones holds no channel of a plan', () => {
    const { image } = fitPlan(OSTREL, fitDevice(shipped('preset-radio')));
    expect(Math.max(...image.slots.keys())).toBeLessThanOrEqual(22);
  });
  it('a channel that is made by app is set to its width, although such channels begin narrow', () =>
    expect(card('paired-handheld', [channel('Far', 462.7, 462.7, { bandwidth: 'wide' })])[0]).toContain(
      'Width: wide',
    ));
  it('a frequency that the set counts and does not have cannot be had', () => {
    expect(card('counting-handheld', [channel('Heard', 462.55, null)])).toEqual([
      ['1', 'Frequency index: 001', 'Code index: 00'],
    ]);
    expect(codes('counting-handheld', channel('Elsewhere', 462.5375, null))).toContain('cannot-receive');
  });
  it('memories with holes: the forty-first stands at number 50', () => {
    const many = Array.from({ length: 41 }, (_, i) =>
      channel(`Heard ${i}`, 150 + 0.025 * i, null, { id: uuid(900 + i), service: 'other' }),
    );
    expect(
      fit('amateur-handheld', many)
        .cells.map(({ slot }) => slot?.number)
        .slice(38),
    ).toEqual([38, 39, 50]);
  });
  it('a zone that only listens is taken first for what is only heard', () =>
    expect(cell('zoned-mobile', channel('Heard', 460.5, null, { service: 'other' }))?.slot?.label).toBe(
      '6-1',
    ));
  it('the 37th listened channel of a zone stands in the next one, and the total ends before the places do', () => {
    const many = Array.from({ length: 170 }, (_, i) =>
      channel(`Heard ${i}`, 411 + 0.025 * i, null, { id: uuid(900 + i), service: 'other' }),
    );
    const { cells } = fit('cb-mobile', many, 'AU');
    expect(cells.map(({ slot }) => slot?.label).slice(35, 37)).toEqual(['Z1 R36', 'Z2 R1']);
    expect(cells.filter(({ slot }) => slot !== null)).toHaveLength(160);
    expect(cells.at(-1)?.findings.map(({ code }) => code)).toEqual(['no-free-slot', 'group-split']);
  });
  it('173 channels into 160: what must be in is in, and thirteen of the rest are named', () => {
    const many = Array.from({ length: 173 }, (_, i) =>
      channel(`Heard ${i}`, 138 + 0.025 * i, null, {
        id: uuid(900 + i),
        service: 'other',
        tier: i >= 150 ? 'must' : 'nice',
      }),
    );
    const { cells } = fit('amateur-handheld', many);
    expect(cells.slice(150).every(({ slot }) => slot !== null)).toBe(true);
    expect(cells.filter(({ slot }) => slot === null)).toHaveLength(13);
  });
  it('a set with few places takes what it may talk on before what its talk key would only cover', () => {
    const heard = Array.from({ length: 9 }, (_, i) =>
      channel(`Heard ${i}`, 462.55 + 0.025 * (i % 8), 462.55 + 0.025 * (i % 8), {
        id: uuid(900 + i),
        tier: 'must',
      }),
    );
    const deck = channel('Deck', 451.8125, 451.8125, {
      id: uuid(950),
      service: 'business',
      tier: 'nice',
      bandwidth: 'narrow',
    });
    const licensed = [
      {
        name: 'Deck',
        receiveHz: 451_812_500,
        transmitHz: 451_812_500,
        bandwidthHz: 12_500,
        maxPowerW: 2,
        licence: 'invented',
        area: '',
        expires: '2031-05-31',
      },
    ];
    const { cells } = fitPlan(
      { ...plan([...heard, deck]), licensed },
      fitDevice(shipped('counting-handheld')),
    );
    expect(cells.at(-1)?.slot?.number).toBe(1);
    expect(cells.filter(({ slot }) => slot === null).length).toBeGreaterThan(0);
  });
  it('seven letters for forty channels, all different', () => {
    const many = Array.from({ length: 40 }, (_, i) =>
      channel(`North Ridge Repeater ${i}`, 150 + 0.025 * i, null, { id: uuid(900 + i), service: 'other' }),
    );
    const names = fit('amateur-handheld', many).cells.map(({ name }) => name ?? '');
    expect(new Set(names).size).toBe(40);
    expect(names.every((name) => name.length > 0 && name.length <= 7)).toBe(true);
  });
  it('weather channels stand under ascending numbers on one alert radio and under the marine ones on the other (NOAA)', () => {
    const heard = WEATHER_MARINE_NUMBERS.map(([, mhz], i) =>
      channel(`WX ${mhz}`, mhz, null, { id: uuid(900 + i), service: 'weather' }),
    );
    const labels = (id: string) => fit(id, heard).cells.map(({ slot }) => slot?.label);
    expect(labels('slot-alert')).toEqual(WEATHER_MARINE_NUMBERS.map(([number]) => `WX${number}`));
    const ascending = [...heard].sort((a, b) => a.receiveHz - b.receiveHz).map(({ id }) => id);
    expect(labels('menu-alert')).toEqual(heard.map(({ id }) => `CH${ascending.indexOf(id) + 1}`));
  });
});

describe('a card of values says what the image holds', () => {
  it('a later find in a skipped slot joins the scan again: its mark comes off by the sheet', () => {
    const places = [{ number: 1, values: { rx: 154_650_000, title: 'OLD', skip: 'SKIP' } }];
    const {
      fit: fitted,
      sheet,
      proof,
    } = prepare(plan([channel('Find', 154.65, null, { service: 'other' })]), shipped('bank-scanner'), {
      keeps: [],
      accepts: [1],
      holds: read(places),
    });
    expect(fitted.cells[0]?.slot?.number).toBe(1);
    expect(sheet.steps.map(({ says }) => says)).toContain('Change the mark to -.');
    expect(proof.proven).toBe(true);
  });
  it('for any plan on any pattern: every place of the image is on it, and read back it is what was wanted', () =>
    fc.assert(
      fc.property(anyPlan, fc.constantFrom(...SHIPPED), (any, description) => {
        const { image } = fitPlan(any, fitDevice(description));
        const decode = slotReader(description);
        const slots = new Map(slotsOf(description).map((slot) => [slot.number, slot]));
        expect(
          valuesCard(description, image, factoryMemory(description))
            .map(({ number }) => number)
            .sort((a, b) => a - b),
        ).toEqual([...image.slots.keys()].sort((a, b) => a - b));
        for (const [number, wanted] of image.slots) {
          const slot = slots.get(number);
          if (slot)
            expect(decode(slot, wanted.values), `${description.id} ${number}`).toMatchObject(wanted.content);
        }
      }),
      { numRuns: runs(300) },
    ));
});

describe('alert radios', () => {
  const alerts = (areas: readonly string[], more: Partial<Alerts> = {}): Alerts => ({
    areas: [...areas],
    reach: 'list',
    weatherHz: 162_475_000,
    silent: [],
    ...more,
  });
  const fitted = (id: string, wanted: Alerts | null) => {
    const { image, findings } = fitPlan({ ...plan([]), alerts: wanted }, fitDevice(shipped(id)));
    return {
      codes: [...image.slots.values()].map(({ content }) => told(content).areaCode),
      settings: image.settings,
      findings: findings.map(({ code }) => code),
    };
  };
  it('a second area while the mode is one area is ignored, and said', () =>
    expect(fitted('menu-alert', alerts(['099001', '099002'], { reach: 'one' }))).toEqual({
      codes: ['099001'],
      settings: { station: 3, reach: 0 },
      findings: ['alert-areas-ignored'],
    }));
  it('eight slots hold eight areas; the ninth is named, never dropped in silence', () => {
    const nine = Array.from({ length: 9 }, (_, i) => `09900${i}`);
    const slots = fitted('slot-alert', alerts(nine));
    expect(slots.codes).toEqual(nine.slice(0, 8));
    expect(slots.findings).toEqual(['alert-areas-left-out']);
  });
  it('the transmitter is chosen by frequency under either numbering (NOAA: 162.475 is the fourth ascending, the third marine one)', () => {
    const item = (id: string) => {
      const list = listItems(shipped(id).lists.station ?? []);
      return list[fitted(id, alerts(['099001'])).settings.station ?? -1]?.shown;
    };
    expect([item('menu-alert'), item('slot-alert')]).toEqual(['CH4', 'WX3']);
  });
  it('what it has no mode for, and a transmitter nobody knows, is asked about and never put nearby', () => {
    expect(fitted('slot-alert', alerts(['099001'], { reach: 'one' }))).toMatchObject({
      settings: { station: 2 },
      findings: ['alert-reach-not-here'],
    });
    expect(
      fitted('menu-alert', alerts(['099001'], { weatherHz: 'unknown', reach: 'everywhere' })).findings,
    ).toEqual(['alert-transmitter-unknown', 'alert-everywhere']);
  });
  it('a transmitter that is not in the list of a set is none that it hears', () => {
    const { findings } = fitPlan(
      { ...plan([]), alerts: alerts(['099001'], { weatherHz: 162_412_500 }) },
      fitDevice(shipped('menu-alert')),
    );
    expect(findings).toEqual([{ code: 'cannot-receive', severity: 'error', receiveHz: 162_412_500 }]);
    // A reach that a set has no mode for is told with its name.
    const reach = fitPlan(
      { ...plan([]), alerts: alerts(['099001'], { reach: 'one' }) },
      fitDevice(shipped('slot-alert')),
    );
    expect(reach.findings).toEqual([{ code: 'alert-reach-not-here', severity: 'error', reach: 'one' }]);
  });
  it('areas that may stand in places nobody looked at are told of where the set listens to its whole list, and only there', () => {
    const unseen = (reach: Alerts['reach']) => {
      const device = fitDevice(shipped('menu-alert'), unknownMemory(shipped('menu-alert')));
      const { findings } = fitPlan({ ...plan([]), alerts: alerts(['099001'], { reach }) }, device);
      return findings.filter(({ code }) => code === 'alert-areas-unseen');
    };
    const places = slotsOf(shipped('menu-alert')).filter(
      ({ region }) => region.content.kind === 'areas',
    ).length;
    expect(unseen('list')).toEqual([{ code: 'alert-areas-unseen', severity: 'warning', places: places - 1 }]);
    expect([unseen('one'), unseen('everywhere')]).toEqual([[], []]);
  });
  it('nothing is set where the group sets up none, or on a set that is no alert radio', () => {
    expect(fitted('menu-alert', null)).toEqual({ codes: [], settings: {}, findings: [] });
    expect(fitted('page-handheld', alerts(['099001']))).toEqual({ codes: [], settings: {}, findings: [] });
  });
  it('events are switched off where a set has a switch; the others are named, and so is a warning that falls silent', () => {
    const { settings, findings } = fitted(
      'slot-alert',
      alerts(['099001'], { silent: ['FFW', 'FFA', 'TOR', 'TSW'] }),
    );
    expect([settings.eventFfa, settings.eventFfw, settings.eventFla, settings.eventTor]).toEqual([
      1,
      1,
      0,
      undefined,
    ]);
    expect(findings).toEqual(['alert-always-on', 'alert-no-switch', 'alert-warning-silent']);
    const silent = alerts(['099001'], { silent: ['FFW', 'TOR', 'TSW'] });
    const whole = fitPlan({ ...plan([]), alerts: silent }, fitDevice(shipped('slot-alert')));
    expect(whole.findings.map(({ code, severity }) => [code, severity])).toEqual([
      ['alert-always-on', 'note'],
      ['alert-no-switch', 'note'],
      ['alert-warning-silent', 'warning'],
    ]);
    expect(fitted('menu-alert', alerts(['099001'], { silent: ['FFA'] })).findings).toEqual([
      'alert-no-switch',
    ]);
    expect(fitted('slot-alert', alerts(['099001'], { silent: ['RWT'] })).findings).toEqual([
      'alert-test-silent',
    ]);
  });
  it('a switch is turned by its own number of presses, counted from outside the list', () => {
    const { sheet, proof } = prepare(
      { ...plan([]), alerts: alerts(['099001'], { silent: ['FLA'] }) },
      shipped('slot-alert'),
    );
    const at = sheet.steps.findIndex(({ promises }) => promises === 'FLOOD WATCH');
    // The sixth event of twelve: EVENT six times, + once, OK.
    const { keys } = shipped('slot-alert');
    expect(sheet.steps.slice(at, at + 3).map(({ runs }) => drawn(runs, keys))).toEqual([
      [{ kind: 'key', legend: 'EVENT', times: 6 }],
      [{ kind: 'key', legend: '+', times: 1 }],
      [{ kind: 'key', legend: 'OK', times: 1 }],
    ]);
    expect(proof.proven).toBe(true);
  });
  it('areas stay where the set has them, new ones go to empty places, and its own others are named', () => {
    const places = [
      { number: 101, values: { area: '499999' } },
      { number: 103, values: { area: '099001' } },
    ];
    const { fit, toAccept } = prepare(
      { ...plan([]), alerts: alerts(['099001', '099002']) },
      shipped('slot-alert'),
      {
        keeps: [],
        accepts: [],
        holds: read(places),
      },
    );
    expect([...fit.image.slots].map(([number, { content }]) => [number, told(content).areaCode])).toEqual([
      [102, '099002'],
      [103, '099001'],
    ]);
    expect(toAccept).toEqual([]);
    expect(fit.findings).toEqual([{ code: 'alert-areas-kept', severity: 'warning', areas: ['499999'] }]);
  });
  it('any areas prove on both kinds, from whatever they hold', () =>
    fc.assert(
      fc.property(
        fc.constantFrom('menu-alert', 'slot-alert'),
        fc.uniqueArray(fc.stringMatching(/^\d{6}$/), { minLength: 1, maxLength: 8 }),
        fc.uniqueArray(fc.stringMatching(/^\d{6}$/), { minLength: 0, maxLength: 8 }),
        fc.constantFrom('list', 'everywhere'),
        fc.constantFrom(162_400_000, 162_475_000, 162_550_000),
        fc.subarray(['FFA', 'FLA', 'RWT', 'TOR', 'TSW']),
        (id, areas, held, reach, weatherHz, silent) => {
          const places = held.map((area, i) => ({ number: 101 + i, values: { area } }));
          const state = {
            keeps: [],
            accepts: [],
            holds: read(places),
          };
          const { proof, toAccept } = prepare(
            { ...plan([]), alerts: { areas, reach: reach as Alerts['reach'], weatherHz, silent } },
            shipped(id),
            state,
          );
          expect(proof.firstDifference).toBeNull();
          for (const number of toAccept) expect(places.map((place) => place.number)).toContain(number);
        },
      ),
      { numRuns: runs(60) },
    ));
});

describe('a set that is certified for a service and has its channels from the factory', () => {
  const made = SHIPPED.flatMap((description) =>
    (description.certifiedFor === 'unknown' ? [] : description.certifiedFor).flatMap((id) => {
      const service = SERVICES[id];
      const fixed = slotsOf(description).flatMap(({ fixed: one }) => (one ? [one] : []));
      const own = service.channels.filter((row) =>
        fixed.some(
          ({ receiveHz, transmitHz }) => receiveHz === row.receiveHz && transmitHz === row.transmitHz,
        ),
      );
      return own.length > 0 ? [[description.id, id, own] as const] : [];
    }),
  );
  it('are some', () => expect(made.length).toBeGreaterThan(5));
  it.each(made)('%s may talk on every one that %s leaves open', (id, service, own) => {
    for (const row of own) {
      const { country } = SERVICES[service as ServiceId];
      const one = channel(row.name, row.receiveHz / 1e6, (row.transmitHz ?? row.receiveHz) / 1e6, {
        bandwidth: row.bandwidthHz > 12_500 ? 'wide' : 'narrow',
        service: service as ServiceId,
      });
      expect([row.name, cell(id, one, country as 'US' | 'AU')?.verdict]).toEqual([
        row.name,
        expect.stringMatching(/^(full|adapted)$/),
      ]);
    }
  });
});
