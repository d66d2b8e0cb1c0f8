import { callFinding, hearMatrix } from '@umbrex/core/air';
import { commonGround, memberNamed } from '@umbrex/core/common';
import type { Finding, Result } from '@umbrex/core/findings';
import { readPlan } from '@umbrex/core/formats';
import { groundsOf } from '@umbrex/core/grounds';
import type { Channel, Description, Person, Plan, Station, Unit } from '@umbrex/core/model';
import { type AirFleet, type AirState, fleetOnAir, reachSaid, repeatersOn } from '@umbrex/core/onAir';
import {
  dayOf,
  type Outcome,
  parseOptions,
  readDevices,
  readFile,
  readPeopleFile,
  readStationsFile,
  readUnitFile,
  strayUnit,
  UsageError,
} from './read';

type Values = ReturnType<typeof parseOptions>['values'];

/** A plan with a fleet, and what was taken for granted because nobody gave a file for it. */
export interface Around extends AirFleet {
  readonly assumed: readonly ('everybody-licensed' | 'repeater-as-planned')[];
}

/** Reads a plan and the files around it. Without people everybody is taken to be licensed; without stations a repeater is as the plan says. */
export function readAround(
  path: string,
  values: Values,
): { ok: true; value: Around } | { ok: false; outcome: Outcome } {
  if (values.fleet === undefined) throw new UsageError();
  const day = dayOf(values.on);
  const faulty = (file: string, findings: readonly Finding[]) => ({
    ok: false as const,
    outcome: { ok: false, json: { ok: false, file, findings } },
  });
  const plan = readFile(path, readPlan);
  if (!plan.ok) return faulty(path, plan.findings);
  const fleet = readFile(values.fleet, readUnitFile);
  if (!fleet.ok) return faulty(values.fleet, fleet.findings);
  const stations = optional(values.stations, readStationsFile);
  if (!stations.ok) return faulty(values.stations ?? '', stations.findings);
  const people = optional(values.people, readPeopleFile);
  if (!people.ok) return faulty(values.people ?? '', people.findings);
  const devices = readDevices(values.device ?? []);
  if (!devices.ok) return devices;
  const stray = strayUnit(fleet.value, devices.value);
  if (stray) return faulty(values.fleet, [stray]);
  return {
    ok: true,
    value: around(plan.value, fleet.value, devices.value, stations.value, people.value, day),
  };
}

function around(
  plan: Plan,
  units: readonly Unit[],
  descriptions: readonly Description[],
  stations: readonly Station[] | undefined,
  people: readonly Person[] | undefined,
  day: string,
): Around {
  const grounds = groundsOf(units, people ?? [], stations ?? [], day);
  const those = { units, descriptions, stations: stations ?? [] };
  const assumed = [
    ...(people ? [] : (['everybody-licensed'] as const)),
    ...(stations ? [] : (['repeater-as-planned'] as const)),
  ];
  return people
    ? { ...those, plan, grounds, assumed }
    : { ...those, plan: { ...plan, spares: 'licensed' }, grounds: { ...grounds, each: {} }, assumed };
}

/** A file that may be left out. */
function optional<T>(path: string | undefined, read: (text: string) => Result<T>): Result<T | undefined> {
  return path === undefined ? { ok: true, value: undefined, findings: [] } : readFile(path, read);
}

/** The one channel of that name, or that is called so. @throws UsageError where there is none, or several */
export function channelNamed({ channels }: Pick<Plan, 'channels'>, name: string | undefined): Channel {
  if (name === undefined) throw new UsageError();
  const named = channels.filter((channel) => channel.name === name);
  const called = named.length > 0 ? named : channels.filter(({ aliases }) => aliases.includes(name));
  const [channel, ...more] = called;
  if (!channel || more.length > 0) throw new UsageError();
  return channel;
}

/** Who hears whom on a channel. */
export function hear(path: string, words: readonly string[]): Outcome {
  const { values } = parseOptions(words);
  const as = asOf(values.as);
  const read = readAround(path, values);
  if (!read.ok) return read.outcome;
  const { value: fleet } = read;
  const channel = channelNamed(fleet.plan, values.channel);
  const sets = fleetOnAir(fleet)(channel, as);
  const repeaters = repeatersOn(fleet, channel, as);
  const matrix = hearMatrix(
    sets.map(({ set }) => set),
    repeaters.map(({ between }) => between),
  );
  const units = new Map(fleet.units.map((unit) => [unit.id, unit]));
  const pairs = sets.flatMap(({ unitId: from }, i) =>
    sets.flatMap(({ unitId: to }, j) => {
      const [a, b] = [units.get(from), units.get(to)];
      if (i === j || !a || !b) return [];
      const pair = matrix.at(i, j);
      const { hears, way, gate } = pair;
      const reach = reachSaid(pair, a, b, repeaters);
      return [{ from, to, hears, reach, way, gate, finding: callFinding(pair) }];
    }),
  );
  const ok = pairs.every(({ finding }) => finding === null);
  return { ok, json: { ok, channel: channel.name, as, assumed: fleet.assumed, pairs } };
}

function asOf(as = 'planned'): AirState {
  if (as !== 'planned' && as !== 'held') throw new UsageError();
  return as;
}

/** The channels and tones on which some sets meet, best first. */
export function common(path: string, words: readonly string[]): Outcome {
  const { values } = parseOptions(words);
  if (values.sets === undefined) throw new UsageError();
  const read = readAround(path, values);
  if (!read.ok) return read.outcome;
  const { value: fleet } = read;
  const members = values.sets.split(',').map((word) => {
    const member = memberNamed(word.trim(), fleet.units, fleet.descriptions);
    if (!member) throw new UsageError();
    return member;
  });
  // One set of the fleet is there once; of a kind there may be several.
  const own = members.flatMap(({ key }) => (key.startsWith('kind:') ? [] : [key]));
  if (members.length < 2 || new Set(own).size < own.length) throw new UsageError();
  const { options, otherwise } = commonGround(fleet, fleet.units, members);
  const json = options.map(({ changes, minutes, ...option }) => ({
    ...option,
    changes: changes.map(({ set, slot, fields, presses }) => ({ set, slot, fields, presses })),
    minutes,
  }));
  const ok = options.length > 0;
  return { ok, json: { ok, assumed: fleet.assumed, options: json, otherwise } };
}
