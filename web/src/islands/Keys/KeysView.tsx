import { CircleHelp, MoonStar } from 'lucide-react';
import { Shape } from '../../components/Shape';
import { ToneGlyph } from '../../components/ToneGlyph';
import { VERDICT_TEXT, VERDICTS } from '../../messages/verdicts';
import { LabelledCheck } from '../../ui/LabelledCheck';
import type { useKeys } from './useKeys';

const KEYS: readonly (readonly [string, string])[] = [
  ['/', 'to the entry line'],
  ['Ctrl Z', 'takes back what was just done'],
  ['g then t', 'Today'],
  ['g then e', 'People'],
  ['g then d', 'Devices'],
  ['g then a', 'Stations'],
  ['g then m', 'Map'],
  ['g then l', 'Directory'],
  ['g then p', 'Plan'],
  ['g then c', 'Check'],
  ['g then f', 'Fit board'],
  ['g then u', 'Numbers'],
  ['g then s', 'Sheets'],
  ['g then n', 'Nets'],
  ['g then r', 'Reference'],
  ['n', 'day or night'],
  ['?', 'this page'],
  ['↑ ↓ Home End', 'from row to row of a list'],
  ['F6', 'between a list and its details'],
  ['Alt ↑ ↓', 'move the chosen channel'],
  ['Esc', 'close what is open'],
];

const TONES: readonly (readonly [string, 'key' | 'lock', string])[] = [
  ['131.8', 'key', 'a CTCSS tone that is sent'],
  ['131.8', 'lock', 'the same tone, waited for: it fits'],
  ['82.5', 'lock', 'another tone, waited for: stays shut'],
  ['D251N', 'key', 'a DCS code that is sent'],
  ['D251N', 'lock', 'the same code, waited for'],
  ['D251I', 'key', 'its inverted code stands on its corner'],
  ['off', 'lock', 'no tone'],
  ['unknown', 'key', 'nobody knows yet'],
];

/** The two buttons of the rail, and the page that explains shapes, tones and keys. */
export function KeysView({
  open,
  setOpen,
  letters,
  chooseLetters,
  switchTheme,
  dialog,
}: ReturnType<typeof useKeys>) {
  return (
    <>
      <button
        type="button"
        className="flex items-center justify-between gap-2 rounded px-2 py-1.5 text-left hover:bg-base-300/50"
        onClick={switchTheme}
      >
        <span className="flex items-center gap-2">
          <MoonStar size={17} aria-hidden="true" />
          <span className="max-md:sr-only">Day or night</span>
        </span>
        <kbd className="muted rounded border border-base-300 px-1.5 font-mono text-xs max-md:hidden">n</kbd>
      </button>
      <button
        type="button"
        className="flex items-center justify-between gap-2 rounded px-2 py-1.5 text-left hover:bg-base-300/50"
        onClick={() => setOpen(true)}
      >
        <span className="flex items-center gap-2">
          <CircleHelp size={17} aria-hidden="true" />
          <span className="max-md:sr-only">Signs and keys</span>
        </span>
        <kbd className="muted rounded border border-base-300 px-1.5 font-mono text-xs max-md:hidden">?</kbd>
      </button>
      <dialog
        ref={dialog}
        className="m-auto max-h-[90vh] w-full max-w-3xl overflow-auto rounded bg-base-100 p-6 text-base-content"
        aria-labelledby="keys-title"
        onClose={() => setOpen(false)}
      >
        {open && (
          <>
            <h2 id="keys-title" className="text-lg font-bold">
              Signs and keys
            </h2>
            <div className="mt-4 grid gap-6 sm:grid-cols-2">
              <section>
                <h3 className="mb-2 font-semibold">What a device makes of a channel</h3>
                <ul className="space-y-2">
                  {VERDICTS.map((verdict) => (
                    <li key={verdict} className="flex gap-3">
                      <span className="pt-0.5">
                        <Shape verdict={verdict} size={18} />
                      </span>
                      <span>
                        <strong>{VERDICT_TEXT[verdict].word}</strong>: {VERDICT_TEXT[verdict].meaning}
                      </span>
                    </li>
                  ))}
                </ul>
              </section>
              <section>
                <h3 className="mb-2 font-semibold">Tones on a path</h3>
                <ul className="space-y-2">
                  {TONES.map(([tone, end, words]) => (
                    <li
                      key={tone + end}
                      className="flex items-center gap-3 [--strip-ground:var(--color-base-100)]"
                    >
                      <svg
                        viewBox="-12 -12 24 24"
                        width="24"
                        height="24"
                        aria-hidden="true"
                        className="shrink-0"
                      >
                        <ToneGlyph tone={tone} end={end} x={0} y={0} size={20} />
                      </svg>
                      {words}
                    </li>
                  ))}
                </ul>
                <p className="muted mt-2 text-sm">
                  A tone does not make a conversation private. Listen first.
                </p>
              </section>
              <section className="sm:col-span-2">
                <h3 className="mb-2 font-semibold">Keys</h3>
                <dl className="grid gap-x-6 gap-y-1 sm:grid-cols-2">
                  {KEYS.map(([keys, words]) => (
                    <div key={keys} className="flex gap-3">
                      <dt className="w-24 font-mono">{keys}</dt>
                      <dd>{words}</dd>
                    </div>
                  ))}
                </dl>
                <LabelledCheck checked={letters} set={chooseLetters} className="mt-3">
                  Single keys work (/, ?, n, g). Esc, Alt and arrows always do.
                </LabelledCheck>
              </section>
            </div>
            <button type="button" className="btn btn-primary btn-sm mt-5" onClick={() => setOpen(false)}>
              Close
            </button>
          </>
        )}
      </dialog>
    </>
  );
}
