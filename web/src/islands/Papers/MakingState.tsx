import type { Making } from './useMaking';

/** How far a document is, with a way to give it up; once it is made, a way to keep it. */
export function MakingState({ making, cancel }: { making: Making; cancel: () => void }) {
  return (
    <div role="status" className="flex flex-wrap items-center gap-3">
      {making.is === 'under-way' && (
        <>
          <progress
            className="progress w-40"
            aria-label={making.words}
            max={1}
            {...(making.share !== null && { value: making.share })}
          />
          <span className="text-small">{making.words}</span>
          <button type="button" className="btn btn-ghost btn-sm" onClick={cancel}>
            Cancel
          </button>
        </>
      )}
      {making.is === 'made' && (
        <a className="link font-semibold" href={making.url} download={making.name}>
          {`Keep ${making.name} (${making.kB} kB)`}
        </a>
      )}
      {making.is === 'failed' && (
        <span className="text-error" role="alert">
          {making.words}
        </span>
      )}
    </div>
  );
}
