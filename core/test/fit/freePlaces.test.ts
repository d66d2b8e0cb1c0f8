import { fitDevice, fitPlan } from '@umbrex/core/fit';
import { type Description, DescriptionSchema, factoryMemory, waysWith } from '@umbrex/core/model';
import { describe, expect, it } from 'vitest';
import { placeListen, placeTalk } from '../../src/fit/place';
import { shipped } from '../support/devices';
import { channel, plan } from '../support/plans';

// What a set that has less than it might makes of a channel in a place that is free: by hand, from one set with one thing taken away.

const PAGE = shipped('page-handheld');
type Field = Description['fields'][number];
/** The page hand-held with its free places alone, as somebody described it who knew less, or of which something is missing. */
const page = (change: {
  without?: readonly string[];
  unknown?: readonly string[];
  locked?: readonly string[];
  lists?: Readonly<Record<string, readonly unknown[]>>;
  transmit?: Partial<Exclude<Description['transmit'], 'unknown'>> | 'unknown';
  scan?: Description['scan'];
}): Description => {
  const { without = [], unknown = [], locked = [], lists = {}, transmit = {} } = change;
  const is = (ids: readonly string[]) => (one: { id: string }) => ids.includes(one.id);
  const isGone = is(without);
  if (PAGE.transmit === 'unknown') throw new Error('sends nowhere');
  return DescriptionSchema.parse({
    ...PAGE,
    recipes: undefined,
    behaviour: undefined,
    scan: change.scan ?? PAGE.scan,
    transmit: transmit === 'unknown' ? 'unknown' : { ...PAGE.transmit, ...transmit },
    fields: PAGE.fields
      .filter((field) => !isGone(field))
      .map((field): Field => (is(unknown)(field) ? { ...field, list: 'unknown' as const } : field)),
    lists: {
      ...PAGE.lists,
      ...Object.fromEntries(
        Object.entries(lists).map(([id, means]) => [
          id,
          [{ kind: 'items', items: means.map((one) => ({ shown: String(one), means: one })) }],
        ]),
      ),
    },
    regions: PAGE.regions
      .filter(({ content }) => content.kind === 'free')
      .map((region) => ({
        ...region,
        ways: waysWith(region, (ids) => ids.filter((id) => !without.includes(id) && !locked.includes(id))),
      })),
  });
};

/** Where nobody has said whose rules apply, there is no limit of power. */
const first = (description: Description, one: ReturnType<typeof channel>, country: 'US' | 'other' = 'US') => {
  const { cells, image } = fitPlan({ ...plan([one]), country }, fitDevice(description));
  const [cell] = cells;
  const place = image.slots.get(cell?.slot?.number ?? -1);
  return {
    verdict: cell?.verdict,
    said:
      cell?.findings.filter(({ code }) => !/licence|no-names|rules|country|name|certif|by-plan/.test(code)) ??
      [],
    content: place?.content,
    values: place?.values,
  };
};

const repeater = channel('Ridge', 462.55, 467.55, { transmitTone: '88.5', receiveTone: '88.5' });
const heard = channel('Heard', 154.25, null, { service: 'other', transmitTone: 'off', receiveTone: 'off' });
const low = channel('Low', 467.5625, 467.5625, { service: 'frs', transmitTone: 'off', receiveTone: 'off' });

