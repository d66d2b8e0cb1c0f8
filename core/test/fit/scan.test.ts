import { fitDevice, fitPlan } from '@umbrex/core/fit';
import { prepare } from '@umbrex/core/flow';
import { type Channel, type Description, factoryMemory, type Plan } from '@umbrex/core/model';
import { describe, expect, it } from 'vitest';
import { PROVABLE, shipped } from '../support/devices';
import { channel, plan, uuid } from '../support/plans';
import { told } from '../support/told';

/** What each channel comes to in the scan of a set, with what is said of it. */
function marks(of: string | Description, channels: readonly Channel[], more: Partial<Plan> = {}) {
  const fit = fitPlan({ ...plan(channels), ...more }, fitDevice(typeof of === 'string' ? shipped(of) : of));
  return {
    settings: fit.image.settings,
    rows: fit.cells.map(({ channelId, slot, findings }) => {
      const { inScan, hasPriority, resumeDelayS } = told(fit.image.slots.get(slot?.number ?? -1)?.content);
      const said = findings.filter(({ code }) => /scan|priority|resume/.test(code)).map(({ code }) => code);
      return [channels.find(({ id }) => id === channelId)?.name, inScan, hasPriority, resumeDelayS, ...said];
    }),
  };
}

const dispatch = channel('Dispatch', 154.25, null, { service: 'other' });
const weather = channel('Weather', 162.475, null, { service: 'weather' });
const ferry = channel('Ferry', 152.9, null, { service: 'other', scan: 'out' });
const rescue = channel('Rescue', 155.1625, null, { service: 'other', scan: 'priority' });
const second = channel('Second', 155.3375, null, { service: 'other', scan: 'priority', resumeDelay: 'off' });

/** Where no table says whose these are, a set whose talk key cannot be shut is loaded with a warning. */
const ELSEWHERE = { country: 'other' } as const;

