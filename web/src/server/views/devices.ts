import { namesAreByKeys } from '@umbrex/core/fit';
import {
  type Description,
  headOf,
  holdsOnePair,
  isLoadedByProgram,
  kindOf,
  listItems,
} from '@umbrex/core/model';
import { pickableTones } from '@umbrex/core/tones';
import { allows } from '../../contract/roles';
import { today } from '../day';
import { getDb } from '../db';
import type { Desk } from '../desk';
import { listThings } from '../store/store';

/** The devices that somebody may see, their kinds, and what one may choose for them. A member sees nobody else's name. */
export async function devicesView({ session, workspace, state, units, descriptions, teams }: Desk) {
  const mayEdit = allows(session.role, 'editor');
  const people = await listThings(getDb(), 'person', workspace.id);
  return {
    planId: state.plan.id,
    head: headOf(state.plan),
    planVersion: state.version,
    units,
    people: people.map(({ value }) => value).filter(({ id }) => mayEdit || id === session.personId),
    teams,
    pairs: state.plan.channels
      .filter((channel) => kindOf(channel) === 'repeater')
      .map(({ id, name }) => ({ id, name })),
    mayEdit,
    today: today(),
    kinds: descriptions.map(({ description }) => kindSeen(description)),
  };
}

/** What the device list asks of a kind. */
function kindSeen(description: Description) {
  const { id, title, pattern, firmware, marks, kind, recording, behaviour, memoryCellYears } = description;
  const isByProgram = isLoadedByProgram(description);
  return {
    id,
    title,
    pattern,
    firmware,
    marks: marks.length,
    alerts: kind === 'alert',
    memoryCell: memoryCellYears !== undefined,
    repeats: holdsOnePair(description),
    steps: recording
      ? ('recorded' as const)
      : behaviour || isByProgram
        ? ('known' as const)
        : ('unknown' as const),
    namesByKeys: namesAreByKeys(description),
    settings: settingsToChoose(description),
    pickedTones: pickableTones(description),
  };
}

/** Settings of the whole set that one can choose; what the plan's alert radios decide is not asked again. */
function settingsToChoose(description: Description) {
  return description.settings
    .filter(
      ({ id, holds, event }) =>
        (description.recipes?.settings[id] || isLoadedByProgram(description)) &&
        holds !== 'weatherHz' &&
        holds !== 'alertReach' &&
        event === undefined,
    )
    .map(({ id, title, list, factory }) => ({
      id,
      title,
      values: listItems(description.lists[list] ?? []).map(({ shown }) => shown),
      factory,
    }));
}
