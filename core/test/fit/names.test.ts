import { namesTogether, shortenName, shortForms } from '@umbrex/core/fit';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runs } from '../support/runs';

const UPPER = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ0123456789- ';
const MIXED = `${UPPER}abcdefghijklmnopqrstuvwxyz`;

const named = (names: readonly string[], shortNames: readonly string[] = []) =>
  names.map((name, i) => ({ id: `${i} ${name}`, name, shortNames: [...shortNames] }));
const texts = (
  channels: ReturnType<typeof named>,
  length: number,
  characters = UPPER,
  given?: ReadonlyMap<string, string>,
) => [...namesTogether(channels, { length, characters }, given).values()].map(({ text }) => text);

/**
 * What a person would write on a display of so many capital letters, decided before the application was asked; each of them will do.
 * They stand in one plan: a beginning that two of them share is nobody's.
 */
const BY_A_PERSON: readonly (readonly [
  string,
  readonly [string, ...string[]],
  readonly [string, ...string[]],
])[] = [
  // Name; in six letters; in eight.
  ['Amber Hill', ['AMBER', 'AMBHIL'], ['AMBER', 'AMBERHIL', 'AMBER HL', 'AMBHILL', 'AMBRHILL', 'AMBEHILL']],
  ['Anchor Bay', ['ANCHOR', 'ANCBAY'], ['ANCHOR', 'ANCHRBAY', 'ANCH BAY', 'ANCHOBAY']],
  ['Apple Orchard', ['APPLE', 'APPORC', 'APLORC'], ['APPLE', 'APPLEORC', 'APPLORCH', 'APP ORCH']],
  ['Barn Owl Tower', ['BARN', 'BARNOW', 'BRNOWL', 'OWLTWR', 'BAROWL'], ['BARN OWL', 'BARNOWL', 'OWLTOWER']],
  ['Basin North', ['BASINN', 'BAS N', 'BASN', 'BSN N', 'BASI N', 'BASNOR'], ['BASIN N', 'BASINNOR']],
  ['Basin South', ['BASINS', 'BAS S', 'BASS', 'BSN S', 'BASI S', 'BASSOU'], ['BASIN S', 'BASINSOU']],
  ['Bell Rock', ['BELL', 'BELROC', 'BELLRK', 'BELLRO'], ['BELLROCK', 'BELL RCK', 'BELL ROC']],
  ['Birch Lane', ['BIRCH', 'BIRLAN', 'BIRCHL'], ['BIRCH', 'BIRCH LN', 'BIRCHLN', 'BIRCLANE', 'BIRCHLAN']],
  [
    'Boiler house',
    ['BOILER', 'BLRHSE', 'BOIHSE'],
    ['BOILER', 'BOILRHSE', 'BOIL HSE', 'BOILHOUS', 'BOILEHOU', 'BOIHOUSE'],
  ],
  ['Calling', ['CALL', 'CALLIN', 'CALLNG'], ['CALLING']],
  ['Canteen', ['CANTEE', 'CANTN', 'CANTEN', 'CANT'], ['CANTEEN']],
  ['Carnival one', ['CARNI1', 'CARNV1', 'CARN 1', 'CARN1'], ['CARNIVA1', 'CARNIV 1', 'CARNIV1', 'CARNI 1']],
  ['Carnival two', ['CARNI2', 'CARNV2', 'CARN 2', 'CARN2'], ['CARNIVA2', 'CARNIV 2', 'CARNIV2', 'CARNI 2']],
  [
    'Chapel Hill repeater',
    ['CHAPEL', 'CHAPHL', 'CHPHIL', 'CHAHIL'],
    ['CHAPEL', 'CHAPELHL', 'CHAPHILL', 'CHAPLHIL', 'CHAPEHIL', 'CHAPLRPT', 'CHAPERPT'],
  ],
  ['Control', ['CTL', 'CONTRO', 'CONTRL', 'CTRL'], ['CONTROL']],
  ['County Fire', ['COFIRE', 'CO FIR'], ['CO FIRE']],
  ['Crane 1', ['CRANE1'], ['CRANE 1']],
  ['Crane 2', ['CRANE2'], ['CRANE 2']],
  ['Crane 12', ['CRAN12', 'CRA 12', 'CRN 12', 'CRAN12'], ['CRANE 12']],
  ['Dam wall', ['DAMWAL', 'DAM WL', 'DAM'], ['DAM WALL']],
  ['Depot', ['DEPOT'], ['DEPOT']],
  ['Distillery', ['DISTIL', 'DISTLY', 'DISTLL'], ['DISTILLE', 'DISTLLRY', 'DISTILRY', 'DISTILL']],
  [
    'Eagle Nest',
    ['EAGLE', 'EAGNES', 'EAGNST', 'EGLNST'],
    ['EAGLENST', 'EAGLNEST', 'EAGLE', 'EAG NEST', 'EAGLENES'],
  ],
  ['East gate', ['E GATE', 'EGATE'], ['E GATE', 'EASTGATE', 'EAST GTE']],
  ['West gate', ['W GATE', 'WGATE'], ['W GATE', 'WESTGATE', 'WEST GTE']],
  ['Emergency', ['EMERG', 'EMG', 'EMERGE', 'EMERGY'], ['EMERG', 'EMERGENC', 'EMG', 'EMERGNCY', 'EMERGCY']],
  [
    'Farm track',
    ['FARM', 'FARMTR', 'FRMTRK', 'FARTRA', 'FARTRK'],
    ['FARM TRK', 'FARMTRAC', 'FARMTRCK', 'FARMTRK', 'FARM TRA'],
  ],
  ['Field kitchen', ['FLDKIT', 'FIELD', 'FIEKIT'], ['FLD KIT', 'FLDKITCH', 'FIELDKIT', 'FLD KITC']],
  ['Gate 7', ['GATE 7'], ['GATE 7']],
  ['General talk', ['GEN', 'GENRAL', 'GENTAL', 'GENTLK', 'GENERA'], ['GEN TALK', 'GENERAL', 'GENTALK']],
  ['Glasshouse', ['GLASSH', 'GLASHS', 'GLSHSE', 'GLASHO'], ['GLASSHSE', 'GLASSHOU', 'GLASHOUS', 'GLASSHS']],
  [
    'Golf course',
    ['GOLF', 'GOLFCO', 'GOLFCR', 'GOLCOU'],
    ['GOLF CRS', 'GOLF', 'GOLFCOUR', 'GOLFCRSE', 'GOLF COU', 'GOLFCRS'],
  ],
  [
    'Harbour master',
    ['HBRMAS', 'HBRMST', 'HBRMTR', 'HARBOU', 'HARMAS'],
    ['HBRMASTR', 'HBRMASTE', 'HBR MAST', 'HBR MSTR', 'HBRMAST'],
  ],
  [
    'Hill farm',
    ['HILL', 'HILLFA', 'HILFAR', 'HILFRM', 'HLFARM', 'HIFARM'],
    ['HILLFARM', 'HILL FRM', 'HILL FAR'],
  ],
  ['Island bus', ['ISLBUS', 'ISLAND'], ['ISL BUS', 'ISLNDBUS', 'ISLANBUS', 'ISLBUS']],
  ['Kite club', ['KITE', 'KITECL', 'KITCLB', 'KITCLU'], ['KITECLUB', 'KITE CLB', 'KITE CLU']],
  [
    'Lamp Post Corner',
    ['LAMP', 'LAMPCO', 'LMPPST', 'LAMPPO', 'LAMPOS', 'LAMPST'],
    ['LAMPPOST', 'LAMP CNR', 'LAMPPCOR', 'LAMPCORN', 'LAMP POS'],
  ],
  [
    'Mill Pond',
    ['MILL', 'MILPON', 'MILLPO', 'MLPOND', 'MILPND', 'MIPOND'],
    ['MILLPOND', 'MILL PND', 'MILL PON'],
  ],
  [
    'Moor Road direct',
    ['MOORRD', 'MOOR', 'MOORDR', 'MOOR R', 'MOORDI'],
    ['MOOR RD', 'MOOR DIR', 'MOORRDDR', 'MOORROAD'],
  ],
  [
    'Nursery slope',
    ['NURSRY', 'NURSER', 'NURSLP', 'NURSLO'],
    ['NURSERY', 'NURSSLOP', 'NURS SLP', 'NURSLOPE', 'NURSESLO'],
  ],
  ['Old Mill repeater', ['OLDMIL', 'OLD ML', 'OLDMLL'], ['OLD MILL', 'OLDMLRPT', 'OLDMILL']],
  ['Operations', ['OPS'], ['OPS', 'OPERATIO', 'OPERATNS', 'OPERTNS']],
  ['Otter Creek', ['OTTER', 'OTTCRK', 'OTRCRK'], ['OTTERCRK', 'OTTER CR', 'OTTER']],
  [
    'Parade start',
    ['PARADE', 'PARSTR', 'PARSTA'],
    ['PARADE', 'PARADEST', 'PARSTART', 'PAR STRT', 'PARASTAR', 'PARADSTA'],
  ],
  [
    'Parade finish',
    ['PARFIN', 'PARFNS'],
    ['PARAFIN', 'PAR FIN', 'PARFINIS', 'PARADEFI', 'PARADFIN', 'PARAFINI', 'PARAFNSH', 'PARFNISH'],
  ],
  ['Pier', ['PIER'], ['PIER']],
  [
    'Point Lookout',
    ['PTLOOK', 'PT LOO', 'PT LKT', 'PTLKOT', 'PTLOKT'],
    ['PT LOOK', 'PTLOOKOU', 'PTLOOKOT', 'PT LKOUT', 'PT LOOKO'],
  ],
  [
    'Radio room',
    ['RADIO', 'RADROM', 'RADROO', 'RADRM'],
    ['RADIO RM', 'RADROOM', 'RADIROOM', 'RADIO', 'RADIORM', 'RAD ROOM'],
  ],
  ['Repeater 3', ['RPT 3', 'RPTR3', 'RPT3'], ['RPT 3', 'RPTR 3', 'REPEATR3']],
  [
    'Rescue boat',
    ['RESBOT', 'RESBT', 'RESCUE', 'RSCBT', 'RESBOA'],
    ['RES BOAT', 'RESCBOAT', 'RESCUEBT', 'RESCUE'],
  ],
  [
    'Rose Garden',
    ['ROSE', 'ROSEGA', 'ROSGDN', 'ROSGAR', 'ROSEGD'],
    ['ROSE GDN', 'ROSE GAR', 'ROSEGARD', 'ROSGARDN', 'ROSEGDN'],
  ],
  [
    'Saddle Mountain',
    ['SADDLE', 'SADMTN'],
    ['SADDLMTN', 'SADDLE M', 'SADDLE', 'SADL MTN', 'SADD MTN', 'SADDLEMT'],
  ],
  ['Ski school', ['SKISCH'], ['SKI SCH', 'SKISCHOO', 'SKISCHL', 'SKISCHOL']],
  ['Tea room', ['TEAROO', 'TEA RM', 'TEARM', 'TEA', 'TEAROM'], ['TEA ROOM']],
  [
    'Toll House',
    ['TOLL', 'TOLHSE', 'TOLLHS', 'TOLHOU', 'TOLLHO'],
    ['TOLL HSE', 'TOLHOUSE', 'TOLLHOUS', 'TOLLHSE', 'TOLL HOU'],
  ],
  ['Upper Lock', ['UPRLCK', 'UPRLOC', 'UPRLOK', 'UPLOCK', 'U LOCK'], ['UPR LOCK', 'UPPRLOCK']],
  ['Lower Lock', ['LWRLCK', 'LWRLOC', 'LWRLOK', 'LWLOCK', 'LOLOCK', 'L LOCK'], ['LWR LOCK', 'LOWRLOCK']],
  ['Vineyard', ['VINEYD', 'VINEYA', 'VNYARD', 'VINYRD', 'VINE'], ['VINEYARD']],
  [
    'Water tower',
    ['WATER', 'WTRTWR', 'WATTOW', 'WATTWR'],
    ['WTR TWR', 'WATERTWR', 'WATER', 'WATRTOWR', 'WATETOWE', 'WATTOWER', 'WATERTOW'],
  ],
  ['Weather 162.475', ['WX 475', 'WX475', 'WX4 75'], ['WX162475', 'WX 475', 'WX162.47', 'WX475']],
  ['Youth camp', ['YOUTH', 'YOUCAM', 'YTHCMP'], ['YOUTHCMP', 'YTH CAMP', 'YOU CAMP', 'YOUTCAMP', 'YOUTH']],
];

