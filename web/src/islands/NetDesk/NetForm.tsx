import { THINGS } from '@umbrex/core/fields';
import { type Net, NetSchema } from '@umbrex/core/model';
import { Plus, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { Form } from '../../ui/Form';
import { type Faults, faultsOf, useFaults } from '../../ui/faults';
import { fieldsOf } from '../../ui/fields';
import { LabelledDay } from '../../ui/LabelledDay';
import { LabelledSelect } from '../../ui/LabelledSelect';
import { LabelledText } from '../../ui/LabelledText';
import { mayLeave, useUnsaved } from '../../ui/unsaved';
import type { Held } from '../desk/useHeld';
import type { useNetDesk } from './useNetDesk';

const { fields: NET } = THINGS.net;
const FAULTS: Faults = {
  name: 'Give it a name.',
  startsAt: 'Give the day and the time.',
  timeZone: 'Write a time zone such as America/New_York.',
  roles: 'At most 40 roles.',
  'roles.name': 'Give the role a name.',
};

/** The details of a net or an event, to be changed. */
export function NetForm({
  held,
  nets,
  channels,
  setOpenId,
}: ReturnType<typeof useNetDesk> & { held: Held<Net> }) {
  const [net, setNet] = useState(held.value);
  const { form, faults, tell } = useFaults();
  useUnsaved(JSON.stringify(net) !== JSON.stringify(held.value));
  const change = (part: Partial<Net>) => setNet((now) => ({ ...now, ...part }));
  const field = fieldsOf(net, change, faults);
  // One that is in use already is still shown, so that it can be seen and changed.
  const used = new Set([net.channelId, net.fallbackId, ...net.roles.map(({ channelId }) => channelId)]);
  const offered = channels.filter(({ id, forNets }) => forNets || used.has(id));
  const onChannel = [['', 'none'], ...offered.map(({ id, name }) => [id, name] as const)] as const;
  const save = () => {
    const parsed = NetSchema.safeParse(net);
    tell(parsed.success ? {} : faultsOf(parsed.error, FAULTS));
    if (parsed.success) void nets.save(parsed.data, held.version).then((ok) => ok && setOpenId(null));
  };
  const role = (i: number, part: Partial<Net['roles'][number]>) =>
    change({ roles: net.roles.map((other, k) => (k === i ? { ...other, ...part } : other)) });
  return (
    <Form
      ref={form}
      noValidate
      className="mb-6 grid gap-3 rounded border border-base-300 bg-base-100 p-4 sm:grid-cols-3"
      send={() => save()}
    >
      <LabelledText title={NET.name.column} {...field('name')} />
      <LabelledDay
        title="Begins, by the clocks there"
        value={net.startsAt}
        set={(startsAt) => change({ startsAt: startsAt.slice(0, 16) })}
        type="datetime-local"
        fault={faults.startsAt}
      />
      <LabelledText title={NET.timeZone.column} {...field('timeZone')} />
      <LabelledSelect
        title="How often"
        {...field('repeats')}
        options={[
          ['once', 'once'],
          ['daily', 'every day'],
          ['weekly', 'every week'],
          ['monthly', 'every month'],
        ]}
      />
      <LabelledSelect
        title={NET.channelId.column}
        value={net.channelId ?? ''}
        options={onChannel}
        set={(id) => change({ channelId: id || null })}
      />
      <LabelledSelect
        title="If that fails"
        value={net.fallbackId ?? ''}
        options={onChannel}
        set={(id) => change({ fallbackId: id || null })}
      />
      <LabelledText title={NET.leader.column} {...field('leader')} />
      <div className="sm:col-span-2">
        <LabelledText title={NET.note.column} {...field('note')} />
      </div>
      <fieldset className="space-y-2 sm:col-span-3">
        <legend className="muted text-small">Roles and their channels</legend>
        {net.roles.map((entry, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: rows have no id and keep their order
          <div key={i} className="flex flex-wrap items-start gap-2">
            <LabelledText
              title="Role"
              value={entry.name}
              set={(name) => role(i, { name })}
              fault={faults[`roles.${i}.name`]}
            />
            <LabelledText
              title="Who"
              value={entry.who}
              set={(who) => role(i, { who })}
              fault={faults[`roles.${i}.who`]}
            />
            <LabelledSelect
              title="On"
              value={entry.channelId ?? ''}
              options={onChannel}
              set={(id) => role(i, { channelId: id || null })}
              width="w-44"
            />
            <button
              type="button"
              className="btn btn-ghost btn-sm btn-square mt-5"
              aria-label={`Remove the role ${entry.name || i + 1}`}
              onClick={() => change({ roles: net.roles.filter((_, k) => k !== i) })}
            >
              <Trash2 size={16} aria-hidden="true" />
            </button>
          </div>
        ))}
        <button
          type="button"
          className="btn btn-outline btn-xs"
          onClick={() => change({ roles: [...net.roles, { name: '', who: '', channelId: null }] })}
        >
          <Plus size={14} aria-hidden="true" /> Add a role
        </button>
      </fieldset>
      {faults.roles && (
        <p className="finding text-plain sm:col-span-3" data-severity="error" role="alert">
          {faults.roles}
        </p>
      )}
      <div className="flex gap-2 sm:col-span-3">
        <button type="submit" className="btn btn-primary btn-sm">
          Save
        </button>
        <button type="button" className="btn btn-ghost btn-sm" onClick={() => mayLeave() && setOpenId(null)}>
          Cancel
        </button>
        <button
          type="button"
          className="btn btn-outline btn-error btn-sm ml-auto"
          onClick={() => void nets.remove(held)}
        >
          Delete
        </button>
      </div>
    </Form>
  );
}
