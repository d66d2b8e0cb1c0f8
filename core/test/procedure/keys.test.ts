import { prepare } from '@umbrex/core/flow';
import { firstDifference, withWanted } from '@umbrex/core/memory';
import { type Description, factoryMemory, listItems, waysWith } from '@umbrex/core/model';
import { CALM, CableSet, loadByFile, replay, SLOW, VirtualDevice } from '@umbrex/core/procedure';
import { describe, expect, it } from 'vitest';
import { KEYED, shipped } from '../support/devices';
import { read } from '../support/memory';
import { channel, plan } from '../support/plans';

/** A set in the hand: keys in a row, each a tap unless a time is given. */
function hand(description: Description) {
  const device = new VirtualDevice(description);
  const press = (...keys: (string | [string, number])[]) => {
    for (const key of keys) {
      const [name, heldMs] = typeof key === 'string' ? [key, 120] : key;
      device.take({ kind: 'key', key: name, heldMs });
      device.take({ kind: 'wait', ms: 300 });
    }
    return device;
  };
  const type = (text: string) => press(...[...text].map((char) => `d${char}`));
  return { device, press, type };
}

describe('the display-less set', () => {
  const COUNTING = shipped('counting-handheld');
  // Channel 1: index 009 (462.650) and code 08 (88.5 Hz); from 001 and 00.
  const one = plan(
    [channel('Deck', 462.65, 462.65, { service: 'business', transmitTone: '88.5', receiveTone: '88.5' })],
    'closed',
  );
  const licensed = {
    ...one,
    licensed: [
      {
        receiveHz: 462_650_000,
        transmitHz: 462_650_000,
        bandwidth: 'narrow',
        maxPowerW: 2,
        licence: 'L',
        area: '',
        expires: '2030-01-01',
      },
    ],
  } as never;
  it('is changed with the fewest presses, counted by hand', () => {
    const { fit, sheet, proof } = prepare(licensed, COUNTING);
    expect(fit.cells[0]?.slot?.number).toBe(1);
    expect(proof.firstDifference).toBeNull();
    // In: 1 held. Frequency 001 → 009: figures 0, 0, and 1 → 9 the shorter way (down to 0, down to 9), each closed by LOW.
    // Code 00 → 08: figure 0, and 0 → 8 (down to 9, down to 8), each closed by LOW. Out: 1 held. Off and on: 1.
    // And before all that: the knob to channel 1 from any of eight, three and a half turns on average.
    expect(sheet.presses).toBe(Math.round(3.5 + 1 + (0 + 1 + (0 + 1) + (2 + 1)) + (0 + 1 + (2 + 1)) + 1 + 1));
  });
  it('loses everything when its cell falls out before it was switched off', () => {
    const { fit, sheet } = prepare(licensed, COUNTING);
    const memory = replay(COUNTING, sheet.steps.slice(0, -1), CALM).memory;
    expect(memory.slots.get(1)).toBeNull();
    expect(replay(COUNTING, sheet.steps, CALM).memory.slots.get(1)).toEqual(fit.image.slots.get(1)?.values);
  });
  it('buzzes and keeps what it had for a number that is not in its table; − held for five seconds is the factory again', () => {
    const { device, press } = hand(COUNTING);
    press(['next', 3200], 'plus', 'next', 'next', 'next', ['next', 3200], 'power');
    // 101 is no frequency of it.
    expect(device.memory().slots.get(1)).toBeNull();
    expect(device.beeps()).toContain('refused');
    press(['next', 3200], 'next', 'next', 'plus', 'next', ['next', 3200], 'power');
    expect(device.memory().slots.get(1)?.freq).toBe(1);
    press(['minus', 5200], 'power');
    expect(device.memory().slots.get(1)).toBeNull();
  });
});

