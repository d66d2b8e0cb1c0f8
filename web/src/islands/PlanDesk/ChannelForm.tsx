import { zodResolver } from '@hookform/resolvers/zod';
import { useStore } from '@nanostores/react';
import { usualShiftOf } from '@umbrex/core/facts';
import { THINGS } from '@umbrex/core/fields';
import type { Channel, Group, Plan } from '@umbrex/core/model';
import { hzFromMHzText } from '@umbrex/core/units';
import { useEffect, useState } from 'react';
import { useForm } from 'react-hook-form';
import { STATE_CHOICES } from '../../messages/channelState';
import { Button } from '../../ui/Button';
import { CheckField, ChoiceField, LineField, named } from '../../ui/bound';
import { Form } from '../../ui/Form';
import { useUnsaved } from '../../ui/unsaved';
import { $settled } from '../desk/deskStore';
import { channelFormSchema, formOf, shiftText, type ChannelForm as Written } from './channelValues';

const { fields: CHANNEL } = THINGS.channel;
const CHOICES = {
  receivePolicy: [
    ['plan', 'as the plan says'],
    ['closed', 'closed: wait for it, quiet'],
    ['open', 'open: hear everyone'],
  ],
  bandwidth: [
    ['wide', 'wide'],
    ['narrow', 'narrow'],
    ['unknown', 'not known'],
  ],
  mode: [
    ['FM', 'FM'],
    ['AM', 'AM'],
    ['digital', 'digital'],
  ],
  access: [
    ['open', 'open'],
    ['permission', 'by permission'],
    ['unknown', 'not known'],
  ],
  tier: [
    ['must', 'must'],
    ['should', 'should'],
    ['nice', 'nice'],
  ],
  scan: [
    ['usual', 'as usual'],
    ['in', 'in'],
    ['out', 'out'],
    ['priority', 'priority'],
  ],
  resumeDelay: [
    ['plan', 'as the plan says'],
    ['on', 'stays a while'],
    ['off', 'moves on'],
  ],
  carries: [
    ['control', 'the control channel'],
    ['calls', 'calls'],
  ],
  isLocal: [
    ['unknown', 'nobody has listened'],
    ['yes', 'yes'],
    ['no', 'no'],
  ],
} as const;

const shiftWords = (hz: number | undefined) =>
  hz === undefined ? 'the usual shift' : hz === 0 ? 'a usual shift: none here' : shiftText(hz);

interface Props {
  channel: Channel;
  version: number;
  groups: readonly Group[];
  /** Whose rules apply. */
  country: Plan['country'];
  save: (channel: Channel, version: number) => Promise<boolean>;
}

/**
 * The details of a channel, to be changed. The fields take what people write; the channel's schema has the last word. When
 * somebody else changes the channel, an untouched form follows; a touched one stays, and is saved from where it began.
 */
