import type { PlanCountry } from '../facts/index';
import type { Question } from '../findings/index';
import { type Channel, type ChannelDraft, type DirectoryEntry, type ToneText, UNSAID } from '../model/index';
import { mhzText } from '../units/index';
import { readLine } from './line';
import { readTone } from './tone';

/** A directory's entry as a channel, with what it leaves open and what the plan already has. */
export interface EntryReading {
  readonly channel: ChannelDraft | null;
  readonly questions: readonly Question[];
  /** The plan's channels on the same pair. */
  readonly inPlan: readonly Pick<Channel, 'id' | 'name' | 'transmitTone' | 'receiveTone'>[];
}

/** What a directory’s entry is read with: whose rules, from where, what is planned. */
export interface EntryContext {
  readonly country: PlanCountry;
  readonly source: string;
  /** The day it is taken, as YYYY-MM-DD. */
  readonly taken: string;
  readonly planned: readonly Channel[];
}

/** An entry that its source has not touched for this long is said to be old (common practice). */
const OLD_DAYS = 365;
/** What the line's own reading says of tones and names; an entry has these apart. */
const SAID_BY_ENTRY: ReadonlySet<Question['code']> = new Set([
  'input-tone-unknown',
  'output-tone-unknown',
  'name-made',
]);

/**
 * Reads an entry of a directory as people read a listing: its input tone is what our sets send. What it leaves out stays
 * unknown, old and closed entries say so, a claimed range is a claim. Where the plan has the pair already, tones that differ
 * are both shown; nothing is replaced.
 */
export function readEntry(entry: DirectoryEntry, context: EntryContext): EntryReading {
  const reading = readLine(lineOf(entry), context.country);
  const questions = reading.questions.filter(({ code }) => !SAID_BY_ENTRY.has(code));
  const channel = reading.channel && withEntry(reading.channel, entry, context, questions);
  ageQuestions(entry, context.taken, questions);
  const inPlan = channel
    ? context.planned.filter(
        (other) => other.receiveHz === channel.receiveHz && other.transmitHz === channel.transmitHz,
      )
    : [];
  // Several stations may share a pair by their tones: one that agrees is this one, and the others are others.
  const agreeing = inPlan.filter((other) => channel !== null && !disagree(other, channel));
  for (const { name } of agreeing.length > 0 ? agreeing : inPlan)
    questions.push({
      code: agreeing.length > 0 ? 'entry-in-plan' : 'entry-disagrees',
      blocking: false,
      about: name,
      offers: [],
    });
  return { channel: reading.ok || channel === null ? channel : null, questions, inPlan };
}

/** The tones a known entry uses on its frequencies, for choosing others. */
export function tonesOfEntry(entry: DirectoryEntry): ToneText[] {
  return [entry.inputTone, entry.outputTone].flatMap((text) => {
    const tone = text === null ? undefined : readTone(text).tone;
    return tone === undefined || tone === 'off' ? [] : [tone];
  });
}

function lineOf({ outputHz, inputHz, mode }: DirectoryEntry): string {
  const way = inputHz === null ? 'rpt' : inputHz === outputHz ? 'simplex' : `split ${mhzText(inputHz)}`;
  return [mhzText(outputHz), way, mode ?? ''].join(' ').trim();
}

function withEntry(
  read: ChannelDraft,
  entry: DirectoryEntry,
  { source, taken }: EntryContext,
  questions: Question[],
): ChannelDraft {
  const silent = read.transmitHz === null;
  const sent = silent ? 'off' : toneOf(entry.inputTone, questions, 'input-tone-unknown');
  const heard = toneOf(entry.outputTone, questions, 'output-tone-unknown');
  const notes = [
    entry.note,
    entry.status === 'off-air' ? 'off air' : '',
    entry.access === 'closed' ? 'listed as closed' : '',
  ];
  return {
    ...read,
    name: entry.title.slice(0, 40).trim(),
    transmitTone: sent,
    // A set that waits for a tone nobody has seen sent would hear nothing: off, and the question says why.
    receiveTone: heard === 'unknown' ? 'off' : heard,
    access: entry.access === null ? 'unknown' : entry.access === 'open' ? 'open' : 'permission',
    note: [entry.title.length > 40 ? entry.title : '', ...notes].filter(Boolean).join(', ').slice(0, 400),
    state: entry.status === 'planned' ? 'planned' : UNSAID.state,
    listed: { source, changed: entry.changed ?? 'unknown', taken },
  };
}

function toneOf(
  text: string | null,
  questions: Question[],
  missing: 'input-tone-unknown' | 'output-tone-unknown',
): ToneText | 'unknown' {
  const about = text?.trim() ?? '';
  if (about === '') {
    questions.push({ code: missing, blocking: false, about: '', offers: [] });
    return 'unknown';
  }
  const reading = readTone(about);
  // An entry cannot be asked back: what it says stays visible, and the tone stays unknown.
  questions.push(...reading.questions.map((question) => ({ ...question, blocking: false })));
  return reading.tone ?? 'unknown';
}

function ageQuestions(entry: DirectoryEntry, today: string, questions: Question[]): void {
  const say = (code: Question['code'], about: string) =>
    questions.push({ code, blocking: false, about, offers: [] });
  if (entry.changed === null) say('entry-undated', '');
  else if (daysBetween(entry.changed, today) > OLD_DAYS) say('entry-old', entry.changed);
  if (entry.status === 'planned' || entry.status === 'off-air') say('entry-not-on-air', entry.status);
  if (entry.access === 'closed') say('entry-closed', '');
  if (entry.rangeM !== null) say('entry-claims-range', String(Math.round(entry.rangeM / 1000)));
}

function daysBetween(from: string, to: string): number {
  return (Date.parse(to) - Date.parse(from)) / 86_400_000;
}

function disagree(
  ours: Pick<Channel, 'transmitTone' | 'receiveTone'>,
  theirs: Pick<Channel, 'transmitTone' | 'receiveTone'>,
): boolean {
  const differ = (a: string, b: string) => a !== b && a !== 'unknown' && b !== 'unknown';
  return (
    differ(ours.transmitTone, theirs.transmitTone) ||
    (theirs.receiveTone !== 'off' && differ(ours.receiveTone, theirs.receiveTone))
  );
}
