import {
  type Card,
  type CardChannel,
  type CardPlace,
  insteadOf,
  reachWhom,
  screenShows,
} from '@umbrex/core/card';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';

const channel = (id: string, name: string, says: Partial<CardChannel> = {}): CardChannel => ({
  id,
  name,
  aliases: [],
  shortNames: [],
  group: 'Club',
  kind: 'direct',
  receiveHz: 462_562_500,
  transmitHz: 462_562_500,
  transmitTone: 'off',
  receiveTone: 'off',
  isSecret: false,
  isClosed: false,
  tier: 'should',
  state: 'on-air',
  number: null,
  note: '',
  ...says,
});
const place = (channelId: string, label: string, says: Partial<CardPlace> = {}): CardPlace => ({
  channelId,
  slot: Number(label.replace(/\D/g, '')) || 1,
  label,
  shows: null,
  sends: 'yes',
  why: '',
  ...says,
});
const GANNET = channel('gannet', 'Gannet Top', {
  kind: 'repeater',
  receiveHz: 462_575_000,
  transmitHz: 467_575_000,
  tier: 'must',
  number: 5,
});
const SHORE = channel('shore', 'Shore', { receiveHz: 462_575_000, transmitHz: 462_575_000 });
const COVE = channel('cove', 'Cove', { group: 'Ferry', receiveHz: 462_612_500, transmitHz: 462_612_500 });
const WEATHER = channel('weather', 'Weather South', {
  kind: 'listen',
  receiveHz: 162_550_000,
  transmitHz: null,
  group: 'Listen',
});
const CARD: Card = {
  format: 'umbrex/card@1',
  made: '2026-11-29T12:00:00.000Z',
  until: null,
  planId: 'plan',
  planName: 'Storm Watch',
  revision: 3,
  person: { id: 'ines', name: 'Ines' },
  tonesHidden: false,
  channels: [GANNET, SHORE, COVE, WEATHER],
  kinds: [
    {
      title: 'Bank handheld',
      places: [
        place('gannet', 'A05', { slot: 5, shows: 'GANNET' }),
        place('shore', 'A07', { slot: 7, shows: 'SHORE' }),
        place('cove', 'A08', { slot: 8 }),
        place('weather', 'A09', { slot: 9, sends: 'no' }),
      ],
    },
    { title: 'Pocket radio', places: [place('shore', '7'), place('weather', 'WX7', { sends: 'no' })] },
  ],
  sets: [
    {
      id: 'club-1',
      nickname: 'Club 1',
      title: 'Bank handheld',
      kind: 0,
      standing: { state: 'held', says: '', minutes: 0, way: 'keys' },
      isThere: true,
      toLoad: [7],
      lock: '',
      isAlert: false,
      hasSteps: false,
    },
  ],
  people: [
    { id: 'tomas', name: 'Tomas', sets: [{ nickname: 'Pocket 3', kind: 1, isLoaded: true }] },
    { id: 'ruth', name: 'Ruth', sets: [{ nickname: 'Club 2', kind: 0, isLoaded: false }] },
  ],
  nets: [],
  changes: [],
  known: [
    { service: 'GMRS', number: '15', name: 'GMRS 15', receiveHz: 462_550_000, transmitHz: 462_550_000 },
    { service: 'Weather', number: 'WX1', name: 'WX1', receiveHz: 162_550_000, transmitHz: null },
  ],
};
const found = (text: string, own: number | null = 0) =>
  screenShows(CARD, text, own).map((match) =>
    match.is === 'place'
      ? `${match.kind} ${match.place.label} ${match.channel.id} by ${match.by}`
      : match.is === 'channel'
        ? `${match.channel.id} by ${match.by}`
        : `${match.row.service} ${match.row.number}`,
  );

