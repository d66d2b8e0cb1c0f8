import type { Finding } from '@umbrex/core/findings';
import type { Person, Unit } from '@umbrex/core/model';
import { useState } from 'react';
import { call, failureText, Refusal } from '../desk/api';
import { $notice } from '../desk/deskStore';
import { useHeld } from '../desk/useHeld';

export interface HeldUnit {
  readonly unit: Unit;
  readonly version: number;
}
export interface Kind {
  readonly id: string;
  readonly title: string;
  readonly pattern: string;
  readonly firmware: readonly string[];
  readonly marks: number;
  /** Whether it sounds alerts, so that its weekly test must be heard. */
  readonly alerts: boolean;
  /** The tones its operator can pick by hand; `null` where the set has no such thing or nobody knows. */
  readonly pickedTones: readonly string[] | null;
}
export interface Initial {
  readonly planId: string;
  readonly units: readonly HeldUnit[];
  readonly kinds: readonly Kind[];
  readonly people: readonly Person[];
  readonly mayEdit: boolean;
  readonly today: string;
}

/** The state of the device list: adding, changing and removing units, and taking in descriptions. */
export function useDeviceDesk(initial: Initial) {
  const { held, add, save, remove } = useHeld(
    '/api/units',
    initial.units.map(({ unit, version }) => ({ value: unit, version })),
    {
      titleOf: ({ nickname }) => nickname,
      nameOf: (id) =>
        initial.people.find((person) => person.id === id)?.name ??
        initial.kinds.find((kind) => kind.id === id)?.title,
      part: 'unit',
    },
  );
  const units = held.map(({ value, version }): HeldUnit => ({ unit: value, version }));
  const [editing, setEditing] = useState<string | null>(null);
  const [importFindings, setImportFindings] = useState<readonly Finding[]>([]);
  const saveAndClose = async (unit: Unit, version: number) => {
    const ok = await save(unit, version);
    if (ok) setEditing(null);
    return ok;
  };

  const importDescription = async (file: File) => {
    setImportFindings([]);
    try {
      const document: unknown = JSON.parse(await file.text());
      await call('POST', '/api/descriptions', document);
      window.location.reload();
    } catch (error) {
      if (error instanceof SyntaxError)
        setImportFindings([
          { code: 'document-not-json', severity: 'error', path: '', detail: error.message },
        ]);
      else if (error instanceof Refusal && error.findings.length > 0) setImportFindings(error.findings);
      else if (error instanceof Refusal && error.status === 409)
        $notice.set({
          text: 'A kind of device with this id is in the list already. Give yours another id.',
          kind: 'failed',
        });
      else $notice.set({ text: failureText(error), kind: 'failed' });
    }
  };
  return {
    ...initial,
    units,
    editing,
    setEditing,
    add,
    save: saveAndClose,
    remove: ({ unit, version }: HeldUnit) => remove({ value: unit, version }),
    importDescription,
    importFindings,
  };
}
