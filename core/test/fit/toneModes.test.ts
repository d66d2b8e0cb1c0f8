import { fitDevice, fitPlan } from '@umbrex/core/fit';
import { fromUnknown, prepare } from '@umbrex/core/flow';
import { apply, withWanted } from '@umbrex/core/memory';
import { type Description, DescriptionSchema, slotReader, slotsOf, waysWith } from '@umbrex/core/model';
import { readBackLines } from '@umbrex/core/procedure';
import { shownOn, tonesOn } from '@umbrex/core/tones';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { shipped } from '../support/devices';
import { anyPlan, channel, plan } from '../support/plans';
import { runs } from '../support/runs';
import { told } from '../support/told';

const item = (shown: string, means: string) => ({ shown, means });
/** The usual ones of such sets (common practice): nothing, a tone that is sent, one tone both ways, a code both ways. */
const USUAL = [
  item('OFF', 'off/off'),
  item('ENC', 'transmitCtcss/off'),
  item('SQL', 'receiveCtcss/receiveCtcss'),
  item('CODE', 'receiveDcs/receiveDcs'),
];
const CROSSED = [...USUAL, item('E-S', 'transmitCtcss/receiveCtcss'), item('WAIT', 'off/receiveCtcss')];

/** The amateur hand-held made so that one item says which of its tones is in force. */
function modal(modes = USUAL): Description {
  const base = shipped('amateur-handheld');
  const { behaviour, recipes } = base;
  if (!behaviour || !recipes) throw new Error('no keys');
  const own = [
    { id: 'tmode', title: 'Tone mode', holds: 'toneMode', list: 'modes', factory: 0 },
    { id: 'enc', title: 'Tone that is sent', holds: 'transmitCtcss', list: 'tones', factory: 0 },
    { id: 'sql', title: 'Tone of the squelch', holds: 'receiveCtcss', list: 'tones', factory: 0 },
    { id: 'code', title: 'Code', holds: 'receiveDcs', list: 'codes', factory: 0 },
  ];
  const gone = ['txc', 'txd', 'rxc'];
  const ids = (all: readonly string[]) => [
    ...all.filter((id) => !gone.includes(id)),
    ...own.map(({ id }) => id),
  ];
  const isGone = ({ target }: (typeof behaviour.items)[number]) =>
    target.reach === 'channel' && gone.includes(target.field);
  const menu = own.map(({ id, title }, i) => ({ id, number: String(31 + i), title: title.slice(0, 16) }));
  const kept = <T>(of: Record<string, T>) =>
    Object.fromEntries(Object.entries(of).filter(([id]) => !gone.includes(id)));
  const turn = recipes.set.txc;
  return DescriptionSchema.parse({
    ...base,
    id: 'modal-handheld',
    lists: {
      ...base.lists,
      modes: [{ kind: 'items', items: modes }],
      tones: [{ kind: 'ctcss', tenthsHz: 'common-50', shown: '{hz}' }],
      codes: [{ kind: 'dcs', codes: 'common-104', polarity: 'N', shown: '{code}' }],
    },
    fields: [...base.fields.filter(({ id }) => !gone.includes(id)), ...own],
    regions: base.regions.map((region) => ({
      ...region,
      ways: waysWith(region, ids),
    })),
    behaviour: {
      ...behaviour,
      items: [
        ...behaviour.items.filter((one) => !isGone(one)),
        ...menu.map(({ id, number, title }) => ({
          number,
          title,
          editor: 'wheel',
          target: { reach: 'channel', field: id },
        })),
      ],
    },
    recipes: {
      ...recipes,
      items: {
        ...kept(recipes.items),
        ...Object.fromEntries(menu.map(({ id, number, title }, i) => [id, { number, title, place: 20 + i }])),
      },
      order: ids(recipes.order),
      set: { ...kept(recipes.set), ...Object.fromEntries(own.map(({ id }) => [id, turn])) },
    },
  });
}

