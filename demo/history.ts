import { type BenchJob, scheduleBench } from '@umbrex/core/bench';
import { radioChecks } from '@umbrex/core/check';
import { withEvidence } from '@umbrex/core/evidence';
import { carriedBy } from '@umbrex/core/fit';
import { compose, heldAfter, type UnitState } from '@umbrex/core/flow';
import { groundsOf } from '@umbrex/core/grounds';
import {
  type BenchDay,
  BenchDaySchema,
  type Description,
  type Evidence,
  type LoadedBy,
  type Person,
  type Plan,
  REVISION_FORMAT,
  type Revision,
  RevisionSchema,
  type Station,
  type Unit,
} from '@umbrex/core/model';
import { CALM, minutesAt } from '@umbrex/core/procedure';
import { costOf, type SheetCost, sheetCost } from '@umbrex/core/publish';
import { senderOf } from '@umbrex/core/rules';
import { onAirOf } from '@umbrex/core/stations';
import { talksOn, toTryOn } from '@umbrex/core/toTry';
import { toTryOf } from '@umbrex/core/verify';
import { contentMark, describedMark } from '../web/src/server/contentMark';

/* What Ostrel has behind it: three published states of its plan, and a rollout that is half done. All of it is worked out, by the same core. */

/** A state before the shipped one: which channels it had otherwise, and which not at all. */
const STATES: readonly {
  readonly day: string;
  readonly reason: string;
  readonly otherwise: Readonly<Record<string, Partial<Plan['channels'][number]>>>;
  readonly without: readonly string[];
}[] = [
  {
    day: '2026-09-05',
    reason: 'The first plan of the whole island.',
    otherwise: {
      'Gannet Top': { transmitTone: 'D346N' },
      'Market day': { transmitTone: 'off', receiveTone: 'off' },
    },
    without: ['Lantern Fell', 'Porch eight', 'Porch nine', 'Porch ten', 'Tent line'],
  },
  {
    day: '2026-10-17',
    reason: 'Lantern Fell goes in early, for spring, and the doorsteps have channels of their own.',
    otherwise: {
      'Gannet Top': { transmitTone: 'D346N' },
      'Market day': { transmitTone: 'off', receiveTone: 'off' },
    },
    without: [],
  },
  {
    day: '2026-11-14',
    reason: 'Gannet Top waits for D251N since its new board was put in.',
    otherwise: { 'Market day': { transmitTone: 'off', receiveTone: 'off' } },
    without: [],
  },
];

type Loaded = readonly [nickname: string, way: LoadedBy, check?: 'read-back' | 'two-way' | 'all'];
/** Who was loaded with which of them, a week after it was published. */
const LOADED: readonly (readonly Loaded[])[] = [
  [
    ['Club 8', 'keys'],
    ['Watch 8', 'keys', 'read-back'],
    ['Clinic', 'keys'],
    ['Boat 6', 'keys'],
  ],
  [
    ['Club 7', 'keys'],
    ['Watch 7', 'keys'],
    ['Desk 1', 'keys', 'two-way'],
    ['Neighbour 5', 'keys'],
    ['Neighbour 6', 'keys'],
  ],
  [
    ['Boat 1', 'keys', 'all'],
    ['Boat 2', 'keys'],
    ['Boat 3', 'keys'],
    ['Club 6', 'keys', 'two-way'],
    ['Club 9', 'keys'],
    ['Watch 5', 'keys'],
    ['Watch 6', 'keys', 'read-back'],
    ['Ridge 3', 'keys'],
    ['Truck 1', 'keys', 'all'],
    ['Deck 3', 'keys'],
    ['School alert', 'keys'],
    ['Amateur 1', 'keys', 'read-back'],
  ],
];

/** The plan as a state had it. */
function planOf(plan: Plan, { otherwise, without }: (typeof STATES)[number]): Plan {
  const channels = plan.channels
    .filter(({ name }) => !without.includes(name))
    .map((channel) => ({ ...channel, ...otherwise[channel.name] }));
  return { ...plan, channels };
}

const later = (day: string, days: number) =>
  new Date(Date.parse(day) + days * 86_400_000).toISOString().slice(0, 10);

