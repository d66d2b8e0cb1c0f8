import type { PlanCountry } from '@umbrex/core/facts';
import { headOf, PLAN_FORMAT, type PlanHead } from '@umbrex/core/model';
import { useState } from 'react';
import { counted } from '../../messages/labels';
import { call, newerOf } from '../desk/api';
import { type Done, useAttempt } from '../desk/useAttempt';

/** A plan as the list of plans shows it. */
export interface PlanAtAGlance {
  readonly id: string;
  readonly name: string;
  readonly country: PlanCountry;
  readonly channels: number;
  readonly archived: boolean;
}
export interface PlansProps {
  /** The plan that the page stands in. */
  readonly planId: string;
  readonly plans: readonly PlanAtAGlance[];
  readonly workspaceName: string;
  readonly isSignedIn: boolean;
  readonly mayEdit: boolean;
}

const CHANGED = 'Somebody changed the plan meanwhile. Load the page again, then do it once more.';

/** The state of the list of plans: making one, copying, naming, putting away and deleting. */
export function usePlansDesk(props: PlansProps) {
  const [plans, setPlans] = useState(props.plans);
  const { busy, attempt: tried } = useAttempt(CHANGED);
  const attempt = (action: () => Promise<Done | undefined>) =>
    tried(action, (error) =>
      newerOf<{ last?: string } | null>(error)?.current?.last === undefined
        ? undefined
        : 'This is the only plan. Make another one first.',
    );

  const make = (name: string, country: PlanCountry) =>
    attempt(async () => {
      const groups = [{ id: crypto.randomUUID(), name: 'Channels', note: '' }];
      const document = {
        format: PLAN_FORMAT,
        id: crypto.randomUUID(),
        name,
        country,
        receivePolicy: 'closed',
        groups,
        channels: [],
      };
      const { id } = await call('POST /api/plans', {}, document);
      window.location.assign(`/plans/${id}`);
      return undefined;
    });
  /** Channels and groups get ids of their own, since these are in use. */
  const copy = ({ id, name }: PlanAtAGlance) =>
    attempt(async () => {
      const { plan } = await call('GET /api/plans/[planId]', { planId: id });
      const copyName = `${name.slice(0, 50)}, a copy`;
      const document = { ...plan, name: copyName, archived: false };
      const made = await call('POST /api/plans', {}, document);
      setPlans((now) => [
        ...now,
        {
          id: made.id,
          name: copyName,
          country: plan.country,
          channels: plan.channels.length,
          archived: false,
        },
      ]);
      return { text: `${copyName} is there, with all its channels. Give it a name of its own.` };
    });
  /** Changes a part of a plan from the state that is saved now. */
  const change = (id: string, part: Partial<PlanHead>, done: string) =>
    attempt(async () => {
      const { plan, version } = await call('GET /api/plans/[planId]', { planId: id });
      const value = { ...headOf(plan), ...part };
      const { editId } = await call('PUT /api/plans/[planId]', { planId: id }, { version, value });
      const { name = plan.name, archived = plan.archived } = part;
      setPlans((now) => now.map((one) => (one.id === id ? { ...one, name, archived } : one)));
      return { text: editId ? done : 'Nothing was different.', editId };
    });
  const remove = ({ id, name, channels }: PlanAtAGlance) => {
    const words = `Delete ${name} with its ${channels === 1 ? 'channel' : counted(channels, 'channel')}? It can be taken back under History for 30 days.`;
    if (!window.confirm(words)) return;
    void attempt(async () => {
      const { version } = await call('GET /api/plans/[planId]', { planId: id });
      const { editId } = await call('DELETE /api/plans/[planId]', { planId: id }, { version });
      if (id === props.planId) {
        window.location.assign('/');
        return undefined;
      }
      setPlans((now) => now.filter((one) => one.id !== id));
      return { text: `${name} is deleted.`, editId };
    });
  };
  return {
    ...props,
    plans,
    busy,
    make,
    copy,
    rename: ({ id }: PlanAtAGlance, name: string) => change(id, { name }, `It is called ${name} now.`),
    putAway: ({ id, name }: PlanAtAGlance, archived: boolean) =>
      change(id, { archived }, archived ? `${name} is put away.` : `${name} is in use again.`),
    remove,
  };
}
