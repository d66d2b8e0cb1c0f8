import {
  type Channel,
  ChannelSchema,
  type Description,
  DescriptionSchema,
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
} from '@umbrex/core/model';
import type { z } from 'zod';

/** Everything that has versions and edits; each kind is a table of that name. A plan is its head: its channels stand by themselves. */
export interface Things {
  readonly plan: PlanHead;
  readonly channel: Channel;
  readonly unit: Unit;
  readonly person: Person;
  readonly team: Team;
  readonly station: Station;
  readonly net: Net;
  readonly description: Description;
}
export type Kind = keyof Things;

/** What each kind must look like; the same schema checks the body, the row and the edit. */
export const SCHEMAS: { readonly [K in Kind]: z.ZodType<Things[K]> } = {
  plan: PlanHeadSchema,
  channel: ChannelSchema,
  unit: UnitSchema,
  person: PersonSchema,
  team: TeamSchema,
  station: StationSchema,
  net: NetSchema,
  description: DescriptionSchema,
};
export const KINDS = Object.keys(SCHEMAS) as readonly Kind[];

/** A thing with the version that an edit must name. */
export interface Versioned<T> {
  readonly value: T;
  readonly version: number;
}
/** A thing that was saved, with the edit by which that can be undone; `null` where nothing was different. */
export interface Saved<T> extends Versioned<T> {
  readonly editId: string | null;
}
