import type { Licence } from '@umbrex/core/model';
import { mayTalkOn } from '@umbrex/core/rules';
import { describe, expect, it } from 'vitest';
import { shipped } from '../support/devices';
import { channel, plan } from '../support/plans';

const TODAY = '2026-11-25';
const PLAN = plan([
  channel('Kelp Stairs', 462.65, 467.65),
  channel('Direct', 462.5625, 462.5625),
  channel('Heard', 155.76, null),
]);
const gmrs = (expires: string, holds: Licence['holds'] = 'own'): Licence => ({
  service: 'gmrs',
  holds,
  expires,
  callSign: '',
  class: '',
});

/** 47 CFR 95.1705 (who may be licensed, family) and 95.1731 (term); the counts are of the two channels that talk. */
describe('on how many channels somebody may transmit', () => {
  const page = shipped('page-handheld');
  const pocket = shipped('pocket-radio');
  it.each([
    ['a licence and a set for it', [gmrs('2033-04-30')], [page], 2, 0],
    ['one of close family', [gmrs('2033-04-30', 'family')], [page], 2, 0],
    ['one that ended yesterday', [gmrs('2026-11-24')], [page], 0, 0],
    ['one of an employer, which GMRS does not know', [gmrs('2033-04-30', 'employer')], [page], 0, 0],
    ['none', [], [page], 0, 0],
    ['no set', [gmrs('2033-04-30')], [], 0, 0],
    ['an unlicensed pocket radio', [], [pocket], 1, 0],
    ['both sets', [gmrs('2033-04-30')], [pocket, page], 2, 0],
  ])('%s', (_, licences, devices, talk, unknown) =>
    expect(mayTalkOn(licences, devices, PLAN, TODAY)).toEqual({ talk, unknown, of: 2 }),
  );
  it('a country that is not covered leaves it unknown', () =>
    expect(mayTalkOn([], [page], { ...PLAN, country: 'other' }, TODAY)).toEqual({
      talk: 0,
      unknown: 2,
      of: 2,
    }));
});
