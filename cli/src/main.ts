import { readFileSync } from 'node:fs';
import { pathToFileURL } from 'node:url';
import type { Finding, Result } from '@umbrex/core/findings';
import { fitDevice, fitPlan } from '@umbrex/core/fit';
import { prepare } from '@umbrex/core/flow';
import { readDescription, readPlan } from '@umbrex/core/formats';
import { readLine, readTone } from '@umbrex/core/listing';
import { type Description, type Plan, sameOnAir } from '@umbrex/core/model';
import { shippedDescriptions } from '../../devices/read';

const USAGE = `usage:
  umbrex tone "<text>"                        read a tone
  umbrex channel "<text>"                     read a line as a channel
  umbrex fit <plan.json> [--device <file>]…   what each device can do with the plan
  umbrex prove <plan.json> [--device <file>]… write each device's sheet and replay it
JSON on standard output. Exit 0: fine, 1: findings or questions that stop, 2: this text.`;

/** What a command came to: a JSON value and whether it is fine. */
interface Outcome {
  readonly json: unknown;
  readonly ok: boolean;
}

class UsageError extends Error {}

/** Runs one command. @throws UsageError for words it does not know */
export function run(words: readonly string[]): Outcome {
  const [command, subject, ...rest] = words;
  if (command === undefined || subject === undefined) throw new UsageError();
  switch (command) {
    case 'tone':
      return tone(onlySubject(subject, rest));
    case 'channel':
      return channel(onlySubject(subject, rest));
    case 'fit':
    case 'prove':
      return onPlan(command, subject, devicePaths(rest));
    default:
      throw new UsageError();
  }
}

function onlySubject(subject: string, rest: readonly string[]): string {
  if (rest.length > 0) throw new UsageError();
  return subject;
}

function devicePaths(words: readonly string[]): string[] {
  const paths: string[] = [];
  for (let i = 0; i < words.length; i += 2) {
    const path = words[i + 1];
    if (words[i] !== '--device' || path === undefined) throw new UsageError();
    paths.push(path);
  }
  return paths;
}

function tone(text: string): Outcome {
  const { tone: found, questions } = readTone(text);
  const ok = found !== undefined;
  return { ok, json: { ok, tone: found ?? null, sameAs: ok ? sameOnAir(found) : [], questions } };
}

function channel(text: string): Outcome {
  const reading = readLine(text);
  return { ok: reading.ok, json: reading };
}

function onPlan(command: 'fit' | 'prove', planPath: string, paths: readonly string[]): Outcome {
  const plan = readFile(planPath, readPlan);
  if (!plan.ok) return { ok: false, json: { ok: false, file: planPath, findings: plan.findings } };
  const devices: Description[] = paths.length === 0 ? shippedDescriptions() : [];
  for (const path of paths) {
    const device = readFile(path, readDescription);
    if (!device.ok) return { ok: false, json: { ok: false, file: path, findings: device.findings } };
    devices.push(device.value);
  }
  return command === 'fit' ? fit(plan.value, devices) : proveAll(plan.value, devices);
}

function readFile<T>(path: string, read: (text: string) => Result<T>): Result<T> {
  try {
    return read(readFileSync(path, 'utf8'));
  } catch (error) {
    const detail = error instanceof Error ? error.message : String(error);
    const finding: Finding = { code: 'file-unreadable', severity: 'error', path: '', detail };
    return { ok: false, findings: [finding] };
  }
}

function fit(plan: Plan, devices: readonly Description[]): Outcome {
  const names = new Map(plan.channels.map((c) => [c.id, c.name]));
  const json = devices.map((device) => ({
    device: device.id,
    channels: fitPlan(plan, fitDevice(device)).cells.map(({ channelId, verdict, slot, name, findings }) => ({
      channel: names.get(channelId),
      channelId,
      verdict: VERDICT_WORDS[verdict],
      slot,
      name,
      findings,
    })),
  }));
  return { ok: true, json: { ok: true, devices: json } };
}

const VERDICT_WORDS = {
  full: 'full',
  adapted: 'adapted',
  listen: 'listen only',
  no: 'not possible',
  unknown: 'unknown',
} as const;

function proveAll(plan: Plan, devices: readonly Description[]): Outcome {
  const json = devices.map((device) => {
    const { sheet, proof } = prepare(plan, device);
    return {
      device: device.id,
      steps: sheet.steps.length,
      presses: sheet.presses,
      minutes: Math.round(proof.minutes * 10) / 10,
      proven: proof.proven,
      slowToo: proof.slowToo,
      firstDifference: proof.firstDifference,
    };
  });
  const ok = json.every((device) => device.proven);
  return { ok, json: { ok, devices: json } };
}

if (import.meta.url === pathToFileURL(process.argv[1] ?? '').href) {
  try {
    const { json, ok } = run(process.argv.slice(2));
    process.stdout.write(`${JSON.stringify(json, null, 2)}\n`);
    process.exitCode = ok ? 0 : 1;
  } catch (error) {
    if (!(error instanceof UsageError)) throw error;
    process.stderr.write(`${USAGE}\n`);
    process.exitCode = 2;
  }
}
