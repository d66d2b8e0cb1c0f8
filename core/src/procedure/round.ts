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
  /** How often it looks at the places with priority; `null` where it does not. */
  readonly lookEveryMs: number | null;
}

/** Whether a place lets a signal through at a moment. */
export function hears(
  { hz, tone }: Pick<Stop, 'hz' | 'tone'>,
  signals: readonly Signal[],
  atMs: number,
): boolean {
  return signals.some(
    (signal) =>
      signal.hz === hz &&
      signal.fromMs <= atMs &&
      atMs < signal.toMs &&
      (tone === 'off' || opens(tone, signal.tone)),
  );
}

/** A scan that goes round: from place to place, staying where it hears something, glancing at what has priority. */
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
    if (nowMs >= this.lookMs) {
      this.lookMs = nowMs + (this.timing.lookEveryMs ?? Number.POSITIVE_INFINITY);
      if (this.glance(nowMs, signals)) return;
    }
    const stop = this.stops[this.at];
    if (stop && this.isStopped) {
      if (hears(stop, signals, nowMs)) this.heardMs = nowMs;
      if (nowMs - this.heardMs < Math.max(stop.resumeMs, 1)) return;
      this.isStopped = false;
    }
    this.goTo((this.at + 1) % this.stops.length, nowMs, signals);
  }

  /** Looks at the places with priority; goes there if something is heard on one. */
  private glance(nowMs: number, signals: readonly Signal[]): boolean {
    const here = this.stops[this.at];
    if (this.isStopped && !here?.hasPriority) this.cuts++;
    const index = this.stops.findIndex((stop) => stop.hasPriority && hears(stop, signals, nowMs));
    if (index < 0 || (index === this.at && this.isStopped)) return false;
    this.goTo(index, nowMs, signals);
    return true;
  }

  private goTo(index: number, nowMs: number, signals: readonly Signal[]): void {
    this.at = index;
    const stop = this.stops[index];
    this.isStopped = stop !== undefined && hears(stop, signals, nowMs);
    if (!stop || !this.isStopped) return;
    this.heardMs = nowMs;
    this.caught.push({ number: stop.number, hz: stop.hz, atMs: nowMs });
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
