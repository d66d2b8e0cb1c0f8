import type { QuestionId } from '@umbrex/core/interview';
import { type ReactNode, useState } from 'react';
import type { EnrolKind, Enrolment } from '../../contract/roster';
import { HOLDS_TEXT } from '../../messages/enrol';
import { QUESTION_TEXT } from '../../messages/interview';
import { Button } from '../../ui/Button';
import { Form } from '../../ui/Form';
import { fieldsOf } from '../../ui/fields';
import { guarded } from '../../ui/guarded';
import { LabelledDay } from '../../ui/LabelledDay';
import { LabelledSelect } from '../../ui/LabelledSelect';
import { LabelledText } from '../../ui/LabelledText';
import { call } from '../desk/api';
import { Fault } from '../SignIn/fields';
import { accessFault } from '../SignIn/words';

type Holds = NonNullable<Enrolment['licence']>['holds'];
interface Props {
  token: string;
  name: string;
  kinds: readonly EnrolKind[];
}
const NOTHING = '';
const OWN = 'none of these';
const SERVICES = [
  ['GMRS', 'GMRS'],
  ['amateur', 'amateur'],
  ['business', 'business'],
  ['marine', 'marine'],
  ['another', 'another'],
] as const;

/** What a holder has said so far. */
function useEnrolment({ token, name, kinds }: Props) {
  const [said, setSaid] = useState({
    kind: NOTHING,
    like: kinds[0]?.id ?? '',
    title: '',
    answers: {} as Partial<Record<QuestionId, string>>,
    serial: '',
    nickname: `${name.split(' ')[0]}’s radio`.slice(0, 40),
    firmware: '',
    batteryChanged: '',
    keeps: '',
    holds: NOTHING as Holds | typeof NOTHING,
    service: 'GMRS' as string,
    callSign: '',
    expires: '',
  });
  const [fault, setFault] = useState<string | null>(null);
  const [state, setState] = useState<'writing' | 'sending' | 'done'>('writing');
  const set = (part: Partial<typeof said>) => setSaid((now) => ({ ...now, ...part }));
  const isOwn = said.kind === OWN;
  const missing = [
    said.kind === NOTHING && 'which one yours is',
    isOwn && !said.title.trim() && 'what is written on it',
    !said.serial.trim() && 'its serial number',
    !said.nickname.trim() && 'what you call it',
  ].filter((what) => what !== false);
  const send = async () => {
    if (missing.length > 0) return setFault(`Still to say: ${missing.join(', ')}.`);
    setFault(null);
    setState('sending');
    const { kind, like, title, answers, holds, service, callSign, expires, batteryChanged, ...rest } = said;
    try {
      await call(
        'POST /api/enrol/[token]',
        { token },
        {
          ...rest,
          descriptionId: isOwn ? like : kind,
          own: isOwn ? { title, answers } : null,
          licence:
            holds === NOTHING
              ? null
              : holds === 'none'
                ? { holds, service: '', callSign: '', expires: 'unknown' }
                : { holds, service, callSign, expires: expires || 'unknown' },
          batteryChanged: batteryChanged || 'unknown',
        },
      );
      setState('done');
    } catch (error) {
      setFault(accessFault(error));
      setState('writing');
    }
  };
  return { said, set, field: fieldsOf(said, set), isOwn, fault, state, send, kinds, name };
}
type State = ReturnType<typeof useEnrolment>;