describe('what a display shows', () => {
  it.each([
    // A label, with the zeros and capitals that a display draws.
    ['A05', ['0 A05 gannet by label']],
    ['a5', ['0 A05 gannet by label']],
    ['A 05', ['0 A05 gannet by label']],
    // A name, whole or as it begins; dashes and spaces as they come.
    ['gannet', ['0 A05 gannet by name']],
    ['GANN', ['0 A05 gannet by beginning']],
    ['ga', []],
    // The repeater, and the direct one on its output.
    ['462.575', ['0 A05 gannet by frequency', '0 A07 shore by frequency']],
    // A sign that nobody sees came along.
    ['\u202e462.575', ['0 A05 gannet by frequency', '0 A07 shore by frequency']],
    ['462,5750 MHz', ['0 A05 gannet by frequency', '0 A07 shore by frequency']],
    // Its input: somebody looks at a set that sends.
    ['467.575', ['0 A05 gannet by frequency']],
    // Cut by the display.
    ['462.61', ['0 A08 cove by frequency']],
    // On another kind only, and then as such.
    ['7', ['1 7 shore by label']],
    ['WX7', ['1 WX7 weather by label']],
    // The number across the fleet.
    ['5', ['gannet by number']],
    // In no plan, but in a table.
    ['462.550', ['GMRS 15']],
    ['162.55', ['0 A09 weather by frequency']],
    // Nothing is nothing.
    ['', []],
    ['   ', []],
    ['ZZZ', []],
    ['999.999', []],
    ['462', []],
  ])('%j', (text, expected) => {
    expect(found(text)).toEqual(expected);
  });

  it('of any set, where nobody says which', () => {
    expect(found('462.575', null)).toEqual([
      '0 A05 gannet by frequency',
      '0 A07 shore by frequency',
      '1 7 shore by frequency',
    ]);
  });

  it('finds each place by its label and its name, and never stops at what is typed', () => {
    CARD.kinds.forEach(({ places }, kind) => {
      for (const each of places) {
        const by = (text: string) =>
          screenShows(CARD, text, kind).some((one) => one.is === 'place' && one.place === each);
        expect(by(each.label), each.label).toBe(true);
        if (each.shows) expect(by(each.shows), each.shows).toBe(true);
      }
    });
    fc.assert(
      fc.property(fc.string({ unit: 'binary', maxLength: 60 }), fc.constantFrom(0, 1, null), (text, own) => {
        expect(screenShows(CARD, text, own).length).toBeLessThanOrEqual(12);
      }),
    );
  });
});

describe('whom one reaches', () => {
  it('on what both talk, with what each set shows', () => {
    expect(
      reachWhom(CARD, 'tomas').map(({ channel: { id }, mine, theirs, talk }) => [
        id,
        mine.place.label,
        theirs.place.label,
        talk,
      ]),
    ).toEqual([['shore', 'A07', '7', 'both']]);
  });

  it('best first: what must be there and reaches further, and what is loaded before what is not', () => {
    const rows = reachWhom(CARD, 'ruth');
    expect(rows.map(({ channel: { id } }) => id)).toEqual(['gannet', 'cove', 'shore']);
    expect(rows.map(({ mine }) => mine.isLoaded)).toEqual([true, true, false]);
    expect(rows.every(({ theirs }) => !theirs.isLoaded)).toBe(true);
  });

  it('not on what neither may send on, and nobody who is not there', () => {
    expect(reachWhom(CARD, 'tomas').some(({ channel }) => channel.id === 'weather')).toBe(false);
    expect(reachWhom(CARD, 'nobody')).toEqual([]);
  });

  it('one who may not send is told as such', () => {
    const deaf = {
      ...CARD,
      kinds: CARD.kinds.map((kind, i) =>
        i === 1 ? { ...kind, places: kind.places.map((p) => ({ ...p, sends: 'no' as const })) } : kind,
      ),
    };
    expect(reachWhom(deaf, 'tomas').map(({ talk }) => talk)).toEqual(['you-only']);
  });

  it('not with a set that is lost or broken', () => {
    const lost = { ...CARD, sets: CARD.sets.map((set) => ({ ...set, isThere: false })) };
    expect(reachWhom(lost, 'ruth')).toEqual([]);
  });

  it('not on a channel that is only planned', () => {
    const planned = {
      ...CARD,
      channels: CARD.channels.map((one) => ({ ...one, state: 'planned' as const })),
    };
    expect(reachWhom(planned, 'ruth')).toEqual([]);
  });
});

describe('when nobody answers', () => {
  const instead = (id: string, card = CARD) => {
    const found = insteadOf(card, 0, id);
    return found && [found.channel.id, found.why];
  };
  it('the direct one on the same output', () =>
    expect(instead('gannet')).toEqual(['shore', 'without-repeater']));
  it('what the net says goes before', () => {
    const net = {
      id: 'n',
      name: 'Net',
      startsAt: '2026-12-01T19:00',
      timeZone: 'UTC',
      repeats: 'weekly',
      channelId: 'gannet',
      fallbackId: 'cove',
      leader: '',
      note: '',
      roles: [],
    } as const;
    expect(instead('gannet', { ...CARD, nets: [net] })).toEqual(['cove', 'net']);
    // Not where the set does not have it.
    expect(instead('gannet', { ...CARD, nets: [{ ...net, fallbackId: 'elsewhere' }] })).toEqual([
      'shore',
      'without-repeater',
    ]);
  });
  it('the next of the group', () => expect(instead('shore')).toEqual(['gannet', 'same-group']));
  it('none is none', () => {
    expect(instead('cove')).toBeNull();
    expect(instead('nothing')).toBeNull();
  });
});
