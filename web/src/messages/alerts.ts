import type { AlertOutcome, AlertTrial } from '@umbrex/core/air';
import { ALERT_EVENTS } from '@umbrex/core/facts';

/** Events by name, in a row. */
export function eventWords(codes: readonly string[]): string {
  const names = codes.map((code) => ALERT_EVENTS.find((event) => event.code === code)?.name ?? code);
  return names.length < 3 ? names.join(' and ') : `${names.slice(0, -1).join(', ')} and ${names.at(-1)}`;
}

const SILENT: Readonly<Record<Extract<AlertOutcome, { sounds: false }>['why'], string>> = {
  'other-transmitter': 'it hears another transmitter',
  'switched-off': 'the event is switched off',
  'no-area': 'it holds no area',
  'other-area': 'it is for another area',
  'not-known': 'nobody has looked at all that it holds',
};

const BY: Readonly<Record<string, string>> = {
  voice: ', by voice',
  siren: ', by siren',
  light: ', by its light alone: nobody asleep hears that',
};

/** What a set does with a made-up message, and what the plan wanted where that is something else. */
export function trialText({ about, message, wanted, outcome }: AlertTrial): string {
  const where = about === 'neighbour' ? `${message.areas[0]}, which is not the plan’s` : message.areas[0];
  if (!outcome.sounds && outcome.why === 'not-known')
    return `${eventWords([message.event])} for ${where}: not known, for ${SILENT[outcome.why]}.`;
  const does = outcome.sounds ? `sounds${BY[outcome.by] ?? ''}` : `stays silent: ${SILENT[outcome.why]}`;
  const against =
    wanted === outcome.sounds ? '' : wanted ? ' The plan wants it to sound.' : ' The plan wants it silent.';
  return `${eventWords([message.event])} for ${where}: ${does}.${against}`;
}
