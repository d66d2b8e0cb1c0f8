import { randomUUID } from 'node:crypto';
import { withEvidence } from '@umbrex/core/evidence';
import { heldAfter } from '@umbrex/core/flow';
import type { Evidence, Unit } from '@umbrex/core/model';
import type { Seen } from '../contract/revisions';
import { describedMark } from './contentMark';
import { today } from './day';
import type { Desk } from './desk';
import { BadInput } from './problem';
import { attempt, preparedFor, stopsOf } from './sheetPage';

/**
 * A set as it is known once something was seen of it; of one that was loaded, by the state of the plan that the desk shows.
 * @param id of the entry, where somebody gave it one already
 * @throws BadInput where it cannot have been loaded so
 */
export function seenBy(desk: Desk, seen: Seen, id?: string): (unit: Unit) => Unit {
  if (seen.what !== 'loaded')
    return (unit) => withEvidence(unit, { ...seen, id: id ?? randomUUID() } as Evidence);
  const { of, ...said } = seen;
  const { id: planId } = desk.state.plan;
  const prepareOne = preparedFor(desk);
  return (unit) => {
    const kind = desk.descriptions.find(({ description }) => description.id === unit.descriptionId);
    const prepared = kind && attempt(() => prepareOne(kind, unit), unit.id);
    if (!kind || !prepared || stopsOf(desk, unit, kind.description, prepared).length > 0)
      throw new BadInput([
        { code: 'sheet-not-ready', severity: 'error', path: '/sets', nickname: unit.nickname },
      ]);
    const { description } = kind;
    const contents = heldAfter(
      description,
      prepared,
      unit.holds,
      of === 'draft' ? desk.state.version : of,
      said.day === 'unknown' ? today() : said.day,
    );
    const revision = of === 'draft' ? null : of;
    const evidence = {
      ...said,
      id: id ?? randomUUID(),
      planId,
      revision,
      described: describedMark(description),
    };
    return withEvidence(unit, evidence, contents);
  };
}
