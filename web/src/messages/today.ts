import type { Due } from '@umbrex/core/today';

/** What is due in words, and the view in which it is done. */
export const DUE_TEXT: Readonly<
  Record<
    Due['code'],
    { what: (n: number) => string; help: string; view: string; item: 'channel' | 'station' | null }
  >
> = {
  'findings-to-mend': {
    what: (n) => `${count(n, 'channel')} to mend`,
    help: 'Programmed like this, somebody hears nothing or breaks a rule.',
    view: 'check',
    item: 'channel',
  },
  'findings-to-ask': {
    what: (n) => `${count(n, 'channel')} with a question for somebody`,
    help: 'A fact or a permission is missing.',
    view: 'check',
    item: 'channel',
  },
  'cells-unknown': {
    what: (n) => `${count(n, 'channel')} that some set may or may not take`,
    help: 'Something of the set or the channel is not known.',
    view: 'fit',
    item: 'channel',
  },
  'units-to-confirm': {
    what: (n) => `${count(n, 'set')} that a holder told us of`,
    help: 'Look at what they wrote, and confirm it.',
    view: 'devices',
    item: null,
  },
  'units-to-change': {
    what: (n) => `${count(n, 'set')} that would be loaded otherwise now`,
    help: 'The plan has changed since, or somebody’s licence. Until then they hold, and send, what they held: do their sheets.',
    view: 'sheets',
    item: null,
  },
  'firmware-unknown': {
    what: (n) => `${count(n, 'kind')} of set whose firmware nobody has looked at`,
    help: 'Look at one of them: how it shows its version stands in its manual. Until then it is not known whether its steps fit.',
    view: 'devices',
    item: null,
  },
  'alerts-missing': {
    what: (n) => `${count(n, 'alert radio')} without areas or a transmitter`,
    help: 'Write in the plan for which areas they sound and which transmitter they hear. Until then their sheets are not ready.',
    view: '',
    item: null,
  },
  'units-behind': {
    what: (n) => `${count(n, 'set')} on another firmware than described`,
    help: 'Compare two steps with the set in hand, or bring it up to date.',
    view: 'devices',
    item: null,
  },
  'units-picked-tone': {
    what: (n) => `${count(n, 'set')} with a tone picked by hand`,
    help: 'Clear it, or others do not hear them.',
    view: 'devices',
    item: null,
  },
  'units-faulty': {
    what: (n) => `${count(n, 'set')} with a fault`,
    help: 'Repair it or take it out.',
    view: 'devices',
    item: null,
  },
  'alert-tests-due': {
    what: (n) => `${count(n, 'alert radio')} whose weekly test nobody heard`,
    help: 'Listen for the next one and note the day; if it stays silent, look at channel, area, mains and cells.',
    view: 'devices',
    item: null,
  },
  'batteries-due': {
    what: (n) => `${count(n, 'battery', 'batteries')} older than a year`,
    help: 'Change them, and the backup cells of alert radios; many do it when the clocks change.',
    view: 'devices',
    item: null,
  },
  'batteries-unknown': {
    what: (n) => `${count(n, 'battery', 'batteries')} of which nobody knows the age`,
    help: 'Ask the holder, or change it and note the day.',
    view: 'devices',
    item: null,
  },
  'licences-over': {
    what: (n) => `${count(n, 'licence')} that ended`,
    help: 'By right they listen only until it is renewed. Sets that were loaded still send: change them.',
    view: 'people',
    item: null,
  },
  'licences-ending': {
    what: (n) => `${count(n, 'licence')} that ends soon`,
    help: 'Renew in time.',
    view: 'people',
    item: null,
  },
  'licences-unknown': {
    what: (n) => `${count(n, 'licence')} whose end nobody knows`,
    help: 'Ask its holder.',
    view: 'people',
    item: null,
  },
  permissions: {
    what: (n) => `${count(n, 'repeater')} without a settled permission`,
    help: 'Ask, ask again, or listen only.',
    view: 'stations',
    item: 'station',
  },
  'station-questions': {
    what: (n) => `${count(n, 'station')} with an open question`,
    help: 'Sources disagree, say nothing, or are more than a year old.',
    view: 'stations',
    item: 'station',
  },
};

function count(n: number, one: string, many = `${one}s`): string {
  return n === 1 ? `1 ${one}` : `${n} ${many}`;
}
