import type { QuestionId } from '@umbrex/core/interview';
import type { ReactNode } from 'react';

/** What a question is about, drawn; the words beside it say the same. */
export function QuestionPicture({ id }: { id: QuestionId }) {
  return (
    <svg
      viewBox="0 0 160 60"
      className="h-auto w-48 shrink-0 font-mono text-[10px] max-sm:hidden"
      fill="none"
      stroke="currentColor"
      strokeWidth="1.5"
      aria-hidden="true"
    >
      {PICTURES[id]}
    </svg>
  );
}

const text = (x: number, y: number, words: string, anchor: 'start' | 'middle' | 'end' = 'middle') => (
  <text x={x} y={y} textAnchor={anchor} fill="currentColor" stroke="none">
    {words}
  </text>
);
/** A set in the hand: body, display, antenna. */
const set = (x: number) => (
  <g>
    <rect x={x} y="20" width="20" height="36" rx="3" />
    <rect x={x + 4} y="25" width="12" height="8" />
    <path d={`M${x + 5} 20V6`} />
  </g>
);
const arrow = (from: number, to: number, y: number) => {
  const back = to > from ? -5 : 5;
  return <path d={`M${from} ${y}H${to}M${to + back} ${y - 4}L${to} ${y}L${to + back} ${y + 4}`} />;
};
/** A stretch of the spectrum that is heard, on an axis below it. */
const band = (x: number, width: number, words: string) => (
  <g>
    <rect x={x} y="22" width={width} height="14" fill="currentColor" fillOpacity="0.15" />
    {text(x + width / 2, 50, words)}
  </g>
);

const PICTURES: Readonly<Record<QuestionId, ReactNode>> = {
  certified: (
    <>
      <rect x="20" y="6" width="120" height="48" rx="4" />
      {text(80, 22, 'TYPE  · · ·')}
      {text(80, 36, 'PART  95E ?')}
      <path d="M34 45H126" strokeDasharray="2 3" />
    </>
  ),
  inputs: (
    <>
      {set(6)}
      {arrow(32, 76, 26)}
      {text(54, 20, '467 ?')}
      <path d="M92 54L100 14L108 54M95 40H105" />
      {arrow(118, 154, 26)}
      {text(136, 20, '462')}
    </>
  ),
  hears: (
    <>
      <path d="M4 36H156" />
      {band(10, 28, '118')}
      {band(58, 34, '162')}
      {band(118, 32, '462')}
      {text(24, 18, '?')}
      {text(75, 18, '?')}
    </>
  ),
  tones: (
    <>
      {set(6)}
      {arrow(34, 84, 24)}
      {text(120, 27, 'out: 131.8')}
      {arrow(84, 34, 44)}
      {text(120, 47, 'in: the same?')}
    </>
  ),
  power: (
    <>
      {[
        [20, 44, '5 W'],
        [66, 24, '2 W'],
        [112, 8, '0.5 ?'],
      ].map(([x, height, words]) => (
        <g key={words}>
          <rect x={x as number} y={48 - (height as number)} width="28" height={height as number} />
          {text((x as number) + 14, 58, words as string)}
        </g>
      ))}
    </>
  ),
  letters: (
    <>
      {[...'KELP ST?'].map((letter, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: the places of a display do not move
        <g key={i}>
          <rect x={8 + i * 18} y="18" width="16" height="24" strokeDasharray={letter === '?' ? '2 3' : ''} />
          {text(16 + i * 18, 34, letter)}
        </g>
      ))}
    </>
  ),
};
