import { type Description, listItems, slotsOf } from '@umbrex/core/model';
import { hzFromMHzText, mhzText } from '@umbrex/core/units';
import { useState } from 'react';
import { Form } from '../../ui/Form';
import { LabelledSelect } from '../../ui/LabelledSelect';
import { LabelledText } from '../../ui/LabelledText';
import type { useHeldDesk } from './useHeldDesk';

const LEFT_OUT = '';

/** One place written down as the set shows it, in its own words and order. */
export function PlaceForm({ unit, description, takePlace }: ReturnType<typeof useHeldDesk>) {
  const [number, setNumber] = useState('');
  const [said, setSaid] = useState<Readonly<Record<string, string>>>({});
  const slot = slotsOf(description).find((candidate) => String(candidate.number) === number.trim());
  const fields = description.fields.filter(({ holds }) => !slot?.fixed || !FREQUENCIES.includes(holds));
  const goTo = (text: string) => {
    setNumber(text);
    const there = unit.holds.places.find((place) => String(place.number) === text.trim());
    setSaid(there?.values ? asTexts(description, there.values) : {});
  };
  const set = (id: string, text: string) => setSaid({ ...said, [id]: text });
  return (
    <Form
      className="mt-3"
      send={() => {
        if (slot) void takePlace({ number: slot.number, values: asValues(description, said) });
      }}
    >
      <p className="muted text-small">or write down one place as the set shows it</p>
      <div className="grid items-end gap-3 sm:grid-cols-3">
        <LabelledText
          title="Memory number"
          value={number}
          set={goTo}
          most={5}
          inputMode="numeric"
          help={number.trim() === '' || slot ? (slot?.label ?? '') : 'This kind of set has no such number.'}
        />
        {slot &&
          fields.map((field) =>
            field.list === undefined ? (
              <LabelledText
                key={field.id}
                title={field.holds === 'receiveHz' ? `${field.title}, MHz` : field.title}
                value={said[field.id] ?? ''}
                set={(text) => set(field.id, text)}
                most={40}
              />
            ) : (
              <LabelledSelect
                key={field.id}
                title={field.title}
                value={said[field.id] ?? LEFT_OUT}
                options={[
                  [LEFT_OUT, unit.holds.rest === 'factory' ? 'as the factory left it' : 'not looked'],
                  ...[
                    ...new Set(listItems(description.lists[field.list] ?? []).map(({ shown }) => shown)),
                  ].map((shown) => [shown, shown] as const),
                ]}
                set={(text) => set(field.id, text)}
              />
            ),
          )}
      </div>
      {slot && (
        <div className="mt-3 flex flex-wrap gap-2">
          <button type="submit" className="btn btn-outline btn-sm">
            Write down {slot.label}
          </button>
          {!slot.fixed && (
            <button
              type="button"
              className="btn btn-ghost btn-sm"
              onClick={() => void takePlace({ number: slot.number, values: null })}
            >
              {slot.label} is empty
            </button>
          )}
        </div>
      )}
    </Form>
  );
}

const FREQUENCIES: readonly string[] = ['receiveHz', 'offsetHz'];

function asTexts(
  description: Description,
  values: Readonly<Record<string, string | number>>,
): Record<string, string> {
  return Object.fromEntries(
    Object.entries(values).map(([id, value]) => [
      id,
      isTypedFrequency(description, id) ? mhzText(Number(value)) : String(value),
    ]),
  );
}

/** What was written, as values; a frequency that cannot be read stays as it was typed, and is then refused by name. */
function asValues(
  description: Description,
  said: Readonly<Record<string, string>>,
): Record<string, string | number> {
  return Object.fromEntries(
    Object.entries(said).flatMap(([id, text]) => {
      if (text.trim() === '') return [];
      return [[id, isTypedFrequency(description, id) ? (hzFromMHzText(text) ?? text) : text]];
    }),
  );
}

function isTypedFrequency({ fields }: Description, id: string): boolean {
  const field = fields.find((candidate) => candidate.id === id);
  return field?.holds === 'receiveHz' && field.list === undefined;
}
