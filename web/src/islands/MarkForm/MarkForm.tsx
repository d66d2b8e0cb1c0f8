import { zodResolver } from '@hookform/resolvers/zod';
import { type Mark, MarkSchema } from '@umbrex/core/model';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { guarded } from '../../ui/guarded';
import { call, failureText } from '../desk/api';

interface Props {
  descriptionId: string;
  version: number;
  firmware: string;
  today: string;
}

/** A person's word on a description, with the set in hand: confirmed, or something else was seen. */
function MarkFormIsland({ descriptionId, version, firmware, today }: Props) {
  const [failure, setFailure] = useState('');
  const { register, handleSubmit, formState } = useForm<Mark>({
    resolver: zodResolver(MarkSchema),
    defaultValues: {
      kind: 'confirmed',
      on: today,
      by: '',
      firmware: firmware === 'unknown' ? '' : firmware,
      note: '',
    },
  });
  const { errors, isSubmitting } = formState;
  const save = async (mark: Mark) => {
    setFailure('');
    try {
      await call('POST /api/descriptions/[descriptionId]/marks', { descriptionId }, { version, mark });
      window.location.reload();
    } catch (error) {
      setFailure(
        failureText(
          error,
          'Somebody marked this kind of set meanwhile. Load the page again to see their word, then add yours.',
        ),
      );
    }
  };
  return (
    <form className="grid max-w-2xl items-end gap-3 sm:grid-cols-2" onSubmit={handleSubmit(save)} noValidate>
      <label>
        <span className="muted block text-small">With the set in hand I saw</span>
        <select className="select select-sm w-full" {...register('kind')}>
          <option value="confirmed">what the sheet says</option>
          <option value="contradicted">something else</option>
        </select>
      </label>
      <label>
        <span className="muted block text-small">Who</span>
        <input className="input input-sm w-full" {...register('by')} aria-invalid={errors.by !== undefined} />
      </label>
      <label>
        <span className="muted block text-small">On</span>
        <input
          type="date"
          className="input input-sm w-full"
          {...register('on')}
          aria-invalid={errors.on !== undefined}
        />
      </label>
      <label>
        <span className="muted block text-small">Firmware the set shows</span>
        <input
          className="input input-sm w-full"
          {...register('firmware')}
          aria-invalid={errors.firmware !== undefined}
        />
      </label>
      <label className="sm:col-span-2">
        <span className="muted block text-small">Note (what was different, at which step)</span>
        <input className="input input-sm w-full" {...register('note')} />
      </label>
      {(errors.by || errors.on || errors.firmware || failure) && (
        <p className="finding text-plain sm:col-span-2" data-severity="error" role="alert">
          {failure || 'Write who saw it, when, and which firmware the set shows.'}
        </p>
      )}
      <button type="submit" className="btn btn-primary btn-sm justify-self-start" disabled={isSubmitting}>
        Add my word
      </button>
    </form>
  );
}

export const MarkForm = guarded('MarkForm', MarkFormIsland);
