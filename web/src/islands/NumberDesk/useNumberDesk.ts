import { useStore } from '@nanostores/react';
import { type Numbering, numberingWishes } from '@umbrex/core/fit';
import { headOf, type Plan } from '@umbrex/core/model';
import { useEffect, useRef, useState } from 'react';
import { numberInWorker } from '../../workers/fitClient';
import { $desk, type DeskState, savePlanHead, startDesk } from '../desk/deskStore';

/** The state of the numbering: what somebody holds fast, what comes of it, and whether it is the plan's yet. */
export function useNumberDesk(initial: Omit<DeskState, 'computing'>) {
  const seeded = useRef(false);
  if (!seeded.current) {
    startDesk(initial);
    seeded.current = true;
  }
  const [begun] = useState(() => ({ ...initial, computing: false }));
  const desk = useStore($desk) ?? begun;
  const { plan, units, descriptions } = desk;
  const [pins, setPins] = useState<Readonly<Record<string, number>>>(() => numberingWishes(plan).pins);
  const [result, setResult] = useState<Numbering | null>(null);
  const [failed, setFailed] = useState(false);
  const round = useRef(0);

  useEffect(() => {
    const mine = ++round.current;
    const { last } = numberingWishes(plan);
    numberInWorker(plan, units, descriptions, { last, pins }).then(
      (found) => mine === round.current && setResult(found),
      () => mine === round.current && setFailed(true),
    );
  }, [plan, units, descriptions, pins]);

  const pin = (channelId: string, number: number | null) =>
    setPins(({ [channelId]: _, ...others }) =>
      number === null ? others : { ...others, [channelId]: number },
    );
  const save = (numbering: Plan['numbering']) => savePlanHead({ ...headOf(plan), numbering });
  const take = () => {
    if (!result) return;
    const numbers = Object.fromEntries(
      result.channels.flatMap(({ channelId, number }) => (number === null ? [] : [[channelId, number]])),
    );
    const held = result.channels.flatMap(({ channelId, pinned }) => (pinned ? [channelId] : []));
    void save({ numbers, pins: held });
  };
  const forget = () => void save(null).then((ok) => ok && setPins({}));

  const numbers = plan.numbering?.numbers ?? {};
  const kindTitle = new Map(desk.board.kinds.map(({ key, title }) => [key, title]));
  const groups = plan.groups.map((group) => ({
    group,
    rows: plan.channels
      .filter(({ groupId }) => groupId === group.id)
      .flatMap((channel) => {
        const found = result?.channels.find(({ channelId }) => channelId === channel.id);
        return found
          ? [{ channel, found, last: numbers[channel.id] ?? null, pin: pins[channel.id] ?? null }]
          : [];
      }),
  }));
  const isSaved =
    result !== null &&
    plan.numbering !== null &&
    result.channels.every(({ channelId, number }) => (numbers[channelId] ?? null) === number) &&
    Object.keys(pins).sort().join() === [...plan.numbering.pins].sort().join();
  return {
    result,
    failed,
    groups: groups.filter(({ rows }) => rows.length > 0),
    sets: units.length,
    kindTitle,
    channelName: new Map(plan.channels.map(({ id, name }) => [id, name])),
    isNumbered: plan.numbering !== null,
    isSaved,
    mayEdit: desk.mayEdit,
    pin,
    take,
    forget,
  };
}
