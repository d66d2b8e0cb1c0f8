import {
  columnsOf,
  guessMapping,
  numbersText,
  readNumbers,
  readTable,
  safeCell,
  tableOf,
} from '@umbrex/core/fields';
import {
  bareChannel,
  type Channel,
  type Person,
  PersonSchema,
  TeamSchema,
  UnitSchema,
} from '@umbrex/core/model';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { uuid } from '../support/plans';

const TEAMS = [
  TeamSchema.parse({ id: uuid(1), name: 'Watch' }),
  TeamSchema.parse({ id: uuid(2), name: 'Boat crews' }),
];
const NAMES = {
  kind: [
    { id: 'pocket-radio', name: 'Pocket radio' },
    { id: 'page-handheld', name: 'Page hand-held' },
  ],
  team: TEAMS,
  channel: [{ id: uuid(70), name: 'Kelp Stairs' }],
};
let next = 100;
const table = { firstLine: 2, newId: () => uuid(next++), names: NAMES };
const people = (rows: readonly string[][], present: readonly Person[] = []) =>
  readTable('person', { ...table, rows, mapping: ['Name', 'Contact', 'Licences', 'Teams', 'Note'], present });

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
      ['Name', 'Contact', 'Licences', 'Teams', 'Note'],
    ],
    [
      ['FULL  NAME', 'Phone', 'Shirt size'],
      ['Name', 'Contact', null],
    ],
    [
      ['Who', 'Name'],
      [null, 'Name'],
    ],
    [
      ['', '12'],
      [null, null],
    ],
  ])('%j', (header, mapping) => expect(guessMapping(header, columnsOf('person'))).toEqual(mapping));
  it('takes each column once', () =>
    expect(guessMapping(['Serial', 'S/N', 'Model', 'Type'], columnsOf('unit'))).toEqual([
      'Serial',
      null,
      'Kind',
      null,
    ]));
});

describe('who holds a set', () => {
  const ada = PersonSchema.parse({ id: uuid(50), name: 'Ada Brunlow' });
  const names = { ...NAMES, person: [ada] };
  const read = (cell: string) => {
    const rows = [['One', 'pocket-radio', cell]];
    const mapping = ['Nickname', 'Kind', 'Holder'];
    const [row] = readTable('unit', { ...table, names, rows, mapping, present: [] });
    return [row?.value?.personId, row?.value?.holder];
  };
  it.each([
    ['somebody of the roster, whatever their letters', 'ada  brunlow', [ada.id, '']],
    ['a place', 'hall, second shelf', [null, 'hall, second shelf']],
    ['both', 'Ada Brunlow · hall', [ada.id, 'hall']],
    ['somebody who is not in the roster', 'Bo · hall', [null, 'Bo · hall']],
    ['nobody', '', [null, '']],
  ])('%s', (_, cell, wanted) => expect(read(cell)).toEqual(wanted));
});

describe('one of several teams of the same name', () => {
  it('stands by its id, and a name that two have is asked for', () => {
    const twins = [1, 2].map((n) => TeamSchema.parse({ id: uuid(n), name: 'Watch' }));
    const names = { ...NAMES, team: twins };
    const person = PersonSchema.parse({ id: uuid(9), name: 'Ada', teamIds: [uuid(2)] });
    const [, row] = tableOf('person', [person], names);
    expect(row).toContain(uuid(2));
    const [read] = readTable('person', {
      ...table,
      names,
      rows: [['Bo', 'Watch']],
      mapping: ['Name', 'Teams'],
      present: [],
    });
    expect(read).toMatchObject({ value: null, findings: [{ column: 'Teams', value: 'Watch' }] });
  });
  it('and one that is gone is left out', () => {
    const person = PersonSchema.parse({ id: uuid(9), name: 'Ada', teamIds: [uuid(77), uuid(1)] });
    const [header = [], row = []] = tableOf('person', [person], NAMES);
    expect(row[header.indexOf('Teams')]).toBe('Watch');
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
      [3, 'left', 'Name: '],
      [5, 'left', 'Licences: pilot 7', 'Teams: Divers'],
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
    const mapping = ['Nickname', 'Kind', 'Serial'];
    const read = readTable('unit', { ...table, rows, mapping, present: [there] });
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
  it.each(['=1+1', '+1', '-1', '@A1', '\t=1', '\r=1', "'=1"])('%j', (text) =>
    expect(safeCell(text)).toBe(`'${text}`),
  );
  it('whatever the text', () =>
    fc.assert(fc.property(fc.string(), (text) => !/^[=+\-@\t\r]/.test(safeCell(text)))));
});

describe('what a cell of numbers says', () => {
  const keeps = (cell: string) => {
    const rows = [['One', 'pocket-radio', cell]];
    const [row] = readTable('unit', {
      ...table,
      rows,
      mapping: ['Nickname', 'Kind', 'Kept numbers'],
      present: [],
    });
    return row?.value?.keeps ?? row?.findings.map((f) => ('column' in f ? f.column : f.code));
  };
  it.each([
    ['40-44, 60', [40, 41, 42, 43, 44, 60]],
    ['7; 3 to 4', [3, 4, 7]],
    ['', []],
  ])('%s', (cell, wanted) => expect(keeps(cell)).toEqual(wanted));
  // Nothing of these is taken for a part of what was meant.
  it.each(['44-40', '1-99999', 'forty', '40-', '40 44', '-5', '123456'])('%s is asked for', (cell) =>
    expect(keeps(cell)).toEqual(['Kept numbers']),
  );
});

describe('two channels of one name', () => {
  const base = {
    ...bareChannel({ name: 'Ridge', receiveHz: 462_562_500, transmitHz: 462_562_500 }),
    groupId: uuid(21),
  };
  const names = { group: [{ id: uuid(21), name: 'All' }] };
  const through = (channels: readonly Channel[], present: readonly Channel[]) => {
    const [header = [], ...rows] = tableOf('channel', channels, names);
    const mapping = guessMapping(header, columnsOf('channel'));
    return readTable('channel', { ...table, names, rows, mapping, present }).map(({ value, twice }) => [
      value?.receiveHz ?? null,
      twice,
    ]);
  };
  const other = { ...base, receiveHz: 462_587_500, transmitHz: 462_587_500 };
  it('come both into a plan that has neither; the very same row does not come twice', () =>
    expect(through([base, other, other], [])).toEqual([
      [462_562_500, false],
      [462_587_500, false],
      [null, true],
    ]));
  it('one whose name is there already is said, whatever else it says', () =>
    expect(through([other], [base])).toEqual([[null, true]]));
});
