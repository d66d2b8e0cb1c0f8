/** What the services that come with the application are called, by their ids, in the order in which they are shown. */
export const SERVICE_TITLES = {
  gmrs: 'General Mobile Radio Service',
  frs: 'Family Radio Service',
  murs: 'Multi-Use Radio Service',
  weather: 'Weather broadcasts',
  business: 'Business radio',
  marine: 'Marine VHF',
  airband: 'Air band',
  interop: 'US interoperability channels',
  'amateur-2m': 'Amateur, 2 metres',
  'amateur-70cm': 'Amateur, 70 centimetres',
  'amateur-10m': 'Amateur, 10 metres',
  'amateur-6m': 'Amateur, 6 metres',
  'amateur-125cm': 'Amateur, 1.25 metres',
  'amateur-33cm': 'Amateur, 33 centimetres',
  'amateur-23cm': 'Amateur, 23 centimetres',
  'cb-us': 'CB, 27 MHz',
  pmr446: 'PMR446',
  'uhf-cb-au': 'UHF CB, Australia',
  'iaru-r1-2m': 'Amateur, 2 metres, IARU Region 1',
  'iaru-r1-70cm': 'Amateur, 70 centimetres, IARU Region 1',
  'marine-eu': 'Marine VHF, international',
  'marine-au': 'Marine VHF, Australia',
  itinerant: 'Business, itinerant and shared',
  'rail-us': 'Railroad',
} as const;

/** One of them, by its id. */
export type ServiceId = keyof typeof SERVICE_TITLES;
/** The services that come with the application. */
export const SERVICE_IDS = Object.keys(SERVICE_TITLES) as [ServiceId, ...ServiceId[]];
