import { useEffect, useRef } from 'react';
import { MARKS } from '../../messages/onAir';
import type { useAirDesk } from './useAirDesk';

/** How strong each mark is drawn: what is heard is solid, what nobody knows half, what stops is left bare. */
const STRENGTH = { heard: 1, poor: 0.75, unknown: 0.4, from: 0, repeater: 0.08, to: 0.16 } as const;

/** Each set against each, from far away: islands and dead rows show as a texture. */
export function Texture({ drawn, view, chosen, setChosen }: ReturnType<typeof useAirDesk>) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const count = drawn?.count ?? 0;
  const cell = Math.max(1, Math.floor(560 / Math.max(count, 1)));
  useEffect(() => {
    const context = canvas.current?.getContext('2d');
    if (!context || !drawn || !canvas.current) return;
    const ink = getComputedStyle(canvas.current).color;
    context.clearRect(0, 0, count * cell, count * cell);
    context.fillStyle = ink;
    for (let i = 0; i < count; i++)
      for (let j = 0; j < count; j++) {
        const mark = MARKS[drawn.marks[i * count + j] ?? 2] ?? 'unknown';
        context.globalAlpha = i === j ? 0 : STRENGTH[mark];
        context.fillRect(j * cell, i * cell, cell - Number(cell > 3), cell - Number(cell > 3));
      }
    context.globalAlpha = 1;
    if (chosen) {
      context.strokeStyle = ink;
      context.lineWidth = 2;
      context.strokeRect(chosen.to * cell - 1, chosen.from * cell - 1, cell + 2, cell + 2);
    }
  }, [drawn, count, cell, chosen]);
  const heard = drawn ? drawn.marks.filter((mark, at) => mark < 2 && at % (count + 1) !== 0).length : 0;
  const at = (x: number, y: number) => {
    const [from, to] = [Math.floor(y / cell), Math.floor(x / cell)];
    if (from !== to && view.sets[from] && view.sets[to]) setChosen({ from, to });
  };
  return (
    <div className="overflow-auto border-y border-base-300 py-3">
      <canvas
        ref={canvas}
        width={count * cell}
        height={count * cell}
        role="img"
        className="cursor-crosshair border border-base-300"
        aria-label={`${count} sets against each other: ${heard} of ${count * (count - 1)} calls are heard. Groups show the same as a table.`}
        onClick={({ nativeEvent }) => at(nativeEvent.offsetX, nativeEvent.offsetY)}
      />
      <p className="muted mt-2 text-small">
        One square a call, rows talk, columns hear. Solid is heard, half is not known, bare is stopped. A
        click looks at one call.
      </p>
    </div>
  );
}
