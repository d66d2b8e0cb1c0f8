import type { PlanCountry } from '@umbrex/core/facts';
import { latestOf, type PastedLine, readListing } from '@umbrex/core/listing';
import { type ChannelDraft, kindOf } from '@umbrex/core/model';
import { mhzText } from '@umbrex/core/units';
import Papa from 'papaparse';
import { useEffect, useMemo, useRef, useState } from 'react';
import { Offers } from '../../components/Offers';
import { questionText } from '../../messages/questions';
import { toneWords } from '../../messages/tones';
import { Button } from '../../ui/Button';
import { LabelledLines } from '../../ui/LabelledLines';
import type { EntryGroup } from '../desk/entryGroup';
import { useAddMany } from '../desk/useAddMany';

interface Props {
  text: string;
  planId: string;
  country: PlanCountry;
  groups: readonly EntryGroup[];
  close: () => void;
}

/** A pasted listing, line by line as it reads, before anything is saved. The text can be mended here; what is fine is added. */
export function PasteDialog({ text: pasted, planId, country, groups, close }: Props) {
  const [text, setText] = useState(pasted);
  const { added, progress, addAll, stop } = useAddMany<string>(planId, groups);
  /** What was put in place of a line that asked, by that line. */
  const [mended, setMended] = useState<ReadonlyMap<string, string>>(new Map());
  const dialog = useRef<HTMLDialogElement>(null);
  const { lines, beyond } = useMemo(
    () => readListing(text, country, cellsOf, mended),
    [text, country, mended],
  );
  const keys = useMemo(() => keysOf(lines), [lines]);
  const isAdded = (i: number) => added.has(keys[i] ?? '');
  const fine = lines.flatMap((entry, i) =>
    entry.reading.ok && !isAdded(i) ? [{ ...entry, key: keys[i] ?? '' }] : [],
  );
  useEffect(() => {
    if (!dialog.current?.open) dialog.current?.showModal();
  }, []);

  const addFine = () =>
    addAll(fine.flatMap(({ key, reading }) => (reading.channel ? [{ key, channel: reading.channel }] : [])));

  return (
    <dialog
      ref={dialog}
      className="m-auto max-h-[92vh] w-full max-w-4xl overflow-auto rounded bg-base-100 p-6 text-base-content"
      aria-labelledby="paste-title"
      onClose={close}
    >
      <h2 id="paste-title" className="text-lg font-bold">
        A whole listing
      </h2>
      <p className="muted">
        Nothing is saved until you add it. Mend a line in the text; it is read again as you type.
      </p>
      <LabelledLines
        title="The pasted text"
        at="heard"
        className="mt-3"
        value={text}
        set={setText}
        isExact
        isOff={progress !== null}
      />
      {beyond > 0 && (
        <p className="finding mt-2" data-severity="warning">
          {beyond} more lines are not read; paste them afterwards.
        </p>
      )}
      <ol className="mt-3 max-h-[45vh] overflow-auto border-y border-base-300">
        {lines.map(({ line, text: written, read, reading }, i) => {
          const asked = reading.questions.filter((question) => question.blocking);
          const { channel } = reading;
          return (
            <li
              key={line}
              className="grid grid-cols-[2.5rem_minmax(0,1fr)] gap-3 border-b border-base-300 py-1.5"
            >
              <span className="muted text-right font-mono">{line}</span>
              <div className="min-w-0">
                {channel && reading.ok ? (
                  <p>
                    <strong>{channel.name}</strong>{' '}
                    <span className="font-mono">{mhzText(channel.receiveHz)}</span>
                    <span className="muted"> {wayWords(channel)}</span>
                    {isAdded(i) && <strong> is in the plan</strong>}
                  </p>
                ) : (
                  <p className="truncate font-mono text-small">{written}</p>
                )}
                {asked.map((question) => (
                  <p key={question.code} className="finding text-plain" data-severity="warning">
                    {questionText(question)}
                    <Offers
                      question={question}
                      take={(fixed) => setMended((now) => withMend(now, read, fixed))}
                    />
                  </p>
                ))}
                {reading.ok && reading.questions.length > 0 && (
                  <p className="muted text-small">{reading.questions.map(questionText).join(' ')}</p>
                )}
              </div>
            </li>
          );
        })}
      </ol>
      <div className="mt-4 flex flex-wrap items-center gap-3">
        <Button
          type="button"
          className="btn btn-primary btn-sm"
          isOff={fine.length === 0 || progress !== null}
          onClick={() => void addFine()}
        >
          {progress === null
            ? `Add ${fine.length} ${fine.length === 1 ? 'channel' : 'channels'}`
            : `Adding ${progress.at} of ${progress.of}…`}
        </Button>
        {progress === null ? (
          <button type="button" className="btn btn-ghost btn-sm" onClick={() => dialog.current?.close()}>
            Close
          </button>
        ) : (
          <button type="button" className="btn btn-outline btn-sm" onClick={stop}>
            Stop
          </button>
        )}
        {lines.length - fine.length - added.size > 0 && (
          <span className="muted text-sm">
            {lines.length - fine.length - added.size === 1
              ? 'One line asks'
              : `${lines.length - fine.length - added.size} lines ask`}{' '}
            something first and stay{lines.length - fine.length - added.size === 1 ? 's' : ''} here.
          </span>
        )}
      </div>
    </dialog>
  );
}

/** The cells of one line: quotation marks hold a delimiter. */
const cellsOf = (line: string, delimiter: string): readonly string[] =>
  Papa.parse<string[]>(line, { delimiter }).data[0] ?? [];

/** A mend put in place of what its line has become. One that leads back to an earlier state of it begins anew from there. */
function withMend(mended: ReadonlyMap<string, string>, read: string, fixed: string): Map<string, string> {
  const next = new Map(mended).set(latestOf(read, mended), fixed);
  next.delete(fixed);
  return next;
}

/** A line is itself wherever it stands: what was added stays added while others are mended. Of equal lines each is one. */
function keysOf(lines: readonly PastedLine[]): string[] {
  const seen = new Map<string, number>();
  return lines.map(({ text }) => {
    const n = (seen.get(text) ?? 0) + 1;
    seen.set(text, n);
    return `${n} ${text}`;
  });
}

function wayWords(channel: ChannelDraft): string {
  const waits =
    channel.receiveTone === 'off' ? 'hears everyone' : `is sent ${toneWords(channel.receiveTone)}`;
  switch (kindOf(channel)) {
    case 'repeater':
      return `repeater, sends ${toneWords(channel.transmitTone)}, ${waits}`;
    case 'direct':
      return `direct, sends ${toneWords(channel.transmitTone)}, ${waits}`;
    case 'listen':
      return `listen only, ${waits}`;
  }
}
