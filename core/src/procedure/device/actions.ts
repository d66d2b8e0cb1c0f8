import { type Action, factoryMemory } from '../../model/index';
import { hzDigits, nameLength, turnedLetter } from '../entry';
import { firstBankCopies, mod } from '../slotMove';
import type { Innards } from './innards';

type Kind = Action['act'];
type Doing<A extends Kind> = (set: Innards, action: Extract<Action, { act: A }>, keyId: string) => void;

/** What each action of a behaviour's rows does to a set. */
const ACTIONS: { readonly [A in Kind]: Doing<A> } = {
  beep: (set, action) => {
    set.state.heard.push(action.tone);
  },
  clearEntry: (set) => {
    set.state.entry = '';
  },
  typeChar: (set, action, keyId) => {
    const key = set.behaviour.keys[keyId];
    if (key?.char !== undefined && set.state.entry.length < action.most) set.state.entry += key.char;
    else set.refuse();
  },
  pickItem: (set, action) => {
    set.pickItem(action.to);
  },
  openItem: (set, action) => {
    set.state.item = set.behaviour.items.findIndex(({ number }) => number === action.item);
  },
  readDraft: (set) => {
    set.state.draft = set.readTarget();
  },
  blankDraft: (set) => {
    set.state.draft = '';
  },
  stepDraft: (set, action) => {
    const length = set.itemList().length;
    set.state.draft = mod(Number(set.state.draft) + action.by, length);
  },
  draftFromEntry: (set) => {
    const listed = set.itemList().findIndex((value) => value.typed === set.state.entry);
    const hz = set.frequencyFrom(set.state.entry);
    if (listed >= 0) set.state.draft = listed;
    else if (hz !== undefined) set.state.draft = hz;
    else set.refuse();
  },
  draftOffsetFromEntry: (set) => {
    const offset = set.offsetFrom(set.state.entry);
    if (offset !== undefined) set.state.draft = offset;
    else set.refuse();
  },
  draftFromFind: (set) => {
    set.state.draft = set.ears.shownHz ?? 0;
  },
  pickFind: (set, action) => {
    set.ears.pickFind(action.to === 'next' ? 1 : -1);
  },
  draftTextFromEntry: (set) => {
    set.state.draft = set.state.entry;
  },
  readEntry: (set) => {
    set.state.entry = hzDigits(set.behaviour, set.description, Number(set.readTarget()));
  },
  tapLetter: (set, action, keyId) => {
    set.tapLetter(keyId, action.withinMs);
  },
  firstLetter: (set) => {
    set.state.cursor = 0;
    if (set.openItem()?.editor === 'digits')
      set.state.draft =
        set.itemList()[Number(set.state.draft)]?.shown ?? String(set.state.draft || '').padStart(6, '0');
    else
      set.state.draft = String(set.state.draft)
        .padEnd(nameLength(set.description), ' ')
        .slice(0, nameLength(set.description));
  },
  nextLetter: (set) => {
    set.state.cursor = Math.min(set.state.cursor + 1, set.letterCount() - 1);
  },
  stepLetter: (set, action) => {
    const isDigits = set.openItem()?.editor === 'digits';
    const wheel = isDigits ? '0123456789' : (set.behaviour.letterWheel ?? ' ');
    set.state.draft = turnedLetter(String(set.state.draft), set.state.cursor, wheel, action.by);
  },
  storeDraft: (set) => {
    set.state.heard.push(set.store() ? 'ok' : 'refused');
  },
  pickSlot: (set, action) => {
    set.pickSlot(action.to);
  },
  beginSlot: (set) => {
    const from = set.state.values.get(set.slot().number) ?? null;
    set.pickSlot('entry');
    const { number, fixed } = set.slot();
    if (!fixed && set.state.values.get(number) === null) set.state.values.set(number, from && { ...from });
  },
  switchOff: (set) => {
    set.state.saved = new Map(set.state.values);
  },
  eraseSlot: (set) => {
    const { number, fixed } = set.slot();
    if (fixed) set.refuse();
    else set.state.values.set(number, null);
  },
  sendCopy: (set) => {
    set.state.copied.push(set.memory());
  },
  copyFirstBank: (set) => {
    for (const [slot, first] of firstBankCopies(set.slots, set.state.at))
      set.state.values.set(slot.number, set.state.values.get(first.number) ?? null);
  },
  factoryReset: (set) => {
    const memory = factoryMemory(set.description);
    set.state.values = new Map(memory.slots);
    set.state.saved = memory.slots;
    set.state.settings = { ...memory.settings };
  },
  transmit: (set) => {
    set.transmit();
  },
  transmitEntry: (set) => {
    const hz = set.frequencyFrom(set.state.entry);
    if (hz !== undefined) set.send(hz, 'off');
  },
};

/** Does one action. @param keyId the key that was pressed; empty for what a time-out does */
export function act(set: Innards, action: Action, keyId: string): void {
  (ACTIONS[action.act] as Doing<Kind>)(set, action as never, keyId);
}
