import { talkGoesOut } from '@umbrex/core/readiness';
import type { Knex } from 'knex';
import { channelNames } from '../../messages/channelState';
import type { Desk } from '../desk';
import { copyOfferFor, sheetOf } from '../sheetPage';
import { listThings } from '../store/store';
import { stepsShown } from './steps';

/** What is taken along to a bench day: its list, and the sheet of each set by the way in which it is loaded there; `undefined` where there is no such day. */
export async function packetView(
  db: Knex,
  desk: Desk,
  dayId: string,
  { signal, onSet }: { signal?: AbortSignal | undefined; onSet?: (done: number, of: number) => void } = {},
) {
  const { workspace, state } = desk;
  const [days, people] = await Promise.all([
    listThings(db, 'bench', workspace.id),
    listThings(db, 'person', workspace.id),
  ]);
  const day = days.find(({ value }) => value.id === dayId && value.planId === state.plan.id)?.value;
  if (!day) return undefined;
  const nicknames = new Map(desk.fleet.map(({ id, nickname }) => [id, nickname]));
  const tasks = day.tasks.toSorted((a, b) => a.fromMin - b.fromMin);
  const sheets = [];
  for (const [done, { setId, way }] of tasks.entries()) {
    onSet?.(done, tasks.length);
    await new Promise((resolve) => setImmediate(resolve));
    signal?.throwIfAborted();
    const data = sheetOf(desk, setId);
    if (!data) continue;
    const offer = way === 'copy' ? copyOfferFor(desk, data) : undefined;
    sheets.push({ way, offer, data, steps: stepsShown(data, null), talk: talkGoesOut(data.readiness) });
  }
  return {
    day,
    rows: tasks.map((task) => ({
      ...task,
      set: nicknames.get(task.setId) ?? 'a set that is not there any more',
      who: people.find(({ value }) => value.id === task.personId)?.value.name ?? '',
      from: task.masterId === null ? '' : (nicknames.get(task.masterId) ?? ''),
    })),
    sheets,
    names: channelNames(state.plan),
  };
}
