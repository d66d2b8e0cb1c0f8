import type { Finding } from '@umbrex/core/findings';
import { heldPlaces, placesOf, readMemory, writeMemory } from '@umbrex/core/formats';
import { type Description, type HeldPlace, heldMemory, type Native, type Unit } from '@umbrex/core/model';
import { useState } from 'react';
import { call, failureText, Refusal } from '../desk/api';
import { $notice } from '../desk/deskStore';
import { saveFile } from '../desk/saveFile';

export interface Initial {
  readonly unit: Unit;
  readonly version: number;
  readonly description: Description;
  /** What each place shall hold, by its number. */
  readonly wanted: readonly (readonly [number, Readonly<Record<string, Native>>])[];
  /** Places of the holder's own that would go, with what they hold now. */
  readonly toAccept: readonly { number: number; label: string; now: string }[];
  readonly today: string;
}

/** What a set holds now: taken in from a file, written down place by place, or said to be what its sheet gives; and what may go. */
export function useHeldDesk({ unit, version, description, wanted, toAccept, today }: Initial) {
  const [findings, setFindings] = useState<readonly Finding[]>([]);
  const [busy, setBusy] = useState(false);
  const [chosen, setChosen] = useState<ReadonlySet<number>>(new Set());

  const save = async (change: Partial<Unit>) => {
    setBusy(true);
    try {
      await call('PUT', `/api/units/${unit.id}`, { version, unit: { ...unit, ...change } });
      window.location.reload();
    } catch (error) {
      setBusy(false);
      const isStale = error instanceof Refusal && error.status === 409;
      $notice.set({
        text: isStale
          ? 'Somebody changed this device meanwhile. Load the page again, look, and do it once more.'
          : failureText(error),
        kind: 'failed',
      });
    }
  };
  const holds = (places: readonly HeldPlace[]) =>
    save({ holds: { what: 'read', on: today, places: [...places] }, accepts: [] });
  /** Takes places as read, after the description has understood each of them. */
  const takePlaces = async (slots: readonly HeldPlace[]) => {
    const document = { format: 'umbrex/memory@1' as const, descriptionId: description.id };
    const read = heldPlaces(description, {
      ...document,
      slots: slots.map((slot) => ({ ...slot, label: '' })),
    });
    setFindings(read.findings);
    if (read.ok) await holds(read.value);
  };
  const { memory } = heldMemory(description, unit.holds.places);
  return {
    unit,
    description,
    toAccept,
    findings,
    busy,
    chosen,
    choose: (number: number, yes: boolean) =>
      setChosen(new Set(yes ? [...chosen, number] : [...chosen].filter((other) => other !== number))),
    chooseAll: (yes: boolean) => setChosen(new Set(yes ? toAccept.map(({ number }) => number) : [])),
    accept: () => save({ accepts: [...new Set([...unit.accepts, ...chosen])] }),
    keep: () => save({ keeps: [...new Set([...unit.keeps, ...chosen])].sort((a, b) => a - b) }),
    takeFile: async (file: File) => {
      const read = readMemory(await file.text());
      if (!read.ok) return setFindings(read.findings);
      const places = heldPlaces(description, read.value);
      setFindings(places.findings);
      if (places.ok) await holds(places.value);
    },
    /** One place as somebody reads it off the set; in place of what stood there. */
    takePlace: (place: HeldPlace) =>
      takePlaces([...unit.holds.places.filter(({ number }) => number !== place.number), place]),
    /** The steps of the sheet are done: it holds what they give. */
    isDone: () => {
      const slots = new Map(memory.slots);
      for (const [number, values] of wanted) slots.set(number, values);
      return holds(placesOf(description, { ...memory, slots }));
    },
    asFactory: () => save({ holds: { what: 'factory', on: today, places: [] }, accepts: [] }),
    saveFile: () => {
      const filled = [...memory.slots].flatMap(([number, values]) =>
        values ? [[number, { values }] as const] : [],
      );
      const text = `${JSON.stringify(writeMemory(description, new Map(filled)), null, 2)}\n`;
      saveFile(`${unit.nickname}-holds.json`, text, 'application/json');
    },
  };
}
