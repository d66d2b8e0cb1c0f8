import type { Faults } from './faults';

/** What a part of the kit needs of one field of a form that is one value: what stands there, how it is changed, and what is wrong with it. */
export function fieldsOf<T extends object>(form: T, set: (change: Partial<T>) => void, faults: Faults = {}) {
  return <K extends keyof T & string>(name: K, at: string = name) => ({
    value: form[name],
    set: (value: T[K]) => set({ [name]: value } as unknown as Partial<T>),
    fault: faults[at],
  });
}
