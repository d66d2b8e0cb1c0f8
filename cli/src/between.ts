import { planChange } from '@umbrex/core/change';
import { readPlan } from '@umbrex/core/formats';
import { diffPlans } from '@umbrex/core/revision';
import { type Outcome, parseOptions, readDevices, readFile, UsageError } from './read';

/** What differs between two states of a plan; or what it takes to bring sets from the one to the other. */
export function between(command: 'diff' | 'change', oldPath: string, words: readonly string[]): Outcome {
  const [newPath, ...rest] = words;
  if (newPath === undefined || newPath.startsWith('--')) throw new UsageError();
  const { values } = parseOptions(rest);
  if (command === 'diff' && rest.length > 0) throw new UsageError();
  const [before, after] = [readFile(oldPath, readPlan), readFile(newPath, readPlan)];
  if (!before.ok) return { ok: false, json: { ok: false, file: oldPath, findings: before.findings } };
  if (!after.ok) return { ok: false, json: { ok: false, file: newPath, findings: after.findings } };
  if (command === 'diff') return { ok: true, json: { ok: true, ...diffPlans(before.value, after.value) } };
  const devices = readDevices(values.device ?? []);
  if (!devices.ok) return devices.outcome;
  const changes = devices.value.map((description) => {
    const { way, steps, presses, slots, proven, firstDifference } = planChange(
      before.value,
      after.value,
      description,
    );
    return { device: description.id, way, steps, presses, slots, proven, firstDifference };
  });
  const ok = changes.every(({ proven }) => proven);
  return { ok, json: { ok, devices: changes } };
}
