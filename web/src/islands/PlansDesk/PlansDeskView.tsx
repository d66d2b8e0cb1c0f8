import type { PlanCountry } from '@umbrex/core/facts';
import { type ReactNode, useState } from 'react';
import { COUNTRY_TEXT, countryChoices } from '../../messages/countries';
import { counted } from '../../messages/labels';
import { Button } from '../../ui/Button';
import { Form } from '../../ui/Form';
import { LabelledSelect } from '../../ui/LabelledSelect';
import { LabelledText } from '../../ui/LabelledText';
import type { PlanAtAGlance, usePlansDesk } from './usePlansDesk';

/** All plans of a workspace: those in use, those that were put away, and a new one. */
export function PlansDeskView(props: ReturnType<typeof usePlansDesk>) {
  const { plans, planId, workspaceName, isSignedIn, mayEdit } = props;
  const used = plans.filter(({ archived }) => !archived);
  const away = plans.filter(({ archived }) => archived);
  return (
    <div className="max-w-4xl px-5 py-4 max-md:px-3">
      <h1 className="text-xl font-bold">Plans</h1>
      <p className="muted mb-4 text-plain">
        {workspaceName} has {plans.length === 1 ? 'one plan' : `${plans.length} plans`}. People, sets and
        stations are the same in all of them.{' '}
        <a className="link" href={`/plans/${planId}/account`}>
          {isSignedIn
            ? 'Another group, with people and sets of its own'
            : 'For another group one needs an account'}
        </a>
      </p>
      <PlanList {...props} plans={used} />
      {away.length > 0 && (
        <section className="mt-6">
          <h2 className="font-bold">Put away</h2>
          <PlanList {...props} plans={away} />
        </section>
      )}
      {mayEdit && <NewPlan {...props} />}
    </div>
  );
}

function PlanList(props: ReturnType<typeof usePlansDesk>) {
  return (
    <ul className="border-t border-base-content/40">
      {props.plans.map((plan) => (
        <PlanRow key={plan.id} plan={plan} {...props} />
      ))}
    </ul>
  );
}

function PlanRow({
  plan,
  planId,
  mayEdit,
  busy,
  copy,
  rename,
  putAway,
  remove,
}: ReturnType<typeof usePlansDesk> & { plan: PlanAtAGlance }) {
  const [name, setName] = useState<string | null>(null);
  const { id, country, channels, archived } = plan;
  return (
    <li className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-base-300 py-2">
      <div className="min-w-60 grow">
        {name === null ? (
          <a className="link link-hover font-semibold" href={`/plans/${id}`}>
            {plan.name}
          </a>
        ) : (
          <Form
            className="flex items-end gap-2"
            send={() => rename(plan, name.trim()).then(() => setName(null))}
          >
            <LabelledText title={`New name of ${plan.name}`} value={name} set={setName} most={60} />
            <Button type="submit" className="btn btn-primary btn-sm" isOff={name.trim() === '' || busy}>
              Rename
            </Button>
            <button type="button" className="btn btn-ghost btn-sm" onClick={() => setName(null)}>
              Cancel
            </button>
          </Form>
        )}
        <p className="muted text-small">
          {counted(channels, 'channel')}, {COUNTRY_TEXT[country]}
          {id === planId && ', here now'}
        </p>
      </div>
      {mayEdit && (
        <div className="flex flex-wrap gap-1">
          <Action of={plan.name} act={() => setName(plan.name)} busy={busy}>
            Rename
          </Action>
          <Action of={plan.name} act={() => void copy(plan)} busy={busy}>
            Copy
          </Action>
          <Action of={plan.name} act={() => void putAway(plan, !archived)} busy={busy}>
            {archived ? 'Use again' : 'Put away'}
          </Action>
          <Action of={plan.name} act={() => remove(plan)} busy={busy}>
            Delete
          </Action>
        </div>
      )}
    </li>
  );
}

function Action({
  of,
  act,
  busy,
  children,
}: {
  of: string;
  act: () => void;
  busy: boolean;
  children: ReactNode;
}) {
  return (
    <Button type="button" className="btn btn-ghost btn-sm" onClick={act} isOff={busy}>
      {children}
      <span className="sr-only"> {of}</span>
    </Button>
  );
}

/** A name, and whose rules it follows: that is asked, since everything that may be sent on hangs on it. */
function NewPlan({ make, busy }: ReturnType<typeof usePlansDesk>) {
  const [name, setName] = useState('');
  const [country, setCountry] = useState<PlanCountry>('unknown');
  return (
    <Form className="mt-8 flex max-w-2xl flex-wrap items-end gap-3" send={() => make(name.trim(), country)}>
      <h2 className="w-full font-bold">A new plan</h2>
      <div className="w-64">
        <LabelledText title="Its name" value={name} set={setName} most={60} />
      </div>
      <LabelledSelect
        title="Whose rules"
        value={country}
        options={countryChoices(country)}
        set={setCountry}
        width="w-72"
      />
      <Button
        type="submit"
        className="btn btn-primary btn-sm"
        isOff={busy || name.trim() === '' || country === 'unknown'}
      >
        Make it
      </Button>
    </Form>
  );
}
