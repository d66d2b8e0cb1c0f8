import { pushTone, type State } from './collected';
import { directLast, isFrequency, nearValue } from './nearby';
import { say } from './sayings';
import type { Token } from './tokens';
import { isForbidden } from './wordings';
import { PHRASES } from './words';

/** The phrase that stands at a place; none that would cut one which forbids sending: `tx rx only`. */
function phraseAt(tokens: readonly Token[], i: number): (typeof PHRASES)[number] | undefined {
  const stands = (at: number) =>
    PHRASES.find(([words]) => words.every((word, k) => tokens[at + k]?.lower === word));
  const phrase = stands(i);
  const isCut = phrase?.[0].some(
    (_, k) => k > 0 && (stands(i + k)?.[1] === 'listen' || isForbidden(tokens, i + k)),
  );
  return isCut && phrase?.[1] !== 'listen' ? undefined : phrase;
}

/** Takes a fixed phrase that stands at a place and means something there; answers the words used, or 0. */
export function takePhraseAt(state: State, i: number): number {
  const phrase = phraseAt(state.tokens, i);
  return phrase && takePhrase(state, phrase[1], i, phrase[0].length) ? phrase[0].length : 0;
}

function takePhrase(state: State, phrase: (typeof PHRASES)[number][1], i: number, words: number): boolean {
  const { got, tokens } = state;
  switch (phrase) {
    case 'listen':
      got.listen = true;
      return true;
    case 'permission':
      got.access = 'permission';
      say(state, 'access', 'permission', i, words);
      return true;
    case 'narrow':
    case 'wide':
      if (state.kind !== undefined) return false;
      got.bandwidth = phrase;
      say(state, 'width', phrase, i, words);
      if (/^(nb?fm|fmn)$/.test(tokens[i]?.lower ?? '')) say(state, 'mode', 'FM', i, words);
      return true;
    case 'both':
      if (!nearValue(tokens, i + words) && directLast(state, i, 'both', true)) return true;
      // `tx/rx 462.725`: one frequency for both ways; of two the pair tells which is which.
      if (isFrequency(tokens[i + words])) {
        got.direct ||= tokens.filter(isFrequency).length === 1;
        return true;
      }
      state.direction = 'both';
      state.kind ??= 'ctcss';
      return true;
    case 'no-tone':
      got.tones.push({
        tone: 'off',
        direction: state.direction,
        start: tokens[i]?.start ?? 0,
        end: tokens[i + words - 1]?.end ?? 0,
      });
      state.direction = undefined;
      return true;
    case 'unknown-tone':
      return pushTone(state, 'unknown', tokens[i] as Token, tokens[i + words - 1] as Token);
    case 'planned':
    case 'withdrawn':
      got.state = phrase;
      say(state, 'state', phrase, i, words);
      return true;
    case 'off-air':
      got.notes.push('off air');
      return true;
    case 'split':
      // `split 158.355`: the frequency that follows is the one our sets send on; `+5 MHz split` is said already.
      if (got.offsetHz === undefined) state.direction = 'send';
      return true;
    case 'number':
      if (!nearValue(tokens, i + words)) return false;
      state.kind = 'number';
      state.kindStart = tokens[i]?.start ?? 0;
      return true;
    case 'fm':
      got.mode ??= 'FM';
      say(state, 'mode', 'FM', i, words);
      return true;
    case 'repeater':
      got.repeater = true;
      return true;
    case 'opens':
      got.opens = true;
      return true;
    case 'open':
    case 'drop':
      return true;
    default:
      return phrase satisfies never;
  }
}
