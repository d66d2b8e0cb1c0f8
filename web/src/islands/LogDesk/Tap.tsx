import { type HeardDraft, setMeant } from '@umbrex/core/heard';
import { ArrowUpDown } from 'lucide-react';
import { useState } from 'react';
import { LabelledSelect } from '../../ui/LabelledSelect';
import type { LogState } from './useLogDesk';

/** One call by tapping: who talked, who listened, and how it came, which writes it. */
export function Tap({ log }: { log: LogState }) {
  const { units, people } = log.known.roster;
  const { channels } = log.known;
  const [from, setFrom] = useState('');
  const [to, setTo] = useState('');
  const [channelId, setChannelId] = useState(log.view.air.channel.id);
  const [said, setSaid] = useState('');
  const names = [
    ...units.map(({ nickname }) => nickname),
    ...people.map(({ name }) => name).filter((name) => !units.some(({ nickname }) => nickname === name)),
  ];
  const options = [['', 'choose'], ...names.map((name) => [name, name] as const)] as const;
  const kind = channels.find(({ id }) => id === channelId)?.kind ?? 'direct';
  const [way, setWay] = useState<'repeater' | 'direct'>('repeater');
  const idOf = (name: string) => setMeant(name, log.known.roster).unitId;
  const isReady = from !== '' && to !== '' && from !== to && (idOf(from) === null || idOf(from) !== idOf(to));
  const write = async (readability: HeardDraft['readability'], heard: boolean) => {
    await log.write([
      {
        channelId,
        way: kind === 'repeater' ? way : kind === 'direct' ? 'direct' : 'unknown',
        from,
        fromId: idOf(from),
        to,
        toId: idOf(to),
        heard,
        readability,
        strength: 'unknown',
        fromWhere: '',
        toWhere: '',
        note: '',
        time: null,
      },
    ]);
    setSaid(`${from} to ${to}: ${heard ? readability : 'not heard'}.`);
  };
  return (
    <details className="rounded border border-base-300 bg-base-100 px-3 open:pb-3">
      <summary className="flex min-h-11 cursor-pointer items-center font-semibold">By tapping</summary>
      <div className="grid gap-2 sm:grid-cols-[1fr_auto_1fr_1fr_1fr] sm:items-end">
        <LabelledSelect title="Talked" value={from} options={options} set={setFrom} />
        <button
          type="button"
          className="btn btn-outline btn-sm"
          onClick={() => {
            setFrom(to);
            setTo(from);
          }}
        >
          <ArrowUpDown size={16} aria-hidden="true" /> Turn round
        </button>
        <LabelledSelect title="Listened" value={to} options={options} set={setTo} />
        <LabelledSelect
          title="On channel"
          value={channelId}
          options={channels.map(({ id, name }) => [id, name] as const)}
          set={setChannelId}
        />
        {kind === 'repeater' && (
          <LabelledSelect
            title="Way"
            value={way}
            options={[
              ['repeater', 'through the repeater'],
              ['direct', 'direct'],
            ]}
            set={setWay}
          />
        )}
      </div>
      <fieldset className="mt-3" disabled={!isReady}>
        <legend className="muted text-small">How it came; a tap writes it down</legend>
        <div className="flex flex-wrap gap-2">
          {([5, 4, 3, 2, 1] as const).map((n) => (
            <button
              key={n}
              type="button"
              className="btn btn-outline min-h-12 min-w-12 grow font-mono text-lg"
              aria-label={`Heard ${n} of 5`}
              onClick={() => void write(n, true)}
            >
              {n}
            </button>
          ))}
          <button
            type="button"
            className="btn btn-outline min-h-12 grow"
            onClick={() => void write('unknown', false)}
          >
            Not heard
          </button>
        </div>
      </fieldset>
      <p role="status" className="mt-1 min-h-5 text-small">
        {said && `Noted: ${said}`}
      </p>
    </details>
  );
}
