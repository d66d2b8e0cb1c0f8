import { masked } from '@umbrex/core/fields';
import { loadingDay, type Station } from '@umbrex/core/model';
import { controlContext, preconditionContext, preconditions } from '@umbrex/core/stations';
import { allows } from '../../contract/roles';
import type { Session } from '../auth/session';
import { today } from '../day';
import { getDb } from '../db';
import type { Desk } from '../desk';
import { listThings } from '../store/store';

/** A station as somebody may see it: observers without the tones that open it, and without who reached it. */
export function stationFor({ role }: Pick<Session, 'role'>, station: Station): Station {
  return allows(role, 'member') ? station : masked('station', station);
}

/** The stations, and for each repeater what everybody needs to use it: for those who keep the roster, and for a member about themselves. */
export async function stationsView({ session, workspace, state, descriptions, units }: Desk) {
  const mayEdit = allows(session.role, 'editor');
  const [held, everyone] = await Promise.all([
    listThings(getDb(), 'station', workspace.id),
    listThings(getDb(), 'person', workspace.id),
  ]);
  const people = everyone.map(({ value }) => value).filter(({ id }) => mayEdit || id === session.personId);
  const kinds = descriptions.map(({ description }) => description);
  const context = preconditionContext(state.plan, kinds, loadingDay(state.plan, today()));
  const repeaters = held.map(({ value }) => value).filter(({ kind }) => kind === 'repeater');
  const setsOf = (personId: string) =>
    units.map(({ unit }) => unit).filter((unit) => unit.personId === personId);
  const matrix = Object.fromEntries(
    repeaters.map((station) => [
      station.id,
      Object.fromEntries(
        people.map((person) => [person.id, preconditions(person, setsOf(person.id), station, context)]),
      ),
    ]),
  );
  return {
    planId: state.plan.id,
    groupName: workspace.name,
    me: session.name,
    stations: held.map(({ value, version }) => ({ value: stationFor(session, value), version })),
    people: people.map(({ id, name }) => ({ id, name })),
    matrix,
    control: controlContext(state.plan),
    today: today(),
    mayEdit,
  };
}

/** The stations on the map, and the usual places of people for those who keep the roster, of each only what they want known. */
export async function mapView({ session, workspace, state }: Desk) {
  const [stations, everyone] = await Promise.all([
    listThings(getDb(), 'station', workspace.id),
    allows(session.role, 'editor') ? listThings(getDb(), 'person', workspace.id) : [],
  ]);
  return {
    planId: state.plan.id,
    stations: stations.map(({ value }) => stationFor(session, value)),
    people: everyone.flatMap(({ value: { id, name, place } }) => (place ? [{ id, name, place }] : [])),
    isUs: state.plan.country === 'US',
  };
}
