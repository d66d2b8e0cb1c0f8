import type { Run } from './runs';
import type { ShortForm } from './short';

/** What is done, step by step, when somebody follows the short form: the runs of the long sheet, in its order. */
export function expanded({ parts }: ShortForm): (readonly Run[])[] {
  return parts.flatMap((part) => {
    if (part.kind === 'steps') return part.steps.map(({ runs }) => runs);
    return part.lines.flatMap(({ cells }) => {
      const without = new Set(
        part.steps.flatMap(({ section, column }) =>
          column !== undefined && cells[column]?.does === 'no-section' ? [section] : [],
        ),
      );
      return part.steps.flatMap(({ section, column, runs, tail }): (readonly Run[])[] => {
        if (without.has(section)) return [];
        const cell = column === undefined ? undefined : cells[column];
        if (cell?.does === 'no-step') return [];
        if (cell?.does === 'this' && !runs) return cell.runs.map((each) => [...each, ...tail]);
        return runs ? [runs] : [];
      });
    });
  });
}
