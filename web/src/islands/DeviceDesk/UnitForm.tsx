import { zodResolver } from '@hookform/resolvers/zod';
import { numbersOfCell, numbersText, THINGS } from '@umbrex/core/fields';
import { type Unit, type UnitInput, UnitSchema } from '@umbrex/core/model';
import { useState } from 'react';
import { type UseFormReturn, useForm } from 'react-hook-form';
import { toneWords } from '../../messages/tones';
import { Button } from '../../ui/Button';
import { ChoiceField, LineField, named } from '../../ui/bound';
import { Form } from '../../ui/Form';
import { mayLeave, useUnsaved } from '../../ui/unsaved';
import { OwnAreas } from './OwnAreas';
import type { Kind } from './useDeviceDesk';

interface Props {
  unit: UnitInput;
  kinds: readonly Kind[];
  people: readonly { id: string; name: string }[];
  pairs: readonly { id: string; name: string }[];
  teams: readonly { id: string; name: string }[];
  areaNames: Readonly<Record<string, string>>;
  save: (unit: Unit) => Promise<boolean>;
  cancel?: () => void;
  action: string;
}

const FAULTS: Readonly<Record<string, string>> = {
  keeps: 'Write numbers, as 40-44, 60; 500 at most.',
  firmware: 'Write the firmware as the set shows it, or unknown.',
  nickname: 'Give the device a nickname of up to 40 letters.',
  batteryChanged: 'Give the day the battery was changed, or leave it empty.',
  memoryCellChanged: 'Give the day on which the cell that keeps its memory was changed, or leave it empty.',
  testHeard: 'Give the day on which its test was heard, or leave it empty.',
  holds: 'Give the day since when it holds that, or leave it empty.',
};
const INTAKE = [
  ['cell', 'Cell holds'],
  ['antennaSocket', 'Antenna socket'],
  ['speaker', 'Speaker'],
  ['reset', 'Reset to factory'],
] as const;

const LOOKED = [
  ['unknown', 'not looked'],
  ['good', 'good'],
  ['bad', 'bad'],
] as const;

const { fields: UNIT } = THINGS.unit;
const HOLDS = [
  ['unknown', 'nobody has looked'],
  ['factory', 'as from the factory'],
  ['plan', 'this group’s channels'],
  ['other', 'something of its own'],
] as const;
/** What is wrong with a field, in words of our own. */
const said = (path: readonly PropertyKey[] = []) => FAULTS[String(path[0])] ?? 'This is too long.';
/** An empty day is one that nobody knows, an empty choice none. */
const ORDAY = { setValueAs: (value: string) => value || 'unknown' };
const ORNONE = { setValueAs: (value: string | null) => value || null };
const LINES = ['fleetId', 'accessories'] as const;

/** The fields of one device: the ones that a list needs, and when it is opened all of them. */
export function UnitForm({ unit, kinds, people, pairs, teams, areaNames, save, cancel, action }: Props) {
  const form = useForm<UnitInput, unknown, Unit>({
    resolver: zodResolver(UnitSchema, { error: ({ path }) => said(path) }),
    defaultValues: unit,
  });
  const { handleSubmit, formState, reset } = form;
  const [hasGoodAreas, setGoodAreas] = useState(true);
  const isFull = cancel !== undefined;
  useUnsaved(isFull && formState.isDirty);
  const submit = async (next: Unit) => {
    if ((await save(next)) && !isFull) reset(unit);
  };
  return (
    <Form
      className={`grid items-end gap-3 sm:grid-cols-3 ${isFull ? 'lg:grid-cols-4' : 'lg:grid-cols-[1fr_1fr_1fr_1fr_7rem_7rem_auto]'}`}
      send={handleSubmit(submit)}
      noValidate
    >
      <ChoiceField
        form={form}
        name="descriptionId"
        title="Kind of device"
        choices={kinds.map(({ id, title }) => [id, title])}
      />
      <LineField form={form} name="nickname" title={UNIT.nickname.column} />
      <ChoiceField
        form={form}
        name="personId"
        title={UNIT.personId.column}
        choices={named(people, 'nobody of the roster')}
        options={ORNONE}
      />
      <LineField form={form} name="holder" title="or kept at" />
      <LineField form={form} name="serial" title={UNIT.serial.column} />
      <LineField form={form} name="firmware" title={UNIT.firmware.column} />
      {isFull && (
        <More
          form={form}
          unit={unit}
          kinds={kinds}
          pairs={pairs}
          teams={teams}
          areaNames={areaNames}
          setGoodAreas={setGoodAreas}
        />
      )}
      <div className="flex gap-2">
        <Button
          type="submit"
          className="btn btn-primary btn-sm"
          isOff={formState.isSubmitting || !hasGoodAreas}
        >
          {action}
        </Button>
        {cancel && (
          <button type="button" className="btn btn-ghost btn-sm" onClick={() => mayLeave() && cancel()}>
            Cancel
          </button>
        )}
      </div>
    </Form>
  );
}

