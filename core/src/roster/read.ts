import type { Finding } from '../findings/index';
import {
  type Licence,
  LicenceSchema,
  type Person,
  PersonSchema,
  type Team,
  type Unit,
  UnitSchema,
} from '../model/index';
import { readNumbers } from './numbers';
import type { UnitNames } from './write';

/** A row that was read: the value when it can be taken, and what is said of it. */
export interface ReadRow<T> {
  /** Counted from 1, as the spreadsheet counts. */
  readonly line: number;
  readonly value: T | null;
  /** It is there already, by name or serial, and is left out. */
  readonly twice: boolean;
  readonly findings: readonly Finding[];
}

interface Rows {
  readonly rows: readonly (readonly string[])[];
  /** The key of each column, `null` for one that is passed over. */
  readonly mapping: readonly (string | null)[];
  /** The line of the first row. */
  readonly firstLine: number;
  /** Makes a fresh id. */
  readonly newId: () => string;
}

type Cells = Readonly<Record<string, string>>;
type Say = (column: string, value: string, wanted: string) => void;

/** Reads people from the rows of a table. A name that is there already, or twice in the table, is left out and said. */
export function readPeople(
  input: Rows & { readonly present: readonly Person[]; readonly teams: readonly Pick<Team, 'id' | 'name'>[] },
): ReadRow<Person>[] {
  const seen = new Map(input.present.map(({ name }) => [alike(name), 'the roster']));
  return eachRow(input, (cells, say, line) => {
    const name = cells.name ?? '';
    const like = seen.get(alike(name));
    if (name !== '' && like === undefined) seen.set(alike(name), `line ${line}`);
    const teamIds = listed(cells.teams).flatMap((team) => {
      const found = input.teams.find((other) => alike(other.name) === alike(team));
      if (!found) say('Teams', team, 'a team that is there');
      return found ? [found.id] : [];
    });
    const licences = listed(cells.licences).flatMap((text) => {
      const licence = readLicence(text);
      if (!licence) say('Licences', text, 'a service, own, family or employer, and the day it ends');
      return licence ? [licence] : [];
    });
    const draft = {
      id: input.newId(),
      name,
      contact: cells.contact ?? '',
      licences,
      teamIds,
      note: cells.note ?? '',
    };
    return { parsed: PersonSchema.safeParse(draft), like };
  });
}

/** Reads devices from the rows of a table. Its kind must be described; a holder who is not in the roster stays as written. */
export function readUnits(
  input: Rows &
    UnitNames & {
      readonly present: readonly Unit[];
      readonly people: readonly Person[];
    },
): ReadRow<Unit>[] {
  const marks = ({ serial, nickname }: { serial: string; nickname: string }) =>
    [serial && `s ${alike(serial)}`, `n ${alike(nickname)}`].filter(Boolean);
  const seen = new Map(input.present.flatMap((unit) => marks(unit).map((mark) => [mark, 'the list'])));
  return eachRow(input, (cells, say, line) => {
    const kind = cells.kind ?? '';
    const described = input.descriptions.find(({ id, title }) =>
      [alike(id), alike(title)].includes(alike(kind)),
    );
    if (!described) say('Kind', kind, 'a kind of device that is described');
    const idOf = (list: UnitNames['teams'], cell: string | undefined, column: string, wanted: string) => {
      if (!cell) return null;
      const found = list.find(({ name }) => alike(name) === alike(cell));
      if (!found) say(column, cell, wanted);
      return found?.id ?? null;
    };
    const holder = cells.holder ?? '';
    const person = input.people.find(({ name }) => alike(name) === alike(holder));
    const mine = marks({ serial: cells.serial ?? '', nickname: cells.nickname ?? '' });
    const like = mine.map((mark) => seen.get(mark)).find((found) => found !== undefined);
    if (like === undefined) for (const mark of mine) seen.set(mark, `line ${line}`);
    const draft = {
      id: input.newId(),
      descriptionId: described?.id ?? 'unknown-kind',
      nickname: cells.nickname ?? '',
      holder: person ? '' : holder,
      personId: person?.id ?? null,
      serial: cells.serial ?? '',
      firmware: cells.firmware || 'unknown',
      fleetId: cells.fleetId ?? '',
      accessories: cells.accessories ?? '',
      batteryChanged: cells.batteryChanged || 'unknown',
      testHeard: cells.testHeard || 'unknown',
      keeps: readNumbers(cells.keeps ?? ''),
      pickedTone: cells.pickedTone || 'unknown',
      roleId: idOf(input.teams, cells.role, 'Set up for', 'a team that is there'),
      carries: idOf(input.channels, cells.carries, 'Carries', 'a channel of the plan'),
      note: cells.note ?? '',
    };
    return { parsed: UnitSchema.safeParse(draft), like };
  });
}

