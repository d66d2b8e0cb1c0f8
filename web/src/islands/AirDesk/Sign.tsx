import type { Mark } from '../../messages/onAir';

const COLOUR: Readonly<Record<Mark, string>> = {
  heard: 'text-base-content',
  poor: 'text-base-content',
  unknown: 'text-warning',
  from: 'text-error',
  repeater: 'text-error',
  to: 'text-error',
};

/** The shape of a call: a solid drop that arrived, a hollow one that arrived badly, dots for what nobody knows, and a bar where it stops. */
const DRAWN: Readonly<Record<Mark, React.ReactElement>> = {
  heard: <rect x="2" y="5" width="12" height="6" rx="3" fill="currentColor" />,
  poor: (
    <rect
      x="2.8"
      y="5.8"
      width="10.4"
      height="4.4"
      rx="2.2"
      fill="none"
      stroke="currentColor"
      strokeWidth="1.6"
    />
  ),
  unknown: (
    <g fill="currentColor">
      <circle cx="3.5" cy="8" r="1.5" />
      <circle cx="8" cy="8" r="1.5" />
      <circle cx="12.5" cy="8" r="1.5" />
    </g>
  ),
  from: <path d="M3 3v10" stroke="currentColor" strokeWidth="2.6" />,
  repeater: <path d="M2 8h6M8 3v10" stroke="currentColor" strokeWidth="2.2" fill="none" />,
  to: <path d="M2 8h10M13 3v10" stroke="currentColor" strokeWidth="2.2" fill="none" />,
};

/** How a call between two sets comes out, drawn. */
export function Sign({ mark, size = 16 }: { mark: Mark; size?: number }) {
  return (
    <svg
      viewBox="0 0 16 16"
      width={size}
      height={size}
      className={`inline-block shrink-0 ${COLOUR[mark]}`}
      aria-hidden="true"
    >
      {DRAWN[mark]}
    </svg>
  );
}
