import { useState } from 'react';
import { LabelledSelect } from '../../components/LabelledSelect';
import type { Kind } from './useDeviceDesk';

interface Props {
  kind: Kind;
  wanted: Readonly<Record<string, number>>;
  save: (settings: Readonly<Record<string, number>>) => Promise<void>;
}

const AS_IT_IS = '';

/** What the group wants set alike on every set of a kind; their sheets then set it and have it read back. */
export function SetupForm({ kind, wanted, save }: Props) {
  const [settings, setSettings] = useState(wanted);
  const isTouched = JSON.stringify(settings) !== JSON.stringify(wanted);
  const count = Object.keys(wanted).length;
  return (
    <details className="border-b border-base-300 py-1">
      <summary className="cursor-pointer text-[0.87rem]">
        Settings of the whole set: {count === 0 ? 'as each has them' : `${count} alike for all`}
        <span className="sr-only">, {kind.title}</span>
      </summary>
      <form
        className="flex flex-wrap items-end gap-3 py-2"
        onSubmit={(event) => {
          event.preventDefault();
          void save(settings);
        }}
      >
        {kind.settings.map(({ id, title, values, factory }) => (
          <LabelledSelect
            key={id}
            title={title}
            value={settings[id] === undefined ? AS_IT_IS : String(settings[id])}
            options={[
              [AS_IT_IS, 'as each set has it'],
              ...values.map((shown, i) => [String(i), i === factory ? `${shown} (as made)` : shown] as const),
            ]}
            set={(text) => {
              const { [id]: _, ...rest } = settings;
              setSettings(text === AS_IT_IS ? rest : { ...rest, [id]: Number(text) });
            }}
            width="w-44"
          />
        ))}
        <button type="submit" className="btn btn-outline btn-sm" disabled={!isTouched}>
          Save for every {kind.title}
        </button>
      </form>
    </details>
  );
}