describe('the guided set', () => {
  const GUIDED = shipped('guided-handheld');
  it('begins a new entry with the values of the number it stands on', () => {
    const { device, press, type } = hand(GUIDED);
    type('001');
    press('guide');
    type('001');
    type('4626500');
    press('next', 'up', 'next', 'out');
    expect(device.memory().slots.get(1)).toMatchObject({ rx: 462_650_000, shift: 1 });
    expect(device.screen()[0]).toBe('001 •');
    press('guide');
    type('005');
    press('out');
    expect(device.memory().slots.get(5)).toEqual(device.memory().slots.get(1));
  });
  it('closes the tone page for a kind LISTEN; its sheet opens that first, and closes it again', () => {
    const listen = plan([channel('Works', 155.34, null)]);
    const { fit } = prepare(listen, GUIDED);
    const held = fit.image.slots.get(1)?.values ?? {};
    expect(held.what).toBe(1);
    const places = [{ number: 1, values: { rx: 155_340_000, what: 'LISTEN', tx: 'D023N', title: 'Works' } }];
    const { sheet, proof } = prepare(listen, GUIDED, {
      keeps: [],
      accepts: [1],
      holds: read(places),
    });
    expect(proof.firstDifference).toBeNull();
    const turns = sheet.steps.map(({ says }) => says).filter((says) => says.startsWith('Turn to'));
    expect(turns).toEqual(['Turn to TALK.', 'Turn to OFF.', 'Turn to LISTEN.']);
  });
});

describe('the two-step mobile', () => {
  const TWOSTEP = shipped('twostep-mobile');
  const repeater = plan([channel('Ridge', 146.94, 146.34, { service: 'amateur-2m' })]);
  it('keeps the transmit side with TALK held, and its sheet says that it radiates', () => {
    const { sheet, proof } = prepare(repeater, TWOSTEP);
    expect(proof.firstDifference).toBeNull();
    const radiates = proof.findings.flatMap((finding) =>
      finding.code === 'may-radiate' ? [finding.step] : [],
    );
    expect(radiates.map((step) => sheet.steps[step - 1]?.says)).toEqual([
      'Hold TALK and press KEEP: the set sends on 146.3400 for a moment.',
    ]);
  });
  it('forgets what was typed after seven seconds', () => {
    const { device, press, type } = hand(TWOSTEP);
    press('dial');
    type('146940');
    device.take({ kind: 'wait', ms: 7200 });
    press('keep');
    expect(device.memory().slots.get(1)).toBeNull();
  });
  it('refuses a transmit side that is no offset of its own, and sends nothing', () => {
    const { device, press, type } = hand(TWOSTEP);
    press('dial');
    type('146940');
    press('keep', 'dial');
    type('147000');
    press('talkKeep');
    expect(device.memory().slots.get(1)).toMatchObject({ rx: 146_940_000, tside: 0 });
    expect([device.emissions(), device.beeps()]).toEqual([[], expect.arrayContaining(['refused'])]);
  });
});

describe('the field mobile', () => {
  const FIELD = shipped('field-mobile');
  it('opens by a key held at switching on and its code, and by no other', () => {
    const { device, press, type } = hand(FIELD);
    press(['power', 3000]);
    type('3142');
    expect(device.screen()[0]).toBe(' ');
    press(['power', 3000]);
    type('3141');
    expect(device.screen()[0]).toBe('SET 001');
  });
  it('adds figures to what stands there: without CLEAR the eighth is refused and the old frequency stays', () => {
    const marine = plan([channel('Harbour', 156.6, null)]);
    // Only channel 1 is left to the plan, and it holds something.
    const unit = {
      keeps: Array.from({ length: 119 }, (_, i) => i + 2),
      accepts: [1],
      holds: read([{ number: 1, values: { rx: 155_000_000 } }]),
    };
    const { sheet, now, proof } = prepare(marine, FIELD, unit);
    expect(proof.firstDifference).toBeNull();
    const without = sheet.steps.filter(({ says }) => !says.startsWith('Clear'));
    expect(without.length).toBe(sheet.steps.length - 1);
    const { memory } = replay(FIELD, without, CALM, { memory: now });
    expect(memory.slots.get(1)?.rx).toBe(155_000_000);
  });
});

describe('the amateur hand-held', () => {
  it('does not leave the weather while it is heard, and its list closes after seven seconds', () => {
    const { device, press } = hand(shipped('amateur-handheld'));
    press('air', 'air', 'leave');
    expect(device.screen()).toEqual(['AIR', 'WEATHER']);
    const other = hand(shipped('amateur-handheld'));
    other.press('list');
    other.device.take({ kind: 'wait', ms: 7100 });
    expect(other.device.screen()[0]).toBe('000');
  });
  it('holds at the slow pace too', () => {
    const ridge = plan([channel('Ridge', 146.94, 146.34, { service: 'amateur-2m', transmitTone: '100.0' })]);
    const { sheet, fit } = prepare(ridge, shipped('amateur-handheld'));
    const memory = replay(shipped('amateur-handheld'), sheet.steps, SLOW).memory;
    expect(memory.slots.get(0)).toEqual(fit.image.slots.get(0)?.values);
  });
});

