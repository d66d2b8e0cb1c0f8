import type { PlanCountry } from '@umbrex/core/facts';
import type { LineReading } from '@umbrex/core/listing';
import { kindOf } from '@umbrex/core/model';
import { type ClipboardEvent, useEffect, useMemo, useRef, useState } from 'react';
import { Coming, useComing } from '../../ui/coming';
import { useTyped } from '../../ui/typed';
import { addChannel } from '../desk/deskStore';
import type { EntryGroup } from '../desk/entryGroup';
import { type KindInHand, useSetInHand } from './useSetInHand';

/** What reads lines and draws the reading: the largest part of the entry line, and not needed before somebody writes. */
const READER = new Coming(() => import('./Reading'), 'soon');

/** The state of the entry line: what is written, how it reads, where the channel would go. */
export function useEntryLine(
  planId: string,
  country: PlanCountry,
  groups: readonly EntryGroup[],
  kinds: readonly KindInHand[],
) {
  const [line, setLine] = useTyped('entry line');
  const [open, setOpen] = useState(false);
  const [busy, setBusy] = useState(false);
  const [pasted, setPasted] = useState<string | null>(null);
  const [chosen, setChosen] = useState<string | null>(null);
  const input = useRef<HTMLInputElement>(null);
  const id = useRef<string | null>(null);
  const { kindId, setKindId, setInHand } = useSetInHand(kinds);
  const reader = useComing(READER);
  const reading: LineReading | null = useMemo(
    () => (typeof reader === 'object' ? reader.read(line, country, setInHand) : null),
    [reader, line, country, setInHand],
  );
  /** Enter was pressed before what reads lines was here. */
  const [isWanted, setWanted] = useState(false);
  useEffect(() => {
    if (line !== '') READER.fetch();
  }, [line]);

  const suggested = useMemo(() => {
    const kind = reading?.channel ? kindOf(reading.channel) : 'direct';
    return (groups.find((group) => group.kind === kind) ?? groups[0])?.id ?? '';
  }, [reading?.channel, groups]);
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
    setWanted(false);
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
    if (!reading?.ok || !reading.channel || busy) {
      setOpen(line.trim() !== '');
      setWanted(reading === null);
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

  useEffect(() => {
    if (!isWanted || reading === null) return;
    setWanted(false);
    void add();
  });

  /** More than one line is a listing of its own. */
  const paste = (event: ClipboardEvent<HTMLInputElement>) => {
    const text = event.clipboardData.getData('text/plain');
    if (text.trim().split(/[\r\n]+/).length < 2) return;
    event.preventDefault();
    setPasted(text);
  };

  return {
    planId,
    country,
    pasted,
    closePaste: () => setPasted(null),
    paste,
    line,
    write,
    take,
    clear,
    add,
    open,
    setOpen,
    busy,
    reader,
    reading,
    groupId,
    setGroupId: setChosen,
    input,
    kinds,
    kindId,
    setKindId,
  };
}
