import { WEATHER_NUMBERS } from '@umbrex/core/facts';
import { mhzText } from '@umbrex/core/units';
import { useEffect, useState } from 'react';
import { LabelledCheck } from '../../ui/LabelledCheck';
import { LabelledSelect } from '../../ui/LabelledSelect';

interface Props {
  title: string;
  areas: readonly string[];
  /** The areas that were saved before. */
  known: ReadonlySet<string>;
  weatherHz: number | 'unknown';
  set: (weatherHz: number | 'unknown') => void;
  /** Whether what is written can be saved. */
  setGood: (isGood: boolean) => void;
}

/** The weather transmitter that sets hear. With another area it is asked whether it is the same there; until then that is not to be saved. */
export function Transmitter({ title, areas, known, weatherHz, set, setGood }: Props) {
  const [isSure, setSure] = useState(false);
  const isNew = known.size > 0 && areas.some((code) => !known.has(code));
  const asks = isNew && weatherHz !== 'unknown' && !isSure;
  useEffect(() => {
    setGood(!asks);
    // Without areas nothing is asked any more.
    return () => setGood(true);
  }, [setGood, asks]);
  return (
    <>
      <LabelledSelect
        title={title}
        value={String(weatherHz)}
        options={[
          ['unknown', 'nobody has listened yet'],
          ...WEATHER_NUMBERS.map(({ receiveHz }) => [String(receiveHz), mhzText(receiveHz)] as const),
        ]}
        set={(next) => {
          setSure(true);
          set(next === 'unknown' ? next : Number(next));
        }}
      />
      {asks && (
        <LabelledCheck checked={isSure} set={setSure} className="finding text-small">
          {mhzText(Number(weatherHz))} MHz is still the transmitter that they hear, also for the area that was
          added.
        </LabelledCheck>
      )}
    </>
  );
}
