import { fromUnknown, prepare } from '@umbrex/core/flow';
import { DescriptionSchema, slotReader, slotsOf } from '@umbrex/core/model';
import { describe, expect, it } from 'vitest';
import { shipped } from '../support/devices';
import { channel, plan } from '../support/plans';
import { told } from '../support/told';

/** The amateur hand-held made so that its frequency is turned to with the knob, in steps of 5 kHz, ten of them with a held key. */
function withKnob() {
  const base = shipped('amateur-handheld');
  const { behaviour, recipes } = base;
  if (!behaviour || !recipes) throw new Error('no keys');
  return DescriptionSchema.parse({
    ...base,
    id: 'knob-test',
    lists: {
      ...base.lists,
      dial: [{ kind: 'range', fromHz: 146_000_000, toHz: 147_995_000, stepHz: 5000, shown: '{mhz}' }],
    },
    fields: base.fields.map((field) => (field.id === 'rx' ? { ...field, list: 'dial' } : field)),
    behaviour: {
      ...behaviour,
      items: behaviour.items.map((item) =>
        item.target.reach === 'channel' && item.target.field === 'rx'
          ? { ...item, editor: 'wheel', first: true }
          : item,
      ),
    },
    recipes: { ...recipes, set: { ...recipes.set, rx: recipes.set.txc } },
  });
}

describe('a frequency that is turned to with a knob', () => {
  const two = plan([
    channel('Kelp', 146.94, 146.34, { service: 'amateur-2m', transmitTone: '100.0' }),
    channel('Direct', 146.52, 146.52, { service: 'amateur-2m' }),
  ]);
  it('is described as a range that a wheel goes through, and proves', () => {
    const device = withKnob();
    const { fit, proof, wanted } = prepare(two, device);
    expect(proof.firstDifference).toBeNull();
    const read = slotReader(device);
    const heard = fit.cells.map(({ slot }) => {
      const place = slotsOf(device).find(({ number }) => number === slot?.number);
      const { receiveHz, transmitHz } = told(place && read(place, wanted.slots.get(place.number) ?? null));
      return [receiveHz, transmitHz];
    });
    expect(heard).toEqual([
      [146_940_000, 146_340_000],
      [146_520_000, 146_520_000],
    ]);
  });
  it('also from a set that nobody looked at', () => expect(fromUnknown(two, withKnob()).proven).toBe(true));
});
