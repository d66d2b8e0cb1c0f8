import { changesBetween, type Names } from '@umbrex/core/fields';
import { type Channel, type Choice, headOf, type Plan } from '@umbrex/core/model';
import type { Blocker, ChoiceToMake } from '@umbrex/core/publish';
import { type ChannelChange, diffPlans } from '@umbrex/core/revision';
import { findingText } from './findings';
import { counted, listOf } from './labels';
import { NAMING_TEXT } from './naming';

/** What ids stand for in what is said of a draft. */
export interface DraftNames {
  readonly channels: ReadonlyMap<string, string>;
  readonly kinds: ReadonlyMap<string, string>;
  readonly units: ReadonlyMap<string, string>;
}

/** What stops a draft, in a sentence. */
export function blockerText(blocker: Blocker, { channels, kinds, units }: DraftNames): string {
  const sets = (ids: readonly string[]) => {
    const names = ids.map((id) => units.get(id) ?? id);
    return names.length > 4
      ? `${listOf(names.slice(0, 3))} and ${names.length - 3} more`
      : names.length > 1
        ? `${listOf(names.slice(0, -1))} and ${names.at(-1)}`
        : (names[0] ?? '');
  };
  switch (blocker.code) {
    case 'plan-wrong': {
      const { finding, channelId } = blocker.found;
      const at = channelId === null ? '' : `${channels.get(channelId) ?? 'A channel'}: `;
      return `${at}${findingText(finding).what}`;
    }
    case 'permission-open':
      return `${channels.get(blocker.channelId) ?? 'A channel'}: nobody has settled whether you may use it.`;
    case 'sheet-not-proven':
      return `${kinds.get(blocker.descriptionId) ?? blocker.descriptionId}: the steps do not come to what the set shall hold, on ${sets(blocker.unitIds)}.`;
    case 'sheet-not-made':
      return `${kinds.get(blocker.descriptionId) ?? blocker.descriptionId}: no sheet could be made for ${sets(blocker.unitIds)}.`;
    case 'alert-no-areas':
      return `The plan has no areas for ${sets(blocker.unitIds)}: nobody knows for which warnings they shall sound.`;
    case 'alert-no-transmitter':
      return `No weather transmitter is chosen for ${sets(blocker.unitIds)}.`;
  }
}

/** Below the plan's address, where what stops a draft is mended. */
export function blockerAddress(blocker: Blocker): string {
  switch (blocker.code) {
    case 'plan-wrong':
      return blocker.found.channelId === null ? '/check' : `?channel=${blocker.found.channelId}`;
    case 'permission-open':
      return `?channel=${blocker.channelId}`;
    case 'sheet-not-proven':
    case 'sheet-not-made':
      return `/sheets/${blocker.unitIds[0]}?of=draft`;
    default:
      return '';
  }
}

/** A choice in which groups differ: what it is about, and its values in words. */
export const CHOICE_TEXT: Readonly<
  Record<
    Choice,
    { title: string; values: Readonly<Record<string, string>>; why: (c: ChoiceToMake) => string }
  >
> = {
  tones: {
    title: 'Whether sets wait for the tone',
    values: { closed: 'they wait for it where one is sent', open: 'they hear everyone' },
    why: ({ of, all }) =>
      all === 0
        ? 'The plan has no repeaters.'
        : `${of} of ${counted(all, 'repeater')} are known to send a tone that sets can wait for.`,
  },
  priority: {
    title: 'Priority in the scan',
    values: { none: 'no channel', one: 'one channel', several: 'several channels' },
    why: ({ of, all }) =>
      `${of} of ${counted(all, 'channel')} ${of === 1 ? 'has' : 'have'} it. Most sets look at one such place while they scan, and each look cuts the sound.`,
  },
  'without-right': {
    title: 'Channels on which a holder may not send',
    values: {
      'leave-out': 'left out where the set cannot be told to listen',
      warn: 'loaded, with a warning',
    },
    why: ({ of, all }) =>
      `${of} of ${counted(all, 'person', 'people')} on the roster have no licence written down; what a set cannot send, nobody sends by mistake.`,
  },
  names: {
    title: 'Names on displays',
    values: NAMING_TEXT,
    why: ({ of, all }) =>
      all === 0
        ? 'Nothing is to press.'
        : `Names take ${of} of ${counted(all, 'press', 'presses')} of this revision.`,
  },
  spares: {
    title: 'Sets that nobody holds',
    values: { licensed: 'set up for somebody who may send', 'listen-only': 'set up to listen' },
    why: ({ of, all }) =>
      of === 0
        ? 'Everybody on the roster has a licence written down.'
        : `${of} of ${counted(all, 'person', 'people')} who may take one have no licence written down.`,
  },
  planned: {
    title: 'Channels that are only planned',
    values: { load: 'loaded early', 'leave-out': 'left out until they are on the air' },
    why: ({ of, all }) =>
      of === 0
        ? 'The plan has none.'
        : `${of} of ${counted(all, 'channel')} ${of === 1 ? 'is' : 'are'} planned. Loaded early nobody loads twice; on the sheet it says that nobody answers there yet.`,
  },
  start: {
    title: 'Sets of which nobody knows what they hold',
    values: {
      keep: 'what they hold stays where the plan needs no room',
      clean: 'all are reset first',
      both: 'some are reset first',
    },
    why: ({ of, all }) =>
      all === 0
        ? 'There are none to load.'
        : `${of} of ${counted(all, 'set')} ${of === 1 ? 'is' : 'are'} reset first. What a holder has in a set is theirs: kept, and written down before the work.`,
  },
};

