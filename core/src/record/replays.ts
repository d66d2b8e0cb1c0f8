import type { Finding } from '../findings/index';
import {
  type Description,
  factoryMemory,
  factoryValues,
  type Memory,
  type Native,
  type Recording,
} from '../model/index';
import { TAP_MS, VirtualDevice } from '../procedure/index';
import { readKeys } from './keyText';
import type { Goal } from './pieces';

const BETWEEN_KEYS_MS = 300;
const BETWEEN_LETTERS_MS = 1500;

/**
 * Does a recording over again on the virtual set of its own grammar, each task on a place as it was then. A display that does not
 * show what was seen, or a value that is not kept, is a finding at its line.
 */
export function replays(
  description: Description,
  recording: Recording,
  goals: { readonly fields: readonly (Goal | null)[]; readonly settings: readonly (Goal | null)[] },
): Finding[] {
  const findings: Finding[] = [];
  const keyOf = new Map(Object.entries(description.keys).map(([id, legend]) => [legend, id]));
  const run = (device: VirtualDevice, steps: Recording['place'], path: string) =>
    steps.forEach(({ keys, shows }, i) => {
      let last = '';
      for (const { legend, times, heldMs } of readKeys(keys) ?? [])
        for (let k = 0; k < times; k++) {
          const isNewLetter = k === 0 && legend === last;
          device.take({ kind: 'wait', ms: isNewLetter ? BETWEEN_LETTERS_MS : BETWEEN_KEYS_MS });
          device.take({ kind: 'key', key: keyOf.get(legend) ?? '', heldMs: heldMs ?? TAP_MS });
          last = legend;
        }
      const found = device.screen().join(' / ');
      if (!found.includes(shows))
        findings.push({
          code: 'record-shows',
          severity: 'error',
          path: `${path}/${i}/shows`,
          wanted: shows,
          found,
        });
    });
  const compare = (kept: Native | undefined, goal: Goal, wanted: string, path: string) => {
    if (kept !== reached(goal))
      findings.push({ code: 'record-not-kept', severity: 'error', path, wanted, found: String(kept ?? '') });
  };
  run(new VirtualDevice(description), recording.place, '/place');
  if (findings.length > 0) return findings;
  recording.fields.forEach(({ field, to, steps }, i) => {
    const goal = goals.fields[i];
    if (!goal) return;
    const device = new VirtualDevice(description, holding(description, recording.number, field, goal));
    run(device, recording.place, '/place');
    run(device, steps, `/fields/${i}/steps`);
    compare(device.memory().slots.get(recording.number)?.[field], goal, to, `/fields/${i}/to`);
  });
  recording.settings.forEach(({ setting, to, steps }, i) => {
    const goal = goals.settings[i];
    if (goal?.kind !== 'value') return;
    const factory = factoryMemory(description);
    const device = new VirtualDevice(description, {
      ...factory,
      settings: { ...factory.settings, [setting]: goal.from },
    });
    run(device, steps, `/settings/${i}/steps`);
    compare(device.memory().settings[setting], goal, to, `/settings/${i}/to`);
  });
  return findings;
}

/** The factory's memory with one place as it was before a task: the field at its value, or empty before its frequency. */
function holding(description: Description, number: number, field: string, goal: Goal): Memory {
  const memory = factoryMemory(description);
  const slots = new Map(memory.slots);
  if (!slots.get(number) && goal.kind !== 'frequency') {
    const { receive } = description;
    const lowestHz = receive === 'unknown' ? 0 : (receive.bands[0]?.fromHz ?? 0);
    slots.set(number, factoryValues(description, lowestHz));
  }
  const values = slots.get(number);
  if (values && goal.kind === 'value') slots.set(number, { ...values, [field]: goal.from });
  return { ...memory, slots };
}

/** What a place holds once its goal is reached. */
function reached(goal: Goal): Native {
  switch (goal.kind) {
    case 'place':
    case 'value':
      return goal.to;
    case 'frequency':
      return goal.hz;
    case 'name':
      return goal.text;
    default:
      return goal satisfies never;
  }
}