describe('what a scan does with each channel', () => {
  it('takes in what falls silent, leaves a broadcast out, and gives priority to one in each bank', () =>
    expect(marks('bank-scanner', [dispatch, weather, ferry, rescue, second]).rows).toEqual([
      ['Dispatch', true, false, 2],
      ['Weather', false, false, 2],
      ['Ferry', false, false, 2],
      ['Rescue', true, true, 2],
      ['Second', true, false, 0, 'priority-not-here'],
    ]));
  it('moves on at once where the plan wants it', () =>
    expect(marks('bank-scanner', [dispatch, rescue], { resumeDelay: 'off' }).rows).toEqual([
      ['Dispatch', true, false, 0],
      ['Rescue', true, true, 0],
    ]));
  it('names the number of a priority place where that is a setting of the whole set, as often as it has one', () => {
    const third = channel('Third', 155.475, null, { service: 'other', scan: 'priority' });
    const { settings, rows } = marks('field-mobile', [dispatch, third, rescue, second], ELSEWHERE);
    // Channels 1 to 4 in the plan's order; the lists of numbers begin with NONE, so that channel 2 is place 2.
    expect(settings).toEqual({ prioA: 2, prioB: 3 });
    expect(rows.map(([name, , , , said]) => [name, said])).toEqual([
      ['Dispatch', undefined],
      ['Third', undefined],
      ['Rescue', undefined],
      ['Second', 'priority-not-here'],
    ]);
  });
  it('takes priority from a place that holds a channel of the plan which shall not have it, and leaves the holder’s own', () => {
    const description = shipped('field-mobile');
    const factory = factoryMemory(description);
    // The lists of numbers begin with NONE: 1 is channel 1, which the plan fills, and 91 is channel 91, which it does not.
    const held = { ...factory, settings: { ...factory.settings, prioA: 1, prioB: 91 } };
    const { settings } = fitPlan({ ...plan([dispatch]), ...ELSEWHERE }, fitDevice(description, held)).image;
    expect(settings).toEqual({ prioA: 0 });
  });
  it('puts groups into scan sets in their order, the last set takes the rest', () => {
    const groups = [1, 2, 3, 4].map((n) => ({ id: uuid(900 + n), name: `G${n}`, note: '' }));
    const channels = groups.map(({ id, name }, i) =>
      channel(name, 462.55 + i * 0.025, 462.55 + i * 0.025, { groupId: id }),
    );
    const left = channel('Left out', 462.675, 462.675, { groupId: uuid(901), scan: 'out' });
    expect(marks('zoned-mobile', [...channels, left], { groups }).rows).toEqual([
      ['G1', 1, undefined, undefined],
      ['G2', 2, undefined, undefined],
      ['G3', 3, undefined, undefined],
      ['G4', 3, undefined, undefined],
      ['Left out', false, undefined, undefined],
    ]);
  });
  it('of two channels that share a place, the one that wants most of a scan decides', () => {
    const fixed = { transmitTone: 'off', receiveTone: 'off' } as const;
    const [quiet, busy] = [
      channel('Quiet', 462.5625, 462.5625, { scan: 'out', ...fixed }),
      channel('Busy', 462.5625, 462.5625, { scan: 'usual', ...fixed }),
    ];
    const shared = (channels: Channel[]) =>
      marks('plain-handheld', channels).rows.map(([, inside]) => inside);
    expect([shared([quiet]), shared([quiet, busy]), shared([busy, quiet])]).toEqual([
      [false],
      [true, true],
      [true, true],
    ]);
    // Whose mark it does not have is told so, and nobody where all want the same, or where the set has no marks.
    const differs = (of: string, channels: Channel[]) =>
      fitPlan(plan(channels), fitDevice(shipped(of))).cells.map(({ findings }) =>
        findings.filter(({ code }) => code === 'scan-differs'),
      );
    const note = [{ code: 'scan-differs', severity: 'note', wanted: 'out' }];
    const still = channel('Still', 462.5625, 462.5625, { scan: 'out', ...fixed });
    expect(differs('plain-handheld', [quiet, busy])).toEqual([note, []]);
    expect(differs('plain-handheld', [quiet, still])).toEqual([[], []]);
    expect(differs('pocket-radio', [quiet, busy])).toEqual([[], []]);
  });
  it('says so where a mark cannot be changed, or the set has none', () => {
    const pair = (scan: Channel['scan']) =>
      channel('Pair', 462.55, 467.55, { scan, transmitTone: '82.5', receiveTone: '82.5' });
    expect(marks('page-handheld', [pair('out')]).rows).toEqual([
      ['Pair', undefined, undefined, undefined, 'scan-differs'],
    ]);
    expect(marks('page-handheld', [pair('in')]).rows[0]).toHaveLength(4);
    expect(marks('page-handheld', [pair('priority')]).rows[0]?.[4]).toBe('priority-not-here');
  });
  describe('on a set that has less than it might', () => {
    const SCANNER = shipped('bank-scanner');
    const said = (of: Description, ...channels: Channel[]) =>
      marks(of, channels).rows.map(([name, ...rest]) => [name, ...rest]);
    const without = (id: string): Description => ({
      ...SCANNER,
      fields: SCANNER.fields.filter((field) => field.id !== id),
    });
    const locked = (id: string): Description => ({
      ...SCANNER,
      regions: SCANNER.regions.map((region) => ({
        ...region,
        ways: region.ways.map((way) => ({ ...way, fields: way.fields.filter((field) => field !== id) })),
      })),
    });
    const meaning = (id: string, means: readonly (string | number | boolean)[]): Description => ({
      ...SCANNER,
      lists: {
        ...SCANNER.lists,
        [id]: [{ kind: 'items', items: means.map((one) => ({ shown: String(one), means: one })) }],
      } as never,
    });
    it('no mark at all: what shall be left out is scanned, and only that is said', () => {
      expect(said(without('skip'), dispatch, ferry)).toEqual([
        ['Dispatch', undefined, false, 2],
        ['Ferry', undefined, false, 2, 'scan-differs'],
      ]);
      expect(said({ ...without('skip'), scan: 'none' }, dispatch, ferry).map(([, , , , why]) => why)).toEqual(
        [undefined, undefined],
      );
    });
    it('a mark that stays as it is: it is in the scan from the factory', () =>
      expect(said(locked('skip'), dispatch, ferry).map(([, inScan, , , why]) => [inScan, why])).toEqual([
        [undefined, undefined],
        [undefined, 'scan-differs'],
      ]));
    it('a mark that knows only in, or only out', () => {
      expect(
        said(meaning('skip', [true, true]), dispatch, ferry).map(([, inScan, , , why]) => [inScan, why]),
      ).toEqual([
        [true, undefined],
        [undefined, 'scan-differs'],
      ]);
      expect(
        said(meaning('skip', [false, false]), dispatch, ferry).map(([, inScan, , , why]) => [inScan, why]),
      ).toEqual([
        [undefined, 'scan-differs'],
        [false, undefined],
      ]);
    });
    it('no delay of the wanted kind, or one that stays: said where it differs', () => {
      const swift = channel('Swift', 155.475, null, { service: 'other', resumeDelay: 'off' });
      const delays = (of: Description) =>
        said(of, dispatch, swift).map(([, , , seconds, why]) => [seconds, why]);
      expect(delays(meaning('delay', [0, 0]))).toEqual([
        [undefined, 'resume-delay-differs'],
        [0, undefined],
      ]);
      expect(delays(meaning('delay', [5, 2]))).toEqual([
        [2, undefined],
        [undefined, 'resume-delay-differs'],
      ]);
      // As from the factory it stays two seconds, and nobody can change that here.
      expect(delays(locked('delay'))).toEqual([
        [2, undefined],
        [undefined, 'resume-delay-differs'],
      ]);
      expect(delays(without('delay'))).toEqual([
        [undefined, undefined],
        [undefined, undefined],
      ]);
    });
    it('nobody knows how it scans: a priority that is there is given all the same', () =>
      expect(
        said({ ...SCANNER, scan: 'unknown' }, rescue, second).map(([, , has, , why]) => [has, why]),
      ).toEqual([
        [true, undefined],
        [true, undefined],
      ]));
    it('it gives none: the refusal says how many there are', () => {
      const fit = fitPlan(plan([rescue]), fitDevice({ ...SCANNER, scan: 'none' }));
      expect(fit.cells[0]?.findings).toContainEqual({
        code: 'priority-not-here',
        severity: 'note',
        most: 0,
        perBank: 0,
      });
    });
  });
  it('is set by the sheet, and every set proves', () => {
    const groups = [1, 2, 3].map((n) => ({ id: uuid(900 + n), name: `G${n}`, note: '' }));
    const wanted = (['priority', 'out', 'in', 'usual'] as const).flatMap((scan, i) => [
      channel(`Direct ${i}`, 462.55 + i * 0.025, 462.55 + i * 0.025, { scan, groupId: uuid(901 + (i % 3)) }),
      channel(`Heard ${i}`, 155.16 + i * 0.015, null, {
        scan,
        resumeDelay: 'off',
        service: 'other',
        groupId: uuid(901 + (i % 3)),
      }),
    ]);
    const unproven = PROVABLE.filter(
      (description) => !prepare({ ...plan(wanted), groups }, description).proof.proven,
    );
    expect(unproven.map(({ id }) => id)).toEqual([]);
  });
});
