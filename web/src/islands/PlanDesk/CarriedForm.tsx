import { withCarried } from '@umbrex/core/fit';
import type { Carried } from '@umbrex/core/model';
import { GroupsCarried } from '../../components/GroupsCarried';
import type { DeskState } from '../desk/deskStore';

interface Props {
  desk: DeskState;
  groups: readonly { id: string; name: string }[];
  carried: Carried;
  change: (carried: Carried) => void;
}

/** Which groups are carried by the kinds that are held, by teams, and by the sets of which something else is said. */
export function CarriedForm({ desk, groups, carried, change }: Props) {
  const held = new Set(desk.units.map(({ descriptionId }) => descriptionId));
  const kinds = desk.descriptions.filter(
    ({ id, kind }) => kind !== 'alert' && (held.has(id) || carried.kinds[id]),
  );
  const units = desk.units.filter(({ id }) => carried.units[id]);
  const rows = [
    ...kinds.map(({ id, title }) => ({
      of: 'kinds' as const,
      id,
      title: `every ${title}`,
      otherwise: undefined,
    })),
    ...desk.teams.map(({ id, name }) => ({
      of: 'teams' as const,
      id,
      title: `sets for ${name}`,
      otherwise: undefined,
    })),
    ...units.map(({ id, nickname, roleId, descriptionId }) => ({
      of: 'units' as const,
      id,
      title: nickname,
      otherwise: (roleId === null ? undefined : carried.teams[roleId]) ?? carried.kinds[descriptionId],
    })),
  ];
  if (groups.length < 2 || rows.length === 0) return null;
  const some = rows.filter(({ of, id }) => carried[of][id]);
  return (
    <details>
      <summary className="cursor-pointer text-plain">
        Groups that sets carry:{' '}
        {some.length === 0 ? 'all carry all' : `not all on ${some.map(({ title }) => title).join(', ')}`}
      </summary>
      <p className="muted py-1 text-small">
        A sheet has the groups that its set carries. What is said of a set goes before what is said of its
        team, that before what is said of its kind. A single set is changed under Devices or on the board.
      </p>
      {rows.map(({ of, id, title, otherwise }) => (
        <GroupsCarried
          key={id}
          of={title}
          groups={groups}
          said={carried[of][id]}
          otherwise={otherwise}
          change={(ids) => change(withCarried(carried, of, id, ids))}
        />
      ))}
    </details>
  );
}
