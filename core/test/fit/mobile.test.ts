import { type FitPlan, fitDevice, fitPlan, type UnitPart } from '@umbrex/core/fit';
import { type Channel, type Description, factoryMemory, type Memory, type Numbers } from '@umbrex/core/model';
import { describe, expect, it } from 'vitest';
import { fieldOf, item, items, mobile, type Raw, region, without } from '../support/mobile';
import { channel, plan, uuid } from '../support/plans';

// What becomes of each channel on the mobile was decided by hand.

const REPEATER: Partial<Channel> = { transmitTone: '67.0', receiveTone: '67.0', bandwidth: 'wide' };
interface Given {
  readonly set?: Description;
  readonly more?: Partial<FitPlan>;
  readonly memory?: (memory: Memory) => Memory;
  readonly unit?: UnitPart;
  readonly numbers?: Numbers;
}

function fitted(
  channels: readonly Channel[],
  { set = mobile(), more = {}, memory = (one) => one, unit = {}, numbers = {} }: Given = {},
) {
  const device = fitDevice(set, memory(factoryMemory(set)), unit);
  const fit = fitPlan({ ...plan(channels), ...more }, device, numbers);
  // That whoever sends needs a licence is another table's (rules/transmit.test.ts).
  const said = fit.cells.map((cell) => ({
    ...cell,
    findings: cell.findings.filter(({ code }) => code !== 'licence-needed'),
  }));
  return { ...fit, cells: said };
}

/** What becomes of each channel, as one would jot it down: its verdict, its place and name there, and the codes of what is said. */
const cells = (channels: readonly Channel[], given?: Given) =>
  fitted(channels, given).cells.map(({ verdict, slot, name, findings }) =>
    [verdict, slot && `at ${slot.number}`, name && `as ${name}`, ...findings.map(({ code }) => code)]
      .filter(Boolean)
      .join(' '),
  );

const placesOf = (channels: readonly Channel[], given?: Given) => [...fitted(channels, given).image.slots];

/** The values of the place where the only channel went. */
const valuesOf = (one: Channel, given?: Given) => placesOf([one], given)[0]?.[1].values;
const filledWith =
  (places: Record<number, Record<string, string | number>>) =>
  ({ slots, settings }: Memory): Memory => ({
    slots: new Map([...slots, ...Object.entries(places).map(([n, values]) => [Number(n), values] as const)]),
    settings,
  });
const USED = { rx: 462_700_000, off: 0, enc: 0, dec: 0, pow: 0, wid: 0, mute: 0, name: 'DEB' };

describe('one channel', () => {
  const set = mobile();
  it('a pair with tones in a free place, every value', () =>
    expect(valuesOf(channel('ABC', 462.65, 467.65, REPEATER), { set })).toEqual({
      rx: 462_650_000,
      off: 1,
      enc: 1,
      dec: 1,
      pow: 2,
      wid: 1,
      mute: 0,
      name: 'ABC',
    }));
  it('the same on the air', () =>
    expect(placesOf([channel('ABC', 462.65, 467.65, REPEATER)], { set })[0]?.[1].content).toEqual({
      kind: 'channel',
      receiveHz: 462_650_000,
      transmitHz: 467_650_000,
      transmitTone: '67.0',
      receiveTone: '67.0',
      powerW: 40,
      bandwidth: 'wide',
      name: 'ABC',
    }));
  it('one to listen to, where talking is forbidden', () => {
    const heard = channel('ABC', 462.65, null, { receiveTone: '71.9' });
    expect(cells([heard])).toEqual(['listen at 11 as ABC listen-only-by-plan']);
    expect(valuesOf(heard)).toMatchObject({ rx: 462_650_000, off: 0, enc: 0, dec: 2, mute: 1 });
    expect(placesOf([heard])[0]?.[1].content).toMatchObject({ transmitHz: null });
  });
  it.each([
    ['the very first', channel('ABC', 462.5625, 462.5625), 'full at 1 as ABC'],
    [
      'wide on a place that is narrow',
      channel('ABC', 462.5625, 462.5625, { bandwidth: 'wide' }),
      'adapted at 1 as ABC bandwidth-differs',
    ],
    [
      'a name that has to be shorter',
      channel('ABCDE', 462.65, 462.65),
      'adapted at 11 as ABCD name-shortened',
    ],
    ['a name that differs in its case alone', channel('Abc', 462.65, 462.65), 'full at 11 as ABC'],
    ['one that the set does not hear', channel('ABC', 155.16, null), 'no cannot-receive'],
    ['one between its steps', channel('ABC', 462.656, null), 'no cannot-enter-frequency'],
    ['digital', channel('ABC', 462.65, 462.65, { mode: 'digital' }), 'no mode-not-here'],
    [
      'a tone that it has not',
      channel('ABC', 462.65, 467.65, { ...REPEATER, transmitTone: '82.5' }),
      'listen at 11 as ABC transmit-tone-missing',
    ],
    [
      'a shift that it has not',
      channel('ABC', 462.65, 467.65, { ...REPEATER, transmitHz: 467_675_000 }),
      'listen at 11 as ABC not-a-service-channel',
    ],
    [
      'to listen, where the factory’s place never sends',
      channel('ABC', 462.6, null),
      'listen at 2 as ABC listen-only-by-plan',
    ],
    ['to talk, where the factory’s place never sends', channel('ABC', 462.6, 462.6), 'full at 11 as ABC'],
  ])('%s', (_, one, says) => expect(cells([one])).toEqual([says]));
});

