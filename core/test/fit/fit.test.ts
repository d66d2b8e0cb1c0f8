import { type Cell, fitBoard, fitDevice, fitPlan } from '@umbrex/core/fit';
import type { Channel, Description } from '@umbrex/core/model';
import { NO_GROUNDS } from '@umbrex/core/rules';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { pairedRepeaterRadio, SHIPPED, shipped } from '../support/devices';
import { anyPlan, channel, plan, unit, uuid } from '../support/plans';
import { runs } from '../support/runs';
import { told } from '../support/told';

const PAGE = shipped('page-handheld');
const BANK = shipped('bank-handheld');
const POCKET = shipped('pocket-radio');

function cells(device: Description, channels: readonly Channel[], policy?: 'open' | 'closed'): Cell[] {
  return [...fitPlan(plan(channels, policy), fitDevice(device)).cells];
}
function cell(device: Description, one: Channel, policy?: 'open' | 'closed'): Cell {
  const [first] = cells(device, [one], policy);
  if (!first) throw new Error('no cell');
  return first;
}
const codes = (one: Cell) => one.findings.map((finding) => finding.code);
const repeater = (name: string, more: Partial<Channel> = {}) =>
  channel(name, 462.65, 467.65, { transmitTone: '131.8', receiveTone: '131.8', ...more });

describe('a pocket radio against a repeater', () => {
  const fit = cell(POCKET, repeater('Kelp'));
  it('is listen only on the channel of its output, code off', () => {
    expect(fit).toMatchObject({ verdict: 'listen', slot: { number: 19 } });
    expect(codes(fit)).toContain('no-repeater-input');
  });
  it('warns that pressing talk goes out on the output', () =>
    expect(fit.findings).toContainEqual(
      expect.objectContaining({
        code: 'talk-goes-out-on-output',
        severity: 'warning',
        transmitHz: 462_650_000,
      }),
    ));
  it('gives way to a direct channel that needs the same slot with a code', () => {
    const [direct, heard] = cells(POCKET, [
      channel('Talk', 462.65, 462.65, { transmitTone: '82.5', receiveTone: '82.5' }),
      repeater('Kelp'),
    ]);
    expect(direct).toMatchObject({ verdict: 'adapted', slot: { number: 19 } });
    expect(heard?.verdict).toBe('no');
    expect(heard?.findings).toContainEqual(
      expect.objectContaining({ code: 'slot-taken', by: 'Talk', number: 19 }),
    );
  });
});

describe('a paired-only device that can reach a repeater’s input', () => {
  const paired = pairedRepeaterRadio();
  it('listens with its code off where there is an input tone and no output tone, and says both', () => {
    const fit = cell(paired, repeater('Kelp', { receiveTone: 'off' }));
    expect(fit).toMatchObject({ verdict: 'listen', slot: { number: 5 } });
    expect(fit.findings[0]).toEqual({
      code: 'paired-stays-deaf',
      severity: 'error',
      inputTone: '131.8',
      outputTone: 'off',
    });
  });
  it('listens with another output tone too', () =>
    expect(cell(paired, repeater('Kelp', { receiveTone: '82.5' })).verdict).toBe('listen'));
  it('talks directly where the two tones are the same word on the air (Golay partners), and listens where not', () => {
    const direct = (receiveTone: string) =>
      cell(
        shipped('pocket-radio'),
        channel('Boat', 462.625, 462.625, { transmitTone: 'D047I', receiveTone }),
      );
    expect(direct('D023N').verdict).toBe('adapted');
    expect(direct('D025N')).toMatchObject({ verdict: 'listen' });
  });
  it('asks when nobody knows the output tone', () =>
    expect(cell(paired, repeater('Kelp', { receiveTone: 'unknown' }))).toMatchObject({
      verdict: 'unknown',
      findings: [{ code: 'channel-tone-unknown', direction: 'receive' }],
    }));
  it('works when both tones are the same', () => expect(cell(paired, repeater('Kelp')).slot?.number).toBe(5));
  it('works when they only sound the same: D023I in, D047N out', () =>
    expect(cell(paired, repeater('Kelp', { transmitTone: 'D023I', receiveTone: 'D047N' })).verdict).toBe(
      'adapted',
    ));
});

