import { type LineReading, readLine } from '@umbrex/core/listing';
import { kindOf } from '@umbrex/core/model';
import { useEffect, useMemo, useRef, useState } from 'react';
import { addChannel } from '../desk/deskStore';

export interface EntryGroup {
  readonly id: string;
  readonly name: string;
  /** What most of its channels are, for choosing a group. */
  readonly kind: 'repeater' | 'direct' | 'listen' | 'empty';
}

/** The state of the entry line: what is written, how it reads, where the channel would go. */
export function useEntryLine(planId: string, groups: readonly EntryGroup[]) {
  const [line, setLine] = useState('');
  const [open, setOpen] = useState(false);
  const [busy, setBusy] = useState(false);
  const [chosen, setChosen] = useState<string | null>(null);
  const input = useRef<HTMLInputElement>(null);
  const id = useRef<string | null>(null);
  const reading: LineReading = useMemo(() => readLine(line), [line]);

  const suggested = useMemo(() => {
    const kind = reading.channel ? kindOf(reading.channel) : 'direct';
    return (groups.find((group) => group.kind === kind) ?? groups[0])?.id ?? '';
  }, [reading.channel, groups]);
  const groupId = chosen ?? suggested;

  useEffect(() => {
    const focus = () => {
      input.current?.focus();
      input.current?.select();
    };
    document.addEventListener('umbrex:entry', focus);
    return () => document.removeEventListener('umbrex:entry', focus);
  }, []);

  const write = (text: string) => {
    setLine(text);
    setOpen(text.trim() !== '');
  };
  const take = (text: string) => {
    write(text);
    input.current?.focus();
  };
  const clear = () => {
    write('');
    setChosen(null);
    id.current = null;
  };
  const add = async () => {
    if (!reading.ok || !reading.channel || busy) {
      setOpen(line.trim() !== '');
      return;
    }
    setBusy(true);
    id.current ??= crypto.randomUUID();
    const added = await addChannel(planId, groupId, reading.channel, id.current);
    setBusy(false);
    if (!added) return;
    clear();
    document.dispatchEvent(new CustomEvent('umbrex:added', { detail: added.id }));
  };

  return {
    line,
    write,
    take,
    clear,
    add,
    open,
    setOpen,
    busy,
    reading,
    groupId,
    setGroupId: setChosen,
    input,
  };
}
