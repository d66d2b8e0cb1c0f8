import type { Description, Numbers, Unit } from '../model/index';
import type { Grounds, NO_GROUNDS } from '../rules/index';
import { type Board, boardOf } from './board';
import type { FitDevice } from './device';
import { type FitPlan, fitPlan } from './fit';
import { type Judgement, judge } from './judge';
import { type UnitKind, unitKinds } from './kinds';

/**
 * Fits a fleet again and again as its plan is edited. What a channel comes to on a kind of device is judged once and kept until the
 * channel, the kind or the plan's policy changes; only what an edit touches is judged anew. The board is the very one that `fitBoard`
 * gives, which tests hold it to.
 */
export class BoardFitter {
  private fleetText = '';
  private fleet: readonly UnitKind[] = [];
  private policyText = '';
  private readonly judged = new Map<FitDevice, Map<string, Judgement>>();
  /** How many judgements the last board needed that were not known from before. */
  fresh = 0;

  /** @throws RangeError for a unit without its description */
  board(
    plan: FitPlan,
    units: readonly Unit[],
    descriptions: readonly Description[],
    grounds: Grounds | typeof NO_GROUNDS,
    numbers: Numbers = {},
  ): Board {
    this.fresh = 0;
    const fleetText = JSON.stringify([units, descriptions, grounds, plan.carried]);
    if (fleetText !== this.fleetText) {
      this.fleet = unitKinds(units, descriptions, grounds, plan);
      this.fleetText = fleetText;
      this.judged.clear();
    }
    const policyText = JSON.stringify([
      plan.receivePolicy,
      plan.country,
      plan.licensed,
      plan.withoutRight,
      plan.spares,
    ]);
    if (policyText !== this.policyText) this.judged.clear();
    this.policyText = policyText;
    const texts = new Map(plan.channels.map((channel) => [channel.id, JSON.stringify(channel)]));
    return boardOf(plan, this.fleet, ({ device }) => {
      const before = this.judged.get(device);
      const now = new Map<string, Judgement>();
      this.judged.set(device, now);
      return fitPlan(plan, device, numbers, (channel) => {
        const text = texts.get(channel.id) ?? '';
        let judgement = before?.get(text);
        if (!judgement) {
          judgement = judge(device, channel, plan);
          this.fresh++;
        }
        now.set(text, judgement);
        return judgement;
      });
    });
  }
}
