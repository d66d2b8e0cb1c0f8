import type { Net } from '@umbrex/core/model';
import { netTimes } from '@umbrex/core/nets';

const REPEATS = { once: '', daily: 'every day', weekly: 'every week', monthly: 'every month' } as const;

/** When and where a net is on the air, in its own zone and, where that differs, in yours as the server knows it. */
export function NetLine({ net, channel }: { net: Net; channel: string | null }) {
  const { day, time, zone, utc } = netTimes(net);
  return (
    <span>
      <strong>{net.name}</strong> {REPEATS[net.repeats]}{' '}
      <span className="font-mono">
        {day} {time}
      </span>{' '}
      <span className="muted">
        {zone} ({utc} UTC)
      </span>
      {channel && <span>, on {channel}</span>}
      {net.leader && <span className="muted">, led by {net.leader}</span>}
    </span>
  );
}
