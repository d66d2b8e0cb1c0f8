import { PART_90 } from './business';
import type { ServiceTable } from './service';

/*
 * Business frequencies that many sets of shops and sites were sold with, and those for licensees that move about. Source: 47 CFR 90.35(b)(3)
 * and its limitations; the colours by which the sets were sold are common practice. From memory. Colours on frequencies that are MURS or GMRS
 * now are aliases there. Whoever has one on a licence writes it into the plan's own frequencies; by themselves these rows let nobody send.
 * Columns: name, megahertz, colour, bandwidth in kilohertz.
 */
const ROWS: readonly (readonly [string, number, string | null, number])[] = [
  ['Itinerant 151.505', 151_505_000, null, 11_250],
  ['Itinerant 151.5125', 151_512_500, null, 11_250],
  ['Itinerant 151.625', 151_625_000, 'Red Dot', 11_250],
  ['Business 151.700', 151_700_000, null, 11_250],
  ['Business 151.760', 151_760_000, null, 11_250],
  ['Itinerant 151.955', 151_955_000, 'Purple Dot', 11_250],
  ['Itinerant 158.400', 158_400_000, null, 11_250],
  ['Itinerant 451.800', 451_800_000, null, 11_250],
  ['Itinerant 456.800', 456_800_000, null, 11_250],
  ['Itinerant 464.500', 464_500_000, 'Brown Dot', 11_250],
  ['Itinerant 464.550', 464_550_000, 'Yellow Dot', 11_250],
  ['Shared 467.850', 467_850_000, 'Silver Star', 11_250],
  ['Shared 467.875', 467_875_000, 'Gold Star', 11_250],
  ['Shared 467.900', 467_900_000, 'Red Star', 11_250],
  ['Shared 467.925', 467_925_000, 'Blue Star', 11_250],
  ['Itinerant 469.500', 469_500_000, null, 11_250],
  ['Itinerant 469.550', 469_550_000, null, 11_250],
];

/** The table of itinerant and shared business frequencies. */
export const ITINERANT: ServiceTable = {
  id: 'itinerant',
  country: 'US',
  citation: '47 CFR 90.35(b)(3)',
  ...PART_90,
  certifiedAlso: ['business'],
  ownOnly: true,
  repeaters: false,
  words: ['itinerant'],
  channels: ROWS.map(([name, hz, colour, bandwidthHz]) => ({
    number: (hz / 1e6).toFixed(4).replace(/0$/, ''),
    name: colour ? `${name} ${colour}` : name,
    receiveHz: hz,
    transmitHz: hz,
    maxPowerW: null,
    powerBasis: null,
    bandwidthHz,
    aliases: colour ? [colour] : [],
  })),
};
