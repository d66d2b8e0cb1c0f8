import type { Slot } from '../model/index';

/** A way to come to another slot: by its number as typed, by a step through all or through the banks, or the one it starts on. */
export type SlotMove = 'entry' | 'next' | 'previous' | 'nextInBank' | 'previousInBank' | 'nextBank' | 'start';

/** The place in the list of slots that a move leads to, round at both ends; −1 where there is none such. */
export function slotAfter(
  slots: readonly Slot[],
  at: number,
  move: SlotMove,
  entry: string,
  startNumber: number,
): number {
  const bank = slots[at]?.bank ?? 0;
  switch (move) {
    case 'entry':
      return slots.findIndex(({ number }) => number === Number(entry));
    case 'start':
      return slots.findIndex(({ number }) => number === startNumber);
    case 'next':
      return mod(at + 1, slots.length);
    case 'previous':
      return mod(at - 1, slots.length);
    case 'nextInBank':
    case 'previousInBank': {
      // The slots of a bank stand one after another.
      let [first, last] = [at, at];
      while (slots[first - 1]?.bank === bank) first--;
      while (slots[last + 1]?.bank === bank) last++;
      return first + mod(at - first + (move === 'nextInBank' ? 1 : -1), last - first + 1);
    }
    case 'nextBank': {
      const banks = (slots.at(-1)?.bank ?? 0) + 1;
      return slots.findIndex((slot) => slot.bank === mod(bank + 1, banks));
    }
    default:
      return move satisfies never;
  }
}

/** Each slot of the present region with the one of the same position in its first bank. */
export function firstBankCopies(slots: readonly Slot[], at: number): (readonly [Slot, Slot])[] {
  const mine = slots.filter(({ region }) => region === slots[at]?.region);
  return mine.flatMap((slot) => {
    const first = mine.find(({ position }) => position === slot.position);
    return first ? [[slot, first] as const] : [];
  });
}

/** The remainder that is never negative. */
export function mod(value: number, length: number): number {
  return length === 0 ? 0 : ((value % length) + length) % length;
}
