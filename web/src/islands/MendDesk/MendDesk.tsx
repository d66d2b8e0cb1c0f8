import type { Finding } from '@umbrex/core/findings';
import { useState } from 'react';
import { FindingItem } from '../../components/FindingItem';
import type { Kind } from '../../contract/things';
import { guarded } from '../../ui/guarded';
import { LabelledLines } from '../../ui/LabelledLines';
import { failureText, Refusal } from '../desk/api';
import { mendThing, takeBroken } from './routes';

export interface Broken {
  readonly kind: Kind;
  readonly what: string;
  readonly id: string;
  readonly version: number;
  readonly document: unknown;
  readonly findings: readonly Finding[];
}

/** What nobody can read, each with what is wrong with it: put right as text, or taken away. */
function MendDeskIsland({ broken }: { broken: readonly Broken[] }) {
  return (
    <ul className="space-y-6">
      {broken.map((one) => (
        <BrokenRow key={`${one.kind} ${one.id}`} {...one} />
      ))}
    </ul>
  );
}

function BrokenRow({ kind, what, id, version, document, findings }: Broken) {
  const [text, setText] = useState(() => JSON.stringify(document, null, 2));
  const [faults, setFaults] = useState(findings);
  const { name, nickname, title } = (document ?? {}) as Readonly<Record<string, unknown>>;
  const called = [name, nickname, title].find((text) => typeof text === 'string');
  const [failure, setFailure] = useState('');
  const [isTaking, setTaking] = useState(false);
  const attempt = async (action: () => Promise<unknown>) => {
    setFailure('');
    try {
      await action();
      window.location.reload();
    } catch (error) {
      if (error instanceof SyntaxError)
        setFaults([{ code: 'document-not-json', severity: 'error', path: '', detail: error.message }]);
      else if (error instanceof Refusal && error.findings.length > 0)
        setFaults(error.findings.map((f) => ({ ...f, path: f.path?.replace(/^\/value/, '') ?? '' })));
      else setFailure(failureText(error, 'Somebody changed it meanwhile. Load the page again.'));
    }
  };
  return (
    <li className="rounded border border-base-300 bg-base-100 p-4">
      <h2 className="font-bold">
        A {what}
        {called && `, ${String(called)}`} <span className="muted font-mono text-small font-normal">{id}</span>
      </h2>
      <ul className="mt-1">
        {faults.map((finding, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: replaced as a whole
          <FindingItem key={i} finding={finding} />
        ))}
      </ul>
      <LabelledLines title="As it is kept" className="mt-2" rows={10} value={text} set={setText} isExact />
      {failure && (
        <p className="finding mt-2" data-severity="error" role="alert">
          {failure}
        </p>
      )}
      <div className="mt-2 flex flex-wrap gap-3">
        <button
          type="button"
          className="btn btn-primary btn-sm"
          onClick={() => void attempt(async () => mendThing(kind, id, version, JSON.parse(text)))}
        >
          Save it corrected
        </button>
        {kind !== 'description' &&
          (isTaking ? (
            <>
              <button
                type="button"
                className="btn btn-error btn-outline btn-sm"
                onClick={() => void attempt(() => takeBroken(kind, id, version))}
              >
                Yes, take it away for good
              </button>
              <button type="button" className="btn btn-ghost btn-sm" onClick={() => setTaking(false)}>
                No
              </button>
            </>
          ) : (
            <button type="button" className="btn btn-ghost btn-sm" onClick={() => setTaking(true)}>
              Take it away
            </button>
          ))}
      </div>
    </li>
  );
}

export const MendDesk = guarded('MendDesk', MendDeskIsland);
