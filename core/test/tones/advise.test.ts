import { adviseTones, type Neighbour, shownOn, tonesOn } from '@umbrex/core/tones';
import { describe, expect, it } from 'vitest';
import { shipped } from '../support/devices';
import { channel, plan } from '../support/plans';

const kelp = channel('Kelp', 462.65, 467.65, { transmitTone: '131.8', receiveTone: '131.8' });
const ferry = channel('Ferry', 462.65, 467.65, { transmitTone: '82.5', receiveTone: 'D047I' });
/** What the members of this example hold. */
const HELD = ['bank-handheld', 'page-handheld', 'pocket-radio'].map(shipped);
const advice = (devices = HELD) => adviseTones(kelp, plan([kelp, ferry]), devices);
const codesOf = (tone: string, of = advice()) =>
  of.ranked.find((entry) => entry.tone === tone)?.reasons.map((r) => r.code);
const excluded = (tone: string, of = advice()) => of.excluded.find((entry) => entry.tone === tone)?.reason;

describe('the tone advisor', () => {
  it('offers only tones that every needed device has', () => {
    // 199.5 is not among the 38 of consumer devices.
    expect(excluded('199.5')).toMatchObject({ code: 'device-lacks-tone', device: 'Pocket radio' });
    expect(excluded('199.5', advice([shipped('page-handheld')]))).toBeUndefined();
  });
  it('leaves out what is used on the frequency, and codes that sound the same', () => {
    expect(excluded('82.5')).toMatchObject({ code: 'tone-used-here', other: 'Ferry' });
    expect(excluded('D023N')).toMatchObject({ code: 'tone-used-here', other: 'Ferry' });
  });
  it('keeps away from neighbours, mains hum and stock values, and says so', () => {
    expect(codesOf('85.4')).toContain('tone-near-used');
    expect(codesOf('100.0')).toContain('tone-near-mains');
    expect(codesOf('179.9')).toContain('tone-near-mains');
    expect(codesOf('67.0')).toContain('tone-is-stock');
    expect(codesOf('D047N')).toContain('tone-polarity-slip');
  });
  it('puts the tone in use first when nothing speaks against it', () =>
    expect(advice().ranked[0]?.tone).toBe('131.8'));
  it('ranks in the order of the scores, and every tone stands once', () => {
    const { ranked, excluded: out } = advice();
    expect(ranked.map((entry) => entry.score)).toEqual(
      ranked.map((entry) => entry.score).sort((a, b) => b - a),
    );
    expect(new Set([...ranked, ...out].map((entry) => entry.tone)).size).toBe(154);
    expect(ranked.length + out.length).toBe(154);
  });
  it('says who cannot split, and which devices it knows nothing of', () => {
    expect(advice().split).toEqual({ possible: false, not: ['Pocket radio'] });
    const vague = shipped('page-handheld');
    for (const field of vague.fields) if (field.holds === 'receiveTone') field.list = 'unknown';
    expect(advice([vague]).unknownDevices).toEqual(['Page hand-held']);
  });
  it('advises open where nothing is sent, closed where the frequency is shared', () => {
    const silent = { ...kelp, receiveTone: 'off' };
    expect(adviseTones(silent, plan([silent]), HELD).policy).toMatchObject({
      receive: 'open',
      reason: { code: 'policy-nothing-sent' },
    });
    expect(advice().policy).toMatchObject({
      receive: 'closed',
      reason: { code: 'policy-shared', channels: 1 },
    });
  });
});

describe('neighbours on the same frequency', () => {
  const near = (more: Partial<Neighbour> = {}): Neighbour => ({
    name: 'Far Shoal',
    receiveHz: 462_650_000,
    tones: ['127.3', 'D023N'],
    distanceM: 120_000,
    changed: '2026-08-08',
    ...more,
  });
  const beside = (neighbour: Neighbour) => adviseTones(kelp, plan([kelp]), HELD, [neighbour]);
  it('their tones, and codes that sound the same, are left out with the distance', () => {
    expect(excluded('127.3', beside(near()))).toEqual({
      code: 'tone-used-nearby',
      severity: 'note',
      other: 'Far Shoal',
      distanceM: 120_000,
      changed: '2026-08-08',
    });
    expect(excluded('D023N', beside(near({ tones: ['D047I'] })))?.code).toBe('tone-used-nearby');
  });
  it('count only on this frequency, within reach, and not against the tone the channel has already', () => {
    expect(excluded('127.3', beside(near({ receiveHz: 462_675_000 })))).toBeUndefined();
    expect(excluded('127.3', beside(near({ distanceM: 150_001 })))).toBeUndefined();
    expect(beside(near({ tones: ['131.8'] })).ranked[0]?.tone).toBe('131.8');
  });
});

describe('what a tone is called on a device', () => {
  it('stands in two items on a set that keeps CTCSS and DCS apart, each way', () => {
    const tones = tonesOn(shipped('plain-handheld'));
    expect(tones).toMatchObject({ known: true, split: true });
    expect([shownOn(tones, '131.8'), shownOn(tones, 'D023N'), shownOn(tones, 'D047I')]).toEqual([
      '131.8',
      'D023N',
      'D047I',
    ]);
    // DCS on one way alone is no tone that can be used both ways.
    expect(shownOn(tonesOn(shipped('amateur-handheld')), 'D023N')).toBeUndefined();
  });
  it('is the code number on the pocket radio, the code itself elsewhere', () => {
    // 38 CTCSS tones, then DCS from 39 on (common practice).
    expect(shownOn(tonesOn(shipped('pocket-radio')), '82.5')).toBe('6');
    expect(shownOn(tonesOn(shipped('pocket-radio')), 'D047I')).toBe('39');
    expect(shownOn(tonesOn(shipped('page-handheld')), 'D047I')).toBe('D047I');
    expect(shownOn(tonesOn(shipped('pocket-radio')), '199.5')).toBeUndefined();
  });
});
