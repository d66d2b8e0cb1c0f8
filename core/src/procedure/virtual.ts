import {
  type Action,
  type Behaviour,
  type Description,
  factoryMemory,
  factoryValues,
  type ListItem,
  type Memory,
  type Native,
  type Slot,
  type SlotContent,
  type SlotValues,
  slotReader,
  slotsOf,
  writtenLists,
} from '../model/index';
import { holds, type Standing } from './conditions';
import { Ears } from './ears';
import { hzDigits, nameLength, offsetIndex, tapped, turnedLetter, typedHz } from './entry';
import type { KeyEvent } from './events';
import { enteredValue, isItemAllowed, itemField, itemValues } from './items';
import { type Catch, type Signal, type Stop, scanStops } from './round';
import { fillScreen, type ScreenLine, screenLine } from './screen';
import { type Emission, talkHz, talkTone } from './sending';
import { firstBankCopies, mod, type SlotMove, slotAfter } from './slotMove';

const apart = new WeakMap<Behaviour, Map<string, ScreenLine[]>>();

/** What a virtual device does and where it stands when somebody takes it in hand. */
export interface Whereabouts {
  readonly mode: string;
  readonly number: number;
}

/**
 * A virtual device: the behaviour of a description, run on a simulated clock. It takes key events and shows screen text; it
 * knows nothing of plans, fits or sheets.
 */
export class VirtualDevice {
  private readonly behaviour: Behaviour;
  private readonly slots: readonly Slot[];
  private readonly lists: Readonly<Record<string, readonly ListItem[]>>;
  private values: Map<number, SlotValues>;
  /** What it would still hold with its cell taken out, where it saves only when it is switched off. */
  private saved: ReadonlyMap<number, SlotValues>;
  private settings: Record<string, number>;
  private mode: string;
  private at: number;
  private item = 0;
  private entry = '';
  private draft: Native = 0;
  private cursor = 0;
  private tapped = { key: '', atMs: Number.NEGATIVE_INFINITY };
  private nowMs = 0;
  private lastKeyMs = 0;
  private readonly sent: Emission[] = [];
  private readonly copied: Memory[] = [];
  private readonly heard: string[] = [];
  private readonly ears: Ears;
  private readonly read: ReturnType<typeof slotReader>;
  /** The items that are gone through, by their places among all. */
  private readonly round: readonly number[];

  /**
   * @param memory what it holds at the start; as from the factory where nothing is given
   * @param picked the tone that its operator picked by hand, as a place in their list; 0 is none
   * @param from what it does and where it stands; as it comes on where nothing is given
   * @throws RangeError for a description that has no behaviour
   */
  constructor(
    private readonly description: Description,
    memory: Memory = factoryMemory(description),
    private picked = 0,
    from?: Whereabouts,
  ) {
    if (!description.behaviour) throw new RangeError(`description ${description.id} has no behaviour`);
    this.behaviour = description.behaviour;
    this.slots = slotsOf(description);
    this.ears = new Ears(description);
    this.read = slotReader(description);
    this.round = this.behaviour.items.flatMap(({ apart }, i) => (apart ? [] : [i]));
    this.lists = writtenLists(description);
    this.values = new Map(memory.slots);
    this.saved = memory.slots;
    this.settings = { ...memory.settings };
    this.mode = from?.mode ?? this.behaviour.start;
    const standsOn = from?.number ?? this.behaviour.startNumber;
    this.at = this.slots.findIndex(({ number }) => number === standsOn);
    if (this.at < 0) throw new RangeError(`stands on: ${standsOn}`);
    this.beginRound();
  }

  /** Lets one event happen. */
  take(event: KeyEvent): void {
    if (event.kind === 'wait') {
      this.advance(event.ms);
      return;
    }
    if (event.kind === 'power') {
      this.wake();
      return;
    }
    const key = this.behaviour.keys[event.key];
    if (!key) throw new RangeError(`key: ${event.key}`);
    this.press(event.key, event.heldMs);
    // A set waits for the next key from when this one is let go.
    this.lastKeyMs = this.nowMs + event.heldMs;
    this.advance(event.heldMs);
  }

  /** The display, line by line. */
  screen(): string[] {
    const slot = this.slot();
    const view = {
      description: this.description,
      lists: this.lists,
      slot,
      values: this.values.get(slot.number) ?? null,
      item: this.openItem(),
      itemValues: this.itemList(),
      entry: this.entry,
      draft: this.draft,
      cursor: this.cursor,
      foundHz: this.ears.shownHz,
      finds: this.ears.found().length,
    };
    return this.lines(this.mode).map((line) => fillScreen(line, view));
  }