describe('its frequencies', () => {
  it('a set that takes the frequency to send on', () => {
    const set = mobile((raw) => {
      const offset = fieldOf(raw, 'off');
      offset.holds = 'transmitHz';
      offset.list = undefined;
    });
    expect(valuesOf(channel('ABC', 462.65, 467.65, REPEATER), { set })).toMatchObject({ off: 467_650_000 });
    expect(valuesOf(channel('ABC', 462.65, 462.65), { set })).toMatchObject({ off: 462_650_000 });
    // To listen it stands on its own frequency.
    expect(valuesOf(channel('ABC', 462.65, null), { set })).toMatchObject({ off: 462_650_000, mute: 1 });
    const cannotMute = mobile((raw) => {
      without(raw, 'mute');
      const offset = fieldOf(raw, 'off');
      offset.holds = 'transmitHz';
      offset.list = undefined;
    });
    expect(fitted([channel('ABC', 462.65, null)], { set: cannotMute }).cells[0]?.findings).toContainEqual({
      code: 'talk-goes-out-on-output',
      severity: 'warning',
      transmitHz: 462_650_000,
    });
  });
  it('a set that always shifts listens, with the frequency that its talk key would send', () => {
    const set = mobile((raw) => {
      without(raw, 'mute');
      raw.lists.offsets = items(item('+5', 5_000_000));
    });
    expect(cells([channel('ABC', 462.65, 462.65)], { set })[0]).toContain('cannot-transmit-here');
    const heard = fitted([channel('ABC', 462.65, null)], { set }).cells[0];
    expect(heard).toMatchObject({ verdict: 'listen', slot: { number: 11 } });
    expect(heard?.findings).toContainEqual({
      code: 'talk-goes-out-on-output',
      severity: 'warning',
      transmitHz: 467_650_000,
    });
  });
  it('one without a shift at all talks on its own frequency alone', () => {
    const set = mobile((raw) => without(raw, 'off'));
    expect(cells([channel('ABC', 462.65, 462.65)], { set })).toEqual(['full at 11 as ABC']);
    expect(cells([channel('ABC', 462.65, 467.65, REPEATER)], { set })).toEqual([
      'listen at 11 as ABC cannot-transmit-here',
    ]);
  });
  it('one whose shifts nobody has looked up', () => {
    const set = mobile((raw) => {
      fieldOf(raw, 'off').list = 'unknown';
    });
    expect(cells([channel('ABC', 462.65, 467.65, REPEATER)], { set })).toEqual([
      'listen at 11 as ABC cannot-transmit-here',
    ]);
    expect(cells([channel('ABC', 462.65, 462.65)], { set })).toEqual(['full at 11 as ABC']);
  });
  it('one that counts its frequencies', () => {
    const counts = (raw: Raw) => {
      raw.lists.counted = [
        { kind: 'range', fromHz: 462_550_000, toHz: 462_650_000, stepHz: 25_000, shown: '{mhz}' },
      ];
      fieldOf(raw, 'rx').list = 'counted';
    };
    const set = mobile(counts);
    expect(valuesOf(channel('ABC', 462.65, 462.65), { set })).toMatchObject({ rx: 4 });
    expect(fitted([channel('ABC', 462.675, 462.675)], { set }).cells[0]).toMatchObject({
      verdict: 'no',
      findings: [{ code: 'cannot-receive', severity: 'error', receiveHz: 462_675_000 }],
    });
    const unknown = mobile((raw) => {
      fieldOf(raw, 'rx').list = 'unknown';
    });
    expect(cells([channel('ABC', 462.65, null)], { set: unknown })).toEqual(['unknown receive-unknown']);
  });
  it('one of which nobody knows what it hears', () => {
    const set = mobile((raw) => {
      raw.receive = 'unknown';
    });
    expect(cells([channel('ABC', 462.65, null)], { set })).toEqual(['unknown receive-unknown']);
    expect(cells([channel('ABC', 462.5625, 462.5625)], { set })).toEqual(['full at 1 as ABC']);
  });
  it('what it does not hear is said with the frequency', () => {
    expect(fitted([channel('ABC', 155.16, null)]).cells[0]?.findings).toEqual([
      { code: 'cannot-receive', severity: 'error', receiveHz: 155_160_000 },
    ]);
    expect(fitted([channel('ABC', 468, null)]).cells[0]?.verdict).toBe('listen');
    expect(fitted([channel('ABC', 462, null)]).cells[0]?.verdict).toBe('listen');
  });
  it('a place that never sends is refused to whoever wants to talk, and said', () => {
    const set = mobile((raw) => {
      raw.regions = [region(raw, 'factory')];
    });
    expect(cells([channel('ABC', 462.6, 462.6)], { set })).toEqual(['listen at 2 as ABC fixed-receive-only']);
  });
});

