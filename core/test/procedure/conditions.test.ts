import { slotsOf, writtenLists } from '@umbrex/core/model';
import { describe, expect, it } from 'vitest';
import { holds, type Standing } from '../../src/procedure/conditions';
import { shipped } from '../support/devices';

// When a row of a set's behaviour counts: each condition where it holds and where it does not, on the page hand-held.

const page = shipped('page-handheld');
const behaviour = page.behaviour;
if (!behaviour) throw new Error('no behaviour');
const slots = slotsOf(page);
const [slot] = slots.filter(({ region }) => region.content.kind === 'free');
if (!slot) throw new Error('no free place');
const lists = writtenLists(page);

const at = (more: Partial<Standing> = {}): Standing => ({
  description: page,
  behaviour,
  lists,
  slots,
  slot,
  values: null,
  entry: '',
  itemIndex: 0,
  isLastLetter: false,
  settings: {},
  hasFound: false,
  ...more,
});
const itemOf = (field: string) =>
  behaviour.items.findIndex(({ target }) => target.reach === 'channel' && target.field === field);

describe('what was typed', () => {
  it.each([
    [{ is: 'entryLength', of: 3 }, '045', true],
    [{ is: 'entryLength', of: 3 }, '45', false],
    [{ is: 'entryIs', of: '45' }, '45', true],
    [{ is: 'entryIs', of: '45' }, '045', false],
    [{ is: 'entryIsSlot' }, String(slot.number), true],
    [{ is: 'entryIsSlot' }, `00${slot.number}`, true],
    [{ is: 'entryIsSlot' }, '99999', false],
    [{ is: 'entryIsSlot' }, '', false],
    [{ is: 'entryIsItem' }, behaviour.items[1]?.number ?? '', true],
    [{ is: 'entryIsItem' }, '77777', false],
  ] as const)('%j after “%s”: %s', (condition, entry, is) =>
    expect(holds(condition, at({ entry }))).toBe(is),
  );
  it('is a value of the item that is open, as it is typed', () => {
    const tone = itemOf('txTone');
    const [first] = lists.tones ?? [];
    expect(holds({ is: 'entryIsValue' }, at({ itemIndex: tone, entry: first?.typed ?? 'none' }))).toBe(true);
    expect(holds({ is: 'entryIsValue' }, at({ itemIndex: tone, entry: '9' }))).toBe(false);
  });
});

describe('where the set stands', () => {
  it('the last item is the last, and no other', () => {
    const last = behaviour.items.length - 1;
    expect(holds({ is: 'lastItem' }, at({ itemIndex: last }))).toBe(true);
    expect(holds({ is: 'lastItem' }, at({ itemIndex: last - 1 }))).toBe(false);
    expect(holds({ is: 'lastItem' }, at({ itemIndex: 0 }))).toBe(last === 0);
  });
  it.each([true, false])('something was found, the last letter is reached: %s', (is) => {
    expect(holds({ is: 'hasFound' }, at({ hasFound: is }))).toBe(is);
    expect(holds({ is: 'lastLetter' }, at({ isLastLetter: is }))).toBe(is);
  });
  it('a place is used where it holds values, whatever they are', () => {
    expect(holds({ is: 'slotUsed' }, at({ values: {} }))).toBe(true);
    expect(holds({ is: 'slotUsed' }, at())).toBe(false);
  });
  it('a setting means what its list says, as from the factory where nobody set it', () => {
    // What the side key does: nothing as from the factory, then it opens the sound.
    const side = (of: string) => ({ is: 'settingMeans', setting: 'sideShort', of }) as const;
    expect(holds(side('none'), at())).toBe(true);
    expect(holds(side('monitor'), at())).toBe(false);
    expect(holds(side('monitor'), at({ settings: { sideShort: 1 } }))).toBe(true);
    expect(holds({ is: 'settingMeans', setting: 'no-such', of: 'none' }, at())).toBe(false);
  });
  it('an item can be opened where its field is not locked and the place has a frequency', () => {
    const tone = itemOf('txTone');
    const allowed = (more: Partial<Standing>) =>
      holds({ is: 'itemAllowed' }, at({ itemIndex: tone, ...more }));
    expect(allowed({ values: { rx: 462_550_000 } })).toBe(true);
    expect(allowed({})).toBe(false);
    expect(holds({ is: 'itemAllowed' }, at({ itemIndex: itemOf('rx') }))).toBe(true);
    // Nothing of a direct channel of the factory but its tones can be changed.
    const fixed = slots.find(({ region }) => region.content.kind === 'fixed') ?? slot;
    expect(holds({ is: 'itemAllowed' }, at({ slot: fixed, itemIndex: itemOf('rx'), values: {} }))).toBe(
      false,
    );
    expect(holds({ is: 'itemAllowed' }, at({ slot: fixed, itemIndex: tone, values: {} }))).toBe(true);
    expect(holds({ is: 'itemAllowed' }, at({ itemIndex: 999, values: {} }))).toBe(false);
  });
});
