import { fitBoard, fitDevice, fitIdentity, wantedBy } from '@umbrex/core/fit';
import { prepare } from '@umbrex/core/flow';
import { heldFrom, writeMemory } from '@umbrex/core/formats';
import { heldMemory } from '@umbrex/core/memory';
import { factoryMemory, slotReader, slotsOf } from '@umbrex/core/model';
import { CableSet, loadByFile } from '@umbrex/core/procedure';
import { NO_GROUNDS } from '@umbrex/core/rules';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { shipped } from '../support/devices';
import { channel, plan, unit } from '../support/plans';
import { runs } from '../support/runs';

const FLEET = shipped('fleet-mobile');
const STATUSES = ['At berth', 'Under way', 'Need help', 'Off duty'];
const set = (n: number, nickname: string, fleetId: string) => unit(n, FLEET.id, { nickname, fleetId });
const bridge = set(1, 'Ferry bridge', '100');
const office = set(2, 'Ferry office', '101');
const landing = set(3, 'Landing office in the harbour', '102');
const wanted = {
  ...plan([channel('Kelp', 462.65, 467.65, { transmitTone: '131.8', receiveTone: '131.8' })]),
  fleet: { statuses: STATUSES, calls: [{ name: 'All ferries', fleetId: '199' }] },
};
/** What stands in the places that are not for channels, by label. */
function entries(image: ReturnType<typeof prepare>['fit']['image']) {
  const memory = loadByFile(FLEET, factoryMemory(FLEET), wantedBy(image)).memory;
  const read = slotReader(FLEET);
  return Object.fromEntries(
    slotsOf(FLEET).flatMap((slot) => {
      const content = read(slot, memory.slots.get(slot.number) ?? null);
      if (content?.kind === 'id') return [[slot.label, [content.fleetId, content.name]]];
      // The name of a zone is no signalling.
      return content?.kind === 'text' && slot.region.content.kind === 'status'
        ? [[slot.label, [undefined, content.name]]]
        : [];
    }),
  );
}
const codes = (fleetId: string, others = [office], fleet: Parameters<typeof fitIdentity>[0] = wanted.fleet) =>
  fitIdentity(fleet, fitDevice(FLEET), { nickname: 'Ferry bridge', fleetId }, others).findings.map(
    ({ severity: _, ...finding }) => finding,
  );

describe('fleet signalling', () => {
  it('puts a set’s own ID, the calls, the others and the status texts where they belong, and proves', () => {
    const { fit, proof } = prepare(wanted, FLEET, bridge, [office, landing]);
    expect(proof.firstDifference).toBeNull();
    expect(entries(fit.image)).toEqual({
      'OWN ID': ['100', 'Ferry bridge'],
      'STATUS 1': [undefined, 'At berth'],
      'STATUS 2': [undefined, 'Under way'],
      'STATUS 3': [undefined, 'Need help'],
      'STATUS 4': [undefined, 'Off duty'],
      'CALL 1': ['199', 'All ferries'],
      'CALL 2': ['101', 'Ferry office'],
      'CALL 3': ['102', 'LdgOfficeHbr'],
    });
  });
  it('leaves the channels as they are, and a kind of set without a holder knows nobody', () => {
    const alone = prepare(wanted, FLEET).fit;
    expect(entries(alone.image)).toEqual({});
    expect(prepare(wanted, FLEET, bridge, [office]).fit.cells).toEqual(alone.cells);
    const pocket = unit(9, 'pocket-radio', { nickname: 'Pocket', fleetId: '100' });
    const { fit } = prepare(wanted, shipped('pocket-radio'), pocket, [office]);
    expect(fit.findings).toEqual([]);
  });
  it.each([
    ['none', '', [{ code: 'fleet-id-missing' }]],
    ['with a digit too many', '1000', [{ code: 'fleet-id-unfit', fleetId: '1000', digits: 3 }]],
    ['with a letter', '1A0', [{ code: 'fleet-id-unfit', fleetId: '1A0', digits: 3 }]],
    ['that another set has', '101', [{ code: 'fleet-id-twice', fleetId: '101', other: 'Ferry office' }]],
    ['that is right', '100', []],
  ])('an ID, %s', (_, fleetId, said) => expect(codes(fleetId)).toEqual(said));
  it('says what has no place, or an ID that this set cannot hold', () => {
    const many = { statuses: [...STATUSES, 'Fuel low'], calls: [{ name: 'Old fleet', fleetId: '10001' }] };
    expect(codes('100', [], many)).toEqual([
      { code: 'calls-left-out', names: ['Old fleet'] },
      { code: 'statuses-left-out', texts: ['Fuel low'] },
    ]);
    const crowd = Array.from({ length: 40 }, (_, i) => set(i + 10, `Boat ${i}`, String(200 + i)));
    expect(codes('100', crowd)).toEqual([
      { code: 'calls-left-out', names: crowd.slice(31).map(({ nickname }) => nickname) },
    ]);
  });
  it('is said on the board of each set it is about', () => {
    const twin = set(4, 'Twin', '100');
    const board = fitBoard(wanted, [bridge, office, twin], [FLEET], NO_GROUNDS);
    const said = (id: string) => board.unitFindings[id]?.map(({ code }) => code) ?? [];
    expect(
      [bridge, office, twin].map(({ id }) => said(id).filter((code) => code.startsWith('fleet'))),
    ).toEqual([['fleet-id-twice'], [], ['fleet-id-twice']]);
  });
  it('comes back from the set as it went, and what is no ID is refused at its place', () => {
    const { image } = prepare(wanted, FLEET, bridge, [office]).fit;
    const held = heldFrom(FLEET, writeMemory(FLEET, wantedBy(image)));
    expect(held.ok && heldMemory(FLEET, held.value).memory.slots.get(1001)?.fid).toBe('100');
    const virtual = new CableSet(FLEET);
    const file = writeMemory(FLEET, wantedBy(image));
    const own = file.slots.find(({ number }) => number === 1001);
    if (!own?.values) throw new Error('no own ID in the file');
    own.values.fid = '10';
    expect(virtual.take(file).map(({ path }) => path)).toEqual([
      `/slots/${file.slots.indexOf(own)}/values/fid`,
    ]);
  });
});

describe('for any fleet', () => {
  const id = fc.oneof(
    fc.integer({ min: 0, max: 120 }).map((n) => String(n).padStart(3, '0')),
    fc.constantFrom('', '7', '1234', 'A12'),
  );
  it('every sheet proves; a call list has exactly the others that can be called, and never the set itself', () =>
    fc.assert(
      fc.property(fc.array(id, { minLength: 2, maxLength: 45 }), (ids) => {
        const sets = ids.map((fleetId, i) => set(i + 1, `Boat ${i}`, fleetId));
        const [mine, ...others] = sets as [(typeof sets)[0], ...typeof sets];
        const { fit, proof } = prepare({ ...wanted, channels: [] }, FLEET, mine, others);
        expect(proof.firstDifference).toBeNull();
        const held = entries(fit.image);
        const called = Object.entries(held).flatMap(([label, [fleetId]]) =>
          label.startsWith('CALL') && fleetId !== '199' ? [fleetId] : [],
        );
        const could = others.map(({ fleetId }) => fleetId).filter((fleetId) => /^\d{3}$/.test(fleetId));
        expect(called).toEqual(could.sort().slice(0, 31));
        const isGood =
          /^\d{3}$/.test(mine.fleetId) && !others.some(({ fleetId }) => fleetId === mine.fleetId);
        expect(held['OWN ID']?.[0]).toBe(isGood ? mine.fleetId : undefined);
      }),
      { numRuns: runs(100) },
    ));
});
