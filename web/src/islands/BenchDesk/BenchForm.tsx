import { THINGS } from '@umbrex/core/fields';
import type { BenchDay } from '@umbrex/core/model';
import { useEffect, useState } from 'react';
import { STANDING_BESIDE } from '../../messages/bench';
import { counted } from '../../messages/labels';
import { Button } from '../../ui/Button';
import { named } from '../../ui/bound';
import { Form } from '../../ui/Form';
import { faultsIn, useFaults } from '../../ui/faults';
import { fieldsOf } from '../../ui/fields';
import { LabelledCheck } from '../../ui/LabelledCheck';
import { LabelledDay } from '../../ui/LabelledDay';
import { LabelledSelect } from '../../ui/LabelledSelect';
import { LabelledText } from '../../ui/LabelledText';
import { Part } from '../../ui/Part';
import { useUnsaved } from '../../ui/unsaved';
import { type BenchTexts, isOvernight, movedTo, readBench, textsOf } from './benchTexts';
import type { useBenchDesk } from './useBenchDesk';

const { fields: BENCH } = THINGS.bench;
type Desk = ReturnType<typeof useBenchDesk>;

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
  const [texts, setTexts] = useState(() => textsOf(saved));
  const { form, faults, tell } = useFaults();
  const set = (change: Partial<BenchTexts>) => setTexts((now) => ({ ...now, ...change }));
  const field = fieldsOf(texts, set, faults);
  const isChanged = JSON.stringify(texts) !== JSON.stringify(textsOf(saved));
  useUnsaved(isChanged);
  useEffect(() => onChanged(isChanged), [isChanged, onChanged]);
  const toggle = (list: readonly string[], id: string, yes: boolean) =>
    yes ? [...list, id] : list.filter((one) => one !== id);
  const byKind = new Map<string, typeof sets>();
  for (const one of sets) byKind.set(one.kind, [...(byKind.get(one.kind) ?? []), one]);
  return (
    <Form
      ref={form}
      noValidate
      className="space-y-2"
      send={() => {
        const read = readBench(texts, saved);
        tell(read.faults ?? {});
        if (read.day) void save(read.day);
      }}
    >
      <div className="flex flex-wrap items-start gap-3">
        <div className="w-64">
          <LabelledText title={BENCH.name.column} {...field('name')} />
        </div>
        <LabelledDay title={BENCH.day.column} {...field('day')} width="w-40" />
        <LabelledDay
          title="From"
          type="time"
          value={texts.from}
          set={(from) => setTexts((now) => movedTo(now, { from }))}
          width="w-32"
          fault={faults.beginsMin}
        />
        <LabelledDay
          title="To"
          type="time"
          value={texts.to}
          set={(to) => setTexts((now) => movedTo(now, { to }))}
          width="w-32"
          {...(isOvernight(texts) && { help: 'on the day after' })}
          fault={faults.lastsMin}
        />
        <LabelledText title={BENCH.stands.column} inputMode="numeric" {...field('stands')} width="w-28" />
        <LabelledText
          title="Minutes a set at a stand"
          inputMode="numeric"
          {...field('standMin')}
          width="w-28"
        />
      </div>
      <Part
        title="Who helps"
        state={texts.people.length === 0 ? 'nobody yet' : counted(texts.people.length, 'person', 'people')}
      >
        <ul className="space-y-2">
          {texts.people.map((one, i) => {
            const put = (change: Partial<typeof one>) =>
              set({ people: texts.people.map((other, at) => (at === i ? { ...other, ...change } : other)) });
            const name = personName(one.id);
            const own = fieldsOf(one, put, faultsIn(faults, `people.${i}.`));
            return (
              <li key={one.id} className="flex flex-wrap items-start gap-3">
                <span className="mt-5 w-44 font-semibold">{name}</span>
                <LabelledDay title="Comes" of={name} type="time" {...own('comes', 'fromMin')} width="w-32" />
                <LabelledDay title="Goes" of={name} type="time" {...own('goes', 'toMin')} width="w-32" />
                <button
                  type="button"
                  className="btn btn-ghost btn-sm mt-5"
                  onClick={() => set({ people: texts.people.filter((_, at) => at !== i) })}
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
            people.filter(({ id }) => !texts.people.some((one) => one.id === id)),
            'choose',
          )}
          set={(id) => id && set({ people: [...texts.people, { id, comes: texts.from, goes: texts.to }] })}
          width="w-64"
        />
        <p className="muted text-small">
          Whoever comes does their own sets; those of others are brought by then, and anybody does them.
        </p>
      </Part>
      <Part
        title="Which sets"
        state={`${counted(texts.setIds.length, 'set')}, ${texts.masterIds.length} to copy from`}
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
              {those.map(({ id, nickname, standing }) => (
                <li key={id} className="flex flex-wrap items-center gap-x-4">
                  <LabelledCheck
                    checked={texts.setIds.includes(id)}
                    set={(yes) =>
                      set({
                        setIds: toggle(texts.setIds, id, yes),
                        ...(!yes && { masterIds: toggle(texts.masterIds, id, false) }),
                      })
                    }
                  >
                    {nickname}
                    {standing && STANDING_BESIDE[standing] && (
                      <span className="muted text-small"> ({STANDING_BESIDE[standing]})</span>
                    )}
                  </LabelledCheck>
                  {(texts.setIds.includes(id) || standing === 'held') &&
                    standing !== 'away' &&
                    those.length > 1 && (
                      <LabelledCheck
                        className="text-small"
                        checked={texts.masterIds.includes(id)}
                        set={(yes) => set({ masterIds: toggle(texts.masterIds, id, yes) })}
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
      {(faults.setIds ?? faults.masterIds ?? faults.people) && (
        <p className="finding text-small" data-severity="error" role="alert">
          {faults.setIds ?? faults.masterIds ?? faults.people}
        </p>
      )}
      <p className="flex gap-2">
        <Button type="submit" className="btn btn-outline btn-sm" isOff={!isChanged}>
          Save the day
        </Button>
        {isChanged && (
          <button
            type="button"
            className="btn btn-ghost btn-sm"
            onClick={() => {
              tell({});
              setTexts(textsOf(saved));
            }}
          >
            As it was
          </button>
        )}
      </p>
    </Form>
  );
}
