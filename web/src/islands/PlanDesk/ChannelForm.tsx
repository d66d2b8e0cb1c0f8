import { zodResolver } from '@hookform/resolvers/zod';
import { useStore } from '@nanostores/react';
import type { Channel, Group, Plan } from '@umbrex/core/model';
import { hzFromMHzText } from '@umbrex/core/units';
import { type ReactNode, useEffect, useState } from 'react';
import { useForm } from 'react-hook-form';
import { useUnsaved } from '../../ui/unsaved';
import { $settled } from '../desk/deskStore';
import { channelFormSchema, type ChannelForm as Form, formOf, shiftAt, shiftText } from './channelForm';

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
  const { register, handleSubmit, formState, reset, watch } = useForm<Form, unknown, Channel>({
    resolver: zodResolver(channelFormSchema(from.channel, country)) as never,
    defaultValues: formOf(channel, country),
  });
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
    Record<keyof Form | 'receiveHz' | 'transmitHz' | 'trunk', { message?: string }>
  >;
  const way = watch('way');
  const receiveHz = hzFromMHzText(watch('receive').trim().replace(',', '.'));
  const shiftHz = receiveHz === undefined ? 0 : shiftAt(channel, country, receiveHz);
  const isTrunked = watch('network').trim() !== '';
  return (
    <form className="space-y-3" onSubmit={handleSubmit(submit)} noValidate>
      <Field id="name" title="Name" fault={faults.name?.message}>
        <input id="name" className="input input-sm w-full" {...register('name')} />
      </Field>
      <div className="grid grid-cols-2 items-end gap-3">
        <Field id="receive" title="Receive, MHz" fault={faults.receive?.message ?? faults.receiveHz?.message}>
          <input
            id="receive"
            className="input input-sm w-full font-mono"
            inputMode="decimal"
            {...register('receive')}
          />
        </Field>
        <Field id="way" title="Transmit" fault={undefined}>
          <select id="way" className="select select-sm w-full" {...register('way')}>
            <option value="direct">same frequency</option>
            <option value="repeater" disabled={shiftHz === 0}>
              {shiftHz === 0 ? 'a usual shift: none here' : shiftText(shiftHz)}
            </option>
            <option value="other">another frequency</option>
            <option value="listen">never, listen only</option>
          </select>
        </Field>
      </div>
      {way === 'other' && (
        <Field
          id="transmit"
          title="Transmit, MHz"
          fault={faults.transmit?.message ?? faults.transmitHz?.message}
        >
          <input
            id="transmit"
            className="input input-sm w-full font-mono"
            inputMode="decimal"
            {...register('transmit')}
          />
        </Field>
      )}
      <div className="grid grid-cols-2 items-end gap-3">
        {way !== 'listen' && (
          <Field
            id="transmitTone"
            title="Transmit tone (a repeater’s input)"
            fault={faults.transmitTone?.message}
          >
            <input
              id="transmitTone"
              className="input input-sm w-full font-mono"
              {...register('transmitTone')}
            />
          </Field>
        )}
        <Field id="receiveTone" title="Tone that is sent to you" fault={faults.receiveTone?.message}>
          <input id="receiveTone" className="input input-sm w-full font-mono" {...register('receiveTone')} />
        </Field>
      </div>
      <p className="muted text-small">
        CTCSS in Hz (82.5) or DCS with polarity (D023N). Other names: PL, TPL, CTC for CTCSS; DPL, DTC, DCG
        for DCS. Write off for none, ? for not known.
      </p>
      <Field id="receivePolicy" title="Do sets wait for that tone?" fault={undefined}>
        <select id="receivePolicy" className="select select-sm w-full" {...register('receivePolicy')}>
          <option value="plan">as the plan says</option>
          <option value="closed">closed: wait for it, quiet</option>
          <option value="open">open: hear everyone</option>
        </select>
      </Field>
      <div className="grid grid-cols-2 gap-3">
        <Field id="bandwidth" title="Width" fault={undefined}>
          <select id="bandwidth" className="select select-sm w-full" {...register('bandwidth')}>
            <option value="wide">wide</option>
            <option value="narrow">narrow</option>
            <option value="unknown">not known</option>
          </select>
        </Field>
        <Field id="mode" title="Mode" fault={undefined}>
          <select id="mode" className="select select-sm w-full" {...register('mode')}>
            <option value="FM">FM</option>
            <option value="AM">AM</option>
            <option value="digital">digital</option>
          </select>
        </Field>
        <Field id="access" title="Access" fault={undefined}>
          <select id="access" className="select select-sm w-full" {...register('access')}>
            <option value="open">open</option>
            <option value="permission">by permission</option>
            <option value="unknown">not known</option>
          </select>
        </Field>
        <Field id="tier" title="Weight" fault={undefined}>
          <select id="tier" className="select select-sm w-full" {...register('tier')}>
            <option value="must">must</option>
            <option value="should">should</option>
            <option value="nice">nice</option>
          </select>
        </Field>
      </div>
      <div className="grid grid-cols-2 items-end gap-3">
        <Field id="scan" title="In scans" fault={undefined}>
          <select id="scan" className="select select-sm w-full" {...register('scan')}>
            <option value="usual">as usual</option>
            <option value="in">in</option>
            <option value="out">out</option>
            <option value="priority">priority</option>
          </select>
        </Field>
        <Field id="resumeDelay" title="After a call it" fault={undefined}>
          <select id="resumeDelay" className="select select-sm w-full" {...register('resumeDelay')}>
            <option value="plan">as the plan says</option>
            <option value="on">stays a while</option>
            <option value="off">moves on</option>
          </select>
        </Field>
      </div>
      <p className="muted text-small">
        {watch('scan') === 'priority'
          ? 'Priority cuts the sound of what is heard for a moment, again and again. Keep it for one channel that must not be missed.'
          : 'As usual a scan comes by here, but not at a broadcast, which never falls silent.'}
      </p>
      <Field id="groupId" title="Group" fault={undefined}>
        <select id="groupId" className="select select-sm w-full" {...register('groupId')}>
          {groups.map((group) => (
            <option key={group.id} value={group.id}>
              {group.name}
            </option>
          ))}
        </select>
      </Field>
      <Field
        id="aliases"
        title="Other names here, parted by commas"
        fault={faults.aliases && 'At most eight names of up to 40 letters each.'}
      >
        <input id="aliases" className="input input-sm w-full" {...register('aliases')} />
      </Field>
      <Field
        id="shortNames"
        title="Short names for small displays, parted by commas"
        fault={faults.shortNames && 'At most four names of up to 20 letters each.'}
      >
        <input id="shortNames" className="input input-sm w-full" {...register('shortNames')} />
      </Field>
      {(way === 'listen' || isTrunked) && (
        <Field
          id="network"
          title="Part of a trunked network, by its name"
          fault={faults.network?.message ?? (faults.trunk && 'A name of up to 40 letters.')}
        >
          <input id="network" className="input input-sm w-full" {...register('network')} />
        </Field>
      )}
      {isTrunked && (
        <div className="grid grid-cols-2 items-end gap-3">
          <Field id="carries" title="Its tower sends here" fault={undefined}>
            <select id="carries" className="select select-sm w-full" {...register('carries')}>
              <option value="control">the control channel</option>
              <option value="calls">calls</option>
            </select>
          </Field>
          <Field id="isLocal" title="Is this tower heard here?" fault={undefined}>
            <select id="isLocal" className="select select-sm w-full" {...register('isLocal')}>
              <option value="unknown">nobody has listened</option>
              <option value="yes">yes</option>
              <option value="no">no</option>
            </select>
          </Field>
        </div>
      )}
      <label className="flex items-center gap-2 text-plain">
        <input type="checkbox" className="checkbox checkbox-sm" {...register('tonesSecret')} />
        Tones for members only, masked elsewhere (that hides them, it secures nothing)
      </label>
      <Field id="note" title="Note" fault={faults.note?.message}>
        <input id="note" className="input input-sm w-full" {...register('note')} />
      </Field>
      <button type="submit" className="btn btn-primary btn-sm" disabled={!isDirty || isSubmitting}>
        {isSubmitting ? 'Saving…' : 'Save channel'}
      </button>
    </form>
  );
}

/** A labelled field with its fault below it. */
export function Field({
  id,
  title,
  fault,
  children,
}: {
  id: string;
  title: string;
  fault: string | undefined;
  children: ReactNode;
}) {
  return (
    <div>
      <label htmlFor={id} className="muted block text-small">
        {title}
      </label>
      {children}
      {fault && (
        <p className="finding mt-1 text-small" data-severity="error" role="alert">
          {fault}
        </p>
      )}
    </div>
  );
}
