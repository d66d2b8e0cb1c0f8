import type { Net } from '@umbrex/core/model';
import { withCheckIn, withNewList } from '@umbrex/core/nets';
import { useState } from 'react';
import type { CardLink } from '../../contract/card';
import { type Held, useHeld } from '../desk/useHeld';

export interface NetProps {
  readonly planId: string;
  readonly hasCalendar: boolean;
  /** The links that were given out; `null` for those who give out none. */
  readonly links: readonly CardLink[] | null;
  readonly today: string;
  /** When the page was made, in milliseconds of UTC. */
  readonly nowMs: number;
  readonly nets: readonly Held<Net>[];
  /** `forNets`: it is talked on, and no distress or calling channel. */
  readonly channels: readonly { id: string; name: string; forNets: boolean }[];
  readonly people: readonly string[];
  readonly timeZone: string;
  readonly mayEdit: boolean;
}

/** The state of the nets: which is open for change. */
export function useNetDesk(props: NetProps) {
  const name = new Map(props.channels.map((channel) => [channel.id, channel.name]));
  const nets = useHeld('nets', props.nets, {
    names: { channel: props.channels },
  });
  const [openId, setOpenId] = useState<string | null>(null);
  const open = nets.held.find(({ value }) => value.id === openId) ?? null;
  const checkIn = ({ value, version }: Held<Net>, who: string, note: string) =>
    nets.save(withCheckIn(value, { who, note }, Date.now()), version);
  const beginList = ({ value, version }: Held<Net>) => nets.save(withNewList(value, Date.now()), version);
  return {
    ...props,
    nets,
    open,
    openId,
    setOpenId,
    channelName: (id: string | null) => (id === null ? null : (name.get(id) ?? 'a channel that is gone')),
    checkIn,
    beginList,
  };
}
