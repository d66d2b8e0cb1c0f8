import type { Finding } from '@umbrex/core/findings';
import { readDescription, readPlan } from '@umbrex/core/formats';
import { MOST_CALL_S, scanOfPlan } from '@umbrex/core/scanned';
import { type Outcome, parseOptions, readFile, UsageError } from './read';

/** How long a round of a scanning set takes with a plan, and the chance to miss one call of a length on each channel. */
export function scan(path: string, words: readonly string[]): Outcome {
  const { values } = parseOptions(words);
  const [devicePath, ...more] = values.device ?? [];
  const callS = Number(values.call);
  if (devicePath === undefined || more.length > 0 || !(callS > 0) || callS > MOST_CALL_S)
    throw new UsageError();
  const plan = readFile(path, readPlan);
  if (!plan.ok) return { ok: false, json: { ok: false, file: path, findings: plan.findings } };
  const device = readFile(devicePath, readDescription);
  if (!device.ok) return { ok: false, json: { ok: false, file: devicePath, findings: device.findings } };
  const found = scanOfPlan(plan.value, device.value, callS * 1000);
  if (!found) {
    const code = device.value.scan === 'none' ? 'scans-not' : 'scan-not-known';
    const finding: Finding = { code, severity: 'warning' };
    return { ok: false, json: { ok: false, findings: [finding] } };
  }
  const channels = found.channels.map(({ name, place }) => ({ name, missChance: place?.missChance ?? null }));
  return { ok: true, json: { ok: true, roundMs: found.roundMs, channels } };
}
