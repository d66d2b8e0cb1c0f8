import type { Channel } from '@umbrex/core/model';
import { mhzText } from '@umbrex/core/units';
import { toneWords } from '../messages/tones';
import { ToneGlyph } from './ToneGlyph';

type Drawn = Pick<Channel, 'receiveHz' | 'transmitHz' | 'transmitTone' | 'receiveTone'> &
  Partial<Pick<Channel, 'trunk'>>;

/** What the strip says, for those who do not see it. */
export function stripWords(channel: Drawn, waitsFor: string): string {
  const opens =
    waitsFor === 'off'
      ? 'hears everyone'
      : waitsFor === 'unknown'
        ? 'needs a tone nobody knows yet'
        : `waits for ${toneWords(waitsFor)}`;
  if (channel.trunk) {
    const carries = channel.trunk.carries === 'control' ? 'the control channel' : 'calls';
    return `${mhzText(channel.receiveHz)} MHz carries ${carries} of ${channel.trunk.network}, listen only.`;
  }
  if (channel.transmitHz === null)
    return `You listen on ${mhzText(channel.receiveHz)} MHz; your set ${opens}.`;
  const sends = `You send on ${mhzText(channel.transmitHz)} MHz with ${channel.transmitTone === 'unknown' ? 'a tone nobody knows yet' : toneWords(channel.transmitTone)}`;
  if (channel.transmitHz === channel.receiveHz) return `${sends}, direct; the other side ${opens}.`;
  return `${sends}; the repeater sends on ${mhzText(channel.receiveHz)} MHz with ${toneWords(channel.receiveTone)}, and your set ${opens}.`;
}

/**
 * A channel as a path: You → repeater → Them, with the frequency above each leg and the tone below it; the key of a tone on the
 * sending end, its lock on the listening end. Direct is one leg; listening is a leg that ends in a cup.
 */
export function PathStrip({
  channel,
  waitsFor,
  large = false,
}: {
  channel: Drawn;
  waitsFor: string;
  large?: boolean;
}) {
  const direct = channel.transmitHz === channel.receiveHz;
  return (
    <svg
      viewBox={large ? '0 0 340 56' : '0 0 360 44'}
      className={large ? 'h-14 w-full max-w-[420px]' : 'h-11 w-[360px] max-w-full'}
      role="img"
      aria-label={stripWords(channel, waitsFor)}
    >
      {channel.transmitHz === null ? (
        <Listening channel={channel} waitsFor={waitsFor} width={large ? 340 : 360} />
      ) : direct ? (
        <Direct channel={channel} waitsFor={waitsFor} width={large ? 340 : 360} />
      ) : (
        <ThroughRepeater
          channel={channel}
          transmitHz={channel.transmitHz}
          waitsFor={waitsFor}
          width={large ? 340 : 360}
        />
      )}
    </svg>
  );
}

const LINE = 24;

function ThroughRepeater({
  channel,
  transmitHz,
  waitsFor,
  width,
}: {
  channel: Drawn;
  transmitHz: number;
  waitsFor: string;
  width: number;
}) {
  const mid = width / 2;
  return (
    <g>
      <You />
      <Leg
        from={12}
        to={mid - 12}
        hz={transmitHz}
        tone={channel.transmitTone}
        lock={channel.transmitTone}
        arrow
      />
      <path
        d={`M${mid} 8l-6 26M${mid} 8l6 26M${mid - 4} 26h8M${mid - 2.4} 17h4.8`}
        fill="none"
        stroke="currentColor"
        strokeWidth="1.8"
      />
      <Leg
        from={mid + 12}
        to={width - 12}
        hz={channel.receiveHz}
        tone={channel.receiveTone}
        lock={waitsFor}
        arrow
      />
      <Them x={width - 7} />
    </g>
  );
}

function Direct({ channel, waitsFor, width }: { channel: Drawn; waitsFor: string; width: number }) {
  return (
    <g>
      <You />
      <Leg
        from={12}
        to={width - 12}
        hz={channel.receiveHz}
        tone={channel.transmitTone}
        lock={waitsFor}
        arrow
        back
      />
      <Them x={width - 7} />
    </g>
  );
}

function Listening({ channel, waitsFor, width }: { channel: Drawn; waitsFor: string; width: number }) {
  const from = width / 3;
  return (
    <g>
      <path
        d={`M${from - 8} 16a12 12 0 0 1 0 16M${from - 14} 19a8 8 0 0 1 0 10`}
        fill="none"
        stroke="currentColor"
        strokeWidth="1.6"
      />
      <path
        d={`M${from} ${LINE}H${width - 16}`}
        stroke="currentColor"
        strokeWidth="1.4"
        strokeDasharray="5 4"
      />
      <path d={`M${width - 18} ${LINE - 4}l7 4-7 4z`} fill="currentColor" />
      <path d={`M${width - 5} 16a11 11 0 0 1 0 16`} fill="none" stroke="currentColor" strokeWidth="2.4" />
      <text
        x={(from + width) / 2 - 8}
        y={LINE - 8}
        textAnchor="middle"
        className="fill-current font-mono text-[13px] font-semibold"
      >
        {mhzText(channel.receiveHz)}
      </text>
      <text
        x={(from + width) / 2 - 8}
        y={LINE + 16}
        textAnchor="middle"
        className="fill-secondary font-mono text-[11.5px]"
      >
        {waitsFor === 'off' ? 'listen only' : toneWords(waitsFor)}
      </text>
    </g>
  );
}

const You = () => <circle cx="7" cy={LINE} r="5" fill="currentColor" />;
const Them = ({ x }: { x: number }) => (
  <circle cx={x} cy={LINE} r="4.4" fill="none" stroke="currentColor" strokeWidth="2" />
);

function Leg({
  from,
  to,
  hz,
  tone,
  lock,
  arrow,
  back,
}: {
  from: number;
  to: number;
  hz: number;
  tone: string;
  lock: string;
  arrow: boolean;
  back?: boolean;
}) {
  const mid = (from + to) / 2;
  const text =
    tone === 'off' && lock === 'off'
      ? 'no tone'
      : tone === lock
        ? tone
        : `${tone} · ${lock === 'off' ? 'open' : lock}`;
  return (
    <g>
      <path d={`M${from} ${LINE}H${to - 4}`} stroke="currentColor" strokeWidth="1.4" />
      {arrow && <path d={`M${to - 7} ${LINE - 4}l7 4-7 4z`} fill="currentColor" />}
      {back && <path d={`M${from + 7} ${LINE - 4}l-7 4 7 4z`} fill="currentColor" />}
      {tone !== 'off' && (
        <>
          <rect
            x={from + 10}
            y={LINE - 10}
            width="20"
            height="20"
            className="fill-(--strip-ground,var(--color-base-200))"
          />
          <ToneGlyph tone={tone} end="key" x={from + 20} y={LINE} size={20} />
        </>
      )}
      {lock !== 'off' && (
        <>
          <rect
            x={to - 36}
            y={LINE - 10}
            width="20"
            height="20"
            className="fill-(--strip-ground,var(--color-base-200))"
          />
          <ToneGlyph tone={lock} end="lock" x={to - 26} y={LINE} size={20} />
        </>
      )}
      <text
        x={mid}
        y={LINE - 8}
        textAnchor="middle"
        className="fill-current font-mono text-[13px] font-semibold"
      >
        {mhzText(hz)}
      </text>
      <text x={mid} y={LINE + 16} textAnchor="middle" className="fill-secondary font-mono text-[11.5px]">
        {text}
      </text>
    </g>
  );
}
