import { askInstead, type State } from './collected';
import { say } from './sayings';
import { DIGITAL_MODES, TONE_WORDS } from './words';

/*
 * Digital modes and the codes by which their repeaters are opened: colour code, slot and talk group of DMR, network access code of P25, access
 * number of NXDN, group numbers; with the modes that have them. They are no tones, and no part of a name: they are kept as they stand. Common practice of listings.
 */
type Code = readonly [words: readonly RegExp[], write: (value: string) => string, modes: readonly string[]];
const NUMBER = /^\d{1,8}$/;
const CODES: readonly Code[] = [
  [[/^colou?r$/, /^code$/, NUMBER], (value) => `CC ${value}`, ['DMR']],
  [[/^cc$/, NUMBER], (value) => `CC ${value}`, ['DMR']],
  [[/^cc(\d{1,2})$/], (value) => `CC ${value}`, ['DMR']],
  [[/^ran$/, NUMBER], (value) => `RAN ${value}`, ['NXDN']],
  [[/^ran(\d{1,2})$/], (value) => `RAN ${value}`, ['NXDN']],
  [[/^nac$/, /^\$?([0-9a-f]{1,3})$/], (value) => `NAC ${value.toUpperCase()}`, ['P25']],
  [[/^nac\$?([0-9a-f]{1,3})$/], (value) => `NAC ${value.toUpperCase()}`, ['P25']],
  [[/^(?:ts|slot)$/, /^[12]$/], (value) => `slot ${value}`, ['DMR']],
  [[/^(?:ts|slot)([12])$/], (value) => `slot ${value}`, ['DMR']],
  [[/^(?:tg|talkgroup|talk-group)$/, NUMBER], (value) => `TG ${value}`, ['DMR', 'P25']],
  [[/^tg(\d{1,8})$/], (value) => `TG ${value}`, ['DMR', 'P25']],
  [[/^(?:dgid|dg-id)$/, NUMBER], (value) => `DG-ID ${value}`, ['C4FM']],
];

/** Takes a digital mode or one of its codes; answers the words used, or 0. */
export function takeDigital(state: State, i: number): number {
  const { got, tokens } = state;
  const token = tokens[i];
  if (!token) return 0;
  const isApart = token.lower === 'd' && tokens[i + 1]?.lower === 'star';
  const isPlain = token.lower === 'digital' && !leadsToCode(tokens[i + 1]?.lower);
  if (DIGITAL_MODES.has(token.lower) || isApart || (isPlain && i > 0)) {
    if (got.mode !== 'digital')
      got.questions.push({
        code: 'digital-mode',
        blocking: false,
        about: isApart ? 'D-STAR' : token.text,
        offers: [],
      });
    got.mode = 'digital';
    say(state, 'mode', 'digital', i, isApart ? 2 : 1);
    got.notes.push(isPlain ? 'digital' : isApart ? 'D-STAR' : token.text.toUpperCase());
    return isApart ? 2 : 1;
  }
  const isDigital =
    got.mode === 'digital' || tokens.some(({ lower }) => DIGITAL_MODES.has(lower) || lower === 'digital');
  for (const [words, write, modes] of CODES) {
    const found = words.map((word, k) => word.exec(tokens[i + k]?.lower ?? ''));
    if (found.some((match) => match === null)) continue;
    const last = found.at(-1);
    const end = tokens[i + words.length - 1]?.end ?? token.end;
    if (!isDigital) {
      // `CC 3` in a line that names no mode: a mode that has such codes is offered, none is taken.
      if (!state.hasFrequency) return 0;
      const said = got.line.slice(token.start, end);
      askInstead(got, token.start, end, [
        ...modes.map((mode) => `${mode} ${said}`),
        `"${said.replaceAll('"', '')}"`,
      ]);
      return words.length;
    }
    got.notes.push(write(last?.[1] ?? last?.[0] ?? ''));
    got.modeParts.push({ start: token.start, end, isCode: true });
    return words.length;
  }
  return 0;
}

/** `digital code 251`, `digital 251`: a digital squelch, and no mode. */
const leadsToCode = (next: string | undefined): boolean =>
  next !== undefined && (TONE_WORDS[next] !== undefined || /^d?[0-7]{3}[nir]?$/.test(next));
