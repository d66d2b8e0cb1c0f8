// @ts-check
/** Sets documents as PDF, in a thread of its own: a long one takes seconds, and nobody else waits meanwhile. */
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import pdfmake from 'pdfmake';
import { unpacked } from './woff.mjs';

const require = createRequire(import.meta.url);
/**
 * `.woff`, never `.woff2`: of that the letters can be marked, and are not seen. Unpacked once, and kept under its name.
 * @param {string} family @param {number} weight @param {string} [style] @param {string} [subset]
 */
const font = (family, weight, style = 'normal', subset = 'latin') => {
  const name = `${family}-${subset}-${weight}-${style}`;
  const file = require.resolve(`@fontsource/${family}/files/${name}.woff`);
  pdfmake.virtualfs.writeFileSync(name, unpacked(readFileSync(file)));
  return name;
};
/** @param {string} name */
const family = (name) => ({
  normal: font(name, 400),
  bold: font(name, 700),
  italics: font(name, 400, 'italic'),
  bolditalics: font(name, 700, 'italic'),
});
const signs = font('noto-sans-symbols-2', 400, 'normal', 'symbols');
const FONTS = {
  Next: family('atkinson-hyperlegible-next'),
  Mono: family('atkinson-hyperlegible-mono'),
  // Signs that are printed on keys; the others have none of them.
  Signs: { normal: signs, bold: signs, italics: signs, bolditalics: signs },
};
pdfmake.setFonts(FONTS);
// A document takes in the fonts that ship, and nothing else from anywhere.
pdfmake.setLocalAccessPolicy(() => false);
pdfmake.setUrlAccessPolicy(() => false);
pdfmake.setTableLayouts({
  // Fine lines between the rows of a table, a stronger one below its head.
  lines: {
    hLineWidth: (i, node) =>
      i === (node.table.headerRows ?? 0) ? 1 : i === node.table.body.length ? 0.5 : 0.35,
    vLineWidth: () => 0,
    paddingLeft: () => 2,
    paddingRight: () => 4,
    paddingTop: () => 1.6,
    paddingBottom: () => 1.6,
  },
  // The boxes of a form.
  boxes: {
    hLineWidth: () => 0.7,
    vLineWidth: () => 0.7,
    paddingLeft: () => 2.5,
    paddingRight: () => 2.5,
    paddingTop: () => 1.8,
    paddingBottom: () => 1.8,
  },
  // Where it is to be cut.
  cut: {
    hLineStyle: () => ({ dash: { length: 3 } }),
    vLineStyle: () => ({ dash: { length: 3 } }),
    hLineWidth: () => 0.5,
    vLineWidth: () => 0.5,
    paddingLeft: () => 5,
    paddingRight: () => 5,
    paddingTop: () => 4,
    paddingBottom: () => 4,
  },
});

/** What only the font of signs has. Source: its own table of letters. */
const SIGNS = /[\u2423\u25a0-\u2609\u270b-\u271c]+/u;

/** A text in pieces, each in a font that has its letters. @param {string} text @param {object} [look] what is drawn round each @returns {any} */
function pieces(text, look = {}) {
  if (!SIGNS.test(text)) return text;
  return text
    .split(/([\u2423\u25a0-\u2609\u270b-\u271c]+)/u)
    .filter(Boolean)
    .map((piece) => (SIGNS.test(piece) ? { ...look, text: piece, font: 'Signs' } : { ...look, text: piece }));
}

/** What is not handed on to the pieces of a text by itself. @param {any} part */
const lookOf = ({ background, decoration }) => ({
  ...(background && { background }),
  ...(decoration && { decoration }),
});

/** A part of a document, each text of it in fonts that have its letters. @param {any} part @returns {any} */
function withSigns(part) {
  if (typeof part === 'string') {
    const split = pieces(part);
    return typeof split === 'string' ? split : { text: split };
  }
  if (Array.isArray(part)) return part.map(withSigns);
  if (part === null || typeof part !== 'object') return part;
  return Object.fromEntries(
    Object.entries(part).map(([key, value]) => {
      if (key === 'text')
        return [key, typeof value === 'string' ? pieces(value, lookOf(part)) : withSigns(value)];
      if (['stack', 'columns', 'ol', 'ul', 'body', 'content'].includes(key)) return [key, withSigns(value)];
      return [key, key === 'table' ? withSigns(value) : value];
    }),
  );
}

/**
 * Sets one document: black on white, with what it is, its state, its day and `page x of y` on every page.
 * @param {{ size: string, title: string, foot: string, rest: any, port: import('node:worker_threads').MessagePort }} document `port` hears how far it is, 0 to 1
 * @returns {Promise<Uint8Array>}
 */
export default async function set({ size, title, foot, rest, port }) {
  const { header, content, ...more } = rest;
  let said = 0;
  pdfmake.setProgressCallback((share) => {
    if (share - said < 0.1) return;
    said = share;
    port.postMessage(share);
  });
  const made = pdfmake.createPdf({
    pageSize: size,
    pageMargins: [36, 40, 36, 44],
    info: { title, creator: 'Umbrex', producer: 'Umbrex' },
    // A heading at the foot of a page goes over to what it is of.
    pageBreakBefore: (node, nodes) =>
      node.headlineLevel === 2 && nodes.getFollowingNodesOnPage().length === 0,
    defaultStyle: { font: 'Next', fontSize: 9.5, color: 'black' },
    ...more,
    content: withSigns(content),
    // A fresh one for each page: what is laid out is written into.
    ...(header && { header: () => withSigns(structuredClone(header)) }),
    footer: (page, pages) => ({
      margin: [36, 12, 36, 0],
      fontSize: 8,
      columns: [
        { text: withSigns(foot), width: '*' },
        { text: `page ${page} of ${pages}`, alignment: 'right', width: 80 },
      ],
    }),
  });
  const bytes = new Uint8Array(await made.getBuffer());
  port.close();
  return bytes;
}
