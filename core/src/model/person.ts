import { z } from 'zod';
import { LineSchema } from './channel';
import { PlaceSchema } from './directory';
import { LicenceSchema } from './licence';

/** A usual place is kept coarse on purpose: a grid of about two kilometres tells enough for reach and nobody's door. */
export const COARSE_DEG = 0.02;

/** Somebody of the group: how to reach them, what licences they lean on, where they usually are if they want that known. */
export const PersonSchema = z.strictObject({
  id: z.uuid(),
  name: LineSchema.trim().min(1).max(60),
  contact: LineSchema.trim().max(120).default(''),
  licences: z.array(LicenceSchema).max(12).default([]),
  teamIds: z.array(z.uuid()).max(20).default([]),
  /** Only with the person's word; rounded to the coarse grid. */
  place: z
    .strictObject(PlaceSchema.shape)
    .transform(({ latitudeDeg, longitudeDeg }) => ({
      latitudeDeg: coarse(latitudeDeg),
      longitudeDeg: coarse(longitudeDeg),
    }))
    .nullable()
    .default(null),
  note: LineSchema.max(400).default(''),
});
export type Person = z.infer<typeof PersonSchema>;

function coarse(degrees: number): number {
  return Number((Math.round(degrees / COARSE_DEG) * COARSE_DEG).toFixed(2));
}

/** A team or a role. Which groups of channels its sets carry is said by each plan. */
export const TeamSchema = z.strictObject({
  id: z.uuid(),
  name: LineSchema.trim().min(1).max(40),
  note: LineSchema.max(120).default(''),
});
export type Team = z.infer<typeof TeamSchema>;
