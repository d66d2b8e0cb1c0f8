import { useState } from 'react';
import { LabelledText } from '../../components/LabelledText';
import { guarded } from '../../ui/guarded';
import { call } from '../desk/api';
import { Fault } from '../SignIn/fields';
import { accessFault } from '../SignIn/words';

/** One kind of set, as somebody sees it who only holds one. */
export interface EnrolKind {
  readonly id: string;
  readonly title: string;
  readonly pattern: string;
}

/** A holder tells of their own set: which kind it behaves like, the serial, and four questions that may stay unanswered. */
function EnrolIsland({ token, name, kinds }: { token: string; name: string; kinds: readonly EnrolKind[] }) {
  const [said, setSaid] = useState({
    descriptionId: kinds[0]?.id ?? '',
    serial: '',
    nickname: `${name.split(' ')[0]}’s radio`.slice(0, 40),
    firmware: '',
    batteryChanged: '',
    keeps: '',
  });
  const [fault, setFault] = useState<string | null>(null);
  const [done, setDone] = useState(false);
  const set = (part: Partial<typeof said>) => setSaid((now) => ({ ...now, ...part }));
  const send = async () => {
    setFault(null);
    try {
      await call(
        'POST /api/enrol/[token]',
        { token },
        {
          ...said,
          batteryChanged: said.batteryChanged || 'unknown',
        },
      );
      setDone(true);
    } catch (error) {
      setFault(accessFault(error));
    }
  };
  if (done)
    return (
      <p className="finding" data-severity="note">
        Thank you. Your coordinator looks at it and sends you your steps. You can close this page.
      </p>
    );
  return (
    <form
      className="space-y-3"
      onSubmit={(event) => {
        event.preventDefault();
        void send();
      }}
    >
      <p>Hello {name}. What you do not know, leave empty.</p>
      <label className="block">
        <span className="muted text-small">Which one behaves like yours?</span>
        <select
          className="select select-sm w-full"
          value={said.descriptionId}
          onChange={(event) => set({ descriptionId: event.target.value })}
        >
          {kinds.map(({ id, title, pattern }) => (
            <option key={id} value={id}>
              {title}: {pattern}
            </option>
          ))}
        </select>
      </label>
      <LabelledText
        title="Serial number, from the label"
        value={said.serial}
        set={(serial) => set({ serial })}
      />
      <LabelledText
        title="1. What do you call it?"
        value={said.nickname}
        set={(nickname) => set({ nickname })}
      />
      <LabelledText
        title="2. What does it show when you turn it on?"
        value={said.firmware}
        set={(firmware) => set({ firmware })}
        help="Often a short number such as 1.06."
      />
      <label className="block">
        <span className="muted text-small">3. When was its battery changed?</span>
        <input
          type="date"
          className="input input-sm w-full"
          value={said.batteryChanged}
          onChange={(event) => set({ batteryChanged: event.target.value })}
        />
      </label>
      <LabelledText
        title="4. Which of its numbers do you want to keep for yourself?"
        value={said.keeps}
        set={(keeps) => set({ keeps })}
        help="For example 40-44, 60. Nothing is written there."
      />
      <Fault text={fault} />
      <button
        type="submit"
        className="btn btn-primary btn-sm"
        disabled={!said.serial.trim() || !said.nickname.trim()}
      >
        Send it
      </button>
    </form>
  );
}

export const Enrol = guarded('Enrol', EnrolIsland);
