import type { BenchJob, BenchSchedule } from '@umbrex/core/bench';
import { chanceOf } from '@umbrex/core/memory';

type Most = { sets: number; people: number; stands: number; masters: number };

/** A bench day by chance, the same for the same seed. @param isLong whether everybody stays as long as it takes */
export function randomJob(
  seed: number,
  most: Most = { sets: 60, people: 8, stands: 5, masters: 3 },
  isLong = false,
): BenchJob {
  const chance = chanceOf(seed * 7919 + 1);
  for (let i = 0; i < 20; i++) chance();
  const int = (least: number, most: number) => least + Math.floor(chance() * (most - least + 1));
  const [people, stands, masters, sets] = [
    int(1, most.people),
    int(0, most.stands),
    int(0, most.masters),
    int(1, most.sets),
  ];
  const who = Array.from({ length: people }, (_, i) => {
    const fromMin = chance() < 0.5 ? 0 : int(0, 60);
    return { id: `p${i}`, fromMin, toMin: isLong || chance() < 0.7 ? 2000 : fromMin + int(60, 400) };
  });
  const from = Array.from({ length: masters }, (_, i) => ({
    id: `m${i}`,
    setId: chance() < 0.5 ? `s${int(0, sets - 1)}` : `done${i}`,
  }));
  return {
    format: 'umbrex/bench@1',
    untilMin: 2000,
    people: who,
    stands: Array.from({ length: stands }, (_, i) => ({ id: `c${i}` })),
    masters: from,
    sets: Array.from({ length: sets }, (_, i) => {
      const keys = { way: 'keys' as const, minutes: int(5, 45), masterIds: [] };
      const ways: BenchJob['sets'][number]['ways'] = chance() < 0.9 || isLong ? [keys] : [];
      if (stands > 0 && chance() < 0.4) ways.push({ way: 'file', minutes: int(3, 12), masterIds: [] });
      if (masters > 0 && chance() < 0.4)
        ways.push({
          way: 'copy',
          minutes: int(2, 8),
          masterIds: from.filter(() => chance() < 0.6).map(({ id }) => id),
        });
      return {
        id: `s${i}`,
        personId: chance() < 0.3 ? `p${int(0, people - 1)}` : null,
        ways: ways.length > 0 ? ways : [keys],
      };
    }),
  };
}

/** Everything that is wrong with a schedule, by the words of the task alone: nothing of the scheduler is asked. */
export function wrongWith(
  job: BenchJob,
  { tasks, unscheduled, finishMin, lowerBoundMin }: BenchSchedule,
): string[] {
  const wrong: string[] = [];
  const say = (isWrong: boolean, what: string) => isWrong && wrong.push(what);
  const named = [...tasks.map(({ setId }) => setId), ...unscheduled].sort();
  say(
    named.join() !==
      job.sets
        .map(({ id }) => id)
        .sort()
        .join(),
    'not every set once',
  );
  say(finishMin !== Math.max(0, ...tasks.map(({ toMin }) => toMin)), 'finish');
  say(lowerBoundMin > finishMin, 'bound above the finish');
  const doneAt = new Map(tasks.map(({ setId, toMin }) => [setId, toMin]));
  for (const task of tasks) {
    const set = job.sets.find(({ id }) => id === task.setId);
    const person = job.people.find(({ id }) => id === task.personId);
    const minutes = task.toMin - task.fromMin;
    const ways = set?.ways.filter((way) => way.way === task.way && way.minutes === minutes) ?? [];
    const master = job.masters.find(({ id }) => id === task.masterId);
    say(ways.length === 0, `${task.setId}: no such way`);
    say(!person || task.fromMin < person.fromMin || task.toMin > person.toMin, `${task.setId}: not there`);
    say(task.toMin > job.untilMin, `${task.setId}: after the end`);
    say(set?.personId !== null && set?.personId !== task.personId, `${task.setId}: not its owner`);
    say((task.way === 'file') !== (task.standId !== null), `${task.setId}: stand`);
    say(
      task.standId !== null && !job.stands.some(({ id }) => id === task.standId),
      `${task.setId}: which stand`,
    );
    say((task.way === 'copy') !== (task.masterId !== null), `${task.setId}: master`);
    if (task.masterId === null) continue;
    say(
      !ways.some(({ masterIds }) => masterIds.includes(task.masterId ?? '')),
      `${task.setId}: which master`,
    );
    const isOfDay = job.sets.some(({ id }) => id === master?.setId);
    const ready = isOfDay ? (doneAt.get(master?.setId ?? '') ?? Number.POSITIVE_INFINITY) : 0;
    say(task.fromMin < ready, `${task.setId}: its master is not loaded yet`);
  }
  for (const [i, a] of tasks.entries())
    for (const b of tasks.slice(i + 1)) {
      if (a.fromMin >= b.toMin || b.fromMin >= a.toMin) continue;
      for (const key of ['personId', 'standId', 'masterId'] as const)
        say(
          a[key] !== null && a[key] === b[key],
          `${a.setId} and ${b.setId}: ${key} ${a[key]} twice at a time`,
        );
    }
  return wrong;
}

