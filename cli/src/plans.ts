import { fileURLToPath } from 'node:url';
import { reviewPlan } from '@umbrex/core/check';
import {
  fitDevice,
  fitPlan,
  numberFleet,
  numberingKinds,
  numberingWishes,
  talkers,
  wantedBy,
} from '@umbrex/core/fit';
import { afterSheet, fromUnknown, prepare, triedAs } from '@umbrex/core/flow';
import { compareMemory, readDescription, readMemory, readPlan, writeMemory } from '@umbrex/core/formats';
import { type Description, numbersWith, type Plan } from '@umbrex/core/model';
import { proveCopy, stepSlips } from '@umbrex/core/procedure';
import { NO_GROUNDS } from '@umbrex/core/rules';
import { adviseTones } from '@umbrex/core/tones';
import { shippedDescriptions } from '../../devices/read';
import {
  type Outcome,
  parseOptions,
  readDevices,
  readFile,
  readUnitFile,
  strayUnit,
  UsageError,
} from './read';

function devicePaths(words: readonly string[]): string[] {
  const paths: string[] = [];
  for (let i = 0; i < words.length; i += 2) {
    const path = words[i + 1];
    if (words[i] !== '--device' || path === undefined) throw new UsageError();
    paths.push(path);
  }
  return paths;
}

export function advise(path: string, words: readonly string[]): Outcome {
  const { values } = parseOptions(words);
  const plan = readFile(path, readPlan);
  if (!plan.ok) return { ok: false, json: { ok: false, file: path, findings: plan.findings } };
  const channel = plan.value.channels.find(({ name }) => name === values.channel);
  if (!channel) throw new UsageError();
  const devices = readDevices(values.device ?? []);
  if (!devices.ok) return devices.outcome;
  const { ranked, ...rest } = adviseTones(channel, plan.value, talkers(channel, plan.value, devices.value));
  return { ok: true, json: { channel: channel.name, ranked: ranked.slice(0, 10), ...rest } };
}

export function memory(command: 'memory' | 'compare', path: string, words: readonly string[]): Outcome {
  const { values } = parseOptions(words);
  const [devicePath, ...more] = values.device ?? [];
  if (devicePath === undefined || more.length > 0 || (command === 'compare') !== (values.read !== undefined))
    throw new UsageError();
  const plan = readFile(path, readPlan);
  if (!plan.ok) return { ok: false, json: { ok: false, file: path, findings: plan.findings } };
  const device = readFile(devicePath, readDescription);
  if (!device.ok) return { ok: false, json: { ok: false, file: devicePath, findings: device.findings } };
  const wanted = wantedBy(fitPlan(plan.value, fitDevice(device.value), numbersWith(plan.value)).image);
  if (values.read === undefined) return { ok: true, json: writeMemory(device.value, wanted) };
  const read = readFile(values.read, readMemory);
  if (!read.ok) return { ok: false, json: { ok: false, file: values.read, findings: read.findings } };
  const found = compareMemory(device.value, wanted, read.value);
  const ok = found.findings.length === 0 && found.differences.length === 0;
  return { ok, json: { ok, ...found } };
}

export function number(path: string, words: readonly string[]): Outcome {
  const { values } = parseOptions(words);
  if (values.fleet === undefined) throw new UsageError();
  const plan = readFile(path, readPlan);
  if (!plan.ok) return { ok: false, json: { ok: false, file: path, findings: plan.findings } };
  const fleet = readFile(values.fleet, readUnitFile);
  if (!fleet.ok) return { ok: false, json: { ok: false, file: values.fleet, findings: fleet.findings } };
  const devices = readDevices(values.device ?? []);
  if (!devices.ok) return devices.outcome;
  const stray = strayUnit(fleet.value, devices.value);
  if (stray) return { ok: false, json: { ok: false, file: values.fleet, findings: [stray] } };
  const kinds = numberingKinds(fleet.value, devices.value, NO_GROUNDS, plan.value);
  const { channels, total, bound, firstFit, findings } = numberFleet(
    plan.value,
    kinds,
    numberingWishes(plan.value),
  );
  const names = new Map(plan.value.channels.map((c) => [c.id, c.name]));
  const rows = channels.map((row) => ({ channel: names.get(row.channelId), ...row }));
  const ok = findings.length === 0;
  return { ok, json: { ok, total, bound, gap: bound - total, firstFit, findings, channels: rows } };
}

