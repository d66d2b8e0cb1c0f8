import type { Question } from '../findings/index';
import type { Heard } from '../model/index';
import { alike } from '../units/index';
import type { HeardDraft, HeardReading } from './draft';
import { type Item, isNumber, isPlain, isQuoted, itemsOf, type LineKnown } from './items';
import { nearNames } from './near';
import { reportOf } from './report';
import { setMeant } from './who';
import type { Relation, Report } from './words';

const LONGEST_LINE = 400;
const LONGEST_NOTE = 200;
const LONGEST_WORD = 60;

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

type Asked = [code: Question['code'], about: string, offers?: readonly string[], lines?: readonly string[]];

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

  private ask(...[code, about, offers = [], lines = []]: Asked) {
    this.questions.push({ code, blocking: true, about, offers, lines });
  }
  private tell(...[code, about, offers = [], lines = []]: Asked) {
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
      const near = nearNames(text, this.known.roster);
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
    const said = reportOf(this.reports, this.relation?.heard ?? null);
    const [, second] = this.parties;
    if (said.is === 'report') return said.report;
    if (said.is === 'asks') this.ask(said.code, said.about);
    else if (said.is === 'scale') {
      const { start, end, text } = said.item;
      const lines = said.offers.map((offer) => this.instead(start, end, offer));
      this.ask('heard-scale', text, said.offers, lines);
    } else if (this.relation && second && !this.questions.some(({ code }) => code === 'heard-who')) {
      const offers = ['5', 'nothing'];
      const lines = offers.map((word) => this.instead(second.end, second.end, ` ${word} `));
      this.ask('heard-or-not', '', offers, lines);
    }
    return undefined;
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
