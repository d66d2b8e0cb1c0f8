import type { Slot } from '../model/index';

/** A way to come to another slot: by its number as typed, or by a step through all or through the banks. */
export type SlotMove = 'entry' | 'next' | 'previous' | 'nextInBank' | 'previousInBank' | 'nextBank';

/** The place in the list of slots that a move leads to, round at both ends; −1 where there is none such. */
export function slotAfter(slots: readonly Slot[], at: number, move: SlotMove, entry: string): number {
  const bank = slots[at]?.bank ?? 0;
  const inBank = slots.flatMap((slot, i) => (slot.bank === bank ? [i] : []));
  const place = inBank.indexOf(at);
  const banks = (slots.at(-1)?.bank ?? 0) + 1;
  switch (move) {
    case 'entry':
      return slots.findIndex(({ number }) => number === Number(entry));
    case 'next':
      return mod(at + 1, slots.length);
    case 'previous':
      return mod(at - 1, slots.length);
    case 'nextInBank':
      return inBank[mod(place + 1, inBank.length)] ?? -1;
    case 'previousInBank':
      return inBank[mod(place - 1, inBank.length)] ?? -1;
    case 'nextBank':
      return slots.findIndex((slot) => slot.bank === mod(bank + 1, banks));
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
