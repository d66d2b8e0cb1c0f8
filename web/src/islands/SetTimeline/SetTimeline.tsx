import { type Checked, checksOf, conditionOf, onLoan, preparations } from '@umbrex/core/evidence';
import { type CheckKind, CONDITIONS, PREPARATIONS, type Unit } from '@umbrex/core/model';
import { type ReactNode, useState } from 'react';
import type { Seen } from '../../contract/revisions';
import type { Versioned } from '../../contract/things';
import {
  CHECK_CHOICES,
  CONDITION_TEXT,
  PREPARED_TEXT,
  RESULT_TEXT,
  timelineEntries,
} from '../../messages/rollout';
import { Button } from '../../ui/Button';
import { Form } from '../../ui/Form';
import { guarded } from '../../ui/guarded';
import { LabelledSelect } from '../../ui/LabelledSelect';
import { LabelledText } from '../../ui/LabelledText';
import { Part } from '../../ui/Part';
import { call } from '../desk/api';
import { useSet } from '../desk/setStore';
import { useAttempt } from '../desk/useAttempt';
import { type Trial, type TrialNow, Trials } from './Trials';

interface Props {
  readonly planId: string;
  readonly initial: Versioned<Unit>;
  /** What is to be tried on it once it holds what it shall, and what is left out of that. */
  readonly trials: readonly Trial[];
  readonly leftOut: string;
  /** Plans by their ids. */
  readonly planNames: Readonly<Record<string, string>>;
  readonly mayEdit: boolean;
  readonly today: string;
}
/** What somebody says, of the day it is. */
type Say = (seen: Seen, text: string) => Promise<boolean>;

/** What was seen and done with one set, newest first; and what can be said of it. */
function SetTimelineIsland({ planId, initial, trials, leftOut, planNames, mayEdit, today }: Props) {
  const [{ value: unit, version }, setSet] = useSet(initial);
  const { busy, attempt } = useAttempt(
    'Something of this set was changed meanwhile. Load the page again, then say it once more.',
  );
  const say: Say = (seen, text) =>
    attempt(async () => {
      const sets = [{ id: unit.id, version }];
      const { editId, set } = await call('POST /api/plans/[planId]/seen', { planId }, { sets, seen });
      if (set) setSet(set);
      return { text: `${unit.nickname}: ${text}.`, editId };
    });
  const entries = timelineEntries(unit, new Map(Object.entries(planNames)));
  const checks = checksOf(unit, today);
  const saying = { unit, checks, say, busy, today };
  const old = checks.filter(({ isOld }) => isOld);
  return (
    <section className="mt-6 max-w-3xl" aria-labelledby="timeline">
      <h2 id="timeline" className="text-lg font-bold">
        What was seen and done
      </h2>
      {old.length > 0 && (
        <p className="finding text-plain" data-severity="warning">
          Long ago: {old.map(({ check }) => CHECK_CHOICES.find(([id]) => id === check)?.[1]).join(', ')}. Try
          it again.
        </p>
      )}
      {entries.length === 0 ? (
        <p className="muted">Nothing is written down yet.</p>
      ) : (
        <ol className="mt-1">
          {entries.map(({ id, text, when, isAboutMemory }) => (
            <li key={id} className="border-t border-base-300 py-1">
              <span className={isAboutMemory ? 'font-semibold' : ''}>{text}</span>{' '}
              <span className="muted text-small">{when}</span>
            </li>
          ))}
        </ol>
      )}
      {mayEdit && (
        <div className="print-hide mt-3 space-y-2">
          <Prepare {...saying} />
          <Verify {...saying} {...{ trials, leftOut }} />
          <Check {...saying} />
          <Lend {...saying} />
          <LostOrBroken {...saying} />
          <Backup {...saying} />
        </div>
      )}
    </section>
  );
}

interface Saying {
  readonly unit: Unit;
  readonly checks: readonly Checked[];
  readonly say: Say;
  readonly busy: boolean;
  readonly today: string;
}

/** What is made ready before somebody works on it. */
function Prepare({ unit, say, busy, today }: Saying) {
  const prepared = preparations(unit);
  return (
    <Part title="Before the work" state={`${prepared.size} of ${PREPARATIONS.length} ready`}>
      <div className="flex flex-wrap gap-2">
        {PREPARATIONS.map((done) =>
          prepared.has(done) ? (
            <span key={done} className="px-2 leading-8">
              {PREPARED_TEXT[done]}: yes
            </span>
          ) : (
            <Button
              key={done}
              type="button"
              className="btn btn-outline btn-sm"
              isOff={busy}
              onClick={() => void say({ what: 'prepared', done, day: today, by: '' }, PREPARED_TEXT[done])}
            >
              {PREPARED_TEXT[done]}
            </Button>
          ),
        )}
      </div>
    </Part>
  );
}

