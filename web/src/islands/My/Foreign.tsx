import type { CardSet } from '@umbrex/core/card';
import { useState } from 'react';
import { Keycaps } from '../../components/Keycaps';
import type { ForeignWork } from '../../contract/card';
import { airText } from '../../messages/card';
import { counted } from '../../messages/labels';
import { Button } from '../../ui/Button';
import { Form } from '../../ui/Form';
import { LabelledText } from '../../ui/LabelledText';
import type { Fitted, Read } from '../../workers/foreign.worker';
import { fetchForeign } from './hand';
import type { Hand } from './useHand';

/** A repeater that is in no plan, on this set, with or without a network: as one reads it in a listing, where it goes, the steps, and what to put back. */
export function Foreign({ hand, set }: { hand: Hand; set: CardSet }) {
  const [line, setLine] = useState('');
  const [work, setWork] = useState<ForeignWork | 'none' | null>(null);
  const [read, setRead] = useState<Read | null>(null);
  const [fitted, setFitted] = useState<Fitted | 'nowhere' | 'failed' | null>(null);
  const [busy, setBusy] = useState(false);

  const look = async (text: string) => {
    setLine(text);
    setBusy(true);
    setFitted(null);
    setRead(null);
    try {
      const known = work && work !== 'none' ? work : ((await fetchForeign(hand.whose, set.id)) ?? 'none');
      setWork(known);
      if (known === 'none') return;
      const { foreign } = await import('../../workers/foreignClient');
      const said = await foreign().read(text, known);
      setRead(said);
      if (said.channel) setFitted((await foreign().fit(said.channel, known)) ?? 'nowhere');
    } catch {
      setFitted('failed');
    } finally {
      setBusy(false);
    }
  };
  const open = read?.questions.filter(({ blocking }) => blocking) ?? [];
  return (
    <details className="mt-6 rounded border border-base-300 bg-base-100 px-3">
      <summary className="flex min-h-12 cursor-pointer items-center text-lg font-bold">
        A repeater that is not in the plan
      </summary>
      <Form className="space-y-2 pb-2" send={() => look(line)}>
        <LabelledText
          title="As the listing has it, with its input tone"
          value={line}
          set={setLine}
          most={200}
          isExact
          hint="Far Ness 462.700 rpt in 141.3"
          width="min-h-12 w-full"
        />
        <Button type="submit" className="btn btn-outline min-h-12 w-full" isOff={busy || line.trim() === ''}>
          {busy ? 'One moment' : 'Where does it go?'}
        </Button>
      </Form>
      <div aria-live="polite" className="pb-3">
        {work === 'none' && (
          <p>
            It cannot be worked out for this set here: its keys are not described, this link carries no tones,
            or it was not opened with a network yet.
          </p>
        )}
        {read?.questions.map((question) => (
          <div
            key={question.text}
            className="finding my-2"
            data-severity={question.blocking ? 'error' : 'note'}
          >
            <p>{question.text}</p>
            {question.offers.map((offer) => (
              <button
                key={offer.line}
                type="button"
                className="btn btn-outline mr-2 mt-1 min-h-12"
                onClick={() => void look(offer.line)}
              >
                {offer.label}
              </button>
            ))}
          </div>
        ))}
        {fitted === 'failed' && <p>It could not be worked out. Ask your coordinator.</p>}
        {fitted === 'nowhere' && (
          <p>{set.nickname} cannot take it: it has no place for it, or does not hear it.</p>
        )}
        {read?.channel && open.length === 0 && fitted !== null && typeof fitted === 'object' && (
          <Placed set={set} channel={read.channel} fitted={fitted} />
        )}
      </div>
    </details>
  );
}

function Placed({
  set,
  channel,
  fitted,
}: {
  set: CardSet;
  channel: NonNullable<Read['channel']>;
  fitted: Fitted;
}) {
  const { label, number, sends, why, proven, minutes, before, displaces, steps } = fitted;
  if (!proven && steps.length > 0)
    return (
      <p>
        It would go to place <strong className="font-mono">{label}</strong>, but its steps do not prove. Do
        not begin.
      </p>
    );
  return (
    <>
      <p>
        It goes to place <strong className="font-mono">{label}</strong> (number {number}).{' '}
        {sends
          ? 'Talk only where you are licensed and the repeater is open to you.'
          : 'With this set you only listen there.'}
      </p>
      <p className="muted font-mono text-small">
        {airText({
          ...channel,
          id: '',
          group: '',
          kind: 'repeater',
          isClosed: channel.receivePolicy === 'closed' && channel.receiveTone !== 'off',
          isSecret: false,
          number: null,
        })}
      </p>
      {why.map((text) => (
        <p key={text} className="text-plain">
          {text}
        </p>
      ))}
      {displaces.length > 0 && (
        <p className="finding" data-severity="warning">
          Until it is put back you are without {displaces.join(', ')}: this set has no other place.
        </p>
      )}
      <p>
        {before === 'nothing'
          ? 'Nothing stands there now by what is known; look that the set shows nothing.'
          : before === ''
            ? 'Nobody knows what stands there: look first, and write it down.'
            : `There stands now: ${before}.`}
      </p>
      {steps.length === 0 ? (
        <p>Nothing is to be done: it stands there already.</p>
      ) : (
        <>
          <Steps
            title={`${counted(steps.length, 'step')}, about ${counted(minutes, 'minute')}; tried on virtual sets`}
            steps={steps}
          />
          <Back fitted={fitted} set={set} />
        </>
      )}
    </>
  );
}

/** What is to be done once the journey is over. */
function Back({ fitted: { back, number, displaces }, set }: { fitted: Fitted; set: CardSet }) {
  if (back.is === 'steps')
    return (
      <details className="mt-3 border-t border-base-300">
        <summary className="flex min-h-12 cursor-pointer items-center font-semibold">
          To put back what stood there
        </summary>
        <Steps
          title={`${counted(back.steps.length, 'step')}, about ${counted(back.minutes, 'minute')}; tried on virtual sets, from what stands there once the steps above are done`}
          steps={back.steps}
        />
      </details>
    );
  return (
    <p className="mt-3 border-t border-base-300 pt-2">
      {displaces.length > 0
        ? `To put back: number ${number}, as the sheet of ${set.nickname} has it.`
        : back.is === 'stays'
          ? `To put back: no step is known that empties number ${number}. It stays until its set is loaded anew; do not talk on it where you have no leave.`
          : 'To put back: what you wrote down. Nobody knows what stood there, so there are no steps for it.'}
    </p>
  );
}

function Steps({ title, steps }: { title: string; steps: Fitted['steps'] }) {
  return (
    <>
      <h3 className="mt-2 font-semibold">{title}</h3>
      <ol className="mt-1 list-decimal space-y-2 pl-7">
        {steps.map((step, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: they are done in this order, and may be the same twice
          <li key={i} className="text-lg">
            <Keycaps keys={step.keys} /> <span className="text-plain">{step.says}</span>
            {step.shows.length > 0 && (
              <span className="lcd ml-2 whitespace-pre-wrap text-plain">{step.shows.join(' | ')}</span>
            )}
          </li>
        ))}
      </ol>
    </>
  );
}
