import { ALERT_EVENTS } from '@umbrex/core/facts';

/** Events by name, in a row. */
export function eventWords(codes: readonly string[]): string {
  const names = codes.map((code) => ALERT_EVENTS.find((event) => event.code === code)?.name ?? code);
  return names.length < 3 ? names.join(' and ') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`;
}
