import { FindingItem } from '../../components/FindingItem';
import { TakeInFile } from '../../components/TakeInFile';
import { Button } from '../../ui/Button';
import { LabelledCheck } from '../../ui/LabelledCheck';
import { PlaceForm } from './PlaceForm';
import type { useHeldDesk } from './useHeldDesk';

/** The choices on what goes, and the ways to say what the set holds now. */
export function HeldDeskView(props: ReturnType<typeof useHeldDesk>) {
  const { unit, toAccept, findings, takeFile, isDone, asFactory, saveFile } = props;
  return (
    <div className="space-y-6">
      {toAccept.length > 0 && <Accept {...props} />}
      <details className="max-w-3xl rounded border border-base-300 bg-base-100 p-4">
        <summary className="cursor-pointer text-lg font-bold">Say what it holds now</summary>
        <p className="muted text-plain">
          Then its fit and its sheet start from there, and nothing of its holder’s goes unseen.
        </p>
        <TakeInFile label="Bring a file that was read from the set" take={takeFile} findings={[]} />
        <LabelledCheck checked={props.isWhole} set={props.setIsWhole} className="my-3 text-plain">
          What the file does not name is as the factory left it
        </LabelledCheck>
        <PlaceForm {...props} />
        {findings.length > 0 && (
          <div role="alert" className="mt-2">
            <p className="font-semibold text-error">Nothing was taken in.</p>
            <ul className="mt-1 space-y-2 text-small">
              {findings.map((finding) => (
                <FindingItem key={finding.code + finding.path} finding={finding} />
              ))}
            </ul>
          </div>
        )}
        <div className="mt-4 flex flex-wrap gap-2">
          <button type="button" className="btn btn-outline btn-sm" onClick={() => void isDone()}>
            Its sheet is done: it holds that now
          </button>
          <button type="button" className="btn btn-outline btn-sm" onClick={() => void asFactory()}>
            It is as the factory left it
          </button>
          {unit.holds.places.length > 0 && (
            <button type="button" className="btn btn-ghost btn-sm" onClick={saveFile}>
              Save what it holds as a file
            </button>
          )}
        </div>
      </details>
    </div>
  );
}

function Accept({ unit, toAccept, chosen, choose, chooseAll, accept, keep }: ReturnType<typeof useHeldDesk>) {
  const none = chosen.size === 0;
  return (
    <section className="max-w-3xl rounded border-2 border-accent p-4" aria-labelledby="goes">
      <h2 id="goes" className="text-lg font-bold">
        {toAccept.length === 1
          ? 'One place of its own would go'
          : `${toAccept.length} places of its own would go`}
      </h2>
      <p className="text-plain">
        Ask the holder. What may go is let go here, what stays is kept back, and the plan looks for another
        place.
      </p>
      <LabelledCheck checked={chosen.size === toAccept.length} set={chooseAll} className="mt-2 font-semibold">
        all of them
      </LabelledCheck>
      <ul className="mt-1 max-h-80 overflow-y-auto">
        {toAccept.map(({ number, label, now }) => (
          <li key={number} className="border-t border-base-300 py-1">
            <LabelledCheck checked={chosen.has(number)} set={(yes) => choose(number, yes)} className="">
              <span className="font-mono">{label}</span>
              <span>
                <span className="sr-only">number {number}, </span>
                {now}
              </span>
            </LabelledCheck>
          </li>
        ))}
      </ul>
      <div className="mt-3 flex flex-wrap gap-2">
        <Button type="button" className="btn btn-primary btn-sm" isOff={none} onClick={() => void accept()}>
          Let {chosen.size === 1 ? 'it' : 'them'} go
        </Button>
        <Button type="button" className="btn btn-outline btn-sm" isOff={none} onClick={() => void keep()}>
          Keep {chosen.size === 1 ? 'it' : 'them'} for {unit.nickname}
        </Button>
      </div>
    </section>
  );
}