describe('its power', () => {
  const watts = (given: Given, one = channel('ABC', 462.65, 467.65, REPEATER)) => {
    const { cells: said, image } = fitted([one], given);
    const [cell] = said;
    const place = cell?.slot ? image.slots.get(cell.slot.number) : undefined;
    return {
      says: [cell?.verdict, ...(cell?.findings ?? []).map(({ code }) => code)].join(' '),
      pow: place?.values.pow,
      powerW: place && 'powerW' in place.content ? place.content.powerW : undefined,
    };
  };
  it('the highest within the limit: 50 W on a main channel, 5 W between them (47 CFR 95.1767)', () => {
    expect(watts({})).toEqual({ says: 'full', pow: 2, powerW: 40 });
    expect(watts({}, channel('ABC', 462.5875, 462.5875))).toEqual({
      says: 'adapted power-lowered',
      pow: 1,
      powerW: 5,
    });
  });
  it('a place that limits itself may have the highest step', () => {
    expect(watts({}, channel('ABC', 462.5625, 462.5625))).toEqual({ says: 'full', pow: 2, powerW: 5 });
    const low = mobile((raw) => {
      fieldOf(raw, 'pow').factory = 0;
    });
    expect(watts({ set: low }, channel('ABC', 462.5625, 462.5625))).toEqual({
      says: 'full',
      pow: 2,
      powerW: 5,
    });
    const limited = mobile((raw) => {
      raw.transmit.bands = [{ fromHz: 462_550_000, toHz: 462_725_000, mostPowerW: 3 }];
    });
    expect(watts({ set: limited }, channel('ABC', 462.5875, 462.5875))).toEqual({
      says: 'full',
      pow: 2,
      powerW: 3,
    });
  });
  it('a set with no step low enough listens', () => {
    const strong = mobile((raw) => {
      raw.lists.powers = items(item('MID', 10), item('HIGH', 40));
      fieldOf(raw, 'pow').factory = 0;
    });
    const [cell] = fitted([channel('ABC', 462.5875, 462.5875)], { set: strong }).cells;
    expect(cell).toMatchObject({ verdict: 'listen' });
    expect(cell?.findings[0]).toMatchObject({ code: 'power-too-high', limitW: 5, lowestW: 10 });
  });
  it('what nobody has looked up is said', () => {
    const unknown = mobile((raw) => {
      fieldOf(raw, 'pow').list = 'unknown';
    });
    expect(watts({ set: unknown }).says).toBe('adapted power-unknown');
    const limited = mobile((raw) => {
      fieldOf(raw, 'pow').list = 'unknown';
      raw.transmit.bands = [{ fromHz: 462_550_000, toHz: 467_725_000, mostPowerW: 3 }];
    });
    expect(watts({ set: limited }).says).toBe('full');
  });
  it('a power that no step chooses', () => {
    const fixed = (fixedPowerW: number | 'unknown' | undefined) =>
      mobile((raw) => {
        without(raw, 'pow');
        raw.transmit.fixedPowerW = fixedPowerW;
      });
    expect(watts({ set: fixed(40) }).says).toBe('full');
    expect(watts({ set: fixed(60) }).says).toBe('listen power-too-high');
    expect(watts({ set: fixed('unknown') }).says).toBe('adapted power-unknown');
    expect(watts({ set: fixed(undefined) }).says).toBe('adapted power-unknown');
    // The factory's own place limits itself to what is lawful there.
    expect(watts({ set: fixed(undefined) }, channel('ABC', 462.5625, 462.5625)).says).toBe('full');
  });
  it('a step that cannot be chosen in a place counts as it stands there', () => {
    const locked = (factory: number) =>
      mobile((raw) => {
        fieldOf(raw, 'pow').factory = factory;
        region(raw, 'factory').ways[0].fields = ['enc', 'dec', 'name'];
        region(raw, 'factory').content.channels[0].mostPowerW = undefined;
        raw.regions = [region(raw, 'factory')];
      });
    const one = channel('ABC', 462.5625, 462.5625);
    expect(watts({ set: locked(1) }, one)).toMatchObject({ says: 'full', powerW: 5 });
    const [cell] = fitted([one], { set: locked(2) }).cells;
    expect(cell).toMatchObject({ verdict: 'listen' });
    expect(cell?.findings[0]).toMatchObject({ code: 'power-too-high', limitW: 5, lowestW: 40 });
    // What somebody read there goes before what the factory set.
    const read = ({ slots, settings }: Memory): Memory => ({
      slots: new Map(slots).set(1, { ...slots.get(1), pow: 0 }),
      settings,
    });
    expect(watts({ set: locked(2), memory: read }, one)).toMatchObject({ says: 'full', powerW: 0.5 });
  });
});

