import type { CalendarEntry } from '@umbrex/core/calendar';
import { counted } from './labels';

/** So many are named in a title; of more it is said how many. */
const MOST_NAMED = 3;

/** What an entry is called in somebody's calendar. */
export function entryTitle({ code, names }: Pick<CalendarEntry, 'code' | 'names'>): string {
  const who = names.length <= MOST_NAMED ? names.join(', ') : counted(names.length, 'set');
  switch (code) {
    case 'net':
    case 'event':
      return who;
    case 'bench':
      return `Bench day: ${who}`;
    case 'revision':
      return `From today: ${who}`;
    case 'plan-load':
      return `The sets are loaded: ${who}`;
    case 'licence-ends':
      return `A licence of ${who} ends`;
    case 'licensed-ends':
      return `The licence of ${who} ends`;
    case 'permission-ends':
      return `The permission for ${who} ends`;
    case 'ask-again':
      return `Ask again for permission: ${who}`;
    case 'facts-review':
      return `Look at what is said of ${who}: it is a year old`;
    case 'cells-clock':
      return `Clocks change: fresh cells for ${who}`;
    case 'cells-due':
      return `Cells a year old: ${who}`;
    case 'memory-cell':
      return `The cell that keeps the memory of ${who}: change it, with the set on its supply`;
    case 'alert-test':
      return `Listen for the weekly test: ${who}`;
    case 'firmware':
      return `Look at the firmware: ${names.length <= MOST_NAMED ? names.join(', ') : counted(names.length, 'kind')} of set`;
    default:
      return code satisfies never;
  }
}

/** What is said below the title. */
export function entryNote({ code, names, note }: Pick<CalendarEntry, 'code' | 'names' | 'note'>): string {
  if (code === 'memory-cell')
    return note === 'unknown'
      ? 'Nobody knows when it was changed. A flat one loses what the set holds.'
      : `Changed last on ${note}. A flat one loses what the set holds.`;
  return [names.length > MOST_NAMED ? names.join(', ') : '', note].filter(Boolean).join('\n');
}
