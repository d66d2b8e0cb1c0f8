import type { Finding } from '../findings/index';
import {
  type Description,
  factoryMemory,
  factoryValues,
  type Native,
  type Recording,
  writtenLists,
} from '../model/index';
import { TAP_MS, VirtualDevice } from '../procedure/index';
import { hzFromMHzText } from '../units/index';
import { readKeys } from './keyText';

const BETWEEN_KEYS_MS = 300;
const BETWEEN_LETTERS_MS = 1500;

/**
 * Does a recording over again on the virtual set of its own grammar, each task on a place as it was then. A display that does not
 * show what was seen, or a value that is not kept, is a finding at its line.
 */
export function replays(description: Description, recording: Recording): Finding[] {
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
  run(new VirtualDevice(description), recording.place, '/place');
  if (findings.length > 0) return findings;
  recording.fields.forEach(({ field, from, to, steps }, i) => {
    const device = new VirtualDevice(description, holding(description, recording.number, field, from));
    run(device, recording.place, '/place');
    run(device, steps, `/fields/${i}/steps`);
    const kept = device.memory().slots.get(recording.number)?.[field];
    const wanted = nativeOf(description, field, to);
    if (kept !== wanted)
      findings.push({
        code: 'record-not-kept',
        severity: 'error',
        path: `/fields/${i}/to`,
        wanted: to,
        found: String(kept ?? ''),
      });
  });
  return findings;
}

/** The factory's memory with one place as it was before a task: its field at a value, or empty before its frequency. */
function holding(description: Description, number: number, field: string, from: string) {
  const memory = factoryMemory(description);
  const holds = description.fields.find(({ id }) => id === field)?.holds;
  if (memory.slots.get(number) === null && (holds !== 'receiveHz' || from !== '')) {
    const { receive } = description;
    const lowest = receive === 'unknown' ? 0 : (receive.bands[0]?.fromHz ?? 0);
    const slots = new Map(memory.slots);
    slots.set(number, factoryValues(description, lowest));
    return { ...memory, slots: put(slots) };
  }
  return { ...memory, slots: put(new Map(memory.slots)) };

  function put(slots: Map<number, Readonly<Record<string, Native>> | null>) {
    const values = slots.get(number);
    const value = nativeOf(description, field, from);
    if (values && value !== undefined) slots.set(number, { ...values, [field]: value });
    return slots;
  }
}

function nativeOf(description: Description, id: string, text: string): Native | undefined {
  const field = description.fields.find((candidate) => candidate.id === id);
  if (!field) return undefined;
  if (field.holds === 'name') return text;
  if (field.list === undefined) return hzFromMHzText(text);
  const list = writtenLists(description)[field.list] ?? [];
  const index = list.findIndex(({ shown }) => shown.toLowerCase() === text.toLowerCase());
  return index < 0 ? undefined : index;
}
