import { type Channel, type Net, numbersWith, type Plan, wantedReceiveTone } from '@umbrex/core/model';
import { mhzText } from '@umbrex/core/units';
import type { Content, TableCell } from 'pdfmake/interfaces';
import { BOXES, clean, pdfOf, type Running, type Size } from './pdf';

/*
 * Two forms of the National Incident Management System, which are in the public domain: ICS 205, Incident Radio Communications Plan, and ICS 217A,
 * Communications Resource Availability Worksheet. Their blocks and the words in them are laid out as in the forms of 2010; from memory, not from the sheet.
 */

/** For which incident a form is filled in, and for which time; what nobody said stays empty, to be written by hand. */
export interface Incident {
  readonly name: string;
  readonly preparedBy: string;
  /** Day and time it was prepared. */
  readonly prepared: string;
  readonly from: string;
  readonly to: string;
}

const small = (text: string): Content => ({ text: clean(text), fontSize: 7.5, bold: true });
const cell = (text: string, more: object = {}): TableCell => ({ text: clean(text), fontSize: 8, ...more });
const mono = (text: string): TableCell => ({ text: clean(text), fontSize: 8, font: 'Mono' });
const head = (text: string): TableCell => ({ text, fontSize: 7.5, bold: true, alignment: 'center' });

/** A form as it is printed: on its side, with its head on every page. */
const formOf = (running: Running, title: string, incident: Incident, size: Size, content: Content[]) =>
  pdfOf(running, {
    size,
    pageOrientation: 'landscape',
    pageMargins: [36, 78, 36, 44],
    header: { margin: [36, 24, 36, 0], ...heads(title, incident) },
    content,
  });

/** N or W beside a frequency, as the forms want it; nothing where nobody knows. */
function width({ bandwidth }: Channel): string {
  return { narrow: ' N', wide: ' W', unknown: '' }[bandwidth];
}
/** A tone as the forms want it: its hertz, its code, or nothing. */
function formTone(tone: string): string {
  if (tone === 'off') return '';
  return tone === 'unknown' ? '?' : tone;
}
/** A for analogue, D for digital. */
const mode = ({ mode: how }: Channel) => (how === 'digital' ? 'D' : 'A');

/** ICS 205. @param nets who is on which channel in what duty */
export function ics205(
  running: Running,
  plan: Plan,
  nets: readonly Net[],
  incident: Incident,
  size: Size,
): Promise<Uint8Array<ArrayBuffer>> {
  const numbers = numbersWith(plan);
  const channels = plan.channels.filter(({ state }) => state !== 'withdrawn');
  const rows = channels.map((channel): TableCell[] => {
    const { id, groupId, name, receiveHz, transmitHz, note, state } = channel;
    const zone = plan.groups.findIndex((group) => group.id === groupId) + 1;
    return [
      mono(String(zone)),
      mono(String(numbers[id] ?? channels.indexOf(channel) + 1)),
      cell(plan.groups[zone - 1]?.name ?? ''),
      cell(name),
      cell(dutiesOn(nets, id).join(', ')),
      mono(`${mhzText(receiveHz)}${width(channel)}`),
      mono(formTone(wantedReceiveTone(channel, plan.receivePolicy))),
      mono(transmitHz === null ? 'receive only' : `${mhzText(transmitHz)}${width(channel)}`),
      mono(transmitHz === null ? '' : formTone(channel.transmitTone)),
      cell(mode(channel), { alignment: 'center' }),
      cell([state === 'planned' ? 'planned' : '', note].filter(Boolean).join(', ')),
    ];
  });
  return formOf(running, 'INCIDENT RADIO COMMUNICATIONS PLAN (ICS 205)', incident, size, [
    {
      layout: BOXES,
      table: {
        headerRows: 2,
        dontBreakRows: true,
        widths: [24, 22, 62, 110, 92, 60, 44, 60, 44, 30, '*'],
        body: [
          [
            {
              text: '4. Basic Radio Channel Use:',
              bold: true,
              fontSize: 8.5,
              colSpan: 11,
              outline: true,
              outlineText: 'ICS 205',
            },
            ...Array.from({ length: 10 }, () => ({})),
          ],
          [
            'Zone Grp.',
            'Ch #',
            'Function',
            'Channel Name/Trunked Radio System Talkgroup',
            'Assignment',
            'RX Freq N or W',
            'RX Tone/NAC',
            'TX Freq N or W',
            'TX Tone/NAC',
            'Mode (A, D, or M)',
            'Remarks',
          ].map(head),
          ...rows,
        ],
      },
    },
    {
      layout: BOXES,
      unbreakable: true,
      table: {
        widths: ['*', '*'],
        body: [
          [
            {
              colSpan: 2,
              stack: [
                small('5. Special Instructions:'),
                cell(
                  'Transmit only where licensed, identify as the rules ask. Never test on distress or calling channels. A tone is not privacy.',
                ) as Content,
              ],
            },
            {},
          ],
          [
            {
              stack: [
                small('6. Prepared by (Communications Unit Leader): Name:'),
                cell(incident.preparedBy) as Content,
              ],
            },
            small('Signature:') as TableCell,
          ],
        ],
      },
      margin: [0, 6, 0, 0],
    },
  ]);
}

