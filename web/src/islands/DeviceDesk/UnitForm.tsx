import { zodResolver } from '@hookform/resolvers/zod';
import { numbersText, readNumbers } from '@umbrex/core/fields';
import { type Unit, type UnitInput, UnitSchema } from '@umbrex/core/model';
import type { ReactNode } from 'react';
import { useForm } from 'react-hook-form';
import { toneWords } from '../../messages/tones';
import type { Kind } from './useDeviceDesk';

interface Props {
  unit: UnitInput;
  kinds: readonly Kind[];
  people: readonly { id: string; name: string }[];
  pairs: readonly { id: string; name: string }[];
  teams: readonly { id: string; name: string }[];
  save: (unit: Unit) => Promise<boolean>;
  cancel?: () => void;
  action: string;
}

const FAULTS: Readonly<Record<string, string>> = {
  firmware: 'Write the firmware as the set shows it, or unknown.',
  nickname: 'Give the device a nickname of up to 40 letters.',
  batteryChanged: 'Give the day the battery was changed, or leave it empty.',
  testHeard: 'Give the day on which its test was heard, or leave it empty.',
  holds: 'Give the day since when it holds that, or leave it empty.',
};
const INTAKE = [
  ['cell', 'Cell holds'],
  ['antennaSocket', 'Antenna socket'],
  ['speaker', 'Speaker'],
  ['reset', 'Reset to factory'],
] as const;

/** The fields of one device: the ones that a list needs, and when it is opened all of them. */
export function UnitForm({ unit, kinds, people, pairs, teams, save, cancel, action }: Props) {
  const { register, handleSubmit, formState, reset, watch } = useForm<UnitInput, unknown, Unit>({
    resolver: zodResolver(UnitSchema),
    defaultValues: unit,
  });
  const { errors, isSubmitting } = formState;
  const full = cancel !== undefined;
  const submit = async (next: Unit) => {
    if ((await save(next)) && !full) reset(unit);
  };
  const fault = Object.keys(errors)[0];
  const picked = kinds.find((kind) => kind.id === watch('descriptionId'))?.pickedTones;
  const text = (name: 'nickname' | 'holder' | 'serial' | 'firmware' | 'fleetId' | 'accessories' | 'note') => (
    <input className="input input-sm w-full" {...register(name)} aria-invalid={errors[name] !== undefined} />
  );
  const one = (name: 'personId' | 'carries' | 'roleId', none: string, choices: Props['people']) => (
    <select
      className="select select-sm w-full"
      {...register(name, { setValueAs: (value: string | null) => value || null })}
    >
      <option value="">{none}</option>
      {choices.map((choice) => (
        <option key={choice.id} value={choice.id}>
          {choice.name}
        </option>
      ))}
    </select>
  );
  return (
    <form
      className={`grid items-end gap-3 sm:grid-cols-3 ${full ? 'lg:grid-cols-4' : 'lg:grid-cols-[1fr_1fr_1fr_1fr_7rem_7rem_auto]'}`}
      onSubmit={handleSubmit(submit)}
      noValidate
    >
      <Labelled title="Kind of device">
        <select className="select select-sm w-full" {...register('descriptionId')}>
          {kinds.map((kind) => (
            <option key={kind.id} value={kind.id}>
              {kind.title}
            </option>
          ))}
        </select>
      </Labelled>
      <Labelled title="Nickname">{text('nickname')}</Labelled>
      <Labelled title="Holder">{one('personId', 'nobody of the roster', people)}</Labelled>
      <Labelled title="or kept at">{text('holder')}</Labelled>
      <Labelled title="Serial">{text('serial')}</Labelled>
      <Labelled title="Firmware">{text('firmware')}</Labelled>
      {full && (
        <>
          <Labelled title="Fleet ID">{text('fleetId')}</Labelled>
          <Labelled title="Accessories">{text('accessories')}</Labelled>
          <Labelled title="Battery changed">
            <input
              type="date"
              className="input input-sm w-full"
              {...register('batteryChanged', {
                setValueAs: (value: string) => value || 'unknown',
              })}
            />
          </Labelled>
          {kinds.find((kind) => kind.id === watch('descriptionId'))?.alerts && (
            <Labelled title="Weekly test heard">
              <input
                type="date"
                className="input input-sm w-full"
                {...register('testHeard', { setValueAs: (value: string) => value || 'unknown' })}
              />
            </Labelled>
          )}
          {kinds.find((kind) => kind.id === watch('descriptionId'))?.repeats && (
            <Labelled title="Carries">{one('carries', 'nobody has said', pairs)}</Labelled>
          )}
          {teams.length > 0 && (
            <Labelled title="Set up for">{one('roleId', 'no role of its own', teams)}</Labelled>
          )}
          <Labelled title="Kept numbers">
            <input
              className="input input-sm w-full"
              placeholder="40-44, 60"
              defaultValue={numbersText(unit.keeps ?? [])}
              {...register('keeps', {
                setValueAs: (value: string | number[]) =>
                  typeof value === 'string' ? readNumbers(value) : value,
              })}
            />
          </Labelled>
          <Labelled title="Holds now">
            <select className="select select-sm w-full" {...register('holds.what')}>
              <option value="unknown">nobody has looked</option>
              <option value="factory">as from the factory</option>
              <option value="plan">this group’s channels</option>
              <option value="other">something of its own</option>
              {unit.holds?.what === 'read' && <option value="read">what was read of it</option>}
            </select>
          </Labelled>
          <Labelled title="Since">
            <input
              type="date"
              className="input input-sm w-full"
              {...register('holds.on', { setValueAs: (value: string) => value || 'unknown' })}
            />
          </Labelled>
          {picked && (
            <Labelled title="Tone picked by hand">
              <select className="select select-sm w-full" {...register('pickedTone')}>
                <option value="unknown">nobody has looked</option>
                <option value="off">none</option>
                {picked.map((tone) => (
                  <option key={tone} value={tone}>
                    {toneWords(tone)}
                  </option>
                ))}
              </select>
            </Labelled>
          )}
          <Labelled title="Note">{text('note')}</Labelled>
          <fieldset className="col-span-full flex flex-wrap gap-3">
            <legend className="muted text-small">When an old set comes in</legend>
            {INTAKE.map(([key, title]) => (
              <label key={key} className="flex items-center gap-2 text-plain">
                {title}
                <select className="select select-xs w-28" {...register(`intake.${key}`)}>
                  <option value="unknown">not looked</option>
                  <option value="good">good</option>
                  <option value="bad">bad</option>
                </select>
              </label>
            ))}
          </fieldset>
        </>
      )}
      <div className="flex gap-2">
        <button type="submit" className="btn btn-primary btn-sm" disabled={isSubmitting}>
          {action}
        </button>
        {cancel && (
          <button type="button" className="btn btn-ghost btn-sm" onClick={cancel}>
            Cancel
          </button>
        )}
      </div>
      {fault && (
        <p className="finding col-span-full text-plain" data-severity="error" role="alert">
          {FAULTS[fault] ?? `The field ${fault} is too long.`}
        </p>
      )}
    </form>
  );
}

function Labelled({ title, children }: { title: string; children: ReactNode }) {
  return (
    // biome-ignore lint/a11y/noLabelWithoutControl: the control is the child
    <label className="block">
      <span className="muted block text-small">{title}</span>
      {children}
    </label>
  );
}
