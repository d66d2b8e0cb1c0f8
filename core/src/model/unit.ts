import { z } from 'zod';
import { LineSchema } from './channel';

/** One device in somebody's hands: which kind it is, what it is called, who holds it. */
export const UnitSchema = z.strictObject({
  id: z.uuid(),
  descriptionId: z.string().regex(/^[a-z0-9][a-z0-9-]{1,40}$/),
  nickname: LineSchema.trim().min(1).max(40),
  holder: LineSchema.trim().max(60),
  serial: LineSchema.trim().max(40),
  /** As the set shows it; `unknown` when nobody has looked. */
  firmware: LineSchema.trim().min(1).max(20),
});
export type Unit = z.infer<typeof UnitSchema>;
