import { type LicensedFrequency, LicensedFrequencySchema, type PlanHead } from '@umbrex/core/model';
import { hzFromMHzText, mhzText } from '@umbrex/core/units';
import { Plus, Trash2 } from 'lucide-react';
import { useEffect, useEffectEvent, useState } from 'react';
import { type Faults, faultsOf, useFaults } from '../../ui/faults';
import { fieldsOf } from '../../ui/fields';
import { LabelledDay } from '../../ui/LabelledDay';
import { LabelledSelect } from '../../ui/LabelledSelect';
import { LabelledText } from '../../ui/LabelledText';

interface Props {
  licensed: PlanHead['licensed'];
  change: (licensed: PlanHead['licensed']) => void;
  /** Told whether a frequency is written that nobody took or cancelled yet. */
  setOpen: (isOpen: boolean) => void;
}

/** A row as its form holds it: texts as people write them. */
interface Row {
  name: string;
  receive: string;
  transmit: string;
  bandwidthHz: string;
  maxPowerW: string;
  licence: string;
  area: string;
  expires: string;
}

const BLANK: Row = {
  name: '',
  receive: '',
  transmit: '',
  bandwidthHz: '12500',
  maxPowerW: '',
  licence: '',
  area: '',
  expires: '',
};

const WIDTHS = [
  ['12500', '12.5 kHz'],
  ['6250', '6.25 kHz'],
  ['25000', '25 kHz'],
] as const;

const FAULTS: Faults = {
  name: 'Give the frequency a name.',
  receiveHz: 'Write the receive frequency in MHz, for example 451.8125.',
  transmitHz: 'Write the transmit frequency in MHz, or leave it empty for the same one.',
  maxPowerW: 'Write the power the licence allows, in watts.',
  licence: 'Name the licence it stands in.',
  expires: 'Give the day the licence ends.',
};

const hz = (text: string) => hzFromMHzText(text.trim().replace(',', '.'));

function rowOf(form: Row) {
  return LicensedFrequencySchema.safeParse({
    name: form.name,
    receiveHz: hz(form.receive),
    transmitHz: form.transmit.trim() === '' ? hz(form.receive) : hz(form.transmit),
    bandwidthHz: Number(form.bandwidthHz),
    maxPowerW: Number(form.maxPowerW.replace(',', '.') || Number.NaN),
    licence: form.licence,
    area: form.area,
    expires: form.expires,
  });
}

/** The group's own business frequencies, as its licence lists them: the rules let its people talk on these alone. */
export function LicensedForm({ licensed, change, setOpen }: Props) {
  const [form, setRow] = useState<Row | null>(null);
  const setForm = (row: Row | null) => {
    setRow(row);
    setOpen(row !== null && JSON.stringify(row) !== JSON.stringify(BLANK));
  };
  // Where the form goes, what was written in it does too.
  const goes = useEffectEvent(() => setOpen(false));
  useEffect(() => () => goes(), []);
  const { form: at, faults, tell } = useFaults<HTMLDivElement>();
  const add = () => {
    if (!form) return;
    const parsed = rowOf(form);
    const { transmitHz, ...others } = parsed.success ? {} : faultsOf(parsed.error, FAULTS);
    // Left empty it is the one that it receives on: then only that one is wrong.
    tell(transmitHz === undefined || form.transmit.trim() === '' ? others : { ...others, transmitHz });
    if (!parsed.success) return;
    change([...licensed, parsed.data]);
    setForm(null);
  };
  const field = fieldsOf(form ?? BLANK, (part) => form && setForm({ ...form, ...part }), faults);
  return (
    <fieldset className="space-y-2">
      <legend className="muted text-small">Business frequencies of your own licence</legend>
      {licensed.length === 0 && !form && <p className="text-plain">None. Nobody here talks on others.</p>}
      <ul>
        {licensed.map((row, i) => (
          <LicensedRow
            // biome-ignore lint/suspicious/noArrayIndexKey: rows have no id and are never reordered
            key={i}
            row={row}
            remove={() => change(licensed.filter((_, k) => k !== i))}
          />
        ))}
      </ul>
      {form ? (
        <div ref={at} className="grid grid-cols-2 gap-2 rounded border border-base-300 p-2">
          <div className="col-span-2">
            <LabelledText title="Name" {...field('name')} most={80} />
          </div>
          <LabelledText title="Receive, MHz" {...field('receive', 'receiveHz')} most={80} />
          <LabelledText title="Transmit, MHz" {...field('transmit', 'transmitHz')} most={80} />
          <LabelledSelect title="Width" {...field('bandwidthHz')} options={WIDTHS} />
          <LabelledText title="Power, W" {...field('maxPowerW')} most={80} />
          <LabelledText title="Licence" {...field('licence')} most={80} />
          <LabelledDay title="Ends on" {...field('expires')} />
          <div className="col-span-2">
            <LabelledText title="Area" {...field('area')} most={80} />
          </div>
          <div className="col-span-2 flex gap-2">
            <button type="button" className="btn btn-outline btn-xs" onClick={add}>
              Take this frequency
            </button>
            <button
              type="button"
              className="btn btn-ghost btn-xs"
              onClick={() => {
                setForm(null);
                tell({});
              }}
            >
              Cancel
            </button>
          </div>
        </div>
      ) : (
        <button type="button" className="btn btn-outline btn-xs" onClick={() => setForm(BLANK)}>
          <Plus size={14} aria-hidden="true" /> Add a frequency
        </button>
      )}
    </fieldset>
  );
}

function LicensedRow({ row, remove }: { row: LicensedFrequency; remove: () => void }) {
  return (
    <li className="flex items-start justify-between gap-2 border-b border-base-300 py-1 text-plain">
      <span>
        <strong>{row.name}</strong> <span className="font-mono">{mhzText(row.receiveHz)}</span>
        {row.transmitHz !== row.receiveHz && (
          <span>
            , sends <span className="font-mono">{mhzText(row.transmitHz)}</span>
          </span>
        )}
        <span className="muted block text-small">
          {row.bandwidthHz / 1000} kHz, {row.maxPowerW} W, {row.licence}, until {row.expires}
          {row.area && `, ${row.area}`}
        </span>
      </span>
      <button
        type="button"
        className="btn btn-ghost btn-sm btn-square"
        aria-label={`Remove the frequency ${row.name}`}
        onClick={remove}
      >
        <Trash2 size={16} aria-hidden="true" />
      </button>
    </li>
  );
}
