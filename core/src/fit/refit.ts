import { type Description, markOf, type Numbers, type Unit } from '../model/index';
import type { Grounds, NO_GROUNDS } from '../rules/index';
import { type Board, boardOf } from './board';
import type { FitDevice } from './device';
import { type FitPlan, fitPlan } from './fit';
import { type Judgement, judge } from './judge';
import { type UnitKind, unitKinds } from './kinds';

/** What channels come to on one kind of device, by their text, and the board that needed it last. */
type OnDevice = Map<string, { readonly judgement: Judgement; neededBy: number }>;

/** What was judged for one fleet under one policy, kind by kind. */
interface Judged {
  /** All that it depends on. */
  readonly key: string;
  readonly fleet: readonly UnitKind[];
  readonly on: Map<FitDevice, OnDevice>;
}

/**
 * Fits a fleet again and again as its plan is edited. What a channel comes to on a kind of device is judged once and kept until the
 * channel, the kind or the plan's policy changes; only what an edit touches is judged anew. The board is the very one that `fitBoard`
 * gives, which tests hold it to.
 */
export class BoardFitter {
  private readonly known = new Map<string, Judged>();
  /** The last boards, by all that they depend on. */
  private readonly made = new Map<string, Board>();
  private boards = 0;
  /** How many judgements the last board needed that were not known from before. */
  fresh = 0;

  /** @param states how many states of the plan are asked for by turns, such as its draft and what was published: what the last so many boards needed is kept */
  constructor(private readonly states = 1) {}

  /** @throws RangeError for a unit without its description */
  board(
    plan: FitPlan,
    units: readonly Unit[],
    descriptions: readonly Description[],
    grounds: Grounds | typeof NO_GROUNDS,
    numbers: Numbers = {},
  ): Board {
    this.fresh = 0;
    const judged = this.judgedFor(plan, units, descriptions, grounds);
    const all = `${judged.key} ${markOf(plan)} ${JSON.stringify(numbers)}`;
    const made = this.made.get(all) ?? this.boardAnew(plan, judged, numbers);
    this.made.delete(all);
    this.made.set(all, made);
    shortenTo(this.made, this.states);
    return made;
  }

  private boardAnew(plan: FitPlan, { fleet, on }: Judged, numbers: Numbers): Board {
    this.boards++;
    const texts = new Map(plan.channels.map((channel) => [channel.id, JSON.stringify(channel)]));
    return boardOf(plan, fleet, ({ device }) => {
      const here: OnDevice = on.get(device) ?? new Map();
      on.set(device, here);
      const fit = fitPlan(plan, device, numbers, (channel) => {
        const text = texts.get(channel.id) ?? '';
        const kept = here.get(text);
        if (kept) kept.neededBy = this.boards;
        else this.fresh++;
        const judgement = kept?.judgement ?? judge(device, channel, plan);
        if (!kept) here.set(text, { judgement, neededBy: this.boards });
        return judgement;
      });
      for (const [text, { neededBy }] of here) if (neededBy <= this.boards - this.states) here.delete(text);
      return fit;
    });
  }

  /** What is known of this fleet under this policy; what was needed longest ago makes room. */
  private judgedFor(
    plan: FitPlan,
    units: readonly Unit[],
    descriptions: readonly Description[],
    grounds: Grounds | typeof NO_GROUNDS,
  ): Judged {
    const { carried, receivePolicy, country, licensed, withoutRight, spares } = plan;
    const policy = [carried, receivePolicy, country, licensed, withoutRight, spares];
    const key = [
      ...units.map(markOf),
      '/',
      ...descriptions.map(markOf),
      JSON.stringify([grounds, policy]),
    ].join(' ');
    const judged = this.known.get(key) ?? {
      key,
      fleet: unitKinds(units, descriptions, grounds, plan),
      on: new Map(),
    };
    this.known.delete(key);
    this.known.set(key, judged);
    shortenTo(this.known, this.states);
    return judged;
  }
}

/** Lets the oldest go where there are more than so many. */
function shortenTo(kept: Map<string, unknown>, most: number): void {
  const [oldest] = kept.keys();
  if (kept.size > most && oldest !== undefined) kept.delete(oldest);
}