/** A holder tells of their own set: which kind it is, the serial, four questions that may stay unanswered, and a licence. */
function EnrolIsland(props: Props) {
  const enrolment = useEnrolment(props);
  const { field, isOwn, fault, state, send, name } = enrolment;
  if (state === 'done')
    return (
      <p className="finding" data-severity="note" role="status">
        Thank you. Your coordinator looks at it and sends you your steps. You can close this page.
      </p>
    );
  return (
    <Form className="space-y-3" send={() => send()}>
      <p>Hello {name}. What you do not know, leave empty.</p>
      <Kinds {...enrolment} />
      {isOwn && <OwnKind {...enrolment} />}
      <LabelledText title="Serial number, from the label" {...field('serial')} most={40} />
      <LabelledText title="1. What do you call it?" {...field('nickname')} most={40} />
      <LabelledText
        title="2. What does it show when you turn it on?"
        {...field('firmware')}
        help="Often a short number such as 1.06."
        most={20}
      />
      <LabelledDay title="3. When was its battery changed?" {...field('batteryChanged')} />
      <LabelledText
        title="4. Which of its numbers do you want to keep for yourself?"
        {...field('keeps')}
        help="For example 40-44, 60. Nothing is written there."
        most={120}
      />
      <LicencePart {...enrolment} />
      <Fault text={fault} />
      <Button type="submit" className="btn btn-primary btn-sm" isOff={state === 'sending'}>
        Send it
      </Button>
    </Form>
  );
}

function Kinds({ kinds, said, set }: State) {
  const choice = (id: string, title: string, looks: string): ReactNode => (
    <label
      key={id}
      className="flex min-h-11 cursor-pointer items-start gap-2 border-b border-base-300 py-1.5"
    >
      <input
        type="radio"
        className="radio radio-sm mt-0.5"
        name="kind"
        value={id}
        checked={said.kind === id}
        onChange={() => set({ kind: id })}
      />
      <span>
        <strong>{title}</strong>
        <span className="muted block text-small">{looks}</span>
      </span>
    </label>
  );
  return (
    <fieldset>
      <legend className="font-semibold">Which one is yours?</legend>
      <div className="max-h-96 overflow-y-auto rounded border border-base-300 px-2">
        {kinds.map(({ id, title, looks }) => choice(id, title, looks))}
        {choice(OWN, 'None of these', 'Then a few questions more; what you do not know stays open.')}
      </div>
    </fieldset>
  );
}

function OwnKind({ kinds, said, set, field }: State) {
  const like = kinds.find(({ id }) => id === said.like);
  return (
    <fieldset className="space-y-2 rounded border border-base-300 p-3">
      <legend className="px-1 font-semibold">About yours</legend>
      <LabelledText
        title="What is written on it?"
        {...field('title')}
        help="The name of the model, as on its front or its label."
        most={40}
      />
      <LabelledSelect
        title="Which one is it most like?"
        value={said.like}
        options={kinds.map(({ id, title }) => [id, title] as const)}
        set={(id) => set({ like: id, answers: {} })}
      />
      {like && <p className="muted text-small">{like.looks}</p>}
      {like?.questions.map((id) => {
        const { ask, look, answers } = QUESTION_TEXT[id];
        return (
          <div key={id}>
            <LabelledSelect
              title={ask}
              value={said.answers[id] ?? NOTHING}
              options={[[NOTHING, 'I do not know'], ...Object.entries(answers)]}
              set={(value) => {
                const { [id]: _, ...others } = said.answers;
                set({ answers: value === NOTHING ? others : { ...others, [id]: value } });
              }}
            />
            <p className="muted text-tiny">{look}</p>
          </div>
        );
      })}
    </fieldset>
  );
}

function LicencePart({ said, field }: State) {
  return (
    <fieldset className="space-y-2 rounded border border-base-300 p-3">
      <legend className="px-1 font-semibold">Your licence</legend>
      <LabelledSelect
        title="Have you a licence to send?"
        {...field('holds')}
        options={[
          [NOTHING, 'I do not know'],
          ...(Object.entries(HOLDS_TEXT) as (readonly [Holds, string])[]),
        ]}
      />
      {said.holds !== NOTHING && said.holds !== 'none' && (
        <>
          <LabelledSelect title="For what" {...field('service')} options={SERVICES} />
          <LabelledText title="Call sign" {...field('callSign')} most={12} />
          <LabelledDay title="Good until" {...field('expires')} />
        </>
      )}
      <p className="muted text-small">
        Until your coordinator has looked at it and written it down, it counts for nothing. Do not send where
        a licence is needed and you have none.
      </p>
    </fieldset>
  );
}

export const Enrol = guarded('Enrol', EnrolIsland);
