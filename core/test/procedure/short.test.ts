import { type Prepared, prepare } from '@umbrex/core/flow';
import { firstDifference, withWanted } from '@umbrex/core/memory';
import { type Description, factoryMemory } from '@umbrex/core/model';
import {
  CALM,
  columnLetter,
  columnOfMark,
  columnSpans,
  type DrawnKeys,
  drawnCell,
  expanded,
  type Replayable,
  type Run,
  replay,
  type ShortCell,
  type ShortColumn,
  type ShortForm,
  shortForm,
} from '@umbrex/core/procedure';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { KEYED, shipped } from '../support/devices';
import { UNSEEN } from '../support/memory';
import { anyPlan, OSTREL } from '../support/plans';
import { runs } from '../support/runs';

const NEW = undefined;
const SEEN_BY_NOBODY = { keeps: [], accepts: [], holds: UNSEEN };
const STARTS = {
  'as from the factory': NEW,
  'not looked at': SEEN_BY_NOBODY,
  'reset first': { ...SEEN_BY_NOBODY, start: 'reset' as const },
};

function shortOf(description: Description, { sheet, proof }: Prepared): ShortForm {
  if (!description.recipes) throw new Error('no recipes');
  return shortForm(sheet, proof, description.recipes, description.keys);
}

/**
 * Follows a short form as a person does who has only what is printed: the words of the routine, and what is drawn in each column of a
 * line, by the legends of the keys. Written apart from `expanded`, which reads the runs themselves. How often a turn may take is no part
 * of what a hand reads.
 */
function byHand({ parts }: ShortForm, keys: Readonly<Record<string, string>>): Read[][] {
  const keyOf = (legend: string) => {
    const found = Object.entries(keys).filter(([, printed]) => printed === legend);
    expect(found, `one key says ${legend}`).toHaveLength(1);
    return found[0]?.[0] ?? '';
  };
  const pressed = (drawing: DrawnKeys): Read => {
    if (drawing.kind === 'pause') return { do: 'wait', ms: drawing.ms };
    if (drawing.kind === 'power') return { do: 'power' };
    const held = drawing.heldMs === undefined ? {} : { heldMs: drawing.heldMs };
    if (drawing.kind === 'until')
      return {
        do: 'until',
        key: keyOf(drawing.legend),
        ...held,
        ends: drawing.shows.map((text) => text.trim()),
      };
    const { legend, times, when } = drawing;
    const together = drawing.with ? { with: drawing.with.map(keyOf) } : {};
    return { do: 'press', key: keyOf(legend), times, ...held, ...together, ...(when && { when }) };
  };
  const inCell = (column: ShortColumn, cell: ShortCell): Read[][] => {
    const seen = drawnCell(column, cell, keys);
    switch (seen.kind) {
      case 'times':
        return [[{ do: 'press', key: column.kind === 'times' ? column.key : '', times: seen.times }]];
      case 'typed': {
        const legends = new Set(Object.values(keys));
        const typed = [...seen.text].filter((char) => char !== '.' || legends.has(char));
        return [typed.map((char) => ({ do: 'press', key: keyOf(char), times: 1 }))];
      }
      case 'until': {
        const turned = column.kind === 'until' ? column.keys : [];
        return [
          turned.map(({ key, heldMs }, i) => ({
            do: 'until',
            key,
            ...(heldMs !== undefined && { heldMs }),
            ends: seen.shows[i] ?? [],
          })),
        ];
      }
      case 'keys':
        return [seen.keys.map(pressed)];
      case 'spelt': {
        const key = column.kind === 'spelt' ? column.key : '';
        const letters = seen.letters.map((letter) => (letter === 'blank' ? ' ' : letter));
        return letters.map((_, i) => [
          {
            do: 'until',
            key,
            ends: [
              letters
                .slice(0, i + 1)
                .join('')
                .trim(),
            ],
          },
        ]);
      }
      case 'letters':
        return seen.letters.map(({ keys: each }) => each.map(pressed));
      default:
        throw new Error(`nothing to press in ${seen.kind}`);
    }
  };
  return parts.flatMap((part) => {
    if (part.kind === 'steps') return part.steps.map((step) => step.runs.map(asRead));
    return part.lines.flatMap(({ cells }) =>
      part.steps.flatMap((step) => {
        const inSection = part.steps.filter(({ section }) => section === step.section);
        if (inSection.some((other) => cells[other.column ?? -1]?.does === 'no-section')) return [];
        const [column, cell] = [part.columns[step.column ?? -1], cells[step.column ?? -1]];
        if (cell?.does === 'no-step') return [];
        if (!column || !cell || column.kind === 'whether') return [(step.runs ?? []).map(asRead)];
        return inCell(column, cell).map((each) => [...each, ...step.tail.map(asRead)]);
      }),
    );
  });
}

