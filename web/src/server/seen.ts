import { randomUUID } from 'node:crypto';
import { withEvidence } from '@umbrex/core/evidence';
import { heldAfter } from '@umbrex/core/flow';
import type { Evidence, Unit } from '@umbrex/core/model';
import { format } from 'date-fns';
import type { Seen } from '../contract/revisions';
import { describedMark } from './contentMark';
import { today } from './day';
import type { Desk } from './desk';
import { BadInput } from './problem';
import { attempt, preparedFor, stopsOf } from './sheetPage';

/**
 * A set as it is known once something was seen of it; of one that was loaded, by the state of the plan that the desk shows.
 * @param id of the entry, where somebody gave it one already
 * @param at the moment at which it was said
 * @throws BadInput where it cannot have been loaded so
 */
export function seenBy(desk: Desk, seen: Seen, id?: string, at = new Date()): (unit: Unit) => Unit {
  // Said on its own day: what was written was there by then.
  const saidAt = format(at, 'yyyy-MM-dd') === seen.day ? { saidAt: at.toISOString() } : {};
  if (seen.what !== 'loaded')
    return (unit) => {
      const written = seen.what === 'factory' || seen.what === 'other' ? saidAt : {};
      return withEvidence(unit, { ...seen, ...written, id: id ?? randomUUID() } as Evidence);
    };
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
      ...saidAt,
      id: id ?? randomUUID(),
      planId,
      revision,
      described: describedMark(description),
    };
    return withEvidence(unit, evidence, contents);
  };
}
