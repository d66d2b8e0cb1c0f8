import { useStore } from '@nanostores/react';
import { headOf, type PlanHead } from '@umbrex/core/model';
import { Plus, Trash2 } from 'lucide-react';
import { useEffect, useEffectEvent, useState } from 'react';
import { PLANNED_CHOICES, WITHDRAWN_CHOICES } from '../../messages/channelState';
import { countryChoices } from '../../messages/countries';
import { NAMING_CHOICES } from '../../messages/naming';
import { alertsText, fleetText, rightsText, scansText, servicesText } from '../../messages/planParts';
import { SPARES_CHOICES, WITHOUT_RIGHT_CHOICES } from '../../messages/sender';
import { Button } from '../../ui/Button';
import { Form } from '../../ui/Form';
import { fieldsOf } from '../../ui/fields';
import { LabelledDay } from '../../ui/LabelledDay';
import { LabelledSelect } from '../../ui/LabelledSelect';
import { LabelledText } from '../../ui/LabelledText';
import { Part } from '../../ui/Part';
import { useUnsaved } from '../../ui/unsaved';
import { $settled, type DeskState } from '../desk/deskStore';
import { AlertsForm } from './AlertsForm';
import { CarriedForm } from './CarriedForm';
import { FleetForm } from './FleetForm';
import { LicensedForm } from './LicensedForm';
import { ServicesForm } from './ServicesForm';

interface Props {
  desk: DeskState;
  save: (head: PlanHead, version: number) => Promise<boolean>;
}

/**
 * The plan itself: its name, its receive-tone policy, its groups. A group goes only when it is empty. When somebody else changes the
 * plan, an untouched form follows; a touched one stays, and is saved from where it began.
 */
