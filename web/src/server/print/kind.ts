import { CTCSS_TENTHS_HZ, DCS_CODES } from '@umbrex/core/facts';
import type { Description } from '@umbrex/core/model';
import { keyLines } from '@umbrex/core/procedure';
import { shownOn, tonesOn } from '@umbrex/core/tones';
import { hzTextFromTenths } from '@umbrex/core/units';
import type { Content } from 'pdfmake/interfaces';
import { head, keysDrawn, lined, mono, plain } from './parts';
import { heading, pdfOf, type Running, type Size } from './pdf';

/** What is so of every set of a kind, for the case that it lives in: what its keys do, and what it calls each tone and code. */
export function kindPaper(
  running: Running,
  description: Description,
  size: Size,
): Promise<Uint8Array<ArrayBuffer>> {
  const lines = keyLines(description, {});
  return pdfOf(running, {
    size,
    content: [
      heading(description.title),
      plain(description.pattern),
      heading('Key map', 2),
      ...(lines.length === 0
        ? [plain('Nobody has described what its keys do.')]
        : [
            lined(
              [130, '*', 190],
              [head(['Key', 'What it does', 'Back from a wrong one'])],
              lines.map(({ legend, heldMs, does, leave, setting }) => [
                keysDrawn([
                  { kind: 'key', legend, times: 1, ...(heldMs !== undefined && { heldMs }) },
                ]) as Content & object,
                plain(
                  does ??
                    (setting
                      ? `what is set under ${setting}`
                      : 'nobody has looked what it does on this kind'),
                ),
                plain(leave),
              ]),
            ),
          ]),
      heading('Tones and codes', 2),
      ...toneTable(description),
    ],
  });
}

/** So many pairs of tone and label stand side by side. */
const ACROSS = 4;

function toneTable(description: Description): Content[] {
  const tones = tonesOn(description);
  if (!tones.known) return [plain('Nobody has written down which tones it has, and what it calls them.')];
  const all = [
    ...CTCSS_TENTHS_HZ.map(hzTextFromTenths),
    ...DCS_CODES.flatMap((code) => [`D${code}N`, `D${code}I`]),
  ];
  const has = all.flatMap((tone) => {
    const shown = shownOn(tones, tone);
    return shown === undefined ? [] : [{ tone, shown }];
  });
  if (has.length === 0) return [plain('No tones are set on it.')];
  const rows = Math.ceil(has.length / ACROSS);
  return [
    plain(
      tones.split
        ? 'The tone that is sent and the one that is waited for are set apart.'
        : 'One tone stands for sending and for waiting.',
    ),
    lined(
      Array.from({ length: ACROSS * 2 }, () => '*'),
      [head(Array.from({ length: ACROSS }, () => ['On the air', 'It shows']).flat())],
      Array.from({ length: rows }, (_, row) =>
        Array.from({ length: ACROSS }, (_, k) => {
          // Down the column first, as such a list is read.
          const one = has[k * rows + row];
          return one ? [mono(one.tone), { ...mono(one.shown), bold: true }] : [plain(''), plain('')];
        }).flat(),
      ),
      { fontSize: 8.5 },
    ),
    ...missingText(all, (tone) => shownOn(tones, tone) !== undefined).map(plain),
  ];
}

/** What it has not of the tones in use; a whole sort of which it has none in one word. */
function missingText(all: readonly string[], has: (tone: string) => boolean): string[] {
  return ([false, true] as const).flatMap((isCode) => {
    const sort = all.filter((tone) => tone.startsWith('D') === isCode);
    const missing = sort.filter((tone) => !has(tone));
    if (missing.length === 0) return [];
    const word = isCode ? 'digital codes (DCS)' : 'tones (CTCSS)';
    return [
      missing.length === sort.length
        ? `It has no ${word}.`
        : `Of the ${word} it does not have ${missing.join(', ')}.`,
    ];
  });
}
