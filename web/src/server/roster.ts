import type { Person } from '@umbrex/core/model';
import { mayTalkOn } from '@umbrex/core/rules';
import type { Desk } from './desk';

/** What somebody may transmit on with the sets they hold, by the rules, in words. */
export function mayTalkText(person: Person, desk: Desk, today: string): string {
  const kinds = new Set(
    desk.units.filter(({ unit }) => unit.personId === person.id).map(({ unit }) => unit.descriptionId),
  );
  if (kinds.size === 0) return 'Holds no set of the list.';
  const devices = desk.descriptions.map(({ description }) => description).filter(({ id }) => kinds.has(id));
  const { talk, unknown, of } = mayTalkOn(person.licences, devices, desk.state.plan, today);
  const doubt = unknown > 0 ? `, ${unknown} not known` : '';
  return `May transmit on ${talk} of ${of} channels${doubt}. Check your local rules.`;
}
