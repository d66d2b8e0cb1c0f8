import { THINGS } from '@umbrex/core/fields';
import { type Licence, type Person, PersonSchema } from '@umbrex/core/model';
import { placeText, readPlace } from '@umbrex/core/units';
import { Plus, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { Form } from '../../ui/Form';
import { type Faults, faultsIn, faultsOf, useFaults } from '../../ui/faults';
import { fieldsOf } from '../../ui/fields';
import { LabelledCheck } from '../../ui/LabelledCheck';
import { LabelledDay } from '../../ui/LabelledDay';
import { LabelledSelect } from '../../ui/LabelledSelect';
import { LabelledText } from '../../ui/LabelledText';
import { useUnsaved } from '../../ui/unsaved';
import type { Held } from '../desk/useHeld';
import type { usePeopleDesk } from './usePeopleDesk';

type Props = ReturnType<typeof usePeopleDesk> & { held: Held<Person> };

const SERVICES = [
  ['gmrs', 'GMRS'],
  ['business', 'business'],
  ['amateur', 'amateur'],
  ['marine', 'marine'],
  ['interop', 'interoperability'],
] as const;
const HOLDS = [
  ['own', 'their own'],
  ['family', 'of close family'],
  ['employer', 'of the employer'],
] as const;

const { fields: PERSON } = THINGS.person;
const FAULTS: Faults = {
  name: 'Give their name.',
  place: 'Write the place as latitude, longitude, for example 41.28, -38.50, or leave it empty.',
  'licences.expires': 'Give a day on which it ends, or none.',
  licences: 'At most 12 licences.',
  teamIds: 'At most 20 teams.',
};
/** The details of one person, to be changed. */
export function PersonForm({ held, people, teams, setOpenId, mayTalk }: Props) {
  const [person, setPerson] = useState(held.value);
  const [place, setPlace] = useState(placeText(held.value.place));
  const { form, faults, tell } = useFaults();
  useUnsaved(JSON.stringify(person) !== JSON.stringify(held.value) || place !== placeText(held.value.place));
  const change = (part: Partial<Person>) => setPerson((now) => ({ ...now, ...part }));
  const field = fieldsOf(person, change, faults);
  const save = () => {
    const where = readPlace(place);
    const parsed = PersonSchema.safeParse({ ...person, place: where === undefined ? 'wrong' : where });
    tell(parsed.success ? {} : faultsOf(parsed.error, FAULTS));
    if (parsed.success) void people.save(parsed.data, held.version);
  };
  return (
    <Form ref={form} noValidate className="space-y-3" send={() => save()}>
      <p className="muted text-plain">{mayTalk[person.id]}</p>
      <LabelledText title={PERSON.name.column} {...field('name')} />
      <LabelledText title={PERSON.contact.column} {...field('contact')} />
      <fieldset>
        <legend className="muted text-small">{PERSON.licences.column}</legend>
        {person.licences.map((licence, i) => (
          <LicenceRow
            // biome-ignore lint/suspicious/noArrayIndexKey: rows have no id and keep their order
            key={i}
            licence={licence}
            faults={faultsIn(faults, `licences.${i}.`)}
            change={(part) =>
              change({
                licences: person.licences.map((other, k) => (k === i ? { ...other, ...part } : other)),
              })
            }
            remove={() => change({ licences: person.licences.filter((_, k) => k !== i) })}
          />
        ))}
        <button
          type="button"
          className="btn btn-outline btn-xs mt-1"
          onClick={() =>
            change({
              licences: [
                ...person.licences,
                { service: 'gmrs', holds: 'own', expires: 'unknown', callSign: '', class: '' },
              ],
            })
          }
        >
          <Plus size={14} aria-hidden="true" /> Add a licence
        </button>
      </fieldset>
      <fieldset className="grid grid-cols-2 gap-1 text-plain">
        <legend className="muted text-small">{PERSON.teamIds.column}</legend>
        {teams.held.map(({ value }) => (
          <LabelledCheck
            key={value.id}
            checked={person.teamIds.includes(value.id)}
            set={(yes) =>
              change({
                teamIds: yes ? [...person.teamIds, value.id] : person.teamIds.filter((id) => id !== value.id),
              })
            }
          >
            {value.name}
          </LabelledCheck>
        ))}
      </fieldset>
      <LabelledText
        title="Usual place, only with their word: latitude, longitude"
        value={place}
        set={setPlace}
        fault={faults.place}
        help="Kept coarse, to about two kilometres."
      />
      <LabelledText title={PERSON.note.column} {...field('note')} />
      {(faults.licences ?? faults.teamIds) && (
        <p className="finding text-small" data-severity="error" role="alert">
          {faults.licences ?? faults.teamIds}
        </p>
      )}
      <div className="flex flex-wrap gap-2">
        <button type="submit" className="btn btn-primary btn-sm">
          Save
        </button>
        <button
          type="button"
          className="btn btn-outline btn-error btn-sm"
          onClick={() => void people.remove(held).then((ok) => ok && setOpenId(null))}
        >
          <Trash2 size={16} aria-hidden="true" /> Delete
        </button>
      </div>
    </Form>
  );
}

function LicenceRow({
  licence,
  faults,
  change,
  remove,
}: {
  licence: Licence;
  faults: Faults;
  change: (part: Partial<Licence>) => void;
  remove: () => void;
}) {
  const field = fieldsOf(licence, change, faults);
  return (
    <div className="mb-2 grid grid-cols-2 gap-2 rounded border border-base-300 p-2">
      <LabelledSelect
        title="Service"
        {...field('service')}
        options={SERVICES as readonly (readonly [string, string])[]}
      />
      <LabelledSelect title="Whose" {...field('holds')} options={HOLDS} />
      <LabelledDay title="Ends on" {...field('expires')} none="unknown" />
      <LabelledText title="Call sign" {...field('callSign')} />
      <LabelledText title="Class" {...field('class')} />
      <button type="button" className="btn btn-ghost btn-xs self-end" onClick={remove}>
        Take it out
      </button>
    </div>
  );
}
