import type { Service } from '../facts/index';
import { type LineReading, readLine } from './line';

/** One line of a pasted listing: where it stood, as it was written, and how it reads. */
export interface PastedLine {
  /** Counted from 1, as in the text that was pasted. */
  readonly line: number;
  readonly text: string;
  readonly reading: LineReading;
}

const MOST_LINES = 500;
/** First rows of spreadsheets: a line whose words are all column titles is no channel. */
const TITLES =
  /^(name|site|call|location|freq(uency)?|output|input|offset|tone|tones|ctcss|dcs|pl|access|notes?|remarks?|rx|tx|channel|ch|service|status|mode|distance)$/i;

/**
 * Reads a whole listing or a range copied from a spreadsheet, line by line; tabs part cells. Empty lines and a row of column
 * titles are passed over. Nothing is saved by this: each line is a draft with its questions.
 * @returns the lines, and how many were beyond the 500 that are read at once
 */
export function readListing(
  text: string,
  country: Service['country'] = 'US',
): { lines: PastedLine[]; beyond: number } {
  const all = text
    .split(/\r\n|\r|\n/)
    .map((written, i) => ({ line: i + 1, text: written.replace(/\t+/g, ' ').trim() }));
  const wanted = all.filter((entry) => entry.text !== '' && !isTitleRow(entry.text));
  const lines = wanted
    .slice(0, MOST_LINES)
    .map((entry) => ({ ...entry, reading: readLine(entry.text, country) }));
  return { lines, beyond: Math.max(0, wanted.length - MOST_LINES) };
}

function isTitleRow(text: string): boolean {
  const words = text.split(/[\s,;|/]+/).filter(Boolean);
  return words.length > 1 && words.every((word) => TITLES.test(word));
}
