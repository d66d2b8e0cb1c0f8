import { useEffect, useState } from 'react';

/** How long the set still waits for the next key: a ring that runs, and the seconds beside it. Without a beginning it stands full. */
export function Ring({ seconds, since }: { seconds: number; since: number | null }) {
  const [nowMs, setNow] = useState(() => Date.now());
  useEffect(() => {
    if (since === null) return;
    const tick = setInterval(() => setNow(Date.now()), 100);
    return () => clearInterval(tick);
  }, [since]);
  const left = since === null ? seconds : Math.max(0, seconds - (nowMs - since) / 1000);
  const around = 2 * Math.PI * 15;
  return (
    <p className="mb-3 flex items-center gap-3" role="timer">
      <svg viewBox="0 0 36 36" width="44" height="44" aria-hidden="true" className="-rotate-90">
        <circle cx="18" cy="18" r="15" fill="none" strokeWidth="4" className="stroke-base-300" />
        <circle
          cx="18"
          cy="18"
          r="15"
          fill="none"
          strokeWidth="4"
          strokeDasharray={around}
          strokeDashoffset={around * (1 - left / seconds)}
          className="stroke-accent"
        />
      </svg>
      <span>
        {left > 0
          ? `The set waits ${Math.ceil(left)} s for the next key.`
          : 'The set may have stopped waiting. Look whether it shows what the step before says; if not, it showed something else.'}
      </span>
    </p>
  );
}
