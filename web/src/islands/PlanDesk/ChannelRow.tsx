import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { type Channel, kindOf, wantedReceiveTone } from '@umbrex/core/model';
import { GripVertical } from 'lucide-react';
import { memo } from 'react';
import { PathStrip } from '../../components/PathStrip';
import { Shape } from '../../components/Shape';
import { STATE_TEXT } from '../../messages/channelState';
import { VERDICT_TEXT, VERDICTS } from '../../messages/verdicts';
import type { ChannelFit } from './usePlanDesk';

interface Props {
  channel: Channel;
  fit: ChannelFit | undefined;
  selected: boolean;
  planPolicy: 'open' | 'closed';
  select: (id: string) => void;
  nudge: (id: string, by: -1 | 1) => void;
  mayEdit: boolean;
}

/** One channel of the plan: its name, its path, and what the fleet makes of it. */
export const ChannelRow = memo(function ChannelRow({
  channel,
  fit,
  selected,
  planPolicy,
  select,
  nudge,
  mayEdit,
}: Props) {
  const { setNodeRef, attributes, listeners, transform, transition, isDragging } = useSortable({
    id: channel.id,
  });
  const counts = VERDICTS.filter((verdict) => (fit?.counts[verdict] ?? 0) > 0);
  return (
    <li
      data-item
      ref={setNodeRef}
      id={`channel-${channel.id}`}
      style={{ transform: CSS.Transform.toString(transform), transition }}
      className={`flex items-stretch border-b border-base-300 ${selected ? 'bg-base-100 outline-2 outline-primary -outline-offset-2 [--strip-ground:var(--color-base-100)]' : ''} ${isDragging ? 'z-10 bg-base-100 shadow-lg' : ''}`}
    >
      {mayEdit && (
        <button
          type="button"
          {...attributes}
          {...listeners}
          tabIndex={-1}
          data-aside
          className="muted flex w-7 shrink-0 cursor-grab touch-none items-center justify-center hover:text-base-content"
          aria-label={`Move ${channel.name}`}
        >
          <GripVertical size={16} aria-hidden="true" />
        </button>
      )}
      <button
        type="button"
        id={`open-${channel.id}`}
        data-row
        className="grid min-w-0 grow cursor-pointer grid-cols-[minmax(8.5rem,1fr)_auto_10.5rem] items-center gap-x-3 py-1 pr-2 text-left hover:bg-base-100 hover:[--strip-ground:var(--color-base-100)] max-sm:grid-cols-[1fr_auto]"
        aria-pressed={selected}
        onClick={() => select(channel.id)}
        onKeyDown={(event) => {
          if (!mayEdit || !event.altKey || (event.key !== 'ArrowUp' && event.key !== 'ArrowDown')) return;
          event.preventDefault();
          nudge(channel.id, event.key === 'ArrowUp' ? -1 : 1);
        }}
      >
        <span className="min-w-0">
          <span className="block truncate font-semibold leading-tight">{channel.name}</span>
          <span className="muted block truncate text-sub">{subline(channel)}</span>
        </span>
        <span className="max-sm:order-last max-sm:col-span-2 max-sm:justify-self-center">
          <PathStrip channel={channel} waitsFor={wantedReceiveTone(channel, planPolicy)} />
        </span>
        <span className="flex flex-wrap gap-x-2 text-sub">
          {counts.map((verdict) => (
            <span
              key={verdict}
              className="inline-flex items-center gap-1 font-mono"
              title={`${fit?.counts[verdict]} ${VERDICT_TEXT[verdict].word}`}
            >
              <Shape verdict={verdict} size={14} label />
              {fit?.counts[verdict]}
            </span>
          ))}
        </span>
      </button>
    </li>
  );
});

function subline(channel: Channel): string {
  const access = { open: 'open', permission: 'by permission', unknown: '' }[channel.access];
  const state = channel.state === 'on-air' ? '' : STATE_TEXT[channel.state];
  const tier = { must: 'must have', should: '', nice: '' }[channel.tier];
  const scan = { priority: 'priority in scans', out: 'not in scans', in: '', usual: '' }[channel.scan];
  const parts = [kindOf(channel) === 'listen' ? '' : access, state, tier, scan, channel.note].filter(Boolean);
  return (
    parts.join(' · ') || { repeater: 'repeater', direct: 'direct', listen: 'listen only' }[kindOf(channel)]
  );
}
