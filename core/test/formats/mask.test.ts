import { maskSecretTones } from '@umbrex/core/formats';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyPlan, channel, plan } from '../support/plans';

describe('tones for members only', () => {
  it('are gone from what others see, and nothing else is', () => {
    const secret = channel('Quarry', 462.675, 467.675, {
      transmitTone: 'D251N',
      receiveTone: '203.5',
      tonesSecret: true,
    });
    const heard = channel('Heard', 155.76, null, { receiveTone: '82.5', tonesSecret: true });
    const open = channel('Open', 462.5625, 462.5625, { transmitTone: '82.5', receiveTone: '82.5' });
    expect(maskSecretTones(plan([secret, heard, open])).channels).toEqual([
      { ...secret, transmitTone: 'unknown', receiveTone: 'unknown' },
      { ...heard, receiveTone: 'unknown' },
      open,
    ]);
  });
  it('of any plan stand nowhere in the masked one', () =>
    fc.assert(
      fc.property(anyPlan, (whole) => {
        const marked = whole.channels.map((c) => ({
          ...c,
          transmitTone: '254.1',
          receiveTone: 'D754I',
          tonesSecret: true,
        }));
        expect(JSON.stringify(maskSecretTones({ ...whole, channels: marked }))).not.toMatch(/254\.1|D754I/);
      }),
    ));
  it('which teams and sets carry less than all is for members; of a kind it is no secret', () => {
    const [group] = plan([]).groups;
    const ids = [group?.id ?? ''];
    const carried = {
      kinds: { 'page-handheld': ids },
      teams: { [ids[0] as string]: ids },
      units: { [ids[0] as string]: ids },
    };
    expect(maskSecretTones({ ...plan([]), carried }).carried).toEqual({
      kinds: carried.kinds,
      teams: {},
      units: {},
    });
  });
});