export function PlanForm({ desk, save }: Props) {
  const { plan, version } = desk;
  const [from, setFrom] = useState(() => ({ head: headOf(plan), version }));
  const [head, setHead] = useState<PlanHead>(from.head);
  const [alertsGood, setAlertsGood] = useState(true);
  const [fleetGood, setFleetGood] = useState(true);
  const [hasRow, setRow] = useState(false);
  // Elsewhere there is no form for it.
  const isRowOpen = hasRow && head.country === 'US';
  const settled = useStore($settled);
  const isTouched = JSON.stringify(head) !== JSON.stringify(from.head);
  useUnsaved(isTouched || isRowOpen);
  const follow = useEffectEvent(() => {
    setFrom({ head: headOf(plan), version });
    setHead(headOf(plan));
  });
  // biome-ignore lint/correctness/useExhaustiveDependencies: a newer plan is what this follows
  useEffect(() => {
    if (!isTouched) follow();
  }, [plan, version, isTouched]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: only a clash that was just settled lets go of what was typed
  useEffect(() => follow(), [settled]);
  const submit = async () => {
    if (await save(head, from.version)) setFrom((before) => ({ ...before, head }));
  };
  const used = new Set(plan.channels.map((channel) => channel.groupId));
  const change = (part: Partial<PlanHead>) => setHead((now) => ({ ...now, ...part }));
  const field = fieldsOf(head, change);
  const changeGroup = (id: string, name: string) =>
    change({ groups: head.groups.map((group) => (group.id === id ? { ...group, name } : group)) });
  const nameless = head.name.trim() === '' || head.groups.some((group) => group.name.trim() === '');
  const canSave = !nameless && alertsGood && fleetGood && !isRowOpen;
  const dirty = JSON.stringify(head) !== JSON.stringify(headOf(plan));
  return (
    <Form
      className="space-y-3"
      send={() => {
        if (canSave) void submit();
      }}
    >
      <LabelledText title="Name of the plan" most={60} {...field('name')} />
      <LabelledSelect
        title="Receive tones"
        {...field('receivePolicy')}
        options={[
          ['closed', 'closed: sets wait for the tone, quiet'],
          ['open', 'open: sets hear everyone'],
        ]}
      />
      <p className="muted text-small">
        Open suits travellers and finding faults. Closed is quiet, and hides others who are on the channel:
        listen first.
      </p>
      <LabelledSelect
        title="Whose rules"
        value={head.country}
        options={countryChoices(from.head.country)}
        set={(country) => change({ country, services: [] })}
      />
      <Part title="Groups" state={head.groups.map(({ name }) => name).join(', ')}>
        <fieldset className="space-y-2">
          <legend className="muted text-small">Groups, in order</legend>
          {head.groups.map((group, i) => (
            <div key={group.id} className="flex gap-2">
              <LabelledText
                title={`Name of group ${i + 1}`}
                at="heard"
                className="grow"
                most={40}
                value={group.name}
                set={(name) => changeGroup(group.id, name)}
              />
              <Button
                type="button"
                className="btn btn-ghost btn-sm btn-square"
                aria-label={`Remove group ${group.name}`}
                title={used.has(group.id) ? 'It still has channels' : 'Remove this group'}
                isOff={used.has(group.id) || head.groups.length === 1}
                onClick={() => change({ groups: head.groups.filter((other) => other.id !== group.id) })}
              >
                <Trash2 size={16} aria-hidden="true" />
              </Button>
            </div>
          ))}
          <button
            type="button"
            className="btn btn-outline btn-xs"
            onClick={() =>
              change({
                groups: [
                  ...head.groups,
                  { id: crypto.randomUUID(), name: `Group ${head.groups.length + 1}`, note: '' },
                ],
              })
            }
          >
            <Plus size={14} aria-hidden="true" /> Add a group
          </button>
        </fieldset>
        <CarriedForm
          desk={desk}
          groups={head.groups}
          carried={head.carried}
          change={(carried) => change({ carried })}
        />
      </Part>
      <Part title="Who may send, and what goes in" state={rightsText(head)}>
        <LabelledSelect
          title="Where a holder may not send, and the set cannot be shut"
          {...field('withoutRight')}
          options={WITHOUT_RIGHT_CHOICES}
        />
        <LabelledSelect
          title="Sets that nobody of the roster holds"
          {...field('spares')}
          options={SPARES_CHOICES}
        />
        <LabelledSelect
          title="Not on the air: planned channels are"
          {...field('planned')}
          options={PLANNED_CHOICES}
        />
        <LabelledSelect
          title="Not on the air: withdrawn channels are"
          {...field('withdrawn')}
          options={WITHDRAWN_CHOICES}
        />
        <LabelledDay
          title="Sets are loaded on"
          value={head.loadOn ?? ''}
          set={(loadOn) => change({ loadOn: loadOn || null })}
          help="Licences and permissions are judged for that day; without one, for the day it is."
        />
      </Part>
      <Part title="Scans and names" state={scansText(head)}>
        <LabelledSelect
          title="Scans, after a call"
          {...field('resumeDelay')}
          options={[
            ['on', 'stay for the answer, for conversations'],
            ['off', 'move on at once, to hear more places'],
          ]}
        />
        <LabelledSelect
          title="Names on displays that are set by keys"
          value={head.naming.all}
          options={NAMING_CHOICES}
          set={(all) => change({ naming: { ...head.naming, all } })}
        />
      </Part>
      <Part title="Services and licences" state={servicesText(head)}>
        <ServicesForm
          country={head.country}
          chosen={head.services}
          change={(services) => change({ services })}
        />
        {head.country === 'US' && (
          <LicensedForm
            licensed={head.licensed}
            change={(licensed) => change({ licensed })}
            setOpen={setRow}
          />
        )}
      </Part>
      {head.country === 'US' && (
        <Part title="Alert radios" state={alertsText(head)}>
          <AlertsForm
            key={JSON.stringify(from.head.alerts)}
            planId={plan.id}
            alerts={head.alerts}
            change={(alerts) => change({ alerts })}
            names={head.areaNames}
            changeNames={(areaNames) => change({ areaNames })}
            setGood={setAlertsGood}
          />
        </Part>
      )}
      <Part title="Fleet radios" state={fleetText(head)}>
        <FleetForm
          key={JSON.stringify(from.head.fleet)}
          fleet={head.fleet}
          change={(fleet) => change({ fleet })}
          setGood={setFleetGood}
        />
      </Part>
      {nameless && (
        <p className="finding text-small" data-severity="error" role="alert">
          The plan and every group need a name.
        </p>
      )}
      {isRowOpen && (
        <p className="finding text-small" data-severity="warning" role="status">
          A business frequency is written and not in the plan yet: take it or cancel it before you save.
        </p>
      )}
      <Button type="submit" className="btn btn-primary btn-sm" isOff={!dirty || !canSave}>
        Save plan
      </Button>
    </Form>
  );
}
