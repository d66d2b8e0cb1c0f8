import type { Description } from '@umbrex/core/model';
import { isLoadedByProgram } from '@umbrex/core/model';
import { listOf } from './labels';

/** What a kind of set looks like, for somebody who only holds one: what it is, its keys, how it is set up. */
export function looksText(description: Description): string {
  return [bodyText(description), keysText(description)].filter(Boolean).join(' ');
}

function bodyText({ kind, station, transmit }: Description): string {
  if (kind === 'alert')
    return 'Stands on a table, sounds an alarm for weather and other dangers; it has no talk key.';
  if (kind === 'repeater')
    return 'A box in a hut or on a mast that sends on what it hears; nobody talks into it.';
  const where =
    station === 'hand-held'
      ? 'Held in the hand'
      : station === 'mobile'
        ? 'Fixed in a vehicle or on a desk, with a microphone on a cord'
        : 'Stands on a table';
  const listens = kind === 'receiver' || (transmit !== 'unknown' && transmit.bands.length === 0);
  return `${where}${listens ? '; it only listens, and has no talk key' : ''}.`;
}

function keysText(description: Description): string {
  const { keys, display, loading } = description;
  const legends = Object.values(keys);
  const shows = display === 'none' ? 'It has no display.' : '';
  if (legends.length === 0) {
    const by = loading?.by === 'app' ? 'an app on a phone' : 'a program over a cable';
    return [shows, isLoadedByProgram(description) ? `It is set up by ${by}, not by its keys.` : '']
      .filter(Boolean)
      .join(' ');
  }
  const hasDigits = ['1', '5', '9'].every((digit) => legends.includes(digit));
  // The talk key is on every set that talks; the two ways of a knob are one knob.
  // A description that was kept has its keys in no order of the set's: words first, then signs.
  const others = legends
    .filter((legend) => !/^([0-9]|TALK|KNOB.*)$/.test(legend))
    .sort((a, b) => Number(/^\W/.test(a)) - Number(/^\W/.test(b)) || (a < b ? -1 : 1));
  const knob = legends.some((legend) => legend.startsWith('KNOB')) ? 'A knob to turn.' : '';
  const words = hasDigits ? 'Number keys, and keys named' : 'No number keys; keys named';
  return [shows, knob, others.length > 0 ? `${words} ${listOf(others)}.` : ''].filter(Boolean).join(' ');
}
