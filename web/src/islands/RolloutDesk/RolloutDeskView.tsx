import { useState } from 'react';
import type { RolloutRow } from '../../contract/rollout';
import { counted } from '../../messages/labels';
import { STOP_TEXT } from '../../messages/readiness';
import { STANDING_TEXT, standingNote } from '../../messages/rollout';
import { Button } from '../../ui/Button';
import { Empty } from '../../ui/Empty';
import { LabelledCheck, RowCheck } from '../../ui/LabelledCheck';
import { LabelledLines } from '../../ui/LabelledLines';
import { LabelledSelect } from '../../ui/LabelledSelect';
import { useRows } from '../../ui/rows';
import { ResultTable } from '../desk/ResultTable';
import { type Marking, STATES, type StateOf, stateOf, type useRolloutDesk } from './useRolloutDesk';

type Desk = ReturnType<typeof useRolloutDesk>;
const WORDS: Readonly<Record<StateOf, string>> = {
  ...(Object.fromEntries(Object.entries(STANDING_TEXT).map(([state, { word }]) => [state, word])) as Record<
    Exclude<StateOf, 'broken'>,
    string
  >),
  broken: 'no sheet',
};

/** Every set with how it stands, what it takes, and what can be said of several at once. */
export function RolloutDeskView(desk: Desk) {
  const { shown, rows, mayEdit } = desk;
  return (
    <div>
      <Filters {...desk} />
      {mayEdit && <Marks {...desk} />}
      {shown.length === 0 ? (
        <Empty>{rows.length === 0 ? 'No set is in the list yet.' : 'No set is like that.'}</Empty>
      ) : (
        <Sets {...desk} />
      )}
      {mayEdit && <Messages {...desk} />}
      <ResultTable planId={desk.planId} what="rollout" rows="sets" of={desk.number} />
    </div>
  );
}

function Filters({ states, toggle, counts, whose, setWhose, teams, holders, kinds }: Desk) {
  return (
    <div className="print-hide flex flex-wrap items-end gap-x-4 gap-y-2">
      <fieldset className="flex flex-wrap gap-1">
        <legend className="sr-only">Only sets that are</legend>
        {STATES.filter((state) => (counts.get(state) ?? 0) > 0 || states.has(state)).map((state) => (
          <button
            key={state}
            type="button"
            className={`btn btn-sm ${states.has(state) ? 'btn-primary' : 'btn-outline'}`}
            aria-pressed={states.has(state)}
            onClick={() => toggle(state)}
          >
            {WORDS[state]} <span className="font-mono">{counts.get(state)}</span>
          </button>
        ))}
      </fieldset>
      <LabelledSelect
        title="Whose"
        at="heard"
        value={whose}
        options={[['', 'everybody’s, all kinds']]}
        groups={[
          { title: 'Team', options: teams.map(({ id, name }) => [`team ${id}`, name] as const) },
          { title: 'Person', options: [...holders].map(([id, name]) => [`person ${id}`, name] as const) },
          { title: 'Kind', options: kinds.map((kind) => [`kind ${kind}`, kind] as const) },
        ]}
        set={setWhose}
        width="w-56"
      />
    </div>
  );
}

const MARKS: readonly (readonly [Marking, string, string])[] = [
  ['loaded-keys', 'Loaded by keys', 'loaded by their keys'],
  ['loaded-file', 'Loaded by a file', 'loaded by a file'],
  ['loaded-copy', 'Loaded by copying', 'loaded by copying'],
  ['read-back-pass', 'Read back, as it should be', 'read back, as they should be'],
  ['two-way-pass', 'Spoken with both ways', 'spoken with both ways'],
  ['contradicted', 'It holds something else', 'what they hold is not known any more'],
];

/** What is said of the chosen sets, as of today. */
function Marks({ those, shown, chooseAll, mark, busy, number }: Desk) {
  return (
    <div className="print-hide mt-3 flex flex-wrap items-center gap-2 border-y border-base-300 py-2">
      <LabelledCheck checked={shown.length > 0 && those.length === shown.length} set={chooseAll}>
        <span aria-live="polite">
          {those.length === 0 ? `Choose all ${shown.length}` : `${counted(those.length, 'set')} chosen`}
        </span>
      </LabelledCheck>
      {those.length > 0 && (
        <>
          <span className="muted text-small">today, with revision {number}:</span>
          {MARKS.map(([marking, title, words]) => (
            <Button
              key={marking}
              type="button"
              className="btn btn-outline btn-sm"
              isOff={busy}
              onClick={() => void mark(marking, words)}
            >
              {title}
            </Button>
          ))}
        </>
      )}
    </div>
  );
}

