/*
 * Words by the short forms that people read without thinking. Streets, landforms and buildings: U.S. Postal Service, Publication 28,
 * appendices C1 and C2 (from memory). Compass: usual. Radio, vehicles and services: common practice, no source.
 */

/** Short forms by the whole word in lower case, the usual one first. */
export const SHORT_WORDS: ReadonlyMap<string, readonly string[]> = new Map(
  Object.entries({
    // Compass and place in a row.
    north: 'N',
    south: 'S',
    east: 'E',
    west: 'W',
    northeast: 'NE',
    northwest: 'NW',
    southeast: 'SE',
    southwest: 'SW',
    northern: 'N',
    southern: 'S',
    eastern: 'E',
    western: 'W',
    upper: 'Upr',
    lower: 'Lwr',
    primary: 'Pri',
    secondary: 'Sec',
    // Land and buildings.
    airport: 'Apt',
    beach: 'Bch',
    bridge: 'Brg',
    building: 'Bldg',
    center: 'Ctr',
    centre: 'Ctr',
    creek: 'Crk',
    crossing: 'Xing',
    department: 'Dept',
    district: 'Dist',
    field: 'Fld',
    forest: 'Frst',
    fort: 'Ft',
    harbor: 'Hbr',
    harbour: 'Hbr',
    highway: 'Hwy',
    hospital: 'Hosp',
    island: 'Isl',
    junction: 'Jct',
    lake: 'Lk',
    landing: 'Ldg Lndg',
    mount: 'Mt',
    mountain: 'Mtn',
    office: 'Ofc',
    point: 'Pt',
    ridge: 'Rdg',
    river: 'Riv',
    road: 'Rd',
    school: 'Sch',
    station: 'Stn',
    street: 'St',
    valley: 'Vly',
    village: 'Vlg',
    warehouse: 'Whse',
    // Radio.
    announcements: 'Ann',
    calling: 'Call',
    channel: 'Ch',
    command: 'Cmd',
    control: 'Ctl',
    direct: 'Dir',
    dispatch: 'Disp',
    emergency: 'Emg',
    frequency: 'Freq',
    general: 'Gen',
    ground: 'Gnd',
    interoperability: 'Iop',
    maintenance: 'Maint',
    management: 'Mgmt',
    marine: 'Mar',
    medical: 'Med',
    mobile: 'Mob',
    operations: 'Ops',
    police: 'Pol',
    portable: 'Port',
    private: 'Prv',
    repeater: 'Rpt',
    rescue: 'Res',
    search: 'Srch',
    security: 'Sec',
    service: 'Svc',
    sheriff: 'Shf',
    simplex: 'Smp',
    support: 'Sup',
    system: 'Sys',
    tactical: 'Tac',
    talkaround: 'TA',
    traffic: 'Tfc',
    training: 'Trng',
    transport: 'Trn',
    visitor: 'Vis',
    visitors: 'Vis',
    weather: 'Wx',
    county: 'Co',
    community: 'Comm',
    company: 'Co',
    volunteer: 'Vol',
    number: 'No',
  }).map(([word, short]) => [word, short.split(' ')]),
);

/** Words that say nothing by themselves. */
export const FILLERS: ReadonlySet<string> = new Set([
  'of',
  'the',
  'and',
  'a',
  'at',
  'for',
  'on',
  'in',
  'to',
  '&',
  '-',
  '/',
]);

/** Words that most names of a plan have, so that a name is known without them. */
export const USUAL: ReadonlySet<string> = new Set([
  'repeater',
  'channel',
  'simplex',
  'frequency',
  'radio',
  'net',
]);

/** Numbers in words, as figures. */
export const FIGURES: ReadonlyMap<string, string> = new Map(
  'zero one two three four five six seven eight nine ten eleven twelve'
    .split(' ')
    .map((word, value) => [word, String(value)]),
);

/** Words that only say which: without the next one nobody knows what is meant. */
export const WHICH: ReadonlySet<string> = new Set(
  'north south east west northern southern eastern western upper lower old new main big little great inner outer left right first second third'.split(
    ' ',
  ),
);