type Parsed<T> =
  | { success: true; data: T }
  | { success: false; error: { issues: { path: PropertyKey[]; message: string }[] } };

function eachRow<T>(
  { rows, mapping, firstLine }: Rows,
  read: (cells: Cells, say: Say, line: number) => { parsed: Parsed<T>; like: string | undefined },
): ReadRow<T>[] {
  return rows.flatMap((row, i): ReadRow<T>[] => {
    if (row.every((cell) => cell.trim() === '')) return [];
    const line = firstLine + i;
    const findings: Finding[] = [];
    const say: Say = (column, value, wanted) =>
      findings.push({ code: 'cell-unreadable', severity: 'error', line, column, value, wanted });
    const cells: Record<string, string> = {};
    mapping.forEach((key, k) => {
      if (key !== null) cells[key] = unquoted(row[k] ?? '').trim();
    });
    const { parsed, like } = read(cells, say, line);
    if (!parsed.success)
      for (const issue of parsed.error.issues) {
        const column = String(issue.path[0] ?? '');
        if (column !== 'descriptionId') say(column, cells[column] ?? '', issue.message);
      }
    if (like !== undefined) findings.push({ code: 'row-twice', severity: 'warning', line, like });
    const good = parsed.success && findings.every(({ severity }) => severity !== 'error');
    return [
      {
        line,
        value: good && like === undefined ? parsed.data : null,
        twice: good && like !== undefined,
        findings,
      },
    ];
  });
}

/** A cell that was kept from being taken for a formula has an apostrophe before it; it does not belong to the text. */
function unquoted(cell: string): string {
  return /^'[=+\-@\t\r]/.test(cell) ? cell.slice(1) : cell;
}

const alike = (text: string) => text.trim().toLowerCase().replace(/\s+/g, ' ');

function listed(cell: string | undefined): string[] {
  return (cell ?? '')
    .split(/[;\n]/)
    .map((part) => part.trim())
    .filter(Boolean);
}

const SERVICES: Readonly<Record<string, string>> = {
  gmrs: 'gmrs',
  business: 'business',
  amateur: 'amateur',
  ham: 'amateur',
  marine: 'marine',
  interop: 'interop',
};

/** `gmrs own 2033-04-30 ABC123`: a service first, the rest in any order; without a day the end is unknown. */
function readLicence(text: string): Licence | undefined {
  const [first = '', ...words] = text.split(/\s+/);
  const service = SERVICES[first.toLowerCase()];
  if (!service) return undefined;
  const licence = { service, holds: 'own', expires: 'unknown', callSign: '', class: '' };
  for (const word of words) {
    if (/^(own|family|employer)$/i.test(word)) licence.holds = word.toLowerCase();
    else if (/^\d{4}-\d{2}-\d{2}$/.test(word)) licence.expires = word;
    else if (/\d/.test(word)) licence.callSign = word.toUpperCase();
    else licence.class = word.toLowerCase();
  }
  const parsed = LicenceSchema.safeParse(licence);
  return parsed.success ? parsed.data : undefined;
}
