import type { Card } from '@umbrex/core/card';
import { mhzText } from '@umbrex/core/units';
import type { Content, TableCell } from 'pdfmake/interfaces';
import { cardTone, showsText } from '../../messages/card';
import { CUT, clean, pdfOf, type Running, type Size } from './pdf';

/** A credit card, in points. Source: ISO/IEC 7810, ID-1: 85.60 by 53.98 mm. */
const CARD = { width: 242.6, height: 153 };
/** So many lines stand on one panel, and so many panels side by side and below each other. */
const LINES_A_PANEL = 15;
const ACROSS = 2;
const DOWN = 4;
/** As long as a code for any phone's reader may be, in bytes. */
export const MOST_BYTES = 1000;

/**
 * One person's card to be cut out and folded to the size of a credit card: all their sets with what each shows, a code for the live card, and one with the
 * channels that must be there as plain text, for any phone.
 * @param address of the live card
 */
export function pocketCard(
  running: Running,
  card: Card,
  address: string,
  size: Size,
): Promise<Uint8Array<ArrayBuffer>> {
  const panels = [front(card, address, running), ...card.sets.flatMap((set) => setPanels(card, set))];
  const rows: TableCell[][] = [];
  for (let at = 0; at < panels.length; at += ACROSS)
    rows.push(Array.from({ length: ACROSS }, (_, k) => panels[at + k] ?? { text: '' }));
  const pages: TableCell[][][] = [];
  for (let at = 0; at < rows.length; at += DOWN) pages.push(rows.slice(at, at + DOWN));
  return pdfOf(running, {
    size,
    pageMargins: [40, 34, 40, 40],
    content: pages.flatMap((body, i): Content[] => [
      {
        text: 'Cut round the outside; fold on the inner lines.',
        fontSize: 8,
        ...(i > 0 && { pageBreak: 'before' as const }),
        ...(i === 0 && { outline: true, outlineText: clean(`Card of ${card.person?.name ?? ''}`) }),
      },
      {
        table: {
          widths: Array.from({ length: ACROSS }, () => CARD.width - 10),
          heights: CARD.height - 8,
          body,
        },
        layout: CUT,
      },
    ]),
  });
}

function front(card: Card, address: string, { state, day }: Running): TableCell {
  return {
    stack: [
      { text: clean(card.person?.name ?? 'Card'), bold: true, fontSize: 12 },
      { text: clean(`${state}, ${day}`), fontSize: 8 },
      {
        margin: [0, 4, 0, 0],
        columns: [
          {
            width: 96,
            stack: [
              { qr: address, fit: 86 },
              { text: 'the live card', fontSize: 7 },
            ],
          },
          {
            width: '*',
            stack: [
              { qr: mustText(card), fit: 110 },
              { text: 'the channels, as text', fontSize: 7 },
            ],
          },
        ],
      },
    ],
  };
}

/** A set on as many panels as its channels need. */
function setPanels(card: Card, set: Card['sets'][number]): TableCell[] {
  const names = new Map(
    card.channels.map(({ id, name, state }) => [id, state === 'on-air' ? name : `${name} (${state})`]),
  );
  const places = card.kinds[set.kind]?.places ?? [];
  const panels: TableCell[] = [];
  for (let at = 0; at === 0 || at < places.length; at += LINES_A_PANEL) {
    const some = places.slice(at, at + LINES_A_PANEL);
    panels.push({
      stack: [
        {
          text: clean(
            `${set.nickname}${at > 0 ? ', further' : ''}${set.toLoad.length > 0 ? ', once it is loaded' : ''}`,
          ),
          bold: true,
          fontSize: 8.5,
        },
        ...(some.length === 0 ? [{ text: 'The plan has nothing for it.', fontSize: 7.5 }] : []),
        ...some.map(
          (place): Content => ({
            fontSize: 7,
            lineHeight: 1,
            columns: [
              { text: clean(showsText(place)), font: 'Mono', bold: true, width: 78 },
              {
                text: clean(`${names.get(place.channelId) ?? ''}${place.sends === 'yes' ? '' : ', listen'}`),
                width: '*',
              },
            ],
          }),
        ),
      ],
    });
  }
  return panels;
}

/**
 * The channels that must be there as plain text, one a line, in at most a thousand bytes; what does not fit is told by its number. Tones that the group
 * keeps to itself are never in it: it is read by whoever finds it.
 */
export function mustText(card: Card): string {
  const lines = card.channels
    .filter(({ tier, state }) => tier === 'must' && state === 'on-air')
    .map(({ name, receiveHz, transmitHz, transmitTone, isSecret }) => {
      const sends =
        transmitHz === null ? 'listen' : transmitHz === receiveHz ? 'direct' : `send ${mhzText(transmitHz)}`;
      const tone =
        transmitHz === null || transmitTone === 'off' || isSecret ? '' : ` ${cardTone(transmitTone)}`;
      return `${name} ${mhzText(receiveHz)} ${sends}${tone}`;
    });
  const head = `${card.planName}${card.revision === null ? '' : ` ${card.revision}`}`;
  for (let count = lines.length; count >= 0; count--) {
    const left = lines.length - count;
    const text = [head, ...lines.slice(0, count), ...(left > 0 ? [`and ${left} more`] : [])].join('\n');
    if (Buffer.byteLength(text) <= MOST_BYTES) return text;
  }
  return head.slice(0, 200);
}
