import type { SheetCost } from '@umbrex/core/publish';
import type { PublishView } from '../../contract/revisions';
import { dayText } from '../../messages/days';
import { counted } from '../../messages/labels';
import { blockerAddress, blockerText, CHOICE_TEXT } from '../../messages/revisions';
import { awayText, hoursText } from '../../messages/rollout';
import { Button } from '../../ui/Button';
import { Form } from '../../ui/Form';
import { LabelledCheck } from '../../ui/LabelledCheck';
import { LabelledDay } from '../../ui/LabelledDay';
import { LabelledText } from '../../ui/LabelledText';
import { Part } from '../../ui/Part';
import type { usePublishDesk } from './usePublishDesk';

type Desk = ReturnType<typeof usePublishDesk>;

/** Before publishing: what stops it, what it costs, which choices it makes; then the reason and the day. */
export function PublishDeskView(desk: Desk) {
  const { looked, look, giveUp, number } = desk;
  if (looked.state === 'not-yet' || looked.state === 'failed')
    return (
      <div>
        {looked.state === 'failed' && (
          <p className="finding mb-2" data-severity="error" role="alert">
            {looked.text}
          </p>
        )}
        <button type="button" className="btn btn-primary btn-sm" onClick={() => void look()}>
          What publishing revision {number} would take
        </button>
      </div>
    );
  if (looked.state === 'working')
    return (
      <p role="status" className="flex items-center gap-3">
        <progress className="progress w-40" aria-label="Making every sheet" />
        Making and trying the sheet of every set.
        <button type="button" className="btn btn-ghost btn-sm" onClick={giveUp}>
          Stop
        </button>
      </p>
    );
  return <Looked {...desk} view={looked.view} />;
}

function Looked(desk: Desk & { view: PublishView }) {
  const { view, mayPublish } = desk;
  return (
    <div className="space-y-5">
      <Costs {...desk} />
      <Blockers {...desk} />
      <Choices {...desk} />
      {mayPublish ? (
        <Decide {...desk} />
      ) : (
        <p className="muted">
          A coordinator publishes{view.blockers.length > 0 ? ', once nothing stops it' : ''}.
        </p>
      )}
    </div>
  );
}

/** The cost in one line, and under it which sets it is. */
function Costs({ view, planId, names }: Desk & { view: PublishView }) {
  const { cost, sheets } = view;
  const touched = sheets.filter(({ isTouched }) => isTouched);
  const again = touched.filter(({ isUpToDate }) => isUpToDate);
  const sum = (those: readonly SheetCost[], of: 'presses' | 'minutes') =>
    Math.ceil(those.reduce((all, sheet) => all + Math.ceil(sheet[of]), 0));
  const still = sheets.filter(({ isTouched, isBroken }) => !isTouched && !isBroken);
  return (
    <section aria-labelledby="cost">
      <h3 id="cost" className="font-bold">
        What it takes
      </h3>
      <p>
        {cost.touched === 0
          ? 'No set has to change.'
          : `${counted(cost.touched, 'set')} of ${cost.sets} ${cost.touched === 1 ? 'changes' : 'change'}, of ${counted(cost.people, 'person', 'people')}: ${counted(cost.presses, 'press', 'presses')}, about ${hoursText(cost.minutes)} in all at a calm pace.`}
      </p>
      {again.length > 0 && (
        <p>
          {again.length === 1 ? 'One of them is' : `${again.length} of them are`} up to date now, and would
          have to be loaded again for this: {counted(sum(again, 'presses'), 'press', 'presses')}, about{' '}
          {hoursText(sum(again, 'minutes'))}. The others wait for their sheets anyway.
        </p>
      )}
      {view.away.length > 0 && <p className="muted">{awayText(view.away.length).trim()}</p>}
      <Part title="Sets that change" state={counted(touched.length, 'set')}>
        <SetList {...{ planId, names }} sheets={touched} />
      </Part>
      <Part title="Sets that need nothing" state={counted(still.length, 'set')}>
        <SetList {...{ planId, names }} sheets={still} />
      </Part>
    </section>
  );
}

function SetList({
  sheets,
  planId,
  names,
}: Pick<Desk, 'planId' | 'names'> & { sheets: readonly SheetCost[] }) {
  if (sheets.length === 0) return <p className="muted">None.</p>;
  return (
    <ul className="columns-1 gap-6 text-plain sm:columns-2 xl:columns-3">
      {sheets.map(({ unitId, descriptionId, presses, minutes, isTouched }) => (
        <li key={unitId} className="break-inside-avoid py-0.5">
          <a className="link" href={`/plans/${planId}/sheets/${unitId}?of=draft`}>
            {names.units.get(unitId) ?? 'a set'}
          </a>{' '}
          <span className="muted text-small">
            {names.kinds.get(descriptionId)}
            {isTouched &&
              presses > 0 &&
              `, ${counted(presses, 'press', 'presses')}, ${Math.ceil(minutes)} min`}
          </span>
        </li>
      ))}
    </ul>
  );
}

