import { createRequire } from 'node:module';
import pdfmake from 'pdfmake';
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces';

const require = createRequire(import.meta.url);
/** `.woff`, never `.woff2`: of that the letters can be marked, and are not seen. */
const font = (family: string, weight: number, style = 'normal'): string =>
  require.resolve(`@fontsource/${family}/files/${family}-latin-${weight}-${style}.woff`);
const family = (name: string) => ({
  normal: font(name, 400),
  bold: font(name, 700),
  italics: font(name, 400, 'italic'),
  bolditalics: font(name, 700, 'italic'),
});
const FONTS = {
  Next: family('atkinson-hyperlegible-next'),
  Mono: family('atkinson-hyperlegible-mono'),
};
const allowed = new Set(Object.values(FONTS).flatMap((one) => Object.values(one)));
pdfmake.setFonts(FONTS);
// A document takes in the fonts that ship, and nothing else from anywhere.
pdfmake.setLocalAccessPolicy((path) => allowed.has(path));
pdfmake.setUrlAccessPolicy(() => false);

export const SIZES = ['A4', 'LETTER'] as const;
export type Size = (typeof SIZES)[number];

/** What stands on every page: what it is, of which state, on which day. */
export interface Running {
  readonly title: string;
  /** The plan and its state. */
  readonly state: string;
  readonly day: string;
}

/** A document as it is printed: black on white, with what it is, its state, its day and `page x of y` on every page. */
export async function pdfOf(
  running: Running,
  document: Omit<TDocumentDefinitions, 'defaultStyle' | 'footer'> & { size: Size },
): Promise<Uint8Array<ArrayBuffer>> {
  const { size, ...rest } = document;
  const made = pdfmake.createPdf({
    pageSize: size,
    pageMargins: [36, 40, 36, 44],
    info: { title: `${running.title}: ${running.state}`, creator: 'Umbrex', producer: 'Umbrex' },
    // A heading at the foot of a page goes over to what it is of.
    pageBreakBefore: (node, nodes) =>
      node.headlineLevel === 2 && nodes.getFollowingNodesOnPage().length === 0,
    defaultStyle: { font: 'Next', fontSize: 9.5, color: 'black' },
    ...rest,
    footer: (page, pages): Content => ({
      margin: [36, 12, 36, 0],
      fontSize: 8,
      columns: [
        { text: clean(`${running.title} · ${running.state} · ${running.day}`), width: '*' },
        { text: `page ${page} of ${pages}`, alignment: 'right', width: 80 },
      ],
    }),
  });
  return new Uint8Array(await made.getBuffer());
}

/** What the Latin subset of the fonts that ship has letters for. Source: its own unicode-range. */
const HAS =
  /^[\u0020-\u007e\u00a0-\u00ff\u0131\u0152\u0153\u02bb\u02bc\u02c6\u02da\u02dc\u2010-\u2027\u2030-\u205e\u20ac\u2122\u2191\u2193\u2212\u2215]$/u;
/** A text as the fonts can draw it: a letter that they have none of as its plain one (`ź` as `z`), else as a question mark, never as nothing. */
export const clean = (text: string): string =>
  [...text.normalize('NFC')]
    .map((letter) => {
      if (HAS.test(letter)) return letter;
      const [plain = ''] = letter.normalize('NFD');
      return plain !== letter && HAS.test(plain) ? plain : '?';
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

/** Fine lines between the rows of a table, a stronger one below its head. */
export const LINES = {
  hLineWidth: (i: number, node: { table: { headerRows?: number | undefined; body: unknown[] } }) =>
    i === (node.table.headerRows ?? 0) ? 1 : i === node.table.body.length ? 0.5 : 0.35,
  vLineWidth: () => 0,
  paddingLeft: () => 2,
  paddingRight: () => 4,
  paddingTop: () => 1.6,
  paddingBottom: () => 1.6,
} as const;
/** The boxes of a form. */
export const BOXES = {
  hLineWidth: () => 0.7,
  vLineWidth: () => 0.7,
  paddingLeft: () => 2.5,
  paddingRight: () => 2.5,
  paddingTop: () => 1.8,
  paddingBottom: () => 1.8,
} as const;

/** A document as an answer, to be looked at or kept. */
export const pdfResponse = (bytes: Uint8Array<ArrayBuffer>, name: string): Response =>
  new Response(bytes, {
    headers: {
      'content-type': 'application/pdf',
      'content-disposition': `inline; filename="${name}.pdf"`,
      'cache-control': 'no-store',
    },
  });
