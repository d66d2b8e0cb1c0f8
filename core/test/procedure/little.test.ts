import { diff } from '@umbrex/core/memory';
import { type Description, type Memory, type Native, slotsOf } from '@umbrex/core/model';
import { drawn, type Sheet, type SheetOptions, writeSheet } from '@umbrex/core/procedure';
import { describe, expect, it } from 'vitest';
import { jotted, type LittleRaw, little } from '../support/little';
import { holding } from '../support/memory';

// Every sheet here was written down by hand from the recipes of the little set, before it was run.

type Values = Record<string, Native>;
type Places = Readonly<Record<number, Values | null>>;

const AS_NEW: Values = { code: 0, power: 1, name: '' };

function sheetOf(
  set: Description,
  now: Memory,
  places: Places,
  settings: Record<string, number> = {},
  options: SheetOptions = {},
): Sheet {
  const slots = new Map(Object.entries(places).map(([number, values]) => [Number(number), values] as const));
  return writeSheet(set, diff(set, now, { slots, settings }), options);
}

const lines = (set: Description, sheet: Sheet) => jotted(sheet, (runs) => drawn(runs, set.keys));

/** The sheet of a set as from the factory, as lines. */
function written(
  set: Description,
  places: Places,
  settings: Record<string, number> = {},
  now = holding(set),
) {
  const sheet = sheetOf(set, now, places, settings);
  expect(sheet.findings).toEqual([]);
  return lines(set, sheet);
}

const OPEN = (at: string) => `${at} | Press MENU | MENU | 1 CODE`;

