import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { readDirectory, readPlaces } from '@umbrex/core/formats';
import { readEntry, tonesOfEntry } from '@umbrex/core/listing';
import { type Channel, type DirectoryEntry, DirectoryEntrySchema } from '@umbrex/core/model';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { channel, OSTREL } from '../support/plans';

const KELP = { latitudeDeg: 41.273, longitudeDeg: -38.501 };
const file = (name: string) =>
  JSON.parse(readFileSync(fileURLToPath(new URL(`../../../sim/directory/${name}`, import.meta.url)), 'utf8'));
const answer = (entries: unknown[]) => ({ format: 'umbrex/directory@1', source: 'Test book', entries });
const entry = (more: Partial<DirectoryEntry> = {}): DirectoryEntry => ({
  id: 'x-1',
  title: 'Some Hill',
  ...KELP,
  outputHz: 462_650_000,
  inputHz: 467_650_000,
  inputTone: '131.8',
  outputTone: '131.8',
  mode: 'FM',
  access: 'open',
  status: 'on-air',
  rangeM: null,
  changed: '2026-09-01',
  note: '',
  ...more,
});
const read = (more: Partial<DirectoryEntry>, planned: readonly Channel[] = []) =>
  readEntry(entry(more), { country: 'US', source: 'Test book', taken: '2026-11-25', planned });
const codes = (more: Partial<DirectoryEntry>, planned?: readonly Channel[]) =>
  read(more, planned).questions.map((question) => question.code);

describe('what a directory answers', () => {
  const reading = readDirectory(answer(file('entries.json')), KELP, 50_000);
  it('is sorted by distance from the place, and the far ones are left out', () => {
    expect(reading.found.map(({ entry: { id } }) => id).slice(0, 2)).toEqual(['or-01', 'or-15']);
    const metres = reading.found.map((seen) => seen.distanceM);
    expect(metres).toEqual([...metres].sort((a, b) => a - b));
    expect(reading.found.some(({ entry: { id } }) => id === 'or-13')).toBe(false);
    expect(readDirectory(answer(file('entries.json')), KELP, 150_000).found.at(-1)?.entry.id).toBe('or-13');
  });
  it('keeps the good entries when one is faulty, and names the path of the fault', () => {
    expect(reading.findings).toMatchObject([{ code: 'document-shape', path: '/entries/11/outputHz' }]);
    expect(reading.found).toHaveLength(13);
  });
  it('says an id that comes twice, and takes the first', () => {
    const twice = readDirectory(answer([entry(), entry({ title: 'Again' })]), KELP, 1000);
    expect(twice.found.map((seen) => seen.entry.title)).toEqual(['Some Hill']);
    expect(twice.findings).toMatchObject([{ code: 'duplicate-id', path: '/entries/1/id' }]);
  });
  it('of another shape gives a finding, never a throw', () => {
    expect(readDirectory({ format: 'other@3' }, KELP, 1)).toMatchObject({
      findings: [{ code: 'document-format', found: 'other@3' }],
    });
    expect(readPlaces({ format: 'umbrex/directory@1', places: [{}] }).findings[0]).toMatchObject({
      path: '/places/0/name',
    });
    fc.assert(
      fc.property(fc.jsonValue(), (value) => {
        const one = readDirectory(value, KELP, 1000);
        const many = readDirectory(answer([value]), KELP, 1000);
        return one.findings.length > 0 && many.findings.length > 0;
      }),
    );
  });
});

describe('an entry as a channel', () => {
  it('its input tone is what our sets send; source and dates stay with it', () =>
    expect(read({ inputTone: 'DPL 251', outputTone: 'DPL 606' }).channel).toMatchObject({
      name: 'Some Hill',
      transmitHz: 467_650_000,
      transmitTone: 'D251N',
      receiveTone: 'D606N',
      access: 'open',
      listed: { source: 'Test book', changed: '2026-09-01', taken: '2026-11-25' },
    }));
  it('a missing input tone stays unknown; a missing output tone leaves the receive tone off', () => {
    const { channel: draft, questions } = read({ inputTone: null, outputTone: null });
    expect(draft).toMatchObject({ transmitTone: 'unknown', receiveTone: 'off' });
    expect(questions.map(({ code }) => code)).toEqual(['input-tone-unknown', 'output-tone-unknown']);
  });
  it('a tone that is none stays unknown, and what was meant is offered, not taken', () => {
    const { channel: draft, questions } = read({ inputTone: '82.5 MHz' });
    expect(draft?.transmitTone).toBe('unknown');
    expect(questions).toMatchObject([{ code: 'tone-in-mhz', offers: ['82.5'], blocking: false }]);
  });
  it.each([
    ['old', { changed: '2024-02-11' }, ['entry-old']],
    ['a day over a year', { changed: '2025-11-24' }, ['entry-old']],
    ['a year', { changed: '2025-11-25' }, []],
    ['undated', { changed: null }, ['entry-undated']],
    ['planned', { status: 'planned' }, ['entry-not-on-air']],
    ['off the air', { status: 'off-air' }, ['entry-not-on-air']],
    ['closed', { access: 'closed' }, ['entry-closed']],
    ['a circle as range', { rangeM: 40_000 }, ['entry-claims-range']],
    ['digital', { mode: 'DMR' }, ['digital-mode']],
  ] as const)('says what stands against it: %s', (_what, more, wanted) =>
    expect(codes(more)).toEqual(wanted),
  );
  it('keeps that it is planned as what it is, not as a remark', () => {
    expect(read({ status: 'planned' }).channel).toMatchObject({ state: 'planned', note: '' });
    expect(read({ status: 'on-air' }).channel).toMatchObject({ state: 'on-air' });
    // Off the air for a time is none of the three.
    expect(read({ status: 'off-air' }).channel).toMatchObject({ state: 'on-air', note: 'off air' });
  });
  it('a pair that no repeater has is asked about and gives no channel to take', () =>
    expect(read({ outputHz: 462_550_000, inputHz: 467_575_000 })).toMatchObject({
      channel: null,
      questions: [{ code: 'pair-does-not-match', blocking: true }],
    }));
  it('shows what the plan has on the pair, and whether the two agree', () => {
    const ours = channel('Ours', 462.65, 467.65, { transmitTone: '131.8', receiveTone: '131.8' });
    expect(codes({}, [ours])).toEqual(['entry-in-plan']);
    expect(codes({ inputTone: '141.3' }, [ours])).toEqual(['entry-disagrees']);
    expect(codes({ inputTone: null }, [ours])).toContain('entry-in-plan');
    const other = channel('Other', 462.65, 467.65, { transmitTone: '82.5', receiveTone: '82.5' });
    expect(read({}, [other, ours]).questions).toMatchObject([{ code: 'entry-in-plan', about: 'Ours' }]);
  });
  it('every good entry of the stand-in reads', () => {
    for (const raw of file('entries.json')) {
      const parsed = DirectoryEntrySchema.safeParse(raw);
      if (!parsed.success) continue;
      const got = readEntry(parsed.data, {
        country: 'US',
        source: 'Book',
        taken: '2026-11-25',
        planned: OSTREL.channels,
      });
      expect(got.channel !== null || got.questions.some(({ blocking }) => blocking), raw.id).toBe(true);
    }
  });
  it('gives the tones it uses, for choosing others', () =>
    expect(tonesOfEntry(entry({ inputTone: 'DPL 251', outputTone: 'none' }))).toEqual(['D251N']));
});