/** How some fields of a channel are told to whoever uses it: as what they do, not what the field is called. */
const SAID: Readonly<Record<string, (value: string) => string>> = {
  transmitTone: (tone) => `you send ${tone}`,
  receiveTone: (tone) => `you wait for ${tone}`,
  receiveHz: (at) => `you hear on ${at}`,
  transmitHz: (at) => (at === 'listen only' ? 'you only listen' : `you send on ${at}`),
  name: (name) => `it is called ${name}`,
};
const UNSAID: ReadonlySet<string> = new Set(['groupId']);

/** What became of a channel, in words: “you send D251N, was D346N”. */
function channelWords(change: ChannelChange, before: Plan, after: Plan, names: Names): string[] {
  const of = (plan: Plan): Channel | undefined => plan.channels.find(({ id }) => id === change.id);
  const [was, is] = [of(before), of(after)];
  if (!was || !is) return [];
  return change.fields.flatMap(({ field }) => {
    if (change.change === 'moved' && UNSAID.has(field)) {
      const group = names.group?.find(({ id }) => id === is.groupId)?.name;
      return group ? [`it stands in ${group}`] : [];
    }
    // One field at a time, so that each is told by its own words.
    const only = changesBetween('channel', { ...is, [field]: was[field as keyof Channel] }, is, names);
    return only.map(({ title, before: old, after: now }) =>
      SAID[field] ? `${SAID[field](now)}, was ${old}` : `${title} ${now}, was ${old}`,
    );
  });
}

/** One line of what differs: about the plan, or about a channel. */
export interface DiffLine {
  readonly key: string;
  readonly what: 'added' | 'removed' | 'changed' | 'moved' | 'plan' | 'number';
  readonly name: string;
  readonly words: readonly string[];
}

/** How two states of a plan differ, line by line, in the order of the newer one. */
export function diffLines(before: Plan, after: Plan, names: Names): DiffLine[] {
  const { channels } = diffPlans(before, after);
  const head = changesBetween(
    'plan',
    { ...headOf(before), numbering: null },
    { ...headOf(after), numbering: null },
    names,
  );
  return [
    ...head.map(
      ({ title, before: old, after: now }): DiffLine => ({
        key: title,
        what: 'plan',
        name: title,
        words: [`${now}, was ${old}`],
      }),
    ),
    ...channels.map(
      (change): DiffLine => ({
        key: change.id,
        what: change.change,
        name: change.name,
        words: channelWords(change, before, after, names),
      }),
    ),
    ...numberLines(before, after),
  ];
}

/** Channels that have another number across the fleet. */
function numberLines(before: Plan, after: Plan): DiffLine[] {
  const [was, is] = [before.numbering?.numbers ?? {}, after.numbering?.numbers ?? {}];
  const there = new Set(before.channels.map(({ id }) => id));
  return after.channels.flatMap(({ id, name }): DiffLine[] =>
    was[id] === is[id] || !there.has(id)
      ? []
      : [
          {
            key: `number ${id}`,
            what: 'number',
            name,
            words: [`it is number ${is[id] ?? 'none'}, was ${was[id] ?? 'none'}`],
          },
        ],
  );
}

/** What became of something, in a word. */
export const DIFF_WORD: Readonly<Record<DiffLine['what'], string>> = {
  added: 'new',
  removed: 'gone',
  changed: 'changed',
  moved: 'moved',
  plan: 'plan',
  number: 'number',
};