describe('places, one after another', () => {
  const set = little();
  it('a code, a power in another bank, the bell', () => {
    expect(written(set, { 2: { ...AS_NEW, code: 2 }, 4: { ...AS_NEW, power: 0 } }, { bell: 3 })).toEqual([
      '2:work:1 | Turn to A2 | ▲ | A2',
      OPEN('2:work:2'),
      '2:code:1 | Press OK to change it | OK | SET CODE',
      '2:code:2 | Turn to 71.9 | ▲ 2× | >71.9<',
      '2:code:3 | Press OK to keep it | OK | 1 CODE',
      '2:work:3 | Press MENU to leave | MENU | not CODE',
      '4:work:1 | Press BANK until bank B | BANK | B1',
      OPEN('4:work:2'),
      '4:power:1 | Turn to item 2 | ▲ | 2 POWER',
      '4:power:2 | Press OK to change it | OK | SET POWER',
      '4:power:3 | Turn to LOW | ▲ | >LOW<',
      '4:power:4 | Press OK to keep it | OK | 2 POWER',
      '4:work:3 | Press MENU to leave | MENU | not POWER',
      'set:bell:1 | Press BELL | BELL | BELL 1',
      'set:bell:2 | Turn to 3 | ▲ 2× | BELL 3',
      'set:bell:3 | Press BELL to leave | BELL | not BELL',
    ]);
  });
  it('one place alone has its name at once; each letter the shorter way from the blank that stands there', () => {
    expect(written(set, { 6: { code: 3, power: 1, name: 'BED' } })).toEqual([
      '6:work:1 | Press BANK until bank B | BANK | B1',
      '6:work:2 | Turn to B3 | ▼ | B3',
      OPEN('6:work:3'),
      '6:code:1 | Press OK to change it | OK | SET CODE',
      '6:code:2 | Turn to 77.0 | ▼ 2× | >77.0<',
      '6:code:3 | Press OK to keep it | OK | 1 CODE',
      '6:name:1 | Turn to item 3 | ▼ | 3 NAME',
      '6:name:2 | Press OK to change it | OK | SET NAME',
      '6:name:3 | Letter 1: turn to B, press OK | ▲ 2×, OK | SET NAME 2',
      '6:name:4 | Letter 2: turn to E, press OK | ▼, OK | SET NAME 3',
      '6:name:5 | Letter 3: turn to D, press OK | ▼ 2×, OK | 3 NAME',
      '6:work:4 | Press MENU to leave | MENU | not NAME',
    ]);
  });
  it('several have their names in a second pass, begun where the first one ends', () => {
    const work = (at: number, label: string | null) => [
      ...(label ? [`${at}:work:1 | Turn to ${label} | ▲ | ${label}`] : []),
      OPEN(`${at}:work:${label ? 2 : 1}`),
      `${at}:code:1 | Press OK to change it | OK | SET CODE`,
      `${at}:code:2 | Turn to 67.0 | ▲ | >67.0<`,
      `${at}:code:3 | Press OK to keep it | OK | 1 CODE`,
      `${at}:work:${label ? 3 : 2} | Press MENU to leave | MENU | not CODE`,
    ];
    const name = (at: number, label: string, key: string, letter: string, turn: string) => [
      `${at}:names:1 | Turn to ${label} | ${key} | ${label}`,
      OPEN(`${at}:names:2`),
      `${at}:name:1 | Turn to item 3 | ▼ | 3 NAME`,
      `${at}:name:2 | Press OK to change it | OK | SET NAME`,
      `${at}:name:3 | Letter 1: turn to ${letter}, press OK | ${turn}, OK | SET NAME 2`,
      `${at}:name:4 | Letter 2: turn to blank, press OK | OK | SET NAME 3`,
      `${at}:name:5 | Letter 3: turn to blank, press OK | OK | 3 NAME`,
      `${at}:names:3 | Press MENU to leave | MENU | not NAME`,
    ];
    expect(
      written(set, { 1: { code: 1, power: 1, name: 'A' }, 2: { code: 1, power: 1, name: 'B' } }),
    ).toEqual([
      ...work(1, null),
      ...work(2, 'A2'),
      ...name(1, 'A1', '▼', 'A', '▲'),
      ...name(2, 'A2', '▲', 'B', '▲ 2×'),
    ]);
  });
  it('a name alone is no second pass, whatever the others have', () => {
    const sheet = written(set, { 1: { ...AS_NEW, name: 'A' }, 2: { ...AS_NEW, code: 1 } });
    expect(sheet.map((line) => line.split(' ')[0])).toEqual([
      '1:work:1',
      ...['1:name:1', '1:name:2', '1:name:3', '1:name:4', '1:name:5'],
      '1:work:2',
      ...['2:work:1', '2:work:2', '2:code:1', '2:code:2', '2:code:3', '2:work:3'],
    ]);
  });
  it('nothing is written where all is as it shall be', () => {
    expect(written(set, { 1: AS_NEW }, { bell: 1 })).toEqual([]);
    expect(sheetOf(set, holding(set), { 1: AS_NEW })).toMatchObject({
      presses: 0,
      mostPresses: 0,
      overwrites: [],
    });
  });
  it('what is done once comes before and after, and only where something is done', () => {
    const once = little((raw: LittleRaw) => {
      raw.recipes.begin = [{ do: 'press', key: 'talk', says: 'Press TALK at {label}' }];
      raw.recipes.finish = [{ do: 'power', says: 'Switch off and on' }];
    });
    expect(written(once, { 1: AS_NEW })).toEqual([]);
    expect(written(once, {}, { bell: 0 })).toEqual([
      'set:start:1 | Press TALK at A1 | TALK',
      'set:bell:1 | Press BELL | BELL | BELL 1',
      'set:bell:2 | Turn to 0 | ▲ 3× | BELL 0',
      'set:bell:3 | Press BELL to leave | BELL | not BELL',
      'set:end:1 | Switch off and on | off and on',
    ]);
    const place = written(once, { 1: { ...AS_NEW, power: 0 } });
    expect([place[0], place.at(-1)]).toEqual([
      'set:start:1 | Press TALK at A1 | TALK',
      'set:end:1 | Switch off and on | off and on',
    ]);
  });
});