describe('the names that a person would choose', () => {
  const channels = named(BY_A_PERSON.map(([name]) => name));
  const six = texts(channels, 6);
  const eight = texts(channels, 8);
  it('are sixty at least', () => expect(BY_A_PERSON.length).toBeGreaterThanOrEqual(60));
  BY_A_PERSON.forEach(([name, inSix, inEight], i) => {
    it(`${name} in six letters`, () => expect(inSix).toContain(six[i]));
    it(`${name} in eight letters`, () => expect(inEight).toContain(eight[i]));
  });
});

describe('names that are chosen together', () => {
  const words = fc.constantFrom(
    ...[
      'Gannet',
      'Kelp',
      'North',
      'Ridge',
      'Top',
      'repeater',
      'Øst',
      'one',
      'two',
      '3',
      '162.400',
      'of',
      'é',
      '!!',
      'Shelter',
    ],
  );
  const name = fc.oneof(
    fc.array(words, { minLength: 1, maxLength: 4 }).map((all) => all.join(' ')),
    fc.string({ minLength: 1, maxLength: 40 }),
  );
  const plan = fc.array(name, { minLength: 1, maxLength: 30 }).map((all) => named(all));
  const rule = fc.record({
    length: fc.integer({ min: 3, max: 12 }),
    characters: fc.constantFrom(UPPER, MIXED, 'ABCDEFGHIJKLMNOPQRSTUVWXYZ', '0123456789'),
  });
  it('stay within length and characters, are never empty, and are all different as long as nothing says otherwise', () => {
    fc.assert(
      fc.property(plan, rule, (channels, { length, characters }) => {
        const names = [...namesTogether(channels, { length, characters }).values()];
        expect(names).toHaveLength(channels.length);
        for (const { text } of names) {
          expect(text.length).toBeGreaterThan(0);
          expect(text.length).toBeLessThanOrEqual(length);
          for (const char of text) expect(characters).toContain(char);
        }
        const own = names.filter(({ isTwice }) => !isTwice).map(({ text }) => text);
        expect(new Set(own).size).toBe(own.length);
        if (length > 3) expect(own).toHaveLength(channels.length);
      }),
      { numRuns: runs(300), seed: 3 },
    );
  });
  it('stay as they were given, whatever comes before, between and after them', () => {
    fc.assert(
      fc.property(
        plan,
        plan,
        fc.integer({ min: 0, max: 30 }),
        rule,
        (before, others, at, { length, characters }) => {
          const chosen = namesTogether(before, { length, characters });
          if ([...chosen.values()].some(({ isTwice }) => isTwice)) return;
          const given = new Map([...chosen].map(([id, { text }]) => [id, text]));
          const more = others.map((channel) => ({ ...channel, id: `more ${channel.id}` }));
          const now = namesTogether(
            [...before.slice(0, at), ...more, ...before.slice(at)],
            { length, characters },
            given,
          );
          // A newcomer whose whole name fits has it, and one that had it gives way; nothing else moves.
          const whole = new Set(more.map((channel) => shortForms(channel.name, length, characters)[0]?.text));
          for (const { id } of before)
            if (!whole.has(given.get(id))) expect(now.get(id)?.text).toBe(given.get(id));
        },
      ),
      { numRuns: runs(300), seed: 5 },
    );
  });
  it('a beginning that several share is the name of none of them', () => {
    const channels = named(['Ferry landing', 'Ferry deck', 'Ferry point', 'Ferry house']);
    for (const length of [5, 6, 7]) expect(texts(channels, length)).not.toContain('FERRY');
    expect(texts(channels.slice(0, 1), 5)).toEqual(['FERRY']);
  });
  it('a set that has a beginning keeps it when another channel with the same beginning comes', () => {
    const [top, rock] = named(['Gannet Top', 'Gannet Rock']);
    if (!top || !rock) throw new Error('two names');
    expect(texts([top], 6)).toEqual(['GANNET']);
    expect(texts([top, rock], 6)).not.toContain('GANNET');
    const given = new Map([[top.id, 'GANNET']]);
    expect(texts([rock, top], 6, UPPER, given)[1]).toBe('GANNET');
  });
  it('a figure behind a name that the set has stays there once nobody else has the name', () => {
    const two = named(['Harbour landing', 'Harbour landing']);
    const second = texts(two, 6)[1] ?? '';
    expect(second).toMatch(/2$/);
    expect(texts(two.slice(1), 6)).not.toEqual([second]);
    expect(texts(two.slice(1), 6, UPPER, new Map([[two[1]?.id ?? '', second]]))).toEqual([second]);
  });
  it('a name that the set has counts no more once the channel is called otherwise', () => {
    const [quarry] = named(['Quarry gate']);
    if (!quarry) throw new Error('a name');
    expect(texts([quarry], 6, UPPER, new Map([[quarry.id, 'GANNET']]))).toEqual(['QUARRY']);
  });
  it('what somebody wrote goes first, the whole name before it where it fits', () => {
    const kelp = { id: 'k', name: 'Kelp Stairs repeater', shortNames: ['Kelp', 'KelpSt', 'Kelp Stairs'] };
    const on = (length: number, characters = MIXED) => texts([kelp], length, characters)[0];
    expect([20, 12, 10, 6, 5].map((length) => on(length))).toEqual([
      'Kelp Stairs repeater',
      'Kelp Stairs',
      'KelpSt',
      'KelpSt',
      'Kelp',
    ]);
    expect(on(6, UPPER)).toBe('KELPST');
  });
  describe('none takes in its turn what another needs more', () => {
    const wished = (...rows: [string, ...string[]][]) =>
      rows.map(([name, ...shortNames], i) => ({ id: `w${i}`, name, shortNames }));
    const every = (rows: ReturnType<typeof wished>): string[][] => {
      const seen: string[][] = [];
      for (const at of rows.keys()) {
        const turned = [...rows.slice(at), ...rows.slice(0, at)];
        const names = namesTogether(turned, { length: 6, characters: UPPER });
        seen.push(rows.map(({ id }) => names.get(id)?.text ?? ''));
      }
      return seen;
    };
    // Each has two words of its own or one; only one way gives all of them one, whoever is asked first.
    it.each([
      [wished(['Harbour light', 'HARB', 'LIGHT'], ['Harbour house', 'HARB']), ['LIGHT', 'HARB']],
      [
        wished(
          ['North station', 'ALFA', 'BRAVO'],
          ['South station', 'BRAVO', 'GOLF'],
          ['Mid station', 'ALFA'],
        ),
        ['BRAVO', 'GOLF', 'ALFA'],
      ],
    ])('%#', (rows, best) => {
      for (const names of every(rows)) expect(names).toEqual(best);
    });
  });
  it('channels with one name get figures, also two thousand of them', () => {
    const many = named(Array.from({ length: 2000 }, () => 'Repeater on the long ridge'));
    expect(new Set(texts(many, 7)).size).toBe(2000);
    expect(texts(many.slice(0, 3), 8)).toEqual([
      texts(many.slice(0, 1), 8)[0],
      expect.stringMatching(/2$/),
      expect.stringMatching(/3$/),
    ]);
  });
  it('a set with the letters A and B alone tells fourteen apart in three letters, and says so of the next', () => {
    const names = namesTogether(named(Array.from({ length: 20 }, () => 'ab')), {
      length: 3,
      characters: 'AB',
    });
    const own = [...names.values()].filter(({ isTwice }) => !isTwice).map(({ text }) => text);
    expect(own.length).toBeLessThan(20);
    expect(new Set(own).size).toBe(own.length);
  });
});