describe('its width', () => {
  const width = (one: Channel, given?: Given) => {
    const { cells: said, image } = fitted([one], given);
    const [cell] = said;
    const place = cell?.slot ? image.slots.get(cell.slot.number) : undefined;
    return [cell?.findings.map(({ code }) => code).join(' '), place?.values.wid, place?.content].map(
      (part) => (typeof part === 'object' ? ('bandwidth' in part ? part.bandwidth : '-') : part),
    );
  };
  const wide = channel('ABC', 462.65, 467.65, REPEATER);
  it('as the plan has it', () => {
    expect(width(wide)).toEqual(['', 1, 'wide']);
    expect(width({ ...wide, bandwidth: 'narrow' })).toEqual(['', 0, 'narrow']);
    // Unsaid it stays as from the factory.
    expect(width({ ...wide, bandwidth: 'unknown' })).toEqual(['', 1, 'wide']);
  });
  it('narrow where the rule has it so (47 CFR 95.1773: 12.5 kHz between the repeater inputs)', () => {
    const between = channel('ABC', 467.5875, 467.5875, { bandwidth: 'wide' });
    const low = mobile((raw) => {
      raw.station = 'hand-held';
      raw.lists.powers = items(item('LOW', 0.5));
      fieldOf(raw, 'pow').factory = 0;
    });
    expect(width(between, { set: low })).toEqual(['bandwidth-by-rule', 0, 'narrow']);
    expect(width({ ...between, bandwidth: 'narrow' }, { set: low })).toEqual(['', 0, 'narrow']);
    expect(width({ ...between, bandwidth: 'unknown' }, { set: low })).toEqual(['', 0, 'narrow']);
    const onlyWide = mobile((raw) => {
      raw.station = 'hand-held';
      raw.lists.powers = items(item('LOW', 0.5));
      raw.lists.widths = items(item('WIDE', 'wide'));
      for (const id of ['pow', 'wid']) fieldOf(raw, id).factory = 0;
    });
    expect(cells([between], { set: onlyWide })[0]).toMatch(/^listen at 11 as ABC set-too-wide/);
    // Where nothing keeps it from sending too wide, the plan may have it left out.
    const loud = mobile((raw) => {
      without(raw, 'mute');
      raw.station = 'hand-held';
      raw.lists.powers = items(item('LOW', 0.5));
      raw.lists.widths = items(item('WIDE', 'wide'));
      for (const id of ['pow', 'wid']) fieldOf(raw, id).factory = 0;
    });
    const said = (withoutRight: 'warn' | 'leave-out') =>
      cells([between], { set: loud, more: { withoutRight } })[0];
    expect(said('warn')).toBe('listen at 11 as ABC set-too-wide talk-goes-out-on-output');
    expect(said('leave-out')).toBe('no set-too-wide left-out-without-right');
  });
  it('a set that has another width, or of which nobody knows', () => {
    const narrow = mobile((raw) => {
      raw.lists.widths = items(item('NARROW', 'narrow'));
      fieldOf(raw, 'wid').factory = 0;
    });
    expect(fitted([wide], { set: narrow }).cells[0]?.findings).toEqual([
      { code: 'bandwidth-differs', severity: 'note', wanted: 'wide', has: 'narrow' },
    ]);
    expect(width({ ...wide, bandwidth: 'unknown' }, { set: narrow })).toEqual(['', 0, 'narrow']);
    const unknown = mobile((raw) => {
      fieldOf(raw, 'wid').list = 'unknown';
    });
    expect(fitted([wide], { set: unknown }).cells[0]).toMatchObject({
      verdict: 'full',
      findings: [{ code: 'bandwidth-unknown', severity: 'note' }],
    });
    expect(width(wide, { set: unknown })[2]).toBe('-');
    const none = mobile((raw) => without(raw, 'wid'));
    expect(width(wide, { set: none })).toEqual(['', undefined, '-']);
  });
});

