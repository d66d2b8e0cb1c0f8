import { looksLikeTone } from './toneShape';
import { TONE_WORDS } from './words';

/** A word or number of a line, with where it stood. */
export interface Token {
  readonly text: string;
  readonly lower: string;
  readonly start: number;
  readonly end: number;
  /** Between quotation marks: a name as it stands, whatever it looks like. */
  readonly quoted?: true;
}

/** Prefixes that people write without a space before a number: `ch18`, `pl131.8`, `wx6`, `tx131.8`. */
const GLUED =
  /^(ch|chan|channel|gmrs|frs|murs|marine|pmr(?!446)|cb|uhf|aar|wx|rpt|rptr|r|in|out|tx|rx|enc|dec|pl|ctcss|ctc|ct|tsq|tsql|tone|dcs|dpl|dtc|dqt|code)[.#]?(\d[\d.]*[a-z]*)$/i;
/** `RPT-22`: a channel. */
const CHANNEL_AND_HYPHEN = /^(ch|chan|channel|gmrs|frs|murs|uhf|rpt|rptr)-(\d{1,2}r?)$/i;
/** `PL-131.8`: with figures behind the point it is no code, whose dash may mean inverted. */
const TONE_AND_HYPHEN = /^(pl|ctcss|ctc|tone)-(\d{2,3}\.\d+)$/i;
const WITH_UNIT = /^([+-]?\d[\d.]*)(mhz|khz|hz|watts?|w|mi|miles?|km|k)$/i;
/** `145.230-`: the sign of an offset behind its frequency. */
const WITH_SIGN = /^(\d{2,4}\.\d{1,6})([+-](?:\d*\.?\d+)?)$/;
/** `T85.4`, `R100.0`: a tone that is sent, and one that is heard. */
const TONE_LETTER = /^([tr])(\d{2,3}\.\d)$/i;
/** `85.4T`: the same, with its letter behind. */
const TONE_AND_LETTER = /^(\d{2,3}\.\d)([tr])$/i;
/** `R-CTCSS`, `TX-DCS`: a direction and a kind of tone. */
const WAY_AND_KIND = /^([rt]x?)[-_](ctcss|dcs|pl|dpl|tones?|qt|dqt|code)$/i;
/** `dup+`: a repeater and the way of its offset. */
const DUPLEX_AND_SIGN = /^(dup|duplex|rpt|rptr)([+-])$/i;
const CHANNEL_AND_MARK = /^(\d{1,2})(r|rpt|rptr)$/i;
/** `462.700R`: a repeater's frequency. */
const FREQUENCY_AND_MARK = /^(\d{2,4}\.\d{3,6})(r|rpt|rptr)$/i;
const CHANNEL_AND_CODE = /^(\d{1,2})-(\d{1,3})$/;

/** Whether a word is a tone for certain: no frequency here is as low as a tone with one figure behind the point. */
const isTone = (text: string): boolean => looksLikeTone(text) && (/^d/i.test(text) || Number(text) < 260);

/** `131.8 (R)`, `141.3(T)`: which way a tone goes, in brackets behind it. */
const isMarkInBrackets = (line: string, word: string, start: number): boolean =>
  /^[rt]$/i.test(word) && line[start - 1] === '(' && line[start + 1] === ')';

/** `RX:---`, `---/186.2`: strokes in the place of a tone. */
const isDashes = (line: string, word: string, start: number): boolean =>
  /^-{2,}$/.test(word) && (/[:=/|]/.test(line[start - 1] ?? '') || line[start + word.length] === '/');

/**
 * Cuts a line into words and numbers. Commas, semicolons, bars, slashes, colons, brackets and equals signs part words; a
 * comma between digits of a frequency is a decimal comma; units and prefixes written without a space become words of
 * their own. What stands between quotation marks stays one word.
 */
export function tokensOf(line: string): Token[] {
  const tokens: Token[] = [];
  const push = (text: string, start: number) => {
    if (text !== '') tokens.push({ text, lower: text.toLowerCase(), start, end: start + text.length });
  };
  const quote = (text: string, start: number) => {
    if (text.trim() !== '')
      tokens.push({ text: text.trim(), lower: '', start, end: start + text.length + 2, quoted: true });
  };
  // Dashes between words part them; a single hyphen may be the sign of an offset, several in one line are not.
  const loneHyphens = line.match(/(?<=\s)-(?=\s)/g)?.length ?? 0;
  const parted = line.replace(
    loneHyphens > 1 ? /(?<=\s)[-\u2013\u2014](?=\s)/g : /(?<=\s)[\u2013\u2014](?=\s)/g,
    ' ',
  );
  // Same length as the line, so that places stay true.
  const plain = parted
    .replace(/[\u2212\u2013\u2014]/g, '-')
    .replace(/\u2019/g, "'")
    .replace(/(?<=\b\d{3}),(?=\d{3,5}\b)/g, '.')
    .replace(/(?<=\b\d{2,3}),(?=\d(?:\b|hz\b)(?!\.))/gi, '.')
    .replace(/(?<=[+-]\d{1,2}),(?=\d{1,4}\b)/g, '.')
    .replace(/\bpmr[ -]446\b(?!\.\d)/gi, 'pmr446 ')
    .replace(/\bw\/o\b/gi, 'no ')
    .replace(/\bn\/a\b/gi, 'off')
    .replace(/(?<=\s)w\/(?=\s)/gi, '  ');
  for (const match of plain.matchAll(/"([^"]*)"|[^\s,;|/:=()[\]{}"]+/g)) {
    if (match[1] !== undefined) {
      quote(match[1], match.index);
      continue;
    }
    const word = match[0].replace(/[.!]+$/, '');
    const start = match.index;
    if (isMarkInBrackets(plain, word, start) && isTone(tokens.at(-1)?.text ?? '')) {
      tokens.push({ text: word, lower: /^r$/i.test(word) ? 'rx' : 'tx', start, end: start + 1 });
      continue;
    }
    const letter = TONE_LETTER.exec(word);
    const cut =
      GLUED.exec(word) ??
      CHANNEL_AND_HYPHEN.exec(word) ??
      TONE_AND_HYPHEN.exec(word) ??
      WITH_UNIT.exec(word) ??
      WITH_SIGN.exec(word) ??
      DUPLEX_AND_SIGN.exec(word) ??
      CHANNEL_AND_MARK.exec(word);
    const behind = TONE_AND_LETTER.exec(word);
    const way = WAY_AND_KIND.exec(word);
    const code = CHANNEL_AND_CODE.exec(word);
    const repeater = FREQUENCY_AND_MARK.exec(word);
    if (repeater) {
      push(repeater[1] ?? '', start);
      const mark = start + (repeater[1]?.length ?? 0);
      tokens.push({ text: 'rpt', lower: 'rpt', start: mark, end: start + word.length });
    } else if (way?.[1] && way[2]) {
      const end = start + way[1].length;
      tokens.push({ text: way[1], lower: /^r/i.test(way[1]) ? 'rx' : 'tx', start, end });
      push(way[2], end + 1);
    } else if (isDashes(plain, word, start)) {
      tokens.push({ text: word, lower: 'off', start, end: start + word.length });
    } else if (behind && isTone(behind[1] ?? '')) {
      const mark = behind[2]?.toLowerCase() === 't' ? 't' : 'rx';
      tokens.push({ text: behind[2] ?? '', lower: mark, start, end: start });
      push(behind[1] ?? '', start);
    } else if (letter) {
      tokens.push({ text: 't', lower: letter[1]?.toLowerCase() === 't' ? 't' : 'rx', start, end: start + 1 });
      push(letter[2] ?? '', start + 1);
    } else if (code) {
      push(code[1] ?? '', start);
      push('code', start + word.length);
      push(code[2] ?? '', start + word.length - (code[2]?.length ?? 0));
    } else if (cut) {
      const second = cut[2] ?? '';
      push(cut[1] ?? '', start);
      const unit = WITH_UNIT.exec(second);
      const at = start + word.length - second.length;
      if (unit) {
        push(unit[1] ?? '', at);
        push(unit[2] ?? '', at + (unit[1]?.length ?? 0));
      } else {
        // `GMRS19R`
        const [, number = second, mark = ''] = CHANNEL_AND_MARK.exec(second) ?? [];
        push(number, at);
        push(mark, at + number.length);
      }
    } else if (/^#\d{1,2}$/.test(word)) {
      // After a word for a tone it is a code number.
      if (!TONE_WORDS[tokens.at(-1)?.lower ?? '']) push('ch', start);
      push(word.slice(1), start + 1);
    } else push(word, start);
  }
  return tokens;
}