export function ChannelForm({ channel, version, groups, country, save }: Props) {
  const [from, setFrom] = useState({ channel, version });
  const settled = useStore($settled);
  const form = useForm<Written, unknown, Channel>({
    resolver: zodResolver(channelFormSchema(from.channel, country)) as never,
    defaultValues: formOf(channel, country),
  });
  const { handleSubmit, formState, reset, watch } = form;
  const { errors, isDirty, isSubmitting } = formState;
  useUnsaved(isDirty);
  const other = from.channel.id !== channel.id;
  useEffect(() => {
    if (isDirty && !other) return;
    setFrom({ channel, version });
    reset(formOf(channel, country));
  }, [channel, version, isDirty, other, reset, country]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: only a clash that was just settled lets go of what was typed
  useEffect(() => reset(formOf(channel, country)), [settled]);
  const submit = async (next: Channel) => {
    if (await save(next, from.version)) reset(formOf(next, country));
  };
  const faults = errors as Partial<
    Record<keyof Written | 'receiveHz' | 'transmitHz' | 'trunk', { message?: string }>
  >;
  const way = watch('way');
  const receiveHz = hzFromMHzText(watch('receive').trim().replace(',', '.'));
  // While the frequency cannot be read nobody knows what is usual there.
  const shiftHz = receiveHz === undefined ? undefined : usualShiftOf(channel.service, country, receiveHz);
  const isTrunked = watch('network').trim() !== '';
  return (
    <Form className="space-y-3" send={handleSubmit(submit)} noValidate>
      <LineField form={form} name="name" title={CHANNEL.name.column} />
      <div className="grid grid-cols-2 items-end gap-3">
        <LineField
          form={form}
          name="receive"
          title="Receive, MHz"
          figures
          fault={faults.receive?.message ?? faults.receiveHz?.message}
        />
        <ChoiceField
          form={form}
          name="way"
          title={CHANNEL.transmitHz.column}
          choices={[
            ['direct', 'same frequency'],
            ['repeater', shiftWords(shiftHz), shiftHz === 0],
            ['other', 'another frequency'],
            ['listen', 'never, listen only'],
          ]}
        />
      </div>
      {way === 'other' && (
        <LineField
          form={form}
          name="transmit"
          title="Transmit, MHz"
          figures
          fault={faults.transmit?.message ?? faults.transmitHz?.message}
        />
      )}
      <div className="grid grid-cols-2 items-end gap-3">
        {way !== 'listen' && (
          <LineField form={form} name="transmitTone" title="Transmit tone (a repeater’s input)" figures />
        )}
        <LineField form={form} name="receiveTone" title="Tone that is sent to you" figures />
      </div>
      <p className="muted text-small">
        CTCSS in Hz (82.5) or DCS with polarity (D023N). Other names: PL, TPL, CTC for CTCSS; DPL, DTC, DCG
        for DCS. Write off for none, ? for not known.
      </p>
      <ChoiceField
        form={form}
        name="receivePolicy"
        title="Do sets wait for that tone?"
        choices={CHOICES.receivePolicy}
      />
      <div className="grid grid-cols-2 gap-3">
        {(['bandwidth', 'mode', 'access', 'tier'] as const).map((name) => (
          <ChoiceField
            key={name}
            form={form}
            name={name}
            title={CHANNEL[name].column}
            choices={CHOICES[name]}
          />
        ))}
      </div>
      <div className="grid grid-cols-2 items-end gap-3">
        <ChoiceField form={form} name="scan" title={CHANNEL.scan.column} choices={CHOICES.scan} />
        <ChoiceField form={form} name="resumeDelay" title="After a call it" choices={CHOICES.resumeDelay} />
      </div>
      <p className="muted text-small">
        {watch('scan') === 'priority'
          ? 'Priority cuts the sound of what is heard for a moment, again and again. Keep it for one channel that must not be missed.'
          : 'As usual a scan comes by here, but not at a broadcast, which never falls silent.'}
      </p>
      <div className="grid grid-cols-2 items-end gap-3">
        <ChoiceField form={form} name="groupId" title={CHANNEL.groupId.column} choices={named(groups)} />
        <ChoiceField form={form} name="state" title={CHANNEL.state.column} choices={STATE_CHOICES} />
      </div>
      <LineField
        form={form}
        name="aliases"
        title="Other names here, parted by commas"
        fault={faults.aliases && 'At most eight names of up to 40 letters each.'}
      />
      <LineField
        form={form}
        name="shortNames"
        title="Short names for small displays, parted by commas"
        fault={faults.shortNames && 'At most four names of up to 20 letters each.'}
      />
      {(way === 'listen' || isTrunked) && (
        <LineField
          form={form}
          name="network"
          title="Part of a trunked network, by its name"
          fault={faults.network?.message ?? (faults.trunk && 'A name of up to 40 letters.')}
        />
      )}
      {isTrunked && (
        <div className="grid grid-cols-2 items-end gap-3">
          <ChoiceField form={form} name="carries" title="Its tower sends here" choices={CHOICES.carries} />
          <ChoiceField
            form={form}
            name="isLocal"
            title="Is this tower heard here?"
            choices={CHOICES.isLocal}
          />
        </div>
      )}
      <CheckField
        form={form}
        name="tonesSecret"
        title="Tones for members only, masked elsewhere (that hides them, it secures nothing)"
      />
      <LineField form={form} name="note" title={CHANNEL.note.column} />
      <Button type="submit" className="btn btn-primary btn-sm" isOff={!isDirty || isSubmitting}>
        {isSubmitting ? 'Saving…' : 'Save channel'}
      </Button>
    </Form>
  );
}
