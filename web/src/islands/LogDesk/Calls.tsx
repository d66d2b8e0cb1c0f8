import { type LoggedCall, lineOf } from '@umbrex/core/heard';
import { useState } from 'react';
import { heardWords, SETTLED_WORDS, WAY_WORDS } from '../../messages/heard';
import { counted } from '../../messages/labels';
import { Line } from './Line';
import { atLocal, type LogState } from './useLogDesk';

const SHOWN = 40;

/** The calls of the log by days, newest first; those of nets stand among them. */
export function Calls({ log }: { log: LogState }) {
  const [most, setMost] = useState(SHOWN);
  const [openId, setOpenId] = useState<string | null>(null);
  const shown = log.logged.slice(0, most);
  const dayOf = (at: string) => log.local(at).day;
  const days = [...new Set(shown.map(({ at }) => dayOf(at)))];
  if (log.logged.length === 0) return <p className="py-3">Nothing was written down yet.</p>;
  return (
    <>
      {days.map((day) => (
        <section key={day} aria-label={day} className="mb-3">
          <h3 className="muted border-b border-base-300 font-mono text-small">{day}</h3>
          <ol>
            {shown
              .filter(({ at }) => dayOf(at) === day)
              .map((call) =>
                openId === call.id ? (
                  <Change key={call.id} call={call} log={log} close={() => setOpenId(null)} />
                ) : (
                  <Call key={call.id} call={call} log={log} open={() => setOpenId(call.id)} />
                ),
              )}
          </ol>
        </section>
      ))}
      {log.logged.length > most && (
        <button type="button" className="btn btn-outline btn-sm" onClick={() => setMost(most + 200)}>
          {`${counted(log.logged.length - most, 'more call')}`}
        </button>
      )}
    </>
  );
}

function Call({ call, log, open }: { call: LoggedCall; log: LogState; open: () => void }) {
  const { id, at, from, to, channelId, way, heard, fromWhere, toWhere, settled, note, by, source } = call;
  const isSent = log.isSent(id);
  const usualWay = log.known.channels.find((one) => one.id === channelId)?.kind;
  return (
    <li className="grid grid-cols-[3.5rem_minmax(0,1fr)_auto] items-baseline gap-x-2 border-b border-base-300 py-1">
      <span className="muted font-mono text-small">{log.local(at).time}</span>
      <span>
        <strong className="font-semibold">{from}</strong> <span aria-hidden="true">→</span>
        <span className="sr-only">to</span> <strong className="font-semibold">{to}</strong>
        {`: ${heardWords(call)}`}
        {!heard && settled !== 'open' && `, ${SETTLED_WORDS[settled]}`}
        <span className="muted text-small">
          {[
            ` ${log.channelName(channelId)}`,
            way === usualWay && source === 'log' ? '' : WAY_WORDS[way],
            fromWhere && `from ${fromWhere}`,
            toWhere && `at ${toWhere}`,
            setWords(call, log),
            note,
            source === 'net' ? `checked in to ${by}` : by && by !== log.view.by && `by ${by}`,
          ]
            .filter(Boolean)
            .join(', ')}
        </span>
        {source === 'log' && !isSent && <span className="text-small font-semibold"> waits to be sent</span>}
      </span>
      {isSent ? (
        <span className="flex gap-1">
          <button type="button" className="btn btn-ghost btn-xs" onClick={open}>
            Change<span className="sr-only">{` ${from} to ${to}`}</span>
          </button>
          <button type="button" className="btn btn-ghost btn-xs" onClick={() => void log.take(id)}>
            Take out<span className="sr-only">{` ${from} to ${to}`}</span>
          </button>
        </span>
      ) : (
        <span />
      )}
    </li>
  );
}

/** Which sets are meant where the words do not say it, and where none is. */
function setWords({ from, fromId, fromBy, to, toId, toBy }: LoggedCall, { nameOf }: LogState): string {
  const side = (said: string, id: string | null, by: 'set' | 'holder') => {
    if (id === null) return `${said}: no set known`;
    const name = nameOf(id);
    return name === said
      ? ''
      : by === 'holder'
        ? `${said} with ${name}, the only set they hold now`
        : `${said} with ${name}`;
  };
  return [side(from, fromId, fromBy), side(to, toId, toBy)].filter(Boolean).join(', ');
}

function Change({ call, log, close }: { call: LoggedCall; log: LogState; close: () => void }) {
  const local = log.local(call.at);
  // Its own channel stands; one that is gone is asked for.
  const known = { ...log.known, channelId: call.channelId };
  const [line, setLine] = useState(() => lineOf(call, local, known));
  return (
    <li className="border-b border-base-300 py-2">
      <Line
        log={{ ...log, known }}
        line={line}
        setLine={setLine}
        button="Save"
        giveUp={close}
        take={async (calls) => {
          const [first] = calls;
          if (!first) return;
          const { time, fromId, toId, ...words } = first;
          // Where the name is the same, so is the set that was meant.
          const draft = {
            ...words,
            ...(words.from !== call.from && { fromId }),
            ...(words.to !== call.to && { toId }),
            ...(words.heard && { settled: 'open' as const }),
          };
          const isMoved = time !== null && (time.day !== local.day || clockOf(time.minute) !== local.time);
          const moment = isMoved && time ? { at: atLocal(time.day, time.minute).toISOString() } : {};
          if (await log.change(call.id, { ...draft, ...moment }, 'The call is changed.')) close();
        }}
      />
    </li>
  );
}

const clockOf = (minute: number) =>
  `${String(Math.floor(minute / 60)).padStart(2, '0')}:${String(minute % 60).padStart(2, '0')}`;
