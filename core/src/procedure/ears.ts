import type { Description } from '../model/index';
import { type Catch, hears, Round, type Signal, type Stop, searchStops, timingOf } from './round';
import { mod } from './slotMove';

/** The receiver of a virtual set: what is on the air, the scan or search that is going on, and what was found. */
export class Ears {
  private signals: readonly Signal[] = [];
  private round: Round | undefined;
  private readonly rounds: Round[] = [];
  private readonly finds: number[] = [];
  private find = 0;

  constructor(private readonly description: Description) {}

  /** Puts something on the air, in place of what was there. */
  receive(signals: readonly Signal[]): void {
    this.signals = signals;
  }

  /** Begins to scan places, or to search bands where there are no places; a set that does not scan stays as it is. */
  begin(places: readonly Stop[] | 'bands', nowMs: number, from: number): void {
    const { scan } = this.description;
    if (typeof scan !== 'object') return;
    if (places === 'bands') {
      const everyMs = scan.search === 'none' ? scan.everyMs : scan.search.everyMs;
      const { decideMs } = timingOf({ ...scan, everyMs });
      this.round = new Round(searchStops(this.description), { everyMs, decideMs, lookEveryMs: null }, nowMs);
    } else {
      const index = places.findLastIndex(({ number }) => number !== null && number <= from);
      this.round = new Round(places, timingOf(scan), nowMs, index);
    }
    this.rounds.push(this.round);
  }

  end(): void {
    this.round = undefined;
  }

  /** When it looks at the next place; never while nothing goes round. */
  get nextMs(): number {
    return this.round?.nextMs ?? Number.POSITIVE_INFINITY;
  }

  /** Looks at the next place, and returns the number of the place it is at then; `null` in a search. */
  look(nowMs: number): number | null {
    const { round } = this;
    if (!round) return null;
    const before = round.caught.length;
    round.step(nowMs, this.signals);
    const number = round.now.stop?.number ?? null;
    if (number === null && round.caught.length > before) this.keep(round.caught.at(-1)?.hz ?? 0);
    return number;
  }

  /** What comes out of the speaker. @param standing where the set stands, while nothing goes round */
  speaker(nowMs: number, standing: Pick<Stop, 'number' | 'hz' | 'tone'> | null) {
    const stop = this.round ? this.round.now.stop : standing;
    const isStill = this.round?.now.isStopped ?? true;
    if (!stop || !isStill || !hears(stop, this.signals, nowMs)) return null;
    return { number: stop.number, hz: stop.hz };
  }

  /** Everything that was stopped at so far, and how often a look at a priority place cut the sound. */
  caught(): { catches: readonly Catch[]; cuts: number } {
    return {
      catches: this.rounds.flatMap(({ caught }) => caught),
      cuts: this.rounds.reduce((sum, { cuts }) => sum + cuts, 0),
    };
  }

  /** The frequencies that a search keeps, the latest first, in hertz. */
  found(): readonly number[] {
    return this.finds;
  }

  /** The one of them that is shown. */
  get shownHz(): number | undefined {
    return this.finds[this.find];
  }

  pickFind(by: 1 | -1): void {
    this.find = mod(this.find + by, Math.max(this.finds.length, 1));
  }

  private keep(hz: number): void {
    const { scan } = this.description;
    const most = typeof scan === 'object' && scan.search !== 'none' ? scan.search.finds : 0;
    const others = this.finds.filter((other) => other !== hz);
    this.finds.splice(0, this.finds.length, ...[hz, ...others].slice(0, most));
    this.find = 0;
  }
}