it('more channels of one name than there are usual forms: each has a name of its own, until none is left', () => {
  const rule = { length: 6, characters: 'ABCDEFGHIJKLMNOPQRSTUVWXYZ0123456789' };
  const alike = named(Array.from({ length: 40 }, () => 'Harbour'));
  const names = [...namesTogether(alike, rule).values()];
  expect(new Set(names.map(({ text }) => text)).size).toBe(40);
  expect(names.some(({ isTwice }) => isTwice)).toBe(false);
  for (const { text } of names) expect(text.length).toBeLessThanOrEqual(6);
  // One letter to a name, and only these letters: two names, and whoever comes after has one that is there already, and is told.
  const bare = namesTogether(alike.slice(0, 4), { length: 1, characters: 'HA' });
  const told = [...bare.values()].filter(({ isTwice }) => isTwice);
  expect(told.length).toBeGreaterThan(0);
  expect(new Set([...bare.values()].filter(({ isTwice }) => !isTwice).map(({ text }) => text)).size).toBe(
    4 - told.length,
  );
});

it('vowels go from the end of a longer word, one after another, and never its first letter', () => {
  const forms = (name: string) => shortForms(name, 6, 'ABCDEFGHIJKLMNOPQRSTUVWXYZ ').map(({ text }) => text);
  expect(forms('Admiral')).toContain('ADMIRL');
  expect(forms('Admiral')).toContain('ADMRL');
  expect(forms('Admiral').some((text) => text.startsWith('D'))).toBe(false);
});

