import { callFinding } from '@umbrex/core/air';
import { computedOf, type HeardPair } from '@umbrex/core/heard';
import { useEffect, useState } from 'react';
import type { HeardView } from '../../contract/heard';
import { findingText } from '../../messages/findings';
import { HEARD_SIGNS, heardWords, SETTLED_WORDS, WAY_WORDS, WEIGHS_WORDS } from '../../messages/heard';
import { counted } from '../../messages/labels';
import { MARK_WORDS, markOf } from '../../messages/onAir';
import { guarded } from '../../ui/guarded';
import { Sign } from '../AirDesk/Sign';
import { TableFiles } from '../TableImport/TableFiles';
import { Calls } from './Calls';
import { Differs } from './Differs';
import { HeardMatrix } from './HeardMatrix';
import { Line } from './Line';
import { Tap } from './Tap';
import { type LogState, useLogDesk } from './useLogDesk';

function LogDeskIsland({ view }: { view: HeardView }) {
  const log = useLogDesk(view);
  const [line, setLine] = useState('');
  const [chosen, setChosen] = useState<HeardPair | null>(null);
  const pair = log.pairs.find(
    (one) => one.fromId === chosen?.fromId && one.toId === chosen.toId && one.way === chosen.way,
  );
  return (
    <>
      <section aria-label="Write a call down" className="max-w-4xl">
        <Line
          log={log}
          line={line}
          setLine={setLine}
          button="Note"
          take={async (calls) => {
            setLine('');
            await log.write(calls);
          }}
        />
        <Tap log={log} />
        <KeptPage made={view.made} log={log} />
        <Waits log={log} />
      </section>
      <div className="mt-4 grid gap-x-8 gap-y-4 xl:grid-cols-[minmax(0,1fr)_minmax(0,1.1fr)]">
        <section aria-label="The log" className="min-w-0 max-xl:order-2">
          <h2 className="text-base font-bold">The log</h2>
          <Calls log={log} />
          <div className="mt-3 flex flex-wrap items-center gap-3 border-t border-base-300 pt-3">
            <TableFiles
              kind="heard"
              planId={view.planId}
              present={view.calls.map(({ value }) => value)}
              names={{
                plan: [{ id: view.planId, name: view.planName }],
                channel: view.known.channels,
                unit: view.known.roster.units.map(({ id, nickname }) => ({ id, name: nickname })),
              }}
            />
          </div>
        </section>
        <section aria-label={`Heard and computed on ${view.air.channel.name}`} className="min-w-0">
          <h2 className="text-base font-bold">Heard and computed on {view.air.channel.name}</h2>
          <Differs log={log} />
          {log.pairs.length > 0 && (
            <>
              <Legend />
              <HeardMatrix log={log} chosen={pair ?? null} choose={setChosen} />
              {pair && <Pair pair={pair} log={log} />}
            </>
          )}
          {log.pairs.length === 0 && (
            <p className="py-3">No call between two of our sets was written down on this channel.</p>
          )}
        </section>
      </div>
    </>
  );
}

export const LogDesk = guarded('LogDesk', LogDeskIsland);

function Legend() {
  return (
    <ul className="mb-2 mt-3 flex flex-wrap gap-x-4 gap-y-1 text-small" aria-label="What the signs mean">
      <li>left: computed from what the sets are known to hold; right: the log</li>
      {(['heard', 'unknown', 'from', 'repeater', 'to'] as const).map((mark) => (
        <li key={mark} className="flex items-center gap-1">
          <Sign mark={mark} /> {MARK_WORDS[mark]}
        </li>
      ))}
      {Object.values(HEARD_SIGNS).map(([sign, words]) => (
        <li key={sign}>
          <span className="font-mono">{sign}</span> {words}
        </li>
      ))}
    </ul>
  );
}

/** One pair: what is computed of it, and each of its calls with what it still says. */
function Pair({ pair, log }: { pair: HeardPair; log: LogState }) {
  const computed = computedOf(pair, log.channel);
  const finding = computed && callFinding(computed);
  return (
    <div className="mt-3 border-l-4 border-base-300 pl-4" aria-live="polite">
      <h3 className="font-semibold">
        {log.nameOf(pair.fromId)} to {log.nameOf(pair.toId)}, {WAY_WORDS[pair.way]}
      </h3>
      <p className="flex items-center gap-1.5">
        {computed ? (
          <>
            <Sign mark={markOf(computed)} />
            {`Computed: ${MARK_WORDS[markOf(computed)]}. ${finding ? findingText(finding).what : ''}`}
          </>
        ) : (
          'Nothing can be computed: no repeater is on this channel, or a set is gone.'
        )}
      </p>
      <ul className="mt-1 list-disc pl-5 text-small">
        {pair.calls.map(({ call, weighs }) => (
          <li key={call.id}>
            {`${log.local(call.at).day} ${log.local(call.at).time}`}: {heardWords(call)}
            {!call.heard && call.settled !== 'open' && `, ${SETTLED_WORDS[call.settled]}`}
            {weighs !== 'full' && <span className="muted"> ({WEIGHS_WORDS[weighs]})</span>}
          </li>
        ))}
      </ul>
    </div>
  );
}

/** A page that is older came from this browser, since the server did not answer, in milliseconds. */
const KEPT_MS = 120_000;

/** Says that what is shown was kept earlier. */
function KeptPage({ made, log }: { made: string; log: LogState }) {
  const [isKept, setKept] = useState(false);
  useEffect(() => setKept(Date.now() - Date.parse(made) > KEPT_MS), [made]);
  if (!isKept) return null;
  const { day, time } = log.local(made);
  return (
    <p className="finding mt-2" data-severity="note">
      {`This page was kept on ${day} at ${time}: what others wrote since is not on it. `}
      <button type="button" className="btn btn-outline btn-xs" onClick={() => window.location.reload()}>
        Load it anew
      </button>
    </p>
  );
}

/** What is not at the server yet. */
function Waits({ log: { waits } }: { log: LogState }) {
  const open = waits.waiting.filter(({ why }) => why === '');
  return (
    <div role="status">
      {waits.isAway && open.length > 0 && (
        <p className="finding mt-2" data-severity="warning">
          {`The server does not answer. ${counted(open.length, 'call')} ${open.length === 1 ? 'waits' : 'wait'} in this browser, and ${open.length === 1 ? 'is' : 'are'} sent once it does. `}
          <button type="button" className="btn btn-outline btn-xs" onClick={() => void waits.send()}>
            Send now
          </button>
        </p>
      )}
      {waits.waiting
        .filter(({ why }) => why !== '')
        .map(({ id, value, why }) => (
          <p key={id} className="finding mt-1" data-severity="error">
            <strong>
              {value.from} to {value.to}
            </strong>
            {`, ${heardWords(value)}: ${why} `}
            <button type="button" className="btn btn-outline btn-xs" onClick={() => void waits.drop(id)}>
              Let it go<span className="sr-only">{` of ${value.from} to ${value.to}`}</span>
            </button>
          </p>
        ))}
    </div>
  );
}
