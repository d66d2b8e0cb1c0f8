import type { CardChannel, CardPlace, CardSet } from '@umbrex/core/card';
import { useState } from 'react';
import { showsText } from '../../messages/card';
import { Button } from '../../ui/Button';
import { LabelledSelect } from '../../ui/LabelledSelect';
import { LabelledText } from '../../ui/LabelledText';
import type { Hand, Said } from './useHand';

interface Props {
  readonly hand: Hand;
  readonly set: CardSet;
  readonly rows: readonly { readonly place: CardPlace; readonly channel: CardChannel }[];
}

/** One place may be of several channels. */
const keyOf = ({ place, channel }: Props['rows'][number]): string => `${place.slot} ${channel.id}`;
/** High enough for a thumb. */
const TALL = 'min-h-12 w-full';

const HEARD = { heard: 'heard', 'two-way': 'spoken with both ways', 'not-heard': 'heard nothing' } as const;

/** What one can say of a set of one's own, from where one stands. It is sent once there is a network. */
export function Report({ hand, set, rows }: Props) {
  const [said, setSaid] = useState('');
  const [slot, setSlot] = useState('');
  const [whom, setWhom] = useState('');
  const [note, setNote] = useState('');
  const [well, setWell] = useState('');
  const say = async (report: Said, text: string) => {
    await hand.say(set.id, report, `${set.nickname}: ${text}`);
    setSaid(text);
  };
  const at = rows.find((row) => keyOf(row) === slot);
  const heard = (check: 'heard' | 'two-way' | 'not-heard') =>
    at &&
    say(
      {
        what: 'heard',
        number: at.place.slot,
        check,
        whom: whom.trim().slice(0, 60),
        channelId: at.channel.id,
        readability: check === 'not-heard' || well === '' ? 'unknown' : Number(well),
      },
      `${HEARD[check]} on ${showsText(at.place)}`,
    );
  const condition = (is: 'well' | 'lost' | 'broken', text: string) =>
    say({ what: 'condition', is, note: note.trim() }, text);
  const button = 'btn btn-outline min-h-12 grow';
  return (
    <details className="mt-6 rounded border border-base-300 bg-base-100 px-3">
      <summary className="flex min-h-12 cursor-pointer items-center text-lg font-bold">
        Say something of {set.nickname}
      </summary>
      <p role="status" className={said ? 'finding mb-2 text-plain' : 'sr-only'} data-severity="note">
        {said && `Noted: ${said}.`}
      </p>
      <fieldset className="space-y-2 pb-3">
        <legend className="font-semibold">Somebody was there</legend>
        <LabelledSelect
          title="On which place"
          width={TALL}
          value={slot}
          options={[
            ['', 'choose'],
            ...rows.map((row) => [keyOf(row), `${showsText(row.place)}: ${row.channel.name}`] as const),
          ]}
          set={setSlot}
        />
        <LabelledText title="With whom" width={TALL} value={whom} most={60} set={setWhom} />
        <LabelledSelect
          title="How well, from 1 (not to be understood) to 5 (clear)"
          width={TALL}
          value={well}
          options={[['', 'not said'], ...['5', '4', '3', '2', '1'].map((n) => [n, n] as const)]}
          set={setWell}
        />
        <p className="flex flex-wrap gap-2">
          <Button type="button" className={button} isOff={!at} onClick={() => void heard('heard')}>
            I heard them
          </Button>
          <Button
            type="button"
            className={button}
            isOff={at?.place.sends !== 'yes'}
            onClick={() => void heard('two-way')}
          >
            We heard each other
          </Button>
          <Button
            type="button"
            className={button}
            isOff={!at || whom.trim() === ''}
            onClick={() => void heard('not-heard')}
          >
            They called, I heard nothing
          </Button>
        </p>
      </fieldset>
      <fieldset className="space-y-2 border-t border-base-300 py-3">
        <legend className="sr-only">The set itself</legend>
        <p className="flex flex-wrap gap-2">
          <button
            type="button"
            className={button}
            onClick={() => void say({ what: 'cells' }, 'its cells were changed')}
          >
            Cells changed
          </button>
          {set.isAlert && (
            <button
              type="button"
              className={button}
              onClick={() => void say({ what: 'test-heard' }, 'it sounded for the test')}
            >
              It sounded for the test
            </button>
          )}
        </p>
        <LabelledText title="A word on it" width={TALL} value={note} most={160} set={setNote} />
        <p className="flex flex-wrap gap-2">
          <button type="button" className={button} onClick={() => void condition('lost', 'it is lost')}>
            Lost
          </button>
          <button type="button" className={button} onClick={() => void condition('broken', 'it is broken')}>
            Broken
          </button>
          <button
            type="button"
            className={button}
            onClick={() => void condition('well', 'it is there and works')}
          >
            There, and works
          </button>
        </p>
      </fieldset>
    </details>
  );
}
