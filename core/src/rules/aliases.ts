import type { Channel } from '../model/index';
import { type RuleContext, ruleRows } from './rows';

/**
 * The other names of a channel: what people here call it, and from the tables that have its frequencies the service's name
 * and number, older numbers, names in older listings. For searching.
 */
export function aliasesOf(
  channel: Pick<Channel, 'receiveHz' | 'transmitHz' | 'aliases'>,
  context: RuleContext,
): string[] {
  const published = ruleRows(channel, context).flatMap(({ channel: row, service }) =>
    row ? [row.name, ...service.words.map((word) => `${word} ${row.number}`), ...row.aliases] : [],
  );
  return [...channel.aliases, ...published];
}
