import { callFinding, hearsOn, showsCodes } from '@umbrex/core/air';
import {
  type Found,
  nextTrial,
  type Ranked,
  rankCauses,
  SYMPTOMS,
  type Symptom,
  TRIALS,
  type Trial,
} from '@umbrex/core/cause';
import { faredOn, type HeardPair } from '@umbrex/core/heard';
import type { Channel, Description } from '@umbrex/core/model';
import { type AirFleet, fleetOnAir, isSpokenWith, repeatersOn, type UnitOnAir } from '@umbrex/core/onAir';
import { neverTested } from '@umbrex/core/rules';
import { type TwoSetTest, twoSetTest } from '@umbrex/core/twoSets';
import type { Knex } from 'knex';
import { findingText } from '../../messages/findings';
import { airAround } from '../alike';
import type { Desk } from '../desk';
import { heardOn } from '../heardOn';
import { listThings } from '../store/store';

/** What the page is asked with: the trouble, the set and the channel, and what was found by now. */
export interface TroubleAsked {
  readonly symptom: string | null;
  readonly unitId: string | null;
  readonly channelId: string | null;
  /** Another set that is at hand. */
  readonly withId: string | null;
  readonly answers: Found;
}

/** What is likely the matter with a set on a channel, and what to find out next. */
export interface TroubleView {
  readonly sets: readonly { readonly id: string; readonly nickname: string; readonly kind: string }[];
  readonly unitId: string | null;
  readonly channelId: string | null;
  readonly symptom: Symptom | null;
  /** What Umbrex knows beforehand, beside what was answered. */
  readonly known: Found;
  readonly answered: readonly { readonly of: string; readonly found: string }[];
  readonly ranked: readonly Ranked[];
  readonly next: Trial | null;
  /** Nobody keys up to test on a channel for distress and calling. */
  readonly isQuiet: boolean;
  readonly withId: string | null;
  /** What the two sets can find out by themselves; `null` where there are not two, or no channel was named. */
  readonly twoSets: TwoSetTest | null;
  /** What is said of a call of this set by what it is known to hold; empty where nothing is. */
  readonly said: string;
}

/** Ranks what can be the matter by what somebody says, what is known of the set, and what was found. Answers that are none are left aside. */
export async function troubleView(db: Knex, desk: Desk, asked: TroubleAsked): Promise<TroubleView> {
  const { workspace, state, descriptions, units } = desk;
  const kinds = new Map(descriptions.map(({ description }) => [description.id, description]));
  const sets = units.flatMap(({ unit }) => {
    const description = kinds.get(unit.descriptionId);
    return description && isSpokenWith(description)
      ? [{ id: unit.id, nickname: unit.nickname, kind: description.title }]
      : [];
  });
  const symptom = SYMPTOMS.find((one) => one === asked.symptom) ?? null;
  const unit = units.find((one) => one.unit.id === asked.unitId)?.unit;
  const description = unit && kinds.get(unit.descriptionId);
  const channel = state.plan.channels.find(({ id }) => id === asked.channelId);
  const answered = TRIALS.flatMap(({ id, finds }) => {
    const found = asked.answers[id];
    return found !== undefined && finds.includes(found) ? [{ of: id, found }] : [];
  });
  const isQuiet = channel !== undefined && neverTested(channel, state.plan) !== undefined;
  const other = units.find((one) => one.unit.id === asked.withId && one.unit.id !== unit?.id)?.unit;
  const stations = await listThings(db, 'station', workspace.id);
  const around = airAround(desk, stations);
  const pair =
    unit && other && [unit, other].every(({ descriptionId }) => kinds.has(descriptionId))
      ? ([unit, other] as const)
      : null;
  const base = {
    sets,
    unitId: unit?.id ?? null,
    channelId: channel?.id ?? null,
    withId: other?.id ?? null,
    symptom,
    answered,
    isQuiet,
    twoSets: channel && pair ? twoSetTest(around, desk.fleet, channel, pair) : null,
  };
  if (!symptom) return { ...base, known: {}, ranked: [], next: null, said: '' };
  const fleet: AirFleet = {
    ...around,
    units: unit && description && isSpokenWith(description) ? [unit] : [],
  };
  const { known: bySet, said } =
    channel && unit ? knownOf(fleet, desk, channel, unit.pickedTone) : { known: {}, said: '' };
  const heard = channel && unit ? loggedOf(await heardOn(db, desk, channel.id), unit.id) : {};
  const known = { ...bySet, ...heard };
  const found = { ...known, ...Object.fromEntries(answered.map(({ of, found: what }) => [of, what])) };
  const never = impossibleOn(description);
  return {
    ...base,
    known,
    said,
    ranked: rankCauses(symptom, found, never),
    next: nextTrial(symptom, found, cannot(description, channel, isQuiet || known.right === 'not'), never),
  };
}

