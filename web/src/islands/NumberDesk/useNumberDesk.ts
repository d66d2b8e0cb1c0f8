import { awayOf } from '@umbrex/core/evidence';
import { type Numbering, numberingWishes, numbersOf, type TogetherNumbering } from '@umbrex/core/fit';
import { headOf, type Plan } from '@umbrex/core/model';
import { useEffect, useRef, useState } from 'react';
import { numberInWorker } from '../../workers/fitClient';
import { numberTogetherInWorker } from '../../workers/togetherClient';
import { type DeskState, savePlanHead } from '../desk/deskStore';
import { useDesk } from '../desk/useDesk';
import { useOtherNumbers } from './useOtherNumbers';

/** The state of the numbering: what somebody holds fast, what comes of it, and whether it is the plan's yet. */
export function useNumberDesk(initial: Omit<DeskState, 'computing'>) {
  const desk = useDesk(initial);
  const { plan, units, descriptions, grounds } = desk;
  const [pins, setPins] = useState<Readonly<Record<string, number>>>(() => numberingWishes(plan).pins);
  const [result, setResult] = useState<Numbering | null>(null);
  const [failed, setFailed] = useState(false);
  const round = useRef(0);
  /** Groups whose channels shall stand in a row, and the numbering that keeps them so. */
  const [inRow, setInRow] = useState<readonly string[]>([]);
  const [kept, setKept] = useState<TogetherNumbering | null>(null);
  const [working, setWorking] = useState<{ stop: () => void; since: number } | null>(null);
  const [seconds, setSeconds] = useState(0);
  const [rowFault, setRowFault] = useState<string | null>(null);

  const stop = () => {
    working?.stop();
    setWorking(null);
  };
  // biome-ignore lint/correctness/useExhaustiveDependencies: another plan or pin makes what was kept in rows out of date
  useEffect(() => {
    setKept(null);
    stop();
  }, [plan, units, descriptions, pins, inRow]);
  useEffect(() => {
    if (!working) return;
    const tick = () => setSeconds(Math.round((Date.now() - working.since) / 1000));
    tick();
    const timer = setInterval(tick, 1000);
    return () => clearInterval(timer);
  }, [working]);
  const workOut = () => {
    setRowFault(null);
    const { last } = numberingWishes(plan);
    const job = numberTogetherInWorker(plan, desk, { last, pins }, inRow);
    const mine = { stop: job.stop, since: Date.now() };
    setWorking(mine);
    const done = () => setWorking((now) => (now === mine ? null : now));
    job.result.then(
      (found) => {
        done();
        if (found) setKept(found);
        else
          setRowFault(
            'No numbering keeps these groups in a row with these numbers held fast. Let one of them go.',
          );
      },
      () => {
        done();
        setRowFault('It could not be worked out. Load the page again.');
      },
    );
  };

  useEffect(() => {
    const mine = ++round.current;
    const { last } = numberingWishes(plan);
    numberInWorker(plan, { units, descriptions, grounds }, { last, pins }).then(
      (found) => mine === round.current && setResult(found),
      () => mine === round.current && setFailed(true),
    );
  }, [plan, units, descriptions, grounds, pins]);

  const others = useOtherNumbers(desk, { ...numberingWishes(plan), pins }, result);
  const pin = (channelId: string, number: number | null) =>
    setPins(({ [channelId]: _, ...others }) =>
      number === null ? others : { ...others, [channelId]: number },
    );
  const save = (numbering: Plan['numbering']) => savePlanHead({ ...headOf(plan), numbering });
  const shown = kept ?? result;
  const take = () => {
    if (!shown) return;
    const numbers = numbersOf(shown);
    const held = shown.channels.flatMap(({ channelId, pinned }) => (pinned ? [channelId] : []));
    void save({ numbers, pins: held });
  };
  const forget = () => void save(null).then((ok) => ok && setPins({}));

  const numbers = plan.numbering?.numbers ?? {};
  const boardTitle = new Map(desk.board.kinds.map(({ key, title }) => [key, title]));
  // Sets that stand together on the board may be numbered apart: they go by the title of their kind, which their key begins with.
  const kindTitle = (key: string): string =>
    boardTitle.get(key) ?? descriptions.find(({ id }) => id === key.split(' ')[0])?.title ?? key;
  const groups = plan.groups.map((group) => ({
    group,
    rows: plan.channels
      .filter(({ groupId }) => groupId === group.id)
      .flatMap((channel) => {
        const found = shown?.channels.find(({ channelId }) => channelId === channel.id);
        return found
          ? [{ channel, found, last: numbers[channel.id] ?? null, pin: pins[channel.id] ?? null }]
          : [];
      }),
  }));
  const isSaved =
    shown !== null &&
    plan.numbering !== null &&
    shown.channels.every(({ channelId, number }) => (numbers[channelId] ?? null) === number) &&
    Object.keys(pins).sort().join() === [...plan.numbering.pins].sort().join();
  return {
    planId: plan.id,
    result: shown,
    kept,
    inRow,
    keepInRow: (groupId: string, isKept: boolean) =>
      setInRow((now) => (isKept ? [...now, groupId] : now.filter((id) => id !== groupId))),
    workOut,
    stop,
    isWorking: working !== null,
    seconds,
    rowFault,
    failed,
    groups: groups.filter(({ rows }) => rows.length > 0),
    sets: units.length,
    away: awayOf(units).size,
    kindTitle,
    others,
    channelName: new Map(plan.channels.map(({ id, name }) => [id, name])),
    isNumbered: plan.numbering !== null,
    isSaved,
    mayEdit: desk.mayEdit,
    pin,
    take,
    forget,
  };
}
