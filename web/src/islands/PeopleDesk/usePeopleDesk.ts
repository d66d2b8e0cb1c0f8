import type { Person, PlanHead, Team, Unit } from '@umbrex/core/model';
import { useEffect, useMemo, useState } from 'react';
import type { CardLink } from '../../contract/card';
import type { SentTo } from '../../contract/routes';
import { counted } from '../../messages/labels';
import { useAddress } from '../../ui/address';
import { call, failureText } from '../desk/api';
import { $notice, sayAfterLoad } from '../desk/deskStore';
import { type Held, useHeld } from '../desk/useHeld';
import { usePlanHead } from '../desk/usePlanHead';

export interface PeopleProps {
  readonly planId: string;
  readonly people: readonly Held<Person>[];
  readonly teams: readonly Held<Team>[];
  readonly units: readonly Unit[];
  /** The plan's own part, with its version: it says which groups of channels a team's sets carry. */
  readonly head: PlanHead;
  readonly planVersion: number;
  /** What each may transmit on, by the rules, in words. */
  readonly mayTalk: Readonly<Record<string, string>>;
  /** The links to cards that were given out; `null` for those who give out none. */
  readonly cardLinks: readonly CardLink[] | null;
  readonly today: string;
  /** Whose details are open at first. */
  readonly first: string | null;
}

/** The state of the roster: people and teams, who is open, who is chosen for one change to all. */
export function usePeopleDesk(props: PeopleProps) {
  const teams = useHeld('teams', props.teams);
  const { head, saveCarried } = usePlanHead(props.planId, { head: props.head, version: props.planVersion });
  const people = useHeld('people', props.people, {
    names: { team: teams.held.map(({ value }) => value) },
  });
  const [openId, setOpenId] = useState(props.first);
  useAddress('person', openId);
  useEffect(() => {
    if (props.first) document.getElementById(`person-${props.first}`)?.scrollIntoView({ block: 'nearest' });
  }, [props.first]);
  const [filter, setFilter] = useState('');
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const teamName = useMemo(
    () => new Map(teams.held.map(({ value }) => [value.id, value.name])),
    [teams.held],
  );
  const unitsOf = useMemo(() => {
    const of = new Map<string, Unit[]>();
    for (const unit of props.units)
      if (unit.personId) of.set(unit.personId, [...(of.get(unit.personId) ?? []), unit]);
    return of;
  }, [props.units]);

  const needle = filter.trim().toLowerCase();
  const shown = people.held.filter(({ value }) =>
    [value.name, value.contact, value.note, ...value.teamIds.map((id) => teamName.get(id) ?? '')]
      .join('\n')
      .toLowerCase()
      .includes(needle),
  );
  const toggle = (id: string) =>
    setChosen((now) => {
      const next = new Set(now);
      if (!next.delete(id)) next.add(id);
      return next;
    });
  const toggleAll = () =>
    setChosen((now) => (now.size > 0 ? new Set() : new Set(shown.map(({ value }) => value.id))));

  const bulk = async (change: SentTo<'POST /api/roster/bulk'>['change']) => {
    const chosenPeople = people.held
      .filter(({ value }) => chosen.has(value.id))
      .map(({ value, version }) => ({ id: value.id, version }));
    try {
      const { changed, editId } = await call('POST /api/roster/bulk', {}, { people: chosenPeople, change });
      const done = change.do === 'delete' ? 'deleted' : 'changed';
      sayAfterLoad({ text: `${counted(changed, 'person', 'people')} ${done}.`, kind: 'done', editId });
      window.location.reload();
    } catch (error) {
      $notice.set({
        text: failureText(
          error,
          'Somebody changed one of them meanwhile; nothing was changed. Load the page again.',
        ),
        kind: 'failed',
      });
    }
  };
  const open = people.held.find(({ value }) => value.id === openId) ?? null;
  return {
    ...props,
    head,
    saveCarried,
    people,
    teams,
    teamName,
    unitsOf,
    open,
    setOpenId,
    filter,
    setFilter,
    shown,
    chosen,
    toggle,
    toggleAll,
    bulk,
  };
}
