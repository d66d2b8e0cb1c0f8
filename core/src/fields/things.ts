import type { z } from 'zod';
import {
  type BenchDay,
  BenchDaySchema,
  type Channel,
  ChannelSchema,
  type Find,
  FindSchema,
  type Heard,
  HeardSchema,
  type Net,
  NetSchema,
  type Person,
  PersonSchema,
  type PlanHead,
  PlanHeadSchema,
  type Station,
  StationSchema,
  type Team,
  TeamSchema,
  type Unit,
  UnitSchema,
} from '../model/index';
import { mhzText } from '../units/index';
import { BENCH_FIELDS } from './benchDay';
import { CHANNEL_FIELDS } from './channel';
import type { Field, Fields } from './field';
import { FIND_FIELDS } from './find';
import { HEARD_FIELDS } from './heard';
import { NET_FIELDS, PERSON_FIELDS, TEAM_FIELDS } from './people';
import { PLAN_FIELDS } from './plan';
import { STATION_FIELDS } from './station';
import { UNIT_FIELDS } from './unit';

/** Everything whose fields are said here. */
export interface FieldsOf {
  readonly plan: PlanHead;
  readonly channel: Channel;
  readonly unit: Unit;
  readonly person: Person;
  readonly team: Team;
  readonly station: Station;
  readonly net: Net;
  readonly bench: BenchDay;
  readonly heard: Heard;
  readonly find: Find;
}
/** Which thing it is. */
export type ThingKind = keyof FieldsOf;

interface Thing<T> {
  /** What it is called, and several of it. */
  readonly one: string;
  readonly many: string;
  readonly schema: z.ZodType<T>;
  readonly fields: Fields<T>;
  readonly nameOf: (thing: T) => string;
  /** By what it is known again in a table: one that is alike in any of them is there already. */
  readonly marks: (thing: T) => readonly string[];
  /** By what two rows of one table are the same, where several may have one mark and are not. */
  readonly twin?: (thing: T) => string;
}

/** The catalogue: each thing with all of its fields. Tables, history, the choice between two versions, masks and what a sheet depends on read it. */
export const THINGS: { readonly [K in ThingKind]: Thing<FieldsOf[K]> } = {
  plan: {
    one: 'plan',
    many: 'plans',
    schema: PlanHeadSchema,
    fields: PLAN_FIELDS,
    nameOf: ({ name }) => name,
    marks: ({ name }) => [name],
  },
  channel: {
    one: 'channel',
    many: 'channels',
    schema: ChannelSchema,
    fields: CHANNEL_FIELDS,
    nameOf: ({ name }) => name,
    marks: ({ name }) => [name],
    twin: ({ name, receiveHz, transmitHz, transmitTone, receiveTone }) =>
      [name, receiveHz, transmitHz, transmitTone, receiveTone].join(' '),
  },
  unit: {
    one: 'device',
    many: 'devices',
    schema: UnitSchema,
    fields: UNIT_FIELDS,
    nameOf: ({ nickname }) => nickname,
    marks: ({ serial, nickname }) => [...(serial ? [`serial ${serial}`] : []), `name ${nickname}`],
  },
  person: {
    one: 'person',
    many: 'people',
    schema: PersonSchema,
    fields: PERSON_FIELDS,
    nameOf: ({ name }) => name,
    marks: ({ name }) => [name],
  },
  team: {
    one: 'team',
    many: 'teams',
    schema: TeamSchema,
    fields: TEAM_FIELDS,
    nameOf: ({ name }) => name,
    marks: ({ name }) => [name],
  },
  station: {
    one: 'station',
    many: 'stations',
    schema: StationSchema,
    fields: STATION_FIELDS,
    nameOf: ({ name }) => name,
    marks: ({ name }) => [name],
  },
  net: {
    one: 'net',
    many: 'nets',
    schema: NetSchema,
    fields: NET_FIELDS,
    nameOf: ({ name }) => name,
    marks: ({ name, startsAt }) => [`${name} ${startsAt}`],
  },
  bench: {
    one: 'bench day',
    many: 'bench days',
    schema: BenchDaySchema,
    fields: BENCH_FIELDS,
    nameOf: ({ name }) => name,
    marks: ({ name, day }) => [`${name} ${day}`],
  },
  heard: {
    one: 'call',
    many: 'calls',
    schema: HeardSchema,
    fields: HEARD_FIELDS,
    nameOf: ({ at, from, to }) => `${from} to ${to}, ${at.slice(0, 10)} ${at.slice(11, 16)} UTC`,
    marks: ({ at, from, to, way, channelId }) => [`${from} to ${to} at ${at} ${way} ${channelId}`],
  },
  find: {
    one: 'find',
    many: 'finds',
    schema: FindSchema,
    fields: FIND_FIELDS,
    nameOf: ({ receiveHz }) => `${mhzText(receiveHz)} MHz`,
    marks: ({ receiveHz, at }) => [`${receiveHz} ${at}`],
  },
};

/** A field whatever it is of: what it says of a value it can say of none but its own. */
export type AnyField = Field<unknown, unknown>;

/** The fields of a thing in their order. */
export function fieldsOf(kind: ThingKind): readonly (readonly [string, AnyField])[] {
  return Object.entries(THINGS[kind].fields) as unknown as readonly (readonly [string, AnyField])[];
}

/** The schema of each field of a thing, its id with them. */
export function shapeOf(kind: ThingKind): Readonly<Record<string, z.ZodType | undefined>> {
  const { schema } = THINGS[kind];
  return 'shape' in schema ? (schema.shape as Record<string, z.ZodType>) : {};
}

/** A thing as those may see it who are not members: what the group keeps to itself is gone, and stands as unknown. */
export function masked<K extends ThingKind>(kind: K, thing: FieldsOf[K]): FieldsOf[K] {
  const hidden = fieldsOf(kind).flatMap(([key, { hidden: hide }]) =>
    hide === 'shown' ? [] : [[key, hide(thing)]],
  );
  return { ...thing, ...Object.fromEntries(hidden) };
}

/** What of a thing a set's sheet depends on. */
export function sheetPart(kind: ThingKind, thing: object): Readonly<Record<string, unknown>> {
  const values = thing as Readonly<Record<string, unknown>>;
  return Object.fromEntries(
    fieldsOf(kind).flatMap(([key, { sheet }]) => (sheet ? [[key, values[key]]] : [])),
  );
}
