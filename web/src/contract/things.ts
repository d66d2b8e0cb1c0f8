import { type FieldsOf, THINGS } from '@umbrex/core/fields';
import { type Description, DescriptionSchema } from '@umbrex/core/model';
import type { z } from 'zod';

/** Everything that has versions and edits; each kind is a table of that name. A plan is its head: its channels stand by themselves. */
export interface Things extends FieldsOf {
  readonly description: Description;
}
export type Kind = keyof Things;

/** What each kind must look like; the same schema checks the body, the row and the edit. */
export const SCHEMAS: { readonly [K in Kind]: z.ZodType<Things[K]> } = {
  plan: THINGS.plan.schema,
  channel: THINGS.channel.schema,
  unit: THINGS.unit.schema,
  person: THINGS.person.schema,
  team: THINGS.team.schema,
  station: THINGS.station.schema,
  net: THINGS.net.schema,
  bench: THINGS.bench.schema,
  heard: THINGS.heard.schema,
  find: THINGS.find.schema,
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
