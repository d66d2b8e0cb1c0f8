import { SERVICE_IDS } from '../facts/index';
import { COUNTRIES, type PlanHead, PlanHeadSchema } from '../model/index';
import { type Fields, field, type Names } from './field';
import { choice, day, line, maybe, parts, several, yesNo } from './forms';

const { groups, licensed, numbering, alerts, fleet, setup, roleSetup, naming, carried, areaNames } =
  PlanHeadSchema.shape;
const nameOf = (id: string, names: Names) =>
  (['channel', 'team', 'kind', 'group', 'unit'] as const)
    .flatMap((kind) => names[kind] ?? [])
    .find((one) => one.id === id)?.name ?? id;
const settings = (of: Readonly<Record<string, Readonly<Record<string, number>>>>, names: Names) =>
  Object.entries(of)
    .map(
      ([kind, values]) =>
        `${nameOf(kind, names)}: ${Object.entries(values)
          .map(([setting, at]) => `${setting} ${at}`)
          .join(', ')}`,
    )
    .join('; ');

/** A plan without its channels. Everything of it but its name, and whether it is put away, is in what sheets depend on. */
export const PLAN_FIELDS = {
  name: field('name', line, false, { synonyms: ['plan'] }),
  country: field('country', choice(COUNTRIES, 'other'), true),
  receivePolicy: field('receive policy', choice(['open', 'closed'], 'closed'), true),
  resumeDelay: field('stays after a call', choice(['on', 'off'], 'on'), true),
  groups: field(
    'groups',
    parts(groups, (all) => all.map(({ name, note }) => (note ? `${name} (${note})` : name)).join('; ')),
    true,
  ),
  licensed: field(
    'licensed frequencies',
    parts(
      licensed.unwrap(),
      (all) =>
        all.map(({ name, licence, expires }) => `${name}, ${licence} until ${expires}`).join('; ') || 'none',
      [],
    ),
    true,
  ),
  services: field('services', several(choice(SERVICE_IDS, 'gmrs')), true),
  numbering: field(
    'numbers',
    parts(
      numbering.unwrap(),
      (of, names) =>
        of === null
          ? 'none'
          : [
              ...Object.entries(of.numbers).map(([id, n]) => `${nameOf(id, names)} ${n}`),
              `held fast: ${of.pins.map((id) => nameOf(id, names)).join(', ') || 'none'}`,
            ].join(', '),
      null,
    ),
    true,
  ),
  alerts: field(
    'alert radios',
    parts(
      alerts.unwrap(),
      (of) =>
        of === null
          ? 'none'
          : `areas ${of.areas.join(', ')}; sounds for ${of.reach}; transmitter ${of.weatherHz}; silent ${of.silent.join(', ') || 'none'}`,
      null,
    ),
    true,
  ),
  areaNames: field(
    'names of areas',
    parts(
      areaNames.unwrap(),
      (of) =>
        Object.entries(of)
          .map(([code, name]) => `${code} ${name}`)
          .join('; ') || 'none',
      {},
    ),
    true,
  ),
  fleet: field(
    'status texts and calls',
    parts(
      fleet.unwrap(),
      ({ statuses, calls }) =>
        [...statuses, ...calls.map(({ name, fleetId }) => `${name} ${fleetId}`)].join('; ') || 'none',
      { statuses: [], calls: [] },
    ),
    true,
  ),
  setup: field(
    'settings of whole sets',
    parts(setup.unwrap(), (of, names) => settings(of, names) || 'none', {}),
    true,
  ),
  roleSetup: field(
    'settings by role',
    parts(
      roleSetup.unwrap(),
      (of, names) =>
        Object.entries(of)
          .map(([role, values]) => `${nameOf(role, names)}: ${settings(values, names)}`)
          .join('; ') || 'none',
      {},
    ),
    true,
  ),
  naming: field(
    'names on displays',
    parts(
      naming.unwrap(),
      ({ all, kinds }, names) =>
        [all, ...Object.entries(kinds).map(([kind, how]) => `${nameOf(kind, names)}: ${how}`)].join('; '),
      { all: 'now', kinds: {} },
    ),
    true,
  ),
  carried: field(
    'groups that sets carry',
    parts(
      carried.unwrap(),
      ({ kinds, teams, units }, names) =>
        [kinds, teams, units]
          .flatMap(Object.entries<string[]>)
          .map(
            ([id, groupIds]) => `${nameOf(id, names)}: ${groupIds.map((g) => nameOf(g, names)).join(', ')}`,
          )
          .join('; ') || 'all',
      { kinds: {}, teams: {}, units: {} },
    ),
    true,
    // Which team or set it is about is for members.
    { hidden: ({ carried: { kinds } }) => ({ kinds, teams: {}, units: {} }) },
  ),
  withoutRight: field('channels without a right to send', choice(['leave-out', 'warn'], 'leave-out'), true),
  spares: field('sets of nobody', choice(['licensed', 'listen-only'], 'licensed'), true),
  planned: field('channels that are planned', choice(['load', 'leave-out'], 'load'), true),
  withdrawn: field('channels that were withdrawn', choice(['load', 'leave-out'], 'leave-out'), true),
  loadOn: field('sets are loaded on', maybe(day, 'the day it is'), true),
  archived: field('put away', yesNo(false), false),
} satisfies Fields<PlanHead>;
