import type { HeardDraft } from './draft';
import type { LineKnown } from './items';
import { readHeardLine } from './line';

/**
 * A call as a line that reads as it again: names that nothing is called by stand in quotation marks. What a line cannot say, as who wrote it and how it
 * was settled, is not in it.
 * @param local the day (YYYY-MM-DD) and time (HH:MM) of the call on the clocks there
 */
export function lineOf(
  call: Omit<HeardDraft, 'fromId' | 'toId' | 'time'>,
  local: { readonly day: string; readonly time: string },
  known: LineKnown,
): string {
  const channel = known.channels.find(({ id }) => id === call.channelId);
  const named = (name: string) => (isKnown(name, known) ? name : `"${name.replace(/"/g, '’')}"`);
  const how = [
    ...(call.readability === 'unknown' ? [] : [String(call.readability)]),
    ...(call.strength === 'unknown' ? [] : [call.strength.replace('-', ' ')]),
  ];
  return [
    local.day,
    local.time,
    named(call.from),
    call.heard ? (how.length > 0 ? '>' : 'heard by') : 'not heard by',
    named(call.to),
    ...(channel ? [`on ${channel.name}`] : []),
    ...(call.way === 'unknown' || call.way === channel?.kind ? [] : [call.way]),
    ...(call.heard ? how : []),
    ...(call.fromWhere ? [`from "${call.fromWhere.replace(/"/g, '’')}"`] : []),
    ...(call.toWhere ? [`at "${call.toWhere.replace(/"/g, '’')}"`] : []),
    ...(call.note ? [`// ${call.note}`] : []),
  ].join(' ');
}

/** Whether a name is read as one word by itself. */
function isKnown(name: string, known: LineKnown): boolean {
  const { questions } = readHeardLine(`${name} > "somebody else" 5`, known);
  return !questions.some(({ blocking, code }) => blocking && code !== 'heard-channel');
}