type Read =
  | Exclude<Run, { do: 'until' }>
  | { do: 'until'; key: string; heldMs?: number; ends: readonly string[] };

/** A run as far as a hand can read it. */
function asRead(run: Run): Read {
  if (run.do !== 'until') return run;
  const { key, heldMs } = run;
  const all = run.shows.map((text) => text.trim());
  const ends = all.length > 1 ? [all[0] ?? '', all.at(-1) ?? ''] : all;
  // A line that is spelt letter by letter stands in a frame of the set's own.
  if (run.as === 'beginning')
    return { do: 'until', key, ends: ends.map((text) => text.replace(/^.*[[(<]|^blinks /, '').trim()) };
  return { do: 'until', key, ...(heldMs !== undefined && { heldMs }), ends };
}

/** What a cell says of a value, in the ways in which it may. */
function said(cell: ReturnType<typeof drawnCell>): string[] {
  switch (cell.kind) {
    case 'times':
      return [cell.value ?? ''];
    case 'typed':
      return [cell.text, cell.value ?? ''];
    case 'until':
      return cell.shows.map((texts) => texts.at(-1) ?? '');
    case 'spelt':
      return [cell.letters.join(''), ...cell.letters];
    case 'letters':
      return [cell.letters.map(({ letter }) => letter).join(''), ...cell.letters.map(({ letter }) => letter)];
    case 'keys': {
      const last = cell.keys.at(-1);
      return [cell.value ?? '', last?.kind === 'until' ? (last.shows.at(-1) ?? '').trim() : ''];
    }
    default:
      return [];
  }
}

describe('the short form of a sheet', () => {
  const cases = KEYED.flatMap((description) =>
    Object.entries(STARTS).flatMap(([name, unit]) =>
      unit && 'start' in unit && !description.recipes?.reset ? [] : [[description.id, name, unit] as const],
    ),
  );
  it.each(cases)('%s, %s: is exactly what was replayed, read by the code and by hand', (id, _, unit) => {
    const description = shipped(id);
    const prepared = prepare(OSTREL, description, unit);
    expect(prepared.proof.firstDifference).toBeNull();
    const short = shortOf(description, prepared);
    const long = prepared.sheet.steps.map((step) => step.runs);
    expect(expanded(short)).toEqual(long);
    expect(byHand(short, description.keys)).toEqual(long.map((each) => each.map(asRead)));
  });
  it.each(cases)(
    '%s, %s: what stands in the words of a step is what its column says there',
    (id, _, unit) => {
      const description = shipped(id);
      const prepared = prepare(OSTREL, description, unit);
      for (const part of shortOf(description, prepared).parts) {
        if (part.kind === 'steps') continue;
        for (const { from, to, cells } of part.lines)
          for (const step of part.steps)
            for (const piece of step.says) {
              if (typeof piece === 'string') continue;
              const long = prepared.sheet.steps
                .slice(from - 1, to)
                .find(
                  ({ field, says, of }) =>
                    field === step.field &&
                    says === step.says.map((p) => (typeof p === 'string' ? p : (of[p.mark] ?? ''))).join(''),
                );
              const [at, text] = [columnOfMark(part, step, piece.mark), long?.of[piece.mark]?.trim()];
              const [column, cell] = [part.columns[at ?? -1], cells[at ?? -1]];
              if (!text || !column || !cell) continue;
              const there = said(drawnCell(column, cell, description.keys));
              // In a frame of the set's own, where the line says what shall be shown.
              expect(
                there.some((one) => one.includes(text)),
                `${columnLetter(at ?? 0)} of “${long?.says}”: ${there}`,
              ).toBe(true);
            }
      }
    },
  );
  it('gives no more time between keys than the quickest of its steps, and no less', () => {
    let bounded = 0;
    const kinds = new Set<string>();
    for (const [id, , unit] of cases) {
      const description = shipped(id);
      const prepared = prepare(OSTREL, description, unit);
      for (const part of shortOf(description, prepared).parts) {
        if (part.kind === 'steps') continue;
        const own = part.lines.flatMap(({ from, to }) => prepared.proof.windowsMs.slice(from - 1, to));
        const times = own.filter((ms) => ms !== undefined).sort((a, b) => a - b);
        expect([id, part.windowMs]).toEqual([id, times[0]]);
        if (times[0] !== times.at(-1)) bounded++;
        for (const { to, shows } of part.lines) expect(shows).toEqual(prepared.proof.screens[to - 1]);
        for (const { kind } of part.columns) kinds.add(kind);
      }
    }
    // On some of them steps differ in that.
    expect(bounded).toBeGreaterThan(0);
    // Each kind of column is on some sheet.
    expect([...kinds].sort()).toEqual(['keys', 'letters', 'spelt', 'times', 'typed', 'until', 'whether']);
  });
  it('names its columns by letters, and goes on after Z', () => {
    expect([0, 1, 25, 26, 51, 52].map(columnLetter)).toEqual(['A', 'B', 'Z', 'A2', 'Z2', 'A3']);
    const columns = ['one', 'one', 'two', 'one'].map((field) => ({ kind: 'keys', field }) as const);
    expect(columnSpans({ columns })).toEqual([
      { field: 'one', count: 2 },
      { field: 'two', count: 1 },
      { field: 'one', count: 1 },
    ]);
  });
  it('of any plan on any pattern comes to the same memory when it is followed', () =>
    fc.assert(
      fc.property(
        anyPlan,
        fc.constantFrom(...KEYED),
        fc.constantFrom(NEW, SEEN_BY_NOBODY),
        (plan, description, unit) => {
          const prepared = prepare(plan, description, unit);
          const short = shortOf(description, prepared);
          expect(expanded(short)).toEqual(prepared.sheet.steps.map((step) => step.runs));
          const long = prepared.sheet.steps.map((step) => step.runs.map(asRead));
          expect(byHand(short, description.keys)).toEqual(long);
          const from = factoryMemory(description);
          const steps = expanded(short).map((each): Replayable => ({ runs: each, promises: undefined }));
          const { memory } = replay(description, steps, CALM, { memory: from });
          if (prepared.proof.proven)
            expect(
              firstDifference(description, withWanted(description, from, prepared.wanted), memory),
            ).toBeNull();
        },
      ),
      { numRuns: runs(120) },
    ));
  it('writes each routine once: a line for each place, and most steps are no column', () => {
    const description = shipped('bank-handheld');
    const short = shortOf(description, prepare(OSTREL, description, SEEN_BY_NOBODY));
    const [work] = short.parts.filter((part) => part.kind === 'routine');
    expect(work?.lines.length).toBeGreaterThan(30);
    expect(work?.columns.length).toBeLessThan((work?.steps.length ?? 0) / 2);
  });
  it('says what differs as a mark, what is the same in words, and the value where the keys do not say it', () => {
    const description = shipped('page-handheld');
    const short = shortOf(description, prepare(OSTREL, description));
    const [work] = short.parts.filter((part) => part.kind === 'routine');
    const typed = work?.steps.find(({ field, column }) => field === 'txTone' && column !== undefined);
    expect(typed?.says).toEqual(['Type the code for ', { mark: 'value' }, '.']);
    const cells = work?.lines.map(({ cells: all }) => all[typed?.column ?? -1]);
    // A code of figures is typed after a sign: the keys alone would not say which code it is.
    const code = cells?.find((cell) => cell?.does === 'this' && cell.value === 'D251N');
    expect(code).toMatchObject({
      runs: [['hash', 'd2', 'd5', 'd1'].map((key) => ({ do: 'press', key, times: 1 }))],
    });
    const drawn = cells?.map((cell) =>
      cell && typed
        ? drawnCell(work?.columns[typed.column ?? -1] as ShortColumn, cell, description.keys)
        : null,
    );
    expect(drawn).toContainEqual({ kind: 'typed', text: '#251', value: 'D251N' });
    // Of a tone the keys are its own figures.
    expect(drawn).toContainEqual({ kind: 'typed', text: '167.9', value: undefined });
    expect(drawn).toContainEqual({ kind: 'left-out', what: 'section' });
    expect(work?.steps.some(({ says }) => says.includes('Open the list.'))).toBe(true);
  });
  it('begins a routine of its own where steps come in another order', () => {
    const description = shipped('page-handheld');
    const { sheet, proof } = prepare(OSTREL, description);
    const slots = [...new Set(sheet.steps.flatMap(({ slotNumber }) => slotNumber ?? []))].slice(0, 4);
    const steps = sheet.steps.filter(
      ({ slotNumber, part }) => part === 'work' && slots.includes(slotNumber ?? 0),
    );
    const turned = steps.map((step) => ({ ...step }));
    const own = turned.filter(({ slotNumber }) => slotNumber === slots[2]);
    turned.splice(turned.indexOf(own[0] as never), own.length, ...own.reverse());
    if (!description.recipes) throw new Error('no recipes');
    const short = shortForm({ steps: turned }, proof, description.recipes, description.keys);
    expect(expanded(short)).toEqual(turned.map((step) => step.runs));
    expect(short.parts.map(({ kind }) => kind)).toEqual(['routine', 'steps', 'steps']);
  });
});
