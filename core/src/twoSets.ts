import { type CommonOption, commonGround } from './common';
import { fitDevice, fitPlan, rightOn } from './fit/index';
import { type Channel, kindOf, numbersWith, type Plan, type Unit } from './model/index';
import { type AirFleet, setsOf, unitOnAir } from './onAir';
import { neverTested } from './rules/index';

/** What one step of a test with two sets shows when it goes right: that nothing of this is the matter. */
export type Isolates = 'mute' | 'frequency' | 'sent-tone' | 'awaited-tone' | 'input' | 'repeater';

/** One step: who talks, who listens, and what it tells; `null` for whoever does nothing. */
export interface TwoSetStep {
  readonly isolates: Isolates;
  readonly talks: 'a' | 'b' | null;
  readonly listens: 'a' | 'b';
  /** Why it cannot be done with these two; `null` where it can. */
  readonly cannot: 'may-not-send' | 'no-common-channel' | 'cannot-listen-there' | 'no-tone' | null;
}

/** A test with two sets and nobody else. */
export interface TwoSetTest {
  /** Nobody talks to test on a channel for distress and calling: then there are no steps. */
  readonly isQuiet: boolean;
  /** The direct channel without a tone on which both meet, with what has to be changed for it; `null` where there is none. */
  readonly ground: CommonOption | null;
  /** How often one has to say who one is, in minutes; `null` where no rule asks for it. */
  readonly identifyEveryMinutes: number | null;
  readonly steps: readonly TwoSetStep[];
}

/**
 * What two sets can find out between them about a channel, in an order in which each step leaves one thing less: that the loudspeaker works, that both
 * send and listen on one frequency, the tone that is sent, the tone that is waited for, a repeater’s input, the repeater. Whoever may not send there is
 * not asked to talk. Common practice, no published source.
 * @throws RangeError for a unit without its description
 */
export function twoSetTest(
  fleet: Omit<AirFleet, 'units'>,
  own: readonly Unit[],
  channel: Channel,
  units: readonly [Unit, Unit],
): TwoSetTest | null {
  const sets = setsOf({ ...fleet, units });
  const [a, b] = sets;
  if (!a || !b) return null;
  const direct: Plan = {
    ...fleet.plan,
    channels: fleet.plan.channels.filter((one) => kindOf(one) === 'direct'),
  };
  const members = units.map((unit) => ({ key: unit.id, unit }));
  const { options } = commonGround({ ...fleet, plan: direct }, own, members);
  const ground =
    options.find(
      ({ covers, transmitTone, receiveTone }) =>
        covers.length === 2 && transmitTone === 'off' && receiveTone === 'off',
    ) ?? null;
  const rule =
    channel.transmitHz === null
      ? null
      : rightOn(a.kind.device, channel.receiveHz, channel.transmitHz, fleet.plan);
  const identifyEveryMinutes = rule?.may === 'transmit' ? rule.identifyEveryMinutes : null;
  if (neverTested(channel, fleet.plan)) return { isQuiet: true, ground, identifyEveryMinutes, steps: [] };
  const may = {
    a: ground?.lawful.includes(a.unit.id) ?? false,
    b: ground?.lawful.includes(b.unit.id) ?? false,
  };
  const here = {
    a: unitOnAir(a.unit, a.kind, channel, 'planned').set,
    b: unitOnAir(b.unit, b.kind, channel, 'planned').set,
  };
  /** Why a call on the channel itself cannot be tried between them. */
  const onChannel = (talks: 'a' | 'b', listens: 'a' | 'b') =>
    here[talks].maySend !== true || here[talks].place === null
      ? 'may-not-send'
      : here[listens].place === null
        ? 'cannot-listen-there'
        : null;
  const { transmitTone } = channel;
  const hasTone = transmitTone !== 'off' && transmitTone !== 'unknown';
  const ways = [
    ['a', 'b'],
    ['b', 'a'],
  ] as const;
  const onGround = (talks: 'a' | 'b') =>
    ground === null ? 'no-common-channel' : may[talks] ? null : 'may-not-send';
  const steps: TwoSetStep[] = ways.map(([, listens]) => ({
    isolates: 'mute',
    talks: null,
    listens,
    cannot: null,
  }));
  for (const [talks, listens] of ways)
    steps.push({ isolates: 'frequency', talks, listens, cannot: onGround(talks) });
  if (kindOf(channel) === 'direct') {
    const toned = (talks: 'a' | 'b', listens: 'a' | 'b') =>
      onChannel(talks, listens) ?? (hasTone ? null : 'no-tone');
    for (const [talks, listens] of ways)
      steps.push({ isolates: 'sent-tone', talks, listens, cannot: toned(talks, listens) });
    for (const [talks, listens] of ways)
      steps.push({ isolates: 'awaited-tone', talks, listens, cannot: toned(talks, listens) });
  }
  if (kindOf(channel) === 'repeater') {
    const hears = {
      a: listensToInput(a.kind.description, a.unit, channel, fleet.plan),
      b: listensToInput(b.kind.description, b.unit, channel, fleet.plan),
    };
    for (const [talks, listens] of ways)
      steps.push({
        isolates: 'input',
        talks,
        listens,
        cannot: here[talks].maySend !== true ? 'may-not-send' : hears[listens] ? null : 'cannot-listen-there',
      });
    for (const [talks, listens] of ways)
      steps.push({ isolates: 'repeater', talks, listens, cannot: onChannel(talks, listens) });
  }
  return { isQuiet: false, ground, identifyEveryMinutes, steps };
}

/** Whether a set can listen where a repeater does, by a place that is only listened to. */
function listensToInput(
  description: Parameters<typeof fitDevice>[0],
  unit: Unit,
  channel: Channel,
  plan: Plan,
): boolean {
  if (channel.transmitHz === null) return false;
  const input: Channel = {
    ...channel,
    receiveHz: channel.transmitHz,
    transmitHz: null,
    transmitTone: 'off',
    receiveTone: channel.transmitTone,
  };
  const alone: Plan = { ...plan, channels: [input], carried: { kinds: {}, teams: {}, units: {} } };
  const [cell] = fitPlan(
    alone,
    fitDevice(description, undefined, { keeps: unit.keeps }),
    numbersWith(plan),
  ).cells;
  return cell?.slot !== null && cell?.slot !== undefined;
}
