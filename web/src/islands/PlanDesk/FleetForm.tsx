import { type Fleet, FleetSchema } from '@umbrex/core/model';
import { useEffect, useState } from 'react';
import { LabelledText } from '../../ui/LabelledText';

interface Props {
  fleet: Fleet;
  change: (fleet: Fleet) => void;
  /** Whether what is written can be saved. */
  setGood: (isGood: boolean) => void;
}

const parts = (text: string) =>
  text
    .split(/[,\n]/)
    .map((part) => part.trim())
    .filter(Boolean);

/** Calls as they are written: the name first, the ID last. */
function readCalls(text: string): { name: string; fleetId: string }[] {
  return parts(text).map((part) => {
    const [, name = part, fleetId = ''] = /^(.*?)\s+(\d+)$/.exec(part) ?? [];
    return { name, fleetId };
  });
}

/** What fleet radios hold besides channels: texts that they send by a key, and calls to several sets at once. */
export function FleetForm({ fleet, change, setGood }: Props) {
  const [statuses, setStatuses] = useState(fleet.statuses.join(', '));
  const [calls, setCalls] = useState(fleet.calls.map(({ name, fleetId }) => `${name} ${fleetId}`).join(', '));
  const [fault, setFault] = useState('');
  // It begins with what is saved: whatever was wrong in the form before it is gone.
  useEffect(() => setGood(true), [setGood]);
  const write = (nextStatuses: string, nextCalls: string) => {
    setStatuses(nextStatuses);
    setCalls(nextCalls);
    const parsed = FleetSchema.safeParse({ statuses: parts(nextStatuses), calls: readCalls(nextCalls) });
    setGood(parsed.success);
    const where = parsed.success ? '' : parsed.error.issues[0]?.path[0];
    setFault(
      where === 'statuses'
        ? 'Each status text has at most 16 letters; at most 32 of them.'
        : where === 'calls'
          ? 'Write each call as its name, of at most 20 letters, and its ID, as Everybody 199.'
          : '',
    );
    if (parsed.success) change(parsed.data);
  };
  return (
    <fieldset className="space-y-2">
      <legend className="muted text-small">Fleet radios</legend>
      <LabelledText
        title="Status texts, the most important first"
        value={statuses}
        set={(next) => write(next, calls)}
        most={600}
        help="Parted by commas. A set sends one by a key."
      />
      <LabelledText
        title="Calls to several sets"
        value={calls}
        set={(next) => write(statuses, next)}
        most={1600}
        help="A name and its ID, as Everybody 199. Each set’s own ID stands under Devices."
      />
      {fault !== '' && (
        <p className="finding text-small" data-severity="error" role="alert">
          {fault}
        </p>
      )}
    </fieldset>
  );
}
