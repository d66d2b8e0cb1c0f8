import type { Question } from '../findings/index';
import type { Heard, Strength } from '../model/index';
import { alike } from '../units/index';
import { type Roster, setMeant } from './who';
import { DIRECT, RELATIONS, REPEATED, REPORTS, type Relation, type Report, strengthsOf } from './words';

/** What a line may name, and what stands from the line before. */
export interface LineKnown {
  readonly channels: readonly {
    readonly id: string;
    readonly name: string;
    readonly aliases: readonly string[];
    readonly kind: 'repeater' | 'direct' | 'listen';
  }[];
  readonly roster: Roster;
  /** Repeaters, and the channels on which they come out. */
  readonly stations: readonly { readonly name: string; readonly channelIds: readonly string[] }[];
  /** The channel of the call before; it stands until another one is written. */
  readonly channelId: string | null;
  /** The clock where it is written: a day as YYYY-MM-DD, and the minute of that day. */
  readonly now: { readonly day: string; readonly minute: number };
}

/** A call as a line says it; `time` is `null` where it says none, which is now. */
export type HeardDraft = Pick<
  Heard,
  | 'channelId'
  | 'way'
  | 'from'
  | 'fromId'
  | 'to'
  | 'toId'
  | 'heard'
  | 'readability'
  | 'strength'
  | 'fromWhere'
  | 'toWhere'
  | 'note'
> & { readonly time: { readonly day: string; readonly minute: number } | null };

/** What a line says: one call, or two where they heard each other, once no blocking question is open. */
export interface HeardReading {
  readonly ok: boolean;
  readonly calls: readonly HeardDraft[];
  readonly questions: readonly Question[];
}

const LONGEST_LINE = 400;
const LONGEST_NOTE = 200;
const LONGEST_WORD = 60;

interface Token {
  readonly text: string;
  readonly start: number;
  readonly end: number;
  readonly quoted: boolean;
}
/** Who or what a name may stand for. */
type Meaning = 'party' | 'channel' | 'station';
type Item = { readonly start: number; readonly end: number; readonly text: string } & (
  | { readonly is: 'name'; readonly means: ReadonlySet<Meaning>; readonly name: string }
  | { readonly is: 'relation'; readonly relation: Relation }
  | { readonly is: 'report'; readonly report: Report; readonly strengths?: readonly Strength[] }
  | { readonly is: 'way'; readonly way: 'direct' | 'repeater' }
  | { readonly is: 'time'; readonly minute: number }
  | { readonly is: 'day'; readonly day: string }
  | { readonly is: 'before'; readonly of: 'channel' | 'station' | 'from' | 'at' }
  | { readonly is: 'word'; readonly quoted: boolean }
);

/**
 * Reads one call as people write it down: `Boat 1 > Clinic 5 loud`, `Clinic heard Boat 1 on Gannet Top 4 weak from Gull Point at 14:32 // windy`. Names
 * are those of sets, people, channels and repeaters; nothing is guessed, and what is not understood is asked.
 */
