import { type HeardDraft, readHeardLine } from '@umbrex/core/heard';
import { useId, useRef } from 'react';
import { Offers } from '../../components/Offers';
import { heardWords, WAY_WORDS } from '../../messages/heard';
import { questionText } from '../../messages/questions';
import { Button } from '../../ui/Button';
import { Form } from '../../ui/Form';
import type { LogState } from './useLogDesk';

interface Props {
  readonly log: LogState;
  readonly line: string;
  readonly setLine: (line: string) => void;
  /** What is done with what it says. */
  readonly take: (calls: readonly HeardDraft[]) => Promise<void>;
  readonly button: string;
  /** Where it is a change: what gives it up. */
  readonly giveUp?: () => void;
}

/** One line for one call, and how it reads. */
export function Line({ log, line, setLine, take, button, giveUp }: Props) {
  const reading = readHeardLine(line, log.known);
  const input = useRef<HTMLInputElement>(null);
  const readingId = useId();
  const asked = reading.questions.filter(({ blocking }) => blocking);
  const told = reading.questions.filter(({ blocking }) => !blocking);
  const isEmpty = line.trim() === '';
  return (
    <Form
      send={() => {
        if (!reading.ok) return;
        void take(reading.calls).then(() => input.current?.focus());
      }}
    >
      <label className="block">
        <span className="muted block text-small">
          {giveUp ? 'The call as it should be' : 'Who talked, who listened, how it came'}
        </span>
        <span className="flex gap-2">
          <input
            ref={input}
            name="call"
            className="input w-full font-mono"
            value={line}
            maxLength={400}
            autoComplete="off"
            autoCapitalize="off"
            spellCheck={false}
            enterKeyHint="done"
            placeholder="Boat 1 > Clinic 5 loud from Gull Point"
            aria-describedby={readingId}
            onChange={(event) => setLine(event.target.value)}
            onKeyDown={(event) => {
              if (event.key === 'Escape') (giveUp ?? (() => setLine('')))();
            }}
          />
          <Button type="submit" className="btn btn-primary" isOff={!reading.ok}>
            {button}
          </Button>
          {giveUp && (
            <button type="button" className="btn btn-ghost" onClick={giveUp}>
              Leave it
            </button>
          )}
        </span>
      </label>
      <div id={readingId} aria-live="polite" className="mt-1 min-h-6 text-small">
        {isEmpty ? (
          <p className="muted">
            As <span className="font-mono">Clinic heard Boat 1 4 weak</span>,{' '}
            <span className="font-mono">Boat 1 &gt; Clinic nothing</span>,{' '}
            <span className="font-mono">14:32 Boat 1 &lt;&gt; Clinic 5 on {log.view.air.channel.name}</span>,
            and behind <span className="font-mono">{'//'}</span> a note.
          </p>
        ) : (
          <>
            {reading.ok && reading.calls.map((call) => <p key={call.from}>{sentence(call, log)}</p>)}
            <ul className="space-y-1">
              {[...asked, ...told].map((question) => (
                <li
                  key={question.code + question.about}
                  className="finding"
                  data-severity={question.blocking ? 'warning' : 'note'}
                >
                  <span className="muted text-tiny font-semibold">
                    {question.blocking ? 'Asks ' : 'Taken '}
                  </span>
                  {questionText(question)}
                  <Offers question={question} take={setLine} />
                </li>
              ))}
            </ul>
          </>
        )}
      </div>
    </Form>
  );
}

/** A call as it was read, in a sentence. */
function sentence(call: HeardDraft, { channelName }: LogState): string {
  const { from, to, channelId, way, fromWhere, toWhere, time, note } = call;
  return [
    `${from} to ${to}, on ${channelName(channelId)}, ${WAY_WORDS[way]}: ${heardWords(call)}`,
    fromWhere && `talked from ${fromWhere}`,
    toWhere && `listened at ${toWhere}`,
    time ? `${time.day}, ${clock(time.minute)}` : 'now',
    note,
  ]
    .filter(Boolean)
    .join('; ')
    .concat('.');
}

const clock = (minute: number) =>
  `${String(Math.floor(minute / 60)).padStart(2, '0')}:${String(minute % 60).padStart(2, '0')}`;
