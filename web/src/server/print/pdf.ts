import { createRequire } from 'node:module';
import { MessageChannel } from 'node:worker_threads';
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces';
import Piscina from 'piscina';
import { TooOften } from '../problem';

export const SIZES = ['A4', 'LETTER'] as const;
export type Size = (typeof SIZES)[number];

/** What stands on every page: what it is, of which state, on which day. */
export interface Running {
  readonly title: string;
  /** The plan and its state. */
  readonly state: string;
  readonly day: string;
  /** Given up when whoever asked for it went away. */
  readonly signal?: AbortSignal;
  /** Hears how far it is. */
  readonly onStep?: (
    step: { readonly at: 'setting' } | { readonly at: 'writing'; readonly share: number },
  ) => void;
}

/** Documents are set in a thread of their own, two at a time. */
const setters = new Piscina<unknown, Uint8Array<ArrayBuffer>>({
  filename: createRequire(import.meta.url).resolve('#setter'),
  minThreads: 0,
  maxThreads: 2,
  // Kept for the next one of a few that come one after another.
  idleTimeout: 20_000,
  maxQueue: 40,
});

/** A document as it is printed: black on white, with what it is, its state, its day and `page x of y` on every page. */
export async function pdfOf(
  { title, state, day, signal, onStep }: Running,
  {
    size,
    ...rest
  }: Pick<TDocumentDefinitions, 'content' | 'pageOrientation' | 'pageMargins'> & {
    size: Size;
    /** At the head of each page. */
    header?: Content;
  },
): Promise<Uint8Array<ArrayBuffer>> {
  if (setters.queueSize >= setters.options.maxQueue) throw new TooOften(20);
  const { port1, port2 } = new MessageChannel();
  onStep?.({ at: 'setting' });
  port1.on('message', (share: number) => onStep?.({ at: 'writing', share }));
  const foot = clean(`${title} · ${state} · ${day}`);
  try {
    return await setters.run(
      { size, rest, title: `${title}: ${state}`, foot, port: port2 },
      { transferList: [port2], ...(signal && { signal }) },
    );
  } finally {
    port1.close();
  }
}

/** What the Latin subset of the fonts that ship has letters for, by its own unicode-range, and the signs of keys and boxes. */
const HAS =
  /^[\u0020-\u007e\u00a0-\u00ff\u0131\u0152\u0153\u02bb\u02bc\u02c6\u02da\u02dc\u2010-\u2027\u2030-\u205e\u20ac\u2122\u2191\u2193\u2212\u2215\u2423\u25a0-\u2609\u270b-\u271c]$/u;
const INSTEAD: Readonly<Record<string, string>> = { '→': '>', '←': '<', '↻': '(right)', '↺': '(left)' };
/** A text as the fonts can draw it: a letter that they have none of as its plain one (`ź` as `z`), else as a question mark, never as nothing. */
export const clean = (text: string): string =>
  [...text.normalize('NFC')]
    .map((letter) => {
      if (HAS.test(letter)) return letter;
      const [plain = ''] = letter.normalize('NFD');
      return INSTEAD[letter] ?? (plain !== letter && HAS.test(plain) ? plain : '?');
    })
    .join('');

/** A heading that stands in the bookmarks too. */
export const heading = (text: string, level: 1 | 2 = 1): Content => ({
  text: clean(text),
  bold: true,
  fontSize: level === 1 ? 15 : 11.5,
  margin: [0, level === 1 ? 0 : 8, 0, 3],
  outline: true,
  outlineText: clean(text),
  headlineLevel: level,
});

/** How tables are drawn; the setter has them by name. */
export const LINES = 'lines';
export const BOXES = 'boxes';
export const CUT = 'cut';

/** A document as an answer, to be looked at or kept. */
export const pdfResponse = (bytes: Uint8Array<ArrayBuffer>, name: string): Response =>
  new Response(bytes, {
    headers: {
      'content-type': 'application/pdf',
      'content-disposition': `inline; filename="${name}.pdf"`,
      'cache-control': 'no-store',
    },
  });