describe('its modulation', () => {
  const set = mobile((raw) => {
    raw.receive.modes = ['FM', 'AM'];
    raw.lists.modes = items(item('FM', 'FM'), item('AM', 'AM'));
    raw.fields.push({ id: 'mod', title: 'Mode', holds: 'modulation', list: 'modes', factory: 0 });
    region(raw, 'free').ways[0].fields.push('mod');
  });
  it('is chosen in a place that has a choice', () => {
    const am = channel('ABC', 462.65, null, { mode: 'AM' });
    expect(valuesOf(am, { set })).toMatchObject({ mod: 1 });
    expect(placesOf([am], { set })[0]?.[1].content).toMatchObject({ modulation: 'AM' });
    expect(valuesOf({ ...am, mode: 'FM' }, { set })).toMatchObject({ mod: 0 });
  });
  it('is refused where the place has no such', () => {
    const only = mobile((raw) => {
      raw.receive.modes = ['FM', 'AM'];
      raw.lists.modes = items(item('FM', 'FM'));
      raw.fields.push({ id: 'mod', title: 'Mode', holds: 'modulation', list: 'modes', factory: 0 });
      region(raw, 'free').ways[0].fields.push('mod');
    });
    expect(cells([channel('ABC', 462.65, null, { mode: 'AM' })], { set: only })).toEqual([
      'no mode-not-here',
    ]);
  });
});