/** ICS 217A. */
export function ics217a(
  running: Running,
  plan: Plan,
  incident: Incident,
  size: Size,
): Promise<Uint8Array<ArrayBuffer>> {
  const bands = bandsOf(plan.channels);
  const rows = bands.flatMap(({ band, channels }) =>
    channels.map((channel): TableCell[] => [
      cell(KIND_WORD[kindOfForm(channel)]),
      cell(channel.name),
      cell(channel.access === 'permission' ? 'by permission' : channel.access === 'open' ? 'open' : ''),
      mono(`${mhzText(channel.receiveHz)}${width(channel)}`),
      mono(formTone(wantedReceiveTone(channel, plan.receivePolicy))),
      mono(channel.transmitHz === null ? 'receive only' : `${mhzText(channel.transmitHz)}${width(channel)}`),
      mono(channel.transmitHz === null ? '' : formTone(channel.transmitTone)),
      cell(mode(channel), { alignment: 'center' }),
      cell([channel.state === 'on-air' ? '' : channel.state, band, channel.note].filter(Boolean).join(', ')),
    ]),
  );
  return formOf(running, 'COMMUNICATIONS RESOURCE AVAILABILITY WORKSHEET (ICS 217A)', incident, size, [
    {
      layout: BOXES,
      table: {
        headerRows: 1,
        dontBreakRows: true,
        widths: [66, 120, 70, 66, 48, 66, 48, 32, '*'],
        body: [
          [
            'Channel Configuration',
            'Channel Name/Trunked Radio System Talkgroup',
            'Eligible Users',
            'RX Freq N or W',
            'RX Tone/NAC',
            'TX Freq N or W',
            'TX Tone/NAC',
            'Mode A, D or M',
            'Remarks',
          ].map(
            (text, i): TableCell => ({
              text,
              fontSize: 7.5,
              bold: true,
              alignment: 'center',
              ...(i === 0 && { outline: true, outlineText: 'ICS 217A' }),
            }),
          ),
          ...rows,
        ],
      },
    },
    { text: `Prepared by: ${clean(incident.preparedBy)}`, fontSize: 8, margin: [0, 6, 0, 0] },
  ]);
}

const KIND_WORD = { repeater: 'Repeater', direct: 'Simplex', listen: 'Receive only' } as const;
const kindOfForm = ({ receiveHz, transmitHz }: Channel) =>
  transmitHz === null ? 'listen' : transmitHz === receiveHz ? 'direct' : 'repeater';

/** Channels by the band that they are heard in, as the worksheet is filled in band by band. Limits: ITU Radio Regulations, 2.1. */
function bandsOf(channels: readonly Channel[]): { band: string; channels: Channel[] }[] {
  const of = ({ receiveHz }: Channel) =>
    receiveHz < 30_000_000 ? 'HF' : receiveHz < 300_000_000 ? 'VHF' : 'UHF';
  return ['HF', 'VHF', 'UHF'].map((band) => ({ band, channels: channels.filter((one) => of(one) === band) }));
}

/** Who is on a channel in what duty, by the nets. */
function dutiesOn(nets: readonly Net[], channelId: string): string[] {
  return nets.flatMap((net) => [
    ...(net.channelId === channelId ? [net.name] : []),
    ...net.roles
      .filter((role) => role.channelId === channelId)
      .map(({ name, who }) => (who ? `${name}: ${who}` : name)),
  ]);
}

/** The blocks at the head of a form, on each of its pages. */
function heads(
  title: string,
  { name, prepared, from, to }: Incident,
): { layout: typeof BOXES; table: { widths: string[]; body: TableCell[][] } } {
  return {
    layout: BOXES,
    table: {
      widths: ['*', '*', '*'],
      body: [
        [{ text: title, bold: true, fontSize: 11, alignment: 'center', colSpan: 3 }, {}, {}],
        [
          { stack: [small('1. Incident Name:'), cell(name) as Content] },
          { stack: [small('2. Date/Time Prepared:'), cell(prepared) as Content] },
          {
            stack: [
              small('3. Operational Period:'),
              cell(`From: ${from || '____________'}   To: ${to || '____________'}`) as Content,
            ],
          },
        ],
      ],
    },
  };
}