  /** The display lines of a mode, taken apart once for all devices of this behaviour. */
  private lines(mode: string): readonly ScreenLine[] {
    const known = apart.get(this.behaviour) ?? new Map<string, ScreenLine[]>();
    apart.set(this.behaviour, known);
    const lines = known.get(mode) ?? (this.behaviour.modes[mode]?.screen ?? []).map(screenLine);
    known.set(mode, lines);
    return lines;
  }

  /** What it holds now, read out as one would over a cable. */
  memory(): Memory {
    return {
      slots: new Map(this.behaviour.savesAtOff ? this.saved : this.values),
      settings: { ...this.settings },
    };
  }

  /** The tone that its operator picked by hand, as a place in their list; 0 is none. */
  pickedTone(): number {
    return this.picked;
  }

  /** Everything it has sent so far. */
  emissions(): readonly Emission[] {
    return this.sent;
  }

  /** The beeps so far, in order. */
  beeps(): readonly string[] {
    return this.heard;
  }

  /** Everything that it offered to other sets of its kind. */
  copies(): readonly Memory[] {
    return this.copied;
  }

  /** Another set's copy arrives. Taken only while this one waits for it, and then nothing of its own is left. */
  takeCopy({ slots, settings }: Memory): void {
    const waits = this.behaviour.modes[this.mode]?.takesCopy;
    if (!waits) return;
    this.values = new Map(slots);
    this.saved = new Map(slots);
    this.settings = { ...settings };
    for (const action of waits.do ?? []) this.act(action, '');
    this.enter(waits.go);
  }

  /** Puts something on the air, in place of what was there; times are on the set's own clock. */
  receive(signals: readonly Signal[]): void {
    this.ears.receive(signals);
  }

  /** What comes out of its speaker now: the place it stands on or stopped at, and its frequency; `null` while it is silent. */
  speaker(): { number: number | null; hz: number } | null {
    const content = this.contentOf(this.slot());
    const tone = content?.receiveTone ?? 'off';
    const standing = content && { number: this.slot().number, hz: content.receiveHz, tone };
    return this.ears.speaker(this.nowMs, standing);
  }

  /** Everything that its scans and searches stopped at so far, and how often a look at a priority place cut the sound. */
  caught(): { catches: readonly Catch[]; cuts: number } {
    return this.ears.caught();
  }

  /** The frequencies that its search keeps, the latest first, in hertz. */
  found(): readonly number[] {
    return this.ears.found();
  }

  /** Whether something is lost if no key comes for a while: the present mode's time-out in milliseconds, or none. */
  windowMs(): number | undefined {
    return this.behaviour.modes[this.mode]?.timeout?.ms;
  }

  /** Switched off and on: what was being entered is gone. */
  private wake(): void {
    this.saved = new Map(this.values);
    this.entry = '';
    this.lastKeyMs = this.nowMs;
    if (this.behaviour.wakesAt === 'start')
      this.at = this.slots.findIndex(({ number }) => number === this.behaviour.startNumber);
    if (!this.behaviour.modes[this.mode]?.staysOn) this.enter(this.behaviour.start);
  }

  private advance(ms: number): void {
    const until = this.nowMs + ms;
    for (;;) {
      const timeout = this.behaviour.modes[this.mode]?.timeout;
      const due = timeout ? this.lastKeyMs + timeout.ms : Number.POSITIVE_INFINITY;
      const looks = this.ears.nextMs;
      if (Math.min(due, looks) > until) break;
      this.nowMs = Math.max(this.nowMs, Math.min(due, looks));
      if (looks <= due) {
        this.look();
        continue;
      }
      this.lastKeyMs = this.nowMs;
      for (const action of timeout?.do ?? []) this.act(action, '');
      if (timeout) this.enter(timeout.go);
    }
    this.nowMs = until;
  }

  /** Goes to another mode; a scan or search that was going on ends. */
  private enter(mode: string): void {
    if (mode === this.mode) return;
    this.mode = mode;
    this.ears.end();
    this.beginRound();
  }

  /** Begins to scan or to search where the present mode does. */
  private beginRound(): void {
    const kind = this.behaviour.modes[this.mode]?.scans;
    if (kind) this.ears.begin(kind === 'bands' ? kind : this.placeStops(), this.nowMs, this.slot().number);
  }

  private look(): void {
    const number = this.ears.look(this.nowMs);
    if (number !== null) this.at = this.slots.findIndex((slot) => slot.number === number);
  }

  private placeStops(): Stop[] {
    const places = this.slots.map((slot) => ({ slot, content: this.contentOf(slot) }));
    const named = this.description.settings
      .filter(({ holds }) => holds === 'priorityNumber')
      .map(({ id, list }) => this.lists[list]?.[this.settings[id] ?? 0]?.means);
    return scanStops(this.description, places, (number) => named.includes(number));
  }

