import type { Verdict } from '@umbrex/core/fit';
import { VERDICT_TEXT } from '../messages/verdicts';

const COLOUR: Readonly<Record<Verdict, string>> = {
  full: 'text-base-content',
  adapted: 'text-base-content',
  listen: 'text-base-content',
  no: 'text-error',
  unknown: 'text-warning',
  apart: 'text-base-content opacity-60',
};

/** The shape of a verdict: solid disc, bitten disc, open cup, barred ring, dashed ring, a short line. Without `label` it is only drawn. */
export function Shape({
  verdict,
  size = 16,
  label = false,
}: {
  verdict: Verdict;
  size?: number;
  label?: boolean;
}) {
  const drawn = (
    <svg
      viewBox="0 0 16 16"
      width={size}
      height={size}
      className={`inline-block shrink-0 ${COLOUR[verdict]}`}
      aria-hidden="true"
    >
      {DRAWN[verdict]}
    </svg>
  );
  if (!label) return drawn;
  return (
    <span className="inline-flex items-center">
      {drawn}
      <span className="sr-only">{VERDICT_TEXT[verdict].word}</span>
    </span>
  );
}

const DRAWN: Readonly<Record<Verdict, React.ReactElement>> = {
  full: <circle cx="8" cy="8" r="6" fill="currentColor" />,
  adapted: <path d="M8 8 8 2A6 6 0 1 0 14 8Z" fill="currentColor" />,
  listen: (
    <path
      d="M2.2 6a6 6 0 0 0 11.6 0"
      fill="none"
      stroke="currentColor"
      strokeWidth="2.4"
      strokeLinecap="round"
    />
  ),
  no: (
    <g fill="none" stroke="currentColor" strokeWidth="2">
      <circle cx="8" cy="8" r="5.6" />
      <path d="M4.8 8h6.4" />
    </g>
  ),
  apart: <path d="M5 8h6" stroke="currentColor" strokeWidth="2" strokeLinecap="round" />,
  unknown: (
    <circle
      cx="8"
      cy="8"
      r="5.6"
      fill="none"
      stroke="currentColor"
      strokeWidth="2"
      strokeDasharray="2.6 2.2"
    />
  ),
};
