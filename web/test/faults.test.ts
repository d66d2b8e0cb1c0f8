import { NetSchema, StationFactSchema } from '@umbrex/core/model';
import { describe, expect, it } from 'vitest';
import { faultsOf } from '../src/ui/faults';

const words = {
  name: 'Give it a name.',
  startsAt: 'Give the day and the time.',
  'roles.name': 'Give the role a name.',
};
const net = (change: object) => {
  const read = NetSchema.safeParse({
    id: '00000000-0000-4000-8000-000000000001',
    name: 'Net',
    startsAt: '2026-12-01T19:00',
    timeZone: 'UTC',
    ...change,
  });
  return read.success ? {} : faultsOf(read.error, words);
};

describe('what a schema has against a form', () => {
  it.each([
    [{}, {}],
    [{ name: '' }, { name: 'Give it a name.' }],
    [{ name: 'x'.repeat(61) }, { name: 'At most 60 letters.' }],
    [
      { name: '', startsAt: '2026-13-45T29:99' },
      { name: 'Give it a name.', startsAt: 'Give the day and the time.' },
    ],
    [
      { leader: 'x'.repeat(61), note: 'x'.repeat(401) },
      { leader: 'At most 60 letters.', note: 'At most 400 letters.' },
    ],
    [{ note: 'two\nlines' }, { note: 'This cannot be kept as it stands.' }],
    [
      {
        roles: [
          { name: 'Log', who: '', channelId: null },
          { name: '', who: 'x'.repeat(61), channelId: null },
        ],
      },
      { 'roles.1.name': 'Give the role a name.', 'roles.1.who': 'At most 60 letters.' },
    ],
  ])('%j: each at its field', (change, faults) => expect(net(change)).toEqual(faults));
  it('of a list of values, at the one that is wrong', () => {
    const read = StationFactSchema.safeParse({
      field: 'controlHz',
      value: [851_012_500, undefined],
      source: '',
      on: 'x',
    });
    expect(read.success ? {} : Object.keys(faultsOf(read.error, {}))).toEqual(['value.1', 'source', 'on']);
  });
});
