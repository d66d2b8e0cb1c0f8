import { isAboutMemory, timelineOf } from '@umbrex/core/evidence';
import type { Evidence, Unit } from '@umbrex/core/model';
import type { Standing } from '@umbrex/core/standing';
import { dayText } from './days';
import { counted, listOf } from './labels';

/** How a set stands, in a word and what that means. */
export const STANDING_TEXT: Readonly<Record<Standing['state'], { word: string; meaning: string }>> = {
  late: { word: 'to load', meaning: 'It is known what it holds, and that is not what it should hold.' },
  unknown: { word: 'not known', meaning: 'Nobody knows what it holds: its sheet sets everything.' },
  blocked: { word: 'waits', meaning: 'Something has to be settled before it can be loaded.' },
  held: { word: 'up to date', meaning: 'What it holds is what it should hold.' },
  away: {
    word: 'not there',
    meaning: 'It is lost or broken: nothing is asked of it until it is found or mended.',
  },
  nothing: { word: 'nothing for it', meaning: 'The plan has nothing for it.' },
};

/** What is said of sets that are not there, where the work on all is counted; nothing of none. */
export const awayText = (sets: number): string =>
  sets === 0
    ? ''
    : ` ${counted(sets, 'set')} ${sets === 1 ? 'is' : 'are'} lost or broken, and not counted: nothing is asked of ${sets === 1 ? 'it' : 'them'} until ${sets === 1 ? 'it is' : 'they are'} found or mended.`;

/** What is said of them where they are counted all the same: numbers must not move when a set is lost, and again when it is found. */
export const awayCounted = (sets: number): string =>
  `${counted(sets, 'set')} ${sets === 1 ? 'is' : 'are'} lost or broken; ${sets === 1 ? 'it counts' : 'they count'} as before, so that no number moves when a set is lost or found.`;

/** `, 1 lost or broken`, behind how many are there; nothing of none. */
export const besidesAway = (away: number): string => (away === 0 ? '' : `, ${away} lost or broken`);

/** `11 sets, 1 lost or broken` */
export const setsThere = ({ there, away }: { there: number; away: number }): string =>
  `${counted(there, 'set')}${besidesAway(away)}`;

/** What is said of one set besides. */
export function standingNote(standing: Standing): string {
  switch (standing.state) {
    case 'held': {
      const { number, loadedAs, checked, kindChanged } = standing;
      return [
        `at ${number}${loadedAs === null ? '' : `, loaded as ${loadedAs}`}`,
        kindChanged
          ? 'its kind was corrected since: check it'
          : {
              failed: 'a check failed',
              checked: 'checked',
              partly: 'checked in part',
              unchecked: 'not checked',
            }[checked],
      ].join(', ');
    }
    case 'late':
      if (standing.rightEnded) return 'the right to send there has ended since it was loaded';
      return standing.at === null ? 'holds something else' : `at ${standing.at}`;
    case 'away':
      return standing.is;
    default:
      return '';
  }
}

const CHECK_TEXT = {
  'read-back': 'read back',
  'power-cycle': 'switched off and on',
  heard: 'heard',
  sent: 'sent',
  blocked: 'does not send where it must not',
  returned: 'heard the repeater answer',
  'two-way': 'spoken with both ways',
  scan: 'scan tried',
  signal: 'its signal is there, no traffic heard yet',
  'audio-proven': 'heard the transmitter',
  'area-filter-proven': 'sounded for its area',
} as const;
export const CHECK_CHOICES = Object.entries(CHECK_TEXT) as [keyof typeof CHECK_TEXT, string][];
export const RESULT_TEXT = {
  pass: 'as it should be',
  fail: 'not as it should be',
  undecided: 'undecided',
} as const;
export const WAY_TEXT = { keys: 'by its keys', file: 'by a file', copy: 'by copying', unknown: '' } as const;
export const PREPARED_TEXT = {
  charged: 'charged',
  'backed-up': 'backed up',
  'firmware-seen': 'firmware looked at',
  'keys-unlocked': 'keys unlocked',
  'beeps-quiet': 'beeps quiet',
} as const;

export const CONDITION_TEXT = {
  well: 'it is there and works',
  lost: 'it is lost',
  broken: 'it is broken',
} as const;