/** The published states of the demo's plan, and its sets as they are after what was loaded of them. */
export function demoHistory(
  plan: Plan,
  descriptions: readonly Description[],
  shipped: readonly Unit[],
  people: readonly Person[],
  stations: readonly Station[],
  today: string,
): { revisions: Revision[]; units: Unit[]; bench: BenchDay } {
  const kinds = new Map(descriptions.map((description) => [description.id, description]));
  const marks = Object.fromEntries(
    descriptions.map((description) => [description.id, contentMark(description)]),
  );
  let units = [...shipped];
  let ids = 0;
  // Fixed ones, so that the demo is the same each time.
  const nextId = () => {
    ids += 1;
    return `00000000-0000-4000-8000-${String(ids).padStart(12, '0')}`;
  };
  const onAir = onAirOf(stations);
  let costs: SheetCost[] = [];
  const revisions = STATES.map((state, i): Revision => {
    const number = i + 1;
    const of = planOf(plan, state);
    const grounds = groundsOf(units, people, stations, state.day);
    const composed = (unit: Unit) => {
      const description = kinds.get(unit.descriptionId);
      if (!description) throw new Error(`demo: no kind ${unit.descriptionId}`);
      const others = units.filter(({ id }) => id !== unit.id);
      const as: UnitState = { ...unit, sender: senderOf(grounds, unit), carriesGroups: carriedBy(of, unit) };
      return { description, prepared: compose(of, description, as, others) };
    };
    const sets = units.map((unit) => ({ unit, ...composed(unit) }));
    const partners = sets.map(({ unit: { id, nickname, holder }, prepared }) => ({
      id,
      nickname,
      holder,
      talksOn: talksOn(prepared.fit.cells),
    }));
    costs = sets.map(({ unit, prepared }) =>
      sheetCost(unit, prepared, {
        isUpToDate: false,
        stops: [],
        namePresses: 0,
        minutes: minutesAt(prepared.sheet.steps, CALM),
      }),
    );
    const loaded = new Map((LOADED[i] ?? []).map((one) => [one[0], one] as const));
    const day = later(state.day, 7);
    units = sets.map(({ unit, description, prepared }) => {
      const [, way, check] = loaded.get(unit.nickname) ?? [];
      if (!way) return unit;
      const by = 'Tomas Ekrem';
      const described = describedMark(description);
      const evidence = {
        what: 'loaded',
        id: nextId(),
        day,
        by,
        planId: plan.id,
        revision: number,
        way,
        described,
      } as const;
      const now = withEvidence(unit, evidence, heldAfter(description, prepared, unit.holds, number, day));
      const others = partners.filter(({ id }) => id !== unit.id);
      const calls = radioChecks(of, talksOn(prepared.fit.cells), unit.holder, others, onAir);
      const { found } = toTryOn(
        of,
        { description, prepared },
        calls.map(({ channelId }) => channelId),
        onAir,
      );
      const tried = check === 'all' ? toTryOf(found) : check ? [{ check, number: null }] : [];
      return tried.reduce<Unit>(
        (set, one) =>
          withEvidence(set, { what: 'checked', id: nextId(), day, by, ...one, result: 'pass', note: '' }),
        now,
      );
    });
    return RevisionSchema.parse({
      format: REVISION_FORMAT,
      id: nextId(),
      number,
      publishedAt: `${state.day}T18:30:00.000Z`,
      by: 'Ines Korvald',
      reason: state.reason,
      effectiveFrom: day,
      plan: of,
      descriptions: marks,
      cost: costOf(costs),
      decided: [{ choice: 'tones', value: of.receivePolicy, by: 'Ines Korvald', day: state.day }],
    });
  });
  const lent: Evidence = {
    what: 'lent',
    id: nextId(),
    day: '2026-11-22',
    by: 'Tomas Ekrem',
    to: 'Ostrel School',
  };
  units = units.map((unit) => (unit.nickname === 'Amateur 1' ? withEvidence(unit, lent) : unit));
  const bench = benchDay(plan, STATES.length, units, people, costs, today);
  return { revisions, units, bench };
}

/** A day at the community hall, next Saturday: the hand-helds of Watch and Club that wait, by three who help. */
function benchDay(
  { id: planId }: Plan,
  revision: number,
  units: readonly Unit[],
  people: readonly Person[],
  costs: readonly SheetCost[],
  today: string,
): BenchDay {
  const hours = [
    ['Ines Korvald', 0, 240],
    ['Tomas Ekrem', 0, 180],
    ['Freya Dunlokk', 60, 240],
  ] as const;
  const there = hours.map(([name, fromMin, toMin]) => {
    const person = people.find((one) => one.name === name);
    if (!person) throw new Error(`demo: nobody called ${name}`);
    return { id: person.id, fromMin, toMin };
  });
  const minutes = new Map(costs.map((cost) => [cost.unitId, cost]));
  const sets = units.filter(
    ({ id, nickname, holds }) =>
      /^(Club|Watch) [1-9]$/.test(nickname) && holds.what === 'unknown' && minutes.get(id)?.isTouched,
  );
  const here = new Set(there.map(({ id }) => id));
  const job: BenchJob = {
    format: 'umbrex/bench@1',
    untilMin: 240,
    people: there,
    stands: [],
    masters: [],
    sets: sets.map(({ id, personId }) => ({
      id,
      personId: personId !== null && here.has(personId) ? personId : null,
      ways: [{ way: 'keys', minutes: Math.max(1, Math.ceil(minutes.get(id)?.minutes ?? 1)), masterIds: [] }],
    })),
  };
  const { tasks, lowerBoundMin } = scheduleBench(job);
  return BenchDaySchema.parse({
    id: '00000000-0000-4000-8000-000000009001',
    name: 'Load day at the hall',
    planId,
    revision,
    day: nextSaturday(today),
    people: there,
    stands: 0,
    setIds: sets.map(({ id }) => id),
    tasks,
    lowerBoundMin,
  });
}

/** The next Saturday after a day, both as YYYY-MM-DD. */
function nextSaturday(today: string): string {
  return later(today, ((6 - new Date(today).getUTCDay() + 6) % 7) + 1);
}
