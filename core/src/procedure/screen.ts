import type { Behaviour, Description, ListItem, Native, Slot, SlotValues } from '../model/index';
import { mhzText } from '../units/index';

/** What a virtual device has to show: where it stands and what is being entered. */
export interface ScreenView {
  readonly description: Description;
  readonly lists: Readonly<Record<string, readonly ListItem[]>>;
  readonly slot: Slot;
  readonly values: SlotValues;
  readonly item: Behaviour['items'][number] | undefined;
  readonly itemValues: () => readonly ListItem[];
  readonly entry: string;
  readonly draft: Native;
  readonly cursor: number;
  /** What a search found and shows, in hertz, and how many finds it keeps. */
  readonly foundHz: number | undefined;
  readonly finds: number;
}

/** A display line taken apart: texts as they are, and marks with their width. */
export type ScreenLine = readonly (string | { readonly mark: string; readonly width: number })[];

/** Takes a display line apart at its marks, such as `{number:3}` (padded with zeros), `{label}` or `{draft}`. */
export function screenLine(line: string): ScreenLine {
  return line.split(/(\{\w+(?::\d+)?\})/).flatMap((part): ScreenLine => {
    const [, mark, width] = /^\{(\w+)(?::(\d+))?\}$/.exec(part) ?? [];
    return mark === undefined ? (part === '' ? [] : [part]) : [{ mark, width: Number(width ?? 0) }];
  });
}

/** Fills the marks of a display line. */
export function fillScreen(line: ScreenLine, view: ScreenView): string {
  let text = '';
  for (const part of line) text += typeof part === 'string' ? part : markText(part.mark, part.width, view);
  return text;
}

function markText(mark: string, width: number, view: ScreenView): string {
  const { slot, item, values } = view;
  switch (mark) {
    case 'number':
      return String(slot.number).padStart(width, '0');
    case 'label':
      return slot.label;
    case 'bank':
      return slot.bankName;
    case 'position':
      return String(slot.position).padStart(width, '0');
    case 'used':
      return values === null ? ' ' : '•';
    case 'name':
      return nameText(view) || receiveText(view);
    case 'receive':
      return receiveText(view);
    case 'item':
      return item?.number ?? '';
    case 'title':
      return item?.title ?? '';
    case 'entry':
      return view.entry.padEnd(width, '_');
    case 'cursor':
      return String(view.cursor + 1);
    case 'found':
      return view.foundHz === undefined ? '- - -' : mhzText(view.foundHz);
    case 'finds':
      return String(view.finds);
    case 'draft':
      return draftText(view);
    default:
      return fieldText(mark, values, view);
  }
}

function nameText({ description, values }: ScreenView): string {
  const field = description.fields.find((candidate) => candidate.holds === 'name');
  return field && values ? String(values[field.id] ?? '').trim() : '';
}

function receiveText({ description, slot, values }: ScreenView): string {
  const field = description.fields.find((candidate) => candidate.holds === 'receiveHz');
  const stored = field && values ? values[field.id] : undefined;
  const hz = slot.fixed?.receiveHz ?? (typeof stored === 'number' ? stored : undefined);
  return hz === undefined ? '- - -' : mhzText(hz);
}

function draftText({ item, draft, itemValues }: ScreenView): string {
  switch (item?.editor) {
    case 'letters':
    case 'digits':
      return String(draft);
    case 'frequency':
      return Number(draft) > 0 ? mhzText(Number(draft)) : '- - -';
    default:
      return itemValues()[Number(draft)]?.shown ?? '';
  }
}

function fieldText(id: string, values: SlotValues, { description, lists }: ScreenView): string {
  const field = description.fields.find((candidate) => candidate.id === id);
  if (!field || !values) return '';
  return lists[field.list ?? '']?.[Number(values[id])]?.shown ?? String(values[id] ?? '');
}
