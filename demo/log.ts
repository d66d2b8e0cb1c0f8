import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { type LineKnown, namesOfLog, readHeardLine } from '@umbrex/core/heard';
import {
  type Description,
  type Heard,
  HeardSchema,
  type Person,
  type Plan,
  type Station,
  type Unit,
} from '@umbrex/core/model';
import { isSpokenWith } from '@umbrex/core/onAir';

/** The month of calls of the demo, read from lines as they are written on the page. @throws Error for a line that asks something */
export function demoLog(
  plan: Plan,
  descriptions: readonly Description[],
  units: readonly Unit[],
  people: readonly Person[],
  stations: readonly Station[],
): Heard[] {
  const spoken = new Set(descriptions.filter(isSpokenWith).map(({ id }) => id));
  const known: LineKnown = {
    ...namesOfLog(
      plan,
      { units: units.filter(({ descriptionId }) => spoken.has(descriptionId)), people },
      stations,
    ),
    channelId: null,
    now: { day: '2026-11-30', minute: 0 },
  };
  const text = readFileSync(fileURLToPath(new URL('./ostrel-log.txt', import.meta.url)), 'utf8');
  const lines = text.split('\n').filter((line) => line !== '' && !line.startsWith('#'));
  return lines.flatMap((line, n) => {
    const { ok, calls, questions } = readHeardLine(line, known);
    if (!ok) throw new Error(`demo/ostrel-log.txt: ${line}: ${JSON.stringify(questions)}`);
    return calls.map(({ time, ...call }, k) =>
      HeardSchema.parse({
        ...call,
        id: `00000000-0000-4000-8000-${String(8000 + n * 2 + k).padStart(12, '0')}`,
        planId: plan.id,
        at: new Date(Date.parse(`${time?.day}T00:00:00Z`) + (time?.minute ?? 0) * 60_000).toISOString(),
        by: 'Ines Korvald',
      }),
    );
  });
}
