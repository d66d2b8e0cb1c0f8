import type { Net } from '@umbrex/core/model';
import { netNow } from '@umbrex/core/nets';

const REPEATS = { once: '', daily: 'every day', weekly: 'every week', monthly: 'every month' } as const;
const IS = {
  next: (repeats: Net['repeats']) => (repeats === 'once' ? '' : 'next on'),
  on: () => 'due since',
  over: () => 'was due on',
} as const;

/** When and where a net is due next: whether it takes place nobody knows here; in its own zone and in UTC. @param nowMs in milliseconds of UTC */
export function NetLine({ net, channel, nowMs }: { net: Net; channel: string | null; nowMs: number }) {
  const { day, time, zone, utc, is } = netNow(net, nowMs);
  const when = [REPEATS[net.repeats], IS[is](net.repeats)].filter(Boolean).join(', ');
  return (
    <span>
      <strong>{net.name}</strong> {when}{' '}
      <span className="font-mono">
        {day} {time}
      </span>{' '}
      <span className="muted">{zone === 'UTC' ? zone : `${zone} (${utc} UTC)`}</span>
      {channel && <span>, on {channel}</span>}
      {net.leader && <span className="muted">, led by {net.leader}</span>}
    </span>
  );
}
