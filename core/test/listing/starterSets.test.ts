import { reviewPlan } from '@umbrex/core/check';
import { starterSets } from '@umbrex/core/listing';
import { ChannelDraftSchema } from '@umbrex/core/model';
import { describe, expect, it } from 'vitest';
import { plan, uuid } from '../support/plans';

describe('starter sets', () => {
  for (const country of ['US', 'AU', 'EU'])
    for (const set of starterSets(country))
      it(`${country}: ${set.title} is whole and breaks no rule`, () => {
        expect(set.channels.length).toBeGreaterThan(0);
        const channels = set.channels.map((draft, i) => ({
          ...ChannelDraftSchema.parse(draft),
          id: uuid(i),
          groupId: uuid(1),
        }));
        const found = reviewPlan({ ...plan(channels), country: set.country }, { today: '2026-11-25' });
        expect(found.filter(({ next }) => next === 'fix').map(({ finding }) => finding)).toEqual([]);
      });
  it('distress and authorised channels are only listened to', () => {
    const sets = Object.fromEntries(starterSets('US').map((set) => [set.id, set.channels]));
    for (const id of ['marine', 'marine-calling', 'air-distress', 'interop', 'weather'])
      for (const channel of sets[id] ?? []) expect(channel.transmitHz, channel.name).toBeNull();
    expect(sets['gmrs-direct']).toHaveLength(22);
  });
});
