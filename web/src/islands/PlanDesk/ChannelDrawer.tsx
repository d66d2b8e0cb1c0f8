import { decisive } from '@umbrex/core/fit';
import { type Channel, type Description, type Group, type Plan, wantedReceiveTone } from '@umbrex/core/model';
import type { Grounds } from '@umbrex/core/rules';
import type { Neighbour } from '@umbrex/core/tones';
import { ArrowDown, ArrowUp, Trash2 } from 'lucide-react';
import { PathStrip, stripWords } from '../../components/PathStrip';
import { Shape } from '../../components/Shape';
import { findingText } from '../../messages/findings';
import { useRows } from '../../ui/rows';
import { saveChannel } from '../desk/deskStore';
import { ChannelForm } from './ChannelForm';
import { MayTransmit, type RosterPerson } from './MayTransmit';
import { ToneAdvisor } from './ToneAdvisor';
import type { ChannelFit } from './usePlanDesk';

interface Props {
  channel: Channel;
  version: number;
  groups: readonly Group[];
  fit: ChannelFit | undefined;
  plan: Plan;
  /** The kinds of device that the fleet has. */
  devices: readonly Description[];
  neighbours: readonly Neighbour[];
  people: readonly RosterPerson[];
  keepers: Pick<Grounds, 'refused' | 'unsettled'>;
  /** The day it is, as YYYY-MM-DD. */
  today: string;
  mayEdit: boolean;
  nudge: (id: string, by: -1 | 1) => void;
  remove: (channel: Channel) => Promise<void>;
}

/** A channel's details: its path drawn large, what each kind of device makes of it and why, and the fields to change. */
export function ChannelDrawer(props: Props) {
  const {
    channel,
    version,
    groups,
    fit,
    plan,
    devices,
    neighbours,
    people,
    today,
    keepers,
    mayEdit,
    nudge,
    remove,
  } = props;
  const kinds = useRows<HTMLUListElement>();
  const waitsFor = wantedReceiveTone(channel, plan.receivePolicy);
  return (
    <div className="space-y-4 [--strip-ground:var(--color-base-100)]">
      <PathStrip channel={channel} waitsFor={waitsFor} large />
      <p className="text-plain">{stripWords(channel, waitsFor)}</p>
      {channel.listed && (
        <p className="muted text-small">
          From {channel.listed.source},{' '}
          {channel.listed.changed === 'unknown' ? 'undated' : `changed ${channel.listed.changed}`}, taken{' '}
          {channel.listed.taken}.
        </p>
      )}
      <section>
        <h3 className="muted font-semibold">On the devices</h3>
        {fit && fit.kinds.length > 0 ? (
          <ul {...kinds} className="mt-1 space-y-2">
            {fit.kinds.map(({ title, descriptionId, units, cell }) => {
              const first = decisive(cell);
              const why = cell.verdict === 'full' || !first ? null : findingText(first);
              return (
                <li key={descriptionId} data-item className="flex gap-2">
                  <span className="pt-0.5">
                    <Shape verdict={cell.verdict} label />
                  </span>
                  <span className="min-w-0">
                    <a
                      data-row
                      id={`on-${descriptionId}`}
                      className="link link-hover font-semibold"
                      href={`/plans/${plan.id}/fit?channel=${channel.id}&kind=${descriptionId}`}
                    >
                      {title}
                    </a>{' '}
                    <span className="muted">
                      × {units}
                      {cell.slot && (
                        <span>
                          {' '}
                          at{' '}
                          {cell.slot.label === String(cell.slot.number)
                            ? cell.slot.number
                            : `${cell.slot.label}, no ${cell.slot.number}`}
                        </span>
                      )}
                    </span>
                    {why && <span className="block text-small">{why.what}</span>}
                  </span>
                </li>
              );
            })}
          </ul>
        ) : (
          <p>No device is in the list yet. Add one under Devices.</p>
        )}
      </section>
      <MayTransmit
        channel={channel}
        plan={plan}
        devices={devices}
        people={people}
        today={today}
        keepers={keepers}
      />
      <ToneAdvisor
        channel={channel}
        plan={plan}
        devices={devices}
        neighbours={neighbours}
        save={mayEdit ? saveChannel : null}
      />
      {mayEdit && (
        <>
          <section className="border-t border-base-300 pt-3">
            <h3 className="muted mb-2 font-semibold">Details</h3>
            <ChannelForm
              channel={channel}
              version={version}
              groups={groups}
              country={plan.country}
              save={saveChannel}
            />
          </section>
          <div className="flex flex-wrap gap-2 border-t border-base-300 pt-3">
            <button type="button" className="btn btn-outline btn-sm" onClick={() => nudge(channel.id, -1)}>
              <ArrowUp size={16} aria-hidden="true" /> Up
            </button>
            <button type="button" className="btn btn-outline btn-sm" onClick={() => nudge(channel.id, 1)}>
              <ArrowDown size={16} aria-hidden="true" /> Down
            </button>
            <button
              type="button"
              className="btn btn-outline btn-error btn-sm"
              onClick={() => void remove(channel)}
            >
              <Trash2 size={16} aria-hidden="true" /> Delete channel
            </button>
          </div>
        </>
      )}
    </div>
  );
}
