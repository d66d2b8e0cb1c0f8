import { zodResolver } from '@hookform/resolvers/zod';
import { type Unit, UnitSchema } from '@umbrex/core/model';
import { useForm } from 'react-hook-form';
import type { Kind } from './useDeviceDesk';

interface Props {
  unit: Unit;
  kinds: readonly Kind[];
  save: (unit: Unit) => Promise<boolean>;
  cancel?: () => void;
  action: string;
}

/** The fields of one device. */
export function UnitForm({ unit, kinds, save, cancel, action }: Props) {
  const { register, handleSubmit, formState, reset } = useForm<Unit>({
    resolver: zodResolver(UnitSchema),
    defaultValues: unit,
  });
  const { errors, isSubmitting } = formState;
  const submit = async (next: Unit) => {
    if ((await save(next)) && !cancel) reset({ ...unit, id: crypto.randomUUID() });
  };
  const fault = Object.keys(errors)[0];
  return (
    <form
      className="grid items-end gap-3 sm:grid-cols-[1fr_1fr_1fr_7rem_7rem_auto]"
      onSubmit={handleSubmit(submit)}
      noValidate
    >
      <label>
        <span className="muted block text-[0.87rem]">Kind of device</span>
        <select className="select select-sm w-full" {...register('descriptionId')}>
          {kinds.map((kind) => (
            <option key={kind.id} value={kind.id}>
              {kind.title}
            </option>
          ))}
        </select>
      </label>
      <label>
        <span className="muted block text-[0.87rem]">Nickname</span>
        <input
          className="input input-sm w-full"
          {...register('nickname')}
          aria-invalid={errors.nickname !== undefined}
        />
      </label>
      <label>
        <span className="muted block text-[0.87rem]">Holder</span>
        <input className="input input-sm w-full" {...register('holder')} />
      </label>
      <label>
        <span className="muted block text-[0.87rem]">Serial</span>
        <input className="input input-sm w-full" {...register('serial')} />
      </label>
      <label>
        <span className="muted block text-[0.87rem]">Firmware</span>
        <input
          className="input input-sm w-full"
          {...register('firmware')}
          aria-invalid={errors.firmware !== undefined}
        />
      </label>
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
        <p className="finding text-[0.93rem] sm:col-span-6" data-severity="error" role="alert">
          {fault === 'firmware'
            ? 'Write the firmware as the set shows it, or unknown.'
            : fault === 'nickname'
              ? 'Give the device a nickname of up to 40 letters.'
              : `The field ${fault} is too long.`}
        </p>
      )}
    </form>
  );
}
