import type { BoardKind } from '@umbrex/core/fit';
import { numbersWith, type Plan, wantedReceiveTone } from '@umbrex/core/model';
import { mhzText } from '@umbrex/core/units';
import type { Content } from 'pdfmake/interfaces';
import { STATE_TEXT } from '../../messages/channelState';
import { listOf } from '../../messages/labels';
import { toneWords } from '../../messages/tones';
import { clean, heading, LINES, pdfOf, type Running, type Size } from './pdf';

const mono = (text: string): Content => ({ text: clean(text), font: 'Mono' });
const plain = (text: string): Content => ({ text: clean(text) });
const head = (texts: readonly string[]): Content[] =>
  texts.map((text) => ({ text, bold: true, fontSize: 8.5 }));

/** The list for the wall: every channel of the plan by its group, and where it stands on each kind of set. */
export function wallList(
  running: Running,
  plan: Plan,
  kinds: readonly BoardKind[],
  size: Size,
): Promise<Uint8Array<ArrayBuffer>> {
  const numbers = numbersWith(plan);
  const labels = labelsOn(kinds);
  const groups = plan.groups.flatMap(({ id, name }): Content[] => {
    const channels = plan.channels.filter(({ groupId }) => groupId === id);
    if (channels.length === 0) return [];
    return [
      heading(name, 2),
      {
        layout: LINES,
        table: {
          headerRows: 1,
          dontBreakRows: true,
          keepWithHeaderRows: 1,
          widths: [20, 110, 62, 62, 58, 58, '*'],
          body: [
            head([
              'No.',
              'Channel',
              'You hear',
              'You send',
              'You send tone',
              'Set waits for',
              'Where on which set',
            ]),
            ...channels.map((channel) => [
              mono(String(numbers[channel.id] ?? '')),
              plain(
                `${channel.name}${channel.state === 'on-air' ? '' : ` (${STATE_TEXT[channel.state]})`}${channel.note ? `, ${channel.note}` : ''}`,
              ),
              mono(mhzText(channel.receiveHz)),
              mono(channel.transmitHz === null ? 'listen only' : mhzText(channel.transmitHz)),
              plain(channel.transmitHz === null ? '' : toneWords(channel.transmitTone)),
              plain(toneWords(wantedReceiveTone(channel, plan.receivePolicy))),
              plain(labels.get(channel.id) ?? ''),
            ]),
          ],
        },
      },
    ];
  });
  return pdfOf(running, {
    size,
    pageOrientation: 'landscape',
    content: [
      heading(plan.name),
      plain('Transmit only where you are licensed; check your local rules. A tone is not privacy.'),
      ...groups,
    ],
  });
}

/** Where each channel stands on which kinds of set, as one line: kinds on which it has the same label together. */
function labelsOn(kinds: readonly BoardKind[]): Map<string, string> {
  const byChannel = new Map<string, Map<string, string[]>>();
  for (const { title, cells } of kinds) {
    const name = title.split(',')[0] ?? title;
    for (const { channelId, slot } of cells) {
      if (!slot) continue;
      const labels = byChannel.get(channelId) ?? new Map<string, string[]>();
      byChannel.set(channelId, labels);
      const there = labels.get(name) ?? [];
      if (!there.includes(slot.label)) labels.set(name, [...there, slot.label]);
    }
  }
  return new Map(
    [...byChannel].map(([id, labels]) => [
      id,
      [...labels].map(([name, all]) => `${name} ${listOf(all)}`).join('; '),
    ]),
  );
}

/** Somebody on the list of those who can be reached. */
export interface Contact {
  readonly name: string;
  readonly contact: string;
  readonly callSigns: readonly string[];
  readonly teams: readonly string[];
  readonly sets: readonly string[];
}

/** Who there is, how they are reached, and which sets they hold. */
export function contactList(
  running: Running,
  people: readonly Contact[],
  size: Size,
): Promise<Uint8Array<ArrayBuffer>> {
  return pdfOf(running, {
    size,
    content: [
      heading('People'),
      plain('Names and numbers of people: keep it among yourselves, and destroy what is old.'),
      {
        margin: [0, 6, 0, 0],
        layout: LINES,
        table: {
          headerRows: 1,
          dontBreakRows: true,
          widths: [110, 120, 60, 90, '*'],
          body: [
            head(['Name', 'How to reach them', 'Call sign', 'Teams', 'Sets']),
            ...people.map(({ name, contact, callSigns, teams, sets }) => [
              plain(name),
              plain(contact),
              mono(callSigns.join(', ')),
              plain(teams.join(', ')),
              plain(sets.join(', ')),
            ]),
          ],
        },
      },
    ],
  });
}
