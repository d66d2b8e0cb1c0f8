import type { BenchDay } from '@umbrex/core/model';
import { useState } from 'react';
import { clockText, finishText, STANDING_BESIDE, TASK_STATE, TASK_WAY } from '../../messages/bench';
import { dayText } from '../../messages/days';
import { counted } from '../../messages/labels';
import { Button } from '../../ui/Button';
import { Empty } from '../../ui/Empty';
import { LabelledSelect } from '../../ui/LabelledSelect';
import { BenchChart } from './BenchChart';
import { BenchForm } from './BenchForm';
import type { useBenchDesk } from './useBenchDesk';

type Desk = ReturnType<typeof useBenchDesk>;

/** The bench days, and the one that is open: its beginning, its chart, its list for each person. */
export function BenchDeskView(desk: Desk) {
  const { days, open, openId, setOpenId, begin, mayEdit, revision } = desk;
  return (
    <div>
      <div className="print-hide flex flex-wrap items-end gap-3">
        {days.held.length > 0 && (
          <LabelledSelect
            title="Day"
            value={openId ?? ''}
            options={days.held.map(
              ({ value }) => [value.id, `${value.name}, ${dayText(value.day)}`] as const,
            )}
            set={setOpenId}
            width="w-96 max-w-full"
          />
        )}
        {mayEdit && (
          <button type="button" className="btn btn-outline btn-sm" onClick={() => void begin()}>
            A bench day for revision {revision}
          </button>
        )}
      </div>
      {open ? (
        <Day key={`${open.value.id} ${open.version}`} {...desk} day={open.value} />
      ) : (
        <Empty>
          No bench day yet: begin one, say who helps from when to when, and the sets that wait are dealt out.
        </Empty>
      )}
    </div>
  );
}

function Day(desk: Desk & { day: BenchDay }) {
  const { day, workOut, working, giveUp, left, remove, mayEdit, planId } = desk;
  const finish = day.tasks.reduce((most, { toMin }) => Math.max(most, toMin), 0);
  const begun = Object.keys(day.progress).length > 0;
  const [isChanged, setIsChanged] = useState(false);
  const missing = isChanged
    ? 'Save the day first.'
    : day.people.length === 0
      ? 'Say who helps first, and save the day.'
      : day.setIds.length === 0
        ? 'Choose sets first, and save the day.'
        : '';
  return (
    <div className="mt-4 space-y-4">
      <h2 className="text-lg font-bold">
        {day.name}, {dayText(day.day)}, {clockText(day.beginsMin)} to{' '}
        {clockText(day.beginsMin + day.lastsMin)}
      </h2>
      {mayEdit && (
        <div className="print-hide space-y-3">
          <BenchForm {...desk} onChanged={setIsChanged} />
          <p className="flex flex-wrap items-center gap-3">
            <Button
              type="button"
              className="btn btn-primary btn-sm"
              // What was ticked comes first: it is worked out from what the server has.
              isOff={working || missing !== '' || desk.marks.waiting.some(({ why }) => why === '')}
              onClick={() => void workOut()}
            >
              {begun ? 'Work out the rest anew' : 'Work it out'}
            </Button>
            {working ? (
              <span role="status" className="flex items-center gap-2">
                <progress className="progress w-32" aria-label="Working out the day" />
                <button type="button" className="btn btn-ghost btn-sm" onClick={giveUp}>
                  Stop
                </button>
              </span>
            ) : (
              <span className="muted text-small">
                {missing || (begun && 'What is under way stays where it is.')}
              </span>
            )}
            <button type="button" className="btn btn-ghost btn-sm" onClick={() => void remove()}>
              Delete the day
            </button>
          </p>
        </div>
      )}
      {left.length > 0 && (
        <ul className="space-y-1" aria-label="Sets without a place">
          {left.map(({ id, name, why }) => (
            <li key={id} className="finding text-plain" data-severity="warning">
              <strong>{name}</strong>: {why}
            </li>
          ))}
        </ul>
      )}
      {day.tasks.length > 0 && (
        <>
          <p className="print-hide">
            <a className="link" href={`/plans/${planId}/bench/${day.id}?of=${day.revision}`}>
              The packet to print: the list and each set’s sheet in short
            </a>
          </p>
          {day.lowerBoundMin !== null && <p>{finishText(finish, day.lowerBoundMin, day.beginsMin)}</p>}
          <Waits {...desk} />
          <BenchChart {...desk} day={desk.shown ?? day} />
          <Lists {...desk} day={desk.shown ?? day} />
          <Labels {...desk} />
        </>
      )}
    </div>
  );
}

