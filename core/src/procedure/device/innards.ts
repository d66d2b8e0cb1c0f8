import {
  type Behaviour,
  type Description,
  factoryValues,
  type ListItem,
  type Memory,
  type Native,
  type Slot,
  type SlotContent,
  slotReader,
  slotsOf,
  type ToneText,
  writtenLists,
} from '../../model/index';
import { Ears } from '../ears';
import { nameLength, offsetIndex, tapped, typedHz } from '../entry';
import { enteredValue, isItemAllowed, itemField, itemValues } from '../items';
import { talkHz, talkTone } from '../sending';
import { mod, type SlotMove, slotAfter } from '../slotMove';
import type { DeviceState } from './state';

/** What is inside a virtual device: its description made ready, its state, its receiver, and what its actions are made of. */
export class Innards {
  readonly slots: readonly Slot[];
  readonly lists: Readonly<Record<string, readonly ListItem[]>>;
  readonly ears: Ears;
  /** When the key that is being let go went down. */
  pressedMs = 0;
  /** The items that are gone through, by their places among all. */
  private readonly round: readonly number[];
  private readonly read: ReturnType<typeof slotReader>;

  constructor(
    readonly description: Description,
    readonly behaviour: Behaviour,
    public state: DeviceState,
  ) {
    this.slots = slotsOf(description);
    this.lists = writtenLists(description);
    this.read = slotReader(description);
    this.ears = new Ears(description);
    this.round = behaviour.items.flatMap(({ apart }, i) => (apart ? [] : [i]));
  }

  slot(): Slot {
    return this.slots[this.state.at] as Slot;
  }

  /** What a place does on the air, as the set holds it now. */
  content(slot: Slot): SlotContent | null {
    return this.read(slot, this.state.values.get(slot.number) ?? null);
  }

  openItem(): Behaviour['items'][number] | undefined {
    return this.behaviour.items[this.state.item];
  }

  itemList(): readonly ListItem[] {
    return itemValues(this.description, this.lists, this.slots, this.openItem());
  }

  readTarget(): Native {
    const target = this.openItem()?.target;
    if (!target) return 0;
    if (target.reach === 'set') return this.state.settings[target.setting] ?? 0;
    if (target.reach === 'choice') return this.state.at;
    if (target.reach === 'picked') return this.state.picked;
    return this.state.values.get(this.slot().number)?.[target.field] ?? 0;
  }

  /** Stores what was entered, if the open item takes it here. */
  store(): boolean {
    const item = this.openItem();
    const slot = this.slot();
    const allowed = isItemAllowed(this.description, item, slot, this.state.values.get(slot.number) ?? null);
    if (!item || !allowed) return false;
    const { target } = item;
    if (target.reach === 'set') this.state.settings[target.setting] = Number(this.state.draft);
    else if (target.reach === 'choice') this.state.at = Number(this.state.draft);
    else if (target.reach === 'picked') this.state.picked = Number(this.state.draft);
    else {
      const { number } = this.slot();
      const field = itemField(this.description, item);
      const value = field && enteredValue(item, field, this.itemList(), this.state.draft);
      if (field === undefined || value === undefined) return false;
      const receiveHz = field.holds === 'receiveHz' ? Number(value) : undefined;
      // What it did not hold yet is as in a place that is new; without a frequency it has none.
      const fresh = factoryValues(this.description, receiveHz, this.slot().region);
      this.state.values.set(number, { ...fresh, ...this.state.values.get(number), [field.id]: value });
    }
    return true;
  }

  pickItem(to: 'first' | 'entry' | 'next' | 'previous'): void {
    const { round } = this;
    const at = round.indexOf(this.state.item);
    const index = {
      first: round[0] ?? -1,
      entry: this.behaviour.items.findIndex((item) => item.number === this.state.entry),
      next: round[mod(at + 1, round.length)] ?? -1,
      previous: round[mod(at - 1, round.length)] ?? -1,
    }[to];
    if (index >= 0) this.state.item = index;
    else this.refuse();
  }

  pickSlot(to: SlotMove): void {
    const index = slotAfter(this.slots, this.state.at, to, this.state.entry, this.behaviour.startNumber);
    if (index < 0) {
      this.refuse();
      return;
    }
    this.state.at = index;
    const { operatorTone } = this.description;
    if (typeof operatorTone === 'object' && !operatorTone.sticky) this.state.picked = 0;
  }

  tapLetter(keyId: string, withinMs: number): void {
    const isAgain = this.state.tapped.key === keyId && this.state.nowMs - this.state.tapped.atMs < withinMs;
    const letters = this.behaviour.keys[keyId]?.letters ?? '';
    const text = tapped(String(this.state.draft), letters, isAgain, nameLength(this.description));
    if (text === undefined) this.refuse();
    else this.state.draft = text;
    this.state.tapped = { key: keyId, atMs: this.state.nowMs };
  }

  transmit(): void {
    const content = this.content(this.slot());
    const hz = talkHz(content);
    if (hz === null) {
      this.refuse();
      return;
    }
    const tone = talkTone(this.description, this.lists, content, this.state.picked);
    this.send(hz, tone);
  }

  /** Sends as long as the key was down. */
  send(hz: number, tone: ToneText): void {
    this.state.sent.push({ hz, atMs: this.pressedMs, lengthMs: this.state.nowMs - this.pressedMs, tone });
  }

  frequencyFrom(entry: string): number | undefined {
    return typedHz(this.behaviour, this.description, entry);
  }

  offsetFrom(entry: string): number | undefined {
    const values = this.state.values.get(this.slot().number) ?? null;
    return offsetIndex(this.description, this.itemList(), values, this.frequencyFrom(entry));
  }

  /** How many letters or digits are set one by one. */
  letterCount(): number {
    const isDigits = this.openItem()?.editor === 'digits';
    return isDigits ? String(this.state.draft).length : nameLength(this.description);
  }

  refuse(): void {
    this.state.heard.push('refused');
  }

  /** What it holds now, read out as one would over a cable. */
  memory(): Memory {
    const { values, saved, settings } = this.state;
    return { slots: new Map(this.behaviour.savesAtOff ? saved : values), settings: { ...settings } };
  }
}