describe('of which something is not known', () => {
  const anywhere = (raw: LittleRaw) => {
    raw.recipes.start = {
      atStart: false,
      steps: [{ do: 'press', key: 'menu', heldMs: 2000, says: 'Hold MENU for 2 s at {label}' }],
    };
    raw.recipes.set.name[0].until = '>{draft}';
  };
  const set = little(anywhere);
  const unknown = (places: Places = {}): Memory => ({
    slots: new Map(Object.entries(places).map(([number, values]) => [Number(number), values] as const)),
    settings: {},
  });
  it('each wheel is turned until it shows what it shall; of a place that nobody knows nothing is said', () => {
    expect(written(set, { 5: { code: 2, power: 0, name: 'EA' } }, { bell: 2 }, unknown())).toEqual([
      'set:start:1 | Hold MENU for 2 s at {label} | MENU held 2000',
      '5:work:1 | Press BANK until bank B | BANK until B1 (1, 2) | B1',
      '5:work:2 | Turn to B2 | ▲ | B2',
      OPEN('5:work:3'),
      '5:code:1 | Press OK to change it | OK | SET CODE',
      '5:code:2 | Turn to 71.9 | ▲ until >71.9< (2, 4) | >71.9<',
      '5:code:3 | Press OK to keep it | OK | 1 CODE',
      '5:power:1 | Turn to item 2 | ▲ | 2 POWER',
      '5:power:2 | Press OK to change it | OK | SET POWER',
      '5:power:3 | Turn to LOW | ▲ until >LOW< (0.5, 1) | >LOW<',
      '5:power:4 | Press OK to keep it | OK | 2 POWER',
      '5:name:1 | Turn to item 3 | ▲ | 3 NAME',
      '5:name:2 | Press OK to change it | OK | SET NAME',
      '5:name:3 | Letter 1: turn to E, press OK | ▲ until >E (2.5, 5), OK | SET NAME 2',
      '5:name:4 | Letter 2: turn to A, press OK | ▲ until >EA (2.5, 5), OK | SET NAME 3',
      '5:name:5 | Letter 3: turn to blank, press OK | ▲ until >EA  (2.5, 5), OK | 3 NAME',
      '5:work:4 | Press MENU to leave | MENU | not NAME',
      // What it shows first is not known, and not promised.
      'set:bell:1 | Press BELL | BELL',
      'set:bell:2 | Turn to 2 | ▲ until BELL 2 (1.5, 3) | BELL 2',
      'set:bell:3 | Press BELL to leave | BELL | not BELL',
    ]);
  });
  it('a setting whose first key changes it may have to be brought round', () => {
    const atOnce = little((raw: LittleRaw) => {
      anywhere(raw);
      raw.recipes.settings.bell = [
        { do: 'turn', what: 'value', up: 'bell', says: 'Press BELL until {value}', shows: 'BELL {value}' },
      ];
    });
    expect(written(atOnce, {}, { bell: 2 }, unknown())).toEqual([
      'set:start:1 | Hold MENU for 2 s at {label} | MENU held 2000',
      // From another of the four it takes 1, 2 or 3, and 4 where it stands there but nothing shows it.
      'set:bell:1 | Press BELL until 2 | BELL until BELL 2 (2, 4) | BELL 2',
    ]);
  });
  it('what can only be turned from where it stands is said, once, by its title', () => {
    const stuck = little((raw: LittleRaw) => {
      raw.recipes.set.power[0].shows = undefined;
      raw.recipes.settings.bell[1].shows = undefined;
    });
    const place = { code: 0, power: 1, name: 'A' };
    expect(sheetOf(stuck, unknown(), { 1: place, 2: place }, { bell: 2 }).findings).toEqual([
      { code: 'start-unknown', severity: 'error', field: 'Power' },
      { code: 'start-unknown', severity: 'error', field: 'Call bell' },
      // Names come last.
      { code: 'start-unknown', severity: 'error', field: 'Name' },
    ]);
  });
  it('what was there and goes, or may go', () => {
    const now = unknown({ 1: AS_NEW, 2: null, 3: { ...AS_NEW, code: 4 } });
    const wanted = { ...AS_NEW, code: 1 };
    const sheet = sheetOf(set, now, { 1: wanted, 2: wanted, 3: wanted, 4: wanted, 5: null });
    expect(sheet.overwrites).toEqual([1, 3, 4]);
  });
});

