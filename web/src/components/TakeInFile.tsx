import type { Finding } from '@umbrex/core/findings';
import { FindingItem } from './FindingItem';

const MOST_SHOWN = 8;

interface Props {
  label: string;
  accept?: string;
  take: (file: File) => Promise<void>;
  findings: readonly Finding[];
  /** It was taken in all the same. */
  isTaken?: boolean;
}

/** A field that takes a JSON file in, and says below it what was wrong with the last one. */
export function TakeInFile({
  label,
  accept = 'application/json,.json',
  take,
  findings,
  isTaken = false,
}: Props) {
  return (
    <>
      <label className="mt-3 block">
        <span className="muted text-small">{label}</span>
        <input
          type="file"
          accept={accept}
          className="file-input file-input-sm w-full"
          onChange={(event) => {
            const file = event.target.files?.[0];
            if (file) void take(file);
            event.target.value = '';
          }}
        />
      </label>
      {findings.length > 0 && (
        <div role="alert" className="mt-2">
          {isTaken ? (
            <p className="font-semibold">
              It was taken in.{' '}
              <button type="button" className="link font-normal" onClick={() => window.location.reload()}>
                Load the page again
              </button>{' '}
              to see it. Some of its steps want a look:
            </p>
          ) : (
            <p className="font-semibold text-error">Nothing was taken in.</p>
          )}
          <ul className="mt-1 space-y-2 text-small">
            {findings.slice(0, MOST_SHOWN).map((finding) => (
              <FindingItem key={JSON.stringify(finding)} finding={finding} />
            ))}
          </ul>
          {findings.length > MOST_SHOWN && <p className="muted">and {findings.length - MOST_SHOWN} more</p>}
        </div>
      )}
    </>
  );
}
