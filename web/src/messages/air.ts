import type { PlaceOnAir } from '@umbrex/core/air';
import { mhzText } from '@umbrex/core/units';
import { toneWords } from './tones';

/** What comes of a call from a place of a set through its repeater, and whether that repeater is there to be called. */
export function onAirText(place: PlaceOnAir): string {
  const { status } = place;
  const away = { planned: 'planned', 'off-air': 'off the air', gone: 'gone' };
  const said = gateText(place);
  return status in away ? `${said} It is ${away[status as keyof typeof away]}, so nobody can try it.` : said;
}

function gateText({ gate, needs, comes }: PlaceOnAir): string {
  switch (gate) {
    case null:
      return 'opens it, and hears what comes back.';
    case 'sends-nothing':
      return 'sends nothing.';
    case 'input-frequency':
      return `stays shut: it listens on ${mhzText(Number(needs))} MHz, and this set sends on ${mhzText(Number(comes))}.`;
    case 'input-tone':
      return `stays shut: it needs ${toneWords(needs)}, and this set sends ${toneWords(comes)}.`;
    case 'output-frequency':
      return `opens it, but it comes out on ${mhzText(Number(comes))} MHz.`;
    case 'output-tone':
      return `opens it and stays deaf: this set waits for ${toneWords(needs)}, and what comes is ${toneWords(comes)}.`;
    case 'not-known':
      return `cannot be said: nobody has noted ${needs} at the station.`;
    default:
      return gate satisfies never;
  }
}
