import type { Station } from '@umbrex/core/model';
import { PRECONDITIONS, type Precondition } from '@umbrex/core/stations';
import { useState } from 'react';
import { ANSWER_TEXT, NEXT_STEP_TEXT, PRECONDITION_TEXT } from '../../messages/stations';
import { named } from '../../ui/bound';
import { LabelledSelect } from '../../ui/LabelledSelect';
import type { Held } from '../desk/useHeld';
import type { useStationDesk } from './useStationDesk';

type Props = ReturnType<typeof useStationDesk> & { repeaters: readonly Held<Station>[] };

const SIGN = { yes: '●', no: '⊘', unknown: '?' } as const;

/** For every person what must be so before they can use a repeater, with the next move for the first that is not. */
export function PreconditionMatrix({ repeaters, people, matrix }: Props) {
  const [stationId, setStationId] = useState(repeaters[0]?.value.id ?? '');
  const of = matrix[stationId] ?? {};
  const ready = people.filter(({ id }) => PRECONDITIONS.every((key) => of[id]?.[key].is === 'yes')).length;
  return (
    <section className="mb-6">
      <h2 className="border-b border-base-content/40 pb-1 font-bold">Who can use it</h2>
      <div className="my-2 flex flex-wrap items-center gap-x-3">
        <LabelledSelect
          title="Repeater"
          at="beside"
          value={stationId}
          options={named(repeaters.map(({ value }) => value))}
          set={setStationId}
          width="w-60"
        />
        <span className="muted text-plain" role="status">
          {ready} of {people.length} have all six
        </span>
      </div>
      {/* biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls must be reachable by keyboard */}
      <section className="relative overflow-x-auto" tabIndex={0} aria-label="Who can use this repeater">
        <table className="w-full min-w-2xl text-left text-plain">
          <thead>
            <tr className="muted">
              <th scope="col" className="py-1 pr-3 font-normal">
                Person
              </th>
              {PRECONDITIONS.map((key) => (
                <th key={key} scope="col" className="pr-3 font-normal" title={PRECONDITION_TEXT[key].meaning}>
                  {PRECONDITION_TEXT[key].word}
                </th>
              ))}
              <th scope="col" className="font-normal">
                Next move
              </th>
            </tr>
          </thead>
          <tbody>
            {people.map(({ id, name }) => {
              const answers = of[id];
              const open = PRECONDITIONS.find((key) => answers?.[key].is !== 'yes');
              const next = open && answers?.[open].next;
              return (
                <tr key={id} className="border-t border-base-300">
                  <th scope="row" className="py-1 pr-3 font-semibold">
                    {name}
                  </th>
                  {PRECONDITIONS.map((key) => (
                    <Cell key={key} is={answers?.[key].is ?? 'unknown'} what={key} />
                  ))}
                  <td className="text-small">{next ? NEXT_STEP_TEXT[next] : 'ready'}</td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </section>
    </section>
  );
}

function Cell({ is, what }: { is: keyof typeof SIGN; what: Precondition }) {
  return (
    <td
      className={`whitespace-nowrap pr-3 ${is === 'no' ? 'text-error' : is === 'unknown' ? 'text-accent' : ''}`}
    >
      <span aria-hidden="true" className="mr-1 font-bold">
        {SIGN[is]}
      </span>
      <span className="text-small">{ANSWER_TEXT[is]}</span>
      <span className="sr-only">, {PRECONDITION_TEXT[what].word}</span>
    </td>
  );
}
