import { airNotes, duringChange } from '@umbrex/core/air';
import { fleetCalls } from '@umbrex/core/fleetCalls';
import { type HeardPair, reachHeard } from '@umbrex/core/heard';
import type { Channel, Plan } from '@umbrex/core/model';
import { type AirFleet, type AirState, fleetOnAir, reachSaid, repeatersOn } from '@umbrex/core/onAir';
import type { Knex } from 'knex';
import type { AirChange, AirView } from '../../contract/air';
import { findingText } from '../../messages/findings';
import { fleetDiffersText } from '../../messages/onAir';
import { airAround, alikeIn } from '../alike';
import type { Desk } from '../desk';
import { heardOn } from '../heardOn';
import { planFor } from '../planFor';
import { listThings } from '../store/store';

/** What the page is asked for. */
export interface AirAsked {
  readonly channelId: string | null;
  readonly as: AirState;
  /** The older state from which sets are being brought to the shown one. */
  readonly from: number | null;
}

/** Who hears whom on one channel of a plan; `undefined` where it has none. */
export async function airView(
  db: Knex,
  desk: Desk,
  { channelId, as, from }: AirAsked,
): Promise<AirView | undefined> {
  const { workspace, state, descriptions } = desk;
  const { plan } = state;
  const channel = plan.channels.find(({ id }) => id === channelId) ?? plan.channels[0];
  if (!channel) return undefined;
  const [people, stations, heard] = await Promise.all([
    listThings(db, 'person', workspace.id),
    listThings(db, 'station', workspace.id),
    heardOn(db, desk, channel.id),
  ]);
  const kinds = new Map(descriptions.map(({ description }) => [description.id, description]));
  const units = desk.units.map(({ unit }) => unit).filter(({ descriptionId }) => kinds.has(descriptionId));
  const fleet: AirFleet = { ...airAround(desk, stations), units };
  const sets = fleetOnAir(fleet)(channel, as);
  const repeaters = repeatersOn({ ...fleet, units: desk.fleet }, channel, as);
  const byId = new Map(units.map((unit) => [unit.id, unit]));
  const holders = new Map(people.map(({ value }) => [value.id, value.name]));
  const teams = new Map(desk.teams.map(({ id, name }) => [id, name]));
  const shown = sets.flatMap(({ unitId, set, place, why }) => {
    const unit = byId.get(unitId);
    const description = unit && kinds.get(unit.descriptionId);
    if (!unit || !description) return [];
    return [{ unit, description, set, place, why }];
  });
  const between = repeaters.map((one) => one.between);
  const persons = new Set(units.flatMap(({ personId }) => personId ?? []));
  return {
    planId: plan.id,
    channel: { id: channel.id, name: channel.name },
    as,
    sets: shown.map(({ unit, description, set, place, why }) => ({
      unitId: unit.id,
      nickname: unit.nickname,
      kind: description.title,
      holder: holders.get(unit.personId ?? '') ?? unit.holder,
      personId: unit.personId,
      team: teams.get(unit.roleId ?? '') ?? '',
      place: place?.label ?? '',
      set,
      why: why && set.maySend !== true ? findingText(why).what : '',
    })),
    repeaters: repeaters.map(({ name, by, between }) => ({ name, by, between })),
    notes: airNotes(shown, between),
    change: from === null ? null : await changeFrom(db, desk, fleet, channel, from),
    reachHeard: reachOf(heard),
    reached: Object.fromEntries(
      [...persons].map((personId) => [
        personId,
        repeaters.map((_, through) => reachSaid({ through }, { personId }, { personId }, repeaters)),
      ]),
    ),
  };
}

/** What the log says of the way between two sets. */
function reachOf(pairs: readonly HeardPair[]): AirView['reachHeard'] {
  const ways = new Set(pairs.map(({ fromId, toId }) => `${fromId} ${toId}`));
  return Object.fromEntries(
    [...ways].flatMap((way) => {
      const [from = '', to = ''] = way.split(' ');
      const is = reachHeard(pairs, from, to);
      return is === 'unknown' ? [] : [[way, is]];
    }),
  );
}

/** What happens on a channel while sets are brought from an older state to the shown one, one after another; `null` where it is not there. */
async function changeFrom(
  db: Knex,
  desk: Desk,
  fleet: AirFleet,
  channel: Channel,
  from: number,
): Promise<AirChange | null> {
  if (!desk.revisions.some(({ number }) => number === from)) return null;
  const { plan: older } = await planFor(db, desk.session, desk.state.plan.id, from);
  const before = olderChannel(older, channel);
  const setsOf = (plan: Plan, of: Channel) =>
    fleetOnAir({ ...fleet, plan, alike: alikeIn(plan, fleet.descriptions) })(of, 'planned');
  const after = setsOf(fleet.plan, channel);
  const earlier = before
    ? setsOf(older, before)
    : after.map((one) => ({ ...one, set: { ...one.set, place: null } }));
  const names = new Map(fleet.units.map(({ id, nickname }) => [id, nickname]));
  const nameOf = (at: number) => names.get(after[at]?.unitId ?? '') ?? '';
  const between = repeatersOn(fleet, channel, 'planned').map((one) => one.between);
  const { deaf, order } = duringChange(
    earlier.map(({ set }) => set),
    after.map(({ set }) => set),
    between,
  );
  return {
    from,
    deaf: deaf.length,
    order: order.map((group) => group.map(nameOf)),
    examples: deaf
      .slice(0, 5)
      .map(
        (one) =>
          `${nameOf(one.to)} does not hear ${nameOf(one.from)} while ${nameOf(one.while === 'from-loaded' ? one.from : one.to)} alone is loaded`,
      ),
  };
}

const olderChannel = (plan: Plan, { id }: Channel) => plan.channels.find((one) => one.id === id);

/** What the fleet sets of a plan hold of calls and texts, in words; `null` where it has none. */
export function fleetCallsView({ state, units, descriptions }: Desk) {
  const own = units.map(({ unit }) => unit);
  const { sets, notSeen, differs } = fleetCalls(
    state.plan,
    own,
    descriptions.map(({ description }) => description),
  );
  const names = new Map(own.map(({ id, nickname }) => [id, nickname]));
  const nameOf = (id: string) => names.get(id) ?? '';
  if (sets === 0) return null;
  return {
    sets,
    notSeen: notSeen.map(nameOf),
    differs: differs.map((one) => fleetDiffersText(one, nameOf)),
  };
}
