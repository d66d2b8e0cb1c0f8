import { statesSaid } from '@umbrex/core/check';
import { today } from '../day';
import type { Desk } from '../desk';
import { deskProps } from '../page';

/** The plan to be checked, and what is said elsewhere of the state of its channels. */
export function checkView(desk: Desk) {
  return { initial: deskProps(desk), said: statesSaid(desk.state.plan, desk.onAir), today: today() };
}
