import { type Mark, MarkSchema } from '@umbrex/core/model';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import { Form } from '../../ui/Form';
import { faultsOf, useFaults } from '../../ui/faults';
import { fieldsOf } from '../../ui/fields';
import { guarded } from '../../ui/guarded';
import { LabelledDay } from '../../ui/LabelledDay';
import { LabelledSelect } from '../../ui/LabelledSelect';
import { LabelledText } from '../../ui/LabelledText';
import { call, failureText } from '../desk/api';

interface Props {
  descriptionId: string;
  version: number;
  firmware: string;
  today: string;
}

const KINDS = [
  ['confirmed', 'what the sheet says'],
  ['contradicted', 'something else'],
] as const;
const WORDS = {
  by: 'Write who saw it.',
  on: 'Write the day on which it was seen.',
  firmware: 'Write what the set shows when it is turned on.',
};

/** A person's word on a description, with the set in hand: confirmed, or something else was seen. */
function MarkFormIsland({ descriptionId, version, firmware, today }: Props) {
  const [mark, setMark] = useState<Mark>({
    kind: 'confirmed',
    on: today,
    by: '',
    firmware: firmware === 'unknown' ? '' : firmware,
    note: '',
  });
  const [failure, setFailure] = useState('');
  const [isSending, setSending] = useState(false);
  const { form, faults, tell } = useFaults();
  const set = (part: Partial<Mark>) => setMark((before) => ({ ...before, ...part }));
  const field = fieldsOf(mark, set, faults);
  const save = async () => {
    setFailure('');
    const parsed = MarkSchema.safeParse(mark);
    tell(parsed.success ? {} : faultsOf(parsed.error, WORDS));
    if (!parsed.success) return;
    setSending(true);
    try {
      const written = { version, mark: parsed.data };
      await call('POST /api/descriptions/[descriptionId]/marks', { descriptionId }, written);
      window.location.reload();
    } catch (error) {
      setSending(false);
      setFailure(
        failureText(
          error,
          'Somebody marked this kind of set meanwhile. Load the page again to see their word, then add yours.',
        ),
      );
    }
  };
  return (
    <Form
      ref={form}
      className="grid max-w-2xl items-start gap-3 sm:grid-cols-2"
      send={() => save()}
      noValidate
    >
      <LabelledSelect title="With the set in hand I saw" {...field('kind')} options={KINDS} />
      <LabelledText title="Who" {...field('by')} />
      <LabelledDay title="On" {...field('on')} />
      <LabelledText title="Firmware the set shows" {...field('firmware')} />
      <div className="sm:col-span-2">
        <LabelledText title="Note (what was different, at which step)" {...field('note')} />
      </div>
      {failure && (
        <p className="finding text-plain sm:col-span-2" data-severity="error" role="alert">
          {failure}
        </p>
      )}
      <Button type="submit" className="btn btn-primary btn-sm justify-self-start" isOff={isSending}>
        Add my word
      </Button>
    </Form>
  );
}

export const MarkForm = guarded('MarkForm', MarkFormIsland);
