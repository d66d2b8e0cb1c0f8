import { useVirtualizer } from '@tanstack/react-virtual';
import { awayOf, countThere } from '@umbrex/core/evidence';
import type { Cell, Verdict } from '@umbrex/core/fit';
import type { Channel, Unit } from '@umbrex/core/model';
import {
  type KeyboardEvent,
  startTransition,
  useDeferredValue,
  useEffect,
  useMemo,
  useRef,
  useState,
} from 'react';
import { besidesAway, setsThere } from '../../messages/rollout';
import { VERDICTS } from '../../messages/verdicts';
import type { DeskState } from '../desk/deskStore';
import { useDesk } from '../desk/useDesk';

/** A column of the board: a kind of device, or one of its units when the kind is opened. */
export interface Column {
  readonly key: string;
  readonly kindKey: string;
  readonly title: string;
  readonly under: string;
  readonly unit: Unit | null;
  readonly cells: ReadonlyMap<string, Cell>;
  /** What it stands for: how many sets, or of which kind the one is. */
  readonly of: string;
}

export interface Place {
  readonly channelId: string;
  readonly column: string;
}

/** A line of the board: the name of a group, or a channel. */
export type Line =
  | { readonly kind: 'group'; readonly id: string; readonly name: string }
  | { readonly kind: 'channel'; readonly id: string; readonly channel: Channel };

const ROW_PX = 42;
const DENSE_PX = 18;
const GROUP_PX = 34;

