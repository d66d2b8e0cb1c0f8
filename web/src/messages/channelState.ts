import type { Channel, Plan } from '@umbrex/core/model';

/** Whether a channel can be used, in words. */
export const STATE_TEXT = {
  'on-air': 'on the air',
  planned: 'planned',
  withdrawn: 'withdrawn',
} as const satisfies Readonly<Record<Channel['state'], string>>;
export const STATE_CHOICES = Object.entries(STATE_TEXT) as [Channel['state'], string][];

const MARK = { 'on-air': '', planned: ' (planned)', withdrawn: ' (withdrawn)' } as const;
/** Channels by their ids, as somebody with a set in the hand is told of them: with a mark where nobody answers. */
export function channelNames({ channels }: Pick<Plan, 'channels'>): Map<string, string> {
  return new Map(channels.map(({ id, name, state }) => [id, `${name}${MARK[state]}`]));
}

/** What sets do with channels that are planned. */
export const PLANNED_CHOICES = [
  ['load', 'loaded early, so that nobody loads twice'],
  ['leave-out', 'left out until they are on the air'],
] as const satisfies readonly (readonly [Plan['planned'], string])[];
/** What sets do with channels that were withdrawn. */
export const WITHDRAWN_CHOICES = [
  ['leave-out', 'taken out of the sets'],
  ['load', 'kept in the sets'],
] as const satisfies readonly (readonly [Plan['withdrawn'], string])[];
