import type { PlanFinding } from './check/index';
import type { Prepared } from './flow';
import {
  type Choice,
  type Cost,
  type Decided,
  kindOf,
  type Person,
  type Plan,
  type Unit,
} from './model/index';
import type { SheetStop } from './readiness';
import { isUnsettled, type Pair } from './rules/index';

/** What a set's sheet for the draft comes to, as far as publishing asks. */
export interface SheetCost {
  readonly unitId: string;
  readonly descriptionId: string;
  /** Whoever holds it; empty where nobody of the roster does. */
  readonly personId: string | null;
  /** A sheet that could not be made at all. */
  readonly isBroken: boolean;
  readonly stops: readonly SheetStop[];
  /** Whether anything in it changes. */
  readonly isTouched: boolean;
  /** Whether it holds what it should hold so far: if anything changes, then by this draft alone. */
  readonly isUpToDate: boolean;
  /** Where not all is known of what it holds: whether its sheet sets each place as it shall be, or resets the set first. */
  readonly begins: 'keep' | 'clean' | null;
  readonly presses: number;
  readonly namePresses: number;
  readonly minutes: number;
}

/**
 * What a set's sheet comes to.
 * @param prepared its sheet; `undefined` where it could not be made
 */
export function sheetCost(
  unit: Pick<Unit, 'id' | 'descriptionId' | 'personId' | 'holds' | 'start'>,
  prepared: Pick<Prepared, 'changes' | 'sheet'> | undefined,
  more: Pick<SheetCost, 'stops' | 'isUpToDate' | 'namePresses' | 'minutes'>,
): SheetCost {
  const { changes, sheet } = prepared ?? {};
  return {
    unitId: unit.id,
    descriptionId: unit.descriptionId,
    personId: unit.personId,
    isBroken: prepared === undefined,
    isTouched: changes !== undefined && changes.places.length + changes.settings.length > 0,
    begins: unit.holds.rest === 'factory' ? null : unit.start === 'reset' ? 'clean' : 'keep',
    presses: sheet?.presses ?? 0,
    ...more,
  };
}

/** What stops a draft from being published, until it is mended or overruled; `mark` is the same for the same thing. */
export type Blocker = { readonly mark: string } & (
  | { readonly code: 'plan-wrong'; readonly found: PlanFinding }
  | { readonly code: 'permission-open'; readonly channelId: string }
  | { readonly code: 'sheet-not-proven'; readonly descriptionId: string; readonly unitIds: readonly string[] }
  | { readonly code: 'sheet-not-made'; readonly descriptionId: string; readonly unitIds: readonly string[] }
  | { readonly code: 'alert-no-areas'; readonly unitIds: readonly string[] }
  | { readonly code: 'alert-no-transmitter'; readonly unitIds: readonly string[] }
);

/**
 * What stops a draft: what Check says is to be mended, permissions that nobody has settled, sheets that do not prove, and alert radios that
 * would not sound. Places of a holder's own stop only their own sheet, not the plan.
 */
export function blockersOf(
  plan: Plan,
  review: readonly PlanFinding[],
  sheets: readonly SheetCost[],
  unsettled: readonly Pair[],
): Blocker[] {
  const wrong = review
    .filter(({ next }) => next === 'fix')
    .map((found): Blocker => {
      const { path: _, ...finding } = found.finding as PlanFinding['finding'] & { path?: string };
      return { mark: marked('plan', found.channelId, JSON.stringify(finding)), code: 'plan-wrong', found };
    });
  const asked = new Set(
    review.flatMap(({ finding, channelId }) =>
      finding.code === 'permission-needed' && channelId !== null ? [channelId] : [],
    ),
  );
  const open = plan.channels
    .filter((channel) => asked.has(channel.id) || isUnsettled(channel, { each: null, unsettled }))
    .map(({ id }): Blocker => ({ mark: marked('permission', id), code: 'permission-open', channelId: id }));
  return [...wrong, ...open, ...sheetBlockers(sheets)];
}

function sheetBlockers(sheets: readonly SheetCost[]): Blocker[] {
  const byKind = new Map<string, SheetCost[]>();
  for (const sheet of sheets) {
    const those = byKind.get(sheet.descriptionId) ?? [];
    byKind.set(sheet.descriptionId, those);
    those.push(sheet);
  }
  const ids = (those: readonly SheetCost[]) => those.map(({ unitId }) => unitId);
  const ofKinds = [...byKind].flatMap(([descriptionId, those]): Blocker[] => {
    const broken = those.filter(({ isBroken }) => isBroken);
    const unproven = those.filter(({ stops }) => stops.includes('not-proven'));
    return [
      ...(broken.length > 0
        ? [
            {
              mark: marked('not-made', descriptionId),
              code: 'sheet-not-made',
              descriptionId,
              unitIds: ids(broken),
            } as const,
          ]
        : []),
      ...(unproven.length > 0
        ? [
            {
              mark: marked('not-proven', descriptionId),
              code: 'sheet-not-proven',
              descriptionId,
              unitIds: ids(unproven),
            } as const,
          ]
        : []),
    ];
  });
  const stoppedBy = (stop: SheetStop) => ids(sheets.filter(({ stops }) => stops.includes(stop)));
  const [areas, transmitter] = [stoppedBy('no-areas'), stoppedBy('no-transmitter')];
  return [
    ...ofKinds,
    ...(areas.length > 0
      ? [{ mark: 'alert-no-areas', code: 'alert-no-areas', unitIds: areas } as const]
      : []),
    ...(transmitter.length > 0
      ? [{ mark: 'alert-no-transmitter', code: 'alert-no-transmitter', unitIds: transmitter } as const]
      : []),
  ];
}