describe('sending forbidden', () => {
  const heard = channel('ABC', 462.65, null);
  it('by a list that nobody looked up, or that cannot, it is not', () => {
    const unknown = mobile((raw) => {
      fieldOf(raw, 'mute').list = 'unknown';
    });
    expect(cells([heard], { set: unknown })[0]).toContain('talk-goes-out-on-output');
    const cannot = mobile((raw) => {
      raw.lists.locks = items(item('SENDS', false));
    });
    expect(cells([heard], { set: cannot })[0]).toContain('talk-goes-out-on-output');
    expect(valuesOf(heard, { set: cannot })).toMatchObject({ mute: 0 });
  });
  it('a place of the factory’s that was told not to send is told to, where one may talk on it', () => {
    const set = mobile((raw) => {
      region(raw, 'factory').ways[0].fields.push('mute');
    });
    const told = ({ slots, settings }: Memory): Memory => ({
      slots: new Map(slots).set(1, { ...slots.get(1), mute: 1 }),
      settings,
    });
    const talk = channel('ABC', 462.5625, 462.5625);
    expect(valuesOf(talk, { set, memory: told })).toMatchObject({ mute: 0 });
    expect(valuesOf({ ...talk, transmitHz: null }, { set, memory: told })).toMatchObject({ mute: 1 });
    expect(valuesOf({ ...talk, transmitHz: null }, { set })).toMatchObject({ mute: 1 });
  });
  it('a place that never sends needs nothing', () => {
    const set = mobile((raw) => {
      without(raw, 'mute');
      region(raw, 'free').content.receiveOnly = true;
    });
    expect(cells([heard], { set })).toEqual(['listen at 11 as ABC listen-only-by-plan']);
    expect(placesOf([heard], { set })[0]?.[1].content).toMatchObject({ transmitHz: null });
  });
  it('a set that cannot send there at all needs nothing either', () => {
    const set = mobile((raw) => without(raw, 'mute'));
    expect(cells([channel('ABC', 462.2, null)], { set })).toEqual([
      'listen at 11 as ABC listen-only-by-plan',
    ]);
  });
});

describe('names', () => {
  it('nobody knows whether it has any', () => {
    const set = mobile((raw) => {
      raw.names = 'unknown';
    });
    expect(cells([channel('ABC', 462.65, 462.65)], { set })).toEqual(['full at 11 names-unknown']);
  });
  it('it has none, or nothing stores them here', () => {
    const none = mobile((raw) => {
      raw.names = 'none';
      without(raw, 'name');
    });
    expect(cells([channel('ABC', 462.65, 462.65)], { set: none })).toEqual(['full at 11 no-names']);
    const elsewhere = mobile((raw) => {
      region(raw, 'free').ways[0].fields = region(raw, 'free').ways[0].fields.filter(
        (id: string) => id !== 'name',
      );
    });
    expect(cells([channel('ABC', 462.65, 462.65)], { set: elsewhere })).toEqual(['full at 11 no-names']);
    const noField = mobile((raw) => without(raw, 'name'));
    expect(cells([channel('ABC', 462.65, 462.65)], { set: noField })).toEqual(['full at 11 no-names']);
  });
  it('two that come to the same are told', () => {
    const set = mobile((raw) => {
      raw.names = { length: 1, characters: 'A' };
    });
    expect(
      cells([channel('A', 462.65, 462.65), channel('AA', 462.675, 462.675)], { set }).map((line) =>
        line.includes('name-twice'),
      ),
    ).toContain(true);
    expect(cells([channel('A', 462.65, 462.65)], { set })).toEqual(['full at 11 as A']);
  });
  it('what a place is called now stays, where it is the same pair', () => {
    const now = filledWith({ 12: { ...USED, rx: 462_650_000, name: ' ABC ' } });
    expect(cells([channel('ABCDE', 462.65, 462.65)], { memory: now })).toEqual([
      'adapted at 12 as ABC name-shortened',
    ]);
    expect(cells([channel('ABCDE', 462.65, 467.65, REPEATER)], { memory: now })[0]).toContain('as ABCD');
    expect(cells([channel('ABCDE', 462.65, 462.65)])[0]).toContain('as ABCD');
    const blank = filledWith({ 12: { ...USED, rx: 462_650_000, name: '  ' } });
    expect(cells([channel('ABC', 462.65, 462.65)], { memory: blank })).toEqual(['full at 12 as ABC']);
  });
});

