import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { CTCSS_TENTHS_HZ, DCS_CODES, SERVICES } from '@umbrex/core/facts';
import {
  type Channel,
  type Plan,
  PlanSchema,
  type Unit,
  type UnitInput,
  UnitSchema,
} from '@umbrex/core/model';
import fc from 'fast-check';

const GROUP = '00000000-0000-4000-8000-000000000001';

export const uuid = (n: number): string => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;

/** A channel with everything filled in; frequencies in megahertz. */
export function channel(
  name: string,
  receiveMHz: number,
  transmitMHz: number | null,
  more: Partial<Channel> = {},
): Channel {
  return {
    id: uuid(1000 + ([...name].reduce((sum, char) => sum * 31 + char.charCodeAt(0), 7) % 1e9)),
    groupId: GROUP,
    name,
    receiveHz: Math.round(receiveMHz * 1e6),
    transmitHz: transmitMHz === null ? null : Math.round(transmitMHz * 1e6),
    transmitTone: 'off',
    receiveTone: 'off',
    receivePolicy: 'plan',
    bandwidth: 'unknown',
    mode: 'FM',
    service: 'gmrs',
    access: 'open',
    tier: 'should',
    note: '',
    aliases: [],
    shortNames: [],
    trunk: null,
    scan: 'usual',
    resumeDelay: 'plan',
    state: 'on-air',
    tonesSecret: false,
    listed: null,
    ...more,
  };
}

export function plan(channels: readonly Channel[], receivePolicy: Plan['receivePolicy'] = 'closed'): Plan {
  return {
    format: 'umbrex/plan@1',
    id: uuid(2),
    name: 'Test plan',
    country: 'US',
    receivePolicy,
    resumeDelay: 'on',
    licensed: [],
    services: [],
    numbering: null,
    alerts: null,
    areaNames: {},
    fleet: { statuses: [], calls: [] },
    setup: {},
    roleSetup: {},
    naming: { all: 'now', kinds: {} },
    carried: { kinds: {}, teams: {}, units: {} },
    withoutRight: 'warn',
    spares: 'licensed',
    planned: 'load',
    withdrawn: 'leave-out',
    loadOn: null,
    archived: false,
    groups: [{ id: GROUP, name: 'All', note: '' }],
    channels: [...channels],
  };
}

/** The demo's plan, as it ships. */
export const OSTREL: Plan = PlanSchema.parse(
  JSON.parse(readFileSync(fileURLToPath(new URL('../../../demo/ostrel-plan.json', import.meta.url)), 'utf8')),
);

const tone = fc.oneof(
  fc.constant('off'),
  fc.constantFrom(...CTCSS_TENTHS_HZ).map((tenths) => (tenths / 10).toFixed(1)),
  fc
    .tuple(fc.constantFrom(...DCS_CODES), fc.constantFrom('N', 'I'))
    .map(([code, polarity]) => `D${code}${polarity}`),
);

/** Any part of a trunked network, or none. */
const trunk = fc.option(
  fc.record({
    network: fc.constantFrom('North', 'South', 'Mainland'),
    carries: fc.constantFrom('control' as const, 'calls' as const),
    isLocal: fc.constantFrom(true, false, 'unknown' as const),
  }),
  { nil: null },
);

/** Any plan of GMRS channels, with any tones and names, listening ones and parts of trunked networks among them. */
export const anyPlan: fc.Arbitrary<Plan> = fc
  .array(
    fc.record({
      row: fc.constantFrom(...SERVICES.gmrs.channels),
      listens: fc.boolean(),
      transmitTone: tone,
      receiveTone: tone,
      name: fc.stringMatching(/^[A-Za-z][A-Za-z0-9 é-]{0,18}[A-Za-z0-9]$/),
      bandwidth: fc.constantFrom('narrow' as const, 'wide' as const, 'unknown' as const),
      trunk,
    }),
    { minLength: 1, maxLength: 24 },
  )
  .map((rows) =>
    plan(
      rows.map(({ row, listens, transmitTone, trunk, ...rest }, i) => {
        const silent = listens && i % 5 === 0;
        if (silent && trunk)
          return channel(rest.name, 851.0125 + 0.0125 * i, null, { ...rest, id: uuid(100 + i), trunk });
        return channel(rest.name, row.receiveHz / 1e6, silent ? null : (row.transmitHz ?? 0) / 1e6, {
          ...rest,
          id: uuid(100 + i),
          transmitTone: silent ? 'off' : transmitTone,
        });
      }),
    ),
  );

/** A device of a kind, everything else as usual. */
export function unit(n: number, descriptionId: string, more: Partial<UnitInput> = {}): Unit {
  return UnitSchema.parse({
    id: uuid(n),
    descriptionId,
    nickname: `Set ${n}`,
    holder: '',
    serial: '',
    firmware: '1.06',
    ...more,
  });
}
