import { CAUSES, type Cause, EFFORT_COST, KNOWN, type Symptom, TRIALS, type Trial } from './table';

/** What was found so far, and what was known beforehand: by trial, or by what is known. */
export type Found = Readonly<Record<string, string>>;

/** A cause with how probable it is, and what of all that was found speaks for it most. */
export interface Ranked {
  readonly id: string;
  readonly probability: number;
  /** What speaks for it, strongest first: a trial or something known, with what was found. */
  readonly because: readonly { readonly of: string; readonly found: string }[];
}

/**
 * How likely a finding is where a cause is the matter. What a cause says nothing of is as on any set: usual, but for what goes astray by itself.
 * A finding that the table does not have says nothing.
 */
export function likelihood({ finds }: Cause, of: string, found: string): number {
  const said = finds[of];
  const usual = usualOf(of);
  if (!usual || usual[found] === undefined) return 1;
  if (!said) return usual[found] ?? 1;
  const [what, chance] = said;
  if (found === what) return chance;
  // What remains is spread as it is elsewhere.
  const rest = Object.entries(usual).reduce((sum, [other, p]) => (other === what ? sum : sum + p), 0);
  return rest === 0 ? 1 - chance : (1 - chance) * ((usual[found] ?? 0) / rest);
}

const trials = new Map(TRIALS.map((trial) => [trial.id, trial]));
const usual = new Map<string, Readonly<Record<string, number>>>();
function usualOf(of: string): Readonly<Record<string, number>> | undefined {
  const there = usual.get(of) ?? KNOWN[of] ?? spread(trials.get(of));
  if (there) usual.set(of, there);
  return there;
}
function spread(trial: Trial | undefined): Readonly<Record<string, number>> | undefined {
  if (!trial) return undefined;
  const [first, ...others] = trial.finds;
  return Object.fromEntries([
    [first, 1 - trial.astray],
    ...others.map((other) => [other, trial.astray / others.length]),
  ]);
}

/**
 * Ranks what can be the matter by Bayes’ rule, most probable first: the weight of each cause under this symptom, times how likely it makes each thing
 * that was found. The findings are taken to be independent of each other once the cause is given.
 * @param impossible causes that cannot be on this set, as a picked tone on one that has none
 */
export function rankCauses(symptom: Symptom, found: Found, impossible: ReadonlySet<string> = NONE): Ranked[] {
  const weighed = CAUSES.flatMap((cause) => {
    const prior = cause.when[symptom];
    if (prior === undefined || impossible.has(cause.id)) return [];
    const each = Object.entries(found).map(([of, what]) => ({
      of,
      found: what,
      chance: likelihood(cause, of, what),
    }));
    return [{ cause, each, weight: each.reduce((product, { chance }) => product * chance, prior) }];
  });
  const all = weighed.reduce((sum, { weight }) => sum + weight, 0);
  return weighed
    .map(({ cause, each, weight }): Ranked => {
      const because = each
        .filter(({ of, found, chance }) => chance > (usualOf(of)?.[found] ?? 1) * 1.5)
        .toSorted(
          (a, b) => b.chance / (usualOf(b.of)?.[b.found] ?? 1) - a.chance / (usualOf(a.of)?.[a.found] ?? 1),
        );
      return {
        id: cause.id,
        probability: all > 0 ? weight / all : 0,
        because: because.map(({ of, found }) => ({ of, found })),
      };
    })
    .toSorted((a, b) => b.probability - a.probability || a.id.localeCompare(b.id, 'en'));
}

const NONE: ReadonlySet<string> = new Set();

/** Enough is known once one cause is this probable; and a question that teaches less than this much is not worth asking, in bits for the effort of a look. */
const SURE = 0.8;
const WORTH_BITS = 0.04;

const bits = (ranked: readonly Ranked[]): number =>
  ranked.reduce((sum, { probability: p }) => (p > 0 ? sum - p * Math.log2(p) : sum), 0);

/**
 * What to find out next: what teaches most for its effort; `null` where one cause is sure enough, or nothing teaches enough.
 * @param cannot trials that this set has nothing for, or that nobody can do now
 */
export function nextTrial(
  symptom: Symptom,
  found: Found,
  cannot: ReadonlySet<string> = NONE,
  impossible: ReadonlySet<string> = NONE,
): Trial | null {
  const ranked = rankCauses(symptom, found, impossible);
  if ((ranked[0]?.probability ?? 1) >= SURE) return null;
  const now = bits(ranked);
  const worth = TRIALS.filter(
    ({ id, of }) => found[id] === undefined && !cannot.has(id) && (of === undefined || of.includes(symptom)),
  ).map((trial) => {
    const left = trial.finds.reduce((sum, what) => {
      const chance = chanceOf(symptom, ranked, trial.id, what);
      return chance > 0
        ? sum + chance * bits(rankCauses(symptom, { ...found, [trial.id]: what }, impossible))
        : sum;
    }, 0);
    return { trial, worth: (now - left) / EFFORT_COST[trial.effort] };
  });
  const best = worth.reduce<(typeof worth)[number] | null>(
    (one, two) => (one && one.worth >= two.worth ? one : two),
    null,
  );
  return best && best.worth >= WORTH_BITS ? best.trial : null;
}

/** How likely a finding is by what is known so far. */
function chanceOf(symptom: Symptom, ranked: readonly Ranked[], of: string, what: string): number {
  return ranked.reduce((sum, { id, probability }) => {
    const cause = CAUSES.find((one) => one.id === id && one.when[symptom] !== undefined);
    return cause ? sum + probability * likelihood(cause, of, what) : sum;
  }, 0);
}
