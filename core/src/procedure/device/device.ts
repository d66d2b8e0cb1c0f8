import {
  awaitedTone,
  type Behaviour,
  type Condition,
  type Description,
  factoryMemory,
  isOnAir,
  type Memory,
  slotsOf,
} from '../../model/index';
import { holds, type Standing } from '../conditions';
import type { KeyEvent } from '../events';
import { scanOf } from '../missed';
import type { Catch, Signal, Stop } from '../round';
import { fillScreen } from '../screen';
import type { Emission } from '../sending';
import { act } from './actions';
import { modesApart } from './apart';
import { Innards } from './innards';
import { copyOfState, type DeviceState, stateAtStart } from './state';

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
  private readonly set: Innards;
  private readonly modes: ReturnType<typeof modesApart>;
  private readonly itemValues = () => this.set.itemList();
  /** What the display shows, until something happens. */
  private shown: readonly string[] | undefined;

  /**
   * @param memory what it holds at the start; as from the factory where nothing is given
   * @param picked the tone that its operator picked by hand, as a place in their list; 0 is none
   * @param from what it does and where it stands; as it comes on where nothing is given
   * @throws RangeError for a description that has no behaviour
   */
  constructor(
    private readonly description: Description,
    memory: Memory = factoryMemory(description),
    picked = 0,
    from?: Whereabouts,
  ) {
    if (!description.behaviour) throw new RangeError(`description ${description.id} has no behaviour`);
    this.behaviour = description.behaviour;
    this.modes = modesApart(this.behaviour);
    const standsOn = from?.number ?? this.behaviour.startNumber;
    const at = slotsOf(description).findIndex(({ number }) => number === standsOn);
    if (at < 0) throw new RangeError(`stands on: ${standsOn}`);
    const state = stateAtStart(memory, from?.mode ?? this.behaviour.start, at, picked);
    this.set = new Innards(description, this.behaviour, state);
    this.beginRound();
  }

  /** Sets aside all that changes in it; what its receiver heard so far is not part of it. */
  snapshot(): DeviceState {
    return copyOfState(this.set.state);
  }

  /** Takes up a state that was set aside; a mode that scans begins its round anew. */
  restore(state: DeviceState): void {
    this.set.state = copyOfState(state);
    this.shown = undefined;
    this.set.ears.end();
    this.beginRound();
  }

  /** Lets one event happen. */
  take(event: KeyEvent): void {
    if (event.kind === 'wait') {
      this.advance(event.ms);
      return;
    }
    this.shown = undefined;
    if (event.kind === 'power') {
      this.wake();
      return;
    }
    if (!this.behaviour.keys[event.key]) throw new RangeError(`key: ${event.key}`);
    if (event.kind !== 'up') this.down(event.key);
    if (event.kind === 'key') this.advance(event.heldMs);
    if (event.kind !== 'down') this.up(event.key);
  }

  private down(key: string): void {
    if (!this.set.state.down.has(key))
      this.set.state.down.set(key, { sinceMs: this.set.state.nowMs, served: false });
  }

  /** A set does what a key is for when it is let go: only then it is known how long it was held. */
  private up(key: string): void {
    const { down, nowMs } = this.set.state;
    const held = down.get(key);
    if (!held) return;
    down.delete(key);
    if (!held.served) this.press(key, held.sinceMs);
    // It waits for the next key from now.
    this.set.state.lastKeyMs = nowMs;
  }

  /** The display, line by line. */
  screen(): readonly string[] {
    this.shown ??= this.drawn();
    return this.shown;
  }

  private drawn(): string[] {
    const { set } = this;
    const slot = this.set.slot();
    const view = {
      description: this.description,
      lists: this.set.lists,
      slot,
      values: this.set.state.values.get(slot.number) ?? null,
      item: this.set.openItem(),
      itemValues: this.itemValues,
      entry: this.set.state.entry,
      draft: this.set.state.draft,
      cursor: this.set.state.cursor,
      foundHz: this.set.ears.shownHz,
      finds: this.set.ears.found().length,
    };
    return (this.modes.get(set.state.mode)?.lines ?? []).map((line) => fillScreen(line, view));
  }

  /** The time on its clock, in milliseconds since it was taken in hand. */
  nowMs(): number {
    return this.set.state.nowMs;
  }

  /** What it holds now, read out as one would over a cable. */
  memory(): Memory {
    return this.set.memory();
  }

  /** The tone that its operator picked by hand, as a place in their list; 0 is none. */
  pickedTone(): number {
    return this.set.state.picked;
  }

  /** Everything it has sent so far. */
  emissions(): readonly Emission[] {
    return this.set.state.sent;
  }

  /** The beeps so far, in order. */
  beeps(): readonly string[] {
    return this.set.state.heard;
  }

  /** Everything that it offered to other sets of its kind. */
  copies(): readonly Memory[] {
    return this.set.state.copied;
  }

  /** Another set's copy arrives. Taken only while this one waits for it, and then nothing of its own is left. */
  takeCopy({ slots, settings }: Memory): void {
    const waits = this.behaviour.modes[this.set.state.mode]?.takesCopy;
    if (!waits) return;
    this.shown = undefined;
    this.set.state.values = new Map(slots);
    this.set.state.saved = new Map(slots);
    this.set.state.settings = { ...settings };
    for (const action of waits.do ?? []) act(this.set, action, '');
    this.enter(waits.go);
  }

  /** Puts something on the air, in place of what was there; times are on the set's own clock. */
  receive(signals: readonly Signal[]): void {
    this.set.ears.receive(signals);
  }

  /** What comes out of its speaker now: the place it stands on or stopped at, and its frequency; `null` while it is silent. */
  speaker(): { number: number | null; hz: number } | null {
    const content = this.set.content(this.set.slot());
    const standing =
      content && isOnAir(content)
        ? { number: this.set.slot().number, hz: content.receiveHz, tone: awaitedTone(content) }
        : null;
    return this.set.ears.speaker(this.set.state.nowMs, standing);
  }

  /** Everything that its scans and searches stopped at so far, and how often a look at a priority place cut the sound. */
  caught(): { catches: readonly Catch[]; cuts: number } {
    return this.set.ears.caught();
  }

  /** The frequencies that its search keeps, the latest first, in hertz. */
  found(): readonly number[] {
    return this.set.ears.found();
  }

  /** Whether something is lost if no key comes for a while: the present mode's time-out in milliseconds, or none. */
  windowMs(): number | undefined {
    return this.behaviour.modes[this.set.state.mode]?.timeout?.ms;
  }

  /** Switched off and on: what was being entered is gone. */
  private wake(): void {
    this.set.state.down.clear();
    this.set.state.saved = new Map(this.set.state.values);
    this.set.state.entry = '';
    this.set.state.lastKeyMs = this.set.state.nowMs;
    if (this.behaviour.wakesAt === 'start')
      this.set.state.at = this.set.slots.findIndex(({ number }) => number === this.behaviour.startNumber);
    if (!this.behaviour.modes[this.set.state.mode]?.staysOn) this.enter(this.behaviour.start);
  }

  private advance(ms: number): void {
    const until = this.set.state.nowMs + ms;
    for (;;) {
      const timeout = this.behaviour.modes[this.set.state.mode]?.timeout;
      const isHeld = this.set.state.down.size > 0;
      const due = timeout && !isHeld ? this.set.state.lastKeyMs + timeout.ms : Number.POSITIVE_INFINITY;
      const looks = this.set.ears.nextMs;
      if (Math.min(due, looks) > until) break;
      this.shown = undefined;
      this.set.state.nowMs = Math.max(this.set.state.nowMs, Math.min(due, looks));
      if (looks <= due) {
        this.look();
        continue;
      }
      this.set.state.lastKeyMs = this.set.state.nowMs;
      for (const action of timeout?.do ?? []) act(this.set, action, '');
      if (timeout) this.enter(timeout.go);
    }
    this.set.state.nowMs = until;
  }

  /** Goes to another mode; a scan or search that was going on ends. */
  private enter(mode: string): void {
    if (mode === this.set.state.mode) return;
    this.set.state.mode = mode;
    this.set.ears.end();
    this.beginRound();
  }

  /** Begins to scan or to search where the present mode does. */
  private beginRound(): void {
    const kind = this.behaviour.modes[this.set.state.mode]?.scans;
    if (kind)
      this.set.ears.begin(
        kind === 'bands' ? kind : this.placeStops(),
        this.set.state.nowMs,
        this.set.slot().number,
      );
  }

  private look(): void {
    const number = this.set.ears.look(this.set.state.nowMs);
    if (number !== null) this.set.state.at = this.set.slots.findIndex((slot) => slot.number === number);
  }

  private placeStops(): Stop[] {
    return scanOf(this.description, this.memory());
  }

  private press(keyId: string, sinceMs: number): void {
    const { down } = this.set.state;
    const heldMs = this.set.state.nowMs - sinceMs;
    const rows = this.modes.get(this.set.state.mode)?.rows.get(keyId) ?? [];
    let standing: Standing | undefined;
    const stands = (condition: Condition) => {
      standing ??= this.standing(keyId);
      return holds(condition, standing);
    };
    const row = rows.find((candidate) => {
      if (candidate.heldMs !== undefined && heldMs < candidate.heldMs) return false;
      const others = candidate.with ?? [];
      if (others.length !== down.size || !others.every((other) => down.has(other))) return false;
      return candidate.when?.every(stands) ?? true;
    });
    if (!row) this.set.refuse();
    for (const [other, { sinceMs: since }] of down) down.set(other, { sinceMs: since, served: true });
    this.set.pressedMs = sinceMs;
    for (const action of row?.do ?? []) act(this.set, action, keyId);
    if (row?.go) this.enter(row.go);
  }

  private standing(keyId: string): Standing {
    const slot = this.set.slot();
    return {
      description: this.description,
      behaviour: this.behaviour,
      lists: this.set.lists,
      slots: this.set.slots,
      slot,
      values: this.set.state.values.get(slot.number) ?? null,
      entry: this.set.state.entry + (this.behaviour.keys[keyId]?.char ?? ''),
      itemIndex: this.set.state.item,
      isLastLetter: this.set.state.cursor === this.set.letterCount() - 1,
      settings: this.set.state.settings,
      hasFound: this.set.ears.found().length > 0,
    };
  }
}
