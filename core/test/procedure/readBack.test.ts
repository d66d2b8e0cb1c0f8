import { fitDevice, fitPlan } from '@umbrex/core/fit';
import { prepare } from '@umbrex/core/flow';
import { unknownMemory, unknownPlaces } from '@umbrex/core/memory';
import { factoryMemory } from '@umbrex/core/model';
import { readBackLines, settingLines } from '@umbrex/core/procedure';
import { describe, expect, it } from 'vitest';
import { shipped } from '../support/devices';
import { channel, OSTREL, plan } from '../support/plans';

describe('the settings of a whole set, as they are and as they shall be', () => {
  const PAGE = shipped('page-handheld');
  const { image } = fitPlan(
    { ...plan([]), setup: { 'page-handheld': { beep: 0, sideShort: 1 } } },
    fitDevice(PAGE),
  );
  const title = (id: string) => PAGE.settings.find((setting) => setting.id === id)?.title;
  const shown = (id: string, at: number) => {
    const setting = PAGE.settings.find((one) => one.id === id);
    const [list] = PAGE.lists[setting?.list ?? ''] ?? [];
    return list?.kind === 'items' ? list.items[at]?.shown : undefined;
  };
  it('only those that the plan decides, in the set’s own order and words', () => {
    const { settings } = factoryMemory(PAGE);
    const lines = settingLines(PAGE, image, factoryMemory(PAGE));
    expect(lines.map((line) => line.title)).toEqual(
      PAGE.settings.flatMap(({ id, title }) => (id in image.settings ? [title] : [])),
    );
    expect(lines).toContainEqual({
      title: title('beep'),
      before: shown('beep', settings.beep ?? -1),
      shall: shown('beep', 0),
    });
    expect(lines.find((line) => line.title === title('sideShort'))?.shall).toBe(shown('sideShort', 1));
    expect(shown('beep', 0)).toBeTruthy();
  });
  it('what nobody knows is unknown, not as from the factory', () =>
    expect(settingLines(PAGE, image, unknownMemory(PAGE)).map(({ before }) => before)).toEqual([
      'unknown',
      'unknown',
    ]));
  it('none where the plan decides none', () =>
    expect(settingLines(PAGE, fitPlan(plan([]), fitDevice(PAGE)).image, factoryMemory(PAGE))).toEqual([]));
});

describe('the places to be read back', () => {
  const PAGE = shipped('page-handheld');
  const {
    fit: { image },
    sheet,
  } = prepare(OSTREL, PAGE);
  const lines = (now: Parameters<typeof readBackLines>[3]) => readBackLines(PAGE, image, sheet, now);
  it('are those of the image in the set’s order, and say what was there, where that is known', () => {
    expect(lines(factoryMemory(PAGE)).map(({ number }) => number)).toEqual(
      [...image.slots.keys()].sort((a, b) => a - b),
    );
    expect(lines(factoryMemory(PAGE)).some(({ before }) => before === 'unknown')).toBe(false);
    // What nobody can change is known of a set that nobody looked at; the rest is not.
    const unseen = unknownMemory(PAGE);
    const places = new Set(unknownPlaces(PAGE, unseen));
    expect(lines(unseen).map(({ number, before }) => [number, before === 'unknown'])).toEqual(
      lines(unseen).map(({ number }) => [number, places.has(number)]),
    );
    expect(lines(unseen).some(({ before }) => before === 'unknown')).toBe(true);
    // One value of one place that nobody knows is enough: the place is not known.
    const { slots, settings } = factoryMemory(PAGE);
    const fixed = lines({ slots, settings }).find(({ before }) => before !== null && before !== 'unknown');
    const at = slots.get(fixed?.number ?? -1);
    const [first] = Object.keys(at ?? {});
    const { [first ?? '']: _, ...rest } = at ?? {};
    const partly = lines({ slots: new Map(slots).set(fixed?.number ?? -1, rest), settings });
    expect(first).toBeDefined();
    expect(partly.filter(({ before }) => before === 'unknown').map(({ number }) => number)).toEqual([
      fixed?.number,
    ]);
  });
  it('say which of them the sheet changes', () => {
    const touched = new Set(sheet.steps.map(({ slotNumber }) => slotNumber));
    const all = lines(factoryMemory(PAGE));
    expect(all.filter(({ changes }) => changes).map(({ number }) => number)).toEqual(
      all.filter(({ number }) => touched.has(number)).map(({ number }) => number),
    );
    expect(all.some(({ changes }) => changes)).toBe(true);
  });
});

describe('what stands on a display of a place', () => {
  const tone = (transmitTone: string, receiveTone = 'off') => {
    const amateur = shipped('amateur-handheld');
    const { fit, sheet, now } = prepare(
      plan([channel('Pair', 146.88, 146.28, { service: 'amateur-2m', transmitTone, receiveTone })]),
      amateur,
    );
    const [line] = readBackLines(amateur, fit.image, sheet, now);
    if (!line) throw new Error('a line');
    return line.shown;
  };
  it('of two items for tones it is the one that is in force', () => {
    const said = (of: ReturnType<typeof tone>) => [of.transmitTone, of.receiveTone].map(String);
    expect(said(tone('88.5'))[0]).toContain('88.5');
    expect(said(tone('D023N'))[0]).toContain('023');
    // With none it is the first item’s word for none, and not nothing.
    expect(said(tone('off'))[0]).not.toMatch(/88|023|undefined/);
  });
});