/** What was ticked and is not at the server yet. */
function Waits({ marks: { waiting, isAway, drop, send }, setName }: Desk) {
  const open = waiting.filter(({ why }) => why === '');
  const refused = waiting.filter(({ why }) => why !== '');
  return (
    <div className="print-hide" role="status">
      {isAway && open.length > 0 && (
        <p className="finding" data-severity="warning">
          {`The server does not answer. ${counted(open.length, 'tick')} ${open.length === 1 ? 'waits' : 'wait'} in this browser, and ${open.length === 1 ? 'is' : 'are'} sent once it does, with ${open.length === 1 ? 'its time' : 'their times'}. `}
          <button type="button" className="btn btn-outline btn-xs" onClick={() => void send()}>
            Send now
          </button>
        </p>
      )}
      {refused.map(({ value: mark, why }) => (
        <p key={mark.id} className="finding mt-1" data-severity="error">
          <strong>{setName(mark.setId)}</strong>
          {`, ${TASK_STATE[mark.state]}: ${why} `}
          <button type="button" className="btn btn-outline btn-xs" onClick={() => void drop(mark.id)}>
            Let it go<span className="sr-only"> of {setName(mark.setId)}</span>
          </button>
        </p>
      ))}
    </div>
  );
}

/** Who does what, when, and how; what became of it. */
function Lists({ day, personName, setName, sets, mark, marks, mayEdit, planId }: Desk & { day: BenchDay }) {
  const away = new Set(sets.flatMap(({ id, standing }) => (standing === 'away' ? [id] : [])));
  const unsent = new Set(marks.waiting.map((one) => one.value.setId));
  const { tasks, people, progress, beginsMin } = day;
  return (
    <div className="grid gap-x-8 gap-y-4 lg:grid-cols-2">
      {people.map(({ id }) => {
        const mine = tasks.filter(({ personId }) => personId === id);
        if (mine.length === 0) return null;
        return (
          <section key={id} aria-label={personName(id)} className="break-inside-avoid-page">
            <h3 className="border-b border-base-content/40 font-bold">{personName(id)}</h3>
            <ol>
              {mine.map(({ setId, way, standId, masterId, fromMin, toMin }) => {
                const state = progress[setId];
                return (
                  <li
                    key={setId}
                    className="flex flex-wrap items-baseline gap-x-3 border-b border-base-300 py-1 break-inside-avoid"
                  >
                    <span className="font-mono text-plain">
                      {clockText(beginsMin + fromMin)} to {clockText(beginsMin + toMin)}
                    </span>
                    <span className="grow">
                      <a
                        className="link font-semibold"
                        href={`/plans/${planId}/sheets/${setId}?of=${day.revision}`}
                      >
                        {setName(setId)}
                      </a>{' '}
                      <span className="muted text-small">
                        {way === 'copy' && masterId ? `copied from ${setName(masterId)}` : TASK_WAY[way]}
                        {standId && `, ${standId}`}
                      </span>
                      {away.has(setId) && state !== 'done' && (
                        <strong className="text-small"> {STANDING_BESIDE.away}</strong>
                      )}
                    </span>
                    {state ? (
                      <span className="text-small">
                        <strong>{TASK_STATE[state]}</strong>
                        {unsent.has(setId) && <span className="muted">, not sent yet</span>}
                      </span>
                    ) : (
                      <span className="hidden text-small print:inline">done ____</span>
                    )}
                    {mayEdit && state !== 'done' && (
                      <span className="print-hide flex gap-1">
                        {state !== 'begun' && (
                          <Act of={setName(setId)} act={() => void mark(setId, 'begun')} title="Begin" />
                        )}
                        <Act of={setName(setId)} act={() => void mark(setId, 'done')} title="Done" />
                        {state !== 'dropped' && (
                          <Act
                            of={setName(setId)}
                            act={() => void mark(setId, 'dropped')}
                            title="Not today"
                          />
                        )}
                      </span>
                    )}
                  </li>
                );
              })}
            </ol>
          </section>
        );
      })}
    </div>
  );
}

function Act({ of, act, title }: { of: string; act: () => void; title: string }) {
  return (
    <button type="button" className="btn btn-outline btn-xs" onClick={act}>
      {title}
      <span className="sr-only"> {of}</span>
    </button>
  );
}

/** Labels to cut out, on paper alone: which set it is, and what was put in it. */
function Labels({ day, setName }: Desk & { day: BenchDay }) {
  return (
    <ul className="hidden break-before-page grid-cols-4 gap-2 print:grid" aria-hidden="true">
      {day.tasks.map(({ setId }) => (
        <li key={setId} className="break-inside-avoid border border-dashed border-black p-2 text-center">
          <strong className="block">{setName(setId)}</strong>
          revision {day.revision}, {day.day}
        </li>
      ))}
    </ul>
  );
}
