/*
 * The words people write in listings, lower case, by what they do in a line. Common practice of the field; no published
 * source. A listing's *input* is what the repeater listens for, so it is what our sets send.
 */

/** Whether a word is about what one sends, what one hears, or both. */
export type Direction = 'send' | 'hear' | 'both';

/** Words for a direction (common practice in listings). */
export const DIRECTION_WORDS: Readonly<Record<string, Direction>> = {
  in: 'send',
  input: 'send',
  uplink: 'send',
  ul: 'send',
  xmit: 'send',
  tx: 'send',
  transmit: 'send',
  send: 'send',
  up: 'send',
  encode: 'send',
  enc: 'send',
  access: 'send',
  out: 'hear',
  output: 'hear',
  ausgabe: 'hear',
  eingabe: 'send',
  downlink: 'hear',
  dl: 'hear',
  rcv: 'hear',
  recv: 'hear',
  down: 'hear',
  rx: 'hear',
  receive: 'hear',
  hear: 'hear',
  decode: 'hear',
  dec: 'hear',
  both: 'both',
};

/** Words of `DIRECTION_WORDS` that are said of repeaters alone. */
export const INPUT_WORDS: ReadonlySet<string> = new Set(['in', 'input', 'uplink', 'access', 'eingabe']);

/** `number` is a code number of some device's own table, which is only a label. */
export type ToneKind = 'ctcss' | 'dcs' | 'any' | 'number';

/** Words for a kind of tone, some with a direction (common practice in listings). */
export const TONE_WORDS: Readonly<Record<string, { kind: ToneKind; direction?: Direction }>> = {
  ctcss: { kind: 'ctcss' },
  pl: { kind: 'ctcss' },
  ctc: { kind: 'ctcss' },
  ct: { kind: 'ctcss' },
  tpl: { kind: 'ctcss' },
  qt: { kind: 'ctcss' },
  subtone: { kind: 'ctcss' },
  'sub-tone': { kind: 'ctcss' },
  subaudible: { kind: 'ctcss' },
  t: { kind: 'ctcss', direction: 'send' },
  tone: { kind: 'any' },
  tones: { kind: 'any' },
  ton: { kind: 'any' },
  tsq: { kind: 'ctcss', direction: 'both' },
  tsql: { kind: 'ctcss', direction: 'both' },
  dcs: { kind: 'dcs' },
  cdcss: { kind: 'dcs' },
  dpl: { kind: 'dcs' },
  dtc: { kind: 'dcs' },
  dtcs: { kind: 'dcs' },
  dcg: { kind: 'dcs' },
  dqt: { kind: 'dcs' },
  digital: { kind: 'dcs' },
  code: { kind: 'number' },
  privacy: { kind: 'number' },
  eliminator: { kind: 'number' },
};

/** No tone at all, in the place of a tone. */
export const OFF_WORDS: ReadonlySet<string> = new Set(['off', 'none', 'csq', 'carrier', 'cs']);

/** Words for the polarity of a code. */
export const POLARITY_WORDS: Readonly<Record<string, 'N' | 'I'>> = {
  n: 'N',
  normal: 'N',
  i: 'I',
  inv: 'I',
  inverted: 'I',
  inverse: 'I',
  invert: 'I',
  rev: 'I',
  reverse: 'I',
  reversed: 'I',
  r: 'I',
};

