import { STANDINGS, type Standing } from '@umbrex/core/standing';
import { useState } from 'react';
import type { Seen } from '../../contract/revisions';
import type { RolloutRow } from '../../contract/rollout';
import { counted } from '../../messages/labels';
import { messageTo } from '../../messages/rollout';
import { call } from '../desk/api';
import { $notice, sayAfterLoad } from '../desk/deskStore';
import { useAttempt } from '../desk/useAttempt';

export interface RolloutProps {
  readonly planId: string;
  readonly planName: string;
  readonly number: number;
  readonly rows: readonly RolloutRow[];
  readonly teams: readonly { readonly id: string; readonly name: string }[];
  readonly mayEdit: boolean;
  readonly today: string;
}

export type StateOf = Standing['state'] | 'broken';
export const STATES: readonly StateOf[] = [...STANDINGS, 'broken'];
export const stateOf = ({ standing }: RolloutRow): StateOf => standing?.state ?? 'broken';

/** A mark that can be given to several sets at once. */
export type Marking =
  | 'loaded-keys'
  | 'loaded-file'
  | 'loaded-copy'
  | 'read-back-pass'
  | 'two-way-pass'
  | 'contradicted';

const CHANGED = 'One of these sets was changed meanwhile. Load the page again, then say it once more.';

/** The rollout: which sets are shown, which are chosen, and what is said of those. */
export function useRolloutDesk(props: RolloutProps) {
  const { planId, planName, number, rows, today } = props;
  const [states, setStates] = useState<ReadonlySet<StateOf>>(new Set());
  const [whose, setWhose] = useState('');
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const { busy, attempt } = useAttempt(CHANGED);

  const kinds = [...new Set(rows.map(({ kind }) => kind))].sort((a, b) => a.localeCompare(b));
  const holders = new Map(
    rows.flatMap(({ personId, holder }) => (personId ? [[personId, holder] as const] : [])),
  );
  const isWhose = ({ kind, personId, teamIds }: RolloutRow) =>
    whose === '' ||
    whose === `kind ${kind}` ||
    whose === `person ${personId}` ||
    teamIds.some((id) => whose === `team ${id}`);
  const mine = rows.filter(isWhose);
  const shown = mine.filter((row) => states.size === 0 || states.has(stateOf(row)));
  const counts = new Map(STATES.map((state) => [state, mine.filter((row) => stateOf(row) === state).length]));
  // What is not shown is not meant.
  const those = shown.filter(({ unitId }) => chosen.has(unitId));

  const seenBy: Readonly<Record<Marking, Seen>> = {
    'loaded-keys': { what: 'loaded', of: number, way: 'keys', day: today, by: '' },
    'loaded-file': { what: 'loaded', of: number, way: 'file', day: today, by: '' },
    'loaded-copy': { what: 'loaded', of: number, way: 'copy', day: today, by: '' },
    'read-back-pass': {
      what: 'checked',
      check: 'read-back',
      number: null,
      result: 'pass',
      note: '',
      day: today,
      by: '',
    },
    'two-way-pass': {
      what: 'checked',
      check: 'two-way',
      number: null,
      result: 'pass',
      note: '',
      day: today,
      by: '',
    },
    contradicted: { what: 'contradicted', note: '', day: today, by: '' },
  };
  const mark = (marking: Marking, words: string) =>
    attempt(async () => {
      const sets = those.map(({ unitId, version }) => ({ id: unitId, version }));
      const { editId } = await call(
        'POST /api/plans/[planId]/seen',
        { planId },
        { sets, seen: seenBy[marking] },
      );
      // What follows from it is worked out by the server.
      sayAfterLoad({ text: `${counted(sets.length, 'set')}: ${words}.`, kind: 'done', editId });
      window.location.reload();
      return undefined;
    });

  const waiting = rows.filter(
    (row) => row.personId !== null && (stateOf(row) === 'late' || stateOf(row) === 'unknown'),
  );
  const people = [...holders]
    .map(([id, name]) => ({ id, name, sets: waiting.filter(({ personId }) => personId === id) }))
    .filter(({ sets }) => sets.length > 0)
    .sort((a, b) => a.name.localeCompare(b.name));
  const messageFor = (id: string): string => {
    const person = people.find((one) => one.id === id);
    if (!person) return '';
    const sets = person.sets.map(({ unitId, nickname, minutes }) => ({
      nickname,
      minutes,
      address: `${window.location.origin}/plans/${planId}/sheets/${unitId}?of=${number}`,
    }));
    return messageTo(person.name, planName, number, sets);
  };
  const copyMessage = async (id: string) => {
    try {
      await navigator.clipboard.writeText(messageFor(id));
      $notice.set({ text: 'The message is copied.', kind: 'done' });
    } catch {
      $notice.set({
        text: 'The browser does not let it be copied: mark the words and copy them by hand.',
        kind: 'failed',
      });
    }
  };
  return {
    ...props,
    kinds,
    holders,
    whose,
    setWhose,
    states,
    toggle: (state: StateOf) =>
      setStates((now) => new Set(now.has(state) ? [...now].filter((one) => one !== state) : [...now, state])),
    counts,
    shown,
    chosen,
    those,
    choose: (id: string, yes: boolean) =>
      setChosen((now) => new Set(yes ? [...now, id] : [...now].filter((one) => one !== id))),
    chooseAll: (yes: boolean) => setChosen(new Set(yes ? shown.map(({ unitId }) => unitId) : [])),
    mark,
    busy,
    people,
    messageFor,
    copyMessage,
  };
}
