import { failureText, NoAnswer, Refusal } from './api';
import { $notice } from './deskStore';

type Form = 'csv' | 'tsv' | 'xlsx' | 'json';
interface Props {
  /** Its rows in words, as in `17 people copied`. */
  rows: string;
  /** Where the server gives it in each form. */
  path: (as: Form) => string;
  forms?: readonly Form[];
}

/** A table for other programs: as a file, or copied so that it can be pasted into a spreadsheet. */
export function TakeOut({ rows: what, path, forms = ['csv', 'tsv', 'xlsx'] }: Props) {
  const copy = async () => {
    try {
      const answer = await fetch(path('tsv')).catch((error) => {
        throw new NoAnswer(String(error));
      });
      if (!answer.ok) throw new Refusal(answer.status, [], null);
      const text = await answer.text();
      // Only a page that came over a safe line, or from this machine, may write to the clipboard.
      if (!navigator.clipboard) {
        $notice.set({
          text: 'This browser does not let this page copy. Save the TSV file instead.',
          kind: 'failed',
        });
        return;
      }
      await navigator.clipboard.writeText(text);
      const rows = text.trimEnd().split('\n').length - 1;
      $notice.set({ text: `${rows} ${what} copied. Paste them into a spreadsheet.`, kind: 'done' });
    } catch (error) {
      const isRefused = error instanceof DOMException;
      $notice.set({
        text: isRefused ? 'The browser refused to copy. Save the TSV file instead.' : failureText(error),
        kind: 'failed',
      });
    }
  };
  return (
    <>
      <button type="button" className="btn btn-outline btn-sm" onClick={() => void copy()}>
        Copy for a spreadsheet
      </button>
      <span className="muted text-sm">Save as</span>
      {forms.map((as) => (
        <a key={as} className="link" href={path(as)} download>
          {as.toUpperCase()}
        </a>
      ))}
    </>
  );
}
