import { THINGS } from '@umbrex/core/fields';
import { useEffect, useRef } from 'react';
import { FindingItem } from '../../components/FindingItem';
import type { TableKind } from '../../contract/tables';
import { Button } from '../../ui/Button';
import { Form } from '../../ui/Form';
import { LabelledLines } from '../../ui/LabelledLines';
import { LabelledSelect } from '../../ui/LabelledSelect';
import { type ImportProps, useTableImport } from './useTableImport';

/** A table from a spreadsheet: pasted or as a file, its columns matched, every row looked at, and then all of it or nothing. */
export function TableImport<K extends TableKind>(props: ImportProps<K>) {
  const state = useTableImport(props);
  const { many, nameOf } = THINGS[props.kind];
  const {
    text,
    setText,
    rows,
    columns,
    mapping,
    setColumn,
    read,
    good,
    bad,
    twice,
    fault,
    busy,
    bring,
    takeFile,
  } = state;
  const dialog = useRef<HTMLDialogElement>(null);
  useEffect(() => {
    if (!dialog.current?.open) dialog.current?.showModal();
  }, []);
  return (
    <dialog
      ref={dialog}
      className="m-auto max-h-[92vh] w-full max-w-4xl overflow-auto rounded bg-base-100 p-6 text-base-content"
      aria-labelledby="import-title"
      onClose={props.close}
    >
      <h2 id="import-title" className="text-lg font-bold">
        A table of {many}
      </h2>
      <p className="muted">
        Copy it from a spreadsheet and paste it here, or choose a file (CSV, TSV, XLSX, or JSON as it is saved
        here). Nothing is saved until you bring it in, and then all of it or nothing.
      </p>
      <div className="mt-3 grid gap-3 sm:grid-cols-[minmax(0,1fr)_auto]">
        <LabelledLines title="The table as text" at="heard" rows={5} value={text} set={setText} isExact />
        <input
          type="file"
          className="file-input file-input-sm"
          aria-label="A file with the table"
          accept=".csv,.tsv,.txt,.xlsx,.json"
          onChange={(event) => {
            const file = event.target.files?.[0];
            if (file) void takeFile(file);
            event.target.value = '';
          }}
        />
      </div>
      {fault && (
        <p className="finding mt-2" data-severity="error" role="alert">
          {fault}
        </p>
      )}
      {rows.length > 1 && (
        <fieldset className="mt-3 flex flex-wrap gap-3">
          <legend className="muted text-small">What each column is</legend>
          {rows[0]?.map((title, i) => (
            <LabelledSelect
              // biome-ignore lint/suspicious/noArrayIndexKey: columns are known by their place
              key={i}
              title={title || `column ${i + 1}`}
              className="max-w-40 *:truncate"
              value={mapping[i] ?? ''}
              options={[
                ['', 'passed over'],
                ...columns.map((column) => [column.title, column.title] as const),
              ]}
              set={(column) => setColumn(i, column || null)}
              width="w-36"
              isSmall
            />
          ))}
        </fieldset>
      )}
      {read.length > 0 && (
        <>
          <p className="mt-3" role="status">
            <strong>{good.length}</strong> can be brought in
            {twice > 0 && `, ${twice} are there already`}
            {bad > 0 && (
              <span>
                , <strong className="text-error">{bad} cannot</strong>
              </span>
            )}
            .
          </p>
          <ul className="mt-1 max-h-[34vh] overflow-auto border-y border-base-300">
            {read.map((row) => (
              <li
                key={row.line}
                className="grid grid-cols-[3rem_minmax(0,1fr)] gap-2 border-b border-base-300 py-1"
              >
                <span className="muted text-right font-mono">{row.line}</span>
                <div>
                  {row.value && <p>{nameOf(row.value)}</p>}
                  <ul>
                    {row.findings.map((finding, i) => (
                      // biome-ignore lint/suspicious/noArrayIndexKey: read anew as a whole
                      <FindingItem key={i} finding={finding} />
                    ))}
                  </ul>
                  {row.findings.length > 0 && <Settle {...state} row={row} />}
                </div>
              </li>
            ))}
          </ul>
        </>
      )}
      <div className="mt-4 flex flex-wrap items-center gap-3">
        <Button
          type="button"
          className="btn btn-primary btn-sm"
          isOff={good.length === 0 || bad > 0 || busy}
          onClick={() => void bring()}
        >
          {busy ? 'Bringing in…' : `Bring in ${good.length}`}
        </Button>
        <button type="button" className="btn btn-ghost btn-sm" onClick={() => dialog.current?.close()}>
          Close
        </button>
        {bad > 0 && (
          <span className="muted text-sm">Settle the lines that cannot be taken, or take them out.</span>
        )}
      </div>
    </dialog>
  );
}

type State = ReturnType<typeof useTableImport>;

/** What can be done with a line that cannot be taken as it is: each cell that was not understood written anew or left empty, or the line taken out. */
function Settle({
  row: { line, findings },
  setCell,
  takeOut,
  mayBeEmpty,
}: Pick<State, 'setCell' | 'takeOut' | 'mayBeEmpty'> & { row: State['read'][number] }) {
  const cells = findings.flatMap((finding) => (finding.code === 'cell-unreadable' ? [finding] : []));
  return (
    <div className="mt-1 flex flex-wrap items-end gap-2">
      {cells.map(({ column, value }) => (
        <Form
          key={`${column} ${value}`}
          className="flex items-end gap-1"
          send={(event) => {
            const said = new FormData(event.currentTarget).get('cell');
            setCell(line, column, String(said ?? ''));
          }}
        >
          <label>
            <span className="muted block text-tiny">
              {column} <span className="sr-only">of line {line}</span>
            </span>
            <input className="input input-xs w-40" name="cell" defaultValue={value} maxLength={400} />
          </label>
          <button type="submit" className="btn btn-outline btn-xs">
            Take
            <span className="sr-only">
              {' '}
              this as {column} of line {line}
            </span>
          </button>
          {value !== '' && mayBeEmpty(column) && (
            <button type="button" className="btn btn-ghost btn-xs" onClick={() => setCell(line, column, '')}>
              Leave it empty<span className="sr-only">{` as ${column} of line ${line}`}</span>
            </button>
          )}
          {column === 'Offset' && (
            <button type="button" className="btn btn-ghost btn-xs" onClick={() => setCell(line, column, '0')}>
              It sends where it hears<span className="sr-only">{` on line ${line}`}</span>
            </button>
          )}
        </Form>
      ))}
      <button type="button" className="btn btn-ghost btn-xs" onClick={() => takeOut(line)}>
        Take line {line} out
      </button>
    </div>
  );
}
