import type { CheckKind } from '@umbrex/core/model';
import { mhzText } from '@umbrex/core/units';
import type { Trial, Verification } from '@umbrex/core/verify';
import { counted, listOf } from './labels';

/** What is done for a check. @param where its place in words; empty for the whole set */
export function trialTitle(check: CheckKind, where: string): string {
  switch (check) {
    case 'read-back':
      return `Read back ${where}`;
    case 'power-cycle':
      return 'Switch it off and on: it keeps what it holds';
    case 'heard':
      return `Hear somebody on ${where}`;
    case 'sent':
      return `Be heard on ${where}`;
    case 'blocked':
      return `Press talk on ${where}, into a dummy load: it must not send`;
    case 'returned':
      return `Call the repeater of ${where}: it answers`;
    case 'two-way':
      return `Speak on ${where}, both ways`;
    case 'scan':
      return 'Scan: it stops where it should, and goes on';
    case 'signal':
      return `Look for the signal of ${where}; traffic may come later`;
    case 'audio-proven':
      return 'Hear the voice of the weather transmitter';
    case 'area-filter-proven':
      return 'It sounded at the weekly test, for its own area';
    default:
      return check satisfies never;
  }
}

/** What must be known before a check is tried; nothing for most. */
export function trialCaution({ radiatesHz, onDummyLoad, needsLeave, undo }: Trial): string {
  return [
    radiatesHz !== null &&
      `Sends on ${mhzText(radiatesHz)} MHz: listen first, say who you are, keep it short.`,
    needsLeave && 'Only with its owner’s permission.',
    onDummyLoad &&
      'Read it back first; never with an antenna. Where the set has two lines, on each that is used.',
    undo && `Undone by ${undo.title} ${undo.shown}, once its holder may send there.`,
  ]
    .filter(Boolean)
    .join(' ');
}

/** What a list of checks leaves out, and why. */
export function leftOutText({ leavesOut, isBlind, neverPressed }: Verification): string {
  return [
    leavesOut.length > 0 &&
      `${counted(leavesOut.length, 'place')} not tried: their banks, kinds of tone and powers are tried at others. A slip at one of them alone stays unseen.`,
    isBlind && 'It has no display: nothing can be read back.',
    neverPressed.length > 0 &&
      `Talk is never pressed at number ${listOf(neverPressed.map(String))}: for distress or calling, reading back is enough.`,
  ]
    .filter(Boolean)
    .join(' ');
}
