import { CTCSS_TENTHS_HZ } from '@umbrex/core/facts';

/**
 * A tone drawn so that a match can be seen: on the sending end a plate with three notches, on the listening end a frame with
 * three pegs at the same angles. CTCSS is round, DCS is square, an inverted DCS code stands on its corner. The angles come from
 * three octal digits: the code itself, or the tone's place among the 50.
 */
export function ToneGlyph({
  tone,
  end,
  x,
  y,
  size,
}: {
  tone: string;
  end: 'key' | 'lock';
  x: number;
  y: number;
  size: number;
}) {
  const place = `translate(${x} ${y}) scale(${size / 20})`;
  if (tone === 'off')
    return (
      <path transform={place} d="M-5 0h10" stroke="currentColor" strokeWidth="1.6" strokeDasharray="2 2" />
    );
  if (tone === 'unknown')
    return (
      <text
        transform={place}
        textAnchor="middle"
        y="6"
        className="fill-warning font-mono text-[17px] font-bold"
      >
        ?
      </text>
    );
  const code = digitsOf(tone);
  const round = !tone.startsWith('D');
  const turn = tone.endsWith('I') ? ' rotate(45)' : '';
  const angles = code.map((digit, k) => digit * 45 + k * 15);
  const key = end === 'key';
  return (
    <g transform={place + turn} className={round ? 'text-primary' : 'text-accent'}>
      {round ? (
        <circle
          r={key ? 8.5 : 7.2}
          fill={key ? 'currentColor' : 'none'}
          stroke="currentColor"
          strokeWidth={key ? 0 : 2}
        />
      ) : (
        <rect
          x={key ? -7.5 : -6.5}
          y={key ? -7.5 : -6.5}
          width={key ? 15 : 13}
          height={key ? 15 : 13}
          fill={key ? 'currentColor' : 'none'}
          stroke="currentColor"
          strokeWidth={key ? 0 : 2}
        />
      )}
      {angles.map((angle) =>
        key ? (
          <path
            key={angle}
            transform={`rotate(${angle})`}
            d="M-1.700 -10.500H1.700V-5.200A1.700 1.700 0 0 1-1.700 -5.200Z"
            className="fill-(--strip-ground,var(--color-base-200))"
          />
        ) : (
          <path
            key={angle}
            transform={`rotate(${angle})`}
            d="M0 -7.600V-2.800"
            stroke="currentColor"
            strokeWidth="3"
          />
        ),
      )}
    </g>
  );
}

function digitsOf(tone: string): number[] {
  const digits = tone.startsWith('D')
    ? tone.slice(1, 4)
    : Math.max(0, CTCSS_TENTHS_HZ.indexOf(Math.round(Number(tone) * 10)) * 9 + 5)
        .toString(8)
        .padStart(3, '0');
  return [...digits.slice(-3)].map(Number);
}