/** The checks that its kind and its places ask for, one press each. */
function Verify({ trials, leftOut, checks, say, busy, today }: Saying & Pick<Props, 'trials' | 'leftOut'>) {
  if (trials.length === 0) return null;
  const rows = trials.map((trial): TrialNow => {
    const found = checks.find(({ check, number }) => check === trial.check && number === trial.number);
    return { ...trial, result: found?.evidence.result ?? null, isOld: found?.isOld ?? false };
  });
  const passed = rows.filter(({ result, isOld }) => result === 'pass' && !isOld).length;
  return (
    <Part title="What to try" state={`${passed} of ${trials.length} as they should be`}>
      <Trials
        {...{ rows, leftOut, busy }}
        say={({ check, number, title }, result) =>
          void say(
            { what: 'checked', check, number, result, note: '', day: today, by: '' },
            `${title}: ${RESULT_TEXT[result]}`,
          )
        }
      />
    </Part>
  );
}

function Check({ checks, say, busy, today }: Saying) {
  const [check, setCheck] = useState<CheckKind>('read-back');
  const [result, setResult] = useState<keyof typeof RESULT_TEXT>('undecided');
  const [note, setNote] = useState('');
  const passed = checks.filter(({ evidence }) => evidence.result === 'pass').length;
  return (
    <Part
      title="Another check"
      state={checks.length === 0 ? 'none yet' : `${passed} of ${checks.length} as they should be`}
    >
      <Line
        send={() =>
          void say(
            { what: 'checked', check, number: null, result, note, day: today, by: '' },
            'the check is written down',
          )
        }
        busy={busy}
      >
        <LabelledSelect
          title="What was tried"
          value={check}
          options={CHECK_CHOICES}
          set={setCheck}
          width="w-72"
        />
        <LabelledSelect
          title="How it was"
          value={result}
          options={Object.entries(RESULT_TEXT) as [keyof typeof RESULT_TEXT, string][]}
          set={setResult}
          width="w-52"
        />
        <LabelledText title="A word on it" value={note} set={setNote} most={200} />
      </Line>
    </Part>
  );
}

function Lend({ unit, say, busy, today }: Saying) {
  const lentTo = onLoan(unit)?.to;
  const [to, setTo] = useState('');
  if (lentTo !== undefined)
    return (
      <Part title="On loan" state={`to ${lentTo}`}>
        <Button
          type="button"
          className="btn btn-outline btn-sm"
          isOff={busy}
          onClick={() => void say({ what: 'returned', day: today, by: '' }, 'it is back')}
        >
          It came back
        </Button>
      </Part>
    );
  return (
    <Part title="On loan" state="no">
      <Line
        send={() => void say({ what: 'lent', to: to.trim(), day: today, by: '' }, `lent to ${to.trim()}`)}
        busy={busy || to.trim() === ''}
      >
        <LabelledText title="To whom" value={to} set={setTo} most={60} />
      </Line>
    </Part>
  );
}

/** Whether it is there at all. */
function LostOrBroken({ unit, say, busy, today }: Saying) {
  const { is } = conditionOf(unit);
  return (
    <Part title="Lost or broken" state={is === 'well' ? 'no' : CONDITION_TEXT[is]}>
      <div className="flex flex-wrap gap-2">
        {CONDITIONS.filter((one) => one !== is).map((one) => (
          <Button
            key={one}
            type="button"
            className="btn btn-outline btn-sm"
            isOff={busy}
            onClick={() =>
              void say({ what: 'condition', is: one, note: '', day: today, by: '' }, CONDITION_TEXT[one])
            }
          >
            {CONDITION_TEXT[one]}
          </Button>
        ))}
      </div>
    </Part>
  );
}

/** What it held before somebody works on it: where that is kept. */
function Backup({ say, busy, today }: Saying) {
  const [how, setHow] = useState<'photographed' | 'read'>('photographed');
  const [where, setWhere] = useState('');
  return (
    <Part title="What it held before" state="kept where somebody finds it">
      <Line
        send={() =>
          void say(
            { what: 'backup', how, where: where.trim(), day: today, by: '' },
            'it is written down where that is',
          )
        }
        busy={busy || where.trim() === ''}
      >
        <LabelledSelect
          title="How"
          value={how}
          options={[
            ['photographed', 'photographed'],
            ['read', 'read by a cable'],
          ]}
          set={setHow}
          width="w-44"
        />
        <LabelledText title="Where it is kept" value={where} set={setWhere} most={120} />
      </Line>
    </Part>
  );
}

function Line({ send, busy, children }: { send: () => void; busy: boolean; children: ReactNode }) {
  return (
    <Form className="flex flex-wrap items-end gap-3" send={() => send()}>
      {children}
      <Button type="submit" className="btn btn-primary btn-sm" isOff={busy}>
        Write it down
      </Button>
    </Form>
  );
}

export const SetTimeline = guarded('SetTimeline', SetTimelineIsland);
