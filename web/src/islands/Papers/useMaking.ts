import { useEffect, useRef, useState } from 'react';
import { address } from '../desk/ask';

/** How far a document is, as the server says it, one line after another. */
type Line =
  | { readonly at: 'sets'; readonly done: number; readonly of: number }
  | { readonly at: 'setting' }
  | { readonly at: 'writing'; readonly share: number }
  | { readonly at: 'done'; readonly name: string; readonly pdf: string }
  | { readonly at: 'stopped'; readonly why: 'not-here' | 'stopped' };

export type Making =
  | { readonly is: 'nothing' }
  /** @property share 0 to 1; `null` where nobody can say */
  | { readonly is: 'under-way'; readonly words: string; readonly share: number | null }
  | { readonly is: 'made'; readonly url: string; readonly name: string; readonly kB: number }
  | { readonly is: 'failed'; readonly words: string };

const WORDS = {
  'not-here': 'That is not there any more. Load this page again.',
  stopped: 'The document could not be made; the server’s log says why. Try once more.',
  often: 'Too many documents are being made just now. Try again in a minute.',
  forbidden: 'That is not for you to print.',
  silent: 'The server does not answer. Try again once it does.',
} as const;

/** One document after another: how far it is, and what came of it. A new one, or going away, gives up the one under way. */
export function useMaking(planId: string) {
  const [making, setMaking] = useState<Making>({ is: 'nothing' });
  const under = useRef<AbortController>(null);
  useEffect(() => () => under.current?.abort(), []);
  const cancel = () => {
    under.current?.abort();
    setMaking({ is: 'nothing' });
  };
  const make = async (query: Readonly<Record<string, string>>): Promise<void> => {
    under.current?.abort();
    const mine = new AbortController();
    under.current = mine;
    if (making.is === 'made') URL.revokeObjectURL(making.url);
    setMaking({ is: 'under-way', words: 'Reading the plan', share: null });
    try {
      const path = address('GET /api/plans/[planId]/print', { planId }, { ...query, progress: '1' });
      const response = await fetch(path, { signal: mine.signal });
      if (!response.ok) {
        const why =
          response.status === 429
            ? 'often'
            : response.status === 403
              ? 'forbidden'
              : response.status === 404
                ? 'not-here'
                : 'stopped';
        setMaking({ is: 'failed', words: WORDS[why] });
        return;
      }
      let last: Line | undefined;
      for await (const line of linesOf(response)) {
        last = line;
        setMaking(said(line));
      }
      // An answer that ends before its end was cut off.
      if (last?.at !== 'done' && last?.at !== 'stopped') setMaking({ is: 'failed', words: WORDS.stopped });
    } catch {
      if (!mine.signal.aborted) setMaking({ is: 'failed', words: WORDS.silent });
    }
  };
  return { making, make, cancel };
}

function said(line: Line): Making {
  switch (line.at) {
    case 'sets':
      return {
        is: 'under-way',
        words: `Sheet ${line.done + 1} of ${line.of}`,
        share: line.done / Math.max(1, line.of),
      };
    case 'setting':
      return { is: 'under-way', words: 'Laying out the pages', share: null };
    case 'writing':
      return { is: 'under-way', words: 'Writing the pages', share: line.share };
    case 'done': {
      const bytes = Uint8Array.from(atob(line.pdf), (letter) => letter.charCodeAt(0));
      const url = URL.createObjectURL(new Blob([bytes], { type: 'application/pdf' }));
      return { is: 'made', url, name: `${line.name}.pdf`, kB: Math.max(1, Math.round(bytes.length / 1000)) };
    }
    case 'stopped':
      return { is: 'failed', words: WORDS[line.why] };
    default:
      return line satisfies never;
  }
}

/** The lines of an answer as they come. */
async function* linesOf(response: Response): AsyncGenerator<Line> {
  const reader = response.body?.pipeThrough(new TextDecoderStream()).getReader();
  let rest = '';
  for (;;) {
    const { value, done } = (await reader?.read()) ?? { value: undefined, done: true };
    if (done) return;
    const parts = `${rest}${value}`.split('\n');
    rest = parts.pop() ?? '';
    for (const part of parts) yield JSON.parse(part) as Line;
  }
}
