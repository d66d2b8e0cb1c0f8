import type { Finding } from '../findings/index';
import {
  type AirContent,
  type Channel,
  type Native,
  type Plan,
  type Slot,
  type SlotValues,
  wantedInScan,
} from '../model/index';
import { type FitDevice, valuesOf } from './device';
import type { PlacedSlot, WantedSlot } from './image';

/** What of a plan decides how sets scan. */
export type ScanPlan = Pick<Plan, 'channels'> & Partial<Pick<Plan, 'groups' | 'resumeDelay'>>;

/** The places of an image with their marks for scanning, the settings that name priority places, and what could not be had, by channel. */
export interface ScanFit {
  readonly slots: ReadonlyMap<number, WantedSlot>;
  readonly settings: Readonly<Record<string, number>>;
  readonly findings: ReadonlyMap<string, readonly Finding[]>;
}

/** Of channels that share a place the one that wants most of a scan decides. */
const WEIGHT = { priority: 0, in: 1, out: 2 } as const;

/**
 * Sets the marks for scanning on the places that channels were given. Where a set has several scan sets, the plan's groups go into them in
 * their order, and the last one takes the rest. Priority goes to as many channels as the set can have, in the plan's order.
 */
export function fitScan(plan: ScanPlan, device: FitDevice, placed: ReadonlyMap<number, PlacedSlot>): ScanFit {
  const order = new Map(plan.channels.map((channel, i) => [channel.id, { channel, i }]));
  const groups = new Map((plan.groups ?? []).map(({ id }, i) => [id, i]));
  const findings = new Map<string, Finding[]>();
  const say = ({ id }: Channel, finding: Finding) => findings.set(id, [...(findings.get(id) ?? []), finding]);
  const places = [...placed].flatMap(([number, wanted]) => {
    const [lead, ...others] = wanted.channelIds
      .flatMap((id) => order.get(id) ?? [])
      .sort((a, b) => WEIGHT[wantedInScan(a.channel)] - WEIGHT[wantedInScan(b.channel)]);
    const isScanned = lead && wantedInScan(lead.channel) !== 'out' && device.field.inScan !== undefined;
    for (const { channel } of isScanned ? others : [])
      if (wantedInScan(channel) === 'out')
        say(channel, { code: 'scan-differs', severity: 'note', wanted: 'out' });
    return lead ? [{ number, wanted, ...lead }] : [];
  });
  const priority = new PriorityPlaces(device);
  const hasPriority = new Set<number>();
  for (const { number, channel } of places.toSorted((a, b) => a.i - b.i)) {
    if (wantedInScan(channel) !== 'priority') continue;
    const slot = device.slotAt.get(number);
    if (slot && priority.take(slot)) hasPriority.add(number);
    else say(channel, priority.refusal());
  }
  priority.release(placed);
  const slots = new Map<number, WantedSlot>(placed);
  const marks = new Marks(device, plan.resumeDelay ?? 'on');
  for (const { number, wanted, channel } of places) {
    const settable = device.slotAt.get(number)?.settable ?? [];
    const present = device.present.slots.get(number) ?? null;
    const place = { channel, settable, present, group: groups.get(channel.groupId) ?? 0 };
    const set = marks.of(place, hasPriority.has(number), (finding) => say(channel, finding));
    if (set)
      slots.set(number, {
        ...wanted,
        values: { ...wanted.values, ...set.values },
        content: { ...wanted.content, ...set.content },
      });
  }
  return { slots, settings: priority.settings, findings };
}

/** A place of a set, and the channel that decides what a scan does there. */
interface Place {
  readonly channel: Channel;
  /** What is known of what it holds now. */
  readonly present: SlotValues;
  readonly settable: readonly string[];
  /** Where its group stands in the plan's order. */
  readonly group: number;
}

type Say = (finding: Finding) => void;
type SetMarks = {
  readonly values: Record<string, Native>;
  readonly content: { -readonly [K in 'inScan' | 'hasPriority' | 'resumeDelayS']?: AirContent[K] };
};

/** The marks of a kind of set: which there are, and which value of each means what. */
class Marks {
  private readonly scan;
  private readonly priority;
  private readonly delay;

  constructor(
    private readonly device: FitDevice,
    private readonly policy: Plan['resumeDelay'],
  ) {
    this.scan = markOf(device, 'inScan');
    this.priority = markOf(device, 'hasPriority');
    this.delay = markOf(device, 'resumeDelayS');
  }

  /** What to set at a place; `null` where the set has no mark that could be set there. */
  of(place: Place, hasPriority: boolean, say: Say): SetMarks | null {
    const set: SetMarks = { values: {}, content: {} };
    this.inScan(place, set, say);
    const { priority } = this;
    if (priority && place.settable.includes(priority.id)) {
      const index = priority.means.indexOf(hasPriority);
      if (index >= 0) set.values[priority.id] = index;
      if (index >= 0) set.content.hasPriority = hasPriority;
    }
    this.resumeDelay(place, set, say);
    return Object.keys(set.values).length > 0 ? set : null;
  }

