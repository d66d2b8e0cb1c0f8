import type { Finding } from '@umbrex/core/findings';
import { heldFrom, type MemoryDocument, readMemory, writeMemory } from '@umbrex/core/formats';
import { heldMemory } from '@umbrex/core/memory';
import type { Description, Held, HeldPlace, LoadedBy, Unit } from '@umbrex/core/model';
import { useEffect, useState } from 'react';
import type { State } from '../../contract/revisions';
import { call } from '../desk/api';
import { sayAfterLoad } from '../desk/deskStore';
import { saveFile } from '../desk/saveFile';
import { useSet } from '../desk/setStore';
import { useAttempt } from '../desk/useAttempt';
import { useHeld } from '../desk/useHeld';

export interface Initial {
  readonly unit: Unit;
  readonly version: number;
  readonly description: Description;
  /** The state of the plan that its sheet here is of, and the way in which that is loaded. */
  readonly planId: string;
  readonly shown: State;
  readonly way: LoadedBy;
  /** Places of the holder's own that would go, with what they hold now. */
  readonly toAccept: readonly { number: number; label: string; now: string }[];
  readonly today: string;
}

/** What a set holds now: taken in from a file, written down place by place, or said to be what its sheet gives; and what may go. */
export function useHeldDesk({ description, planId, shown, way, toAccept, today, ...initial }: Initial) {
  const [{ value: unit, version }] = useSet({ value: initial.unit, version: initial.version });
  const { attempt } = useAttempt(
    'Somebody changed this set meanwhile. Load the page again, then say it once more.',
  );
  const [findings, setFindings] = useState<readonly Finding[]>([]);
  const [chosen, setChosen] = useState<ReadonlySet<number>>(new Set());
  const [isWhole, setIsWhole] = useState(unit.holds.rest === 'factory');
  const units = useHeld('units', [{ value: initial.unit, version: initial.version }]);
  // What follows from what it holds is worked out by the server: a newer state is fetched with all of it.
  const newest = units.held[0]?.version;
  useEffect(() => {
    if (newest !== initial.version) window.location.reload();
  }, [newest, initial.version]);

  const save = (change: Partial<Unit>) => units.save({ ...unit, ...change }, version);
  const asRead = ({ places, settings, rest }: Held, wrote: Unit['holds']['wrote']) =>
    save({
      holds: { what: 'read', on: today, rest, places: [...places], settings: { ...settings }, wrote },
      accepts: [],
      start: 'absolute',
    });
  /** Takes what was read, once the description has understood all of it. */
  const take = async (document: MemoryDocument, rest: Held['rest'], wrote: Unit['holds']['wrote']) => {
    const read = heldFrom(description, document, rest);
    setFindings(read.findings);
    if (read.ok) await asRead(read.value, wrote);
  };
  return {
    unit,
    description,
    toAccept,
    findings,
    chosen,
    choose: (number: number, yes: boolean) =>
      setChosen(new Set(yes ? [...chosen, number] : [...chosen].filter((other) => other !== number))),
    chooseAll: (yes: boolean) => setChosen(new Set(yes ? toAccept.map(({ number }) => number) : [])),
    accept: () => save({ accepts: [...new Set([...unit.accepts, ...chosen])] }),
    keep: () => save({ keeps: [...new Set([...unit.keeps, ...chosen])].sort((a, b) => a - b) }),
    takeFile: async (file: File) => {
      const read = readMemory(await file.text());
      if (read.ok) await take(read.value, isWhole ? 'factory' : 'unknown', {});
      else setFindings(read.findings);
    },
    /** One place as somebody reads it off the set; in place of what stood there. */
    takePlace: (place: HeldPlace) => {
      const { [place.number]: _, ...wrote } = unit.holds.wrote;
      const others = unit.holds.places.filter(({ number }) => number !== place.number);
      const slots = [...others, place].map((one) => ({ ...one, label: '' }));
      const { settings, rest } = unit.holds;
      return take({ format: 'umbrex/memory@1', descriptionId: description.id, slots, settings }, rest, wrote);
    },
    isWhole,
    setIsWhole,
    /** The steps of the sheet are done: it holds what they give. */
    isDone: () =>
      attempt(async () => {
        const seen = { what: 'loaded', of: shown, way, day: today, by: '' } as const;
        const sets = [{ id: unit.id, version }];
        const { editId } = await call('POST /api/plans/[planId]/seen', { planId }, { sets, seen });
        sayAfterLoad({ text: `${unit.nickname} holds what its sheet gives.`, kind: 'done', editId });
        window.location.reload();
        return undefined;
      }),
    asFactory: () =>
      save({
        holds: { what: 'factory', on: today, rest: 'factory', places: [], settings: {}, wrote: {} },
        accepts: [],
        start: 'absolute',
      }),
    saveFile: () => {
      const { memory } = heldMemory(description, unit.holds);
      const document = writeMemory(description, memory);
      saveFile(`${unit.nickname}-holds.json`, `${JSON.stringify(document, null, 2)}\n`, 'application/json');
    },
  };
}
