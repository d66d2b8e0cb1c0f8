import type { Finding } from '@umbrex/core/findings';
import { fitDevice, fitPlan, type UnitPart } from '@umbrex/core/fit';
import type { Channel, Description } from '@umbrex/core/model';
import { describe, expect, it } from 'vitest';
import { shipped } from '../support/devices';
import { memoryAfter } from '../support/memory';
import { channel, plan } from '../support/plans';

/* What is said of a channel on a set, whole: each finding with all that it names, and nothing besides. */

const cellsOf = (description: Description, channels: readonly Channel[], policy?: 'open' | 'closed') =>
  fitPlan(plan(channels, policy), fitDevice(description));
/** What is said, without what is said of every channel of these sets: that they show no names. */
const said = (description: Description, channels: readonly Channel[], policy?: 'open' | 'closed') =>
  cellsOf(description, channels, policy).cells.map(({ verdict, findings }) => [
    verdict,
    ...findings.filter(({ code }) => code !== 'no-names' && code !== 'licence-needed'),
  ]);
const direct = (name: string, transmitTone: string, receiveTone = transmitTone) =>
  channel(name, 462.5625, 462.5625, { transmitTone, receiveTone, service: 'frs' });

describe('one code for both ways, on a direct channel', () => {
  const POCKET = shipped('pocket-radio');
  const number = { code: 'tone-by-number', severity: 'note', tone: '82.5', number: '6' };
  const both = { code: 'tone-both-ways', severity: 'note', tone: '82.5' };
  const left = { code: 'receive-tone-left-off', severity: 'note', tone: '82.5' };
  const differ = {
    code: 'tones-differ-paired',
    severity: 'error',
    transmitTone: '82.5',
    receiveTone: '100.0',
  };
  const talk = { code: 'talk-goes-out-on-output', severity: 'warning', transmitHz: 462_562_500 };
  const unheard = { code: 'channel-tone-unknown', severity: 'note', direction: 'receive' };
  const unsent = { code: 'channel-tone-unknown', severity: 'warning', direction: 'transmit' };
  it.each([
    // sent, heard; whether the group waits for tones; the verdict and what is said
    ['82.5', '82.5', 'closed', ['adapted', number]],
    ['82.5', 'off', 'closed', ['adapted', number, both]],
    ['82.5', 'unknown', 'closed', ['adapted', number, both]],
    ['82.5', '82.5', 'open', ['adapted', number, both]],
    ['off', 'off', 'closed', ['full']],
    ['off', '82.5', 'open', ['full']],
    ['off', '82.5', 'closed', ['adapted', left]],
    ['off', 'unknown', 'closed', ['adapted', unheard]],
    ['off', 'unknown', 'open', ['full']],
    ['unknown', '82.5', 'closed', ['unknown', unsent]],
    ['82.5', '100.0', 'closed', ['listen', differ, { ...left, tone: '100.0' }, talk]],
    ['82.5', '100.0', 'open', ['listen', differ, talk]],
  ] as const)('sends %s, hears %s, %s: %j', (sent, heard, policy, expected) =>
    expect(said(POCKET, [direct('Talk', sent, heard)], policy)).toEqual([expected]),
  );
});

describe('two channels at one place', () => {
  const [first, same, other] = [direct('Talk', '82.5'), direct('Also', '82.5'), direct('Other', '100.0')];
  const before = channel('Before', 462.5875, 462.5875, { service: 'frs' });
  it('share it where they are the same, and the second says with whom', () =>
    expect(said(shipped('bank-handheld'), [before, first, same])).toEqual([
      ['full'],
      ['full'],
      ['adapted', { code: 'slot-shared', severity: 'note', with: 'Talk', number: 1 }],
    ]));
  it('one after the other finds it taken, by the first that is there', () =>
    expect(said(shipped('bank-handheld'), [before, first, same, other]).at(-1)).toEqual([
      'no',
      { code: 'slot-taken', severity: 'error', by: 'Talk', number: 1 },
    ]));
  it('both are at the place, which has the name of the first', () => {
    const mid = channel('Mid', 462.55, 462.55, { service: 'frs' });
    const { cells, image } = cellsOf(shipped('page-handheld'), [first, mid, same]);
    const at = cells[0]?.slot?.number ?? -1;
    expect(cells.map(({ slot }) => slot?.number === at)).toEqual([true, false, true]);
    expect(image.slots.get(at)?.channelIds).toEqual([first?.id, same?.id]);
  });
  it('a place of the holder’s own that two share is called by what stands there', () => {
    const own = (name: string) => channel(name, 462.55, null);
    const { cells } = cellsOf(shipped('retired-portable'), [own('Yard'), own('Pit')]);
    expect(cells.map(({ slot, name }) => [slot?.number, name])).toEqual([
      [1, 'YARD'],
      [1, 'YARD'],
    ]);
  });
});

