import { fitDevice, fitPlan } from '@umbrex/core/fit';
import { compose } from '@umbrex/core/flow';
import {
  type Description,
  DescriptionSchema,
  factoryMemory,
  fieldsBy,
  type Region,
} from '@umbrex/core/model';
import { drawPlaces, loadByFile, VirtualDevice } from '@umbrex/core/procedure';
import { describe, expect, it } from 'vitest';
import { KEYED, SHIPPED, shipped } from '../support/devices';
import { channel, plan } from '../support/plans';

const AMATEUR = shipped('amateur-handheld');
const first = (device: Description, one: ReturnType<typeof channel>) => {
  const [cell] = fitPlan(plan([one]), fitDevice(device)).cells;
  return [cell?.verdict, cell?.findings.map(({ code, severity }) => `${code} ${severity}`)];
};
const direct = (mhz: number) => channel('Direct', mhz, mhz, { service: 'amateur-2m' });

describe('where a set has a transmitter (its own bands; the rules are asked after that)', () => {
  const narrow: Description = {
    ...AMATEUR,
    transmit: { bands: [{ fromHz: 146_000_000, toHz: 147_000_000 }] },
  };
  it.each([
    [145.99, 'listen'],
    [146, 'talk'],
    [146.52, 'talk'],
    [147, 'talk'],
    [147.01, 'listen'],
  ])('%f MHz: %s', (mhz, outcome) => {
    const [verdict, findings] = first(narrow, direct(mhz));
    if (outcome === 'talk') expect(['full', 'adapted']).toContain(verdict);
    else {
      expect(verdict).toBe('listen');
      expect(findings).toContain('cannot-transmit-here error');
    }
  });
  it('one of which nobody knows where it sends is unknown, and says so', () =>
    expect(first({ ...AMATEUR, transmit: 'unknown' }, direct(146.52))).toEqual([
      'unknown',
      ['transmit-unknown warning'],
    ]));
});

describe('where a set has no place for a channel at all', () => {
  it('it is said what it cannot receive', () => {
    const far = channel('Far', 154.25, null, { service: 'other' });
    const [cell] = fitPlan({ ...plan([far]), country: 'other' }, fitDevice(shipped('pocket-radio'))).cells;
    expect([cell?.verdict, cell?.slot, cell?.findings]).toEqual([
      'no',
      null,
      [{ code: 'cannot-receive', severity: 'error', receiveHz: far.receiveHz }],
    ]);
  });
  it('every finding says what it is, for whatever channel on whatever set', () => {
    const channels = [
      ...[121.5, 146.52, 151.82, 154.25, 156.8, 162.55, 446.00625, 462.5625, 467.5625, 851.0125].map((mhz) =>
        channel(`At ${mhz}`, mhz, null, { service: 'other' }),
      ),
      channel('Pair', 462.65, 467.65, { transmitTone: '254.1', receiveTone: 'D754I' }),
      channel('Digital', 462.575, 462.575, { mode: 'digital' }),
      channel('Quiet', 151.94, 151.94, { service: 'murs', receiveTone: 'unknown', transmitTone: 'unknown' }),
    ];
    for (const description of SHIPPED)
      for (const country of ['US', 'AU', 'other', 'unknown'] as const)
        for (const { findings, channelId } of fitPlan({ ...plan(channels), country }, fitDevice(description))
          .cells)
          for (const finding of findings)
            expect(finding, `${description.id} ${channelId}`).toMatchObject({
              code: expect.stringMatching(/^[a-z][a-z-]+$/),
              severity: expect.stringMatching(/^(note|warning|error)$/),
            });
  });
});

