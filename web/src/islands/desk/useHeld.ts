import { type Names, THINGS } from '@umbrex/core/fields';
import type { Finding } from '@umbrex/core/findings';
import type { BenchDay, Find, Net, Person, Station, Team, Unit } from '@umbrex/core/model';
import { useCallback, useEffect, useState } from 'react';
import type { Versioned } from '../../contract/things';
import { findingText } from '../../messages/findings';
import { call, failureText, isGone, newerOf, Refusal } from './api';
import { $conflict, $notice } from './deskStore';

/** A thing with the version that an edit must name. */
export type Held<T> = Versioned<T>;

/** What is kept in such a list, and where its routes are. */
interface Lists {
  readonly units: Unit;
  readonly people: Person;
  readonly teams: Team;
  readonly stations: Station;
  readonly nets: Net;
  readonly benches: BenchDay;
  readonly finds: Find;
}
const ROUTES = {
  units: ['unit', 'POST /api/units', 'PUT /api/units/[unitId]', 'DELETE /api/units/[unitId]'],
  people: ['person', 'POST /api/people', 'PUT /api/people/[id]', 'DELETE /api/people/[id]'],
  teams: ['team', 'POST /api/teams', 'PUT /api/teams/[id]', 'DELETE /api/teams/[id]'],
  stations: ['station', 'POST /api/stations', 'PUT /api/stations/[id]', 'DELETE /api/stations/[id]'],
  benches: ['bench', 'POST /api/benches', 'PUT /api/benches/[id]', 'DELETE /api/benches/[id]'],
  finds: ['find', 'POST /api/finds', 'PUT /api/finds/[id]', 'DELETE /api/finds/[id]'],
  nets: ['net', 'POST /api/nets', 'PUT /api/nets/[id]', 'DELETE /api/nets/[id]'],
} as const;

interface Options {
  /** What ids inside of it stand for. */
  readonly names?: Names;
}

/** A list of things of one kind: adding, changing and deleting, each with undo; a stale change opens the dialogue with both versions. */
export function useHeld<L extends keyof Lists, T extends Lists[L] = Lists[L]>(
  list: L,
  initial: readonly Held<T>[],
  { names = {} }: Options = {},
) {
  const [kind, post, put, take] = ROUTES[list];
  const titleOf = THINGS[kind].nameOf as (value: T) => string;
  const at = (id: string) => ({ id, unitId: id });
  const [held, setHeld] = useState(initial);
  // An edit undone from the notice is not in this list yet: fetch the page anew.
  useEffect(() => {
    const anew = () => window.location.reload();
    document.addEventListener('umbrex:undone', anew);
    return () => document.removeEventListener('umbrex:undone', anew);
  }, []);

  const keep = useCallback(
    (current: Held<T>) =>
      setHeld((now) => now.map((entry) => (entry.value.id === current.value.id ? current : entry))),
    [],
  );

  /** @param clash what to do when somebody changed it meanwhile: with the newer state, or nothing when it is gone */
  const attempt = async (
    action: () => Promise<{ text: string; editId: string | null }>,
    clash?: (current: Held<T> | null) => void,
  ): Promise<boolean> => {
    try {
      const { text, editId } = await action();
      $notice.set({ text, kind: 'done', ...(editId && { editId }) });
      return true;
    } catch (error) {
      const first = newerOf<Versioned<T | null> | null>(error);
      const now = first?.current?.value
        ? { value: first.current.value, version: first.current.version }
        : null;
      if ((first || isGone(error)) && clash) clash(now);
      else if (first) {
        if (now) keep(now);
        $notice.set({
          text: 'Somebody changed this meanwhile. The newer state is shown; look at it, then do it again.',
          kind: 'failed',
        });
      } else if (error instanceof Refusal && error.findings.length > 0) {
        const [finding] = error.findings;
        const [, , field = ''] = ((finding as { path?: string }).path ?? '').split('/');
        const titles = THINGS[kind].fields as Readonly<Record<string, { column: string } | undefined>>;
        const { what } = findingText(finding as Finding);
        $notice.set({ text: titles[field] ? `${titles[field].column}: ${what}` : what, kind: 'failed' });
      } else $notice.set({ text: failureText(error), kind: 'failed' });
      return false;
    }
  };
  const byName = (a: Held<T>, b: Held<T>) => titleOf(a.value).localeCompare(titleOf(b.value));

  const add = (value: T) =>
    attempt(async () => {
      const { version, editId } = await call(post, {}, { value } as never);
      setHeld((now) =>
        [...now.filter((entry) => entry.value.id !== value.id), { value, version }].sort(byName),
      );
      return { text: `${titleOf(value)} is in the list.`, editId };
    });
  const save = (value: T, version: number): Promise<boolean> =>
    attempt(
      async () => {
        const saved = await call(put, at(value.id), { version, value } as never);
        // What the server added to it belongs to it from now on.
        keep({ value: saved.value as T, version: saved.version });
        return {
          text: saved.editId ? `${titleOf(value)} is saved.` : 'Nothing was different.',
          editId: saved.editId,
        };
      },
      (current) =>
        $conflict.set({
          kind,
          name: titleOf(value),
          mine: value,
          theirs: current?.value ?? null,
          names,
          keepTheirs: async () =>
            current ? keep(current) : setHeld((now) => now.filter((h) => h.value.id !== value.id)),
          keepMine: () => save(value, current?.version ?? 0),
        }),
    );
  const remove = ({ value, version }: Held<T>) =>
    attempt(async () => {
      const { editId } = await call(take, at(value.id), { version });
      setHeld((now) => now.filter((entry) => entry.value.id !== value.id));
      return { text: `${titleOf(value)} is deleted.`, editId };
    });
  return { held, add, save, remove, keep };
}