describe('a pair of frequencies', () => {
  it.each([
    ['a set without shifts', page({ without: ['shift'] })],
    ['one that has another shift', page({ lists: { shift: [0, 600_000] } })],
  ])('%s cannot talk through a repeater, and hears it', (_, description) => {
    const found = first(description, repeater);
    expect(found.verdict).toBe('listen');
    expect(found.said[0]).toEqual({
      code: 'cannot-transmit-here',
      severity: 'error',
      transmitHz: 467_550_000,
    });
    expect(found.content).toMatchObject({ receiveHz: 462_550_000, transmitHz: null });
  });
  it('one that always shifts cannot talk on its own frequency, and hears there', () => {
    const found = first(page({ lists: { shift: [5_000_000] } }), channel('Direct', 462.55, 462.55));
    expect(found.verdict).toBe('listen');
    expect(found.said[0]).toMatchObject({ code: 'cannot-transmit-here', transmitHz: 462_550_000 });
    // No value that its list has not.
    expect(found.values).toMatchObject({ shift: 0 });
    expect(first(page({ lists: { shift: [5_000_000] } }), heard)).toMatchObject({
      verdict: 'listen',
      said: [],
    });
  });
  it('one whose shifts nobody wrote down is not refused a direct channel', () =>
    expect(first(page({ unknown: ['shift'] }), channel('Direct', 462.55, 462.55)).verdict).not.toBe(
      'listen',
    ));
  it('where sending cannot be forbidden, the talk key goes out at its own shift, as far as the set sends there', () => {
    const bare = page({ without: ['noTalk'] });
    const weather = channel('Weather', 462.6, null, { service: 'other' });
    expect(first(bare, weather, 'other').content).toMatchObject({ transmitHz: 462_600_000 });
    expect(first(page({ without: ['noTalk', 'shift'] }), weather, 'other').content).toMatchObject({
      transmitHz: 462_600_000,
    });
    // 154 MHz is outside of what it sends.
    expect(first(bare, heard, 'other').content).toMatchObject({ transmitHz: null });
    const shifted = page({ without: ['noTalk'], lists: { shift: [5_000_000] } });
    expect(first(shifted, weather, 'other').content).toMatchObject({ transmitHz: 467_600_000 });
  });
});

describe('a frequency out of a list', () => {
  const counting = shipped('counting-handheld');
  it('of which nobody wrote the list: whether it has it is not known', () => {
    const unseen = DescriptionSchema.parse({
      ...counting,
      recipes: undefined,
      behaviour: undefined,
      fields: counting.fields.map((field) =>
        field.holds === 'receiveHz' ? { ...field, list: 'unknown', factory: 0 } : field,
      ),
    });
    const one = channel('One', 462.55, 462.55);
    const found = fitPlan(plan([one]), fitDevice(unseen)).cells[0];
    expect(found?.findings.map(({ code }) => code)).toContain('receive-unknown');
    expect(found?.verdict).toBe('unknown');
    expect(fitPlan(plan([one]), fitDevice(counting)).cells[0]?.verdict).not.toBe('unknown');
  });
});

describe('power', () => {
  const unknownW = page({ without: ['power'], transmit: { fixedPowerW: 'unknown' as never } });
  const powerless = (description: Description, one: typeof repeater, country: 'US' | 'other' = 'US') =>
    first(description, one, country).said.filter(({ code }) => code.startsWith('power'));
  it('that nobody knows is asked where there is a limit, and only there', () => {
    const direct = channel('Direct', 462.5625, 462.5625, { transmitTone: 'off', receiveTone: 'off' });
    const none = page({ without: ['power'], transmit: { fixedPowerW: undefined as never } });
    for (const description of [none, unknownW]) {
      expect(powerless(description, direct)).toMatchObject([
        { code: 'power-unknown', severity: 'warning', limitW: 5 },
      ]);
      expect(powerless(description, direct, 'other')).toEqual([]);
      expect(first(description, direct, 'other').verdict).not.toBe('listen');
    }
  });
  it.each([
    [5, []],
    [6, [{ code: 'power-too-high', severity: 'error', limitW: 5, lowestW: 6 }]],
  ])('of %i W that is always the same', (fixedPowerW, said) => {
    const direct = channel('Direct', 462.5625, 462.5625, { transmitTone: 'off', receiveTone: 'off' });
    expect(powerless(page({ without: ['power'], transmit: { fixedPowerW } }), direct)).toMatchObject(said);
  });
});