const split = (transmitTone: string, receiveTone: string) =>
  channel('Kelp', 146.94, 146.34, { mode: 'FM', transmitTone, receiveTone });

describe('one item decides which tone is in force', () => {
  const cases: readonly [string, ReturnType<typeof modal>, string, string, 'open' | 'closed', unknown][] = [
    ['no tone', modal(), 'off', 'off', 'closed', ['OFF', 'off', 'off', []]],
    ['a tone that is sent', modal(), '100.0', 'off', 'closed', ['ENC', '100.0', 'off', []]],
    ['open by policy', modal(), '100.0', '100.0', 'open', ['ENC', '100.0', 'off', []]],
    ['one tone both ways', modal(), '100.0', '100.0', 'closed', ['SQL', '100.0', '100.0', []]],
    ['a code both ways', modal(), 'D023N', 'D023N', 'closed', ['CODE', 'D023N', 'D023N', []]],
    // The inverse of D047 sounds as D023 (computed from the Golay word).
    ['a partner code', modal(), 'D047I', 'D047I', 'closed', ['CODE', 'D023N', 'D023N', ['tone-by-partner']]],
    [
      'two tones where it has one squelch',
      modal(),
      '100.0',
      '131.8',
      'closed',
      ['ENC', '100.0', 'off', ['receive-tone-left-off']],
    ],
    [
      'two tones where it can cross them',
      modal(CROSSED),
      '100.0',
      '131.8',
      'closed',
      ['E-S', '100.0', '131.8', []],
    ],
    [
      'a code that it can only have both ways',
      modal(),
      'D023N',
      'D023N',
      'open',
      ['CODE', 'D023N', 'D023N', ['tone-both-ways']],
    ],
    [
      'nobody knows what comes back',
      modal(),
      '100.0',
      'unknown',
      'closed',
      ['ENC', '100.0', 'off', ['channel-tone-unknown']],
    ],
  ];
  it.each(cases)('%s', (_, device, sent, back, policy, expected) => {
    const { fit, proof, wanted } = prepare(plan([split(sent, back)], policy), device);
    const [cell] = fit.cells;
    const slot = slotsOf(device).find(({ number }) => number === cell?.slot?.number);
    const values = slot && wanted.slots.get(slot.number);
    const mode = device.fields.find(({ holds }) => holds === 'toneMode')?.id ?? '';
    const content = slot && told(slotReader(device)(slot, values ?? null));
    const codes = cell?.findings.map(({ code }) => code).filter((code) => /tone/.test(code));
    const modes = device.lists.modes?.[0];
    const shown = modes?.kind === 'items' ? modes.items[Number(values?.[mode])]?.shown : undefined;
    expect([shown, content?.transmitTone, content?.receiveTone, codes]).toEqual(expected);
    expect(proof.firstDifference).toBeNull();
  });
  it.each([
    ['a code both ways, of which another comes back', 'D023N', 'off', 'paired-stays-deaf'],
    ['a tone that it has not', '33.0', 'off', 'transmit-tone-missing'],
  ])('%s: it listens', (_, sent, back, code) => {
    const [cell] = fitPlan(plan([split(sent, back)]), fitDevice(modal())).cells;
    expect([cell?.verdict, cell?.findings.map((finding) => finding.code)]).toEqual([
      'listen',
      expect.arrayContaining([code]),
    ]);
  });
  it('to listen alone it sends none and waits for a tone only where it can', () => {
    const at = (device: Description) => {
      const listen = channel('Weather', 146.94, null, { receiveTone: '100.0' });
      const { cells, image } = fitPlan(plan([listen]), fitDevice(device));
      const { transmitTone, receiveTone } = told(image.slots.get(cells[0]?.slot?.number ?? -1)?.content);
      return [transmitTone, receiveTone];
    };
    expect(at(modal())).toEqual(['off', 'off']);
    expect(at(modal(CROSSED))).toEqual(['off', '100.0']);
  });
  it('is read back in the set’s own words', () => {
    const device = modal();
    const { fit, sheet, now } = prepare(plan([split('100.0', '100.0')]), device);
    expect(readBackLines(device, fit.image, sheet, now)[0]?.shown).toMatchObject({
      transmitTone: 'SQL 100.0',
      receiveTone: 'SQL 100.0',
    });
  });
  it('what it calls its tones is what it can have both ways', () => {
    const tones = tonesOn(modal());
    expect([shownOn(tones, '100.0'), shownOn(tones, 'D023N'), shownOn(tones, 'off')]).toEqual([
      '100.0',
      '023',
      'OFF',
    ]);
    expect(tones.known && tones.split).toBe(true);
    expect(tonesOn(modal([item('SQL', 'receiveCtcss/receiveCtcss')]))).toMatchObject({ split: false });
  });
  it('a mode that names nothing, or a field that is not there, is a slip at its list', () => {
    const said = (means: string) => {
      try {
        modal([item('X', means)]);
        return [];
      } catch (error) {
        return JSON.parse((error as Error).message).map(({ message }: { message: string }) => message);
      }
    };
    expect(said('both')).toEqual(['"X" does not say what is sent and what is awaited']);
    expect(said('off/off/off')).toHaveLength(1);
    expect(said('transmitDcs/off')).toEqual(['"X": no field holds transmitDcs']);
    expect(said('off/off')).toEqual([]);
  });
});

