import { readTone } from '@umbrex/core/listing';
import { type Station, type StationFact, StationFactSchema, type StationField } from '@umbrex/core/model';
import { hzFromMHzText } from '@umbrex/core/units';
import { useState } from 'react';
import { FACT_HINTS, stationField } from '../../messages/stations';
import { Form } from '../../ui/Form';
import { faultsOf, useFaults } from '../../ui/faults';
import { LabelledDay } from '../../ui/LabelledDay';
import { LabelledSelect } from '../../ui/LabelledSelect';
import { LabelledText } from '../../ui/LabelledText';
import type { Held } from '../desk/useHeld';
import type { useStationDesk } from './useStationDesk';

type Props = ReturnType<typeof useStationDesk> & { held: Held<Station> };

const CHOICES: Partial<Record<StationField, readonly string[]>> = {
  status: ['on-air', 'planned', 'off-air', 'gone'],
  answer: ['courtesy-tone', 'tail', 'voice', 'none'],
};

/** A fact's value as people write it; `undefined` for what cannot be read. */
function writtenValue(field: StationField, text: string): unknown {
  const words = text.trim().replace(',', '.');
  switch (field) {
    case 'outputHz':
    case 'inputHz':
      return hzFromMHzText(words);
    case 'inputTone':
    case 'outputTone':
      return readTone(text.trim()).tone;
    case 'controlHz':
      return text
        .split(/[\s;]+/)
        .filter(Boolean)
        .map((part) => hzFromMHzText(part.replace(',', '.')));
    case 'powerW':
    case 'antennaHeightM':
    case 'talkLimitS':
      return words === '' ? undefined : Number(words);
    case 'rangeM':
      return words === '' ? undefined : Number(words) * 1000;
    case 'owner':
    case 'status':
    case 'answer':
      return text.trim();
    default:
      return field satisfies never;
  }
}

/** One more thing that somebody says of a station, with who says it and since when. */
export function FactForm({ held, addFact, me, today }: Props) {
  const [field, setField] = useState<StationField>('outputHz');
  const [text, setText] = useState('');
  const [source, setSource] = useState(me);
  const [on, setOn] = useState(today);
  const { form, faults, tell } = useFaults();
  const choices = CHOICES[field];
  const add = () => {
    const written = choices && text === '' ? (choices[0] ?? '') : text;
    const parsed = StationFactSchema.safeParse({
      field,
      value: writtenValue(field, written),
      source,
      on: on || 'unknown',
    });
    tell(
      parsed.success
        ? {}
        : faultsOf(parsed.error, {
            source: 'Say who says so.',
            on: 'Give the day, or leave it empty.',
            value: FACT_HINTS[field],
          }),
    );
    if (!parsed.success) return;
    setText('');
    void addFact(held, parsed.data as StationFact);
  };
  // A list of values has its fault at one of them.
  const atValue = Object.keys(faults).find((path) => path.startsWith('value'));
  return (
    <Form
      ref={form}
      noValidate
      className="mt-2 grid grid-cols-2 gap-2 rounded border border-base-300 p-2"
      send={() => add()}
    >
      <LabelledSelect
        title="One more fact"
        value={field}
        options={(Object.keys(FACT_HINTS) as StationField[]).map((id) => [id, stationField(id)] as const)}
        set={(next) => {
          setField(next);
          setText('');
          tell({});
        }}
      />
      {choices ? (
        <LabelledSelect
          title="Value"
          value={text || (choices[0] ?? '')}
          options={choices.map((id) => [id, id.replace('-', ' ')] as const)}
          set={setText}
        />
      ) : (
        <LabelledText
          most={80}
          title="Value"
          value={text}
          set={setText}
          fault={atValue === undefined ? undefined : faults[atValue]}
        />
      )}
      <LabelledText most={80} title="Who says so" value={source} set={setSource} fault={faults.source} />
      <LabelledDay title="On" value={on} set={setOn} fault={faults.on} />
      <button type="submit" className="btn btn-outline btn-xs col-span-2 justify-self-start">
        Note it
      </button>
    </Form>
  );
}
