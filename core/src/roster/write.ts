import type { Description, Licence, Person, Team, Unit } from '../model/index';
import { PEOPLE_COLUMNS, UNIT_COLUMNS } from './columns';
import { numbersText } from './numbers';

/** People as the rows of a table with a header, such that reading it gives the same people. */
export function peopleTable(people: readonly Person[], teams: readonly Team[]): string[][] {
  const team = new Map(teams.map(({ id, name }) => [id, name]));
  return [
    PEOPLE_COLUMNS.map(({ title }) => title),
    ...people.map((person) => [
      person.name,
      person.contact,
      person.licences.map(licenceText).join('; '),
      person.teamIds.flatMap((id) => team.get(id) ?? []).join('; '),
      person.note,
    ]),
  ];
}

interface Named {
  readonly id: string;
  readonly name: string;
}

/** What a table of devices names besides people: kinds, teams or roles, channels that repeaters carry. */
export interface UnitNames {
  readonly descriptions: readonly Pick<Description, 'id' | 'title'>[];
  readonly teams: readonly Named[];
  readonly channels: readonly Named[];
}

/** Devices as the rows of a table with a header. */
export function unitTable(
  units: readonly Unit[],
  people: readonly Person[],
  { descriptions, teams, channels }: UnitNames,
): string[][] {
  const named = (id: string | null, list: readonly Named[]) => list.find((one) => one.id === id)?.name ?? '';
  const person = new Map(people.map(({ id, name }) => [id, name]));
  const title = new Map(descriptions.map((description) => [description.id, description.title]));
  return [
    UNIT_COLUMNS.map((column) => column.title),
    ...units.map((unit) => [
      unit.nickname,
      title.get(unit.descriptionId) ?? unit.descriptionId,
      (unit.personId && person.get(unit.personId)) || unit.holder,
      unit.serial,
      unit.firmware,
      unit.fleetId,
      unit.accessories,
      unit.batteryChanged,
      unit.testHeard,
      numbersText(unit.keeps),
      unit.pickedTone,
      named(unit.roleId, teams),
      named(unit.carries, channels),
      unit.note,
    ]),
  ];
}

/** A licence as one line, as it is read again. */
export function licenceText({ service, holds, expires, callSign, class: grade }: Licence): string {
  return [service, holds, expires === 'unknown' ? '' : expires, callSign, grade].filter(Boolean).join(' ');
}

/**
 * A cell that no spreadsheet takes for a formula: an apostrophe goes before what could begin one.
 * Source: OWASP, CSV Injection.
 */
export function safeCell(text: string): string {
  return /^[=+\-@\t\r]/.test(text) ? `'${text}` : text;
}
