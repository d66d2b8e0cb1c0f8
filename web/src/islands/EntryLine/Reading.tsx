import { SERVICE_TITLES } from '@umbrex/core/facts';
import type { Question } from '@umbrex/core/findings';
import { type LineReading, readOnSet } from '@umbrex/core/listing';
import { mhzText } from '@umbrex/core/units';
import { Offers } from '../../components/Offers';
import { PathStrip, stripWords } from '../../components/PathStrip';
import { STATE_TEXT } from '../../messages/channelState';
import { questionText } from '../../messages/questions';
import { named } from '../../ui/bound';
import { LabelledSelect } from '../../ui/LabelledSelect';
import type { EntryGroup } from '../desk/entryGroup';

/** Reads a line; it comes together with what draws the reading. */
export const read = readOnSet;

interface Props {
  reading: LineReading;
  groups: readonly EntryGroup[];
  groupId: string;
  setGroupId: (id: string) => void;
  /** Puts another line in place of the one that is written. */
  take: (line: string) => void;
}

/** How a line reads: the strip, the questions, what is assumed, and where the channel goes. */
export function Reading({ reading, take, groups, groupId, setGroupId }: Props) {
  const { channel, questions } = reading;
  const asked = questions.filter((question) => question.blocking);
  const assumed = questions.filter((question) => !question.blocking);
  // What is asked is no reading.
  const open = new Set(questions.map(({ of }) => of));
  return (
    <>
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
    </>
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
