import {
  type Licence,
  type Person,
  PersonSchema,
  TeamSchema,
  type Unit,
  UnitSchema,
} from '@umbrex/core/model';
import {
  guessMapping,
  numbersText,
  PEOPLE_COLUMNS,
  peopleTable,
  readNumbers,
  readPeople,
  readUnits,
  safeCell,
  UNIT_COLUMNS,
  unitTable,
} from '@umbrex/core/roster';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { uuid } from '../support/plans';

const TEAMS = [
  TeamSchema.parse({ id: uuid(1), name: 'Watch' }),
  TeamSchema.parse({ id: uuid(2), name: 'Boat crews' }),
];
const KINDS = [
  { id: 'pocket-radio', title: 'Pocket radio' },
  { id: 'page-handheld', title: 'Page hand-held' },
];
const NAMES = { descriptions: KINDS, teams: TEAMS, channels: [{ id: uuid(70), name: 'Kelp Stairs' }] };
let next = 100;
const newId = () => uuid(next++);
const table = { firstLine: 2, newId };
const people = (rows: readonly string[][], present: readonly Person[] = []) =>
  readPeople({
    ...table,
    rows,
    mapping: ['name', 'contact', 'licences', 'teams', 'note'],
    present,
    teams: TEAMS,
  });

describe('numbers that a holder keeps', () => {
  it.each([
    ['40-44, 60', [40, 41, 42, 43, 44, 60]],
    ['7', [7]],
    ['12 to 14 and 3', [3, 12, 13, 14]],
    ['5, 5, 4–6', [4, 5, 6]],
    ['nothing', []],
    ['', []],
  ])('%s', (text, numbers) => expect(readNumbers(text)).toEqual(numbers));
  it('come back as they were, for any up to 500 of them', () =>
    fc.assert(
      fc.property(fc.uniqueArray(fc.nat(99_999), { maxLength: 500 }), (numbers) => {
        expect(readNumbers(numbersText(numbers))).toEqual([...numbers].sort((a, b) => a - b));
      }),
    ));
  it('of a range without end stay 500', () => expect(readNumbers('1-99999').length).toBe(500));
});

describe('the header of a spreadsheet', () => {
  it.each([
    [
      ['Name', 'E-mail', 'License', 'Team', 'Remarks'],
      ['name', 'contact', 'licences', 'teams', 'note'],
    ],
    [
      ['FULL  NAME', 'Phone', 'Shirt size'],
      ['name', 'contact', null],
    ],
    [
      ['Who', 'Name'],
      [null, 'name'],
    ],
    [
      ['', '12'],
      [null, null],
    ],
  ])('%j', (header, mapping) => expect(guessMapping(header, PEOPLE_COLUMNS)).toEqual(mapping));
  it('takes each column once', () =>
    expect(guessMapping(['Serial', 'S/N', 'Model', 'Type'], UNIT_COLUMNS)).toEqual([
      'serial',
      null,
      'kind',
      null,
    ]));
});

