import { againstStations, tryAlerts } from '@umbrex/core/air';
import { readArea } from '@umbrex/core/areas';
import type { RadioCheck } from '@umbrex/core/check';
import { alertsOf, namesAreByKeys, namingOf } from '@umbrex/core/fit';
import { afterSheet } from '@umbrex/core/flow';
import { holdsOnePair } from '@umbrex/core/model';
import { keyLines } from '@umbrex/core/procedure';
import { placesShall, talkGoesOut } from '@umbrex/core/readiness';
import { allows } from '../../contract/roles';
import { areaText } from '../../messages/areas';
import { channelNames } from '../../messages/channelState';
import { confidenceText } from '../../messages/confidence';
import { claimOf } from '../../messages/sheetWords';
import { usAreas } from '../areas';
import { today } from '../day';
import { getDb } from '../db';
import type { Desk } from '../desk';
import { progressOf } from '../reports';
import { checksFor, copyOfferFor, setsWithSheetOf, sheetOf } from '../sheetPage';
import { listThings } from '../store/store';
import { sheetMark } from './cardSteps';
import { stationFor } from './stations';
import { stepsShown } from './steps';
import { verificationView } from './verification';

/**
 * Everything that a set's sheet prints, and what it must warn of; `undefined` where there is no such set to see.
 * @param at where somebody stopped on the way, as it stands in an address
 */
export async function sheetView(desk: Desk, unitId: string, at: string | null = null) {
  const data = sheetOf(desk, unitId);
  if (!data) return undefined;
  const { session, workspace, state } = desk;
  const [people, held] = await Promise.all([
    listThings(getDb(), 'person', workspace.id),
    listThings(getDb(), 'station', workspace.id),
  ]);
  const stations = held.map(({ value }) => value);
  const { description, proof, sheet, fit, confidence, readiness } = data;
  const { plan } = state;
  const after = afterSheet(description, data);
  const alerts = description.kind === 'alert' ? alertsOf(plan.alerts, data.unit.alerts) : null;
  const mayEdit = allows(session.role, 'editor');
  const roster = people.map(({ value }) => value);
  const { holder, checks } = checksFor(desk, data, roster);
  const { proven } = proof;
  const progress = await progressOf(getDb(), workspace.id, data.unit.id);
  return {
    data,
    holder,
    /** How far somebody's phone is with these very steps. */
    progress: progress?.sheet === sheetMark(data) ? progress : null,
    /** Others that have the very same sheet. */
    alike: sheet.steps.length > 0 || sheet.way === 'file' ? setsWithSheetOf(desk, data) : [],
    steps: stepsShown(data, at),
    toTry: verificationView(desk, { unit: data.unit, description, prepared: data }),
    checks: mayEdit ? checks : checks.map((check) => withoutNames(check, holder)),
    /** What it would hear of the stations around. */
    onAir:
      proven && !holdsOnePair(description)
        ? againstStations(
            placesShall(description, data),
            stations.map((station) => stationFor(session, station)),
          )
        : [],
    trials: proven && alerts ? tryAlerts(alerts, description, after) : [],
    keyMap: keyLines(description, after.settings),
    offer: readiness.isReady && sheet.steps.length > 0 ? copyOfferFor(desk, data) : undefined,
    /** For an alert radio, its areas by name. */
    areas: alerts ? await namedAreas(alerts.areas, plan.areaNames) : [],
    claim: claimOf(data, confidenceText(confidence, description), (id) =>
      id === plan.id ? null : desk.plans.find((one) => one.id === id)?.name,
    ),
    findings: [...(desk.board.unitFindings[data.unit.id] ?? []), ...(proven ? proof.findings : [])],
    /** Where the talk key of a place sends on which nobody should talk. */
    talk: talkGoesOut(readiness),
    names: channelNames(plan),
    labels: new Map(
      fit.cells.flatMap(({ channelId, slot }) => (slot ? [[channelId, slot.label] as const] : [])),
    ),
    naming: namesAreByKeys(description) ? namingOf(plan, description) : null,
    mayEdit,
    spares: plan.spares,
    groups: plan.groups,
    today: today(),
  };
}

/** Area codes with what they stand for. */
async function namedAreas(codes: readonly string[], names: Readonly<Record<string, string>>) {
  const all = await usAreas();
  return codes.map((code) => ({ code, name: areaText(readArea(code, all), names[code]) }));
}

/** A radio check for those who do not keep the roster: with which sets, and not who has them. */
function withoutNames(check: RadioCheck, own: string): RadioCheck {
  const partners = check.partners.map(({ nickname, holder }) => ({
    nickname,
    holder: holder === own ? holder : '',
  }));
  return { ...check, partners };
}
export type SheetView = NonNullable<Awaited<ReturnType<typeof sheetView>>>;