  /** Whether a scan comes by. Where the mark stays as it is against the plan, that is said. */
  private inScan({ channel, settable, present, group }: Place, set: SetMarks, say: Say): void {
    const wanted = wantedInScan(channel) === 'out' ? 'out' : 'in';
    const { scan } = this;
    const differs = () => say({ code: 'scan-differs', severity: 'note', wanted });
    if (!scan) {
      if (wanted === 'out' && typeof this.device.description.scan === 'object') differs();
      return;
    }
    if (!settable.includes(scan.id)) {
      const now = Number(present?.[scan.id] ?? scan.factory);
      if ((scan.means[now] !== false) !== (wanted === 'in')) differs();
      return;
    }
    const inSets = scan.means.flatMap((means, index) => (means === false ? [] : [index]));
    const index =
      wanted === 'out' ? scan.means.indexOf(false) : (inSets[Math.min(group, inSets.length - 1)] ?? -1);
    if (index < 0) {
      differs();
      return;
    }
    const means = scan.means[index];
    set.values[scan.id] = index;
    set.content.inScan = typeof means === 'number' ? means : means === true;
  }

  /** Whether a scan stays for the answer: as it does now, else the factory's delay, else the shortest there is. */
  private resumeDelay({ channel, settable, present }: Place, set: SetMarks, say: Say): void {
    const { delay } = this;
    if (!delay) return;
    const wanted = channel.resumeDelay === 'plan' ? this.policy : channel.resumeDelay;
    const isRight = (index: number) => Number(delay.means[index]) > 0 === (wanted === 'on');
    const now = Number(present?.[delay.id] ?? delay.factory);
    const choices = settable.includes(delay.id) ? [now, delay.factory, ...delay.means.keys()] : [now];
    const index = choices.find(isRight);
    if (index === undefined) {
      say({ code: 'resume-delay-differs', severity: 'note', wanted });
      return;
    }
    set.values[delay.id] = index;
    set.content.resumeDelayS = Number(delay.means[index]);
  }
}

/** A mark that places of a set have, with what each of its values means; none where the set has it not, or nobody looked its values up. */
function markOf(device: FitDevice, holds: 'inScan' | 'hasPriority' | 'resumeDelayS') {
  const field = device.field[holds];
  const list = valuesOf(device, holds);
  if (!field || !list || list === 'unknown') return undefined;
  return { id: field.id, factory: Number(field.factory), means: list.map(({ means }) => means) };
}

/** Gives out what places for priority a set has: marks on its places, or settings that name a number. */
class PriorityPlaces {
  readonly settings: Record<string, number> = {};
  private taken = 0;
  private readonly inBank = new Map<number, number>();
  private readonly settingsLeft: string[];

  constructor(private readonly device: FitDevice) {
    this.settingsLeft = device.description.settings
      .filter(({ holds }) => holds === 'priorityNumber')
      .map(({ id }) => id);
  }

  private get most(): { all: number; perBank: number } | 'unknown' {
    const { scan } = this.device.description;
    if (scan === 'unknown') return 'unknown';
    if (scan === 'none' || scan.priority === 'none') return { all: 0, perBank: 0 };
    return { all: scan.priority.most, perBank: scan.priority.perBank ?? scan.priority.most };
  }

  /** Gives priority to a place, if one more can have it. */
  take({ number, bank, settable }: Slot): boolean {
    const field = this.device.field.hasPriority;
    const { most } = this;
    const there = this.inBank.get(bank) ?? 0;
    if (most !== 'unknown' && (this.taken >= most.all || there >= most.perBank)) return false;
    if (field && settable.includes(field.id)) {
      this.inBank.set(bank, there + 1);
      this.taken++;
      return true;
    }
    const id = this.settingsLeft[0];
    const setting = this.device.description.settings.find((candidate) => candidate.id === id);
    const index = this.device.lists[setting?.list ?? '']?.findIndex(({ means }) => means === number) ?? -1;
    if (!setting || index < 0) return false;
    this.settingsLeft.shift();
    this.settings[setting.id] = index;
    this.taken++;
    return true;
  }

  /** Takes priority from places that hold a channel of the plan now which shall not have it, where a setting still names them. */
  release(placed: ReadonlyMap<number, PlacedSlot>): void {
    const { description, lists, present } = this.device;
    for (const id of this.settingsLeft) {
      const setting = description.settings.find((candidate) => candidate.id === id);
      const list = lists[setting?.list ?? ''] ?? [];
      const now = present.settings[id];
      const named = now === undefined ? 'unknown' : list[now]?.means;
      const none = list.findIndex(({ means }) => means === 'none');
      // One that nobody knows could name any place.
      const mayName = named === 'unknown' || (typeof named === 'number' && placed.has(named));
      if (mayName && none >= 0) this.settings[id] = none;
    }
  }

  refusal(): Finding {
    const { most } = this;
    return most === 'unknown'
      ? { code: 'priority-not-here', severity: 'note', most, perBank: 0 }
      : { code: 'priority-not-here', severity: 'note', most: most.all, perBank: most.perBank };
  }
}
