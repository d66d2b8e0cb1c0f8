import type { BenchJob } from '@umbrex/core/bench';
import type { BenchDay } from '@umbrex/core/model';
import type { Standing } from '@umbrex/core/standing';
import { useEffect, useRef, useState } from 'react';
import type { BenchLeft } from '../../contract/bench';
import { LEFT_TEXT } from '../../messages/bench';
import { benchInWorker } from '../../workers/benchClient';
import { call, failureText } from '../desk/api';
import { $notice } from '../desk/deskStore';
import { type Held, useHeld } from '../desk/useHeld';
import { useMarks, withWaiting } from './useMarks';

export interface BenchSet {
  readonly id: string;
  readonly version: number;
  readonly nickname: string;
  readonly kind: string;
  readonly personId: string | null;
  /** How it stands towards the revision; `null` where nobody can tell. */
  readonly standing: Standing['state'] | null;
}
export interface BenchProps {
  readonly planId: string;
  readonly revision: number;
  readonly days: readonly Held<BenchDay>[];
  readonly people: readonly { readonly id: string; readonly name: string }[];
  readonly sets: readonly BenchSet[];
  readonly today: string;
  readonly mayEdit: boolean;
  /** Who ticks: what waits is sent as theirs. */
  readonly who: string;
}

/** Which sets had no place, and why. */
export type Left = readonly { readonly id: string; readonly why: BenchLeft | 'no-time' }[];
type Change = Partial<BenchDay>;

/** The next Saturday from a day on, as YYYY-MM-DD: when people come together. */
export function nextSaturday(today: string): string {
  const day = new Date(`${today}T12:00:00Z`);
  day.setUTCDate(day.getUTCDate() + ((6 - day.getUTCDay() + 7) % 7));
  return day.toISOString().slice(0, 10);
}

/** The bench days of a plan: which is open, what is written of it, and how it is worked out. */
export function useBenchDesk(props: BenchProps) {
  const { planId, revision, people, sets, today } = props;
  const days = useHeld('benches', props.days, {
    names: { person: people, unit: sets.map(({ id, nickname }) => ({ id, name: nickname })) },
  });
  const [openId, setOpenId] = useState<string | null>(props.days[0]?.value.id ?? null);
  const [working, setWorking] = useState(false);
  const [left, setLeft] = useState<Left>([]);
  const stop = useRef<() => void>(undefined);
  const given = useRef(0);
  useEffect(() => () => stop.current?.(), []);
  const marks = useMarks(props.who, days.keep);
  const open = days.held.find(({ value }) => value.id === openId) ?? null;
  const setOf = new Map(sets.map((set) => [set.id, set]));
  const personOf = new Map(people.map(({ id, name }) => [id, name]));

  const save = (change: Change) =>
    open ? days.save({ ...open.value, ...change }, open.version) : Promise.resolve(false);
  const begin = async () => {
    const id = crypto.randomUUID();
    const value: BenchDay = {
      id,
      name: `Bench day for revision ${revision}`,
      planId,
      revision,
      day: nextSaturday(today),
      beginsMin: 540,
      lastsMin: 240,
      people: [],
      stands: 1,
      standMin: 5,
      masterIds: [],
      setIds: sets
        .filter(({ standing }) => standing === 'late' || standing === 'unknown')
        .map((set) => set.id)
        .slice(0, 300),
      tasks: [],
      lowerBoundMin: null,
      progress: {},
      note: '',
    };
    if (await days.add(value)) setOpenId(id);
  };

  /** Minutes since the day began, on the day itself. */
  const nowOf = ({ day, beginsMin }: BenchDay): number => {
    const now = new Date();
    if (day !== today) return 0;
    return Math.max(0, now.getHours() * 60 + now.getMinutes() - beginsMin);
  };
  const workOut = async (day: BenchDay, version: number) => {
    const round = ++given.current;
    const isOver = () => round !== given.current;
    setWorking(true);
    try {
      const { masterIds, setIds, standMin } = day;
      const ways = await call(
        'POST /api/plans/[planId]/ways',
        { planId },
        { of: day.revision, setIds, masterIds, standMin },
      );
      if (isOver()) return;
      const there = new Set(day.people.map(({ id }) => id));
      const job: BenchJob = {
        format: 'umbrex/bench@1',
        untilMin: day.lastsMin,
        people: day.people.map(({ id, fromMin, toMin }) => ({
          id,
          fromMin,
          toMin: Math.min(toMin, day.lastsMin),
        })),
        stands: Array.from({ length: day.stands }, (_, i) => ({ id: `stand ${i + 1}` })),
        masters: masterIds.map((id) => ({ id, setId: id })),
        // Whoever comes does their own sets; those of others were brought, and anybody does them.
        sets: ways.sets.map((set) => ({
          ...set,
          personId: set.personId !== null && there.has(set.personId) ? set.personId : null,
        })),
      };
      const work = benchInWorker(job, day.tasks, day.progress, nowOf(day));
      stop.current = work.stop;
      const found = await work.result;
      if (isOver()) return;
      const known = ways.left.filter(({ id }) => day.progress[id] === undefined);
      setLeft([...known, ...found.unscheduled.map((id) => ({ id, why: 'no-time' as const }))]);
      await days.save(
        { ...day, tasks: [...found.tasks], lowerBoundMin: Math.min(1440, found.lowerBoundMin) },
        version,
      );
    } catch (error) {
      if (!isOver()) $notice.set({ text: failureText(error), kind: 'failed' });
    } finally {
      if (!isOver()) setWorking(false);
    }
  };
  const giveUp = () => {
    given.current += 1;
    stop.current?.();
    setWorking(false);
  };

  return {
    ...props,
    days,
    open,
    openId,
    setOpenId,
    begin,
    save,
    workOut: () => (open ? workOut(open.value, open.version) : Promise.resolve()),
    working,
    giveUp,
    left: left.map(({ id, why }) => ({
      id,
      name: setOf.get(id)?.nickname ?? 'a set that is gone',
      why: LEFT_TEXT[why],
    })),
    mark: (setId: string, state: BenchDay['progress'][string]) =>
      open ? marks.mark(open.value.id, setId, state) : Promise.resolve(),
    marks,
    /** The same with what waits to be sent. */
    shown: open && withWaiting(open.value, marks.waiting),
    setName: (id: string) => setOf.get(id)?.nickname ?? 'a set that is gone',
    personName: (id: string) => personOf.get(id) ?? 'somebody who is gone',
    remove: () => (open ? days.remove(open) : Promise.resolve(false)),
  };
}