/** Words that say that it goes through a repeater. */
export const REPEATER_WORDS: ReadonlySet<string> = new Set(
  'rpt rptr repeater rep duplex dup dpx dplx semi-duplex semiduplex half-duplex'.split(' '),
);
/** Words that say that it goes from set to set. */
export const DIRECT_WORDS: ReadonlySet<string> = new Set(['simplex', 'direct', 'talkaround', 'talk-around']);
/** Words that say of a number beside them that it is a frequency. */
export const FREQUENCY_WORDS: ReadonlySet<string> = new Set(
  'freq freqs frequency frequencies frequenz qrg'.split(' '),
);
/** Words before a channel number. */
export const CHANNEL_WORDS: ReadonlySet<string> = new Set('ch chan channel chnl kanal canal'.split(' '));
/** Words for modes that analogue sets hear as noise. */
export const DIGITAL_MODES: ReadonlySet<string> = new Set(
  'p25 apco apco25 apco-25 dmr nxdn tetra dpmr d-star dstar c4fm ysf fusion m17'.split(' '),
);
/** Words for modes that are outside: sets of this field neither send nor hear them. */
export const OUTSIDE_MODES: ReadonlySet<string> = new Set(['usb', 'lsb', 'ssb', 'cw']);
/** Words that say which way an offset goes. */
export const OFFSET_WORDS: Readonly<Record<string, '+' | '-'>> = {
  plus: '+',
  positive: '+',
  pos: '+',
  minus: '-',
  negative: '-',
  neg: '-',
};
/** Words that forbid sending where they stand behind or before what is listened to; in a name they are part of it. */
export const LISTEN_WORDS: ReadonlySet<string> = new Set(['listen', 'listening', 'monitor', 'monitoring']);
/** Words that change what stands before them in a way that is not read: asked about. */
export const UNREAD_WORDS: ReadonlySet<string> = new Set(['rev', 'reverse', 'reversed']);
/** Words that mean something to the reader or forbid something: behind a frequency they are never taken for a name. */
export const NO_NAME_WORDS: ReadonlySet<string> = new Set(
  [
    "only no not none off don't dont disabled inhibit inhibited xmit transmit transmitting for star carrier squelch sql cs csq",
    'offset shift std standard usual encrypted encryption scrambled scrambler compander',
    // What somebody does with it, or it with somebody.
    'sends sending sent transmits transmitted listens listened hears heard receives received receiving opens opened keys ptt',
    'blocked forbidden prohibited banned locked lockout skip skipped avoid reserved requires required require',
    // What may be otherwise.
    'or instead except unless if was formerly now maybe perhaps probably possibly approx approximately guess think unsure uncertain tbc tba tbd',
    'unconfirmed until till after before starting effective will soon upcoming eventually odd non-standard nonstandard',
    // Codes of digital modes where no mode is said, and what else is sent beside a voice.
    'cc tg ts nac ran slot talkgroup dgid dg-id module baud bps burst dtmf selcall parrot echo',
    // Words of a set’s own menus and lists, and of other languages where they say of whom a number is.
    'scan busy bcl lock mem memory add rp nn rn nr ukw dsc',
  ].flatMap((words) => words.split(' ')),
);
/** What a repeater, or somebody, does: in no place a name. */
export const DOING_WORDS: ReadonlySet<string> = new Set(
  'sends transmits listens hears receives talks opens answers replies responds'.split(' '),
);
/** Words that join others: at either end of what is left behind a frequency they belong to something that was not read. */
export const JOINING_WORDS: ReadonlySet<string> = new Set(
  'to with it is are be as get gets use uses used using via through than but so o on at and'.split(' '),
);
/** `Kelp Stairs is on FRS`: words that lead from a name to where it is. */
export const PLACING_WORDS: ReadonlySet<string> = new Set('is are on at'.split(' '));
/** The same, and those that lead to a frequency behind them. */
export const LEADING_WORDS: ReadonlySet<string> = new Set([...PLACING_WORDS, 'to', 'with', 'the']);

/** Units: left over they are about a value that is not there. */
export const UNIT_WORDS: ReadonlySet<string> = new Set(
  'w k m r t x hz khz mhz ghz mc kc megahertz kilohertz hertz megacycles db dbm dbi watt watts ft mi mile miles km ms baud bps'.split(
    ' ',
  ),
);

/** Several words that mean one thing; the first that fits counts, so longer ones come first. */
export type Phrase =
  | 'listen'
  | 'open'
  | 'permission'
  | 'narrow'
  | 'wide'
  | 'both'
  | 'no-tone'
  | 'unknown-tone'
  | 'planned'
  | 'withdrawn'
  | 'off-air'
  | 'split'
  | 'number'
  | 'fm'
  | 'repeater'
  | 'opens'
  | 'drop';