const word = fc
  .stringMatching(/^[A-Za-zæøåé][A-Za-zæøåé .'-]{0,20}[a-z]$/)
  .filter((text) => text.trim() === text);
const day = fc
  .date({ min: new Date('2020-01-01'), max: new Date('2039-12-31'), noInvalidDate: true })
  .map((date) => date.toISOString().slice(0, 10));
const licence: fc.Arbitrary<Licence> = fc.record({
  service: fc.constantFrom('gmrs' as const, 'business' as const, 'amateur' as const, 'marine' as const),
  holds: fc.constantFrom('own' as const, 'family' as const, 'employer' as const),
  expires: fc.oneof(fc.constant('unknown' as const), day),
  callSign: fc.oneof(fc.constant(''), fc.stringMatching(/^[A-Z]{2,4}[0-9]{2,3}$/)),
  class: fc.oneof(
    fc.constant(''),
    fc.stringMatching(/^[a-z]{3,10}$/).filter((w) => !/^(own|family|employer)$/.test(w)),
  ),
});

describe('a table that was written is read as the same people and sets', () => {
  it('people, with licences and teams', () =>
    fc.assert(
      fc.property(
        fc.uniqueArray(
          fc.record({
            name: word,
            contact: fc.oneof(fc.constant(''), word),
            licences: fc.array(licence, { maxLength: 3 }),
            teamIds: fc.subarray(TEAMS.map(({ id }) => id)),
            note: fc.oneof(fc.constant(''), fc.constant('=SUM(A1)'), fc.constant('-12 dB'), word),
          }),
          { selector: ({ name }) => name.toLowerCase().replace(/\s+/g, ' '), minLength: 1, maxLength: 6 },
        ),
        (drafts) => {
          const before = drafts.map((draft, i) => PersonSchema.parse({ ...draft, id: uuid(i) }));
          const [header = [], ...rows] = peopleTable(before, TEAMS).map((row) => row.map(safeCell));
          expect(guessMapping(header, PEOPLE_COLUMNS)).toEqual(PEOPLE_COLUMNS.map(({ key }) => key));
          const after = people(rows);
          expect(after.map(({ value }) => value && { ...value, id: '' })).toEqual(
            before.map((person) => ({ ...person, id: '' })),
          );
        },
      ),
      { numRuns: 200 },
    ));
  it('sets, with their holders', () => {
    const holder = PersonSchema.parse({ id: uuid(50), name: 'Ada Brunlow' });
    const before = [
      { nickname: 'Watch 1', descriptionId: 'page-handheld', personId: holder.id, holder: '', serial: 'A-1' },
      {
        nickname: 'Cabinet',
        descriptionId: 'pocket-radio',
        holder: 'hall, second shelf',
        serial: '',
        keeps: [40, 41],
        pickedTone: '82.5',
        roleId: uuid(2),
        carries: uuid(70),
      },
    ].map(
      (more, i): Unit =>
        UnitSchema.parse({
          id: uuid(i),
          firmware: '1.06',
          batteryChanged: '2026-05-02',
          testHeard: '2026-11-18',
          fleetId: '7',
          ...more,
        }),
    );
    const [, ...rows] = unitTable(before, [holder], NAMES);
    const mapping = UNIT_COLUMNS.map(({ key }) => key);
    const after = readUnits({ ...table, rows, mapping, present: [], people: [holder], ...NAMES });
    expect(after.map(({ value }) => value && { ...value, id: '' })).toEqual(
      before.map((unit) => ({ ...unit, id: '' })),
    );
  });
});

describe('rows that cannot be taken are said by line and column, and the others stand', () => {
  const said = (rows: readonly string[][], present: readonly Person[] = []) =>
    people(rows, present).map(({ line, value, twice, findings }) => [
      line,
      value ? 'taken' : twice ? 'twice' : 'left',
      ...findings.map((f) => ('column' in f ? `${f.column}: ${'value' in f ? f.value : ''}` : f.code)),
    ]);
  it('an empty name, a team that is not there, a licence nobody can read', () =>
    expect(
      said([
        ['Ines Korvald', '', 'gmrs own 2033-04-30', 'Watch', ''],
        ['', 'x@y', '', '', ''],
        ['  ', '', '', '', ''],
        ['Bo', '', 'pilot 7', 'Divers', ''],
        ['Signe', '', 'gmrs own 2033-02-31', '', ''],
      ]),
    ).toEqual([
      [2, 'taken'],
      [3, 'left', 'name: '],
      [5, 'left', 'Teams: Divers', 'Licences: pilot 7'],
      [6, 'left', 'Licences: gmrs own 2033-02-31'],
    ]));
  it('a name that is there, or twice in the table, whatever its letters', () => {
    const there = PersonSchema.parse({ id: uuid(9), name: 'Ada Brunlow' });
    expect(said([['ada  BRUNLOW'], ['Bo Lind'], ['bo lind']], [there])).toEqual([
      [2, 'twice', 'row-twice'],
      [3, 'taken'],
      [4, 'twice', 'row-twice'],
    ]);
  });
  it('a set of a kind nobody described, and a serial that is there', () => {
    const there = UnitSchema.parse({
      id: uuid(9),
      descriptionId: 'pocket-radio',
      nickname: 'Old',
      holder: '',
      serial: 'S77',
      firmware: 'A',
    });
    const rows = [
      ['New', 'Pocket radio', 's77'],
      ['Odd', 'Crystal set', ''],
    ];
    const mapping = ['nickname', 'kind', 'serial'];
    const read = readUnits({ ...table, rows, mapping, present: [there], people: [], ...NAMES });
    expect(read.map(({ value, twice }) => [value, twice])).toEqual([
      [null, true],
      [null, false],
    ]);
    expect(read[1]?.findings).toMatchObject([
      { code: 'cell-unreadable', line: 3, column: 'Kind', value: 'Crystal set' },
    ]);
  });
});

describe('a cell is no formula (OWASP, CSV Injection: = + - @, tab and return)', () => {
  it.each(['=1+1', '+1', '-1', '@A1', '\t=1', '\r=1'])('%j', (text) =>
    expect(safeCell(text)).toBe(`'${text}`),
  );
  it('whatever the text', () =>
    fc.assert(fc.property(fc.string(), (text) => !/^[=+\-@\t\r]/.test(safeCell(text)))));
});
