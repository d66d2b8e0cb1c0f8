import type { Finding } from '../findings/index';
import {
  type Channel,
  type Native,
  type Plan,
  type Slot,
  type SlotContent,
  wantedInScan,
} from '../model/index';
import { type FitDevice, valuesOf } from './device';
import type { WantedSlot } from './fit';

/** What of a plan decides how sets scan. */
export type ScanPlan = Pick<Plan, 'channels'> & Partial<Pick<Plan, 'groups' | 'resumeDelay'>>;

/** The places of an image with their marks for scanning, the settings that name priority places, and what could not be had, by channel. */
export interface ScanFit {
  readonly slots: ReadonlyMap<number, WantedSlot>;
  readonly settings: Readonly<Record<string, number>>;
  readonly findings: ReadonlyMap<string, readonly Finding[]>;
}

/** What one mark of a place comes to. */
interface Marked {
  readonly values?: Readonly<Record<string, Native>>;
  readonly content?: Partial<SlotContent>;
  readonly finding?: Finding;
}

/** Of channels that share a place the one that wants most of a scan decides. */
const WEIGHT = { priority: 0, in: 1, out: 2 } as const;

/**
 * Sets the marks for scanning on the places that channels were given. Where a set has several scan sets, the plan's groups go into them in
 * their order, and the last one takes the rest. Priority goes to as many channels as the set can have, in the plan's order.
 */
export function fitScan(plan: ScanPlan, device: FitDevice, placed: ReadonlyMap<number, WantedSlot>): ScanFit {
  const order = new Map(plan.channels.map((channel, i) => [channel.id, { channel, i }]));
  const groups = new Map((plan.groups ?? []).map(({ id }, i) => [id, i]));
  const findings = new Map<string, Finding[]>();
  const say = ({ id }: Channel, finding: Finding) => findings.set(id, [...(findings.get(id) ?? []), finding]);
  const places = [...placed].flatMap(([number, wanted]) => {
    const [lead] = wanted.channelIds
      .flatMap((id) => order.get(id) ?? [])
      .sort((a, b) => WEIGHT[wantedInScan(a.channel)] - WEIGHT[wantedInScan(b.channel)]);
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
  const slots = new Map(placed);
  for (const { number, wanted, channel } of places) {
    const settable = device.slotAt.get(number)?.settable ?? [];
    const marks = [
      inScan(device, channel, settable, wanted, groups.get(channel.groupId) ?? 0),
      priorityMark(device, settable, hasPriority.has(number)),
      delay(device, channel, settable, wanted, plan.resumeDelay ?? 'on'),
    ];
    for (const { finding } of marks) if (finding) say(channel, finding);
    const values = Object.assign({}, wanted.values, ...marks.map((mark) => mark.values));
    const content = Object.assign({}, wanted.content, ...marks.map((mark) => mark.content));
    slots.set(number, { ...wanted, values, content });
  }
  return { slots, settings: priority.settings, findings };
}

/** Whether a scan comes by. Where the mark stays as it is, that is said. */
function inScan(
  device: FitDevice,
  channel: Channel,
  settable: readonly string[],
  { present }: WantedSlot,
  group: number,
): Marked {
  const wanted = wantedInScan(channel) === 'out' ? 'out' : 'in';
  const differs: Finding = { code: 'scan-differs', severity: 'note', wanted };
  const field = device.field.inScan;
  const list = valuesOf(device, 'inScan');
  if (!field || !list || list === 'unknown')
    return wanted === 'out' && typeof device.description.scan === 'object' ? { finding: differs } : {};
  const isIn = (index: number) => list[index]?.means !== false;
  if (!settable.includes(field.id)) {
    const now = present?.[field.id] ?? field.factory;
    return isIn(Number(now)) === (wanted === 'in') ? {} : { finding: differs };
  }
  const places = list.flatMap(({ means }, index) => (means === false ? [] : [index]));
  const index =
    wanted === 'out'
      ? list.findIndex(({ means }) => means === false)
      : (places[Math.min(group, places.length - 1)] ?? -1);
  if (index < 0) return { finding: differs };
  const means = list[index]?.means;
  return {
    values: { [field.id]: index },
    content: { inScan: typeof means === 'number' ? means : means === true },
  };
}

/** The priority mark of a place, on a set that marks places. */
function priorityMark(device: FitDevice, settable: readonly string[], wanted: boolean): Marked {
  const field = device.field.hasPriority;
  const list = valuesOf(device, 'hasPriority');
  if (!field || !list || list === 'unknown' || !settable.includes(field.id)) return {};
  const index = list.findIndex(({ means }) => means === wanted);
  return index < 0 ? {} : { values: { [field.id]: index }, content: { hasPriority: wanted } };
}

/** Whether a scan stays for the answer: the factory's delay where it has one, else the shortest there is. */
function delay(
  device: FitDevice,
  channel: Channel,
  settable: readonly string[],
  { present }: WantedSlot,
  policy: Plan['resumeDelay'],
): Marked {
  const field = device.field.resumeDelayS;
  const list = valuesOf(device, 'resumeDelayS');
  if (!field || !list || list === 'unknown') return {};
  const wanted = channel.resumeDelay === 'plan' ? policy : channel.resumeDelay;
  const seconds = list.map(({ means }) => Number(means));
  const isRight = (index: number) => (seconds[index] ?? 0) > 0 === (wanted === 'on');
  const now = Number(present?.[field.id] ?? field.factory);
  const candidates = [now, Number(field.factory), ...seconds.keys()].filter(isRight);
  const [index] = settable.includes(field.id) ? candidates : [now].filter(isRight);
  if (index === undefined) return { finding: { code: 'resume-delay-differs', severity: 'note', wanted } };
  return { values: { [field.id]: index }, content: { resumeDelayS: seconds[index] ?? 0 } };
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

  refusal(): Finding {
    const { most } = this;
    return most === 'unknown'
      ? { code: 'priority-not-here', severity: 'note', most, perBank: 0 }
      : { code: 'priority-not-here', severity: 'note', most: most.all, perBank: most.perBank };
  }
}
