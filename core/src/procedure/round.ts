import {
  awaitedTone,
  type Description,
  isOnAir,
  type Slot,
  type SlotContent,
  type ToneText,
} from '../model/index';
import { opens } from '../tones/index';

/** Something on the air, on a virtual set's own clock: a frequency in hertz, the tone under it, from when to when. */
export interface Signal {
  readonly hz: number;
  readonly tone: ToneText;
  readonly fromMs: number;
  readonly toMs: number;
}

/** A place that a scan looks at: one of the memory by its number, or a frequency of a search. */
export interface Stop {
  readonly number: number | null;
  readonly hz: number;
  /** The tone it waits for. */
  readonly tone: ToneText;
  /** How long it stays after somebody spoke, in milliseconds. */
  readonly resumeMs: number;
  readonly hasPriority: boolean;
}

/** What a scan stopped at, and when. */
export interface Catch extends Pick<Stop, 'number' | 'hz'> {
  readonly atMs: number;
}

/** How long a round of keys may take. */
export interface Timing {
  /** From one place to the next. */
  readonly everyMs: number;
  /** How long it has to hear something before it stays. */
  readonly decideMs: number;
  /** How often it looks at the places with priority; `null` where it does not. */
  readonly lookEveryMs: number | null;
}

/** The timing of a set's scan over its places. A decision that nobody measured takes the whole stop: longer it cannot take. */
export function timingOf(scan: Exclude<Description['scan'], string>): Timing {
  const { everyMs, decideMs, priority } = scan;
  return {
    everyMs,
    decideMs: Math.min(decideMs === 'unknown' ? everyMs : decideMs, everyMs),
    lookEveryMs: priority === 'none' ? null : priority.everyMs,
  };
}

/** Whether a place lets a signal through at a moment. */
export function hears(
  { hz, tone }: Pick<Stop, 'hz' | 'tone'>,
  signals: readonly Signal[],
  atMs: number,
): boolean {
  return signals.some(
    (signal) => signal.hz === hz && signal.fromMs <= atMs && atMs < signal.toMs && opens(tone, signal.tone),
  );
}

/** Whether a place lets a signal through for as long as it takes to decide. */
const hearsLong = (stop: Stop, signals: readonly Signal[], fromMs: number, decideMs: number): boolean =>
  hears(stop, signals, fromMs) && hears(stop, signals, fromMs + decideMs);

/** A scan that goes round: from place to place, staying where it hears something, looking at what has priority. */
export class Round {
  /** When it does something next. */
  nextMs: number;
  readonly caught: Catch[] = [];
  /** How often a look at a priority place cut the sound of what was heard. */
  cuts = 0;
  private at: number;
  private isStopped = false;
  private heardMs = 0;
  private lookMs: number;
  /** Places with priority that are still to be looked at in this look, as indices. */
  private looking: number[] = [];
  private hasLooked = false;

  /** @param from the place after which it begins, as an index; -1 before the first */
  constructor(
    private readonly stops: readonly Stop[],
    private readonly timing: Timing,
    nowMs: number,
    from = -1,
  ) {
    this.at = from;
    this.nextMs = stops.length === 0 ? Number.POSITIVE_INFINITY : nowMs + timing.everyMs;
    this.lookMs = nowMs + (timing.lookEveryMs ?? Number.POSITIVE_INFINITY);
  }

  /** The place it looks at, and whether it stays there because it heard something. */
  get now(): { stop: Stop | undefined; isStopped: boolean } {
    return { stop: this.stops[this.at], isStopped: this.isStopped };
  }

  /** One step at its time. */
  step(nowMs: number, signals: readonly Signal[]): void {
    this.nextMs = nowMs + this.timing.everyMs;
    // After a look it goes on with its round by one place at least, however often it is to look.
    if (this.looking.length === 0 && nowMs >= this.lookMs && !this.hasLooked) this.beginLook(nowMs);
    const glanced = this.looking.shift();
    this.hasLooked = glanced !== undefined;
    if (glanced !== undefined) {
      if (!this.hearsAt(glanced, nowMs, signals)) return;
      this.looking = [];
      this.goTo(glanced, nowMs, signals);
      return;
    }
    const stop = this.stops[this.at];
    if (stop && this.isStopped) {
      if (hears(stop, signals, nowMs)) this.heardMs = nowMs;
      if (nowMs - this.heardMs < Math.max(stop.resumeMs, 1)) return;
      this.isStopped = false;
    }
    this.goTo((this.at + 1) % this.stops.length, nowMs, signals);
  }

  private beginLook(nowMs: number): void {
    this.lookMs = nowMs + (this.timing.lookEveryMs ?? Number.POSITIVE_INFINITY);
    const here = this.isStopped ? this.at : -1;
    this.looking = this.stops.flatMap(({ hasPriority }, i) => (hasPriority && i !== here ? [i] : []));
    if (this.isStopped && this.looking.length > 0 && !this.stops[here]?.hasPriority) this.cuts++;
  }

  private hearsAt(index: number, nowMs: number, signals: readonly Signal[]): boolean {
    const stop = this.stops[index];
    return stop !== undefined && hearsLong(stop, signals, nowMs, this.timing.decideMs);
  }

  private goTo(index: number, nowMs: number, signals: readonly Signal[]): void {
    this.at = index;
    const stop = this.stops[index];
    this.isStopped = this.hearsAt(index, nowMs, signals);
    if (!stop || !this.isStopped) return;
    this.heardMs = nowMs;
    this.caught.push({ number: stop.number, hz: stop.hz, atMs: nowMs + this.timing.decideMs });
  }
}

/** The places that a scan over a memory comes by, in the set's order: filled ones whose mark does not leave them out. */
export function scanStops(
  { scan }: Pick<Description, 'scan'>,
  places: readonly { readonly slot: Slot; readonly content: SlotContent | null }[],
  isPriority: (number: number) => boolean,
): Stop[] {
  const usualMs = typeof scan === 'object' ? scan.resumeMs : 0;
  return places.flatMap(({ slot, content }) => {
    if (!content || !isOnAir(content) || content.inScan === false) return [];
    const { receiveHz, hasPriority = false, resumeDelayS } = content;
    return [
      {
        number: slot.number,
        hz: receiveHz,
        tone: awaitedTone(content),
        resumeMs: resumeDelayS === undefined ? usualMs : resumeDelayS * 1000,
        hasPriority: hasPriority || isPriority(slot.number),
      },
    ];
  });
}

/** The frequencies that a search goes through, by the set's own step. */
export function searchStops({ scan, receive }: Pick<Description, 'scan' | 'receive'>): Stop[] {
  if (typeof scan !== 'object' || scan.search === 'none' || receive === 'unknown') return [];
  const { stepHz } = receive;
  return scan.search.bands.flatMap(({ fromHz, toHz }) =>
    Array.from({ length: Math.floor((toHz - fromHz) / stepHz) + 1 }, (_, k) => ({
      number: null,
      hz: fromHz + k * stepHz,
      tone: 'off',
      resumeMs: scan.resumeMs,
      hasPriority: false,
    })),
  );
}
