import type { Finding } from '@umbrex/core/findings';
import { type ReactNode, useId } from 'react';
import { FindingItem } from '../../components/FindingItem';
import { counted } from '../../messages/labels';
import { Button } from '../../ui/Button';
import { LabelledLines } from '../../ui/LabelledLines';
import { LabelledText } from '../../ui/LabelledText';
import type { useRecordDesk } from './useRecordDesk';

type Props = ReturnType<typeof useRecordDesk>;

const HOW =
  'One line for each thing you do: the keys, an arrow ->, and what the set then surely shows. ▲ x3 is three presses, LIST (2 s) a key held for two seconds. Leave out what you did not see.';

/** What is wrong with the head of a recording, in words. */
const HEAD_FAULTS = [
  { path: '/by', says: 'Write who did it.' },
  { path: '/on', says: 'Write the day as 2026-11-25.' },
  { path: '/firmware', says: 'Write the firmware as the set shows it, or unknown.' },
  { path: '/startNumber', says: 'Write the memory number it stood on, one that this kind of set has.' },
  { path: '/number', says: 'Write the memory number you went to, one that this kind of set has.' },
  { path: '/waitsS', says: 'Write whole seconds, 1 to 600, or leave it empty.' },
  { path: '/letterWheel', says: 'Write the wheel’s characters in its order, two at least.' },
  {
    path: '/again/startNumber',
    says: 'Write the number it stood on the second time, one that this kind of set has.',
  },
  {
    path: '/again/number',
    says: 'Write the number you went to the second time, one that this kind of set has.',
  },
  { path: '/opposite', says: 'Write two keys with a space between, as ▲ ▼; more pairs after a comma.' },
] as const;

/** Steps written down once with a set in hand, task by task; below each task what is wrong with it, and last what comes of all. */
export function RecordDeskView(props: Props) {
  const { description, head, setHead, place, setPlace, tasks, written, outcome, save, isBusy } = props;
  const text = (key: keyof typeof head, title: string, help?: string) => (
    <LabelledText
      title={title}
      value={head[key]}
      set={(value) => setHead({ ...head, [key]: value })}
      most={60}
      {...(help !== undefined && { help })}
    />
  );
  const at = (prefix: string) =>
    outcome.findings.filter(({ path = '' }) => `${path}/`.startsWith(`${prefix}/`));
  const faults = HEAD_FAULTS.filter(({ path }) => at(path).length > 0);
  const shown = new Set([
    ...HEAD_FAULTS.flatMap(({ path }) => at(path)),
    ...at('/place'),
    ...at('/letters'),
    ...written.fields.flatMap((_, i) => at(`/fields/${i}`)),
    ...written.settings.flatMap((_, i) => at(`/settings/${i}`)),
    ...at('/again'),
  ]);
  const rest = outcome.findings.filter((finding) => !shown.has(finding));
  return (
    <div className="space-y-5">
      <p className="mt-2 max-w-3xl">
        Take a set in hand and do each task once, from rest back to rest, and write down what you press and
        see. Its sheets are made of that for every channel, and each is replayed on a virtual set that knows
        only what you wrote. Do not transmit: keep off the talk key.
      </p>
      <section className="grid gap-3 sm:grid-cols-3">
        {text('by', 'Who did it')}
        {text('on', 'On', 'As 2026-11-25.')}
        {text('firmware', 'Firmware the set shows')}
        {text('startNumber', 'Number it stood on')}
        {text('number', 'Number you went to', 'Best an empty place, so that nothing is lost.')}
        {text('waitsS', 'Waits for the next key, seconds', 'Empty where nobody counted.')}
        {text('opposite', 'Keys that turn the two ways', 'As ▲ ▼; empty where only one was tried.')}
        {props.named &&
          text(
            'letterWheel',
            'Characters of the wheel for names',
            'In its order, with the blank; empty where names are tapped.',
          )}
      </section>
      {faults.map(({ path, says }) => (
        <p key={path} className="finding text-plain" data-severity="error" role="alert">
          {says}
        </p>
      ))}
      <p className="muted max-w-3xl text-plain">{HOW}</p>
      <Task
        title="Go to that number"
        value={place}
        set={setPlace}
        findings={at('/place')}
        sample="045 -> 045"
      />
      {tasks.map((task) => (
        <ValueTask
          key={task.id}
          task={task}
          text={props.textOf(task.id)}
          set={(change) => props.setText(task.id, change)}
          findings={task.index < 0 ? [] : at(`/${task.id.split('/')[0]}/${task.index}`)}
        />
      ))}
      {props.named && (
        <>
          <Task
            title="Letters of the keys, where the name was tapped"
            value={props.letters}
            set={props.setLetters}
            findings={[]}
            sample={'2 ABC2\n3 DEF3'}
          />
          {at('/letters').length > 0 && (
            <p className="finding text-plain" data-severity="error" role="alert">
              Write a key, a blank, and its letters in their order, as 2 ABC2; one key a line.
            </p>
          )}
        </>
      )}
      <Again {...props} at={at} text={text} />
      <section className="rounded border border-base-300 bg-base-100 p-4" aria-live="polite">
        <h2 className="font-bold">What comes of it</h2>
        {written.place.length === 0 && <p>Nothing is written down yet.</p>}
        {rest.length > 0 && (
          <ul className="mt-1 space-y-1">
            {rest.map((finding) => (
              <FindingItem key={`${finding.code} ${finding.path}`} finding={finding} />
            ))}
          </ul>
        )}
        {outcome.findings.length > rest.length && <p>Something above does not go together yet.</p>}
        {outcome.sheet && (
          <>
            <p>
              The steps give back what you wrote, key by key. A sheet for this plan has {outcome.sheet.steps}{' '}
              steps and {counted(outcome.sheet.presses, 'press', 'presses')}
              {outcome.sheet.isProven ? ', and comes out as planned on what was learnt.' : '.'}
            </p>
            <p>
              {outcome.sheet.tried === 0
                ? 'Nothing was recorded a second time: its sheets will say “learnt, not tried”.'
                : `${outcome.sheet.tried === 1 ? 'One task' : `${outcome.sheet.tried} tasks`} of the second time came out of it: its sheets will say “learnt, tried on ${outcome.sheet.tried}”.`}
            </p>
            {outcome.sheet.missing.length > 0 && (
              <p className="finding mt-1" data-severity="warning">
                Not recorded yet, but needed by the plan: {outcome.sheet.missing.join(', ')}. Until then its
                sheets are not ready.
              </p>
            )}
          </>
        )}
        <Button
          type="button"
          className="btn btn-primary btn-sm mt-3"
          isOff={!outcome.sheet || isBusy}
          onClick={() => void save()}
        >
          {isBusy ? 'Saving…' : `Save the steps of the ${description.title}`}
        </Button>
      </section>
    </div>
  );
}

