import type { Due } from '@umbrex/core/today';
import { counted } from './labels';

/** Where an item of each kind is opened, below the plan's own address. */
export const DUE_ADDRESS = {
  channel: (id: string) => `?channel=${id}`,
  station: (id: string) => `/stations?station=${id}`,
  unit: (id: string) => `/devices?set=${id}`,
  person: (id: string) => `/people?person=${id}`,
  sheet: (id: string) => `/sheets/${id}`,
  kind: (id: string) => `/devices#kind-${id}`,
  plan: () => '',
} as const;

/** What is due in words, and the view in which it is done. */
export const DUE_TEXT: Readonly<
  Record<
    Due['code'],
    { what: (n: number) => string; help: string; view: string; item: keyof typeof DUE_ADDRESS }
  >
> = {
  'findings-to-mend': {
    what: (n) => `${counted(n, 'channel')} to mend`,
    help: 'Programmed like this, somebody hears nothing or breaks a rule.',
    view: 'check',
    item: 'channel',
  },
  'findings-to-ask': {
    what: (n) => `${counted(n, 'channel')} with a question for somebody`,
    help: 'A fact or a permission is missing.',
    view: 'check',
    item: 'channel',
  },
  'states-differ': {
    what: (n) => `${counted(n, 'channel')} whose repeater went on the air, is not there yet or is gone`,
    help: 'The list of stations says so: let the plan follow.',
    view: 'check',
    item: 'channel',
  },
  'cells-unknown': {
    what: (n) => `${counted(n, 'channel')} that some set may or may not take`,
    help: 'Something of the set or the channel is not known.',
    view: 'fit',
    item: 'channel',
  },
  'units-to-confirm': {
    what: (n) => `${counted(n, 'set')} that a holder told us of`,
    help: 'Look at what they wrote, and confirm it.',
    view: 'devices',
    item: 'unit',
  },
  'rights-ended': {
    what: (n) => `${counted(n, 'set')} loaded with channels on which its holder may not send any more`,
    help: 'A licence or a permission has ended since. Until the sheet is done the set still sends there: tell whoever holds it.',
    view: 'sheets',
    item: 'sheet',
  },
  'units-to-change': {
    what: (n) => `${counted(n, 'set')} that would be loaded otherwise now`,
    help: 'The plan has changed since, or somebody’s licence. Until then they hold, and send, what they held: do their sheets.',
    view: 'sheets',
    item: 'sheet',
  },
  'firmware-unknown': {
    what: (n) => `${counted(n, 'kind')} of set whose firmware nobody has looked at`,
    help: 'Look at one of them: how it shows its version stands in its manual. Until then it is not known whether its steps fit.',
    view: 'devices',
    item: 'kind',
  },
  'alerts-missing': {
    what: (n) => `${counted(n, 'alert radio')} without areas or a transmitter`,
    help: 'Write in the plan for which areas they sound and which transmitter they hear. Until then their sheets are not ready.',
    view: '',
    item: 'plan',
  },
  'units-behind': {
    what: (n) => `${counted(n, 'set')} on another firmware than described`,
    help: 'Compare two steps with the set in hand, or bring it up to date.',
    view: 'devices',
    item: 'unit',
  },
  'units-picked-tone': {
    what: (n) => `${counted(n, 'set')} with a tone picked by hand`,
    help: 'Clear it, or others do not hear them.',
    view: 'devices',
    item: 'unit',
  },
  'units-lost': {
    what: (n) => `${counted(n, 'set')} lost`,
    help: 'Whoever finds it holds the plan: choose other tones if that matters, and say when it is back.',
    view: 'devices',
    item: 'unit',
  },
  'units-broken': {
    what: (n) => `${counted(n, 'set')} broken`,
    help: 'Its holder listens with nothing meanwhile: lend another, and say when it is mended.',
    view: 'devices',
    item: 'unit',
  },
  'units-faulty': {
    what: (n) => `${counted(n, 'set')} with a fault`,
    help: 'Repair it or take it out.',
    view: 'devices',
    item: 'unit',
  },
  'alert-tests-due': {
    what: (n) => `${counted(n, 'alert radio')} whose weekly test nobody heard`,
    help: 'Listen for the next one and note the day; if it stays silent, look at channel, area, mains and cells.',
    view: 'devices',
    item: 'unit',
  },
  'batteries-due': {
    what: (n) => `${counted(n, 'battery', 'batteries')} older than a year`,
    help: 'Change them, and the backup cells of alert radios; many do it when the clocks change.',
    view: 'devices',
    item: 'unit',
  },
  'batteries-unknown': {
    what: (n) => `${counted(n, 'battery', 'batteries')} of which nobody knows the age`,
    help: 'Ask the holder, or change it and note the day.',
    view: 'devices',
    item: 'unit',
  },
  'licences-over': {
    what: (n) => `${counted(n, 'licence')} that ended, or ends before the sets are loaded`,
    help: 'By right they listen only until it is renewed. Sets that were loaded still send: change them.',
    view: 'people',
    item: 'person',
  },
  'licences-ending': {
    what: (n) => `${counted(n, 'licence')} that ends soon`,
    help: 'Renew in time.',
    view: 'people',
    item: 'person',
  },
  'licences-unknown': {
    what: (n) => `${counted(n, 'licence')} whose end nobody knows`,
    help: 'Ask its holder.',
    view: 'people',
    item: 'person',
  },
  permissions: {
    what: (n) => `${counted(n, 'repeater')} without a settled permission`,
    help: 'Ask, ask again, or listen only.',
    view: 'stations',
    item: 'station',
  },
  'station-questions': {
    what: (n) => `${counted(n, 'station')} with an open question`,
    help: 'Sources disagree, say nothing, or are more than a year old.',
    view: 'stations',
    item: 'station',
  },
};
