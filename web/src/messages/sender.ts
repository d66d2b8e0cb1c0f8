import type { Plan, Unit } from '@umbrex/core/model';
import type { Sender } from '@umbrex/core/rules';
import { dayText } from './days';

/** What can be chosen for channels on which a holder has no right to send, where their set cannot be told so. */
export const WITHOUT_RIGHT_CHOICES = [
  ['leave-out', 'left out'],
  ['warn', 'loaded, with a warning on every page'],
] as const satisfies readonly (readonly [Plan['withoutRight'], string])[];

/** What can be taken of sets that nobody of the roster holds. */
export const SPARES_CHOICES = [
  ['licensed', 'whoever takes one has the licences'],
  ['listen-only', 'whoever takes one has none: they listen'],
] as const satisfies readonly (readonly [Plan['spares'], string])[];

/** For whom a sheet decides where the set may send, and for which day. */
export function senderText(
  { each, day }: Sender,
  { personId }: Pick<Unit, 'personId'>,
  spares: Plan['spares'],
): string {
  const on = day ? `, as it stands on ${dayText(day)}` : '';
  if (each === null)
    return spares === 'listen-only'
      ? `Nobody of the roster holds it: by the plan such sets listen only, but where nobody needs a licence${on}.`
      : `Nobody of the roster holds it: it sends where whoever takes it needs a licence of their own${on}.`;
  if (personId !== null) return `Where it may send is decided by its holder’s licences${on}.`;
  return `Where it may send is decided by the licences of everybody in its team (${each.length})${on}: all of them need the right.`;
}
