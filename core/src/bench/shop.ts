import type { BenchJob, Way } from './job';

/** One way to load a set, with everything as places in lists. */
export interface Option {
  readonly way: Way;
  readonly minutes: number;
  readonly masters: readonly number[];
}

/** A bench day made ready for many tries. */
export interface Shop {
  readonly people: readonly { readonly from: number; readonly to: number }[];
  /** From when on each stand is free. */
  readonly stands: readonly number[];
  /** Of each master the set that it is; -1 where it was loaded before. */
  readonly masters: readonly number[];
  /** From when on each master is free, where it was loaded before. */
  readonly mastersFrom: readonly number[];
  /** Of each set who may do it, and how. */
  readonly sets: readonly { readonly people: readonly number[]; readonly options: readonly Option[] }[];
}

/** A set of somebody who is not there, and a way that needs what is not there, have no chance; nor has a copy from itself. */
export function shopOf(job: BenchJob): Shop {
  const placeOf = (list: readonly { id: string }[]) => new Map(list.map(({ id }, i) => [id, i]));
  const [people, masters, sets] = [placeOf(job.people), placeOf(job.masters), placeOf(job.sets)];
  const everybody = job.people.map((_, i) => i);
  return {
    people: job.people.map(({ fromMin, toMin }) => ({ from: fromMin, to: Math.min(toMin, job.untilMin) })),
    stands: job.stands.map(({ fromMin = 0 }) => fromMin),
    masters: job.masters.map(({ setId }) => sets.get(setId) ?? -1),
    mastersFrom: job.masters.map(({ fromMin = 0 }) => fromMin),
    sets: job.sets.map(({ personId, ways }, at) => {
      const owner = personId === null ? undefined : people.get(personId);
      return {
        people: personId === null ? everybody : owner === undefined ? [] : [owner],
        options: ways.flatMap(({ way, minutes, masterIds }): Option[] => {
          const from = masterIds.flatMap((id) => masters.get(id) ?? []);
          const other = from.filter((master) => sets.get(job.masters[master]?.setId ?? '') !== at);
          if (way === 'file' && job.stands.length === 0) return [];
          if (way === 'copy' && other.length === 0) return [];
          return [{ way, minutes, masters: way === 'copy' ? other : [] }];
        }),
      };
    }),
  };
}
