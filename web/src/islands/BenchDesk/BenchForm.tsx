import { THINGS } from '@umbrex/core/fields';
import type { BenchDay } from '@umbrex/core/model';
import { useEffect, useState } from 'react';
import { clockText, minutesOfClock } from '../../messages/bench';
import { counted } from '../../messages/labels';
import { named } from '../../ui/bound';
import { LabelledCheck } from '../../ui/LabelledCheck';
import { LabelledSelect } from '../../ui/LabelledSelect';
import { LabelledText } from '../../ui/LabelledText';
import { Part } from '../../ui/Part';
import type { useBenchDesk } from './useBenchDesk';

const { fields: BENCH } = THINGS.bench;
type Desk = ReturnType<typeof useBenchDesk>;
const figure = (text: string, least: number, most: number, now: number) => {
  const value = Math.round(Number(text));
  return Number.isFinite(value) && text.trim() !== '' ? Math.min(most, Math.max(least, value)) : now;
};

/** What a bench day begins with: when, who, with what, and which sets. */
export function BenchForm({
  day: saved,
  people,
  sets,
  save,
  planId,
  personName,
  onChanged,
}: Desk & { day: BenchDay; onChanged: (isChanged: boolean) => void }) {
  const [day, setDay] = useState(saved);
  const set = (change: Partial<BenchDay>) => setDay((now) => ({ ...now, ...change }));
  const isChanged = JSON.stringify(day) !== JSON.stringify(saved);
  useEffect(() => onChanged(isChanged), [isChanged, onChanged]);
  const toggle = (list: readonly string[], id: string, yes: boolean) =>
    yes ? [...list, id] : list.filter((one) => one !== id);
  const byKind = new Map<string, typeof sets>();
  for (const one of sets) byKind.set(one.kind, [...(byKind.get(one.kind) ?? []), one]);
  return (
    <form
      className="space-y-2"
      onSubmit={(event) => {
        event.preventDefault();
        void save(day);
      }}
    >
      <div className="flex flex-wrap items-end gap-3">
        <div className="w-64">
          <LabelledText title="Its name" value={day.name} set={(name) => set({ name })} most={60} />
        </div>
        <Figure
          title={BENCH.day.column}
          type="date"
          value={day.day}
          put={(text) => text && set({ day: text })}
          width="w-40"
        />
        <Clock title="From" value={day.beginsMin} put={(beginsMin) => set({ beginsMin })} />
        <Clock
          title="To"
          value={day.beginsMin + day.lastsMin}
          put={(until) => set({ lastsMin: Math.max(10, (until - day.beginsMin + 1440) % 1440 || 1440) })}
        />
        <Figure
          title={BENCH.stands.column}
          value={String(day.stands)}
          put={(text) => set({ stands: figure(text, 0, 20, day.stands) })}
        />
        <Figure
          title="Minutes a set at a stand"
          value={String(day.standMin)}
          put={(text) => set({ standMin: figure(text, 1, 240, day.standMin) })}
        />
      </div>
      <Part
        title="Who helps"
        state={day.people.length === 0 ? 'nobody yet' : counted(day.people.length, 'person', 'people')}
      >
        <ul className="space-y-2">
          {day.people.map((one, i) => {
            const put = (change: Partial<typeof one>) =>
              set({ people: day.people.map((other, at) => (at === i ? { ...other, ...change } : other)) });
            const name = personName(one.id);
            return (
              <li key={one.id} className="flex flex-wrap items-end gap-3">
                <span className="w-44 self-center font-semibold">{name}</span>
                <Clock
                  title="Comes"
                  of={name}
                  value={day.beginsMin + one.fromMin}
                  put={(at) => put({ fromMin: Math.max(0, at - day.beginsMin) })}
                />
                <Clock
                  title="Goes"
                  of={name}
                  value={day.beginsMin + one.toMin}
                  put={(at) => put({ toMin: Math.max(0, at - day.beginsMin) })}
                />
                <button
                  type="button"
                  className="btn btn-ghost btn-sm"
                  onClick={() => set({ people: day.people.filter((_, at) => at !== i) })}
                >
                  Leave out<span className="sr-only"> {name}</span>
                </button>
              </li>
            );
          })}
        </ul>
        <LabelledSelect
          title="Somebody else of the roster"
          value=""
          options={named(
            people.filter(({ id }) => !day.people.some((one) => one.id === id)),
            'choose',
          )}
          set={(id) => id && set({ people: [...day.people, { id, fromMin: 0, toMin: day.lastsMin }] })}
          width="w-64"
        />
        <p className="muted text-small">
          Whoever comes does their own sets; those of others are brought by then, and anybody does them.
        </p>
      </Part>
      <Part
        title="Which sets"
        state={`${counted(day.setIds.length, 'set')}, ${day.masterIds.length} to copy from`}
      >
        {sets.length === 0 && (
          <p>
            No set is in the list.{' '}
            <a className="link" href={`/plans/${planId}/devices`}>
              Devices
            </a>
          </p>
        )}
        {[...byKind].map(([kind, those]) => (
          <fieldset key={kind} className="border-t border-base-300 pt-1">
            <legend className="font-semibold text-plain">{kind}</legend>
            <ul className="grid gap-x-4 gap-y-1 sm:grid-cols-2 xl:grid-cols-3">
              {those.map(({ id, nickname, waits }) => (
                <li key={id} className="flex flex-wrap items-center gap-x-4">
                  <LabelledCheck
                    checked={day.setIds.includes(id)}
                    set={(yes) =>
                      set({
                        setIds: toggle(day.setIds, id, yes),
                        ...(!yes && { masterIds: toggle(day.masterIds, id, false) }),
                      })
                    }
                  >
                    {nickname}
                    {!waits && <span className="muted text-small"> (needs nothing)</span>}
                  </LabelledCheck>
                  {(day.setIds.includes(id) || !waits) && those.length > 1 && (
                    <LabelledCheck
                      className="text-small"
                      checked={day.masterIds.includes(id)}
                      set={(yes) => set({ masterIds: toggle(day.masterIds, id, yes) })}
                    >
                      copy from it<span className="sr-only"> ({nickname})</span>
                    </LabelledCheck>
                  )}
                </li>
              ))}
            </ul>
          </fieldset>
        ))}
      </Part>
      <p className="flex gap-2">
        <button
          type="submit"
          className="btn btn-outline btn-sm"
          disabled={!isChanged || day.name.trim() === ''}
        >
          Save the day
        </button>
        {isChanged && (
          <button type="button" className="btn btn-ghost btn-sm" onClick={() => setDay(saved)}>
            As it was
          </button>
        )}
      </p>
    </form>
  );
}

function Figure({
  title,
  value,
  put,
  type = 'number',
  width = 'w-28',
}: {
  title: string;
  value: string;
  put: (text: string) => void;
  type?: 'number' | 'date';
  width?: string;
}) {
  return (
    <label className="block">
      <span className="muted block text-small">{title}</span>
      <input
        type={type}
        className={`input input-sm ${width}`}
        value={value}
        onChange={(event) => put(event.target.value)}
      />
    </label>
  );
}

/** A time of the day; one that is half typed changes nothing. */
function Clock({
  title,
  of,
  value,
  put,
}: {
  title: string;
  of?: string;
  value: number;
  put: (minutes: number) => void;
}) {
  return (
    <label className="block">
      <span className="muted block text-small">
        {title}
        {of && <span className="sr-only"> ({of})</span>}
      </span>
      <input
        type="time"
        className="input input-sm w-32"
        value={clockText(value)}
        onChange={(event) => {
          const minutes = minutesOfClock(event.target.value);
          if (minutes !== undefined) put(minutes);
        }}
      />
    </label>
  );
}
