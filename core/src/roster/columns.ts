/** A column of a roster as people keep it in spreadsheets: its key, the title we write, and what else it is called. */
export interface Column {
  readonly key: string;
  readonly title: string;
  readonly synonyms: readonly string[];
}

export const PEOPLE_COLUMNS = [
  { key: 'name', title: 'Name', synonyms: ['person', 'member', 'full name', 'who'] },
  { key: 'contact', title: 'Contact', synonyms: ['mail', 'email', 'e-mail', 'phone', 'telephone', 'mobile'] },
  {
    key: 'licences',
    title: 'Licences',
    synonyms: ['licence', 'license', 'licenses', 'gmrs', 'call sign', 'callsign'],
  },
  { key: 'teams', title: 'Teams', synonyms: ['team', 'role', 'roles', 'group', 'groups'] },
  { key: 'note', title: 'Note', synonyms: ['notes', 'remark', 'remarks', 'comment'] },
] as const satisfies readonly Column[];

export const UNIT_COLUMNS = [
  { key: 'nickname', title: 'Nickname', synonyms: ['name', 'radio', 'unit', 'device', 'label'] },
  { key: 'kind', title: 'Kind', synonyms: ['model', 'type', 'description', 'make', 'make and model'] },
  { key: 'holder', title: 'Holder', synonyms: ['person', 'member', 'owner', 'who', 'holds', 'issued to'] },
  { key: 'serial', title: 'Serial', synonyms: ['serial number', 's/n', 'sn', 'serial no'] },
  { key: 'firmware', title: 'Firmware', synonyms: ['version', 'fw', 'software'] },
  { key: 'fleetId', title: 'Fleet ID', synonyms: ['id', 'fleet', 'unit id', 'ptt id'] },
  { key: 'accessories', title: 'Accessories', synonyms: ['accessory', 'extras'] },
  { key: 'batteryChanged', title: 'Battery changed', synonyms: ['battery', 'cell', 'batteries'] },
  { key: 'testHeard', title: 'Test heard', synonyms: ['alert test', 'weekly test', 'last test'] },
  { key: 'keeps', title: 'Kept numbers', synonyms: ['keeps', 'kept', 'reserved'] },
  {
    key: 'pickedTone',
    title: 'Picked tone',
    synonyms: ['tone picked by hand', 'tone by hand', 'operator tone'],
  },
  { key: 'role', title: 'Set up for', synonyms: ['set up as', 'setup', 'team', 'role'] },
  { key: 'carries', title: 'Carries', synonyms: ['repeats', 'pair', 'repeater channel'] },
  { key: 'note', title: 'Note', synonyms: ['notes', 'remark', 'remarks', 'comment'] },
] as const satisfies readonly Column[];

const plain = (text: string) =>
  text
    .trim()
    .toLowerCase()
    .replace(/[\s_]+/g, ' ');

/**
 * Guesses which column each cell of a header row stands for; `null` for what is none of them. Each column is taken once, an
 * exact title before a synonym.
 */
export function guessMapping(header: readonly string[], columns: readonly Column[]): (string | null)[] {
  const taken = new Set<string>();
  const mapping: (string | null)[] = header.map(() => null);
  const take = (fits: (column: Column, text: string) => boolean) =>
    header.forEach((cell, i) => {
      if (mapping[i] !== null) return;
      const found = columns.find((column) => !taken.has(column.key) && fits(column, plain(cell)));
      if (!found) return;
      taken.add(found.key);
      mapping[i] = found.key;
    });
  take((column, text) => text === plain(column.title));
  take((column, text) => column.synonyms.some((synonym) => plain(synonym) === text));
  return mapping;
}
