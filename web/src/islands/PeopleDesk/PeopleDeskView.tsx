import { licenceText } from '@umbrex/core/fields';
import type { Person } from '@umbrex/core/model';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import { Drawer } from '../../ui/Drawer';
import { FindField } from '../../ui/FindField';
import { Form } from '../../ui/Form';
import { LabelledCheck, RowCheck } from '../../ui/LabelledCheck';
import { LabelledText } from '../../ui/LabelledText';
import { useRows } from '../../ui/rows';
import { mayLeave } from '../../ui/unsaved';
import { LinkGiver } from '../LinkGiver/LinkGiver';
import { TableFiles } from '../TableImport/TableFiles';
import { BulkBar } from './BulkBar';
import { PersonForm } from './PersonForm';
import { TeamsForm } from './TeamsForm';
import type { usePeopleDesk } from './usePeopleDesk';

const rowOf = (id: string) => `person-${id}`;

const blank = (name: string): Person => ({
  id: crypto.randomUUID(),
  name,
  contact: '',
  licences: [],
  teamIds: [],
  place: null,
  note: '',
});

/** The roster: who there is, what they lean on, in which teams, with which sets, and what they may transmit on. */
export function PeopleDeskView(props: ReturnType<typeof usePeopleDesk>) {
  const { planId, people, teamName, unitsOf, open, setOpenId, filter, setFilter, shown, chosen, toggle } =
    props;
  const [name, setName] = useState('');
  const rows = useRows<HTMLUListElement>();
  return (
    <div className="lg:grid lg:grid-cols-[minmax(0,1fr)_22rem]">
      <div className="px-5 py-4 max-md:px-3">
        <div className="mb-2 flex flex-wrap items-baseline justify-between gap-3">
          <h1 className="text-xl font-bold">
            People <span className="muted font-mono text-base font-normal">{people.held.length}</span>
          </h1>
          <FindField value={filter} set={setFilter} />
        </div>
        <div className="mb-2 flex flex-wrap items-end gap-x-6 gap-y-2">
          <Form
            className="flex items-end gap-2"
            send={() => {
              const person = blank(name.trim());
              void people.add(person).then((ok) => {
                if (!ok) return;
                setName('');
                setOpenId(person.id);
              });
            }}
          >
            <LabelledText title="Somebody new" value={name} set={setName} most={60} width="w-52" />
            <Button type="submit" className="btn btn-primary btn-sm" isOff={name.trim() === ''}>
              Add
            </Button>
          </Form>
          <p className="flex flex-wrap items-center gap-2">
            <TableFiles
              kind="person"
              present={people.held.map(({ value }) => value)}
              names={{ team: props.teams.held.map(({ value }) => value) }}
            />
          </p>
        </div>
        {people.held.length === 0 && (
          <p className="py-6">Nobody yet. Add somebody above, or bring in your table.</p>
        )}
        {people.held.length > 0 && shown.length === 0 && <p className="py-6">Nobody has “{filter}”.</p>}
        {shown.length > 0 && (
          <LabelledCheck
            checked={chosen.size > 0}
            set={props.toggleAll}
            className="border-b border-base-content/40 py-0.5 text-sm"
          >
            <span className="muted">{chosen.size === 0 ? 'Choose all shown' : `${chosen.size} chosen`}</span>
          </LabelledCheck>
        )}
        <ul {...rows}>
          {shown.map(({ value: person }) => (
            <li
              data-item
              key={person.id}
              className={`grid grid-cols-[1.75rem_minmax(0,1fr)] items-start gap-x-2 border-b border-base-300 py-1.5 sm:grid-cols-[1.75rem_minmax(9rem,1fr)_minmax(9rem,1.2fr)_minmax(8rem,1fr)] ${open?.value.id === person.id ? 'bg-base-100' : ''}`}
            >
              <RowCheck
                title={`Choose ${person.name}`}
                checked={chosen.has(person.id)}
                set={() => toggle(person.id)}
              />
              <span>
                <button
                  type="button"
                  id={rowOf(person.id)}
                  data-row
                  className="link link-hover text-left font-semibold"
                  onClick={() => mayLeave() && setOpenId(person.id)}
                >
                  {person.name}
                </button>
                <span className="muted block text-sub">
                  {person.teamIds.map((id) => teamName.get(id)).join(', ') || 'no team'}
                </span>
              </span>
              <span className="text-plain max-sm:col-start-2">
                {person.licences.length === 0 ? (
                  <span className="muted">no licence</span>
                ) : (
                  person.licences.map((licence) => (
                    <span
                      key={licence.service + licence.holds}
                      className={`block ${licence.expires !== 'unknown' && licence.expires < props.today ? 'text-error' : ''}`}
                    >
                      {licenceText(licence)}
                      {licence.expires === 'unknown' && ', end unknown'}
                      {licence.expires !== 'unknown' && licence.expires < props.today && ', ended'}
                    </span>
                  ))
                )}
                <span className="muted block text-sub">{props.mayTalk[person.id]}</span>
              </span>
              <span className="text-plain max-sm:col-start-2">
                {(unitsOf.get(person.id) ?? []).map((unit) => (
                  <a
                    key={unit.id}
                    className="link link-hover block min-h-[24px]"
                    href={`/plans/${planId}/sheets/${unit.id}`}
                  >
                    {unit.nickname}
                  </a>
                ))}
              </span>
            </li>
          ))}
        </ul>
        {chosen.size > 0 && <BulkBar {...props} />}
      </div>
      <Drawer
        label="Teams"
        opened={open && { key: open.value.id, title: open.value.name }}
        rowId={rowOf}
        close={() => setOpenId(null)}
      >
        {open ? (
          <>
            <PersonForm key={`${open.value.id} ${open.version}`} held={open} {...props} />
            {props.cardLinks && (
              <LinkGiver
                key={open.value.id}
                planId={planId}
                of={{ kind: 'card', personId: open.value.id, name: open.value.name }}
                links={props.cardLinks}
                today={props.today}
              />
            )}
          </>
        ) : (
          <TeamsForm {...props} />
        )}
      </Drawer>
    </div>
  );
}