  private contentOf(slot: Slot): SlotContent | null {
    return this.read(slot, this.values.get(slot.number) ?? null);
  }

  private press(keyId: string, heldMs: number): void {
    const key = this.behaviour.keys[keyId];
    const rows = this.behaviour.modes[this.mode]?.on ?? [];
    const row = rows.find((candidate) => {
      const named =
        candidate.keys === 'chars'
          ? key?.char !== undefined
          : candidate.keys === 'letters'
            ? key?.letters !== undefined
            : candidate.keys.includes(keyId);
      if (!named) return false;
      if (candidate.heldMs !== undefined && heldMs < candidate.heldMs) return false;
      return (candidate.when ?? []).every((condition) => holds(condition, this.standing(keyId)));
    });
    if (!row) this.refuse();
    for (const action of row?.do ?? []) this.act(action, keyId);
    if (row?.go) this.enter(row.go);
  }

  private standing(keyId: string): Standing {
    const slot = this.slot();
    return {
      description: this.description,
      behaviour: this.behaviour,
      lists: this.lists,
      slots: this.slots,
      slot,
      values: this.values.get(slot.number) ?? null,
      entry: this.entry + (this.behaviour.keys[keyId]?.char ?? ''),
      itemIndex: this.item,
      isLastLetter: this.cursor === this.letterCount() - 1,
      settings: this.settings,
      hasFound: this.ears.found().length > 0,
    };
  }

  private act(action: Action, keyId: string): void {
    const key = this.behaviour.keys[keyId];
    switch (action.act) {
      case 'beep':
        this.heard.push(action.tone);
        return;
      case 'clearEntry':
        this.entry = '';
        return;
      case 'typeChar':
        if (key?.char !== undefined && this.entry.length < action.most) this.entry += key.char;
        else this.refuse();
        return;
      case 'pickItem':
        this.pickItem(action.to);
        return;
      case 'openItem':
        this.item = this.behaviour.items.findIndex(({ number }) => number === action.item);
        return;
      case 'readDraft':
        this.draft = this.readTarget();
        return;
      case 'blankDraft':
        this.draft = '';
        return;
      case 'stepDraft': {
        const length = this.itemList().length;
        this.draft = mod(Number(this.draft) + action.by, length);
        return;
      }
      case 'draftFromEntry': {
        const listed = this.itemList().findIndex((value) => value.typed === this.entry);
        const hz = this.frequencyFrom(this.entry);
        if (listed >= 0) this.draft = listed;
        else if (hz !== undefined) this.draft = hz;
        else this.refuse();
        return;
      }
      case 'draftOffsetFromEntry': {
        const offset = this.offsetFrom(this.entry);
        if (offset !== undefined) this.draft = offset;
        else this.refuse();
        return;
      }
      case 'draftFromFind':
        this.draft = this.ears.shownHz ?? 0;
        return;
      case 'pickFind':
        this.ears.pickFind(action.to === 'next' ? 1 : -1);
        return;
      case 'draftTextFromEntry':
        this.draft = this.entry;
        return;
      case 'readEntry':
        this.entry = hzDigits(this.behaviour, Number(this.readTarget()));
        return;
      case 'tapLetter':
        this.tapLetter(keyId, action.withinMs);
        return;
      case 'firstLetter':
        this.cursor = 0;
        if (this.openItem()?.editor === 'digits')
          this.draft =
            this.itemList()[Number(this.draft)]?.shown ?? String(this.draft || '').padStart(6, '0');
        else
          this.draft = String(this.draft)
            .padEnd(nameLength(this.description), ' ')
            .slice(0, nameLength(this.description));
        return;
      case 'nextLetter':
        this.cursor = Math.min(this.cursor + 1, this.letterCount() - 1);
        return;
      case 'stepLetter': {
        const isDigits = this.openItem()?.editor === 'digits';
        const wheel = isDigits ? '0123456789' : (this.behaviour.letterWheel ?? ' ');
        this.draft = turnedLetter(String(this.draft), this.cursor, wheel, action.by);
        return;
      }
      case 'storeDraft':
        this.heard.push(this.store() ? 'ok' : 'refused');
        return;
      case 'pickSlot':
        this.pickSlot(action.to);
        return;
      case 'beginSlot': {
        const from = this.values.get(this.slot().number) ?? null;
        this.pickSlot('entry');
        const { number, fixed } = this.slot();
        if (!fixed && this.values.get(number) === null) this.values.set(number, from && { ...from });
        return;
      }
      case 'switchOff':
        this.saved = new Map(this.values);
        return;
      case 'eraseSlot': {
        const { number, fixed } = this.slot();
        if (fixed) this.refuse();
        else this.values.set(number, null);
        return;
      }
      case 'sendCopy':
        this.copied.push(this.memory());
        return;
      case 'copyFirstBank':
        for (const [slot, first] of firstBankCopies(this.slots, this.at))
          this.values.set(slot.number, this.values.get(first.number) ?? null);
        return;
      case 'factoryReset': {
        const memory = factoryMemory(this.description);
        this.values = new Map(memory.slots);
        this.saved = memory.slots;
        this.settings = { ...memory.settings };
        return;
      }
      case 'transmit':
        this.transmit();
        return;
      case 'transmitEntry': {
        const hz = this.frequencyFrom(this.entry);
        if (hz !== undefined) this.sent.push({ hz, atMs: this.nowMs, tone: 'off' });
        return;
      }
      default:
        action satisfies never;
    }
  }

