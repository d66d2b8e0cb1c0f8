import { prepare } from '@umbrex/core/flow';
import { slotsOf } from '@umbrex/core/model';
import { readBackLines } from '@umbrex/core/procedure';
import { leastCover, toneKind, type Verification, verification } from '@umbrex/core/verify';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { PROVABLE, shipped } from './support/devices';
import { anyPlan, channel, OSTREL, plan } from './support/plans';
import { runs } from './support/runs';

function of(id: string, what = OSTREL, onAir: Parameters<typeof verification>[4] = {}) {
  const description = shipped(id);
  const { fit, sheet, now } = prepare(what, description);
  const lines = readBackLines(description, fit.image, sheet, now);
  return { lines, fit, found: verification(description, lines, fit.cells, what, onAir) };
}
const at = ({ trials }: Verification, check: string) =>
  trials.filter((trial) => trial.check === check).map(({ slotNumber }) => slotNumber);

/** The fewest that cover everything, found by trying all selections. */
function fewest(candidates: readonly (readonly string[])[]): number {
  const all = new Set(candidates.flat());
  for (let size = 0; size <= candidates.length; size++)
    for (let mask = 0; mask < 1 << candidates.length; mask++) {
      const chosen = candidates.filter((_, i) => mask & (1 << i));
      if (chosen.length === size && new Set(chosen.flat()).size === all.size) return size;
    }
  return 0;
}

describe('the fewest that cover', () => {
  const things = fc.array(fc.subarray(['a', 'b', 'c', 'd', 'e', 'f', 'g']), { maxLength: 8 });
  it('cover all that can be covered, and are as few as trying all selections finds', () =>
    fc.assert(
      fc.property(things, (candidates) => {
        const chosen = leastCover(candidates.map((covers, i) => ({ of: i, covers })));
        expect(new Set(chosen.flatMap((i) => candidates[i] ?? []))).toEqual(new Set(candidates.flat()));
        expect(chosen).toHaveLength(fewest(candidates));
        expect([...chosen].sort((a, b) => a - b)).toEqual(chosen);
      }),
      { numRuns: runs(300) },
    ));
  it('cover all of more things than are searched through, too', () => {
    const many = Array.from({ length: 40 }, (_, i) => ({ of: i, covers: [`x${i}`, `x${(i * 7) % 40}`] }));
    expect(new Set(leastCover(many).flatMap((i) => many[i]?.covers ?? [])).size).toBe(40);
  });
});

