import type { QuestionId } from '@umbrex/core/interview';
import { Shape } from '../../components/Shape';
import { QUESTION_TEXT } from '../../messages/interview';
import { VERDICT_TEXT, VERDICTS } from '../../messages/verdicts';
import { Button } from '../../ui/Button';
import { LabelledSelect } from '../../ui/LabelledSelect';
import { LabelledText } from '../../ui/LabelledText';
import { QuestionPicture } from './QuestionPicture';
import type { useDescribeDesk } from './useDescribeDesk';

type Props = ReturnType<typeof useDescribeDesk>;

/** My radio: the pattern that behaves like it, a few questions, and at once what the plan comes to on it. */
export function DescribeDeskView(props: Props) {
  const { patterns, pattern, choosePattern, title, setTitle, answers, passed, next, takeBack, save, busy } =
    props;
  const said = [
    ...Object.entries(answers).map(([id, value]) => [id as QuestionId, value] as const),
    ...[...passed].map((id) => [id, undefined] as const),
  ];
  return (
    <div className="grid max-w-6xl gap-6 px-5 py-4 max-md:px-3 lg:grid-cols-[minmax(0,1fr)_20rem]">
      <div>
        <h1 className="text-xl font-bold">My radio</h1>
        <p className="muted mb-4 max-w-prose">
          A kind of set that is not in the list. Choose the one that behaves like it; then only what changes
          something in this plan is asked. What you do not know stays unknown.
        </p>
        <div className="grid gap-3 sm:grid-cols-2">
          <LabelledSelect
            title="It behaves like"
            value={pattern?.id ?? ''}
            options={patterns.map((one) => [one.id, one.pattern] as const)}
            set={choosePattern}
          />
          <LabelledText title="What you call it" value={title} set={setTitle} most={40} />
        </div>
        {next ? (
          <QuestionCard {...props} next={next} n={said.length + 1} />
        ) : (
          <p className="mt-5 rounded border border-base-300 bg-base-100 p-4" role="status">
            Nothing else that is asked would change a verdict in this plan.
          </p>
        )}
        {said.length > 0 && (
          <section className="mt-5">
            <h2 className="font-bold">So far</h2>
            <ul>
              {said.map(([id, value]) => (
                <li key={id} className="flex flex-wrap items-center gap-x-3 border-b border-base-300 py-1">
                  <span className="grow">
                    {QUESTION_TEXT[id].ask}{' '}
                    <strong>{value === undefined ? 'not known' : QUESTION_TEXT[id].answers[value]}</strong>
                  </span>
                  <button
                    type="button"
                    className="btn btn-ghost btn-xs"
                    aria-label={`Ask again: ${QUESTION_TEXT[id].ask}`}
                    onClick={() => takeBack(id)}
                  >
                    Ask again
                  </button>
                </li>
              ))}
            </ul>
          </section>
        )}
        <p className="mt-5 flex flex-wrap items-center gap-3">
          <Button
            type="button"
            className="btn btn-primary btn-sm"
            isOff={!pattern || title.trim() === '' || busy}
            onClick={() => void save()}
          >
            Add this kind
          </Button>
          <span className="muted text-plain">
            It gets a card of values; its keys can be described later, in its file.
          </span>
        </p>
      </div>
      <Outcome {...props} />
    </div>
  );
}

function QuestionCard({ next, n, answer, pass }: Props & { next: NonNullable<Props['next']>; n: number }) {
  const { ask, look, answers } = QUESTION_TEXT[next.id];
  return (
    <section className="mt-5 rounded border border-base-content bg-base-100 p-4" aria-live="polite">
      <p className="muted text-small">
        Question {n}
        {next.decides > 0
          ? `, decides ${next.decides === 1 ? 'one channel' : `${next.decides} channels`}`
          : ', needed before others can be decided'}
      </p>
      <div className="mb-3 flex items-start justify-between gap-5">
        <div>
          <h2 className="text-lg font-bold">{ask}</h2>
          <p>{look}</p>
        </div>
        <QuestionPicture id={next.id} />
      </div>
      <div className="flex flex-wrap gap-2">
        {next.answers.map((value) => (
          <button
            key={value}
            type="button"
            className="btn btn-outline btn-sm"
            onClick={() => answer(next.id, value)}
          >
            {answers[value]}
          </button>
        ))}
        <button type="button" className="btn btn-ghost btn-sm" onClick={() => pass(next.id)}>
          I do not know
        </button>
      </div>
    </section>
  );
}

function Outcome({ standing, plan }: Props) {
  const name = new Map(plan.channels.map((channel) => [channel.id, channel.name]));
  return (
    <aside aria-label="What comes of it" className="lg:border-l lg:border-base-300 lg:pl-5">
      <h2 className="font-bold">In this plan</h2>
      {standing &&
        VERDICTS.map((verdict) => {
          const ids = [...standing.verdicts].filter(([, found]) => found === verdict).map(([id]) => id);
          if (ids.length === 0) return null;
          return (
            <details key={verdict} className="border-b border-base-300 py-1.5">
              <summary className="cursor-pointer">
                <span className="inline-flex items-center gap-2">
                  <Shape verdict={verdict} /> <strong className="font-mono">{ids.length}</strong>{' '}
                  {VERDICT_TEXT[verdict].word}
                </span>
              </summary>
              <p className="muted mt-1 text-plain">{ids.map((id) => name.get(id)).join(', ')}</p>
            </details>
          );
        })}
      {standing?.verdicts.size === 0 && <p className="muted">The plan has no channels yet.</p>}
    </aside>
  );
}