describe('names', () => {
  const [talk] = [direct('Talk', '82.5')];
  it('of a set of which nobody knows what it can show', () => {
    const page = shipped('page-handheld');
    const { cells } = cellsOf({ ...page, names: 'unknown' }, [
      channel('Pit', 151.505, null, { service: 'other' }),
    ]);
    const about = cells[0]?.findings.filter(({ code }) => code.includes('name'));
    expect(about).toEqual([{ code: 'names-unknown', severity: 'note' }]);
    expect(cells[0]?.name).toBeNull();
  });
  it('are none on a set without a display for them', () =>
    expect(cellsOf(shipped('bank-handheld'), [talk]).cells[0]?.findings.at(-1)).toEqual({
      code: 'no-names',
      severity: 'note',
    }));
  it('that a set has already stay as they are, by the pair of frequencies and not by what stands beside it', () => {
    const amateur = shipped('amateur-handheld');
    const knoll = channel('Kelp Knoll Repeater', 146.88, 146.28, { service: 'amateur-2m' });
    const nameField = amateur.fields.find(({ holds }) => holds === 'name')?.id ?? '';
    const { image, cells } = cellsOf(amateur, [knoll]);
    expect(cells[0]?.name).toBe('KELPKNO');
    const written = memoryAfter(amateur, image);
    const slots = new Map(
      [...written.slots].map(([number, values]) => [
        number,
        image.slots.has(number) ? { ...values, [nameField]: ' KELPRPT ' } : values,
      ]),
    );
    const nameOf = (one: Channel) =>
      fitPlan(plan([one]), fitDevice(amateur, { ...written, slots })).cells[0]?.name;
    expect(nameOf(knoll)).toBe('KELPRPT');
    expect(nameOf({ ...knoll, receiveHz: 146_900_000, transmitHz: 146_300_000 })).toBe('KELPKNO');
  });
});

describe('what is not carried, and what is not on the air', () => {
  const page = shipped('page-handheld');
  const groups = [
    { id: '00000000-0000-4000-8000-000000000001', name: 'All', note: '' },
    { id: '00000000-0000-4000-8000-000000000002', name: 'Ferry', note: '' },
  ];
  const [here, ferry] = [
    direct('Here', '82.5'),
    { ...direct('Deck', '100.0'), groupId: groups[1]?.id ?? '' },
  ];
  it('a group that the set does not carry has no part in it, and the others are as they were', () => {
    const of = (carriesGroups: UnitPart['carriesGroups']) =>
      fitPlan(
        { ...plan([here, ferry]), groups },
        fitDevice(page, undefined, carriesGroups === undefined ? {} : { carriesGroups }),
      ).cells.map(({ verdict, findings }) => [
        verdict,
        ...findings.filter(({ code }) => code === 'not-carried'),
      ]);
    const away: Finding = { code: 'not-carried', severity: 'note', by: 'team' };
    expect(of(null)).toEqual([['full'], ['full']]);
    expect(of({ by: 'team', groupIds: [here.groupId] })).toEqual([['full'], ['apart', away]]);
    expect(of({ by: 'team', groupIds: [here.groupId, ferry.groupId] })).toEqual([['full'], ['full']]);
  });
  it('a channel that is planned is loaded, and the cell says that it is not on the air', () => {
    const planned: Finding = { code: 'loaded-off-air', severity: 'note', state: 'planned' };
    expect(said(page, [{ ...here, state: 'planned' }])).toEqual([['full', planned]]);
    const gone: Finding = { code: 'not-loaded', severity: 'note', state: 'withdrawn' };
    const [cell] = cellsOf(page, [{ ...here, state: 'withdrawn' }]).cells;
    expect(cell).toEqual({ channelId: here.id, verdict: 'apart', slot: null, name: null, findings: [gone] });
  });
});
