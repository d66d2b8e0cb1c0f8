import type { Finding } from '@umbrex/core/findings';
import type { Unit } from '@umbrex/core/model';
import { useEffect, useState } from 'react';
import { call, failureText, Refusal } from '../desk/api';
import { $notice } from '../desk/deskStore';

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
}
export interface Initial {
  readonly planId: string;
  readonly units: readonly HeldUnit[];
  readonly kinds: readonly Kind[];
}

/** The state of the device list: adding, changing and removing units, and taking in descriptions. */
export function useDeviceDesk(initial: Initial) {
  const [units, setUnits] = useState(initial.units);
  const [editing, setEditing] = useState<string | null>(null);
  const [importFindings, setImportFindings] = useState<readonly Finding[]>([]);

  // An edit undone from the notice is not in this list yet: fetch the page anew.
  useEffect(() => {
    const anew = () => window.location.reload();
    document.addEventListener('umbrex:undone', anew);
    return () => document.removeEventListener('umbrex:undone', anew);
  }, []);

  const attempt = async (action: () => Promise<void>): Promise<boolean> => {
    try {
      await action();
      return true;
    } catch (error) {
      if (error instanceof Refusal && error.status === 409) {
        const current = error.current as HeldUnit | null;
        if (current?.unit)
          setUnits((now) => now.map((held) => (held.unit.id === current.unit.id ? current : held)));
        $notice.set({
          text: 'Somebody changed this device meanwhile. The newer state is shown; make your change again.',
          kind: 'failed',
        });
      } else $notice.set({ text: failureText(error), kind: 'failed' });
      return false;
    }
  };

  const add = (unit: Unit) =>
    attempt(async () => {
      const saved = await call<HeldUnit & { editId: string | null }>('POST', '/api/units', { unit });
      setUnits((now) => [
        ...now.filter((held) => held.unit.id !== unit.id),
        { unit, version: saved.version },
      ]);
      $notice.set({
        text: `${unit.nickname} is in the list.`,
        kind: 'done',
        ...(saved.editId && { editId: saved.editId }),
      });
    });
  const save = (unit: Unit, version: number) =>
    attempt(async () => {
      const saved = await call<HeldUnit & { editId: string | null }>('PUT', `/api/units/${unit.id}`, {
        version,
        unit,
      });
      setUnits((now) =>
        now.map((held) => (held.unit.id === unit.id ? { unit, version: saved.version } : held)),
      );
      setEditing(null);
      $notice.set({
        text: `${unit.nickname} is saved.`,
        kind: 'done',
        ...(saved.editId && { editId: saved.editId }),
      });
    });
  const remove = ({ unit, version }: HeldUnit) =>
    attempt(async () => {
      const { editId } = await call<{ editId: string }>('DELETE', `/api/units/${unit.id}`, { version });
      setUnits((now) => now.filter((held) => held.unit.id !== unit.id));
      $notice.set({ text: `${unit.nickname} is deleted.`, kind: 'done', editId });
    });
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
  return { ...initial, units, editing, setEditing, add, save, remove, importDescription, importFindings };
}
