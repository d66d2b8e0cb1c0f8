import { counted } from '../../messages/labels';
import { someNames } from '../../messages/onAir';
import { sendsHere, type useAirDesk } from './useAirDesk';

/** So many rows are shown before somebody asks for all. */
const FIRST = 15;

/** For each set how many hear it, how many it hears, and how many only a repeater brings; those that reach fewest come first. */
export function Reach({ view, drawn }: ReturnType<typeof useAirDesk>) {
  const others = view.sets.length - 1;
  const silent = view.sets.filter((set) => !sendsHere(set));
  const rows = view.sets
    .map((set, i) => ({ set, reach: drawn?.reaches[i] }))
    .filter(({ set }) => sendsHere(set))
    .toSorted((a, b) => (a.reach?.heardBy ?? 0) - (b.reach?.heardBy ?? 0));
  const line = ({ set, reach }: (typeof rows)[number]) => (
    <tr key={set.unitId}>
      <th scope="row" className="font-normal">
        <a className="link" href={`/plans/${view.planId}/sheets/${set.unitId}`}>
          {set.nickname}
        </a>{' '}
        <span className="muted text-small">{set.holder || set.team}</span>
      </th>
      <td>
        {reach?.heardBy} of {others}
        {(reach?.unknown ?? 0) > 0 && <span className="muted text-small">, {reach?.unknown} not known</span>}
      </td>
      <td>{reach?.hears}</td>
      <td className="text-small">
        {reach?.onlyThrough
          .map(([at, count]) => `${count} only through ${view.repeaters[at]?.name ?? ''}`)
          .join(', ')}
      </td>
    </tr>
  );
  return (
    <div className="overflow-x-auto">
      <table className="table-sm table max-w-3xl">
        <thead className="text-base-content">
          <tr>
            <th scope="col">Set</th>
            <th scope="col">Reaches</th>
            <th scope="col">Hears</th>
            <th scope="col">By what</th>
          </tr>
        </thead>
        <tbody>{rows.slice(0, FIRST).map(line)}</tbody>
      </table>
      {silent.length > 0 && (
        <p className="muted mt-2 text-small">
          {counted(silent.length, 'set')} send nothing here:{' '}
          {someNames(silent.map(({ nickname }) => nickname))}.
        </p>
      )}
      {rows.length > FIRST && (
        <details className="mt-1">
          <summary className="cursor-pointer">{counted(rows.length - FIRST, 'more set')}</summary>
          <table className="table-sm table max-w-3xl">
            <tbody>{rows.slice(FIRST).map(line)}</tbody>
          </table>
        </details>
      )}
    </div>
  );
}
