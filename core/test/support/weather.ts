/** The older numbers of NOAA Weather Radio's channels, as marine radios and many receivers have them, in MHz. Source: NOAA, NWR station listing. */
export const WEATHER_MARINE_NUMBERS: readonly (readonly [number, number])[] = [
  [1, 162.55],
  [2, 162.4],
  [3, 162.475],
  [4, 162.425],
  [5, 162.45],
  [6, 162.5],
  [7, 162.525],
];
