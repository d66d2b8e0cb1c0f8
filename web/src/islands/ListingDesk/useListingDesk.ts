import type { PlanCountry } from '@umbrex/core/facts';
import type { Finding } from '@umbrex/core/findings';
import type { DirectoryReading } from '@umbrex/core/formats';
import { readEntry } from '@umbrex/core/listing';
import type { NamedPlace, Plan } from '@umbrex/core/model';
import { useMemo, useState } from 'react';
import { call, failureText } from '../desk/api';
import { $notice } from '../desk/deskStore';
import type { EntryGroup } from '../desk/entryGroup';
import { useAddMany } from '../desk/useAddMany';

export interface ListingProps {
  readonly plan: Plan;
  readonly country: PlanCountry;
  readonly groups: readonly EntryGroup[];
  /** The day it is, as YYYY-MM-DD. */
  readonly today: string;
}

type Search =
  | { ok: true; place: NamedPlace; reading: DirectoryReading }
  | { ok: false; findings: readonly Finding[]; places: readonly NamedPlace[] };

/** Coordinates as people write them, `41.273, -38.501`, or a place's name. */
function nearOf(text: string): string | { latitudeDeg: number; longitudeDeg: number } {
  const match = /^\s*(-?\d{1,2}(?:\.\d+)?)\s*[,; ]\s*(-?\d{1,3}(?:\.\d+)?)\s*$/.exec(text);
  return match ? { latitudeDeg: Number(match[1]), longitudeDeg: Number(match[2]) } : text.trim();
}

/** The state of the directory search: where and how far, what was found and how it reads, what is chosen and added. */
export function useListingDesk({ plan, country, groups, today }: ListingProps) {
  const [near, setNear] = useState('');
  const [withinKm, setWithinKm] = useState(50);
  const [busy, setBusy] = useState(false);
  const [search, setSearch] = useState<Search | null>(null);
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const [groupId, setGroupId] = useState('');
  const adding = useAddMany<string>(plan.id, groups);

  const ask = async (where = near) => {
    if (where.trim() === '' || busy) return;
    setNear(where);
    setBusy(true);
    try {
      setSearch(
        await call('POST /api/directory/search', {}, { near: nearOf(where), withinM: withinKm * 1000 }),
      );
      setChosen(new Set());
      adding.forget();
    } catch (error) {
      $notice.set({ text: failureText(error), kind: 'failed' });
    }
    setBusy(false);
  };

  const rows = useMemo(() => {
    if (!search?.ok) return [];
    const { source, found } = search.reading;
    return found.map((seen) => ({
      ...seen,
      reading: readEntry(seen.entry, { country, source, taken: today, planned: plan.channels }),
    }));
  }, [search, country, today, plan]);

  const toggle = (id: string) =>
    setChosen((now) => {
      const next = new Set(now);
      if (!next.delete(id)) next.add(id);
      return next;
    });
  const toAdd = rows.flatMap(({ entry, reading }) =>
    chosen.has(entry.id) && !adding.added.has(entry.id) && reading.channel
      ? [{ key: entry.id, channel: reading.channel }]
      : [],
  );
  return {
    plan,
    groups,
    near,
    setNear,
    withinKm,
    setWithinKm,
    busy,
    search,
    ask,
    rows,
    chosen,
    toggle,
    groupId,
    setGroupId,
    toAdd,
    ...adding,
  };
}
