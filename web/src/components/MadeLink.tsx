import { useState } from 'react';

interface Props {
  readonly path: string;
  /** The whole address as a picture to be scanned, SVG. */
  readonly svg: string;
  readonly what: string;
  /** How it is to be treated. */
  readonly rule: string;
}

/** A link that was just made: it stands here this once, in letters and as a picture that a phone reads. */
export function MadeLink({ path, svg, what, rule }: Props) {
  const [copied, setCopied] = useState<'no' | 'yes' | 'failed'>('no');
  const address = `${window.location.origin}${path}`;
  const copy = () =>
    navigator.clipboard.writeText(address).then(
      () => setCopied('yes'),
      () => setCopied('failed'),
    );
  return (
    <section className="rounded border border-base-content bg-base-100 p-4" role="status">
      <h2 className="font-bold">{what}</h2>
      <p className="muted text-plain">{rule}</p>
      <div className="mt-2 flex flex-wrap items-start gap-4">
        <img
          src={`data:image/svg+xml,${encodeURIComponent(svg)}`}
          alt="The same address, for the camera of a phone"
          width="148"
          height="148"
          className="rounded bg-white"
        />
        <div className="min-w-40 grow basis-0">
          <p className="break-all font-mono">{address}</p>
          <button type="button" className="btn btn-outline btn-sm mt-2" onClick={() => void copy()}>
            {copied === 'yes' ? 'Copied' : 'Copy it'}
          </button>
          {copied === 'failed' && (
            <p className="text-plain">The browser does not let it be copied: mark it and copy it by hand.</p>
          )}
        </div>
      </div>
    </section>
  );
}
