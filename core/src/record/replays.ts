import type { Finding } from '../findings/index';
import {
  type Description,
  factoryMemory,
  factoryValues,
  type Memory,
  type Native,
  type Recording,
  slotsOf,
} from '../model/index';
import { TAP_MS, VirtualDevice } from '../procedure/index';
import { hzFromMHzText, mhzText } from '../units/index';
import { readKeys } from './keyText';
import { type Goal, goalsOf, type Tasks } from './pieces';

const BETWEEN_KEYS_MS = 300;
const BETWEEN_LETTERS_MS = 1500;

/**
 * Does a second recording on the virtual set of a grammar that knows nothing of it: another place, other values, a place that was used. What
 * was not recorded the first time is not there to be tried.
 */
export function triedAgain(description: Description, recording: Recording): Finding[] {
  const { again, letters, letterWheel } = recording;
  if (!again) return [];
  const tasks = { ...recording, ...again, letters, letterWheel };
  const { fields, settings, findings } = goalsOf(description, tasks);
  const known = new Set([
    ...recording.fields.map(({ field }) => `fields ${field}`),
    ...recording.settings.map(({ setting }) => `settings ${setting}`),
  ]);
  again.fields.forEach(({ field }, i) => {
    if (!known.has(`fields ${field}`)) findings.push(notLearnt(`/fields/${i}/field`, field));
  });
  again.settings.forEach(({ setting }, i) => {
    if (!known.has(`settings ${setting}`)) findings.push(notLearnt(`/settings/${i}/setting`, setting));
  });
  if (again.place.length === 0 && again.startNumber !== again.number)
    findings.push({
      code: 'record-not-spelled',
      severity: 'error',
      path: '/place',
      goal: String(again.number),
    });
  const all = findings.length > 0 ? findings : replays(description, tasks, { fields, settings });
  return all.map((finding) => ({ ...finding, path: `/again${finding.path}` }));
}

const notLearnt = (path: string, what: string): Finding => ({
  code: 'record-first-missing',
  severity: 'error',
  path,
  what,
});

/**
 * Does a recording over again on the virtual set of a grammar, each task on a place as it was then. A display that does not show what was
 * seen, another place than was gone to, or a value that is not kept, is a finding at its line.
 */
export function replays(
  description: Description,
  recording: Tasks & Pick<Recording, 'place'>,
  goals: { readonly fields: readonly (Goal | null)[]; readonly settings: readonly (Goal | null)[] },
): Finding[] {
  const findings: Finding[] = [];
  const keyOf = new Map(Object.entries(description.keys).map(([id, legend]) => [legend, id]));
  const run = (device: VirtualDevice, steps: Recording['place'], path: string) =>
    steps.forEach(({ keys, shows }, i) => {
      let last = '';
      for (const { legend, times, heldMs } of readKeys(keys) ?? [])
        for (let k = 0; k < times; k++) {
          const key = keyOf.get(legend);
          if (key === undefined) {
            findings.push(notLearnt(`${path}/${i}/keys`, legend));
            break;
          }
          const isNewLetter = k === 0 && legend === last;
          device.take({ kind: 'wait', ms: isNewLetter ? BETWEEN_LETTERS_MS : BETWEEN_KEYS_MS });
          device.take({ kind: 'key', key, heldMs: heldMs ?? TAP_MS });
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
    if (kept === reached(goal)) return;
    const found =
      goal.kind === 'value'
        ? (goal.list[Number(kept)]?.shown ?? '')
        : goal.kind === 'frequency' && kept !== undefined
          ? mhzText(Number(kept))
          : String(kept ?? '');
    findings.push({ code: 'record-not-kept', severity: 'error', path, wanted, found });
  };
  const from = { mode: description.behaviour?.start ?? '', number: recording.startNumber };
  const gone = new VirtualDevice(description, undefined, 0, from);
  run(gone, recording.place, '/place');
  const standsOn = slotsOf(description)[gone.snapshot().at]?.number;
  if (findings.length === 0 && standsOn !== recording.number)
    findings.push({
      code: 'record-not-kept',
      severity: 'error',
      path: '/place',
      wanted: String(recording.number),
      found: String(standsOn),
    });
  if (findings.length > 0) return findings;
  recording.fields.forEach(({ field, from: was, to, steps }, i) => {
    const goal = goals.fields[i];
    if (!goal) return;
    const memory = holding(description, recording.number, field, goal, was);
    const device = new VirtualDevice(description, memory, 0, from);
    run(device, recording.place, '/place');
    run(device, steps, `/fields/${i}/steps`);
    compare(device.memory().slots.get(recording.number)?.[field], goal, to, `/fields/${i}/to`);
  });
  recording.settings.forEach(({ setting, to, steps }, i) => {
    const goal = goals.settings[i];
    if (goal?.kind !== 'value') return;
    const factory = factoryMemory(description);
    const device = new VirtualDevice(
      description,
      {
        ...factory,
        settings: { ...factory.settings, [setting]: goal.from },
      },
      0,
      from,
    );
    run(device, steps, `/settings/${i}/steps`);
    compare(device.memory().settings[setting], goal, to, `/settings/${i}/to`);
  });
  return findings;
}

/**
 * The factory's memory with one place as it was before a task: the field at its value, or empty before its frequency.
 * @param was the value as somebody wrote it; empty where the place was
 */
function holding(description: Description, number: number, field: string, goal: Goal, was: string): Memory {
  const memory = factoryMemory(description);
  const slots = new Map(memory.slots);
  const wasHz = goal.kind === 'frequency' ? hzFromMHzText(was) : undefined;
  if (!slots.get(number) && (goal.kind !== 'frequency' || wasHz !== undefined)) {
    const { receive } = description;
    const lowestHz = receive === 'unknown' ? 0 : (receive.bands[0]?.fromHz ?? 0);
    slots.set(number, factoryValues(description, wasHz ?? lowestHz));
  }
  const values = slots.get(number);
  if (values && goal.kind === 'value') slots.set(number, { ...values, [field]: goal.from });
  if (values && goal.kind === 'name') slots.set(number, { ...values, [field]: goal.from });
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
