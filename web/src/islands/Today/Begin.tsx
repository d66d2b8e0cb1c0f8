import type { PlanCountry } from '@umbrex/core/facts';
import { headOf } from '@umbrex/core/model';
import { useState } from 'react';
import { countryChoices } from '../../messages/countries';
import { Button } from '../../ui/Button';
import { guarded } from '../../ui/guarded';
import { LabelledSelect } from '../../ui/LabelledSelect';
import { call, failureText } from '../desk/api';
import { $notice } from '../desk/deskStore';

interface Props {
  planId: string;
  country: PlanCountry;
  channels: number;
  units: number;
  firstUnitId: string | null;
}

/** An empty workspace: three ways to a first channel, then the set one holds, then its sheet. */
function BeginIsland({ planId, country, channels, units, firstUnitId }: Props) {
  const [busy, setBusy] = useState(false);
  const example = async () => {
    setBusy(true);
    try {
      const { id } = await call('POST /api/example', {}, {});
      window.location.assign(`/plans/${id}`);
    } catch (error) {
      $notice.set({ text: failureText(error), kind: 'failed' });
      setBusy(false);
    }
  };
  const saveCountry = async (said: PlanCountry) => {
    try {
      const { plan, version } = await call('GET /api/plans/[planId]', { planId });
      const value = { ...headOf(plan), country: said };
      await call('PUT /api/plans/[planId]', { planId }, { version, value });
      window.location.reload();
    } catch (error) {
      $notice.set({
        text: failureText(error, 'Somebody changed the plan meanwhile. Load the page again.'),
        kind: 'failed',
      });
    }
  };
  const step = country === 'unknown' ? 1 : channels === 0 ? 2 : units === 0 ? 3 : 4;
  return (
    <section className="mb-6 rounded border border-base-content bg-base-100 p-5">
      <h2 className="text-lg font-bold">To a first sheet in five minutes</h2>
      <ol className="mt-3 space-y-4">
        <Step n={1} now={step} title="Where you are">
          <p>Whose rules the plan follows decides who may send where, and how a listing is read.</p>
          <LabelledSelect
            title="Whose rules"
            value={country}
            options={countryChoices(country)}
            set={(said) => void saveCountry(said)}
            width="w-72"
          />
        </Step>
        <Step n={2} now={step} title="A channel or two">
          <p>Write one as a listing says it, or paste a whole listing: both go into the line above.</p>
          <p className="mt-2 flex flex-wrap gap-2">
            <button
              type="button"
              className="btn btn-primary btn-sm"
              onClick={() => document.dispatchEvent(new CustomEvent('umbrex:entry'))}
            >
              Write or paste
            </button>
            <a className="btn btn-outline btn-sm" href={`/plans/${planId}/directory`}>
              Look in a directory
            </a>
            <Button
              type="button"
              className="btn btn-outline btn-sm"
              isOff={busy}
              onClick={() => void example()}
            >
              {busy ? 'Loading…' : 'Look at an example first'}
            </Button>
          </p>
        </Step>
        <Step n={3} now={step} title="The set you hold">
          <p>Choose the kind that behaves like yours, and give it a name.</p>
          <a className="btn btn-outline btn-sm mt-2" href={`/plans/${planId}/devices`}>
            To the devices
          </a>
        </Step>
        <Step n={4} now={step} title="Its sheet">
          <p>The steps for this very set, rehearsed before you see them.</p>
          {firstUnitId && channels > 0 && (
            <a className="btn btn-primary btn-sm mt-2" href={`/plans/${planId}/sheets/${firstUnitId}`}>
              To the sheet
            </a>
          )}
        </Step>
      </ol>
    </section>
  );
}

function Step({
  n,
  now,
  title,
  children,
}: {
  n: number;
  now: number;
  title: string;
  children: React.ReactNode;
}) {
  return (
    <li className={`flex gap-3 ${n === now ? '' : 'muted'}`} aria-current={n === now ? 'step' : undefined}>
      <span className="font-mono text-lg font-bold">{n < now ? '✓' : n}</span>
      <div>
        <h3 className="font-semibold">
          {title}
          {n < now && <span className="sr-only">, done</span>}
        </h3>
        {n >= now && children}
      </div>
    </li>
  );
}

export const Begin = guarded('Begin', BeginIsland);
