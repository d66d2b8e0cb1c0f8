import { mhzText } from '@umbrex/core/units';
import { useEffect, useState } from 'react';
import { LabelledCheck } from '../../ui/LabelledCheck';

interface Props {
  /** The areas that were saved before. */
  known: ReadonlySet<string>;
  areas: readonly string[];
  weatherHz: number | 'unknown';
  /** Whether the transmitter was chosen since. */
  isChosen: boolean;
  setGood: (isGood: boolean) => void;
}

/** With another area it is asked whether the transmitter is the same there; until then what is written is not to be saved. */
export function StillHeard({ known, areas, weatherHz, isChosen, setGood }: Props) {
  const [isStillHeard, setStillHeard] = useState(false);
  const isNew = known.size > 0 && areas.some((code) => !known.has(code));
  const asks = isNew && weatherHz !== 'unknown' && !isChosen;
  useEffect(() => setGood(!asks || isStillHeard), [setGood, asks, isStillHeard]);
  if (!asks || isStillHeard) return null;
  return (
    <LabelledCheck checked={isStillHeard} set={setStillHeard} className="finding text-small">
      {mhzText(Number(weatherHz))} MHz is still the transmitter that they hear, also for the area that was
      added.
    </LabelledCheck>
  );
}