function Sets({ shown, chosen, choose, mayEdit, planId, number }: Desk) {
  const list = useRows<HTMLUListElement>();
  return (
    <ul {...list} className="mt-1" aria-label="Sets">
      {shown.map((row) => (
        <li
          key={row.unitId}
          data-item
          className="grid grid-cols-[auto_minmax(0,1fr)_minmax(0,1.2fr)_4.5rem] items-baseline gap-x-3 border-b border-base-300 py-1 break-inside-avoid max-md:grid-cols-[auto_minmax(0,1fr)_4.5rem] print:grid-cols-[minmax(0,1fr)_minmax(0,1.4fr)_4.5rem]"
        >
          {mayEdit ? (
            <RowCheck
              title={`Choose ${row.nickname}`}
              className="print-hide"
              checked={chosen.has(row.unitId)}
              set={(yes) => choose(row.unitId, yes)}
            />
          ) : (
            <span className="print-hide" />
          )}
          <span>
            <a
              data-row
              id={`set-${row.unitId}`}
              className="link link-hover font-semibold"
              href={`/plans/${planId}/sheets/${row.unitId}?of=${number}`}
            >
              {row.nickname}
            </a>
            <span className="muted block text-small">
              {[row.kind, row.holder, row.lentTo && `lent to ${row.lentTo}`].filter(Boolean).join(', ')}
            </span>
          </span>
          <Stand {...row} />
          <span className="text-right font-mono text-plain">
            {row.minutes > 0 ? `${row.minutes} min` : ''}
          </span>
        </li>
      ))}
    </ul>
  );
}

function Stand(row: RolloutRow) {
  const { standing, word } = row;
  const state = stateOf(row);
  const stops = standing?.state === 'blocked' ? standing.stops.map((stop) => STOP_TEXT[stop]).join(' ') : '';
  const note = standing ? standingNote(standing) : 'Something in the description of its kind cannot be.';
  return (
    <span className="max-md:col-start-2">
      <span className="font-semibold">
        <Mark state={state} /> {WORDS[state]}
      </span>
      {note && <span className="text-plain">, {note}</span>}
      <span className="muted block text-small">{stops || word}</span>
    </span>
  );
}

/** The shape of a standing, beside its word. */
function Mark({ state }: { state: StateOf }) {
  return (
    <svg
      viewBox="0 0 16 16"
      width="13"
      height="13"
      className="mr-0.5 inline-block align-[-1px]"
      aria-hidden="true"
    >
      <g fill="none" stroke="currentColor" strokeWidth="2">
        {state === 'held' && <path d="M2 8.5 6.5 13 14 3" strokeWidth="2.6" />}
        {state === 'late' && <path d="M8 2v9M4 8l4 4 4-4M3 14.500h10" />}
        {state === 'unknown' && <circle cx="8" cy="8" r="5.6" strokeDasharray="2.600 2.200" />}
        {(state === 'blocked' || state === 'broken') && <path d="M3 3h10v10H3zM3 13 13 3" />}
        {state === 'away' && <path d="M4 4l8 8M12 4l-8 8" />}
        {state === 'nothing' && <path d="M3 8h10" />}
      </g>
    </svg>
  );
}

/** A message to each person whose sets wait, to be copied. */
function Messages({ people, messageFor, copyMessage }: Desk) {
  const [open, setOpen] = useState<string | null>(null);
  if (people.length === 0) return null;
  return (
    <section className="print-hide mt-8 max-w-3xl" aria-labelledby="messages">
      <h2 id="messages" className="text-lg font-bold">
        Whom to tell
      </h2>
      <p className="muted text-plain">Words for each person whose sets wait. Nothing is sent from here.</p>
      <ul className="mt-1">
        {people.map(({ id, name, sets }) => (
          <li key={id} className="border-t border-base-300 py-1.5">
            <div className="flex flex-wrap items-center justify-between gap-2">
              <span>
                <strong>{name}</strong>{' '}
                <span className="muted text-small">
                  {counted(sets.length, 'set')},{' '}
                  {counted(
                    sets.reduce((sum, { minutes }) => sum + minutes, 0),
                    'minute',
                  )}
                </span>
              </span>
              <button
                type="button"
                className="btn btn-outline btn-sm"
                aria-expanded={open === id}
                onClick={() => setOpen(open === id ? null : id)}
              >
                The message<span className="sr-only"> for {name}</span>
              </button>
            </div>
            {open === id && (
              <div className="mt-1">
                <LabelledLines
                  title={`The message for ${name}`}
                  at="heard"
                  rows={Math.min(9, 5 + sets.length)}
                  isExact
                  value={messageFor(id)}
                />
                <button
                  type="button"
                  className="btn btn-primary btn-sm mt-1"
                  onClick={() => void copyMessage(id)}
                >
                  Copy it
                </button>
              </div>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
