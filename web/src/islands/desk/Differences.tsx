import { changesBetween } from '@umbrex/core/fields';
import type { Conflict } from './deskStore';

/** What is saved beside what was typed, field by field; for something that is still there. */
export function Differences({
  kind,
  mine,
  theirs,
  names,
}: Pick<Conflict, 'kind' | 'mine' | 'theirs' | 'names'>) {
  return (
    <table className="mt-3 w-full table-fixed text-left [overflow-wrap:anywhere]">
      <thead>
        <tr className="muted">
          <th className="w-1/4 py-1 font-normal">Field</th>
          <th className="font-normal">Now saved</th>
          <th className="font-normal">Yours</th>
        </tr>
      </thead>
      <tbody>
        {theirs &&
          changesBetween(kind, theirs, mine, names).map(({ title, before, after }) => (
            <tr key={title} className="border-t border-base-300 align-top">
              <th scope="row" className="py-1 font-semibold first-letter:uppercase">
                {title}
              </th>
              <td className="pr-3">{before}</td>
              <td>{after}</td>
            </tr>
          ))}
      </tbody>
    </table>
  );
}