/** One entry of a set's timeline, in words. @param planName of a plan by its id; `null` for the one that is looked at anyway */
export function evidenceText(
  evidence: Evidence,
  planName: (id: string) => string | null | undefined,
): string {
  switch (evidence.what) {
    case 'factory':
      return 'as the factory left it: new, or just reset';
    case 'read':
      return 'what it holds was read';
    case 'loaded': {
      const { planId, revision, way } = evidence;
      if (planId === null) return 'somebody says that this group’s channels are in it';
      const state = revision === null ? 'a draft' : `revision ${revision}`;
      const name = planName(planId);
      const plan = name === null ? '' : ` of ${name ?? 'a plan that is gone'}`;
      return [`loaded with ${state}${plan}`, WAY_TEXT[way]].filter(Boolean).join(', ');
    }
    case 'other':
      return 'it holds something that nobody wrote down';
    case 'contradicted':
      return `found to be otherwise: what it holds is not known any more${evidence.note && ` (${evidence.note})`}`;
    case 'checked':
      return `${CHECK_TEXT[evidence.check]}${evidence.number === null ? '' : ` at number ${evidence.number}`}: ${RESULT_TEXT[evidence.result]}${evidence.note && ` (${evidence.note})`}`;
    case 'lent':
      return `lent to ${evidence.to}`;
    case 'returned':
      return 'came back';
    case 'condition':
      return `${CONDITION_TEXT[evidence.is]}${evidence.note && ` (${evidence.note})`}`;
    case 'let-go':
      return `let go of ${evidence.numbers.length === 1 ? 'number' : 'numbers'} ${listOf(evidence.numbers.map(String))}: a sheet may write there`;
    case 'backup':
      return `what it held was ${evidence.how}, kept at ${evidence.where}`;
    case 'prepared':
      return PREPARED_TEXT[evidence.done];
  }
}

/** When, and on whose word. */
export function evidenceWhen({ day, by }: Pick<Evidence, 'day' | 'by'>): string {
  return [day === 'unknown' ? 'on a day that nobody wrote down' : dayText(day), by && `says ${by}`]
    .filter(Boolean)
    .join(', ');
}

/** A set's timeline as it is shown, newest first. @param planNames plans by their ids */
export function timelineEntries(
  unit: Pick<Unit, 'timeline' | 'holds'>,
  planNames: ReadonlyMap<string, string>,
) {
  return timelineOf(unit)
    .map((evidence) => ({
      id: evidence.id,
      text: evidenceText(evidence, (id) => planNames.get(id)),
      when: evidenceWhen(evidence),
      isAboutMemory: isAboutMemory(evidence),
    }))
    .reverse();
}
export type TimelineEntry = ReturnType<typeof timelineEntries>[number];

/** A set of somebody that wants their time. */
export interface SetToLoad {
  readonly nickname: string;
  readonly minutes: number;
  readonly address: string;
}

/** A message to somebody about their sets, in words of somebody who does not plan. */
export function messageTo(
  name: string,
  planName: string,
  number: number,
  sets: readonly SetToLoad[],
): string {
  const minutes = sets.reduce((sum, set) => sum + set.minutes, 0);
  const [first] = sets;
  const many = sets.length > 1;
  return [
    `Hello ${name},`,
    `${many ? `${sets.length} of your radios do` : `your radio ${first?.nickname} does`} not have our newest channels yet (${planName}, revision ${number}). It takes about ${counted(minutes, 'minute')}${many ? ' in all' : ''}.`,
    ...(many
      ? sets.map((set) => `${set.nickname}, ${counted(set.minutes, 'minute')}: ${set.address}`)
      : [`Open this and follow the steps: ${first?.address}`]),
    `When ${many ? 'one' : 'it'} is done, say so there. If a step does not show what it should, stop and ask.`,
  ].join('\n');
}

/** A time of work: minutes, or hours with a half. */
export function hoursText(minutes: number): string {
  if (minutes < 90) return counted(minutes, 'minute');
  const halves = Math.round(minutes / 30);
  return `${halves / 2} hours`;
}

/** Parts of a bar, in the order in which they stand. */
const PARTS = [
  ['checked', 'up to date and checked', true],
  ['partly', 'up to date, checked in part', true],
  ['held', 'up to date, not checked', true],
  ['failed', 'up to date, a check failed', true],
  ['late', 'to load', false],
  ['unknown', 'not known', false],
  ['blocked', 'waiting', false],
] as const;
/** Which part of a bar a set belongs to; none where the plan has nothing for it, or it is not there. */
function partOf(standing: Standing | null): (typeof PARTS)[number][0] | undefined {
  if (standing === null) return 'blocked';
  if (standing.state === 'nothing' || standing.state === 'away') return undefined;
  if (standing.state !== 'held') return standing.state;
  if (standing.checked === 'failed' || standing.kindChanged) return 'failed';
  return standing.checked === 'unchecked' ? 'held' : standing.checked;
}

/** How many sets there are of each standing, the ones that are done first; what is nowhere is left out. */
export function standingCounts(rows: readonly { readonly standing: Standing | null }[]) {
  return PARTS.map(([key, word, isDone]) => ({
    key,
    word,
    isDone,
    count: rows.filter(({ standing }) => partOf(standing) === key).length,
  })).filter(({ count }) => count > 0);
}
