import { type Channel, type ChannelState, kindOf, type Plan } from '../model/index';
import { neverTested } from '../rules/index';

/** A set that one could be called from, and the channels of the plan it can talk on. */
export interface Partner {
  readonly nickname: string;
  /** Who has it; empty where nobody does. */
  readonly holder: string;
  readonly talksOn: ReadonlySet<string>;
}

/** A repeater as the group's list has it; what nobody said is absent. */
export interface OnAir {
  readonly name: string;
  readonly outputHz?: number | undefined;
  readonly inputHz?: number | undefined;
  readonly inputTone?: string | undefined;
  readonly status?: string | undefined;
}

/** One call to try: on which channel, with whom, and through which repeater. */
export interface RadioCheck {
  readonly kind: 'direct' | 'repeater';
  readonly channelId: string;
  /** Those who can answer, three at most; nobody where no other set talks there. */
  readonly partners: readonly Pick<Partner, 'nickname' | 'holder'>[];
  /** The repeater's name in the list; `null` where it is not in it, or the call is direct. */
  readonly through: string | null;
  /** Permission is needed, or nobody knows: its owner is asked before anybody calls. */
  readonly needsLeave: boolean;
}

const TIERS = ['must', 'should', 'nice'] as const;
const MOST_PARTNERS = 3;
const OFF: ReadonlySet<string> = new Set(['off-air', 'gone', 'planned']);

/**
 * The calls that show that a loaded set works: one direct and one through a repeater, each on the channel of most weight on which somebody
 * else can answer. Never on distress and calling channels, where permission is needed or unknown only if nothing else is left, and never
 * through a repeater that is off the air.
 * @param talksOn the channels on which the set itself talks
 * @param holder who has it: their own other sets answer last
 */
export function radioChecks(
  plan: Pick<Plan, 'channels' | 'country'>,
  talksOn: ReadonlySet<string>,
  holder: string,
  partners: readonly Partner[],
  stations: readonly OnAir[],
): RadioCheck[] {
  const answering = (channel: Channel) =>
    partners
      .filter((partner) => partner.talksOn.has(channel.id))
      .sort((a, b) => nearness(a, holder) - nearness(b, holder));
  return (['direct', 'repeater'] as const).flatMap((kind): RadioCheck[] => {
    const fit = plan.channels.filter(
      (channel) =>
        kindOf(channel) === kind &&
        talksOn.has(channel.id) &&
        !neverTested(channel, plan) &&
        !isOffAir(channel, stations),
    );
    const rank = (channel: Channel) =>
      (answering(channel).length === 0 ? 100 : 0) +
      (channel.access === 'open' ? 0 : 10) +
      TIERS.indexOf(channel.tier);
    const [best] = fit.toSorted((a, b) => rank(a) - rank(b));
    if (!best) return [];
    return [
      {
        kind,
        channelId: best.id,
        partners: answering(best)
          .slice(0, MOST_PARTNERS)
          .map(({ nickname, holder: who }) => ({ nickname, holder: who })),
        through: kind === 'repeater' ? nameOf(openedBy(best, stations)) : null,
        needsLeave: best.access !== 'open',
      },
    ];
  });
}

/** Whether a channel is planned or withdrawn, or every repeater that it may open is said to be off the air, gone or only planned. */
export function isOffAir(channel: Channel, stations: readonly OnAir[]): boolean {
  if (channel.state !== 'on-air') return true;
  const opened = openedBy(channel, stations);
  return opened.length > 0 && opened.every(({ status }) => OFF.has(status ?? ''));
}

/**
 * What the list of stations says of a channel that goes through a repeater, where all that it may open are in one state; `undefined` where
 * nobody says so. A repeater that is off the air for a time is none of them.
 */
export function stateSaid(channel: Channel, stations: readonly OnAir[]): ChannelState | undefined {
  if (kindOf(channel) !== 'repeater') return undefined;
  const said = new Set(openedBy(channel, stations).map(({ status }) => STATES[status ?? '']));
  return said.size === 1 ? [...said][0] : undefined;
}
const STATES: Readonly<Record<string, ChannelState>> = {
  'on-air': 'on-air',
  planned: 'planned',
  gone: 'withdrawn',
};

/** The same of all channels of a plan, by their ids. */
export function statesSaid(
  { channels }: Pick<Plan, 'channels'>,
  stations: readonly OnAir[],
): Record<string, ChannelState> {
  return Object.fromEntries(
    channels.flatMap((channel) => {
      const said = stateSaid(channel, stations);
      return said ? [[channel.id, said]] : [];
    }),
  );
}

/** The repeaters that a channel may open: those on its pair; of several the ones that wait for its tone, where that is said of any. */
function openedBy(channel: Channel, stations: readonly OnAir[]): readonly OnAir[] {
  const onPair = stations.filter(
    ({ outputHz, inputHz }) => outputHz === channel.receiveHz && inputHz === channel.transmitHz,
  );
  const byTone = onPair.filter(({ inputTone }) => inputTone === channel.transmitTone);
  return onPair.length > 1 && byTone.length > 0 ? byTone : onPair;
}

/** The name of one repeater; of several nobody guesses which. */
const nameOf = (opened: readonly OnAir[]) => (opened.length === 1 ? (opened[0]?.name ?? null) : null);

/** Somebody else first, then a set that nobody holds, then one's own other ones. */
const nearness = (partner: Partner, holder: string) =>
  partner.holder === '' ? 1 : partner.holder === holder ? 2 : 0;
