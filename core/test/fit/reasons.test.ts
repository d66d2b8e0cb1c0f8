import { fitDevice, fitPlan } from '@umbrex/core/fit';
import type { Description, Plan } from '@umbrex/core/model';
import { describe, expect, it } from 'vitest';
import { shipped } from '../support/devices';
import { channel, plan } from '../support/plans';

/* The reason of each outcome to the last word, and that nothing else is said. */

const GMRS = {
  each: [[{ service: 'gmrs', holds: 'own' as const, expires: '2033-01-01' }]],
  day: '2026-11-25',
};
const cell = (device: Description, one: Plan['channels'][0], of: Partial<Plan> = {}) => {
  const fit = fitPlan({ ...plan([one]), ...of }, fitDevice(device, undefined, { sender: GMRS }));
  const { verdict, slot, findings } = fit.cells[0] ?? {};
  return { verdict, label: slot?.label ?? null, findings };
};
const KELP = channel('Kelp', 462.65, 467.65, { transmitTone: '131.8', receiveTone: '131.8' });
const error = (code: string, more: object = {}) => ({ code, severity: 'error', ...more });

describe('why a channel is not on a set, or only heard there', () => {
  it('another mode', () =>
    expect(cell(shipped('page-handheld'), { ...KELP, mode: 'digital' })).toEqual({
      verdict: 'no',
      label: null,
      findings: [error('mode-not-here', { mode: 'digital' })],
    }));
  it('a set that only receives says that, and nothing of rules', () => {
    const { verdict, findings } = cell(shipped('bank-scanner'), KELP);
    expect(verdict).toBe('listen');
    expect(findings?.filter(({ code }) => code !== 'name-shortened' && code !== 'no-names')).toEqual([
      { code: 'only-receives', severity: 'note' },
    ]);
  });
  it('a set that has bands to send on, and one whose factory places alone send, are asked about sending', () => {
    const page = shipped('page-handheld');
    expect(cell(page, KELP).verdict).toBe('full');
    // No band of its own, but places that the factory made to send: still a transmitter.
    const fixedOnly = { ...page, transmit: { ...(page.transmit as object), bands: [] } } as Description;
    expect(cell(fixedOnly, KELP).verdict).toBe('full');
  });
  it('nobody knows what it sends on, or what it receives', () => {
    const page = shipped('page-handheld');
    expect(cell({ ...page, transmit: 'unknown' }, KELP)).toEqual({
      verdict: 'unknown',
      label: null,
      findings: [{ code: 'transmit-unknown', severity: 'warning' }],
    });
    const amateur = shipped('amateur-handheld');
    const heard = channel('Heard', 146.94, null, { service: 'amateur-2m' });
    expect(cell({ ...amateur, receive: 'unknown' }, heard)).toEqual({
      verdict: 'unknown',
      label: null,
      findings: [{ code: 'receive-unknown', severity: 'warning' }],
    });
  });
  it('it has no place for that frequency, and none that takes any', () =>
    expect(cell(shipped('counting-handheld'), channel('Elsewhere', 462.5375, null))).toEqual({
      verdict: 'no',
      label: null,
      findings: [error('cannot-receive', { receiveHz: 462_537_500 })],
    }));
  it('of one that it talks on as planned it is said by what right, and that names are not shown', () =>
    expect(cell(shipped('page-handheld'), KELP)).toMatchObject({
      verdict: 'full',
      findings: [
        { code: 'licence-needed', service: 'gmrs', severity: 'note', source: '47 CFR 95.1705' },
        { code: 'no-names', severity: 'note' },
      ],
    }));
  it('nobody knows what it is certified for', () => {
    const page = { ...shipped('page-handheld'), certifiedFor: 'unknown' } as Description;
    const { verdict, findings } = cell(page, KELP);
    expect([verdict, findings]).toEqual([
      'unknown',
      [{ code: 'certification-unknown', severity: 'warning', service: 'gmrs', source: '47 CFR 95.1761' }],
    ]);
  });
  it('a frequency that it does not receive, and one that it cannot be told', () => {
    const page = shipped('page-handheld');
    const far = channel('Far', 851.0125, null, { service: 'other' });
    expect(cell(page, far)).toEqual({
      verdict: 'no',
      label: null,
      findings: [error('cannot-receive', { receiveHz: 851_012_500 })],
    });
  });
  it('the one reason why it may not send there stands for it, also where it has no place to send', () => {
    // The set receives marine and cannot send there: the rules say more than its bands.
    const page = shipped('page-handheld');
    const sea = channel('Sea', 156.45, 156.45, { service: 'marine' });
    expect(cell(page, sea).findings?.[0]).toMatchObject({ code: 'not-certified', service: 'marine' });
    // Where the rules let it, its own bands are the reason.
    const both = { ...page, certifiedFor: [...page.certifiedFor, 'marine'] } as Description;
    const ten = channel('Ten', 156.5, 156.5, { service: 'marine' });
    expect(cell(both, ten).findings?.[0]).toEqual(error('cannot-transmit-here', { transmitHz: 156_500_000 }));
    // A factory place is there, and only listens.
    expect(cell(both, sea).findings?.[0]).toEqual(error('fixed-receive-only'));
  });
  it('a pair whose input it cannot send on is said with both frequencies, whatever the rules say', () => {
    const pocket = shipped('pocket-radio');
    expect(cell(pocket, KELP).findings?.[0]).toEqual(
      error('no-repeater-input', { inputHz: 467_650_000, outputHz: 462_650_000 }),
    );
  });
  it('a channel whose tone only another maker’s set knows', () => {
    const preset = shipped('preset-radio');
    for (const region of preset.regions)
      if (region.content.kind === 'fixed')
        region.content.channels = region.content.channels.filter(({ hiddenTone }) => hiddenTone);
    const regions = preset.regions
      .map((region) => ({
        ...region,
        count: region.content.kind === 'fixed' ? region.content.channels.length : 0,
      }))
      .filter(({ count }) => count > 0);
    const only = { ...preset, regions } as Description;
    const [row] = regions.flatMap(({ content }) => (content.kind === 'fixed' ? content.channels : []));
    const mhz = (row?.receiveHz ?? 0) / 1e6;
    const hidden = error('only-hidden-tone');
    expect(cell(only, channel('Hidden', mhz, mhz, { service: 'gmrs' }))).toEqual({
      verdict: 'no',
      label: null,
      findings: [hidden],
    });
    expect(cell(only, channel('Hidden', mhz, null, { service: 'gmrs' }))).toEqual({
      verdict: 'no',
      label: null,
      findings: [hidden],
    });
  });
  it('left out where nothing forbids sending and there is no right to it', () => {
    const fleet = shipped('fleet-mobile');
    const fit = fitPlan(
      { ...plan([KELP]), withoutRight: 'leave-out' },
      fitDevice(fleet, undefined, { sender: { ...GMRS, each: [[]] } }),
    );
    expect(fit.cells[0]?.findings.at(-1)).toEqual({
      code: 'left-out-without-right',
      severity: 'warning',
      transmitHz: 462_650_000,
    });
  });
});

describe('the places that may be asked for', () => {
  it('each once: twice the same channel goes to two free places or shares one, never to a third of the same number', () => {
    const zoned = shipped('zoned-mobile');
    const many = Array.from({ length: 12 }, (_, i) =>
      channel(`Heard ${i}`, 462.5625 + 0.025 * (i % 6), null, { service: 'gmrs', receiveTone: '82.5' }),
    );
    const { cells, image } = fitPlan(plan(many), fitDevice(zoned, undefined, { sender: GMRS }));
    const labels = cells.flatMap(({ slot }) => (slot ? [slot.number] : []));
    expect(new Set(labels).size).toBe(image.slots.size);
  });
  it('a free place that never sends is none to talk on', () => {
    for (const id of ['cb-mobile', 'zoned-mobile']) {
      const device = fitDevice(shipped(id), undefined, { sender: GMRS });
      const { cells } = fitPlan(plan([KELP, channel('Beach', 462.5625, 462.5625)]), device);
      for (const { verdict, slot } of cells) {
        if (verdict !== 'full' && verdict !== 'adapted') continue;
        const content = device.slotAt.get(slot?.number ?? -1)?.region.content;
        expect(content?.kind === 'free' && content.receiveOnly === true).toBe(false);
      }
    }
  });
});
