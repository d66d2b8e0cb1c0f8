import type { AreaReading } from '@umbrex/core/areas';
import { useEffect, useState } from 'react';
import { areaText } from '../../messages/areas';
import { counted } from '../../messages/labels';
import { LabelledText } from '../../ui/LabelledText';
import { call } from '../desk/api';

interface Props {
  codes: readonly string[];
  names: Readonly<Record<string, string>>;
  /** Gives an area that no table knows a name of the group's own. */
  name?: (code: string, name: string) => void;
  /** Puts what was probably meant in place of what was written. */
  mend: (code: string, meant: string) => void;
  /** Takes a county that lies next to one that is written. */
  add: (code: string) => void;
}

/** The counties that have a border with one, each to be taken with one press. */
function Beside({
  reading: { county, beside },
  codes,
  add,
}: {
  reading: Extract<AreaReading, { kind: 'county' }>;
  codes: readonly string[];
  add: (code: string) => void;
}) {
  const others = beside.filter(({ code }) => !codes.some((one) => one.slice(1) === code.slice(1)));
  if (others.length === 0) return null;
  return (
    <details>
      <summary className="cursor-pointer">
        {counted(others.length, 'county', 'counties')} next to {county}
      </summary>
      <ul className="my-1 flex flex-wrap gap-1">
        {others.map(({ code, county, state }) => (
          <li key={code}>
            <button type="button" className="btn btn-outline btn-xs" onClick={() => add(code)}>
              Add {county}, {state} <span className="font-mono">{code}</span>
            </button>
          </li>
        ))}
      </ul>
    </details>
  );
}

/** Beside each area code the county it stands for; one that the table does not have gets a name, one that is a slip its correction. */
export function AreaNames({ codes, names, name, mend, add }: Props) {
  const [readings, setReadings] = useState<ReadonlyMap<string, AreaReading>>(new Map());
  const asked = [...new Set(codes)].slice(0, 40);
  const key = asked.join(' ');
  // biome-ignore lint/correctness/useExhaustiveDependencies: asked anew only when other codes stand there
  useEffect(() => {
    if (asked.length === 0) return;
    let isOld = false;
    const soon = setTimeout(() => {
      call('POST /api/areas', {}, { codes: asked.map((code) => code.slice(0, 20)) }).then(
        (found) => {
          if (!isOld) setReadings(new Map(asked.map((code, i) => [code, found[i] as AreaReading])));
        },
        // Without the table the codes are what they are.
        () => undefined,
      );
    }, 250);
    return () => {
      isOld = true;
      clearTimeout(soon);
    };
  }, [key]);
  return (
    <ul className="space-y-1 text-small" aria-label="What the area codes stand for">
      {asked.map((code) => {
        const reading = readings.get(code);
        if (!reading) return null;
        const meant = reading.kind === 'slip' ? reading.meant : null;
        return (
          <li key={code}>
            <span className="font-mono">{code}</span>{' '}
            <span className={reading.kind === 'slip' ? 'font-semibold text-error' : ''}>
              {areaText(reading, names[code])}
            </span>
            {meant && (
              <button type="button" className="btn btn-outline btn-xs ml-2" onClick={() => mend(code, meant)}>
                Take {meant}
              </button>
            )}
            {reading.kind === 'county' && <Beside reading={reading} codes={codes} add={add} />}
            {name &&
              (reading.kind === 'unknown' || (reading.kind === 'slip' && reading.of === 'swapped')) && (
                <LabelledText
                  title={`What you call ${code}`}
                  value={names[code] ?? ''}
                  set={(next) => name(code, next)}
                  most={40}
                />
              )}
          </li>
        );
      })}
    </ul>
  );
}