/** A mark of at most 600 characters, the same for the same thing. */
const marked = (...parts: (string | null)[]) =>
  parts
    .map((part) => part ?? '')
    .join(' ')
    .slice(0, 600);

/** What loading comes to over all sets whose sheet could be made. Minutes at a calm pace, whole ones, upwards for each set. */
export function costOf(sheets: readonly SheetCost[]): Cost {
  const touched = sheets.filter(({ isTouched }) => isTouched);
  const sum = (of: (sheet: SheetCost) => number) => touched.reduce((all, sheet) => all + of(sheet), 0);
  return {
    sets: sheets.length,
    touched: touched.length,
    people: new Set(touched.flatMap(({ personId }) => personId ?? [])).size,
    presses: Math.round(sum(({ presses }) => presses)),
    minutes: sum(({ minutes }) => Math.ceil(minutes)),
  };
}

/** A choice in which groups differ: what the draft has, what would be taken and why, and who decided it so before. */
export interface ChoiceToMake {
  readonly choice: Choice;
  readonly value: string;
  readonly proposed: string;
  /** The figures that the proposal rests on. */
  readonly of: number;
  readonly all: number;
  /** Somebody decided for this value already. */
  readonly decided: Decided | undefined;
}

/**
 * The choices that a coordinator makes for all sets, each with a proposal and its figures.
 * @param before what was decided with the last revision
 */
export function choicesOf(
  plan: Plan,
  sheets: readonly SheetCost[],
  people: readonly Pick<Person, 'licences'>[],
  before: readonly Decided[],
): ChoiceToMake[] {
  const repeaters = plan.channels.filter((channel) => kindOf(channel) === 'repeater');
  const silent = repeaters.filter(({ receiveTone }) => receiveTone === 'off' || receiveTone === 'unknown');
  const first = plan.channels.filter(({ scan }) => scan === 'priority').length;
  const cost = costOf(sheets);
  const namePresses = Math.round(
    sheets.reduce((sum, { isTouched, namePresses: names }) => sum + (isTouched ? names : 0), 0),
  );
  const begun = sheets.filter(({ begins, isTouched }) => begins !== null && isTouched);
  const clean = begun.filter(({ begins }) => begins === 'clean');
  const without = people.filter(({ licences }) => licences.length === 0);
  const made: Omit<ChoiceToMake, 'decided'>[] = [
    {
      choice: 'tones',
      value: plan.receivePolicy,
      // Most send no tone that is known: a closed receiver would gain little, and miss who comes by.
      proposed: silent.length * 2 > repeaters.length ? 'open' : 'closed',
      of: repeaters.length - silent.length,
      all: repeaters.length,
    },
    {
      choice: 'priority',
      value: first === 0 ? 'none' : first === 1 ? 'one' : 'several',
      // Most sets look at one place in between while they scan, and each look cuts the sound (common practice).
      proposed: plan.channels.length === 0 ? 'none' : 'one',
      of: first,
      all: plan.channels.length,
    },
    {
      choice: 'without-right',
      value: plan.withoutRight,
      proposed: 'leave-out',
      of: without.length,
      all: people.length,
    },
    {
      choice: 'names',
      value: plan.naming.all,
      proposed: namePresses * 2 > cost.presses ? 'later' : 'now',
      of: namePresses,
      all: cost.presses,
    },
    {
      choice: 'spares',
      value: plan.spares,
      proposed: without.length > 0 ? 'listen-only' : 'licensed',
      of: without.length,
      all: people.length,
    },
    {
      choice: 'planned',
      value: plan.planned,
      // So that nobody loads twice (common practice).
      proposed: 'load',
      of: plan.channels.filter(({ state }) => state === 'planned').length,
      all: plan.channels.length,
    },
    {
      choice: 'start',
      value: clean.length === 0 ? 'keep' : clean.length < begun.length ? 'both' : 'clean',
      // What a holder has in a set is theirs: kept, with a backup first (common practice).
      proposed: 'keep',
      of: clean.length,
      all: begun.length,
    },
  ];
  return made.map((one) => ({
    ...one,
    decided: before.find(({ choice, value }) => choice === one.choice && value === one.value),
  }));
}
