import { isOnAir, type SlotContent } from '@umbrex/core/model';
import type { DrawnRegion, PlaceState } from '@umbrex/core/procedure';
import { mhzText } from '@umbrex/core/units';
import { toneWords } from './tones';

/** What a place holds, on one line. */
export function contentBrief(content: SlotContent): string {
  switch (content.kind) {
    case 'unseen':
      return content.receiveHz === undefined
        ? 'something nobody has looked at'
        : `${mhzText(content.receiveHz)}, where it sends nobody has looked`;
    case 'area':
      return `area ${content.areaCode}`;
    case 'id':
      return [content.name, content.fleetId].filter(Boolean).join(', ');
    case 'text':
      return content.name;
    case 'network':
      return [content.name, mhzText(content.receiveHz), 'control channel'].filter(Boolean).join(', ');
  }
  return [
    content.name,
    mhzText(content.receiveHz),
    content.transmitTone && content.transmitTone !== 'off' && `sends ${toneWords(content.transmitTone)}`,
    content.receiveTone && content.receiveTone !== 'off' && `hears ${toneWords(content.receiveTone)}`,
  ]
    .filter(Boolean)
    .join(', ');
}

/** What a scan does with a place, in few words; nothing where the set has no say in it. */
export function scanBrief(content: SlotContent): string {
  if (!isOnAir(content)) return '';
  const { inScan, hasPriority, resumeDelayS } = content;
  const where =
    inScan === undefined ? '' : inScan === false ? 'left out' : inScan === true ? 'in' : `set ${inScan}`;
  const delay = resumeDelayS === undefined ? '' : resumeDelayS === 0 ? 'no delay' : `stays ${resumeDelayS} s`;
  return [where, hasPriority && 'priority', inScan !== false && delay].filter(Boolean).join(', ');
}

/** What is with a place: one word, and what it means. */
export const PLACE_TEXT: Readonly<Record<PlaceState, { word: string; meaning: string }>> = {
  empty: { word: 'empty', meaning: 'nothing is there and nothing comes' },
  unseen: { word: 'not looked', meaning: 'nobody knows what it holds' },
  earlier: { word: 'earlier', meaning: 'from an earlier state of the plan, stays as it is' },
  emptied: { word: 'emptied', meaning: 'from an earlier state of the plan, goes' },
  factory: { word: 'as made', meaning: 'holds what it left the factory with' },
  own: { word: 'own', meaning: 'the holder’s own, left alone' },
  kept: { word: 'kept', meaning: 'held back by its holder' },
  there: { word: 'right', meaning: 'holds already what the plan wants' },
  filled: { word: 'new', meaning: 'empty now, filled by the plan' },
  changed: { word: 'set', meaning: 'as made or not looked, set by the plan' },
  goes: { word: 'goes', meaning: 'the holder’s own, overwritten by the plan' },
};

export const REGION_TEXT: Readonly<Record<DrawnRegion['kind'], string>> = {
  fixed: 'frequencies from the factory',
  free: 'free',
  'receive-only': 'to listen only',
  areas: 'areas to sound for',
  own: 'who it is',
  calls: 'whom it can call',
  status: 'texts that it sends by a key',
  zones: 'name of a zone',
};