  private refuse(): void {
    this.heard.push('refused');
  }

  private slot(): Slot {
    return this.slots[this.at] as Slot;
  }

  private openItem(): Behaviour['items'][number] | undefined {
    return this.behaviour.items[this.item];
  }

  private itemList(): readonly ListItem[] {
    return itemValues(this.description, this.lists, this.slots, this.openItem());
  }

  private readTarget(): Native {
    const target = this.openItem()?.target;
    if (!target) return 0;
    if (target.reach === 'set') return this.settings[target.setting] ?? 0;
    if (target.reach === 'choice') return this.at;
    if (target.reach === 'picked') return this.picked;
    return this.values.get(this.slot().number)?.[target.field] ?? 0;
  }

  /** Stores what was entered, if the open item takes it here. */
  private store(): boolean {
    const item = this.openItem();
    const slot = this.slot();
    const allowed = isItemAllowed(this.description, item, slot, this.values.get(slot.number) ?? null);
    if (!item || !allowed) return false;
    const { target } = item;
    if (target.reach === 'set') this.settings[target.setting] = Number(this.draft);
    else if (target.reach === 'choice') this.at = Number(this.draft);
    else if (target.reach === 'picked') this.picked = Number(this.draft);
    else {
      const { number } = this.slot();
      const field = itemField(this.description, item);
      const value = field && enteredValue(item, field, this.itemList(), this.draft);
      if (field === undefined || value === undefined) return false;
      const receiveHz = field.holds === 'receiveHz' ? Number(value) : 0;
      const base = this.values.get(number) ?? factoryValues(this.description, receiveHz, this.slot().region);
      this.values.set(number, { ...base, [field.id]: value });
    }
    return true;
  }

  private pickItem(to: 'first' | 'entry' | 'next' | 'previous'): void {
    const { round } = this;
    const at = round.indexOf(this.item);
    const index = {
      first: round[0] ?? -1,
      entry: this.behaviour.items.findIndex((item) => item.number === this.entry),
      next: round[mod(at + 1, round.length)] ?? -1,
      previous: round[mod(at - 1, round.length)] ?? -1,
    }[to];
    if (index >= 0) this.item = index;
    else this.refuse();
  }

  private pickSlot(to: SlotMove): void {
    const index = slotAfter(this.slots, this.at, to, this.entry, this.behaviour.startNumber);
    if (index < 0) {
      this.refuse();
      return;
    }
    this.at = index;
    const { operatorTone } = this.description;
    if (typeof operatorTone === 'object' && !operatorTone.sticky) this.picked = 0;
  }

  private tapLetter(keyId: string, withinMs: number): void {
    const isAgain = this.tapped.key === keyId && this.nowMs - this.tapped.atMs < withinMs;
    const letters = this.behaviour.keys[keyId]?.letters ?? '';
    const text = tapped(String(this.draft), letters, isAgain, nameLength(this.description));
    if (text === undefined) this.refuse();
    else this.draft = text;
    this.tapped = { key: keyId, atMs: this.nowMs };
  }

  private transmit(): void {
    const slot = this.slot();
    const values = this.values.get(slot.number) ?? null;
    const hz = talkHz(this.description, this.lists, slot, values);
    if (hz === null) {
      this.refuse();
      return;
    }
    const tone = talkTone(this.description, this.lists, slot, values, this.picked);
    this.sent.push({ hz, atMs: this.nowMs, tone });
  }

  private frequencyFrom(entry: string): number | undefined {
    return typedHz(this.behaviour, this.description, entry);
  }

  private offsetFrom(entry: string): number | undefined {
    const values = this.values.get(this.slot().number) ?? null;
    return offsetIndex(this.description, this.itemList(), values, this.frequencyFrom(entry));
  }

  /** How many letters or digits are set one by one. */
  private letterCount(): number {
    const isDigits = this.openItem()?.editor === 'digits';
    return isDigits ? String(this.draft).length : nameLength(this.description);
  }
}
