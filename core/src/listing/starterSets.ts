import { isGuarded, SERVICES, type Service, type ServiceChannel, type ServiceId } from '../facts/index';
import { type ChannelDraft, UNSAID } from '../model/index';

/** A handful of channels that groups add in one move. */
export interface StarterSet {
  readonly id: string;
  readonly title: string;
  readonly country: Service['country'];
  readonly channels: readonly ChannelDraft[];
}

type Pick = (row: ServiceChannel) => boolean;
const all: Pick = () => true;

/** What each set takes from which table. Common practice, no published source. */
const RECIPES: readonly {
  id: string;
  title: string;
  from: ServiceId;
  pick: Pick;
  tier: ChannelDraft['tier'];
}[] = [
  {
    id: 'gmrs-direct',
    title: 'GMRS, the direct channels',
    from: 'gmrs',
    pick: (row) => !row.pair,
    tier: 'should',
  },
  { id: 'frs', title: 'FRS, all channels', from: 'frs', pick: all, tier: 'should' },
  { id: 'murs', title: 'MURS, all channels', from: 'murs', pick: all, tier: 'nice' },
  {
    id: 'weather',
    title: 'Weather, all seven',
    from: 'weather',
    pick: (row) => Number(row.number) <= 7,
    tier: 'must',
  },
  {
    id: 'marine-calling',
    title: 'Marine, calling and distress',
    from: 'marine',
    pick: (row) => row.neverTest && !row.reservedFor,
    tier: 'should',
  },
  {
    id: 'marine',
    title: 'Marine, all channels',
    from: 'marine',
    pick: (row) => !row.reservedFor,
    tier: 'nice',
  },
  { id: 'air-distress', title: 'Air, distress', from: 'airband', pick: (row) => row.neverTest, tier: 'nice' },
  {
    id: 'interop',
    title: 'Interoperability, calling and tactical',
    from: 'interop',
    pick: ({ number }) => !/^[78]/.test(number),
    tier: 'nice',
  },
  {
    id: 'interop-700-800',
    title: 'Interoperability, 700 and 800 MHz',
    from: 'interop',
    pick: ({ number }) => /^[78]/.test(number),
    tier: 'nice',
  },
  {
    id: 'air-common',
    title: 'Air, common frequencies',
    from: 'airband',
    pick: (row) => !row.neverTest,
    tier: 'nice',
  },
  { id: 'rail', title: 'Railroad, channels 2 to 97', from: 'rail-us', pick: all, tier: 'nice' },
  {
    id: 'itinerant',
    title: 'Business, itinerant and shared, to listen',
    from: 'itinerant',
    pick: all,
    tier: 'nice',
  },
  ...(['10m', '6m', '2m', '125cm', '70cm', '33cm', '23cm'] as const).map((band) => ({
    id: `amateur-${band}`,
    title: `${SERVICES[`amateur-${band}`].title}, calling`,
    from: `amateur-${band}` as const,
    pick: all,
    tier: 'nice' as const,
  })),
  {
    id: 'iaru-2m',
    title: '2 metres, IARU Region 1, direct and calling',
    from: 'iaru-r1-2m',
    pick: (row) => !row.pair,
    tier: 'should',
  },
  {
    id: 'marine-eu',
    title: 'Marine, international, all channels',
    from: 'marine-eu',
    pick: (row) => !row.reservedFor,
    tier: 'nice',
  },
  {
    id: 'marine-au',
    title: 'Marine, Australia, all channels',
    from: 'marine-au',
    pick: (row) => !row.reservedFor,
    tier: 'nice',
  },
  { id: 'pmr446', title: 'PMR446, all channels', from: 'pmr446', pick: all, tier: 'should' },
  {
    id: 'cb-27',
    title: 'CB 27 MHz, all channels',
    from: 'cb-us',
    pick: all,
    tier: 'nice',
  },
  {
    id: 'cb-direct',
    title: 'UHF CB, the direct channels',
    from: 'uhf-cb-au',
    pick: (row) => !row.pair && !row.reservedFor,
    tier: 'should',
  },
  {
    id: 'cb-repeaters',
    title: 'UHF CB, the repeaters',
    from: 'uhf-cb-au',
    pick: (row) => row.pair && !row.neverTest,
    tier: 'should',
  },
];

/**
 * The sets of a country, ready to add. Where only an authorised station may talk, a channel is listened to; so is every
 * distress channel. A repeater's tone is unknown until somebody writes it.
 */
export function starterSets(country: string): StarterSet[] {
  return RECIPES.filter(({ from }) => SERVICES[from].country === country).map(
    ({ id, title, from, pick, tier }) => ({
      id,
      title,
      country: SERVICES[from].country,
      channels: SERVICES[from].channels.filter(pick).map((row) => draftOf(SERVICES[from], row, tier)),
    }),
  );
}

function draftOf(service: Service, row: ServiceChannel, tier: ChannelDraft['tier']): ChannelDraft {
  const guarded = isGuarded(service) || row.neverTest || row.reservedFor !== undefined;
  const transmitHz = guarded ? null : row.transmitHz;
  return {
    name: row.name,
    receiveHz: row.receiveHz,
    transmitHz,
    transmitTone: transmitHz !== null && row.pair ? 'unknown' : 'off',
    receiveTone: row.tone ?? 'off',
    ...UNSAID,
    receivePolicy: row.tone ? 'open' : 'plan',
    bandwidth: row.bandwidthHz <= 12_500 ? 'narrow' : 'wide',
    mode: row.mode,
    service: service.id as ServiceId,
    tier,
    note: row.neverTest ? 'never for tests' : '',
  };
}