export function readHeardLine(text: string, known: LineKnown): HeardReading {
  const line = text.replace(/\p{Cc}+/gu, ' ');
  if (line.trim() === '') return stop({ code: 'heard-nothing', blocking: true, about: '', offers: [] });
  if (line.length > LONGEST_LINE)
    return stop({ code: 'line-too-long', blocking: true, about: line.slice(0, 40), offers: [] });
  // What stands behind two strokes is the note.
  const cut = /(?:^|\s)\/\/(?=\s|$)/.exec(line);
  const note = cut ? line.slice(cut.index + cut[0].length).trim() : '';
  const said = cut ? line.slice(0, cut.index) : line;
  if (said.replace(/"[^"]*[^"\s][^"]*"/g, '').includes('"')) {
    const offers = ['without it'];
    const lines = [`${said.replace(/"/g, ' ')}${cut ? ` // ${note}` : ''}`];
    return stop({ code: 'heard-quote', blocking: true, about: '"', offers, lines });
  }
  return new Reader(line, said, note, known).read();
}

const stop = (question: Question): HeardReading => ({ ok: false, calls: [], questions: [question] });

class Reader {
  private readonly questions: Question[] = [];
  private readonly parties: { name: string; start: number; end: number; quoted: boolean }[] = [];
  private relation: (Relation & { text: string }) | null = null;
  private readonly channels: string[] = [];
  private way: Heard['way'] | null = null;
  private station: string | null = null;
  private readonly reports: (Item & { is: 'report' })[] = [];
  private fromWhere = '';
  private toWhere = '';
  private time: (Item & { is: 'time' }) | null = null;
  private day: string | null = null;

  constructor(
    private readonly line: string,
    private readonly said: string,
    private readonly note: string,
    private readonly known: LineKnown,
  ) {}

  read(): HeardReading {
    const items = itemsOf(this.said, this.known);
    for (let i = 0; i < items.length; ) i += this.take(items, i);
    this.needParties();
    const channel = this.channel();
    const way = this.wayOn(channel);
    const report = this.report();
    const time = this.timeSaid();
    const [first, second] = this.parties;
    if (this.note.length > LONGEST_NOTE) this.ask('line-too-long', this.note.slice(0, 40));
    for (const text of [first?.name, second?.name, this.fromWhere, this.toWhere])
      if (text !== undefined && text.length > LONGEST_WORD) this.ask('line-too-long', text.slice(0, 40));
    const ok = !this.questions.some(({ blocking }) => blocking);
    if (!ok || !first || !second || !channel || !report || !this.relation)
      return { ok: false, calls: [], questions: this.questions };
    const isTalkerFirst = this.relation.first !== 'listens';
    const [from, to] = isTalkerFirst ? [first, second] : [second, first];
    const call = (talker: string, listener: string, fromWhere: string, toWhere: string): HeardDraft => ({
      channelId: channel.id,
      way,
      from: talker,
      fromId: setMeant(talker, this.known.roster).unitId,
      to: listener,
      toId: setMeant(listener, this.known.roster).unitId,
      heard: report.heard,
      readability: report.readability ?? 'unknown',
      strength: report.strength ?? 'unknown',
      fromWhere,
      toWhere,
      note: this.noteWith(channel),
      time,
    });
    const calls = [call(from.name, to.name, this.fromWhere, this.toWhere)];
    if (this.relation.first === 'both') calls.push(call(to.name, from.name, this.toWhere, this.fromWhere));
    if (calls.some(({ fromId, toId }) => fromId !== null && fromId === toId))
      this.ask('heard-same', from.name);
    for (const { name, start, end } of this.parties) this.saySet(name, start, end);
    return { ok: !this.questions.some(({ blocking }) => blocking), calls, questions: this.questions };
  }

  /** Which repeater it was is kept in the note, where its channel does not say it. */
  private noteWith({ id, name }: LineKnown['channels'][number]): string {
    const several = this.known.stations.filter(({ channelIds }) => channelIds.includes(id)).length > 1;
    const via =
      this.station !== null && several && alike(this.station) !== alike(name) ? `via ${this.station}` : '';
    return [via, this.note].filter(Boolean).join(', ').slice(0, LONGEST_NOTE);
  }

  private ask(
    code: Question['code'],
    about: string,
    offers: readonly string[] = [],
    lines: readonly string[] = [],
  ) {
    this.questions.push({ code, blocking: true, about, offers, lines });
  }
  private tell(
    code: Question['code'],
    about: string,
    offers: readonly string[] = [],
    lines: readonly string[] = [],
  ) {
    this.questions.push({ code, blocking: false, about, offers, lines });
  }
  private instead(start: number, end: number, text: string): string {
    return `${this.line.slice(0, start)}${text}${this.line.slice(end)}`;
  }
  /** The line with something more at its end, before its note. */
  private withMore(text: string): string {
    return `${this.said.trimEnd()} ${text}${this.note ? ` // ${this.note}` : ''}`;
  }

  /** Takes what stands at a place. @returns how many items that was */
  private take(items: readonly Item[], i: number): number {
    const item = items[i];
    if (!item) return 1;
    switch (item.is) {
      case 'relation':
        // `and` or `to` once more is none.
        if (this.relation) this.leftOver(item);
        else {
          if (this.parties.length === 0) this.ask('heard-who-talked', '');
          this.relation = { ...item.relation, text: item.text };
        }
        return 1;
      case 'report':
        this.reports.push(item);
        return 1;
      case 'way':
        if (this.way !== null && this.way !== item.way) this.leftOver(item);
        else this.way = item.way;
        return 1;
      case 'time':
        if (this.time) this.leftOver(item);
        else this.time = item;
        return 1;
      case 'day':
        if (this.day !== null) this.leftOver(item);
        else this.day = item.day;
        return 1;
      case 'before':
        return this.takeAfter(item, items, i);
      case 'name':
        this.takeName(item);
        return 1;
      case 'word':
        return this.takeWords(items, i);
      default:
        return item satisfies never;
    }
  }

  private takeName(item: Item & { is: 'name' }): void {
    const wantsParty = this.parties.length === 0 || (this.parties.length === 1 && this.relation !== null);
    if (wantsParty && item.means.has('party'))
      this.parties.push({ name: item.name, start: item.start, end: item.end, quoted: false });
    else if (item.means.has('channel')) this.channels.push(item.name);
    else if (item.means.has('station')) this.takeStation(item);
    else this.leftOver(item);
  }

  private takeStation(item: Item & { is: 'name' }): void {
    if (this.station !== null && this.station !== item.name) this.leftOver(item);
    else if (this.way === 'direct') this.leftOver(item);
    else {
      this.station = item.name;
      this.way = 'repeater';
    }
  }

  /** What stands behind `on`, `via`, `from` or `at`. */
  private takeAfter(item: Item & { is: 'before' }, items: readonly Item[], i: number): number {
    const next = items[i + 1];
    if (item.of === 'at' && next?.is === 'time') return 1;
    if (item.of === 'channel' || item.of === 'station') {
      if (next?.is === 'way') return 1;
      if (next?.is === 'name' && item.of === 'channel' && next.means.has('channel')) {
        this.channels.push(next.name);
        return 2;
      }
      if (
        next?.is === 'name' &&
        item.of === 'station' &&
        (next.means.has('station') || next.means.has('channel'))
      ) {
        if (next.means.has('station')) this.takeStation(next);
        else this.way = 'repeater';
        // One that is called as its channel names both, unless that was named already.
        if (next.means.has('channel') && this.channels.length === 0) this.channels.push(next.name);
        return 2;
      }
      this.leftOver(item);
      return 1;
    }
    const ends = items.findIndex((one, k) => k > i && !['word', 'name'].includes(one.is));
    const last = (ends < 0 ? items.length : ends) - 1;
    const [first, end] = [items[i + 1], items[last]];
    if (last <= i || !first || !end) {
      this.leftOver(item);
      return 1;
    }
    const where = this.said.slice(first.start, end.end).replace(/"/g, '').replace(/\s+/g, ' ').trim();
    const number = items[last + 1];
    if (!isQuoted(end) && number && isNumber(number)) {
      // The end of the place, or how it came?
      const offers = [`${number.text} ${item.text} "${where}"`, `${item.text} "${where} ${number.text}"`];
      const lines = offers.map((offer) => this.instead(item.start, number.end, offer));
      this.ask('heard-place-number', `${where} ${number.text}`, offers, lines);
      return last + 2 - i;
    }
    const named = items.findIndex(
      (one, k) => k > i + 1 && k <= last && one.is === 'name' && one.means.has('channel'),
    );
    const [before, channel] = [items[named - 1], items[named]];
    if (before && channel && this.channels.length === 0) {
      // The end of the place, or the channel?
      const place = this.said.slice(first.start, before.end).replace(/"/g, '').trim();
      const rest = this.said.slice(channel.end, end.end);
      const offers = [`${item.text} "${place}" on ${channel.text}${rest}`, `${item.text} "${where}"`];
      const lines = offers.map((offer) => this.instead(item.start, end.end, offer));
      this.ask('heard-place-channel', where, offers, lines);
    } else if ((item.of === 'from' ? this.fromWhere : this.toWhere) !== '')
      this.leftOver({ ...item, text: `${item.text} ${where}` });
    else if (item.of === 'from') this.fromWhere = where;
    else this.toWhere = where;
    return last - i + 1;
  }

  /** Words that nothing is called by: who talked or listened, where that is still to be said; else they are asked. */
  private takeWords(items: readonly Item[], i: number): number {
    const from = items[i];
    if (!from) return 1;
    const wantsParty = this.parties.length === 0 || (this.parties.length === 1 && this.relation !== null);
    let last = i;
    // A number belongs to the name as long as nobody knows whose name it is.
    while (!isQuoted(from) && (isPlain(items[last + 1]) || (wantsParty && isNumber(items[last + 1])))) last++;
    const end = items[last]?.end ?? from.end;
    const text = this.said.slice(from.start, end);
    const bare = isQuoted(from) ? text.slice(1, -1).trim() : '';
    if (!wantsParty) {
      const rest = `${this.line.slice(0, from.start)}${this.said.slice(end)}`.trim();
      const asNote = `${rest}${this.note ? ` // ${this.note}, ${text}` : ` // ${text}`}`;
      this.ask('heard-left-over', text, ['as a note'], [asNote]);
    } else if (bare) this.parties.push({ name: bare, start: from.start, end, quoted: true });
    else {
      this.parties.push({ name: text, start: from.start, end, quoted: false });
      const near = this.near(text);
      const [, words, number] = /^(.*?)\s+([1-5])$/.exec(text) ?? [];
      const offers = [...near, ...(words ? [`"${words}" ${number}`] : []), `"${text}"`];
      this.ask(
        'heard-who',
        text,
        offers,
        offers.map((offer) => this.instead(from.start, end, offer)),
      );
    }
    return last - i + 1;
  }

  private leftOver({ text }: Item): void {
    this.ask('heard-left-over', text);
  }

  /** Names that begin alike, or hold the words. */
  private near(text: string): string[] {
    const { units, people } = this.known.roster;
    const whole = alike(text);
    const wanted = whole.replace(/\s[1-5]$/, '');
    const names = [...units.map(({ nickname }) => nickname), ...people.map(({ name }) => name)];
    const near = names.filter((name) => alike(name).includes(wanted));
    const [initial = ''] = wanted;
    const alikeOnes = names.filter(
      (name) =>
        alike(name).startsWith(initial) &&
        Math.min(slips(alike(name), whole), slips(alike(name), wanted)) <= 2,
    );
    return [...new Set([...near, ...alikeOnes])].slice(0, 4);
  }

  private needParties(): void {
    if (this.questions.some(({ code }) => code === 'heard-who-talked')) return;
    if (this.parties.length === 0) this.ask('heard-who-talked', '');
    else if (!this.relation) {
      const [first] = this.parties;
      if (first && this.said.slice(first.end).trim() !== '')
        this.ask(
          'heard-direction',
          first.name,
          ['>', 'heard'],
          ['>', 'heard'].map((word) => this.instead(first.end, first.end, ` ${word} `)),
        );
      else this.ask('heard-who-listened', first?.name ?? '');
    } else if (this.parties.length === 1) this.ask('heard-who-listened', this.parties[0]?.name ?? '');
  }

  private channel(): LineKnown['channels'][number] | undefined {
    const named = [...new Set(this.channels.map(alike))];
    const of = (name: string) =>
      this.known.channels.filter((one) => [one.name, ...one.aliases].some((other) => alike(other) === name));
    const [name] = named;
    if (named.length > 1) {
      this.ask('heard-several-channels', this.channels.join(', '));
      return undefined;
    }
    if (name !== undefined) {
      const found = of(name);
      if (found.length > 1) this.ask('heard-several-channels', found.map((one) => one.name).join(', '));
      return found[0];
    }
    const own = this.known.stations.find((one) => one.name === this.station)?.channelIds ?? [];
    const [only, another] = this.known.channels.filter(({ id }) => own.includes(id));
    if (only && !another) {
      this.tell('heard-channel-of', `${this.station}: ${only.name}`);
      return only;
    }
    const kept = this.known.channels.find(({ id }) => id === this.known.channelId);
    if (kept) {
      this.tell('heard-channel-kept', kept.name);
      return kept;
    }
    const offers = this.known.channels.slice(0, 4).map((one) => one.name);
    this.ask(
      'heard-channel',
      '',
      offers,
      offers.map((offer) => this.withMore(`on ${offer}`)),
    );
    return undefined;
  }

  /** On a channel with a repeater a call goes through that, unless somebody says otherwise. */
  private wayOn(channel: LineKnown['channels'][number] | undefined): Heard['way'] {
    if (!channel) return this.way ?? 'unknown';
    const station = this.known.stations.find(({ name }) => name === this.station);
    if (station && !station.channelIds.includes(channel.id))
      this.ask('heard-no-repeater', `${channel.name} (${station.name})`);
    else if (this.way === 'repeater' && channel.kind !== 'repeater')
      this.ask('heard-no-repeater', channel.name);
    if (this.way !== null) return this.way;
    return channel.kind === 'listen' ? 'unknown' : channel.kind;
  }

  private report(): Report | undefined {
    const said = this.relation?.heard ?? null;
    const all = this.reports.map(({ report }) => report);
    const readabilities = all.flatMap(({ readability }) => readability ?? []);
    const strengths = new Set(
      this.reports.flatMap(({ report, strengths = [] }) => report.strength ?? strengths),
    );
    const doubtful = this.reports.find(({ strengths: of = [] }) => of.length > 1);
    if (readabilities.length > 1) {
      this.ask('heard-several-reports', this.reports.map(({ text }) => text).join(' '));
      return undefined;
    }
    if (doubtful) {
      const offers = (doubtful.strengths ?? []).map(
        (strength) => `${doubtful.report.readability} ${strength.replace('-', ' ')}`,
      );
      this.ask(
        'heard-scale',
        doubtful.text,
        offers,
        offers.map((offer) => this.instead(doubtful.start, doubtful.end, offer)),
      );
      return undefined;
    }
    const heards = new Set([...all.map(({ heard }) => heard), ...(said === null ? [] : [said])]);
    if (heards.size > 1 || strengths.size > 1) {
      this.ask('heard-contradicts', this.reports.map(({ text }) => text).join(' '));
      return undefined;
    }
    const [heard] = heards;
    if (heard === undefined) {
      const second = this.parties[1];
      if (this.relation && second && !this.questions.some(({ code }) => code === 'heard-who'))
        this.ask(
          'heard-or-not',
          '',
          ['5', 'nothing'],
          ['5', 'nothing'].map((word) => this.instead(second.end, second.end, ` ${word} `)),
        );
      return undefined;
    }
    const [strength] = strengths;
    const [readability] = readabilities;
    return { heard, ...(readability !== undefined && { readability }), ...(strength && { strength }) };
  }

  private timeSaid(): HeardDraft['time'] {
    if (!this.time && this.day === null) return null;
    const { now } = this.known;
    const day = this.day ?? now.day;
    if (!this.time) {
      this.ask('heard-time', day);
      return null;
    }
    const { minute, text, start } = this.time;
    if (day > now.day || (day === now.day && minute > now.minute + 1)) {
      const offers = this.day === null ? ['yesterday'] : [];
      this.ask(
        'heard-time-ahead',
        text,
        offers,
        offers.map((offer) => this.instead(start, start, `${offer} `)),
      );
    }
    return { day, minute };
  }

  /** Says which set is taken for a person, or asks which of several. */
  private saySet(name: string, start: number, end: number): void {
    const { by, unitId } = setMeant(name, this.known.roster);
    const { units, people } = this.known.roster;
    const nickname = units.find(({ id }) => id === unitId)?.nickname ?? '';
    if (by === 'only-set-held') this.tell('heard-set-of-holder', `${name}: ${nickname}`);
    if (by === 'none-held' || by === 'nobody') this.tell('heard-no-set', name);
    if (by !== 'several-held') return;
    const person = people.find((one) => alike(one.name) === alike(name));
    const offers = units.filter(({ personId }) => personId === person?.id).map((unit) => unit.nickname);
    this.tell(
      'heard-which-set',
      name,
      offers,
      offers.map((offer) => this.instead(start, end, offer)),
    );
  }
}

const isQuoted = (item: Item) => item.is === 'word' && item.quoted;
const isPlain = (item: Item | undefined) => item?.is === 'word' && !item.quoted;
const isNumber = (item: Item | undefined) => item?.is === 'report' && /^\d+$/.test(item.text);

/** What the words of a line are, the longest that is known first. */
function itemsOf(said: string, known: LineKnown): Item[] {
  const tokens = tokensOf(said);
  const names = namesOf(known);
  const longest = Math.max(3, ...[...names.keys()].map((name) => name.split(' ').length));
  const items: Item[] = [];
  for (let i = 0; i < tokens.length; ) {
    let taken = 0;
    for (let count = Math.min(longest, tokens.length - i); count > 0 && taken === 0; count--) {
      const part = tokens.slice(i, i + count);
      const item = part.some(({ quoted }) => quoted) ? undefined : itemOf(part, names, known);
      if (!item) continue;
      items.push(item);
      taken = count;
    }
    const token = tokens[i];
    if (taken === 0 && token) items.push({ ...token, is: 'word' });
    i += Math.max(1, taken);
  }
  return items;
}

function tokensOf(said: string): Token[] {
  // Arrows part words that are glued to them; a quotation mark without its other half is a word.
  const words = /"[^"]*[^"\s][^"]*"|<->|<>|->|[→↔>"]|(?:(?!<->|<>|->|[→↔>])[^\s,;"])+/gu;
  return [...said.matchAll(words)].map((match) => {
    const quoted = match[0].length > 1 && match[0].startsWith('"');
    const text = quoted ? match[0] : match[0].replace(/(?<=.)[.!]+$/, '');
    return { text, start: match.index, end: match.index + match[0].length, quoted };
  });
}

function namesOf({
  channels,
  roster,
  stations,
}: LineKnown): Map<string, { name: string; means: Set<Meaning> }> {
  const names = new Map<string, { name: string; means: Set<Meaning> }>();
  const add = (name: string, meaning: Meaning) => {
    const key = keyOf(name);
    if (key === '') return;
    const there = names.get(key) ?? { name, means: new Set<Meaning>() };
    there.means.add(meaning);
    names.set(key, there);
  };
  for (const { nickname } of roster.units) add(nickname, 'party');
  for (const { name } of roster.people) add(name, 'party');
  for (const { name, aliases } of channels) for (const one of [name, ...aliases]) add(one, 'channel');
  for (const { name } of stations) add(name, 'station');
  return names;
}

/** As the words of a line come out: parted by blanks alone. */
const keyOf = (name: string) =>
  tokensOf(alike(name))
    .map(({ text }) => text)
    .join(' ');

function itemOf(
  part: readonly Token[],
  names: ReturnType<typeof namesOf>,
  { now }: LineKnown,
): Item | undefined {
  const [first] = part;
  const last = part.at(-1);
  if (!first || !last) return undefined;
  const text = part.map((one) => one.text).join(' ');
  const word = text.toLowerCase();
  const at = { start: first.start, end: last.end, text };
  const name = names.get(word);
  if (name) return { ...at, is: 'name', ...name };
  const relation = RELATIONS.get(word);
  if (relation) return { ...at, is: 'relation', relation };
  const report = REPORTS.get(word);
  if (report) return { ...at, is: 'report', report };
  const numbers = numbersOf(word);
  if (numbers) return { ...at, is: 'report', ...numbers };
  if (DIRECT.includes(word)) return { ...at, is: 'way', way: 'direct' };
  if (REPEATED.includes(word)) return { ...at, is: 'way', way: 'repeater' };
  if (word === 'on') return { ...at, is: 'before', of: 'channel' };
  if (['via', 'through', 'over'].includes(word)) return { ...at, is: 'before', of: 'station' };
  if (word === 'from' || word === 'at') return { ...at, is: 'before', of: word };
  if (word === 'yesterday') return { ...at, is: 'day', day: dayBefore(now.day) };
  if (word === 'today') return { ...at, is: 'day', day: now.day };
  if (/^\d{4}-\d{2}-\d{2}$/.test(word) && !Number.isNaN(Date.parse(word)))
    return { ...at, is: 'day', day: word };
  const clock = /^([01]?\d|2[0-3]):([0-5]\d)$/.exec(word);
  return clock ? { ...at, is: 'time', minute: Number(clock[1]) * 60 + Number(clock[2]) } : undefined;
}

const dayBefore = (day: string) => new Date(Date.parse(day) - 86_400_000).toISOString().slice(0, 10);

/** `5`, `r5`, `readability 5`; `5x9`, `5/9`, `59`, `5 by 9` with a strength. */
function numbersOf(word: string): { report: Report; strengths?: readonly Strength[] } | undefined {
  const one = /^(?:r|readability |readable )?([1-5])$/.exec(word)?.[1];
  if (one) return { report: { heard: true, readability: Number(one) } };
  const two = /^([1-5])(?:[x/]| ?by ?)?([1-9])$/.exec(word);
  if (!two) return undefined;
  const strengths = strengthsOf(Number(two[2]));
  const [strength] = strengths;
  const report = { heard: true, readability: Number(two[1]) };
  return strengths.length === 1 && strength ? { report: { ...report, strength } } : { report, strengths };
}

/** How many letters have to be put in, taken out or changed between two words (V. Levenshtein, 1966). */
function slips(a: string, b: string): number {
  let row = Array.from({ length: b.length + 1 }, (_, k) => k);
  for (const [i, letter] of [...a].entries()) {
    const next = [i + 1];
    for (let k = 1; k <= b.length; k++)
      next[k] = Math.min(
        (row[k] ?? 0) + 1,
        (next[k - 1] ?? 0) + 1,
        (row[k - 1] ?? 0) + Number(letter !== b[k - 1]),
      );
    row = next;
  }
  return row[b.length] ?? 0;
}