describe('a field that another one locks', () => {
  const set = little((raw: LittleRaw) => {
    raw.recipes.unlock = { field: 'power', value: 1, for: ['code'] };
  });
  /** The fields in turn, each with what it is turned to. */
  const turns = (before: Values, to: Values) =>
    written(set, { 1: to }, {}, holding(set, { 1: before })).flatMap((line) => {
      const [, field, value] = /^1:(\w+):\d+ \| Turn to (?!item)(\S+) /.exec(line) ?? [];
      return field ? [`${field} ${value}`] : [];
    });
  const LOW = { ...AS_NEW, power: 0 };
  it('is opened first, and closed again after it', () =>
    expect(turns(LOW, { ...LOW, code: 1 })).toEqual(['power HIGH', 'code 67.0', 'power LOW']));
  it('is opened first, and stays open where that is wanted', () =>
    expect(turns(LOW, { ...AS_NEW, code: 1 })).toEqual(['power HIGH', 'code 67.0']));
  it('needs nothing where it is open, and is closed in its turn', () =>
    expect(turns(AS_NEW, { ...LOW, code: 1 })).toEqual(['code 67.0', 'power LOW']));
  it('needs nothing for what it does not lock', () =>
    expect(turns(LOW, { ...AS_NEW, power: 1 })).toEqual(['power HIGH']));
  it('is come to no oftener than that', () => {
    const times = (before: Values, to: Values) =>
      written(set, { 1: to }, {}, holding(set, { 1: before })).filter((line) => line.startsWith('1:power'))
        .length;
    // Four steps each time: its item, OK, the value, OK.
    expect(times(LOW, { ...AS_NEW, code: 1 })).toBe(4);
    expect(times(AS_NEW, { ...LOW, code: 1 })).toBe(4);
    expect(times(AS_NEW, { ...AS_NEW, code: 1 })).toBe(0);
    expect(times(LOW, { ...LOW, code: 1 })).toBe(8);
  });
  it('is opened for a name in the second pass, too, by what the place holds then', () => {
    const forNames = little((raw: LittleRaw) => {
      raw.recipes.unlock = { field: 'power', value: 1, for: ['name'] };
    });
    const place = { code: 1, power: 0, name: 'A' };
    const steps = written(forNames, { 1: place, 2: place });
    const second = steps.slice(steps.findIndex((line) => line.startsWith('1:names:1')));
    expect(second.flatMap((line) => /^1:\w+:\d+ \| Turn to (?:HIGH|LOW) .*/.exec(line)?.[0] ?? [])).toEqual([
      '1:power:7 | Turn to HIGH | ▲ | >HIGH<',
      '1:power:11 | Turn to LOW | ▲ | >LOW<',
    ]);
  });
  it('is turned from where each of the steps before left it', () => {
    const sheet = written(set, { 1: { ...LOW, code: 1 } }, {}, holding(set, { 1: LOW }));
    expect(sheet.filter((line) => line.startsWith('1:power'))).toEqual([
      '1:power:1 | Turn to item 2 | ▲ | 2 POWER',
      '1:power:2 | Press OK to change it | OK | SET POWER',
      '1:power:3 | Turn to HIGH | ▲ | >HIGH<',
      '1:power:4 | Press OK to keep it | OK | 2 POWER',
      '1:power:5 | Turn to item 2 | ▲ | 2 POWER',
      '1:power:6 | Press OK to change it | OK | SET POWER',
      '1:power:7 | Turn to LOW | ▲ | >LOW<',
      '1:power:8 | Press OK to keep it | OK | 2 POWER',
    ]);
  });
});

