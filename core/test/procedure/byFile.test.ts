import { prepare, triedAs } from '@umbrex/core/flow';
import { firstDifference } from '@umbrex/core/memory';
import { fieldsBy, isLoadedByProgram, waysWith } from '@umbrex/core/model';
import { asLoadedByCable, CALM, loadByFile, offerFile, replay } from '@umbrex/core/procedure';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { KEYED, SHIPPED, shipped } from '../support/devices';
import { UNSEEN } from '../support/memory';
import { anyPlan, channel, plan } from '../support/plans';
import { runs } from '../support/runs';

const BOTH = KEYED.filter(({ regions }) => regions.some((region) => fieldsBy(region, 'file').length > 0));
const kelp = channel('Kelp', 462.65, 467.65, { transmitTone: '131.8', receiveTone: '131.8' });

describe('one change, by keys and by file', () => {
  it('most sets that have keys take a file as well', () => expect(BOTH.length).toBeGreaterThan(6));
  it('comes to the very same in either way, for any plan', () =>
    fc.assert(
      fc.property(anyPlan, fc.constantFrom(...BOTH), (any, description) => {
        const { now, wanted, sheet, proof } = prepare(any, description, triedAs(description, any));
        const offer = offerFile(description, now, wanted);
        expect(proof.proven).toBe(true);
        expect(offer?.firstDifference ?? null).toBeNull();
        if (!offer?.proven) return expect(offer?.byKeys.length).toBeGreaterThan(0);
        const byKeys = replay(description, sheet.steps, CALM, { memory: now }).memory;
        const byFile = loadByFile(asLoadedByCable(description), now, wanted);
        expect(byFile.refused).toBeUndefined();
        expect(firstDifference(description, byKeys, byFile.memory)).toBeNull();
      }),
      { numRuns: runs(100) },
    ));
  it('also from a set that nobody looked at: a file writes whatever was there', () => {
    const unit = { keeps: [], accepts: [], holds: UNSEEN };
    const { now, wanted } = prepare(plan([kelp]), shipped('guided-handheld'), unit);
    expect(offerFile(shipped('guided-handheld'), now, wanted)).toMatchObject({ proven: true, byKeys: [] });
  });
  it('what the file cannot carry is named, and nothing is offered', () => {
    const narrow = shipped('guided-handheld');
    for (const region of narrow.regions)
      region.ways = waysWith(region, (ids, way) => ids.filter((id) => way === 'keys' || id !== 'tx'));
    const { now, wanted } = prepare(plan([kelp]), narrow);
    const title = narrow.fields.find(({ id }) => id === 'tx')?.title;
    expect(offerFile(narrow, now, wanted)).toMatchObject({ proven: false, byKeys: [title] });
  });
  it('is nothing for kinds that take no file, and for those that take nothing else', () => {
    for (const description of SHIPPED.filter((one) => !BOTH.includes(one))) {
      const { now, wanted } = prepare(plan([kelp]), description);
      expect([description.id, offerFile(description, now, wanted)]).toEqual([description.id, undefined]);
      expect(
        isLoadedByProgram(description) ||
          description.regions.every((region) => fieldsBy(region, 'file').length === 0),
      ).toBe(true);
    }
  });
});