interface AgainProps extends Props {
  at: (prefix: string) => Finding[];
  text: (key: 'againStart' | 'againNumber', title: string, help?: string) => ReactNode;
}

/** The same tasks done once more, elsewhere and with other values: what was learnt is tried on them. */
function Again({ at, text, ...props }: AgainProps) {
  const recorded = props.tasks.filter(({ index }) => index >= 0);
  return (
    <details
      open={props.written.again !== undefined}
      className="rounded border border-base-300 bg-base-100 p-4"
    >
      <summary className="cursor-pointer text-lg font-bold">A second time, with other values</summary>
      <p className="mt-1 max-w-3xl">
        Go to another place, one that is used, and set other values than above. Nothing is learnt from this:
        what was learnt above is tried on it, line by line, and each sheet says on how many tasks.
      </p>
      <div className="mt-3 grid gap-3 sm:grid-cols-3">
        {text('againStart', 'Number it stood on then')}
        {text('againNumber', 'Number you went to then', 'Best in another bank, where it has banks.')}
      </div>
      <Task
        title="Go to that number, the second time"
        value={props.againPlace}
        set={props.setAgainPlace}
        findings={at('/again/place')}
        sample="112 -> 112"
      />
      <div className="mt-3 space-y-3">
        {recorded.map((task) => (
          <ValueTask
            key={task.id}
            task={{ ...task, title: `${task.title}, the second time` }}
            text={props.textOf(`again/${task.id}`)}
            set={(change) => props.setText(`again/${task.id}`, change)}
            findings={task.againIndex < 0 ? [] : at(`/again/${task.id.split('/')[0]}/${task.againIndex}`)}
          />
        ))}
      </div>
      {recorded.length === 0 && <p className="muted mt-2">Write something down above first.</p>}
    </details>
  );
}

interface ValueProps {
  task: Props['tasks'][number];
  text: ReturnType<Props['textOf']>;
  set: (change: Partial<ReturnType<Props['textOf']>>) => void;
  findings: readonly Finding[];
}

/** A field of a place, or a setting of the whole set: from what to what, and the keys for it. */
function ValueTask({ task, text, set, findings }: ValueProps) {
  const listId = useId();
  const value = (key: 'from' | 'to', title: string) => (
    <LabelledText
      title={title}
      value={text[key]}
      list={task.values ? listId : undefined}
      most={40}
      isExact
      set={(typed) => set({ [key]: typed })}
    />
  );
  return (
    <details open={text.lines !== ''} className="rounded border border-base-300 p-3">
      <summary className="cursor-pointer font-bold">
        {task.title}
        <span className="muted ml-2 text-small font-normal">
          {text.lines === '' ? 'not recorded' : `${text.lines.trim().split('\n').length} lines`}
        </span>
      </summary>
      {task.values && (
        <datalist id={listId}>
          {task.values.map((shown) => (
            <option key={shown} value={shown} />
          ))}
        </datalist>
      )}
      <div className="mt-2 grid gap-3 sm:grid-cols-2">
        {value('from', task.isFrequency ? 'From, MHz (empty for an empty place)' : 'From')}
        {value('to', task.isFrequency ? 'To, MHz' : 'To')}
      </div>
      <Task
        title={`Keys for ${task.title}`}
        value={text.lines}
        set={(lines) => set({ lines })}
        findings={findings}
        sample={'LIST -> 23 TX TONE\n▲ x7 -> 82.5\nKEEP\nLEAVE -> 045'}
      />
    </details>
  );
}

interface TaskProps {
  title: string;
  value: string;
  set: (value: string) => void;
  findings: readonly Finding[];
  sample: string;
}

function Task({ title, value, set, findings, sample }: TaskProps) {
  return (
    <div className="mt-2">
      <LabelledLines
        title={title}
        rows={Math.max(2, value.split('\n').length)}
        value={value}
        hint={sample}
        most={4000}
        isExact
        set={set}
      />
      {findings.length > 0 && (
        <ul className="mt-1 space-y-1">
          {findings.map((finding) => (
            <li key={`${finding.code} ${finding.path}`}>
              <LineOf path={finding.path ?? ''} />
              <ul>
                <FindingItem finding={finding} />
              </ul>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}

/** Which line of a task a finding is about. */
function LineOf({ path }: { path: string }) {
  const line = /(?:\/place|\/steps)\/(\d+)/.exec(path)?.[1];
  return line === undefined ? null : <span className="muted text-small">Line {Number(line) + 1}:</span>;
}
