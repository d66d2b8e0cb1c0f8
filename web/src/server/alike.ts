import type { Description, Plan, Station } from '@umbrex/core/model';
import type { AirFleet, SetKind } from '@umbrex/core/onAir';
import { contentMark } from './contentMark';
import type { Desk } from './desk';
import { Kept } from './kept';

/** What sets come to on the air, by the plan and the kinds it was worked out with: a few states of a few plans. */
const kept = new Kept<Map<string, SetKind>>(8);
/** So many kinds of contents and rights of one state are kept, then it begins again. */
const MOST = 600;

/** What was worked out before of sets that are alike, in a plan with these kinds of device; for `AirFleet.alike`. */
export function alikeIn(plan: Plan, descriptions: readonly Description[]): Map<string, SetKind> {
  const key = [contentMark(plan), ...descriptions.map(contentMark)].join(' ');
  const alike = kept.of(key, () => new Map());
  if (alike.size > MOST) alike.clear();
  return alike;
}

/** All of a fleet but its sets, as somebody may see the shown state, with what was worked out before. */
export function airAround(
  { state: { plan }, descriptions, grounds }: Desk,
  stations: readonly { readonly value: Station }[],
): Omit<AirFleet, 'units'> {
  const kinds = descriptions.map(({ description }) => description);
  return {
    plan,
    descriptions: kinds,
    grounds,
    stations: stations.map(({ value }) => value),
    alike: alikeIn(plan, kinds),
  };
}