describe('places that are emptied', () => {
  const erasing = (presses: number, more: (raw: LittleRaw) => void = () => undefined) =>
    little((raw: LittleRaw) => {
      raw.regions[0].content = { kind: 'free', receiveOnly: true };
      raw.fields.push({ id: 'rx', title: 'Frequency', holds: 'receiveHz', factory: 0 });
      raw.regions[0].ways[0].fields.push('rx');
      raw.recipes.startNumber = 3;
      raw.recipes.erase = {
        regions: ['channels'],
        steps: Array.from({ length: presses }, () => ({
          do: 'press',
          key: 'talk',
          says: 'Press TALK to empty it',
        })),
      };
      more(raw);
    });
  const used: Values = { ...AS_NEW, rx: 462_562_500 };
  const emptied = (set: Description) => {
    const sheet = sheetOf(set, holding(set, { 2: used, 3: used }), { 2: null, 3: null });
    return { presses: sheet.presses, order: [...new Set(sheet.steps.map(({ slotNumber }) => slotNumber))] };
  };
  it('in the order in which a person reads, unless another one saves a tenth', () => {
    // From A3: A2 and back to A3 are two turns, A3 and then A2 is one.
    expect(emptied(erasing(5))).toEqual({ presses: 12, order: [2, 3] });
    expect(emptied(erasing(4))).toEqual({ presses: 9, order: [3, 2] });
    expect(emptied(erasing(1))).toEqual({ presses: 3, order: [3, 2] });
  });
  it('each says so', () => {
    const set = erasing(1);
    expect(written(set, { 2: null }, {}, holding(set, { 2: used }))).toEqual([
      '2:erase:1 | Turn to A2 | ▼ | A2',
      '2:erase:2 | Press TALK to empty it | TALK',
    ]);
  });
  /** The same with a frequency that is turned to, or typed. */
  const turned = erasing(1, (raw) => {
    raw.lists.counted = [
      { kind: 'range', fromHz: 462_550_000, toHz: 462_600_000, stepHz: 25_000, shown: '{mhz}' },
    ];
    raw.fields.at(-1).list = 'counted';
    raw.recipes.items.rx = { number: '4', title: 'FREQ', place: 2 };
    raw.recipes.set.rx = raw.recipes.set.code;
    raw.recipes.order = ['rx', 'code', 'power', 'name'];
    raw.recipes.startNumber = 1;
  });
  it('an empty place of a set that counts its frequencies shows the first of them', () => {
    expect(
      written(turned, { 1: { rx: 2, code: 1 } }, {}, holding(turned, { 1: null })).filter((line) =>
        line.includes('Turn to'),
      ),
    ).toEqual([
      '1:rx:1 | Turn to item 4 | ▼ | 4 FREQ',
      '1:rx:3 | Turn to 462.6000 | ▼ | >462.6000<',
      '1:code:1 | Turn to item 1 | ▲ | 1 CODE',
      '1:code:3 | Turn to 67.0 | ▲ | >67.0<',
    ]);
  });
  it('of what nobody knows is emptied first, and then set as an empty one', () => {
    const sheet = written(
      turned,
      { 1: { rx: 1, code: 0, power: 0 } },
      {},
      { slots: new Map(), settings: {} },
    );
    expect(sheet.filter((line) => /Press TALK|Turn to (?!item)/.test(line))).toEqual([
      '1:work:1 | Press TALK to empty it | TALK',
      '1:rx:3 | Turn to 462.5750 | ▲ | >462.5750<',
      '1:power:3 | Turn to LOW | ▲ | >LOW<',
    ]);
  });
  it('what is wiped before it is written: nothing in an empty place, whatever there may be in another', () => {
    const wiped = (places: Places, at: number) => {
      const set = erasing(1, (raw) => {
        for (const char of '0123456789') {
          raw.keys[`d${char}`] = char;
          raw.behaviour.keys[`d${char}`] = { char };
        }
        raw.recipes.erase = undefined;
        raw.recipes.charKeys = Object.fromEntries([...'0123456789'].map((char) => [char, `d${char}`]));
        raw.recipes.frequencyEntry = { digits: 7, unitHz: 100 };
        raw.recipes.items.rx = { number: '4', title: 'FREQ', place: 2 };
        raw.recipes.set.rx = [
          { do: 'press', key: 'bell', says: 'Wipe {title}', unless: 'blank' },
          { do: 'type', what: 'frequency', says: 'Type {typed}' },
        ];
        raw.recipes.order = ['rx', 'code', 'power', 'name'];
        raw.recipes.startNumber = 1;
      });
      const now = at === 1 ? { slots: new Map(), settings: {} } : holding(set, places);
      return written(set, { 2: { rx: 462_562_500 } }, {}, now).flatMap(
        (line) => /Wipe FREQ|Type \d+/.exec(line)?.[0] ?? [],
      );
    };
    expect(wiped({ 2: null }, 0)).toEqual(['Type 4625625']);
    expect(wiped({ 2: { ...used, rx: 462_600_000 } }, 0)).toEqual(['Wipe FREQ', 'Type 4625625']);
    expect(wiped({ 2: { ...used, rx: 0 } }, 0)).toEqual(['Type 4625625']);
    expect(wiped({}, 1)).toEqual(['Wipe FREQ', 'Type 4625625']);
  });
  it('leave a name where it is the only one', () => {
    const sheet = written(
      turned,
      { 1: { rx: 2, code: 1, name: 'A' }, 2: null },
      {},
      holding(turned, { 1: null, 2: { ...used, rx: 1 } }),
    );
    // One place is filled, so that its name is set at once.
    expect(sheet.filter((line) => line.includes('names:'))).toEqual([]);
    expect(sheet.some((line) => line.startsWith('1:name:'))).toBe(true);
  });
  it('those that are empty need nothing', () => {
    const set = erasing(1);
    expect(written(set, { 2: null }, {}, holding(set, { 2: null }))).toEqual([]);
  });
});

