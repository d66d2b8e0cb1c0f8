/** What the cells of a column are. */
type Role =
  | 'name'
  | 'channel'
  | 'output'
  | 'input'
  | 'offset'
  | 'tone'
  | 'inputTone'
  | 'outputTone'
  | 'plain'
  | 'note';

/** The columns of a table, in its order. */
export type Columns = readonly { readonly role: Role; readonly title: string }[];

/* Titles of columns in listings and spreadsheets, lower case (common practice). A tone without a direction is read as a line's would be. */
const TITLES: Readonly<Record<Exclude<Role, 'note'>, RegExp>> = {
  name: /^(name|site|location|title|repeater|repeater name|channel name|place|town|city)$/,
  channel: /^(channel|ch|chan|number|no|nr|channel number)$/,
  output:
    /^(freq|frequency|output|output freq|output frequency|rx|rx freq|rx frequency|receive|receive frequency|downlink|mhz)$/,
  input: /^(input|input freq|input frequency|tx|tx freq|tx frequency|transmit|transmit frequency|uplink)$/,
  offset: /^(offset|shift|split|duplex)$/,
  tone: /^(tone|tones|pl|ctcss|dcs|dpl|ctcss\/dcs|tone\/code|code)$/,
  inputTone:
    /^(input tone|in tone|tx tone|tone in|access tone|encode|enc|uplink tone|transmit tone|tx pl|tx ctcss)$/,
  outputTone:
    /^(output tone|out tone|rx tone|tone out|decode|dec|downlink tone|receive tone|tsq|rx pl|rx ctcss)$/,
  plain: /^(access|status|mode|service|bandwidth|width|band|kind|type|use)$/,
};
const NOTE =
  /^(notes?|remarks?|comments?|info|distance|county|state|updated|owner|call|callsign|call sign|coverage)$/;

/**
 * What the cells of a title row say of their columns; `undefined` where it is none: a title has no figures, a frequency or a channel is among
 * them, and half of them are known. A column of which nothing is known goes to the note.
 */
export function columnsOf(cells: readonly string[]): Columns | undefined {
  const titles = cells.map((cell) =>
    cell
      .trim()
      .toLowerCase()
      .replace(/\s*\(.*\)$/, ''),
  );
  if (titles.length < 2 || titles.some((title) => /\d/.test(title))) return undefined;
  const columns = titles.map((title) => ({ role: roleOf(title), title }));
  const known = columns.filter(({ role }) => role !== undefined).length;
  const isPlaced = columns.some(({ role }) => role === 'output' || role === 'channel' || role === 'input');
  if (!isPlaced || known * 2 < columns.length) return undefined;
  return columns.map(({ role = 'note', title }) => ({ role, title }));
}

function roleOf(title: string): Role | undefined {
  if (NOTE.test(title)) return 'note';
  return (Object.keys(TITLES) as (keyof typeof TITLES)[]).find((role) => TITLES[role].test(title));
}

/** A row of a table as one line, with its name between quotation marks, and what goes to the note. */
export function lineOf(cells: readonly string[], columns: Columns): { read: string; note: string } {
  const of = (role: Role) =>
    columns.flatMap((column, i) => {
      const cell = (cells[i] ?? '').trim();
      return column.role === role && cell !== '' ? [cell] : [];
    });
  const [output] = of('output');
  const [input] = of('input');
  const places =
    output !== undefined && input !== undefined && output !== input
      ? [`rx ${output} tx ${input}`]
      : [output ?? (input === undefined ? '' : `tx ${input}`)];
  const parts = [
    ...of('name').map((name) => `"${name.replaceAll('"', '')}"`),
    ...of('channel').map((number) => (/^\d+[a-z]?$/i.test(number) ? `ch ${number}` : number)),
    ...places,
    ...of('offset'),
    ...of('inputTone').map((tone) => `in ${tone}`),
    ...of('outputTone').map((tone) => `out ${tone}`),
    ...of('tone'),
    ...of('plain'),
  ];
  // Cells beyond the last title say something too.
  const rest = cells.slice(columns.length).filter((cell) => cell.trim() !== '');
  return { read: parts.filter(Boolean).join(' '), note: [...of('note'), ...rest].join(', ') };
}
