import type { Unit, UnitInput } from '@umbrex/core/model';
import { useState } from 'react';
import type { UseFormReturn } from 'react-hook-form';
import { LabelledText } from '../../ui/LabelledText';
import { AreaNames } from '../PlanDesk/AreaNames';
import { Transmitter } from '../PlanDesk/Transmitter';

const codesIn = (text: string) => text.split(/[\s,;]+/).filter(Boolean);

/** The areas and the transmitter of one alert radio, where its household is somewhere else than the plan has in mind. */
export function OwnAreas({
  form,
  names,
  setGood,
}: {
  form: UseFormReturn<UnitInput, unknown, Unit>;
  names: Readonly<Record<string, string>>;
  /** Whether what is written can be saved. */
  setGood: (isGood: boolean) => void;
}) {
  const own = form.watch('alerts') ?? null;
  const [text, setText] = useState((own?.areas ?? []).join(', '));
  const [known] = useState<ReadonlySet<string>>(() => new Set(own?.areas));
  const change = (alerts: UnitInput['alerts']) => form.setValue('alerts', alerts, { shouldDirty: true });
  const write = (next: string) => {
    setText(next);
    const areas = codesIn(next);
    // What is not understood stays as it was written, and is said.
    change(areas.length === 0 ? null : { weatherHz: own?.weatherHz ?? 'unknown', areas });
  };
  const fault = form.formState.errors.alerts;
  return (
    <fieldset className="col-span-full grid gap-3 sm:grid-cols-2">
      <legend className="muted text-small">Where its household is</legend>
      <div>
        <LabelledText
          title="Its own area codes"
          value={text}
          set={write}
          most={300}
          help="Empty: it sounds for the plan’s areas and hears the plan’s transmitter."
          {...(fault && { fault: 'Each area code has six digits and is no frequency; at most 31 of them.' })}
        />
        <AreaNames
          codes={codesIn(text)}
          names={names}
          add={(code) => write([...codesIn(text), code].join(', '))}
          mend={(code, meant) =>
            write(
              codesIn(text)
                .map((one) => (one === code ? meant : one))
                .join(', '),
            )
          }
        />
      </div>
      {own && (
        <div>
          <Transmitter
            title="Weather transmitter heard there, MHz"
            areas={own.areas}
            known={known}
            weatherHz={own.weatherHz ?? 'unknown'}
            set={(weatherHz) => change({ ...own, weatherHz })}
            setGood={setGood}
          />
        </div>
      )}
    </fieldset>
  );
}