/** What this set has nothing for, and what must not be done on this channel. */
function cannot(
  description: Description | undefined,
  channel: Channel | undefined,
  isQuiet: boolean,
): Set<string> {
  const those = new Set<string>();
  if (description?.operatorTone === 'none') those.add('mark');
  if (description && !showsCodes(description)) those.add('make');
  if (description?.scan === 'none') for (const one of ['scan', 'inscan']) those.add(one);
  const isDirect = channel !== undefined && channel.transmitHz === channel.receiveHz;
  if (isDirect) for (const one of ['tail', 'pair', 'others', 'towers']) those.add(one);
  const isDeaf =
    description !== undefined &&
    description.transmit !== 'unknown' &&
    description.transmit.bands.length === 0;
  if (isDeaf || isQuiet) for (const one of ['lamp', 'tail', 'beside', 'line', 'busy']) those.add(one);
  return those;
}

/** What cannot be the matter with this kind of set. */
function impossibleOn(description: Description | undefined): Set<string> {
  const those = new Set<string>();
  if (!description) return those;
  if (description.operatorTone === 'none') those.add('picked-tone');
  if (!showsCodes(description)) those.add('codes-of-makes');
  if (description.scan === 'none') for (const one of ['scanning', 'scan-leaves-out']) those.add(one);
  return those;
}

/** What is known of one set on a channel: what it holds against what it should, its picked tone, its right, the repeater. */
function knownOf(
  fleet: AirFleet,
  desk: Desk,
  channel: Channel,
  pickedTone: string,
): { known: Found; said: string } {
  const sets = fleetOnAir(fleet);
  const [planned] = sets(channel, 'planned');
  const [held] = sets(channel, 'held');
  if (!planned || !held) return { known: {}, said: '' };
  const [repeater] = repeatersOn({ ...fleet, units: desk.fleet }, channel, 'held');
  const status = repeater?.by === 'plan' ? undefined : repeater?.between.status;
  const known: Record<string, string> = { held: heldAs(planned, held) };
  if (pickedTone !== 'unknown') known.picked = pickedTone === 'off' ? 'off' : 'on';
  if (planned.set.maySend !== 'unknown') known.right = planned.set.maySend ? 'may' : 'not';
  if (status === 'on-air') known.station = 'on-air';
  if (status === 'off-air' || status === 'gone' || status === 'planned') known.station = 'off-air';
  const between = repeatersOn({ ...fleet, units: desk.fleet }, channel, 'held').map((one) => one.between);
  const call = callFinding(hearsOn(held.set, planned.set, between));
  return { known, said: call?.code === 'call-stops' ? findingText(call).what : '' };
}

/** What the log says of a set on a channel, as far as its calls count. */
function loggedOf(pairs: readonly HeardPair[], unitId: string): Found {
  const [talked, listened] = [faredOn(pairs, unitId, 'from'), faredOn(pairs, unitId, 'to')];
  return {
    ...(talked !== undefined && { talked: talked ? 'heard' : 'silent' }),
    ...(listened !== undefined && { listened: listened ? 'hears' : 'deaf' }),
  };
}

function heldAs(planned: UnitOnAir, held: UnitOnAir): string {
  const [should, has] = [planned.set.place, held.set.place];
  if (has === 'unknown') return 'unknown';
  if (!should || should === 'unknown' || !has) return should === has ? 'as-planned' : 'older';
  const keys = ['receiveHz', 'transmitHz', 'transmitTone', 'receiveTone'] as const;
  if (keys.some((key) => has[key] === 'unknown')) return 'unknown';
  return keys.every((key) => has[key] === should[key]) ? 'as-planned' : 'older';
}
