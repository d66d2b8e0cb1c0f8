import { type Prepared, prepare } from '@umbrex/core/flow';
import { firstDifference, withWanted } from '@umbrex/core/memory';
import { type Description, factoryMemory } from '@umbrex/core/model';
import {
  CALM,
  expanded,
  type Replayable,
  type Run,
  replay,
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
 * Follows a short form as a person does who has only what is printed: the routine with its letters, and what stands in each column of a
 * line. Written apart from `expanded`, which reads the runs themselves.
 */
function byHand({ parts }: ShortForm, keys: Readonly<Record<string, string>>): Run[][] {
  const keyOf = (legend: string) => {
    const found = Object.entries(keys).filter(([, printed]) => printed === legend);
    expect(found, `one key says ${legend}`).toHaveLength(1);
    return found[0]?.[0] ?? '';
  };
  const done: Run[][] = [];
  for (const part of parts) {
    if (part.kind === 'steps') {
      done.push(...part.steps.map((step) => [...step.runs]));
      continue;
    }
    for (const line of part.lines)
      for (const step of part.steps) {
        const inSection = part.steps.filter(({ section }) => section === step.section);
        if (inSection.some((other) => line.cells[other.column ?? -1]?.does === 'no-section')) continue;
        const column = part.columns[step.column ?? -1];
        const cell = line.cells[step.column ?? -1];
        if (cell?.does === 'no-step') continue;
        if (!column || cell?.does !== 'this' || column.kind === 'whether') {
          done.push([...(step.runs ?? [])]);
          continue;
        }
        for (const given of cell.runs) {
          const said = [...given];
          const read: Run[] =
            column.kind === 'times'
              ? [{ do: 'press', key: column.key, times: said[0]?.do === 'press' ? said[0].times : 0 }]
              : column.kind === 'typed'
                ? said.map((run) => ({
                    do: 'press',
                    key: keyOf(run.do === 'press' ? (keys[run.key] ?? '') : ''),
                    times: 1,
                  }))
                : column.kind === 'until'
                  ? column.keys.map(({ key, heldMs }, i) => {
                      const run = said[i];
                      if (run?.do !== 'until') throw new Error('not to be read');
                      const { shows, as, mean, most } = run;
                      return {
                        do: 'until',
                        key,
                        ...(heldMs !== undefined && { heldMs }),
                        shows,
                        as,
                        mean,
                        most,
                      };
                    })
                  : said;
          done.push([...read, ...step.tail]);
        }
      }
  }
  return done;
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
    expect(byHand(short, description.keys)).toEqual(long);
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
          const steps = byHand(short, description.keys).map(
            (each): Replayable => ({ runs: each, promises: undefined }),
          );
          const from = factoryMemory(description);
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
    // Of a tone the keys are its own figures.
    expect(cells?.some((cell) => cell?.does === 'this' && cell.value === '167.9')).toBe(false);
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