function Blockers({
  view,
  names,
  planId,
  overruled,
  overrule,
  mayPublish,
  stopped,
}: Desk & { view: PublishView }) {
  if (view.blockers.length === 0)
    return (
      <section aria-labelledby="stops">
        <h3 id="stops" className="font-bold">
          Nothing stops it
        </h3>
      </section>
    );
  const open = stopped(view);
  return (
    <section aria-labelledby="stops">
      <h3 id="stops" className="font-bold">
        {view.blockers.length === 1 ? 'One thing stops it' : `${view.blockers.length} things stop it`}
        {open < view.blockers.length && `, ${open} of them not overruled`}
      </h3>
      <p className="muted text-plain">
        Mend it, or say why the plan is published all the same: the reason stands in the revision.
      </p>
      <ul className="mt-2 space-y-3">
        {view.blockers.map((blocker) => {
          const words = blockerText(blocker, names);
          return (
            <li key={blocker.mark} className="finding" data-severity="error">
              <p>
                {words}{' '}
                <a className="link" href={`/plans/${planId}${blockerAddress(blocker)}`}>
                  Look<span className="sr-only">: {words}</span>
                </a>
              </p>
              {mayPublish && (
                <div className="max-w-xl">
                  <LabelledText
                    title="Publish all the same, since"
                    value={overruled[blocker.mark] ?? ''}
                    set={(why) => overrule(blocker.mark, why)}
                  />
                  {view.before[blocker.mark] && !overruled[blocker.mark] && (
                    <p className="text-small">
                      With revision {view.after} it was: “{view.before[blocker.mark]}”.{' '}
                      <button
                        type="button"
                        className="link"
                        onClick={() => overrule(blocker.mark, view.before[blocker.mark] ?? '')}
                      >
                        That is still so<span className="sr-only">: {words}</span>
                      </button>
                    </p>
                  )}
                </div>
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}

function Choices({ view, decided, decide, mayPublish, planId }: Desk & { view: PublishView }) {
  return (
    <section aria-labelledby="choices">
      <h3 id="choices" className="font-bold">
        Choices that it makes for everybody
      </h3>
      <ul className="mt-1 space-y-2">
        {view.choices.map((one) => {
          const { title, values, why } = CHOICE_TEXT[one.choice];
          const said = (value: string) => values[value] ?? value;
          return (
            <li key={one.choice} className="border-t border-base-300 pt-1.5">
              <p>
                <span className="font-semibold">{title}:</span> {said(one.value)}.
              </p>
              <p className="muted text-small">
                {why(one)}{' '}
                {one.proposed === one.value ? (
                  'That speaks for it.'
                ) : (
                  <>
                    That speaks for “{said(one.proposed)}”; it is changed{' '}
                    <a className="link" href={`/plans/${planId}`}>
                      in the plan
                    </a>
                    .
                  </>
                )}
              </p>
              {one.decided ? (
                <p className="text-small">
                  Decided by {one.decided.by || 'somebody'} on {dayText(one.decided.day)}.
                </p>
              ) : (
                mayPublish && (
                  <LabelledCheck
                    className="text-small"
                    checked={decided.has(one.choice)}
                    set={(yes) => decide(one.choice, yes)}
                  >
                    Decided: it stays so<span className="sr-only"> ({title})</span>
                  </LabelledCheck>
                )
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}

function Decide(desk: Desk & { view: PublishView }) {
  const { view, number, reason, setReason, effectiveFrom, setEffectiveFrom, publish, busy, stopped } = desk;
  const open = stopped(view);
  const missing = reason.trim() === '';
  return (
    <Form className="max-w-xl space-y-3 border-t border-base-content/40 pt-4" send={() => publish(view)}>
      <LabelledText
        title="Why: what members should know of it"
        value={reason}
        set={setReason}
        help="As “The repeater on Gannet Top sends another tone since October.”"
      />
      <LabelledDay
        title="Sets should hold it from"
        value={effectiveFrom}
        set={setEffectiveFrom}
        width="w-44"
        isNeeded
      />
      <p className="flex flex-wrap items-center gap-3">
        <Button type="submit" className="btn btn-primary btn-sm" isOff={busy || missing || open > 0}>
          Publish revision {number}
        </Button>
        <span className="muted text-small">
          {open > 0
            ? `${counted(open, 'thing stops it', 'things stop it')} still.`
            : missing
              ? 'Say why first.'
              : 'A revision never changes; it can be withdrawn.'}
        </span>
      </p>
    </Form>
  );
}