/** What is asked of a device once it is opened. */
function More({
  form,
  unit,
  kinds,
  pairs,
  teams,
  areaNames,
  setGoodAreas,
}: Pick<Props, 'unit' | 'kinds' | 'pairs' | 'teams' | 'areaNames'> & {
  form: UseFormReturn<UnitInput, unknown, Unit>;
  setGoodAreas: (isGood: boolean) => void;
}) {
  const kind = kinds.find(({ id }) => id === form.watch('descriptionId'));
  return (
    <>
      {LINES.map((name) => (
        <LineField key={name} form={form} name={name} title={UNIT[name].column} />
      ))}
      <LineField
        form={form}
        name="batteryChanged"
        title={UNIT.batteryChanged.column}
        type="date"
        options={ORDAY}
      />
      {kind?.memoryCell && (
        <LineField
          form={form}
          name="memoryCellChanged"
          title={UNIT.memoryCellChanged.column}
          type="date"
          options={ORDAY}
        />
      )}
      {kind?.alerts && (
        <LineField form={form} name="testHeard" title="Weekly test heard" type="date" options={ORDAY} />
      )}
      {kind?.alerts && <OwnAreas form={form} names={areaNames} setGood={setGoodAreas} />}
      {kind?.repeats && (
        <ChoiceField
          form={form}
          name="carries"
          title={UNIT.carries.column}
          choices={named(pairs, 'nobody has said')}
          options={ORNONE}
        />
      )}
      {teams.length > 0 && (
        <ChoiceField
          form={form}
          name="roleId"
          title={UNIT.roleId.column}
          choices={named(teams, 'no role of its own')}
          options={ORNONE}
        />
      )}
      <LineField
        form={form}
        name="keeps"
        title={UNIT.keeps.column}
        placeholder="40-44, 60"
        initial={numbersText(unit.keeps ?? [])}
        options={{
          // What is not understood stays as it was written, and is said.
          setValueAs: (value: string | number[]) =>
            typeof value === 'string' ? (numbersOfCell(value, 500) ?? value) : value,
        }}
      />
      <ChoiceField
        form={form}
        name="holds.what"
        title={UNIT.holds.column}
        choices={unit.holds?.what === 'read' ? [...HOLDS, ['read', 'what was read of it']] : HOLDS}
      />
      <LineField form={form} name="holds.on" title="Since" type="date" options={ORDAY} />
      {kind?.pickedTones && (
        <ChoiceField
          form={form}
          name="pickedTone"
          title="Tone picked by hand"
          choices={[
            ['unknown', 'nobody has looked'],
            ['off', 'none'],
            ...kind.pickedTones.map((tone) => [tone, toneWords(tone)] as const),
          ]}
        />
      )}
      <LineField form={form} name="note" title={UNIT.note.column} />
      <fieldset className="col-span-full flex flex-wrap gap-3">
        <legend className="muted text-small">When an old set comes in</legend>
        {INTAKE.map(([key, title]) => (
          <div key={key} className="w-28">
            <ChoiceField form={form} name={`intake.${key}`} title={title} choices={LOOKED} />
          </div>
        ))}
      </fieldset>
    </>
  );
}
