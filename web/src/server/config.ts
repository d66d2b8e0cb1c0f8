import { z } from 'zod';

const ConfigSchema = z.object({
  DATABASE_URL: z.url({
    protocol: /^postgres(ql)?$/,
    error: 'a URL such as postgres://user@127.0.0.1:5432/umbrex',
  }),
  LOG_LEVEL: z.enum(['fatal', 'error', 'warn', 'info', 'debug', 'silent']).default('info'),
  /** Where a repeater directory answers (docs/directory.md); without it there is none to search. */
  UMBREX_DIRECTORY_URL: z.url({ protocol: /^https?$/, error: 'an http or https URL' }).optional(),
  /** Who has it can make the first account from another machine; the start of the server makes one up and prints it. */
  UMBREX_FIRST_WORD: z.string().min(8, 'at least eight characters').optional(),
  /** Set by the demo alone: says so on the page. */
  UMBREX_DEMO: z.enum(['0', '1']).default('0'),
});
export type Config = Readonly<z.infer<typeof ConfigSchema>>;

/** Reads and checks the environment; the only reader of it. @throws Error that names each variable that is missing or wrong */
export function readConfig(env: NodeJS.ProcessEnv): Config {
  const parsed = ConfigSchema.safeParse(env);
  if (parsed.success) return parsed.data;
  const faults = parsed.error.issues.map((issue) => `${issue.path.join('.')}: ${issue.message}`);
  throw new Error(`The environment is not complete. ${faults.join('; ')}`);
}

let config: Config | undefined;

/** The configuration of this process. */
export function getConfig(): Config {
  config ??= readConfig(process.env);
  return config;
}