describe('what is tried on a set', () => {
  it('tells tones by their kind', () => {
    expect(['off', undefined, '67.0', 'D023N', 'D023I'].map((tone) => toneKind(tone as never))).toEqual([
      'no tone',
      'no tone',
      'CTCSS',
      'DCS',
      'DCS',
    ]);
  });
  it('a plan of three tones on a keypad set: each kind once, by hand', () => {
    const three = plan([
      channel('Open', 462.5625, 462.5625),
      channel('Tone one', 462.5875, 462.5875, { transmitTone: '67.0', receiveTone: '67.0' }),
      channel('Tone two', 462.6125, 462.6125, { transmitTone: '71.9', receiveTone: '71.9' }),
      channel('Code', 462.65, 467.65, { transmitTone: 'D023N', receiveTone: 'D023N' }),
    ]);
    const { found } = of('guided-handheld', three);
    // Tone one and Tone two show the same: one stands for both; the repeater is the only code.
    expect(at(found, 'two-way')).toHaveLength(3);
    expect(at(found, 'returned')).toHaveLength(1);
    expect(found.leavesOut).toHaveLength(1);
    expect(
      found.trials
        .filter(({ radiatesHz }) => radiatesHz !== null)
        .map(({ radiatesHz }) => radiatesHz)
        .sort(),
    ).toEqual([462_562_500, 462_587_500, 467_650_000, 467_650_000].sort());
  });
  it('a set without a display is not read back; it is spoken with', () => {
    const { found } = of(
      'counting-handheld',
      plan([channel('Deck', 462.65, 462.65, { service: 'business' })]),
    );
    expect(found.isBlind).toBe(true);
    expect(at(found, 'read-back')).toEqual([]);
  });
  it('an alert radio: that it is heard, and that it sounds for its area, are two', () => {
    const { found } = of('menu-alert');
    expect(found.trials.map(({ check }) => check)).toEqual(
      expect.arrayContaining(['audio-proven', 'area-filter-proven']),
    );
    expect(found.trials.every(({ radiatesHz, onDummyLoad }) => radiatesHz === null && !onDummyLoad)).toBe(
      true,
    );
  });
  it('a scanner radiates nowhere, and a network’s signal is a check of its own', () => {
    for (const id of ['bank-scanner', 'wideband-receiver', 'network-scanner']) {
      const { found } = of(id);
      expect(
        found.trials.every(({ radiatesHz, onDummyLoad }) => radiatesHz === null && !onDummyLoad),
        id,
      ).toBe(true);
    }
    const { lines, found } = of('network-scanner');
    expect(at(found, 'signal')).toEqual(
      lines.flatMap(({ number, content }) => (content.kind === 'network' ? [number] : [])),
    );
  });
  it.each([
    ['guided-handheld', 'Talk or listen', 'TALK'],
    ['page-handheld', 'Transmit forbidden', 'OFF'],
    ['paired-handheld', 'Listen only', 'no'],
  ])('says how a block is undone on %s: %s %s', (id, title, shown) => {
    // A direct channel to talk on, and one that is only listened to.
    const two = plan([channel('Deck', 462.5625, 462.5625), channel('Quay', 462.6125, null)]);
    const blocked = of(id, two).found.trials.filter(({ check }) => check === 'blocked');
    expect(blocked.length).toBeGreaterThan(0);
    for (const { undo } of blocked) expect(undo).toEqual({ title, shown });
    expect(
      of(id, two).found.trials.filter(({ check, undo }) => check !== 'blocked' && undo !== null),
    ).toEqual([]);
  });
  it('of any plan on any pattern: each thing once, nothing on distress or calling channels, each place that must not send', () =>
    fc.assert(
      fc.property(fc.oneof(anyPlan, fc.constant(OSTREL)), fc.constantFrom(...PROVABLE), (any, { id }) => {
        const { lines, fit, found } = of(id, any);
        const tried = new Set(found.trials.flatMap(({ slotNumber }) => slotNumber ?? []));
        expect([...tried, ...found.leavesOut].sort((a, b) => a - b)).toEqual(
          lines.map(({ number }) => number).sort((a, b) => a - b),
        );
        const contentAt = new Map(lines.map(({ number, content }) => [number, content]));
        const talks = new Set(
          fit.cells.flatMap(({ verdict, channelId }) =>
            verdict === 'full' || verdict === 'adapted' ? [channelId] : [],
          ),
        );
        for (const { radiatesHz, channelId, onDummyLoad, slotNumber } of found.trials) {
          const content = contentAt.get(slotNumber ?? -1);
          if (radiatesHz !== null) {
            expect(talks.has(channelId ?? '')).toBe(true);
            // Channel 16 and 70 of the sea, channel 9 of the citizens’ band: by hand from their tables.
            expect([156_800_000, 156_525_000, 27_065_000]).not.toContain(radiatesHz);
          }
          if (onDummyLoad) expect(content?.kind === 'channel' && content.transmitHz).toBeNull();
        }
        // Each place that could send and must not is tried, or, for distress and calling, only read back; a set that sends nowhere by bands.
        const slots = new Map(slotsOf(shipped(id)).map((slot) => [slot.number, slot]));
        const talksAnywhere = lines.some(
          ({ content }) => content.kind === 'channel' && content.transmitHz !== null,
        );
        const { transmit } = shipped(id);
        for (const { number, content } of lines) {
          const region = slots.get(number)?.region.content;
          const isFree = region?.kind === 'free' && !region.receiveOnly;
          if (content.kind !== 'channel' || content.transmitHz !== null || !isFree || !talksAnywhere)
            continue;
          if (transmit !== 'unknown' && transmit.bands.length > 0)
            expect([...at(found, 'blocked'), ...found.neverPressed]).toContain(number);
        }
        // What is left out shows nothing that is not shown elsewhere.
        if (!found.isBlind) {
          const shown = (numbers: Iterable<number>) =>
            new Set(
              [...numbers].flatMap((number) => {
                const content = contentAt.get(number);
                return content?.kind === 'channel'
                  ? [
                      `waits ${toneKind(content.receiveTone)}`,
                      ...(content.transmitHz === null ? [] : [`sends ${toneKind(content.transmitTone)}`]),
                    ]
                  : [];
              }),
            );
          const readBack = shown(at(found, 'read-back').flatMap((number) => number ?? []));
          for (const thing of shown(found.leavesOut)) expect(readBack).toContain(thing);
        }
      }),
      { numRuns: runs(120) },
    ));
  it('nobody is called through a repeater that is off the air; permission is asked only for what nothing else shows', () => {
    const [open, asked, off] = [
      channel('Open', 462.65, 467.65, { transmitTone: '67.0', receiveTone: '67.0' }),
      channel('Asked', 462.6, 467.6, { transmitTone: '71.9', receiveTone: 'D023N', access: 'permission' }),
      channel('Off', 462.7, 467.7, { transmitTone: 'D031N', receiveTone: 'D031N' }),
    ];
    const { found } = of('guided-handheld', plan([open, asked, off]), { offAir: [off.id] });
    const called = found.trials.filter(({ check }) => check === 'two-way');
    expect(called.map(({ channelId, needsLeave }) => [channelId, needsLeave])).toEqual([
      [open.id, false],
      [asked.id, true],
    ]);
    const both = of('guided-handheld', plan([open, { ...asked, receiveTone: '71.9' }]));
    expect(
      both.found.trials.some(({ channelId, radiatesHz }) => channelId === asked.id && radiatesHz !== null),
    ).toBe(false);
  });
  it('the calls of the sheet are among them', () => {
    const { fit } = of('guided-handheld');
    const talked = fit.cells.filter(({ verdict }) => verdict === 'full').map(({ channelId }) => channelId);
    const wanted = talked.slice(-1);
    const { found } = of('guided-handheld', OSTREL, { calls: wanted });
    expect(
      found.trials.some(({ check, channelId }) => check === 'two-way' && wanted.includes(channelId ?? '')),
    ).toBe(true);
  });
});
