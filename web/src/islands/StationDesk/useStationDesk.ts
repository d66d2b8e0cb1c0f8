import type { Finding } from '@umbrex/core/findings';
import type { Station, StationFact } from '@umbrex/core/model';
import {
  controlChannels,
  type controlContext,
  type Preconditions,
  reviewStation,
  stationsFromGeoJson,
} from '@umbrex/core/stations';
import { useEffect, useMemo, useState } from 'react';
import { counted } from '../../messages/labels';
import { useAddress } from '../../ui/address';
import { call, failureText } from '../desk/api';
import { $notice, sayAfterLoad } from '../desk/deskStore';
import { type Held, useHeld } from '../desk/useHeld';

export interface StationProps {
  readonly planId: string;
  readonly groupName: string;
  readonly me: string;
  readonly stations: readonly Held<Station>[];
  readonly people: readonly { id: string; name: string }[];
  /** For each repeater and each person, the five things that must be so. */
  readonly matrix: Readonly<Record<string, Readonly<Record<string, Preconditions>>>>;
  /** What the plan has of trunked networks, and where new channels go. */
  readonly control: ReturnType<typeof controlContext>;
  readonly today: string;
  readonly mayEdit: boolean;
  readonly first: string | null;
}

/** The state of the stations: which is open, and what is said of each. */
export function useStationDesk(props: StationProps) {
  const stations = useHeld('stations', props.stations, {
    names: { person: props.people },
  });
  const [openId, setOpenId] = useState(props.first);
  useAddress('station', openId);
  const [faults, setFaults] = useState<readonly Finding[]>([]);
  const reviews = useMemo(
    () => new Map(stations.held.map(({ value }) => [value.id, reviewStation(value, props.today)])),
    [stations.held, props.today],
  );
  const open = stations.held.find(({ value }) => value.id === openId) ?? null;
  useEffect(() => {
    if (props.first) document.getElementById(`station-${props.first}`)?.scrollIntoView({ block: 'nearest' });
  }, [props.first]);

  const addFact = (held: Held<Station>, fact: StationFact) =>
    stations.save({ ...held.value, facts: [...held.value.facts, fact] }, held.version);
  const dropFact = (held: Held<Station>, fact: StationFact) =>
    stations.save({ ...held.value, facts: held.value.facts.filter((other) => other !== fact) }, held.version);

  const [control, setControl] = useState(props.control);
  /** Puts the control channels of a trunked site into the plan, one after another. */
  const addControl = async (station: Station) => {
    const added = controlChannels(station, control, () => crypto.randomUUID());
    try {
      for (const channel of added) {
        await call('POST /api/plans/[planId]/channels', { planId: props.planId }, { value: channel });
        setControl((before) => ({ ...before, channels: [...before.channels, channel] }));
      }
      $notice.set({
        text:
          added.length === 1
            ? 'One control channel is in the plan.'
            : `${added.length} control channels are in the plan.`,
        kind: 'done',
      });
    } catch (error) {
      $notice.set({ text: failureText(error), kind: 'failed' });
    }
  };

  const takeGeoJson = async (file: File) => {
    setFaults([]);
    try {
      const { stations: found, findings } = stationsFromGeoJson(JSON.parse(await file.text()), () =>
        crypto.randomUUID(),
      );
      setFaults(findings);
      if (found.length === 0) return;
      const { added, editId } = await call('POST /api/roster/import', {}, { stations: found });
      const done = { text: `${counted(added, 'station')} added.`, kind: 'done', editId } as const;
      if (findings.length === 0) {
        sayAfterLoad(done);
        window.location.reload();
      } else $notice.set({ ...done, text: `${done.text} Load the page to see what came in.` });
    } catch (error) {
      if (error instanceof SyntaxError)
        setFaults([{ code: 'document-not-json', severity: 'error', path: '', detail: error.message }]);
      else $notice.set({ text: failureText(error), kind: 'failed' });
    }
  };
  return {
    ...props,
    control,
    addControl,
    stations,
    reviews,
    open,
    setOpenId,
    addFact,
    dropFact,
    takeGeoJson,
    faults,
  };
}
