import type { AirView } from '../../contract/air';
import { counted } from '../../messages/labels';
import { GATE_WORDS, MARK_WORDS, MARKS, noteText, someNames } from '../../messages/onAir';
import { Empty } from '../../ui/Empty';
import { LabelledSelect } from '../../ui/LabelledSelect';
import { Matrix } from './Matrix';
import { NetView } from './NetView';
import { PathStrip } from './PathStrip';
import { Reach } from './Reach';
import { Sign } from './Sign';
import { Texture } from './Texture';
import { useAirDesk } from './useAirDesk';

/** Who hears whom on one channel: the matrix, one call on its way, the net, and how many each set reaches. */
export function AirDesk({ view }: { view: AirView }) {
  const desk = useAirDesk(view);
  const { drawn, failed, zoom, setZoom } = desk;
  const names = view.sets.map(({ nickname }) => nickname);
  const repeaters = view.repeaters.map(({ name }) => name);
  if (view.sets.length < 2)
    return <Empty>Who hears whom takes two sets at least. Add them under Devices.</Empty>;
  if (failed) return <p role="alert">The page could not compute this. Reload it.</p>;
  if (!drawn)
    return <p className="muted">Computing {counted(view.sets.length * (view.sets.length - 1), 'call')} …</p>;
  return (
    <>
      {view.notes.length > 0 && (
        <ul className="mb-3 list-disc space-y-1 pl-5" aria-label="To know of this channel">
          {view.notes.map((note) => (
            <li key={JSON.stringify(note)}>{noteText(note, names, repeaters)}</li>
          ))}
        </ul>
      )}
      {view.change && <Change change={view.change} />}
      <div className="flex flex-wrap items-end gap-x-5 gap-y-2 pb-2">
        <LabelledSelect
          title="Shown"
          value={zoom}
          options={[
            ['groups', `Sets that are alike together (${desk.groups.length})`],
            ['sets', `Each set (${view.sets.length})`],
          ]}
          set={setZoom}
          width="w-72"
        />
        <Legend desk={desk} />
      </div>
      <div className="gap-6 lg:grid lg:grid-cols-[minmax(0,1fr)_20rem]">
        <div className="min-w-0">{zoom === 'groups' ? <Matrix {...desk} /> : <Texture {...desk} />}</div>
        <section aria-label="One call" className="max-lg:mt-4">
          <PathStrip {...desk} />
        </section>
      </div>
      <h2 className="mt-6 text-base font-bold">The net</h2>
      <NetView {...desk} />
      <h2 className="mt-6 text-base font-bold">How many each set reaches</h2>
      <Reach {...desk} />
    </>
  );
}

function Legend({ desk: { drawn, callOf } }: { desk: ReturnType<typeof useAirDesk> }) {
  const gates = new Set<string>();
  const marks = new Set<string>();
  const count = drawn?.count ?? 0;
  for (let i = 0; i < count; i++)
    for (let j = 0; j < count; j++) {
      if (i === j) continue;
      const { mark, gate } = callOf(i, j);
      marks.add(mark);
      if (gate) gates.add(gate);
    }
  return (
    <ul className="flex flex-wrap gap-x-4 gap-y-1 text-small" aria-label="What the signs mean">
      {MARKS.filter((mark) => marks.has(mark)).map((mark) => (
        <li key={mark} className="flex items-center gap-1">
          <Sign mark={mark} /> {MARK_WORDS[mark]}
        </li>
      ))}
      {Object.entries(GATE_WORDS)
        .filter(([gate]) => gates.has(gate))
        .map(([gate, [letter, word]]) => (
          <li key={gate}>
            <span className="font-mono">{letter}</span> {word}
          </li>
        ))}
    </ul>
  );
}

function Change({ change: { from, order, deaf, examples } }: { change: NonNullable<AirView['change']> }) {
  const together = order.filter(({ length }) => length > 1);
  return (
    <section
      className="mb-4 border-l-4 border-base-300 pl-4"
      aria-label="While sets are brought from one state to the other"
    >
      <h2 className="text-base font-bold">From revision {from}, set by set</h2>
      {order.length === 0 ? (
        <p>Nothing changes on this channel.</p>
      ) : deaf === 0 ? (
        <p>Nobody goes deaf meanwhile: any order will do.</p>
      ) : (
        <>
          <p>
            {counted(deaf, 'pair')} would not hear each other while one of them waits, though they do before
            and after. <span className="muted">{examples[0]}.</span>
          </p>
          <p>
            {together.length === 0
              ? 'In this order nobody goes deaf:'
              : 'In this order nobody goes deaf, if those on one line are loaded at one go:'}
          </p>
          <ol className="list-decimal pl-6">
            {order.map((group) => (
              <li key={group[0]}>{someNames(group, 8)}</li>
            ))}
          </ol>
        </>
      )}
    </section>
  );
}
