import { readFileSync } from 'node:fs';
import { pathToFileURL } from 'node:url';
import { parseArgs } from 'node:util';
import { reviewPlan } from '@umbrex/core/check';
import {
  SERVICE_IDS,
  SERVICES,
  type ServiceChannel,
  type ServiceId,
  serviceChannel,
} from '@umbrex/core/facts';
import type { Finding, Result } from '@umbrex/core/findings';
import { fitDevice, fitPlan } from '@umbrex/core/fit';
import { prepare } from '@umbrex/core/flow';
import { readDescription, readPlan } from '@umbrex/core/formats';
import { readLine, readTone } from '@umbrex/core/listing';
import { type Channel, type Description, type Licence, type Plan, sameOnAir } from '@umbrex/core/model';
import { transmitRule } from '@umbrex/core/rules';
import { adviseTones } from '@umbrex/core/tones';
import { shippedDescriptions } from '../../devices/read';

const USAGE = `usage:
  umbrex tone "<text>"                        read a tone
  umbrex channel "<text>"                     read a line as a channel
  umbrex fit <plan.json> [--device <file>]…   what each device can do with the plan
  umbrex prove <plan.json> [--device <file>]… write each device's sheet and replay it
  umbrex check <plan.json>                    what is wrong with a plan, before anybody programs it
  umbrex advise <plan.json> --channel <name> [--device <file>]…
                                              which tones fit a channel, best first, and why
  umbrex service <id>                         a service's table (${SERVICE_IDS.join(', ')})
  umbrex rules --service <id> --channel <number> --device <file> [--pair] [--licence <service>[:own|family|employer]]…
                                              what a person may do there with that device
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
  if (command === 'rules') return rules(words.slice(1));
  if (command === undefined || subject === undefined) throw new UsageError();
  switch (command) {
    case 'tone':
      return tone(onlySubject(subject, rest));
    case 'channel':
      return channel(onlySubject(subject, rest));
    case 'advise':
      return advise(subject, rest);
    case 'check':
      return check(onlySubject(subject, rest));
    case 'service':
      return service(onlySubject(subject, rest));
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

function advise(path: string, words: readonly string[]): Outcome {
  const { values } = parseOptions(words);
  const plan = readFile(path, readPlan);
  if (!plan.ok) return { ok: false, json: { ok: false, file: path, findings: plan.findings } };
  const channel = plan.value.channels.find(({ name }) => name === values.channel);
  if (!channel) throw new UsageError();
  const devices = readDevices(values.device ?? []);
  if (!devices.ok) return devices.outcome;
  const { ranked, ...rest } = adviseTones(channel, plan.value, devices.value);
  return { ok: true, json: { channel: channel.name, ranked: ranked.slice(0, 10), ...rest } };
}

/** The descriptions in the files, or the shipped ones where none is named. */
function readDevices(
  paths: readonly string[],
): { ok: true; value: Description[] } | { ok: false; outcome: Outcome } {
  const value: Description[] = paths.length === 0 ? shippedDescriptions() : [];
  for (const path of paths) {
    const device = readFile(path, readDescription);
    if (!device.ok)
      return {
        ok: false,
        outcome: { ok: false, json: { ok: false, file: path, findings: device.findings } },
      };
    value.push(device.value);
  }
  return { ok: true, value };
}

function check(path: string): Outcome {
  const plan = readFile(path, readPlan);
  if (!plan.ok) return { ok: false, json: { ok: false, file: path, findings: plan.findings } };
  const today = new Date().toISOString().slice(0, 10);
  const found = reviewPlan(plan.value, { today });
  const ok = found.every(({ finding }) => finding.severity !== 'error');
  const findings = found.map(({ finding: { source, ...finding }, next, repair }) => ({
    ...finding,
    citation: source ?? null,
    next,
    repair: repair?.code ?? null,
  }));
  return { ok, json: { ok, findings } };
}

function service(id: string): Outcome {
  const found = SERVICE_IDS.find((known) => known === id);
  if (!found) throw new UsageError();
  const { title, citation, channels } = SERVICES[found];
  return {
    ok: true,
    json: {
      id,
      title,
      citation,
      channels: channels.map(({ name, receiveHz, transmitHz, maxPowerW, powerBasis, bandwidthHz }) => ({
        name,
        receiveHz,
        transmitHz,
        maxPowerW,
        powerBasis,
        bandwidthHz,
      })),
    },
  };
}

function rules(words: readonly string[]): Outcome {
  const { values } = parseOptions(words);
  const id = SERVICE_IDS.find((known) => known === values.service);
  const row = id && values.channel ? serviceChannel(id, values.channel, values.pair ?? false) : undefined;
  const [path, ...more] = values.device ?? [];
  if (!id || !row || path === undefined || more.length > 0) throw new UsageError();
  const device = readFile(path, readDescription);
  if (!device.ok) return { ok: false, json: { ok: false, file: path, findings: device.findings } };
  const licences = (values.licence ?? []).map((text): Licence => {
    const [of = '', holds = 'own'] = text.split(':');
    if (holds !== 'own' && holds !== 'family' && holds !== 'employer') throw new UsageError();
    return { service: of, holds, expires: '9999-12-31' };
  });
  const { country } = SERVICES[id];
  const rule = transmitRule(channelOfRow(id, row), device.value, { country }, licences);
  const json =
    rule.may === 'transmit'
      ? { ...rule, service: rule.service.id, checkLocalRules: true }
      : { ...rule, checkLocalRules: true };
  return { ok: true, json: { channel: row.name, ...json } };
}

function parseOptions(words: readonly string[]) {
  try {
    return parseArgs({
      args: [...words],
      options: {
        service: { type: 'string' },
        channel: { type: 'string' },
        device: { type: 'string', multiple: true },
        pair: { type: 'boolean' },
        licence: { type: 'string', multiple: true },
      },
    });
  } catch {
    throw new UsageError();
  }
}

/** A channel of a table as a plan would hold it. */
function channelOfRow(service: ServiceId, row: ServiceChannel): Channel {
  const none = '00000000-0000-4000-8000-000000000000';
  return {
    id: none,
    groupId: none,
    name: row.name,
    receiveHz: row.receiveHz,
    transmitHz: row.transmitHz,
    transmitTone: 'off',
    receiveTone: 'off',
    receivePolicy: 'plan',
    bandwidth: 'unknown',
    mode: 'FM',
    service,
    access: 'unknown',
    tier: 'should',
    note: '',
  };
}

function onPlan(command: 'fit' | 'prove', planPath: string, paths: readonly string[]): Outcome {
  const plan = readFile(planPath, readPlan);
  if (!plan.ok) return { ok: false, json: { ok: false, file: planPath, findings: plan.findings } };
  const devices = readDevices(paths);
  if (!devices.ok) return devices.outcome;
  return command === 'fit' ? fit(plan.value, devices.value) : proveAll(plan.value, devices.value);
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
