import { z } from 'zod';
import { FrequencySchema, LineSchema } from './channel';
import { DaySchema } from './day';

/** What a directory’s answer says of itself. */
export const DIRECTORY_FORMAT = 'umbrex/directory@1';

/** A latitude and a longitude in degrees. */
export const PlaceSchema = z.object({
  latitudeDeg: z.number().min(-90).max(90),
  longitudeDeg: z.number().min(-180).max(180),
});

const text = z.string().max(200);

/**
 * One station as a directory lists it. Tones and modes stay in the source's own words (`141.3`, `DPL 023`, `none`), since
 * sources differ in them; `null` is what the source leaves out.
 */
export const DirectoryEntrySchema = z.object({
  id: z.string().min(1).max(60),
  title: LineSchema.trim().min(1).max(80),
  ...PlaceSchema.shape,
  outputHz: FrequencySchema,
  inputHz: FrequencySchema.nullable(),
  inputTone: text.nullable(),
  outputTone: text.nullable(),
  mode: text.nullable(),
  access: z.enum(['open', 'ask', 'closed']).nullable(),
  status: z.enum(['on-air', 'planned', 'off-air']).nullable(),
  /** What the source claims, as a circle; hills are not in it. */
  rangeM: z.number().positive().nullable(),
  /** The day the source last changed this entry. */
  changed: DaySchema.nullable(),
  note: LineSchema.max(400).default(''),
});
export type DirectoryEntry = z.infer<typeof DirectoryEntrySchema>;

/** What a directory answers. The entries are looked at one by one, so that one faulty entry spoils no other. */
export const DirectoryAnswerSchema = z.object({
  format: z.literal(DIRECTORY_FORMAT),
  /** The source's name, kept with everything taken from it. */
  source: LineSchema.trim().min(1).max(60),
  entries: z.array(z.unknown()).max(2000),
});

/** A place a directory knows by name. */
export const NamedPlaceSchema = z.object({ name: LineSchema.min(1).max(80), ...PlaceSchema.shape });
export type NamedPlace = z.infer<typeof NamedPlaceSchema>;

/** Places that a directory knows by a name. */
export const PlacesAnswerSchema = z.object({
  format: z.literal(DIRECTORY_FORMAT),
  places: z.array(NamedPlaceSchema).max(200),
});