describe('several channels', () => {
  const [first, second, third] = [
    channel('AAA', 462.65, 462.65),
    channel('BBB', 462.675, 462.675),
    channel('CCC', 462.7, 462.7),
  ];
  it('come to the lowest free places in their order; those that talk before those that listen', () => {
    expect(cells([{ ...first, transmitHz: null }, second, third])).toEqual([
      'listen at 13 as AAA listen-only-by-plan',
      'full at 11 as BBB',
      'full at 12 as CCC',
    ]);
  });
  it('that are alike share a place', () => {
    const { cells: said, image } = fitted([first, { ...first, id: uuid(77), name: 'DDD' }]);
    expect(said[1]).toMatchObject({
      verdict: 'adapted',
      slot: { number: 11 },
      name: 'AAA',
      findings: [{ code: 'slot-shared', severity: 'note', with: 'AAA', number: 11 }],
    });
    expect(image.slots.get(11)?.channelIds).toEqual([first.id, uuid(77)]);
    // On a set without names nobody says which.
    const set = mobile((raw) => without(raw, 'name'));
    expect(fitted([first, { ...first, id: uuid(77), name: 'DDD' }], { set }).cells[1]?.name).toBeNull();
  });
  it('that differ in a tone alone have a place each', () => {
    expect(cells([first, { ...first, id: uuid(77), name: 'BBB', transmitTone: '67.0' }])).toEqual([
      'full at 11 as AAA',
      'full at 12 as BBB',
    ]);
  });
  it('that both want one place of the factory’s: the second says whose it is', () => {
    const set = mobile((raw) => {
      raw.regions = [region(raw, 'factory')];
    });
    const one = channel('AAA', 462.5625, 462.5625);
    const other = { ...one, id: uuid(77), name: 'BBB', transmitTone: '67.0' };
    expect(fitted([one, other], { set }).cells[1]).toMatchObject({
      verdict: 'no',
      findings: [{ code: 'slot-taken', severity: 'error', by: 'AAA', number: 1 }],
    });
  });
  it('more than there are places: the rest says so, and how many of its group stayed out', () => {
    const many = Array.from({ length: 7 }, (_, i) =>
      channel('ABCDE'[i] ?? 'EE', 462.55 + 0.025 * i, 462.55 + 0.025 * i, { id: uuid(300 + i) }),
    );
    const said = fitted(many).cells;
    expect(said.filter(({ verdict }) => verdict !== 'no')).toHaveLength(5);
    expect(said.at(-1)?.findings).toEqual([
      { code: 'no-free-slot', severity: 'error' },
      { code: 'group-split', severity: 'warning', left: 2 },
    ]);
    // Where none of a group is in, it is not split.
    const apart = many.map((one, i) => ({ ...one, groupId: uuid(i < 5 ? 1 : 9) }));
    expect(fitted(apart).cells.at(-1)?.findings).toEqual([{ code: 'no-free-slot', severity: 'error' }]);
  });
  it('more than the set holds at once', () => {
    const set = mobile((raw) => {
      raw.capacity = 2;
    });
    expect(cells([first, second, third], { set }).map((line) => line.split(' ')[0])).toEqual([
      'full',
      'full',
      'no',
    ]);
    // A place of the factory's is none of them.
    expect(
      cells([first, second, channel('CCC', 462.5625, 462.5625)], { set }).map((line) => line.split(' ')[0]),
    ).toEqual(['full', 'full', 'full']);
    // What its holder put there counts.
    expect(
      cells([first, second], { set, memory: filledWith({ 15: USED }) }).map((line) => line.split(' ')[0]),
    ).toEqual(['full', 'no']);
  });
  it('empty places before those that the holder filled', () => {
    expect(cells([first, second], { memory: filledWith({ 11: USED }) })).toEqual([
      'full at 12 as AAA',
      'full at 13 as BBB',
    ]);
    // What it has there already is its own place, before an empty one.
    expect(cells([third], { memory: filledWith({ 13: USED }) })).toEqual(['full at 13 as CCC']);
  });
  it('one that comes in since others share a place never comes to its number by luck', () => {
    const alike = [first, ...[1, 2].map((n) => ({ ...first, id: uuid(600 + n) }))];
    const last = channel('DDD', 462.725, 462.725);
    const at = (number: number) =>
      cells([...alike, second, third, last], { numbers: { [last.id]: number } }).at(-1);
    expect(at(14)).toBe('full at 15 as DDD');
    expect(at(99)).toBe('full at 14 as DDD');
  });
  it('by their numbers, where the set has the place', () => {
    const numbers = { [first.id]: 14, [second.id]: 11 };
    expect(cells([first, second, third], { numbers })).toEqual([
      'full at 14 as AAA',
      'full at 11 as BBB',
      'full at 12 as CCC',
    ]);
    expect(cells([first], { numbers: { [first.id]: 99 } })).toEqual(['full at 11 as AAA']);
    // One place cannot be two.
    expect(cells([first, second], { numbers: { [first.id]: 14, [second.id]: 14 } })).toEqual([
      'full at 14 as AAA',
      'full at 11 as BBB',
    ]);
  });
});

