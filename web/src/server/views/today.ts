import { comingNets } from '@umbrex/core/nets';
import { whatIsDue } from '@umbrex/core/today';
import { allows } from '../../contract/roles';
import { today } from '../day';
import { getDb } from '../db';
import { type Desk, inForce } from '../desk';
import { revisionPlan } from '../repositories/revisions';
import { heldThenBy, setsToChange } from '../sheetPage';
import { listThings } from '../store/store';

/** What waits for somebody today, for those who can do it; and the nets, for everybody. */
export async function todayView(desk: Desk) {
  const { session, workspace, state, board, units, descriptions, revisions } = desk;
  const { plan } = state;
  const mayEdit = allows(session.role, 'editor');
  const [people, stations, nets] = await Promise.all([
    mayEdit ? listThings(getDb(), 'person', workspace.id) : [],
    mayEdit ? listThings(getDb(), 'station', workspace.id) : [],
    listThings(getDb(), 'net', workspace.id),
  ]);
  const sets = units.map(({ unit }) => unit);
  // What sets should hold is what was published, where anything was.
  const now = inForce(revisions, today());
  const wanted = now && mayEdit ? await revisionPlan(getDb(), workspace.id, plan.id, now.number) : plan;
  const toChange = mayEdit ? setsToChange(desk, wanted) : [];
  const heldThen = heldThenBy(desk, wanted);
  const due = mayEdit
    ? whatIsDue({
        plan,
        board,
        people: people.map(({ value }) => value),
        units: sets,
        toChange: new Set(toChange),
        rightsEnded: new Set(
          sets.flatMap((unit) => (toChange.includes(unit.id) && heldThen(unit) ? [unit.id] : [])),
        ),
        descriptions: descriptions.map(({ description }) => description),
        stations: stations.map(({ value }) => value),
        today: today(),
      })
    : [];
  const nowMs = Date.now();
  return {
    mayEdit,
    due,
    units: sets,
    nets: comingNets(
      nets.map(({ value }) => value),
      nowMs,
    ),
    nowMs,
  };
}