it('a name that is as good on a larger display stays the one that it has on a smaller', () => {
  const on = (length: number) =>
    namesTogether(named(['Silver Creek']), { length, characters: UPPER })
      .values()
      .next().value?.text;
  // By itself the larger one would say SILVECRK.
  expect(shortenName('Silver Creek', 8, UPPER)).toBe('SILVECRK');
  expect([on(6), on(8), on(12)]).toEqual(['SILVER', 'SILVER', 'SILVER CREEK']);
});

describe('one name by itself', () => {
  const cases: readonly (readonly [string, number, string, string])[] = [
    ['Watch', 8, MIXED, 'Watch'],
    ['Watch', 8, UPPER, 'WATCH'],
    ['Ridge repeater', 10, MIXED, 'Ridge Rpt'],
    ['Gannet Top', 10, UPPER, 'GANNET TOP'],
    ['Gannet Top', 6, UPPER, 'GANNET'],
    ['Gate seven', 6, UPPER, 'GATE 7'],
    ['Lock twelve', 7, UPPER, 'LOCK 12'],
    ['Ålborg høy', 10, UPPER, 'ALBORG HY'],
    ['!!!', 6, UPPER, 'CH'],
    // Three letters are nobody's name where more of it fits.
    ['Kelp Stairs', 6, MIXED, 'KelpSt'],
    ['Red Rock', 5, UPPER, 'REDRO'],
    ['Fog Bell', 5, UPPER, 'FOGBE'],
    ['The Narrows', 3, UPPER, 'NAR'],
  ];
  for (const [name, length, characters, short] of cases)
    it(`${name} in ${length} → ${short}`, () => expect(shortenName(name, length, characters)).toBe(short));
});