/** The state of the board: its columns and rows, the place in hand, what is filtered, which kinds are opened. */
export function useFitBoard(initial: Omit<DeskState, 'computing'>, first: Partial<Place>) {
  const live = useDesk(initial);
  // Drawn in slices between frames: a large board never holds up typing or scrolling.
  const desk = useDeferredValue(live);
  const { plan, board, units } = desk;
  const [opened, setOpened] = useState<ReadonlySet<string>>(new Set());
  const [only, setOnly] = useState<ReadonlySet<Verdict>>(new Set(VERDICTS));
  const [dense, setDense] = useState(false);
  const [pair, setPair] = useState<readonly [string, string]>(['', '']);
  /** Whether another place or name counts as a difference too, or only what the two can do. */
  const [placesToo, setPlacesToo] = useState(false);

  const gone = useMemo(() => awayOf(units), [units]);

  const allColumns = useMemo(() => {
    const byUnit = new Map(units.map((unit) => [unit.id, unit]));
    return board.kinds.flatMap((kind): Column[] => {
      const cells = new Map(kind.cells.map((cell) => [cell.channelId, cell]));
      const { there, away } = countThere(kind.unitIds, gone);
      if (!opened.has(kind.key))
        return [
          {
            key: kind.key,
            kindKey: kind.key,
            title: kind.title,
            under: `× ${there}${besidesAway(away)}`,
            unit: null,
            cells,
            of: setsThere({ there, away }),
          },
        ];
      return kind.unitIds.flatMap((id) => {
        const unit = byUnit.get(id);
        return unit
          ? [
              {
                key: id,
                kindKey: kind.key,
                title: unit.nickname,
                under: kind.title,
                unit,
                cells,
                of: kind.title,
              },
            ]
          : [];
      });
    });
  }, [board, units, gone, opened]);

  // Two devices side by side: only they, and only where they are not alike. One that is gone is no longer compared.
  const compared = useMemo(
    () => pair.flatMap((key) => allColumns.find((column) => column.key === key) ?? []),
    [pair, allColumns],
  );
  const [one, other] = compared;
  const columns = one && other ? compared : allColumns;

  const rows = useMemo(() => {
    const shown = (channel: Channel) =>
      (!one || !other || !isAlike(one.cells.get(channel.id), other.cells.get(channel.id), placesToo)) &&
      (only.size === VERDICTS.length ||
        board.kinds.some((kind) =>
          kind.cells.some((cell) => cell.channelId === channel.id && only.has(cell.verdict)),
        ));
    return plan.groups
      .map((group) => ({
        group,
        channels: plan.channels.filter((channel) => channel.groupId === group.id && shown(channel)),
      }))
      .filter(({ channels }) => channels.length > 0);
  }, [plan, board, only, one, other, placesToo]);
  const order = useMemo(() => rows.flatMap(({ channels }) => channels), [rows]);

  const lines = useMemo(
    () =>
      rows.flatMap(({ group, channels }): Line[] => [
        ...(dense ? [] : [{ kind: 'group' as const, id: group.id, name: group.name }]),
        ...channels.map((channel) => ({ kind: 'channel' as const, id: channel.id, channel })),
      ]),
    [rows, dense],
  );
  // Only the rows in sight are drawn, so that an edit never holds the page up, however large the board is.
  const scroller = useRef<HTMLDivElement>(null);
  const virtual = useVirtualizer({
    count: lines.length,
    getScrollElement: () => scroller.current,
    estimateSize: (i) => (lines[i]?.kind === 'group' ? GROUP_PX : dense ? DENSE_PX : ROW_PX),
    getItemKey: (i) => lines[i]?.id ?? i,
    overscan: 6,
    initialRect: { width: 900, height: 640 },
  });
  // biome-ignore lint/correctness/useExhaustiveDependencies: rows have another height when `dense` changes
  useEffect(() => virtual.measure(), [virtual, dense]);

  const [place, setPlace] = useState<Place | null>(() => {
    const wanted = columns.find((column) => column.key === first.column);
    return wanted && first.channelId && order.some((channel) => channel.id === first.channelId)
      ? { channelId: first.channelId, column: wanted.key }
      : null;
  });
  const at =
    place && columns.some((c) => c.key === place.column) && order.some((c) => c.id === place.channelId)
      ? place
      : null;
  const focusable: Place | null =
    at ?? (order[0] && columns[0] ? { channelId: order[0].id, column: columns[0].key } : null);

  const focusCell = (next: Place) => {
    setPlace(next);
    virtual.scrollToIndex(lines.findIndex((line) => line.id === next.channelId));
    requestAnimationFrame(() => requestAnimationFrame(() => document.getElementById(cellId(next))?.focus()));
  };
  const onKeyDown = (event: KeyboardEvent) => {
    if (!focusable || event.altKey || event.ctrlKey || event.metaKey) return;
    const row = order.findIndex((channel) => channel.id === focusable.channelId);
    const column = columns.findIndex((c) => c.key === focusable.column);
    const to = {
      ArrowUp: [-1, 0],
      ArrowDown: [1, 0],
      ArrowLeft: [0, -1],
      ArrowRight: [0, 1],
      Home: [0, -column],
      End: [0, columns.length - 1 - column],
      PageUp: [-10, 0],
      PageDown: [10, 0],
    }[event.key];
    if (!to) return;
    event.preventDefault();
    const clamp = (value: number, length: number) => Math.max(0, Math.min(length - 1, value));
    const channel = order[clamp(row + (to[0] ?? 0), order.length)];
    const next = columns[clamp(column + (to[1] ?? 0), columns.length)];
    if (channel && next) focusCell({ channelId: channel.id, column: next.key });
  };

  const toggleKind = (kindKey: string) => {
    startTransition(() =>
      setOpened((now) => {
        const next = new Set(now);
        if (!next.delete(kindKey)) next.add(kindKey);
        return next;
      }),
    );
  };
  const toggleVerdict = (verdict: Verdict) =>
    setOnly((now) => {
      const next = new Set(now);
      if (!next.delete(verdict)) next.add(verdict);
      return next.size === 0 ? new Set(VERDICTS) : next;
    });

  const counts = useMemo(() => {
    const sums: Record<Verdict, number> = { full: 0, adapted: 0, listen: 0, no: 0, unknown: 0, apart: 0 };
    for (const kind of board.kinds) {
      const { there } = countThere(kind.unitIds, gone);
      for (const cell of kind.cells) sums[cell.verdict] += there;
    }
    return sums;
  }, [board, gone]);

  return {
    desk,
    plan,
    columns,
    allColumns,
    pair,
    setPair,
    placesToo,
    setPlacesToo,
    isCompared: one !== undefined && other !== undefined,
    rows,
    place: at,
    focusable,
    setPlace,
    onKeyDown,
    opened,
    toggleKind,
    only,
    toggleVerdict,
    counts,
    fleet: setsThere({ there: units.length - gone.size, away: gone.size }),
    lines,
    scroller,
    virtual,
    dense,
    setDense,
  };
}

/** Whether two devices do the same with a channel; with `placesToo` also at the same place and under the same name. */
function isAlike(a: Cell | undefined, b: Cell | undefined, placesToo: boolean): boolean {
  if (a?.verdict !== b?.verdict) return false;
  return !placesToo || (a?.slot?.label === b?.slot?.label && a?.name === b?.name);
}

export const cellId = (place: Place): string => `cell-${place.channelId}-${place.column}`;
