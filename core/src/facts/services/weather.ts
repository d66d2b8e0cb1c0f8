import type { ServiceTable } from './service';

/*
 * US weather broadcasts. Source: NOAA Weather Radio frequency list (seven channels), from memory.
 * Two numberings are in use, so the frequency is the identity. `number` is the ascending one of alert radios; the marine
 * order stands beside it.
 * Columns: ascending number, frequency, marine number.
 */
export const WEATHER_NUMBERS: readonly { ascending: number; receiveHz: number; marine: number }[] = [
  { ascending: 1, receiveHz: 162_400_000, marine: 2 },
  { ascending: 2, receiveHz: 162_425_000, marine: 4 },
  { ascending: 3, receiveHz: 162_450_000, marine: 5 },
  { ascending: 4, receiveHz: 162_475_000, marine: 3 },
  { ascending: 5, receiveHz: 162_500_000, marine: 6 },
  { ascending: 6, receiveHz: 162_525_000, marine: 7 },
  { ascending: 7, receiveHz: 162_550_000, marine: 1 },
];

/**
 * Places 8 to 10 of sets that have ten: the coast's side of marine channels 21 and 83, and one that earthquake warnings were planned for. They
 * are listened to where somebody sends there; alert radios know seven. From memory.
 */
const BEYOND: readonly (readonly [number, number])[] = [
  [8, 161_650_000],
  [9, 161_775_000],
  [10, 163_275_000],
];

const HEARD = { transmitHz: null, maxPowerW: null, powerBasis: null, bandwidthHz: 25_000 };

/** The table of weather transmitters. */
export const WEATHER: ServiceTable = {
  id: 'weather',
  country: 'US',
  citation: 'NOAA Weather Radio frequency list',
  powerCitation: 'NOAA Weather Radio frequency list',
  licence: 'closed',
  licenceCitation: 'NOAA Weather Radio frequency list',
  certification: false,
  certificationCitation: '',
  repeaters: false,
  identifyEveryMinutes: null,
  identifyCitation: '',
  words: ['wx', 'weather'],
  channels: [
    ...WEATHER_NUMBERS.map(({ ascending, receiveHz, marine }) => ({
      number: String(ascending),
      name: `Weather ${ascending}`,
      receiveHz,
      ...HEARD,
      aliases: [`WX${marine} in marine order`],
    })),
    ...BEYOND.map(([n, receiveHz]) => ({ number: String(n), name: `Weather ${n}`, receiveHz, ...HEARD })),
  ],
};