describe('slots', () => {
  it('uses a factory-fixed repeater slot by tone change only, and the next in a copy after the stride', () => {
    const two = [repeater('Kelp'), repeater('Ferry', { transmitTone: '82.5', receiveTone: '82.5' })];
    const [first, second] = cells(BANK, two);
    expect(first?.slot).toMatchObject({ number: 105, label: 'A5', position: 5 });
    expect(second?.slot).toMatchObject({ number: 117, label: 'B5', position: 5 });
  });
  it('goes to the first free number when the pair is taken, where label and number differ', () => {
    const [first, second] = cells(PAGE, [
      repeater('Kelp'),
      repeater('Ferry', { transmitTone: '82.5', receiveTone: '82.5' }),
    ]);
    expect(first?.slot).toMatchObject({ number: 5, label: 'R5' });
    expect(second?.slot).toMatchObject({ number: 45, label: 'M45' });
  });
  it('a fourth repeater on one pair finds no copy left', () => {
    const four = ['67.0', '71.9', '74.4', '77.0'].map((t) =>
      repeater(`R ${t}`, { transmitTone: t, receiveTone: t }),
    );
    expect(cells(BANK, four).map((c) => c.verdict)).toEqual(['adapted', 'adapted', 'adapted', 'no']);
    expect(codes(cells(BANK, four)[3] as Cell)).toEqual(['slot-taken']);
  });
  it('runs out of free slots at the 85th own channel', () => {
    const many = Array.from({ length: 85 }, (_, i) =>
      channel(`Listen ${i}`, 150 + i * 0.025, null, { id: uuid(500 + i), service: 'other' }),
    );
    const all = cells(PAGE, many);
    expect(all.filter((c) => c.verdict === 'listen')).toHaveLength(84);
    expect(codes(all[84] as Cell)).toEqual(['no-free-slot', 'group-split']);
  });
  it('keeps a locked label when its content already is what is wanted', () =>
    expect(cell(PAGE, channel('Weather', 162.425, null, { service: 'weather' })).slot).toMatchObject({
      number: 32,
      label: 'L2',
    }));
  it('goes past a locked slot when a tone would have to change', () =>
    expect(
      cell(PAGE, channel('Harbour', 156.8, null, { service: 'other', receiveTone: '100.0' })).slot?.number,
    ).toBe(45));
});

describe('tones', () => {
  it('split tones are full on a device with a tone each way', () =>
    expect(cell(PAGE, repeater('Gannet', { transmitTone: 'D251N', receiveTone: 'D606N' })).verdict).toBe(
      'full',
    ));
  it('an open policy leaves the receive tone off', () => {
    const image = fitPlan(plan([repeater('Kelp')], 'open'), fitDevice(PAGE)).image;
    expect(image.slots.get(5)?.content).toMatchObject({ transmitTone: '131.8', receiveTone: 'off' });
  });
  it('a tone past the 38 is missing on the pocket radio: it listens, never the nearest tone', () => {
    const fit = cell(
      POCKET,
      channel('Odd', 462.625, 462.625, { transmitTone: '199.5', receiveTone: '199.5' }),
    );
    expect(fit.verdict).toBe('listen');
    expect(fit.findings).toContainEqual({ code: 'transmit-tone-missing', severity: 'error', tone: '199.5' });
  });
  it('an inverted code goes in as its partner where polarity cannot be chosen', () => {
    const fit = cell(
      POCKET,
      channel('Cliff', 462.625, 462.625, { transmitTone: 'D047I', receiveTone: 'D047I' }),
    );
    expect(fit.findings).toContainEqual(
      expect.objectContaining({ code: 'tone-by-partner', tone: 'D047I', as: 'D023N' }),
    );
    // Code 39 is the first DCS code after 38 CTCSS tones (common practice).
    expect(fit.findings).toContainEqual(expect.objectContaining({ code: 'tone-by-number', number: '39' }));
  });
  it('a repeater whose input tone nobody knows is unknown, not guessed', () =>
    expect(cell(PAGE, repeater('New', { transmitTone: 'unknown', receiveTone: 'off' })).verdict).toBe(
      'unknown',
    ));
  it('a device whose list nobody has looked up is unknown', () => {
    const vague = shipped('page-handheld');
    for (const field of vague.fields) if (field.holds === 'transmitTone') field.list = 'unknown';
    expect(codes(cell(vague, repeater('Kelp')))).toEqual(['tone-list-unknown']);
  });
});

