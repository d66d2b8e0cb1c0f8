import type { Channel } from '../model/index';
import { type RuleContext, ruleRows } from './rows';

/**
 * The other names of a channel, from the tables that have its frequencies: service name and number, older numbers, names in
 * older listings. For searching; a plan's own nicknames stand in the channel's name and note.
 */
export function aliasesOf(
  channel: Pick<Channel, 'receiveHz' | 'transmitHz'>,
  context: RuleContext,
): string[] {
  return ruleRows(channel, context).flatMap(({ channel: row, service }) =>
    row ? [row.name, ...service.words.map((word) => `${word} ${row.number}`), ...row.aliases] : [],
  );
}
