import { fitDevice, fitPlan } from '@umbrex/core/fit';
import { unknownMemory } from '@umbrex/core/memory';
import { factoryMemory } from '@umbrex/core/model';
import { settingLines } from '@umbrex/core/procedure';
import { describe, expect, it } from 'vitest';
import { shipped } from '../support/devices';
import { plan } from '../support/plans';

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