describe('rules (47 CFR 95.1761, 95.1767, 95.567)', () => {
  it('a GMRS set with 5 and 2 W listens on a 0.5 W channel it does not limit itself on', () => {
    const loud = shipped('page-handheld');
    for (const region of loud.regions)
      if (region.content.kind === 'fixed') for (const row of region.content.channels) delete row.mostPowerW;
    const fit = cell(loud, channel('Porch', 467.6375, 467.6375));
    expect(fit.verdict).toBe('listen');
    expect(fit.findings[0]).toMatchObject({
      code: 'power-too-high',
      limitW: 0.5,
      lowestW: 1,
      source: '47 CFR 95.1767',
    });
  });
  it('a business pair is listened to by a GMRS set', () =>
    expect(cell(PAGE, channel('Ferry', 451.8125, 451.8125, { service: 'other' }))).toMatchObject({
      verdict: 'listen',
      slot: { number: 45 },
    }));
  it('a set without certification listens on GMRS', () => {
    const amateur = { ...shipped('page-handheld'), certifiedFor: [] };
    expect(codes(cell(amateur, repeater('Kelp')))[0]).toBe('not-certified');
  });
  it('unknown certification is unknown', () => {
    const vague: Description = { ...shipped('page-handheld'), certifiedFor: 'unknown' };
    expect(cell(vague, repeater('Kelp')).verdict).toBe('unknown');
  });
});

describe('properties of any plan on any shipped device', () => {
  it('a slot once, names all different, and a reason for every verdict that is not full', () => {
    fc.assert(
      fc.property(anyPlan, fc.constantFrom(...SHIPPED), (anything, device) => {
        const fit = fitPlan(anything, fitDevice(device));
        const names = [...fit.image.slots.values()]
          .map((slot) => told(slot.content).name)
          .filter((name) => name !== undefined);
        expect(new Set(names).size).toBe(names.length);
        for (const one of fit.cells) {
          if (one.verdict !== 'full') expect(one.findings.length).toBeGreaterThan(0);
          expect(one.slot === null).toBe(one.verdict === 'no' || one.verdict === 'unknown');
        }
        // What can be sent goes out only on a pair of the plan, or where the set is fixed to send.
        for (const { content, channelIds } of fit.image.slots.values())
          for (const id of channelIds)
            expect(anything.channels.find((c) => c.id === id)?.receiveHz).toBe(told(content).receiveHz);
      }),
      { numRuns: runs(200), seed: 11 },
    );
  });
});

describe('a fleet', () => {
  it('is fitted once for each kind, and firmware it was not written for is said', () => {
    const board = fitBoard(
      plan([repeater('Kelp')]),
      [
        unit(1, 'page-handheld'),
        unit(2, 'page-handheld', { firmware: '0.9' }),
        unit(3, 'page-handheld', { firmware: 'unknown' }),
      ],
      SHIPPED,
      NO_GROUNDS,
    );
    expect(board.kinds.map((kind) => kind.unitIds)).toEqual([[uuid(1), uuid(2), uuid(3)]]);
    expect(board.unitFindings).toEqual({
      [uuid(2)]: [{ code: 'firmware-unverified', severity: 'warning', firmware: '0.9' }],
      [uuid(3)]: [{ code: 'firmware-unknown', severity: 'note' }],
    });
  });
  it('a set whose holder keeps numbers for themselves has a fit of its own, and nothing is written there', () => {
    const { kinds } = fitBoard(
      plan([repeater('Kelp')]),
      [unit(1, 'page-handheld'), unit(2, 'page-handheld', { keeps: [5, 45] }), unit(3, 'page-handheld')],
      SHIPPED,
      NO_GROUNDS,
    );
    expect(kinds.map(({ unitIds, keeps }) => [unitIds.length, keeps])).toEqual([
      [2, []],
      [1, [5, 45]],
    ]);
    expect(kinds.map(({ cells }) => cells[0]?.slot?.number)).toEqual([5, 46]);
    expect(new Set(kinds.map(({ key }) => key)).size).toBe(2);
  });
  it('says which unit has no description', () => {
    expect(() => fitBoard(plan([]), [unit(9, 'nowhere')], SHIPPED, NO_GROUNDS)).toThrow(RangeError);
  });
});