describe('what a set is too wide for (47 CFR 95.1773: 12.5 kHz on the 467 MHz channels)', () => {
  const lane = channel('Lane', 467.5625, 467.5625, { service: 'frs' });
  const radio = (bandwidth: 'narrow' | 'wide' | 'unknown'): Description => {
    const pocket = shipped('pocket-radio');
    const regions = pocket.regions.map((region): Region => {
      if (region.content.kind !== 'fixed') return region;
      return {
        ...region,
        content: {
          ...region.content,
          channels: region.content.channels.map((row) => ({ ...row, bandwidth })),
        },
      };
    });
    return { ...pocket, regions };
  };
  it('is not talked on', () => {
    expect(first(radio('wide'), lane)).toEqual(['listen', expect.arrayContaining(['set-too-wide error'])]);
    expect(first(radio('narrow'), lane)[0]).toBe('full');
    expect(first(radio('unknown'), lane)[0]).toBe('full');
  });
});

describe('one code for both ways, to listen alone', () => {
  const paired = (): Description => structuredClone(shipped('pocket-radio'));
  const listen = (receiveTone: string) => channel('Heard', 462.5625, null, { service: 'frs', receiveTone });
  it('is switched off, and what the policy wanted is said where it is known', () => {
    expect(first(paired(), listen('100.0'))[1]).toContain('receive-tone-left-off note');
    for (const tone of ['off', 'unknown'])
      expect(first(paired(), listen(tone))[1]).not.toContain('receive-tone-left-off note');
  });
  it('is not known where nobody looked its list up', () => {
    const vague = paired();
    for (const field of vague.fields) if (field.holds === 'bothTones') field.list = 'unknown';
    expect(first(vague, listen('100.0'))[1]).toContain('tone-list-unknown warning');
  });
});

describe('two items for tones, one of which cannot be switched off', () => {
  it('have no way to a tone of the other kind', () => {
    const device = structuredClone(AMATEUR);
    device.lists.always = [{ kind: 'dcs', codes: 'common-104', polarity: 'N', shown: '{code}' }];
    for (const field of device.fields) if (field.holds === 'transmitDcs') field.list = 'always';
    const toned = (transmitTone: string) =>
      channel('Kelp', 146.94, 146.34, { service: 'amateur-2m', transmitTone });
    expect(first(device, toned('100.0'))).toEqual([
      'listen',
      expect.arrayContaining(['transmit-tone-missing error']),
    ]);
    expect(['full', 'adapted']).toContain(first(device, toned('D023N'))[0]);
  });
});

describe('priority goes to as many as a set has, in the plan’s order', () => {
  it('and the next one is told that there is no more', () => {
    const scanner = structuredClone(shipped('bank-scanner'));
    if (typeof scanner.scan !== 'object' || scanner.scan.priority === 'none') throw new Error('no priority');
    scanner.scan = { ...scanner.scan, priority: { ...scanner.scan.priority, most: 2, perBank: 2 } };
    const all = [150.1, 150.2, 150.3, 150.4].map((mhz) =>
      channel(`C${mhz}`, mhz, null, { service: 'other', scan: 'priority' }),
    );
    const { cells, image } = fitPlan(plan(all), fitDevice(scanner));
    const has = cells.map(({ slot }) => {
      const content = image.slots.get(slot?.number ?? -1)?.content;
      return content?.kind === 'channel' && content.hasPriority;
    });
    expect(has).toEqual([true, true, false, false]);
    expect(cells.map(({ findings }) => findings.some(({ code }) => code === 'priority-not-here'))).toEqual([
      false,
      false,
      true,
      true,
    ]);
  });
});

describe('a channel that has no place', () => {
  it('is told that none is free, and not who has one, where nobody shares', () => {
    const small = structuredClone(shipped('page-handheld'));
    small.regions = small.regions
      .filter(({ id }) => id === 'own')
      .map((region) => ({ ...region, count: 1, size: 1, stride: 1 }));
    const two = [
      channel('A', 155.34, null, { service: 'other', receiveTone: '100.0' }),
      channel('B', 155.34, null, { service: 'other', receiveTone: '131.8' }),
    ];
    const { cells } = fitPlan(plan(two), fitDevice(small));
    expect(cells.map(({ verdict, findings }) => [verdict, findings[0]?.code])).toEqual([
      ['listen', 'listen-only-by-plan'],
      ['no', 'no-free-slot'],
    ]);
  });
});