describe('what nobody described', () => {
  it('a field without steps is said once for all places, by its title', () => {
    const set = little((raw: LittleRaw) => {
      raw.recipes.order = ['code', 'name'];
    });
    const low = { ...AS_NEW, power: 0, code: 1 };
    const sheet = sheetOf(set, holding(set), { 1: low, 2: low });
    expect(sheet.findings).toEqual([{ code: 'no-recipe', severity: 'error', field: 'Power' }]);
    expect(sheet.steps.some(({ field }) => field === 'power')).toBe(false);
    expect(sheet.steps.some(({ field }) => field === 'code')).toBe(true);
  });
  it('a setting without steps', () => {
    const set = little((raw: LittleRaw) => {
      raw.recipes.settings = {};
    });
    expect(sheetOf(set, holding(set), {}, { bell: 2 })).toMatchObject({
      steps: [],
      findings: [{ code: 'no-recipe', severity: 'error', field: 'Call bell' }],
    });
  });
  it('a reset', () => {
    const set = little();
    const sheet = sheetOf(set, holding(set), {}, {}, { resets: true });
    expect(sheet).toMatchObject({ resets: true, findings: [{ code: 'no-recipe', field: 'reset' }] });
    expect(sheetOf(set, holding(set), {}).findings).toEqual([]);
    const can = little((raw: LittleRaw) => {
      raw.recipes.reset = { steps: [{ do: 'press', key: 'menu', heldMs: 5000, says: 'Hold MENU for 5 s' }] };
    });
    const reset = sheetOf(can, holding(can), {}, {}, { resets: true });
    expect(reset.findings).toEqual([]);
    expect(lines(can, reset)).toEqual(['set:reset:1 | Hold MENU for 5 s | MENU held 5000']);
    // What is done before places and after them is for those alone.
    const begins = little((raw: LittleRaw) => {
      raw.recipes.reset = can.recipes?.reset;
      raw.recipes.begin = [{ do: 'press', key: 'talk', says: 'Press TALK' }];
      raw.recipes.finish = raw.recipes.begin;
    });
    expect(sheetOf(begins, holding(begins), {}, {}, { resets: true }).steps).toHaveLength(1);
  });
  it('keys for what is typed', () => {
    const set = little((raw: LittleRaw) => {
      raw.recipes.slotStep = [{ do: 'type', what: 'slotNumber', width: 2, says: 'Type {number}' }];
      raw.recipes.bankStep = [];
      raw.recipes.charKeys = { 0: 'up' };
    });
    const sheet = sheetOf(set, holding(set), { 2: { ...AS_NEW, code: 1 }, 3: { ...AS_NEW, code: 1 } });
    expect(sheet.findings).toEqual([{ code: 'no-recipe', severity: 'error', field: 'Going to a place' }]);
  });
  it('which key types a character at all', () => {
    const set = little((raw: LittleRaw) => {
      raw.recipes.slotStep = [{ do: 'type', what: 'slotNumber', width: 2, says: 'Type {number}' }];
      raw.recipes.bankStep = [];
    });
    expect(sheetOf(set, holding(set), { 2: { ...AS_NEW, code: 1 } }).findings).toEqual([
      { code: 'no-recipe', severity: 'error', field: 'Going to a place' },
    ]);
  });
  it('a letter that no wheel has', () => {
    const set = little((raw: LittleRaw) => {
      raw.recipes.letterWheel = ' ABC';
    });
    const sheet = sheetOf(set, holding(set), { 1: { ...AS_NEW, name: 'AD' } });
    expect(sheet.findings).toEqual([{ code: 'no-recipe', severity: 'error', field: 'Name' }]);
    // Also one that stands there.
    const before = holding(set, { 1: { ...AS_NEW, name: 'D' } });
    expect(sheetOf(set, before, { 1: { ...AS_NEW, name: 'A' } }).findings).toHaveLength(1);
  });
  it('a way to another bank, where a step of places goes round inside its own', () => {
    const set = little((raw: LittleRaw) => {
      raw.recipes.bankStep = [];
    });
    const to = (number: number, of = set) =>
      sheetOf(of, holding(of), { [number]: { ...AS_NEW, code: 1 } }).findings;
    const inTwo = little((raw: LittleRaw) => {
      raw.recipes.bankStep = [];
      raw.recipes.slotStep.unshift({ do: 'press', key: 'talk', says: 'Press TALK' });
    });
    expect(to(4, inTwo)).toHaveLength(1);
    expect(to(3)).toEqual([]);
    expect(to(4)).toEqual([{ code: 'no-recipe', severity: 'error', field: 'Going to another bank' }]);
  });
  it('the place that the steps begin at', () => {
    const set = structuredClone(little());
    if (set.recipes) set.recipes.startNumber = 99;
    expect(sheetOf(set, holding(set), { 1: { ...AS_NEW, code: 1 } }).findings).toEqual([
      { code: 'document-shape', severity: 'error', path: '/recipes/startNumber', detail: 'no place 99' },
    ]);
  });
  it('nothing at all', () => {
    const { recipes: _, ...bare } = little();
    expect(sheetOf(bare, holding(bare), { 1: { ...AS_NEW, code: 1 } })).toMatchObject({
      way: 'unknown',
      steps: [],
      overwrites: [1],
      findings: [{ code: 'steps-not-known', severity: 'error' }],
    });
  });
});

