import { LineSchema } from '@umbrex/core/model';
import { z } from 'zod';
import { ROLES } from './roles';

export const RoleSchema = z.enum(ROLES);

/** A name to sign in with. */
export const LoginSchema = LineSchema.trim()
  .min(2)
  .max(80)
  .regex(/^[\p{L}\p{N}._@+-]+$/u, 'letters, digits and . _ @ + - only');

/** A password as people may choose it. Source for length before rules of letters: NIST SP 800-63B, 5.1.1.2. */
export const PasswordSchema = z
  .string()
  .min(10, 'at least 10 characters')
  .max(200, 'at most 200 characters')
  .refine((text) => new Set(text).size >= 4, 'at least four different characters');

/** What somebody or something is called. */
export const NameSchema = LineSchema.trim().min(1).max(60);

/** The first account of all. */
export const FirstAccountSchema = z.strictObject({
  login: LoginSchema,
  name: NameSchema,
  password: PasswordSchema,
  workspaceName: NameSchema,
  /** What stands where the server was started; not needed at that very machine. */
  word: z.string().max(200).default(''),
});

/** What somebody answers to a link that lets in. */
export const TakeLinkSchema = z.union([
  /** With the account one is signed in with. */
  z.strictObject({ join: z.literal(true) }),
  z.strictObject({
    password: PasswordSchema,
    login: LoginSchema.optional(),
    name: NameSchema.optional(),
  }),
]);
