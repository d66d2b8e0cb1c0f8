import { fitDevice, fitPlan } from '@umbrex/core/fit';
import type { Description } from '@umbrex/core/model';
import { describe, expect, it } from 'vitest';
import { SHIPPED, shipped } from '../support/devices';
import { channel, plan } from '../support/plans';

/* Whether a set can have a frequency at all, and what is said where it cannot: with the frequency, and nothing besides. */

const heard = (mhz: number) => ({
  ...channel('Heard', mhz, null, { service: 'other' }),
  mode: 'FM' as const,
});
const first = (description: Description, one = heard(154.25)) => {
  const [cell] = fitPlan({ ...plan([one]), country: 'other' }, fitDevice(description)).cells;
  return [cell?.verdict, ...(cell?.findings ?? [])];
};
const PAGE = shipped('page-handheld');

describe('a frequency that a set cannot have', () => {
  it.each([
    [
      'nobody knows what it hears',
      { ...PAGE, receive: 'unknown' as const },
      154.25,
      ['unknown', { code: 'receive-unknown', severity: 'warning' }],
    ],
    [
      'it is outside of what it hears',
      PAGE,
      1200,
      ['no', { code: 'cannot-receive', severity: 'error', receiveHz: 1_200_000_000 }],
    ],
    [
      'it has no item for a frequency',
      { ...PAGE, fields: PAGE.fields.filter(({ holds }) => holds !== 'receiveHz') },
      154.25,
      ['no', { code: 'cannot-receive', severity: 'error', receiveHz: 154_250_000 }],
    ],
  ])('%s', (_, description, mhz, expected) =>
    expect(first(description as Description, heard(mhz))).toEqual(expected),
  );
  it('it lies between the steps: which steps there are is said', () => {
    if (PAGE.receive === 'unknown') throw new Error('hears nothing');
    const [verdict, finding] = first(
      { ...PAGE, receive: { ...PAGE.receive, stepHz: 5_000 } } as Description,
      heard(154.2512),
    );
    expect(verdict).toBe('no');
    expect(finding).toMatchObject({ code: 'cannot-enter-frequency', severity: 'error', hz: 154_251_200 });
  });
});

describe('the edges of what a set hears belong to it', () => {
  const edges = SHIPPED.flatMap((description) => {
    const { receive, regions, fields } = description;
    // A set that counts its frequencies has those of its list, and no edges.
    const counts = fields.some(({ holds, list }) => holds === 'receiveHz' && list !== undefined);
    const isFree = !counts && regions.some(({ content }) => content.kind === 'free');
    return receive === 'unknown' || !isFree
      ? []
      : receive.bands.flatMap(({ fromHz, toHz }) => [
          [description.id, fromHz, true] as const,
          [description.id, toHz, true] as const,
        ]);
  });
  it.each(edges)('%s has %d Hz', (id, hz) => {
    const found = first(shipped(id), { ...heard(1), receiveHz: hz }).slice(1);
    expect(found.map((finding) => (finding as { code: string }).code)).not.toContain('cannot-receive');
  });
});