describe('steps that are left out', () => {
  it('choosing what the list opens at', () => {
    const set = little((raw: LittleRaw) => {
      raw.recipes.item = [
        { do: 'press', key: 'bell', says: 'Choose item {item}', unless: 'chosen' },
        { do: 'press', key: 'ok', says: 'Press OK to change it', shows: 'SET {title}' },
      ];
    });
    const chosen = (to: Values) =>
      written(set, { 1: to }).flatMap((line) => /Choose item \d/.exec(line)?.[0] ?? []);
    expect(chosen({ ...AS_NEW, code: 1 })).toEqual([]);
    expect(chosen({ ...AS_NEW, power: 0 })).toEqual(['Choose item 2']);
    expect(chosen({ ...AS_NEW, code: 1, power: 0 })).toEqual(['Choose item 2']);
    // Once another was opened the list does not stand at its first any more.
    const locked = little((raw: LittleRaw) => {
      raw.recipes.item = set.recipes?.item;
      raw.recipes.unlock = { field: 'power', value: 1, for: ['code'] };
    });
    const low = { ...AS_NEW, power: 0 };
    const sheet = written(locked, { 1: { ...low, code: 1 } }, {}, holding(locked, { 1: low }));
    expect(sheet.flatMap((line) => /Choose item \d/.exec(line)?.[0] ?? [])).toEqual([
      'Choose item 2',
      'Choose item 1',
      'Choose item 2',
    ]);
  });
  it('wiping what is blank', () => {
    const set = little((raw: LittleRaw) => {
      const [spell] = raw.recipes.set.name;
      raw.recipes.set.name = [{ do: 'press', key: 'bell', says: 'Wipe {title}', unless: 'blank' }, spell];
      raw.recipes.set.code = [
        { do: 'press', key: 'bell', says: 'Wipe {title}', unless: 'blank' },
        ...raw.recipes.set.code,
      ];
    });
    const wiped = (before: Values, to: Values) =>
      written(set, { 1: to }, {}, holding(set, { 1: before })).flatMap(
        (line) => /Wipe \w+/.exec(line)?.[0] ?? [],
      );
    expect(wiped(AS_NEW, { ...AS_NEW, name: 'A' })).toEqual([]);
    expect(wiped({ ...AS_NEW, name: '  ' }, { ...AS_NEW, name: 'A' })).toEqual([]);
    expect(wiped({ ...AS_NEW, name: 'B' }, { ...AS_NEW, name: 'A' })).toEqual(['Wipe NAME']);
    // What comes from a list is never blank, its first value least of all.
    expect(wiped(AS_NEW, { ...AS_NEW, code: 1 })).toEqual(['Wipe CODE']);
  });
});

describe('what fills the words', () => {
  it('letters that stay, where what stood there is known', () => {
    const set = little((raw: LittleRaw) => {
      raw.recipes.set.name[0].says = 'Letter {letter}, then {letters}, so far {draft}, next {nextLetter}';
    });
    const now = holding(set, { 1: { ...AS_NEW, name: 'CAB' } });
    expect(
      written(set, { 1: { ...AS_NEW, name: 'BAD' } }, {}, now).filter((line) => line.includes('Letter')),
    ).toEqual([
      '1:name:3 | Letter 1, then BAB, so far B, next 2 | ▼, OK | SET NAME 2',
      '1:name:4 | Letter 2, then BAB, so far BA, next 3 | OK | SET NAME 3',
      '1:name:5 | Letter 3, then BAD, so far BAD, next 4 | ▲ 2×, OK | 3 NAME',
    ]);
  });
  it('a promise is what stands between its blanks', () => {
    const set = little((raw: LittleRaw) => {
      raw.recipes.slotStep[0].shows = '  {label} ';
      raw.recipes.open[0].shows = '   ';
    });
    expect(written(set, { 2: { ...AS_NEW, code: 1 } }).slice(0, 2)).toEqual([
      '2:work:1 | Turn to A2 | ▲ | A2',
      '2:work:2 | Press MENU | MENU',
    ]);
  });
  it('every number of a place as it is', () => {
    const set = little((raw: LittleRaw) => {
      raw.recipes.open[0].says = '{number} {number3} {position} {position2} {bank} {label} {firstLabel}';
    });
    expect(written(set, { 5: { ...AS_NEW, code: 1 } })[2]).toBe(
      '5:work:3 | 5 005 2 02 B B2 B1 | MENU | 1 CODE',
    );
  });
  it('of a place that is turned to nothing is left of the item before', () => {
    const sheet = written(little(), { 1: { ...AS_NEW, code: 1 }, 2: { ...AS_NEW, power: 0 } });
    expect(sheet.filter((line) => line.includes('not '))).toEqual([
      '1:work:2 | Press MENU to leave | MENU | not CODE',
      '2:work:3 | Press MENU to leave | MENU | not POWER',
    ]);
  });
  it('each step knows what its words were filled with, and where it comes from', () => {
    const [open, change, turn, keep, leave] = sheetOf(little(), holding(little()), {
      1: { ...AS_NEW, code: 1 },
    }).steps;
    expect([open, change, turn, keep, leave].map((step) => step?.recipe)).toEqual([
      '/recipes/open/0',
      '/recipes/item/1',
      '/recipes/set/code/0',
      '/recipes/set/code/1',
      '/recipes/close/0',
    ]);
    expect(turn?.of).toEqual({ value: '67.0' });
    expect(slotsOf(little())).toHaveLength(6);
  });
});