describe('for any plan', () => {
  const devices = [modal(), modal(CROSSED)];
  it('the sheet proves, and what is loaded does on the air what the fit says', () =>
    fc.assert(
      fc.property(anyPlan, fc.constantFrom(...devices), (any, device) => {
        const { fit, proof, now, changes } = prepare(any, device);
        expect(proof.firstDifference).toBeNull();
        const after = apply(now, changes);
        const read = slotReader(device);
        for (const slot of slotsOf(device)) {
          const wanted = fit.image.slots.get(slot.number);
          if (wanted) expect(read(slot, after.slots.get(slot.number) ?? null)).toMatchObject(wanted.content);
        }
        expect(withWanted(device, after, { slots: new Map(), settings: {} })).toEqual(after);
      }),
      { numRuns: runs(40) },
    ));
  it('also from a set that nobody looked at', () =>
    expect(fromUnknown(plan([split('100.0', '100.0'), split('131.8', 'off')]), modal())).toMatchObject({
      proven: true,
      way: 'absolute',
    }));
});

it('a list of modes that nobody looked up: whether a channel can be had is not known, and that is said', () => {
  const base = modal();
  const fields = base.fields.map((field) => (field.id === 'tmode' ? { ...field, list: 'unknown' } : field));
  const device: Description = { ...base, fields };
  const one = channel('Kelp', 147.3, 147.9, { transmitTone: '100.0' });
  const { cells } = fitPlan(plan([one]), fitDevice(device));
  expect(cells.map(({ verdict, findings }) => [verdict, findings.map(({ code }) => code)])).toEqual([
    ['unknown', ['tone-list-unknown']],
  ]);
});

it('a mode that takes a tone from a list is no way to have none, even where that list has an off', () => {
  const base = modal([item('SQL', 'receiveCtcss/receiveCtcss'), item('OFF', 'off/off')]);
  const tones = [{ kind: 'items' as const, items: [item('NONE', 'off')] }, ...(base.lists.tones ?? [])];
  const description = DescriptionSchema.parse({ ...base, lists: { ...base.lists, tones } });
  const modeOf = (tone: string) => {
    const direct = channel('Direct', 146.52, 146.52, {
      transmitTone: tone,
      receiveTone: tone,
      service: 'amateur-2m',
    });
    const [, slot] = [...fitPlan(plan([direct]), fitDevice(description)).image.slots][0] ?? [];
    return slot?.values.tmode;
  };
  expect([modeOf('off'), modeOf('100.0')]).toEqual([1, 0]);
});