describe('a set that a program loads takes no more than it can hold', () => {
  it('and refuses the file whole', () => {
    const mobile = shipped('cb-mobile');
    const free = fitDevice(mobile).freeSlots;
    const rx = mobile.fields.find(({ holds }) => holds === 'receiveHz')?.id ?? '';
    const hz = mobile.receive === 'unknown' ? 0 : (mobile.receive.bands[0]?.fromHz ?? 0);
    const load = (count: number) =>
      loadByFile({ ...mobile, capacity: 3 }, factoryMemory(mobile), {
        slots: new Map(free.slice(0, count).map(({ number }) => [number, { [rx]: hz }])),
        settings: {},
      });
    expect(load(3).refused).toBeUndefined();
    expect(load(4).refused).toMatchObject({ path: '/slots', detail: '4 memories, 3 at most' });
    expect([...load(4).memory.slots.values()].filter((values, i) => values && i >= 0)).toHaveLength(
      [...factoryMemory(mobile).slots.values()].filter(Boolean).length,
    );
  });
});

describe('what is drawn, and what is said', () => {
  it('a region in which nothing can be set by the way of loading is locked', () => {
    const page = shipped('page-handheld');
    const locked = (description: Description) =>
      drawPlaces(description, { slots: new Map(), settings: {} }, factoryMemory(description), {
        keeps: [],
        wrote: [],
        overwrites: [],
        erases: [],
      }).map(({ title, locked: is }) => [title, is]);
    expect(locked(page)).toEqual(
      page.regions.map((region) => [region.title, fieldsBy(region, 'keys').length === 0]),
    );
    expect(new Set(locked(page).map(([, is]) => is)).size).toBe(2);
    const fleet = shipped('fleet-mobile');
    expect(locked(fleet)).toEqual(
      fleet.regions.map((region) => [region.title, fieldsBy(region, 'file').length === 0]),
    );
  });
  it('each step of a sheet has an id of its own, and the same one when the plan grows', () => {
    const kelp = channel('Kelp', 462.65, 467.65, { transmitTone: '131.8', receiveTone: '131.8' });
    const dispatch = channel('Dispatch', 155.34, null, { service: 'other' });
    for (const description of KEYED) {
      const ids = (...channels: (typeof kelp)[]) =>
        compose(plan(channels), description).sheet.steps.map(
          ({ id, slotNumber }) => [id, slotNumber] as const,
        );
      const [few, more] = [ids(kelp), ids(kelp, dispatch)];
      for (const all of [few, more])
        expect(new Set(all.map(([id]) => id)).size, description.id).toBe(all.length);
      const later = new Set(more.map(([id]) => id));
      for (const [id, slotNumber] of few) {
        if (slotNumber !== null) expect(id.startsWith(`${slotNumber}:`), id).toBe(true);
        if (slotNumber !== null && slotNumber === few.find(([, n]) => n !== null)?.[1])
          expect(later.has(id), `${description.id} ${id}`).toBe(true);
      }
    }
  });
  it('a display that names its item shows nothing there while the set has none', () => {
    const { behaviour, recipes: _, ...rest } = shipped('pocket-radio');
    if (!behaviour) throw new Error('no keys');
    const modes = { ...behaviour.modes, [behaviour.start]: { screen: ['{item}|{title}|{draft}'], on: [] } };
    const device = new VirtualDevice({
      ...rest,
      behaviour: { ...behaviour, items: [], modes },
    } as Description);
    expect(device.screen()[0]?.startsWith('||')).toBe(true);
  });
  it('a schema takes every one of these changes', () =>
    expect(DescriptionSchema.safeParse({ ...AMATEUR, transmit: 'unknown' }).success).toBe(true));
});
