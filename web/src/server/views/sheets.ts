import { confidenceOf } from '@umbrex/core/confidence';
import { hasNothingToDo } from '@umbrex/core/flow';
import { confidenceText } from '../../messages/confidence';
import { nothingToChange } from '../../messages/sheetWords';
import type { Desk } from '../desk';
import { setsWithSheets, stopsOf } from '../sheetPage';

/** The effort and the stamp of every set that may be seen. */
export async function sheetsView(desk: Desk) {
  const rows = [];
  for await (const { unit, kind, prepared } of setsWithSheets(desk)) {
    const { description } = kind;
    const { title } = description;
    if (!prepared) {
      rows.push({ unit, title, isBroken: true as const });
      continue;
    }
    const { proof, sheet, fit, toAccept, way } = prepared;
    const isSame = hasNothingToDo(prepared);
    const confidence = confidenceOf(proof, description, unit.firmware);
    rows.push({
      isBroken: false as const,
      unit,
      title,
      toAccept: toAccept.length,
      stops: stopsOf(desk, unit, description, prepared),
      way: sheet.way,
      places: fit.image.slots.size,
      confidence,
      isSame,
      nothing: nothingToChange(prepared),
      stamp: isSame ? null : confidenceText(confidence, description).word,
      steps: sheet.steps.length,
      presses: sheet.presses,
      begins: way,
      minutes: Math.ceil(proof.minutes),
      findings: desk.board.unitFindings[unit.id] ?? [],
    });
  }
  return rows;
}