/** Several words that mean one thing. */
export const PHRASES: readonly (readonly [readonly string[], Phrase])[] = [
  [['rx', 'only'], 'listen'],
  [['receive', 'only'], 'listen'],
  [['listen', 'only'], 'listen'],
  [['monitor', 'only'], 'listen'],
  [['rcv', 'only'], 'listen'],
  [['recv', 'only'], 'listen'],
  [['rx-only'], 'listen'],
  [['rxo'], 'listen'],
  [['listen-only'], 'listen'],
  [['receive-only'], 'listen'],
  [['not', 'for', 'transmit'], 'listen'],
  [['do', 'not', 'transmit'], 'listen'],
  [['no', 'transmit'], 'listen'],
  [['listening', 'only'], 'listen'],
  [['monitoring', 'only'], 'listen'],
  [['scan', 'only'], 'listen'],
  [['scanner', 'only'], 'listen'],
  [['no', 'xmit'], 'listen'],
  [['never', 'transmit'], 'listen'],
  [['no', 'transmitting'], 'listen'],
  [['no', 'transmission'], 'listen'],
  [["don't", 'transmit'], 'listen'],
  [['dont', 'transmit'], 'listen'],
  [['for', 'listening'], 'listen'],
  [['for', 'monitoring'], 'listen'],
  [['no', 'tx'], 'listen'],
  [['no', 'talk'], 'listen'],
  ...['tone', 'pl', 'ctcss', 'code'].flatMap((tone) =>
    [
      [tone, 'not', 'required'],
      [tone, 'not', 'needed'],
      ['without', 'a', tone],
      ['without', tone],
    ].map((words) => [words, 'no-tone'] as const),
  ),
  ...['tone', 'pl', 'ctcss'].flatMap((tone) =>
    [
      [tone, 'tbd'],
      [tone, 'tba'],
      [tone, 'on', 'request'],
      ['ask', 'for', 'the', tone],
      ['ask', 'for', tone],
      ['private', tone],
    ].map((words) => [words, 'unknown-tone'] as const),
  ),
  [['ask', 'first'], 'permission'],
  [['by', 'permission'], 'permission'],
  [['permission', 'required'], 'permission'],
  [['members', 'only'], 'permission'],
  [['permission'], 'permission'],
  [['private'], 'permission'],
  [['closed'], 'permission'],
  [['no', 'tone', 'required'], 'no-tone'],
  [['no', 'tone', 'needed'], 'no-tone'],
  [['no', 'tone'], 'no-tone'],
  [['no', 'privacy', 'code'], 'no-tone'],
  [['no', 'privacy'], 'no-tone'],
  [['no', 'code'], 'no-tone'],
  [['unknown', 'tone'], 'unknown-tone'],
  [['unknown', 'pl'], 'unknown-tone'],
  [['tone', 'not', 'known'], 'unknown-tone'],
  [['pl', 'not', 'known'], 'unknown-tone'],
  [['tone', 'no'], 'number'],
  [['tone', 'number'], 'number'],
  [['pl', 'no'], 'number'],
  [['pl', 'number'], 'number'],
  [['sub', 'channel'], 'number'],
  [['sub', 'ch'], 'number'],
  [['sub', 'code'], 'number'],
  [['subchannel'], 'number'],
  [['sub-channel'], 'number'],
  [['subcode'], 'number'],
  [['sub-code'], 'number'],
  [['sub'], 'number'],
  [['carrier', 'access'], 'no-tone'],
  [['carrier', 'operated'], 'no-tone'],
  [['no', 'pl', 'dpl'], 'no-tone'],
  [['no', 'pl'], 'no-tone'],
  [['no', 'ctcss'], 'no-tone'],
  [['carrier', 'squelch'], 'no-tone'],
  [['tone', 'squelch'], 'both'],
  [['t', 'sql'], 'both'],
  [['tone', 'sql'], 'both'],
  [['enc', 'dec'], 'both'],
  [['encode', 'decode'], 'both'],
  [['t-sql'], 'both'],
  [['in', 'and', 'out'], 'both'],
  [['in', 'out'], 'both'],
  [['input', 'and', 'output'], 'both'],
  [['output', 'and', 'input'], 'both'],
  [['both', 'directions'], 'both'],
  [['both', 'ways'], 'both'],
  [['each', 'way'], 'both'],
  [['tx', 'rx'], 'both'],
  [['tx', '&', 'rx'], 'both'],
  [['tx', 'and', 'rx'], 'both'],
  [['rx', 'and', 'tx'], 'both'],
  [['rx', '&', 'tx'], 'both'],
  [['rx', 'tx'], 'both'],
  [['transmit', 'and', 'receive'], 'both'],
  [['receive', 'and', 'transmit'], 'both'],
  [['send', 'and', 'receive'], 'both'],
  [['encode', 'and', 'decode'], 'both'],
  [['encode', '&', 'decode'], 'both'],
  [['enc', '&', 'dec'], 'both'],
  [['planned'], 'planned'],
  [['withdrawn'], 'withdrawn'],
  [['off', 'air'], 'off-air'],
  [['on', 'air'], 'drop'],
  [['to', 'all'], 'drop'],
  [['to', 'open', 'it'], 'opens'],
  [['to', 'open'], 'opens'],
  [['to', 'get', 'in'], 'opens'],
  [['to', 'bring', 'up'], 'opens'],
  [['half', 'duplex'], 'repeater'],
  [['semi', 'duplex'], 'repeater'],
  [['narrow'], 'narrow'],
  [['nfm'], 'narrow'],
  [['nbfm'], 'narrow'],
  [['fmn'], 'narrow'],
  [['narrowband'], 'narrow'],
  [['wide', 'area'], 'drop'],
  [['wide'], 'wide'],
  [['wideband'], 'wide'],
  [['fm'], 'fm'],
  [['analog'], 'fm'],
  [['analogue'], 'fm'],
  [['mhz'], 'drop'],
  [['split'], 'split'],
];

/** Widths in kilohertz that are written as a number. */
export const WIDTHS_KHZ: Readonly<Record<string, 'narrow' | 'wide'>> = {
  '11.25': 'narrow',
  '12.5': 'narrow',
  '20': 'wide',
  '25': 'wide',
};