export function check(path: string): Outcome {
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

export function onPlan(command: 'fit' | 'prove', planPath: string, words: readonly string[]): Outcome {
  const from = command === 'prove' ? words.indexOf('--from') : -1;
  if (from >= 0 && words[from + 1] !== 'unknown') throw new UsageError();
  const paths = devicePaths(words.filter((_, i) => from < 0 || (i !== from && i !== from + 1)));
  const plan = readFile(planPath, readPlan);
  if (!plan.ok) return { ok: false, json: { ok: false, file: planPath, findings: plan.findings } };
  const devices = readDevices(paths);
  if (!devices.ok) return devices.outcome;
  if (command === 'fit') return fit(plan.value, devices.value);
  // Of the shipped ones those whose keys are described; one that is named is always tried.
  const tried = paths.length > 0 ? devices.value : devices.value.filter(({ recipes }) => recipes);
  return from < 0 ? proveAll(plan.value, tried) : proveUnknown(plan.value, tried);
}

function fit(plan: Plan, devices: readonly Description[]): Outcome {
  const names = new Map(plan.channels.map((c) => [c.id, c.name]));
  const json = devices.map((device) => ({
    device: device.id,
    channels: fitPlan(plan, fitDevice(device), numbersWith(plan)).cells.map(
      ({ channelId, verdict, slot, name, findings }) => ({
        channel: names.get(channelId),
        channelId,
        verdict: VERDICT_WORDS[verdict],
        slot,
        name,
        findings,
      }),
    ),
  }));
  return { ok: true, json: { ok: true, devices: json } };
}

const VERDICT_WORDS = {
  full: 'full',
  adapted: 'adapted',
  listen: 'listen only',
  no: 'not possible',
  unknown: 'unknown',
  apart: 'not carried',
} as const;

const DEMO_PLAN = fileURLToPath(new URL('../../demo/ostrel-plan.json', import.meta.url));

/** Every pattern, the ones whose keys nobody has described among them: those cannot be proven, and say so. */
export function provePatterns([path = DEMO_PLAN, ...more]: readonly string[]): Outcome {
  if (more.length > 0) throw new UsageError();
  const plan = readFile(path, readPlan);
  if (!plan.ok) return { ok: false, json: { ok: false, file: path, findings: plan.findings } };
  const patterns = shippedDescriptions().map((description) => {
    const prepared = prepare(plan.value, description, triedAs(description, plan.value));
    const { now, sheet, proof } = prepared;
    const copying = proveCopy(description, afterSheet(description, prepared), now);
    return {
      id: description.id,
      // A kind that is copied from set to set is proven in that way too.
      proven: proof.proven && copying?.proven !== false,
      steps: sheet.steps.length,
      presses: sheet.presses,
      firstDifference: proof.firstDifference ?? copying?.firstDifference ?? null,
      slips: stepSlips(description),
      // Of a set that nobody looked at: a kind for which there is no honest way says so, and does not fail.
      fromUnknown: fromUnknown(plan.value, description),
    };
  });
  const ok = patterns.every(
    ({ proven, slips, fromUnknown: { way, proven: honest } }) =>
      proven && slips.length === 0 && (honest || way === 'none'),
  );
  return { ok, json: { patterns } };
}

/** Sets that nobody looked at: `none`, where there is no way that could be proven, is a failure. */
function proveUnknown(plan: Plan, devices: readonly Description[]): Outcome {
  const json = devices.map((device) => ({ device: device.id, fromUnknown: fromUnknown(plan, device) }));
  const ok = json.every(({ fromUnknown: { proven } }) => proven);
  return { ok, json: { ok, devices: json } };
}

function proveAll(plan: Plan, devices: readonly Description[]): Outcome {
  const json = devices.map((device) => {
    const { sheet, proof } = prepare(plan, device, triedAs(device, plan));
    return {
      device: device.id,
      steps: sheet.steps.length,
      presses: sheet.presses,
      minutes: Math.round(proof.minutes * 10) / 10,
      proven: proof.proven,
      slowToo: proof.slowToo,
      firstDifference: proof.firstDifference,
      slips: stepSlips(device),
    };
  });
  const ok = json.every((device) => device.proven);
  return { ok, json: { ok, devices: json } };
}