describe('width', () => {
  const width = (description: Description, one: typeof repeater) => {
    const { said, content, values } = first(description, one);
    return {
      said: said.filter(({ code }) => /width|wide/.test(code)),
      content: content && 'bandwidth' in content ? content.bandwidth : undefined,
      value: values?.width,
    };
  };
  const wide = { ...repeater, bandwidth: 'wide' as const };
  const narrow = { ...repeater, bandwidth: 'narrow' as const };
  const open = { ...repeater, bandwidth: 'unknown' as const };
  it('as the channel has it, where it can be chosen', () => {
    expect(width(page({}), wide)).toEqual({ said: [], content: 'wide', value: 0 });
    expect(width(page({}), narrow)).toEqual({ said: [], content: 'narrow', value: 1 });
    expect(width(page({}), open)).toEqual({ said: [], content: 'wide', value: 0 });
  });
  it('of which nobody wrote the values is not known, and no part of what it does', () => {
    const unseen = page({ unknown: ['width'] });
    expect(width(unseen, narrow)).toEqual({
      said: [{ code: 'bandwidth-unknown', severity: 'note' }],
      content: undefined,
      value: 0,
    });
    // 47 CFR 95.1773: no wider than 12.5 kHz on the 467 MHz channels.
    expect(
      width(page({ unknown: ['width'], lists: { power: [0.5] } }), { ...low, bandwidth: 'wide' as const })
        .said,
    ).toEqual([{ code: 'bandwidth-unknown', severity: 'note' }]);
  });
  it('that is missing or cannot be changed stays, and that is said where it differs', () => {
    const differs = (wanted: string, has: string) => [
      { code: 'bandwidth-differs', severity: 'note', wanted, has },
    ];
    expect(width(page({ lists: { width: ['wide'] } }), narrow)).toEqual({
      said: differs('narrow', 'wide'),
      content: 'wide',
      value: 0,
    });
    expect(width(page({ locked: ['width'] }), narrow)).toMatchObject({
      said: differs('narrow', 'wide'),
      content: 'wide',
    });
    expect(width(page({ locked: ['width'] }), wide).said).toEqual([]);
    expect(width(page({ without: ['width'] }), narrow)).toEqual({
      said: [],
      content: undefined,
      value: undefined,
    });
  });
  it('by the rule: narrower than the channel says, or not at all', () => {
    const tooWide = { ...low, bandwidth: 'wide' as const };
    expect(width(page({ lists: { power: [0.5] } }), tooWide)).toMatchObject({
      said: [{ code: 'bandwidth-by-rule', severity: 'note', limitHz: 12_500 }],
      content: 'narrow',
    });
    expect(width(page({ lists: { power: [0.5] } }), { ...low, bandwidth: 'narrow' as const }).said).toEqual(
      [],
    );
    expect(first(page({ lists: { width: ['wide'], power: [0.5] } }), tooWide)).toMatchObject({
      verdict: 'listen',
      said: [{ code: 'set-too-wide', severity: 'error', limitHz: 12_500 }],
    });
  });
});

describe('scan, on such a set', () => {
  const scanned = (description: Description, scan: 'in' | 'out') => {
    const { said, values, content } = first(description, { ...repeater, scan });
    return [
      said.filter(({ code }) => code.startsWith('scan')).map(({ code }) => code),
      values?.inScan,
      content && 'inScan' in content ? content.inScan : undefined,
    ];
  };
  it('a mark of which nobody wrote the values is left alone, and what shall be left out is told so', () => {
    expect(scanned(page({ unknown: ['inScan'] }), 'out')).toEqual([['scan-differs'], 1, undefined]);
    expect(scanned(page({ unknown: ['inScan'] }), 'in')).toEqual([[], 1, undefined]);
  });
  it('a mark that is out and stays so: what shall be scanned is told so', () => {
    const factoryOut = page({ locked: ['inScan'], lists: { inScan: [true, false] } });
    expect(scanned(factoryOut, 'in')[0]).toEqual(['scan-differs']);
    expect(scanned(factoryOut, 'out')[0]).toEqual([]);
  });
});