/** The earliest finish of all sets as a mixed-integer model in the LP format of CPLEX: who does which how, and in which order. */
export function modelOf(job: BenchJob): string {
  const BIG = 4000;
  const limits: string[] = [];
  const binary: string[] = [];
  const options = job.sets.map((set, s) => {
    const people = job.people.filter(({ id }) => set.personId === null || id === set.personId);
    return set.ways.flatMap((way, w) =>
      people.flatMap((person) => {
        const at = `${s}_${w}_${person.id}`;
        if (way.way === 'keys')
          return [{ x: `x${at}`, minutes: way.minutes, person, uses: [person.id], master: '' }];
        if (way.way === 'file')
          return job.stands.map(({ id }) => ({
            x: `x${at}_${id}`,
            minutes: way.minutes,
            person,
            uses: [person.id, id],
            master: '',
          }));
        const masters = job.masters.filter(({ id, setId }) => way.masterIds.includes(id) && setId !== set.id);
        return masters.map(({ id, setId }) => ({
          x: `x${at}_${id}`,
          minutes: way.minutes,
          person,
          uses: [person.id, id],
          master: setId,
        }));
      }),
    );
  });
  const length = (s: number, sign: '+' | '-') =>
    (options[s] ?? []).map(({ x, minutes }) => `${sign} ${minutes} ${x}`).join(' ');
  const using = (s: number, resource: string) =>
    (options[s] ?? []).filter(({ uses }) => uses.includes(resource)).map(({ x }) => x);
  options.forEach((mine, s) => {
    binary.push(...mine.map(({ x }) => x));
    limits.push(`${mine.map(({ x }) => x).join(' + ')} = 1`);
    limits.push(`t${s} ${mine.map(({ x, person }) => `- ${person.fromMin} ${x}`).join(' ')} >= 0`);
    limits.push(
      `t${s} ${length(s, '+')} ${mine.map(({ x, person }) => `- ${person.toMin} ${x}`).join(' ')} <= 0`,
    );
    limits.push(`c - t${s} ${length(s, '-')} >= 0`);
    for (const { x, master } of mine) {
      const k = job.sets.findIndex(({ id }) => id === master);
      if (k >= 0) limits.push(`t${s} - t${k} ${length(k, '-')} - ${BIG} ${x} >= -${BIG}`);
    }
    for (let j = s + 1; j < options.length; j++) {
      const y = `y${s}_${j}`;
      let isShared = false;
      for (const resource of [...job.people, ...job.stands, ...job.masters].map(({ id }) => id)) {
        const [a, b] = [using(s, resource), using(j, resource)];
        if (a.length === 0 || b.length === 0) continue;
        isShared = true;
        const both = [...a, ...b].map((x) => `- ${BIG} ${x}`).join(' ');
        limits.push(`t${j} - t${s} ${length(s, '-')} - ${BIG} ${y} ${both} >= -${3 * BIG}`);
        limits.push(`t${s} - t${j} ${length(j, '-')} + ${BIG} ${y} ${both} >= -${2 * BIG}`);
      }
      if (isShared) binary.push(y);
    }
  });
  return `Minimize\n obj: c\nSubject To\n${limits.map((limit, i) => ` l${i}: ${limit}`).join('\n')}\nBinary\n ${binary.join('\n ')}\nEnd`;
}