describe('a set on a cable', () => {
  const FLEET = shipped('fleet-mobile');
  const talk = plan([channel('Kelp', 462.65, 467.65, { transmitTone: '131.8', receiveTone: '131.8' })]);
  it('takes what its rules allow, whole or not at all', () => {
    const set = new CableSet(FLEET);
    const file = (number: number, values: Record<string, string | number>) => ({
      format: 'umbrex/memory@1' as const,
      descriptionId: FLEET.id,
      settings: {},
      slots: [
        { number: 1, label: '', values: { rx: 462_650_000 } },
        { number, label: '', values },
      ],
    });
    for (const [number, values, path] of [
      [999, {}, '/slots/1'],
      [2, { rx: 462_650_001 }, '/slots/1/values/rx'],
      [2, { rx: 162_550_000 }, '/slots/1/values/rx'],
      [2, { rx: 462_650_000, tx: '131.9' }, '/slots/1/values/tx'],
      [2, { rx: 462_650_000, title: 'Tab\t' }, '/slots/1/values/title'],
      [2, { rx: 462_650_000, colour: 'red' }, '/slots/1/values/colour'],
    ] as const) {
      expect(set.take(file(number, values)).map((finding) => finding.path)).toEqual([path]);
      expect(set.memory().slots.get(1)).toBeNull();
    }
    expect(set.take({ ...file(2, { rx: 462_550_000 }), descriptionId: 'other' })[0]?.path).toBe(
      '/descriptionId',
    );
    expect(set.take(file(2, { rx: 462_550_000, title: 'A name much too long' }))).toEqual([]);
    expect(set.memory().slots.get(2)?.title).toBe('A name much ');
  });
  it('a title that it does not take by cable is missing when it is read back, and said', () => {
    const { wanted } = prepare(talk, FLEET);
    const before = factoryMemory(FLEET);
    const without = structuredClone(FLEET);
    for (const region of without.regions)
      region.ways = waysWith(region, (ids) => ids.filter((id) => id !== 'title'));
    const { memory, refused } = loadByFile(without, before, wanted);
    expect(refused).toBeUndefined();
    expect(firstDifference(FLEET, withWanted(FLEET, before, wanted), memory)).toMatchObject({
      code: 'proof-differs',
      field: 'title',
      wanted: 'Kelp',
    });
  });
});

describe('settings of the whole set', () => {
  it('are set by the sheet, one by one and all together, and nothing else changes', () => {
    for (const description of KEYED)
      for (const setting of description.settings) {
        if (!description.recipes?.settings[setting.id]) continue;
        const values = listItems(description.lists[setting.list] ?? []).map((_, i) => i);
        for (const value of values) {
          const wanted = { ...plan([]), setup: { [description.id]: { [setting.id]: value } } };
          const { sheet, proof, now } = prepare(wanted, description);
          expect(proof.firstDifference, `${description.id} ${setting.id} ${value}`).toBeNull();
          expect(sheet.steps.length > 0).toBe(value !== setting.factory);
          const { memory } = replay(description, sheet.steps, CALM);
          expect(memory.settings).toEqual({ ...now.settings, [setting.id]: value });
        }
      }
  });
  it('together with channels they prove too; one that the set does not have is left alone', () => {
    const wanted = {
      ...plan([channel('Kelp', 462.65, 467.65, { transmitTone: '131.8', receiveTone: '131.8' })]),
      setup: { 'page-handheld': { beep: 1, light: 2, nowhere: 3 }, 'pocket-radio': { bell: 4, beep: 1 } },
    };
    for (const id of ['page-handheld', 'pocket-radio']) {
      const { proof, fit } = prepare(wanted, shipped(id));
      expect(proof.firstDifference).toBeNull();
      expect(fit.image.settings).toEqual(id === 'page-handheld' ? { beep: 1, light: 2 } : { bell: 4 });
    }
  });
  it('without steps for it, the sheet is not ready and says which', () => {
    const bare = shipped('page-handheld');
    if (bare.recipes) bare.recipes.settings = {};
    const { proof } = prepare({ ...plan([]), setup: { 'page-handheld': { beep: 0 } } }, bare);
    expect(proof).toMatchObject({ proven: false, firstDifference: { code: 'no-recipe', field: 'Key beep' } });
  });
});