describe('priority that is named by settings of the whole set', () => {
  const MOBILE = shipped('field-mobile');
  const rescue = channel('Rescue', 155.1625, null, { service: 'other', scan: 'priority' });
  const others = [2, 3].map((n) =>
    channel(`Other ${n}`, 155.16 + n / 10, null, { service: 'other', scan: 'priority' }),
  );
  const fit = (
    description: Description,
    channels = [rescue],
    settings: Record<string, number | undefined> = {},
  ) => {
    const factory = factoryMemory(description);
    const now = { ...factory, settings: { ...factory.settings, ...settings } } as typeof factory;
    const { image, cells } = fitPlan({ ...plan(channels), country: 'other' }, fitDevice(description, now));
    return {
      settings: image.settings,
      refused: cells.map(({ findings }) => findings.find(({ code }) => code === 'priority-not-here')),
    };
  };
  const numbers = (...means: (string | number)[]): Description => ({
    ...MOBILE,
    lists: {
      ...MOBILE.lists,
      prio: [{ kind: 'items', items: means.map((one) => ({ shown: String(one), means: one })) }],
    } as never,
  });
  it('a number that the list has not cannot be named', () => {
    expect(fit(numbers('none', 7))).toMatchObject({ settings: {}, refused: [{ most: 2, perBank: 2 }] });
    expect(fit(numbers(1, 'none'))).toMatchObject({ settings: { prioA: 0 }, refused: [undefined] });
  });
  it('no more than the set gives, whatever settings it has', () => {
    const one = {
      ...MOBILE,
      scan: { ...(MOBILE.scan as object), priority: { everyMs: 2000, most: 1 } },
    } as Description;
    expect(fit(one, [rescue, ...others])).toMatchObject({
      settings: { prioA: 1 },
      refused: [undefined, { most: 1, perBank: 1 }, { most: 1 }],
    });
  });
  it('a set of which nobody knows how many: as many as it has settings, then it is said so', () => {
    expect(fit({ ...MOBILE, scan: 'unknown' }, [rescue, ...others])).toEqual({
      settings: { prioA: 1, prioB: 2 },
      refused: [
        undefined,
        undefined,
        { code: 'priority-not-here', severity: 'note', most: 'unknown', perBank: 0 },
      ],
    });
  });
  it('one that could name a place of the plan is taken from it; what nobody knows could', () => {
    const plain = { ...rescue, scan: 'in' as const };
    expect(fit(MOBILE, [plain], { prioA: undefined, prioB: 5 }).settings).toEqual({ prioA: 0 });
    expect(fit(MOBILE, [plain], { prioA: 1, prioB: 999 }).settings).toEqual({ prioA: 0 });
    expect(fit(numbers(1, 2), [plain], { prioA: 0, prioB: 1 }).settings).toEqual({});
  });
});

it('a place that is fixed refuses another pair by name, and one that never sends says that it does not', () => {
  const device = fitDevice(PAGE);
  const direct = device.slots.find(({ fixed }) => fixed && fixed.transmitHz === fixed.receiveHz);
  if (!direct?.fixed) throw new Error('a direct channel');
  const tones = { values: {}, transmitTone: undefined, receiveTone: undefined, findings: [] };
  const rule = { limitW: null, bandwidthHz: 25_000, source: '', findings: [] };
  const at = (mhz: number, slot = direct) => placeTalk(device, channel('One', mhz, mhz), slot, tones, rule);
  expect(at(154.25)).toEqual({
    ok: false,
    findings: [{ code: 'cannot-receive', severity: 'error', receiveHz: 154_250_000 }],
  });
  const mhz = direct.fixed.receiveHz / 1e6;
  expect(at(mhz).ok).toBe(true);
  const mute = { ...direct, fixed: { ...direct.fixed, transmitHz: null } };
  expect(at(mhz, mute)).toEqual({ ok: false, findings: [{ code: 'fixed-receive-only', severity: 'error' }] });
  expect(placeListen(device, channel('One', mhz, null), mute, tones)).toMatchObject({ ok: true });
  const away = { ...direct, fixed: { ...direct.fixed, transmitHz: 467_000_000 } };
  expect(at(mhz, away)).toEqual({
    ok: false,
    findings: [{ code: 'cannot-transmit-here', severity: 'error', transmitHz: direct.fixed.receiveHz }],
  });
});