describe('a tone that the operator picked by hand', () => {
  const picking = (operatorTone: unknown) =>
    little((raw: LittleRaw) => {
      raw.lists.picks = [
        {
          kind: 'items',
          items: [
            { shown: '67', means: '67.0' },
            { shown: 'NONE', means: 'off' },
            { shown: '77', means: '77.0' },
          ],
        },
      ];
      raw.operatorTone = operatorTone;
      raw.recipes.clearPicked = [
        { do: 'press', key: 'talk', says: 'Press TALK' },
        { do: 'turn', what: 'value', up: 'up', says: 'Turn from {now} to {value}', shows: '{value}' },
      ];
    });
  const LIST = { reach: 'transmit', sticky: true, list: 'picks' };
  const cleared = (set: Description, pickedTone?: SheetOptions['pickedTone']) => {
    const sheet = sheetOf(set, holding(set), {}, {}, pickedTone === undefined ? {} : { pickedTone });
    return { clears: sheet.clears, steps: lines(set, sheet) };
  };
  it('is cleared before all else, from where it stands in the list', () => {
    expect(cleared(picking(LIST), '77.0')).toEqual({
      clears: 2,
      steps: ['set:start:1 | Press TALK | TALK', 'set:start:2 | Turn from 77 to 67 | ▲ | 67'],
    });
  });
  it('needs nothing where none is picked, nobody knows, or the set has no such', () => {
    const NOTHING = { clears: 0, steps: [] };
    for (const tone of ['off', 'unknown', '99.9', undefined] as const)
      expect(cleared(picking(LIST), tone as SheetOptions['pickedTone'])).toEqual(NOTHING);
    for (const none of ['none', 'unknown']) expect(cleared(picking(none), '77.0')).toEqual(NOTHING);
    const unsaid = little((raw: LittleRaw) => {
      raw.operatorTone = { reach: 'transmit', sticky: true, list: 'codes' };
    });
    expect(cleared(unsaid, '77.0')).toEqual(NOTHING);
  });
});

describe('a name that is tapped', () => {
  const set = little((raw: LittleRaw) => {
    raw.recipes.letterKeys = { up: 'ABC', down: 'DE ' };
    raw.recipes.set.name = [
      { do: 'press', key: 'bell', says: 'Wipe it', unless: 'blank' },
      { do: 'tapName', pauseMs: 900, says: 'Tap {value}' },
    ];
  });
  const tapped = (to: string, before = '') =>
    written(
      set,
      { 1: { ...AS_NEW, name: to } },
      {},
      holding(set, { 1: { ...AS_NEW, name: before } }),
    ).flatMap((line) => /(Wipe it|Tap .*)/.exec(line)?.[0] ?? []);
  it('is so many taps for each letter, with a pause between two of one key', () => {
    expect(tapped('BAD')).toEqual(['Tap BAD | ▲ 2×, wait 900, ▲, ▼']);
  });
  it('that is to be none is wiped, and nothing is tapped', () =>
    expect(tapped('', 'A')).toEqual(['Wipe it']));
  it('of which no key has a letter is said', () => {
    const sheet = sheetOf(set, holding(set), { 1: { ...AS_NEW, name: 'AX' } });
    expect(sheet.findings).toEqual([{ code: 'no-recipe', severity: 'error', field: 'Name' }]);
  });
});
