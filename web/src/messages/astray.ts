import type { Slip } from '@umbrex/core/astray';
import { counted, listOf } from './labels';

/** What the hand did, in words. */
export function slipText(kind: Slip['kind'], legend: string): string {
  switch (kind) {
    case 'missed':
      return `the key ${legend} was not pressed, or not far enough`;
    case 'twice':
      return `the key ${legend} was pressed once too often`;
    case 'held':
      return `the key ${legend} was held too long`;
    case 'short':
      return `the key ${legend} was not held long enough`;
    case 'late':
      return `the key ${legend} came too late: the set had stopped waiting`;
    default:
      return kind satisfies never;
  }
}

/** What that did to the set. @param isMended whether the way back puts it right */
export function harmText(
  { harmed, settings, sent }: { harmed: readonly string[]; settings: readonly string[]; sent: boolean },
  isMended: boolean,
): string {
  const changed = [
    ...(harmed.length > 0 ? [`${harmed.length === 1 ? 'place' : 'places'} ${listOf(harmed)}`] : []),
    ...(settings.length > 0 ? [`${counted(settings.length, 'setting')} (${settings.join(', ')})`] : []),
  ];
  const out = sent ? ' It sent on the air for a moment.' : '';
  if (changed.length === 0) return `Nothing was harmed.${out}`;
  return `It changed ${changed.join(' and ')}${isMended ? '; going on as below puts that right' : ''}.${out}`;
}
