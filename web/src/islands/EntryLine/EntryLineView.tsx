import { SERVICE_TITLES } from '@umbrex/core/facts';
import type { Question } from '@umbrex/core/findings';
import { mhzText } from '@umbrex/core/units';
import { Offers } from '../../components/Offers';
import { PathStrip, stripWords } from '../../components/PathStrip';
import { STATE_TEXT } from '../../messages/channelState';
import { questionText } from '../../messages/questions';
import { named } from '../../ui/bound';
import { LabelledSelect } from '../../ui/LabelledSelect';
import { later } from '../../ui/later';
import type { EntryGroup, useEntryLine } from './useEntryLine';

/** Asked for when somebody pastes a whole listing. */
const PasteDialog = later(() => import('./PasteDialog').then((part) => part.PasteDialog), { fetch: 'asked' });

type Props = ReturnType<typeof useEntryLine> & { groups: readonly EntryGroup[] };

/** The entry line with how it reads below it: the strip, the questions, what is assumed, and where it goes. */
export function EntryLineView(props: Props) {
  const { line, write, clear, add, open, setOpen, busy, reading, input } = props;
  return (
    <>
      <form
        className="relative"
        onSubmit={(event) => {
          event.preventDefault();
          void add();
        }}
        onKeyDown={(event) => {
          if (event.key !== 'Escape') return;
          if (open) setOpen(false);
          else clear();
        }}
        onBlur={(event) => {
          if (!event.currentTarget.contains(event.relatedTarget)) setOpen(false);
        }}
      >
        <label className="flex items-center gap-3 rounded border border-base-content bg-base-100 px-3 py-2 focus-within:outline-3 focus-within:outline-primary">
          <span
            className="muted max-sm:hidden rounded border border-base-300 px-1.5 font-mono text-sm"
            aria-hidden="true"
          >
            /
          </span>
          <span className="sr-only">Entry line: write a channel as a listing says it</span>
          <input
            ref={input}
            className="w-full bg-transparent font-mono outline-none placeholder:text-secondary"
            value={line}
            onChange={(event) => write(event.target.value)}
            onPaste={props.paste}
            onFocus={() => setOpen(line.trim() !== '')}
            placeholder="a listing: Kelp Stairs 462.650 rpt in 131.8"
            autoComplete="off"
            autoCapitalize="off"
            spellCheck={false}
            enterKeyHint="done"
            aria-describedby="entry-reading"
          />
        </label>
        {open && (
          <div className="absolute inset-x-0 top-full z-30 mt-1 max-h-[70vh] overflow-auto rounded border border-base-content bg-base-100 p-4 shadow-lg [--strip-ground:var(--color-base-100)]">
            <Reading {...props} />
            <div className="mt-3 flex flex-wrap items-center gap-3">
              <button type="submit" className="btn btn-primary btn-sm" disabled={!reading.ok || busy}>
                {busy ? 'Adding…' : 'Add to plan'}
              </button>
              <button type="button" className="btn btn-ghost btn-sm" onClick={clear}>
                Clear
              </button>
              {reading.ok && <span className="muted text-sm max-sm:hidden">Enter adds it.</span>}
              {props.kinds.length > 0 && (
                <LabelledSelect
                  title="Set in hand"
                  at="beside"
                  className="ml-auto max-sm:ml-0"
                  value={props.kindId}
                  options={[
                    ['', 'none: numbers are a service’s'],
                    ...props.kinds.map(({ id, title }) => [id, title] as const),
                  ]}
                  set={props.setKindId}
                  width="w-60"
                />
              )}
            </div>
          </div>
        )}
      </form>
      {props.pasted !== null && (
        <PasteDialog
          text={props.pasted}
          planId={props.planId}
          country={props.country}
          groups={props.groups}
          close={props.closePaste}
        />
      )}
    </>
  );
}

function Reading({ reading, take, groups, groupId, setGroupId }: Props) {
  const { channel, questions } = reading;
  const asked = questions.filter((question) => question.blocking);
  const assumed = questions.filter((question) => !question.blocking);
  // What is asked is no reading.
  const open = new Set(questions.map(({ of }) => of));
  return (
    <div id="entry-reading" aria-live="polite">
      {channel && (
        <div className="flex flex-wrap items-center gap-x-6 gap-y-2">
          <div className="min-w-36">
            <p className="font-semibold">{channel.name}</p>
            <p className="muted text-sm">
              {channel.service === 'other' ? 'no service known here' : SERVICE_TITLES[channel.service]},{' '}
              {mhzText(channel.receiveHz)} MHz{open.has('mode') ? '' : `, ${channel.mode}`}
              {channel.bandwidth === 'unknown' || open.has('width') ? '' : `, ${channel.bandwidth}`}
              {channel.state === 'on-air' || open.has('state') ? '' : `, ${STATE_TEXT[channel.state]}`}
            </p>
          </div>
          <div>
            <PathStrip channel={channel} waitsFor={channel.receiveTone} />
            <p className="muted text-small">
              {asked.length > 0 && <strong>So far: </strong>}
              {stripWords(channel, channel.receiveTone)}
            </p>
          </div>
          <LabelledSelect
            title="into"
            at="beside"
            value={groupId}
            options={named(groups)}
            set={setGroupId}
            width="w-48"
          />
        </div>
      )}
      {asked.length > 0 && (
        <ul className="mt-2 space-y-2">
          {asked.map((question) => (
            <Asked key={question.code + question.about} question={question} take={take} />
          ))}
        </ul>
      )}
      {assumed.length > 0 && (
        <ul className="mt-2 space-y-1 text-sm">
          {assumed.map((question) => (
            <Asked key={question.code + question.about} question={question} take={take} />
          ))}
        </ul>
      )}
    </div>
  );
}

function Asked({ question, take }: { question: Question; take: (line: string) => void }) {
  return (
    <li className="finding" data-severity={question.blocking ? 'warning' : 'note'}>
      <span className="muted text-tiny font-semibold">{question.blocking ? 'Asks ' : 'Taken '}</span>
      {questionText(question)}
      <Offers question={question} take={take} />
    </li>
  );
}
