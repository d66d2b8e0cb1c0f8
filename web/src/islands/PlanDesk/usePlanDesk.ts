import type { Cell, Verdict } from '@umbrex/core/fit';
import type { Channel } from '@umbrex/core/model';
import type { Neighbour } from '@umbrex/core/tones';
import { useEffect, useMemo, useState } from 'react';
import { useAddress } from '../../ui/address';
import { Coming, useComing } from '../../ui/coming';
import { mayLeave } from '../../ui/unsaved';
import { call, failureText, newerOf, Refusal } from '../desk/api';
import { $notice, type DeskState, deleteChannel, reorder } from '../desk/deskStore';
import { useDesk } from '../desk/useDesk';
import type { RosterPerson } from './MayTransmit';

/** What the fleet makes of one channel: how many units end in each verdict, and each kind's cell. */
export interface ChannelFit {
  readonly counts: Readonly<Record<Verdict, number>>;
  readonly kinds: readonly { title: string; descriptionId: string; units: number; cell: Cell }[];
}

/** The tables of all services, for finding channels by what services and older listings call them. */
const RULES = new Coming(() => import('@umbrex/core/rules').then(({ aliasesOf }) => ({ aliasesOf })), 'soon');

/** The state of the plan's desk: what is selected, what the fleet makes of it, moving and deleting. */
export function usePlanDesk(
  initial: Omit<DeskState, 'computing'>,
  first: string | null,
  around: { neighbours: readonly Neighbour[]; people: readonly RosterPerson[]; today: string },
) {
  const desk = useDesk(initial);
  const { plan, board } = desk;
  const [selectedId, setSelectedId] = useState<string | null>(first);
  const [importFindings, setImportFindings] = useState<Refusal['findings']>([]);
  const [filter, setFilter] = useState('');
  useAddress('channel', selectedId);

  useEffect(() => {
    const show = (event: Event) => {
      const id = (event as CustomEvent<string>).detail;
      setSelectedId(id);
      requestAnimationFrame(() =>
        document.getElementById(`channel-${id}`)?.scrollIntoView({ block: 'nearest' }),
      );
    };
    document.addEventListener('umbrex:added', show);
    return () => document.removeEventListener('umbrex:added', show);
  }, []);

  const fits = useMemo(() => {
    const byChannel = new Map<string, ChannelFit>();
    for (const channel of plan.channels)
      byChannel.set(channel.id, {
        counts: { full: 0, adapted: 0, listen: 0, no: 0, unknown: 0, apart: 0 },
        kinds: [],
      });
    for (const kind of board.kinds)
      for (const cell of kind.cells) {
        const fit = byChannel.get(cell.channelId);
        if (!fit) continue;
        (fit.counts as Record<Verdict, number>)[cell.verdict] += kind.unitIds.length;
        (fit.kinds as ChannelFit['kinds'][number][]).push({
          title: kind.title,
          descriptionId: kind.key,
          units: kind.unitIds.length,
          cell,
        });
      }
    return byChannel;
  }, [plan, board]);

  const move = (id: string, overId: string) => {
    const from = plan.channels.findIndex((channel) => channel.id === id);
    const over = plan.channels.find((channel) => channel.id === overId);
    const moved = plan.channels[from];
    if (!moved || !over || id === overId) return;
    const to = plan.channels.indexOf(over);
    const rest = plan.channels.filter((channel) => channel.id !== id);
    const at = rest.indexOf(over) + (from < to && moved.groupId === over.groupId ? 1 : 0);
    void reorder(rest.toSpliced(at, 0, { ...moved, groupId: over.groupId }));
  };

  /** One place up or down among the channels as they are shown, into the next group at a group's end. */
  const nudge = (id: string, by: -1 | 1) => {
    const shown = plan.groups.flatMap((group) =>
      plan.channels.filter((channel) => channel.groupId === group.id),
    );
    const at = shown.findIndex((channel) => channel.id === id);
    const other = shown[at + by];
    const moved = shown[at];
    if (!other || !moved) return;
    const same = other.groupId === moved.groupId;
    const next = same ? moved : { ...moved, groupId: other.groupId };
    void reorder(same ? shown.with(at, other).with(at + by, moved) : shown.with(at, next));
    requestAnimationFrame(() => document.getElementById(`open-${id}`)?.focus());
  };

  const remove = async (channel: Channel) => {
    if (await deleteChannel(channel)) setSelectedId(null);
  };

  const removePlan = async () => {
    try {
      await call('DELETE /api/plans/[planId]', { planId: plan.id }, { version: desk.version });
      window.location.assign('/');
    } catch (error) {
      $notice.set({
        text:
          newerOf<{ last?: string } | null>(error)?.current?.last !== undefined
            ? 'This is the only plan. Make or bring in another one first.'
            : failureText(
                error,
                'Somebody changed the plan meanwhile. Load it again, then delete it if you still want to.',
              ),
        kind: 'failed',
      });
    }
  };

  const importFile = async (file: File) => {
    setImportFindings([]);
    let document: unknown;
    try {
      document = JSON.parse(await file.text());
    } catch (error) {
      setImportFindings([{ code: 'document-not-json', severity: 'error', path: '', detail: String(error) }]);
      return;
    }
    try {
      const { id } = await call('POST /api/plans', {}, document);
      window.location.assign(`/plans/${id}`);
    } catch (error) {
      if (error instanceof Refusal && error.findings.length > 0) setImportFindings(error.findings);
      else $notice.set({ text: failureText(error), kind: 'failed' });
    }
  };

  const devices = useMemo(() => {
    const held = new Set(desk.units.map((unit) => unit.descriptionId));
    return desk.descriptions.filter((description) => held.has(description.id));
  }, [desk.units, desk.descriptions]);

  const needle = filter.trim().toLowerCase();
  const rules = useComing(RULES);
  useEffect(() => {
    if (needle !== '') RULES.fetch();
  }, [needle]);
  const searched = useMemo(() => {
    const aliasesOf = typeof rules === 'object' ? rules.aliasesOf : ({ aliases }: Channel) => aliases;
    const context = { country: plan.country, licensed: plan.licensed };
    return new Map(
      plan.channels.map((channel) => {
        const hz = [channel.receiveHz, ...(channel.transmitHz === null ? [] : [channel.transmitHz])].map(
          (f) => (f / 1e6).toFixed(5),
        );
        return [
          channel.id,
          [channel.name, channel.note, ...hz, ...aliasesOf(channel, context)].join('\n').toLowerCase(),
        ];
      }),
    );
  }, [plan, rules]);
  const matches = (channel: Channel) => needle === '' || (searched.get(channel.id) ?? '').includes(needle);
  const selected = plan.channels.find((channel) => channel.id === selectedId) ?? null;
  return {
    desk,
    plan,
    devices,
    ...around,
    removePlan,
    fits,
    selected,
    /** Opens another channel, or none, unless words would be lost that somebody wants to keep. */
    select: (id: string | null) => {
      if (mayLeave()) setSelectedId(id);
    },
    close: () => setSelectedId(null),
    move,
    nudge,
    remove,
    importFile,
    importFindings,
    filter,
    setFilter,
    /** Whether what services call the channels is looked through as well: it may be on its way, or could not be fetched. */
    looksThrough: typeof rules === 'object' ? ('all' as const) : rules === 'failed' ? 'plan' : 'not yet',
    matches,
  };
}
