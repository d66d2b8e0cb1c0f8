import { useState } from 'react';
import { FindingItem } from '../../components/FindingItem';
import { Shape } from '../../components/Shape';
import { TakeInFile } from '../../components/TakeInFile';
import { ToneGlyph } from '../../components/ToneGlyph';
import { VERDICTS } from '../../messages/verdicts';
import { Button } from '../../ui/Button';
import { Drawer } from '../../ui/Drawer';
import { FindField } from '../../ui/FindField';
import { Form } from '../../ui/Form';
import { guarded } from '../../ui/guarded';
import { LabelledCheck, RowCheck } from '../../ui/LabelledCheck';
import { LabelledDay } from '../../ui/LabelledDay';
import { LabelledLines } from '../../ui/LabelledLines';
import { LabelledSelect } from '../../ui/LabelledSelect';
import { LabelledText } from '../../ui/LabelledText';
import { Part } from '../../ui/Part';
import { useRows } from '../../ui/rows';
import { useUnsaved } from '../../ui/unsaved';

const ROWS = ['First', 'Second', 'Third'] as const;
const CHOICES = [
  ['one', 'the one'],
  ['two', 'the other'],
] as const;
const rowOf = (key: string) => `kit-${key}`;

/** Every part that the screens are made of, in all its states: to look at, and to walk. */
function KitIsland() {
  const [opened, setOpened] = useState<string | null>(null);
  const [text, setText] = useState('some words');
  const [kept, setKept] = useState('some words');
  const [choice, setChoice] = useState<'one' | 'two'>('one');
  const [day, setDay] = useState('');
  const [isOn, setOn] = useState(false);
  const [isBroken, setBroken] = useState(false);
  const rows = useRows<HTMLUListElement>();
  useUnsaved(text !== kept);
  if (isBroken) throw new Error('a part that came to a stop on purpose');
  return (
    <div className="lg:grid lg:grid-cols-[minmax(0,1fr)_22rem]">
      <div className="space-y-6 p-5">
        <section>
          <h2 className="font-bold">A list</h2>
          <ul {...rows}>
            {ROWS.map((row) => (
              <li key={row} data-item className="flex gap-2 border-b border-base-300 py-1">
                <button
                  type="button"
                  id={rowOf(row)}
                  data-row
                  className="grow cursor-pointer text-left font-semibold"
                  aria-pressed={opened === row}
                  onClick={() => setOpened(row)}
                >
                  {row}
                </button>
                <a className="link" href={`#${row}`}>
                  a part of {row}
                </a>
              </li>
            ))}
          </ul>
        </section>
        <section className="grid max-w-xl gap-3 sm:grid-cols-2">
          <h2 className="font-bold sm:col-span-2">Fields</h2>
          <LabelledText title="A line" value={text} set={setText} help="A word of help." />
          <LabelledText title="A line that is wrong" value="" set={setText} fault="Write something." />
          <FindField value={text} set={setText} hint="what may be written" />
          <LabelledDay title="A day" value={day} set={setDay} help="Empty where nobody knows it." />
          <LabelledDay title="A moment" value="" set={setDay} type="datetime-local" fault="Give a day." />
          <LabelledSelect title="A choice" value={choice} options={CHOICES} set={setChoice} />
          <LabelledSelect
            title="A choice beside its title"
            at="beside"
            value={choice}
            options={[['one', 'the one']]}
            groups={[{ title: 'Others', options: [['two', 'the other', true]] }]}
            set={setChoice}
            width="w-32"
            fault="It is wrong."
          />
          <LabelledSelect
            title="A choice of what went meanwhile"
            value="three"
            options={[['one', 'the one']]}
            set={() => undefined}
          />
          <LabelledText
            title="A line of which the title is heard"
            at="heard"
            value={text}
            set={setText}
            isExact
            hint="082.5"
          />
          <LabelledLines title="A text" value={text} set={setText} rows={3} help="Of several lines." />
          <LabelledLines title="A text to copy" value={text} rows={3} isExact />
          <LabelledCheck checked={isOn} set={setOn}>
            On or off
          </LabelledCheck>
          <LabelledCheck isSwitch checked={isOn} set={setOn}>
            A switch
          </LabelledCheck>
          <LabelledCheck isOff checked={isOn} set={setOn}>
            A box that cannot be ticked now
          </LabelledCheck>
          <RowCheck title="Choose this row" checked={isOn} set={setOn} />
          <div className="sm:col-span-2">
            <TakeInFile
              label="A file"
              take={async () => undefined}
              findings={[{ code: 'document-not-json', severity: 'error', path: '', detail: 'as an example' }]}
            />
          </div>
          <Form className="flex flex-wrap items-end gap-2 sm:col-span-2" send={() => setKept(text)}>
            <LabelledText title="A line that Enter sends" value={text} set={setText} className="grow" />
            <LabelledSelect title="A choice that is sent" value={choice} options={CHOICES} set={setChoice} />
            <LabelledCheck checked={isOn} set={setOn}>
              A box that is sent
            </LabelledCheck>
            <Button type="submit" className="btn btn-outline btn-sm" isOff={text === kept}>
              Send
            </Button>
          </Form>
          <p className="flex flex-wrap gap-2 sm:col-span-2">
            <button type="button" className="btn btn-primary btn-sm" onClick={() => setKept(text)}>
              Keep
            </button>
            <button type="button" className="btn btn-outline btn-sm">
              Another
            </button>
            <button type="button" className="btn btn-outline btn-error btn-sm">
              Delete
            </button>
            <Button type="button" className="btn btn-primary btn-sm" isOff onClick={() => setBroken(true)}>
              Switched off
            </Button>
            <Button
              type="button"
              className="btn btn-outline btn-sm"
              isOff={text === kept}
              onClick={() => setKept(text)}
            >
              Keep once
            </Button>
            <button type="button" className="btn btn-ghost btn-sm" onClick={() => setBroken(true)}>
              Come to a stop
            </button>
          </p>
        </section>
        <section>
          <h2 className="font-bold">Signs</h2>
          <p className="flex flex-wrap gap-3">
            {VERDICTS.map((verdict) => (
              <Shape key={verdict} verdict={verdict} size={20} label />
            ))}
            {['131.8', '82.5', 'D251N', 'D251I', 'off', 'unknown'].map((tone) => (
              <svg key={tone} viewBox="0 0 60 30" width="60" height="30" role="img" aria-label={tone}>
                <ToneGlyph tone={tone} end="key" x={15} y={15} size={20} />
                <ToneGlyph tone={tone} end="lock" x={45} y={15} size={20} />
              </svg>
            ))}
          </p>
        </section>
        <section>
          <h2 className="font-bold">Parts of a long form</h2>
          <Part title="A part" state="how it stands">
            <LabelledText title="A field inside" value={text} set={setText} />
          </Part>
        </section>
        <section>
          <h2 className="font-bold">Findings</h2>
          <ul className="space-y-2">
            <FindingItem finding={{ code: 'firmware-unknown', severity: 'note' }} />
            <FindingItem finding={{ code: 'country-not-covered', severity: 'warning' }} />
            <FindingItem finding={{ code: 'group-has-channels', severity: 'error', groupId: '' }} />
          </ul>
        </section>
      </div>
      <Drawer
        label="Nothing is open"
        opened={opened === null ? null : { key: opened, title: opened, sub: 'a row of the list' }}
        rowId={rowOf}
        close={() => setOpened(null)}
      >
        {opened === null ? (
          <p>Choose a row in the list.</p>
        ) : (
          <LabelledText title="Its first field" value={text} set={setText} />
        )}
      </Drawer>
    </div>
  );
}

export const Kit = guarded('Kit', KitIsland);
