import { useState } from 'react';
import { Button } from '../../ui/Button';
import { Form } from '../../ui/Form';
import { guarded } from '../../ui/guarded';
import { LabelledCheck } from '../../ui/LabelledCheck';
import { LabelledDay } from '../../ui/LabelledDay';
import { LabelledSelect } from '../../ui/LabelledSelect';
import { LabelledText } from '../../ui/LabelledText';
import { MakingState } from './MakingState';
import { useMaking } from './useMaking';

type What = 'wall' | 'ics205' | 'ics217a' | 'contacts' | 'board' | 'kind';
interface Props {
  planId: string;
  kinds: readonly (readonly [id: string, title: string])[];
  mayAsk: boolean;
  mayEdit: boolean;
  /** Whether the list on this page has all tones. */
  isWhole: boolean;
}
const SIZES = [
  ['A4', 'A4'],
  ['LETTER', 'Letter'],
] as const;

/** Documents of the whole plan. */
function PaperDeskIsland({ planId, kinds, mayAsk, mayEdit, isWhole }: Props) {
  const { making, make, cancel } = useMaking(planId);
  const [what, setWhat] = useState<What>('wall');
  const [size, setSize] = useState<'A4' | 'LETTER'>('A4');
  const [kind, setKind] = useState(kinds[0]?.[0] ?? '');
  const [incident, setIncident] = useState('');
  const [from, setFrom] = useState('');
  const [to, setTo] = useState('');
  const [members, setMembers] = useState(isWhole);
  const isForm = what === 'ics205' || what === 'ics217a';
  const choices: (readonly [What, string])[] = [
    ['wall', 'List for the wall, with places on sets'],
    ['ics205', 'ICS 205, radio communications plan'],
    ['ics217a', 'ICS 217A, resource availability worksheet'],
    ...(mayAsk ? ([['board', 'Fit board, every channel on every kind']] as const) : []),
    ...(mayAsk && kinds.length > 0 ? ([['kind', 'Keys and tones of one kind of set']] as const) : []),
    ...(mayEdit ? ([['contacts', 'People and their sets']] as const) : []),
  ];
  const submit = () =>
    make({
      what,
      size,
      ...(isForm && { incident, from, to }),
      ...(what === 'kind' && { kind }),
      ...(members && { members: '1' }),
    });
  return (
    <Form className="flex flex-wrap items-end gap-3 pb-3" send={submit}>
      <LabelledSelect title="What" value={what} options={choices} set={setWhat} width="w-72" />
      <LabelledSelect title="Paper" value={size} options={SIZES} set={setSize} width="w-28" />
      {what === 'kind' && (
        <LabelledSelect title="Kind" value={kind} options={kinds} set={setKind} width="w-72" />
      )}
      {isForm && (
        <>
          <LabelledText title="Incident" value={incident} set={setIncident} most={80} width="w-52" />
          <LabelledDay title="From" value={from} set={setFrom} type="datetime-local" width="" />
          <LabelledDay title="To" value={to} set={setTo} type="datetime-local" width="" />
        </>
      )}
      {mayAsk && (what === 'wall' || isForm) && (
        <LabelledCheck checked={members} set={setMembers} className="py-0.5 text-plain">
          With all tones, for members
        </LabelledCheck>
      )}
      <Button type="submit" className="btn btn-outline btn-sm" isOff={making.is === 'under-way'}>
        Make it
      </Button>
      <MakingState making={making} cancel={cancel} />
    </Form>
  );
}

export const PaperDesk = guarded('PaperDesk', PaperDeskIsland);