describe('which channels have a part in it', () => {
  const one = channel('AAA', 462.65, 462.65);
  it('none of a group that the set does not carry', () => {
    const carriesGroups = { by: 'team' as const, groupIds: [uuid(9)] };
    expect(fitted([one], { unit: { carriesGroups } })).toMatchObject({
      cells: [
        {
          verdict: 'apart',
          slot: null,
          name: null,
          findings: [{ code: 'not-carried', severity: 'note', by: 'team' }],
        },
      ],
    });
    expect(cells([one], { unit: { carriesGroups: { by: 'team', groupIds: [one.groupId] } } })).toEqual([
      'full at 11 as AAA',
    ]);
  });
  it('one that is not on the air, by what the plan says', () => {
    const planned = { ...one, state: 'planned' as const };
    expect(fitted([planned]).cells[0]).toMatchObject({
      verdict: 'full',
      findings: [{ code: 'loaded-off-air', severity: 'note', state: 'planned' }],
    });
    expect(fitted([planned], { more: { planned: 'leave-out' } }).cells).toEqual([
      {
        channelId: one.id,
        verdict: 'apart',
        slot: null,
        name: null,
        findings: [{ code: 'not-loaded', severity: 'note', state: 'planned' }],
      },
    ]);
    // One that has no place is not said to be loaded.
    expect(cells([{ ...planned, receiveHz: 155_160_000, transmitHz: null }])).toEqual(['no cannot-receive']);
  });
});

describe('settings of the whole set', () => {
  const settings = (more: Partial<FitPlan>, roleId: string | null = null) =>
    fitted([], { more, unit: { roleId } }).image.settings;
  it('as the plan has them for its kind; its role goes first', () => {
    expect(settings({})).toEqual({});
    expect(settings({ setup: { 'little-mobile': { bell: 2 }, other: { beep: 1 } } })).toEqual({ bell: 2 });
    const setup = { 'little-mobile': { bell: 2, beep: 0 } };
    const roleSetup = { lead: { 'little-mobile': { beep: 3 } } };
    expect(settings({ setup, roleSetup })).toEqual({ bell: 2, beep: 0 });
    expect(settings({ setup, roleSetup }, 'lead')).toEqual({ bell: 2, beep: 3 });
    expect(settings({ setup, roleSetup }, 'other')).toEqual({ bell: 2, beep: 0 });
    expect(settings({ roleSetup }, 'lead')).toEqual({ beep: 3 });
  });
  it('none that the set has not', () =>
    expect(settings({ setup: { 'little-mobile': { bell: 9, horn: 1 } } })).toEqual({}));
});
