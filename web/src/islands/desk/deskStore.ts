import type { Names, ThingKind } from '@umbrex/core/fields';
import type { Board } from '@umbrex/core/fit';
import type { Channel, ChannelDraft, Description, Plan, PlanHead, Unit } from '@umbrex/core/model';
import type { Grounds } from '@umbrex/core/rules';
import { atom } from 'nanostores';
import type { PlanState } from '../../contract/routes';
import type { Versioned } from '../../contract/things';
import { counted } from '../../messages/labels';
import { boardInWorker } from '../../workers/fitClient';
import { call, failureText, isGone, newerOf } from './api';

/** What the islands of a page share: the plan with its versions, the fleet, and the board computed from them. */
export interface DeskState {
  readonly plan: Plan;
  readonly version: number;
  readonly channelVersions: Readonly<Record<string, number>>;
  readonly units: readonly Unit[];
  /** Without their keys: what the fit needs. */
  readonly descriptions: readonly Description[];
  readonly board: Board;
  /** Who sends with each of the sets, on the day on which they are loaded; as fresh as the plan. */
  readonly grounds: Grounds;
  /** For what sets are set up. */
  readonly teams: readonly { id: string; name: string }[];
  /** Whether this role may change what is here; the server refuses it in any case. */
  readonly mayEdit: boolean;
  readonly computing: boolean;
}

/** A line at the foot of the page; with `editId` it can be undone from there. */
export interface Notice {
  readonly text: string;
  readonly kind: 'done' | 'failed';
  readonly editId?: string;
}

/** Two versions of one thing: what one wanted to save, and what somebody else saved meanwhile. */
export interface Conflict {
  readonly kind: ThingKind;
  readonly name: string;
  readonly mine: object;
  /** `null`: deleted. */
  readonly theirs: object | null;
  /** What ids inside of it stand for. */
  readonly names: Names;
  readonly keepTheirs: () => Promise<unknown>;
  readonly keepMine: () => Promise<unknown>;
}

export const $desk = atom<DeskState | null>(null);
export const $notice = atom<Notice | null>(null);
export const $conflict = atom<Conflict | null>(null);
/** Counts the clashes that were settled: a form that was part of one shows from then on what is saved. */
export const $settled = atom(0);

/**
 * Begins with what the server sent; later calls on the same page keep what is there. Only in a browser: on the server this
 * module lives longer than a request, and one visitor's plan must not show in another's page.
 */
export function startDesk(initial: Omit<DeskState, 'computing'>): void {
  if (typeof window === 'undefined') return;
  if ($desk.get() === null) $desk.set({ ...initial, computing: false });
}

/** The new plan with the old objects where a channel did not change, so that only what changed is drawn anew. */
function keepSame(before: Plan, after: Plan): Plan {
  const old = new Map(before.channels.map((channel) => [channel.id, channel]));
  const channels = after.channels.map((channel) => {
    const kept = old.get(channel.id);
    return kept && JSON.stringify(kept) === JSON.stringify(channel) ? kept : channel;
  });
  return { ...after, channels };
}

/** What ids stand for that a plan or one of its channels names. */
function namesIn({ plan, descriptions, teams, units }: DeskState): Names {
  return {
    team: teams,
    unit: units.map(({ id, nickname }) => ({ id, name: nickname })),
    group: plan.groups,
    channel: plan.channels,
    kind: descriptions.map(({ id, title }) => ({ id, name: title })),
  };
}

let round = 0;
function adopt(change: Partial<PlanState & Pick<DeskState, 'grounds'>>): void {
  const desk = $desk.get();
  if (!desk) return;
  const plan = change.plan ? keepSame(desk.plan, change.plan) : desk.plan;
  const next = { ...desk, ...change, plan, computing: true };
  $desk.set(next);
  const mine = ++round;
  boardInWorker(next.plan, next).then(
    (board) => {
      const now = $desk.get();
      if (now && mine === round) $desk.set({ ...now, board, computing: false });
    },
    () => fail('The fit could not be computed. Load the page again.'),
  );
}

function fail(text: string): void {
  $notice.set({ text, kind: 'failed' });
}

/** Fetches the plan anew, and who may send. */
export async function reloadPlan(planId: string): Promise<void> {
  const [state, grounds] = await Promise.all([
    call('GET /api/plans/[planId]', { planId }),
    call('GET /api/plans/[planId]/grounds', { planId }),
  ]);
  adopt({ ...state, grounds });
}

/** Adds a channel; answers it, or `undefined` when it was refused (a notice says why). The id makes a retry harmless. */
export async function addChannel(
  planId: string,
  groupId: string,
  draft: ChannelDraft,
  id: string,
): Promise<Channel | undefined> {
  const channel: Channel = { id, groupId, ...draft };
  try {
    const saved = await call('POST /api/plans/[planId]/channels', { planId }, { value: channel });
    if ($desk.get()) await reloadPlan(planId);
    $notice.set({
      text: `${channel.name} is in the plan.`,
      kind: 'done',
      ...(saved.editId && { editId: saved.editId }),
    });
    return channel;
  } catch (error) {
    fail(failureText(error));
    return undefined;
  }
}

/**
 * Adds some channels as part of a move; answers whether they are in (a notice says why not). Nothing is shown of it yet, so that the next part
 * follows at once.
 */
export async function addSome(planId: string, move: string, values: readonly Channel[]): Promise<boolean> {
  try {
    const at = { planId };
    await call('POST /api/plans/[planId]/channels/several', at, { move, values: [...values] });
    return true;
  } catch (error) {
    fail(failureText(error));
    return false;
  }
}

/** Shows what a move has added, and offers to take all of it back; what stopped it stays said beside. */
export async function showAdded(planId: string, move: string, count: number, of: number): Promise<void> {
  const stopped = $notice.get();
  if ($desk.get()) await reloadPlan(planId).catch(() => undefined);
  const text =
    count === of ? `${counted(count, 'channel')} added.` : `${count} of ${counted(of, 'channel')} added.`;
  const why = stopped?.kind === 'failed' ? ` It stopped there: ${stopped.text}` : '';
  $notice.set({ text: text + why, kind: 'done', editId: move });
}

const AFTER = 'umbrex.notice';
/** Says something on the page that is loaded next in this tab. */
export function sayAfterLoad(notice: Notice): void {
  sessionStorage.setItem(AFTER, JSON.stringify(notice));
}

/** Shows what the page before wanted to be said here. */
export function sayWhatWaits(): void {
  const text = sessionStorage.getItem(AFTER);
  sessionStorage.removeItem(AFTER);
  if (text) $notice.set(JSON.parse(text));
}

/** Saves a channel from the version it was changed from, else the one this desk holds; a clash opens the dialogue with both versions. */
export async function saveChannel(channel: Channel, version?: number): Promise<boolean> {
  const desk = $desk.get();
  if (!desk) return false;
  const from = version ?? desk.channelVersions[channel.id] ?? 0;
  try {
    const at = { channelId: channel.id };
    const saved = await call('PUT /api/channels/[channelId]', at, { version: from, value: channel });
    const now = $desk.get() ?? desk;
    adopt({
      plan: { ...now.plan, channels: now.plan.channels.map((c) => (c.id === channel.id ? channel : c)) },
      channelVersions: { ...now.channelVersions, [channel.id]: saved.version },
    });
    $notice.set(
      saved.editId
        ? { text: `${channel.name} is saved.`, kind: 'done', editId: saved.editId }
        : { text: 'Nothing was different.', kind: 'done' },
    );
    return true;
  } catch (error) {
    const clash = (theirs: Channel | null, at: number) =>
      $conflict.set({
        kind: 'channel',
        name: channel.name,
        mine: channel,
        theirs,
        names: namesIn(desk),
        keepTheirs: () => reloadPlan(desk.plan.id),
        keepMine: () => saveChannel(channel, at),
      });
    const first = newerOf<Versioned<Channel | null>>(error);
    if (first) clash(first.current.value, first.current.version);
    else if (isGone(error)) clash(null, 0);
    else fail(failureText(error));
    return false;
  }
}

/** Takes a channel out; the notice offers to take it back. */
export async function deleteChannel(channel: Channel): Promise<boolean> {
  const desk = $desk.get();
  if (!desk) return false;
  try {
    const { editId } = await call(
      'DELETE /api/channels/[channelId]',
      { channelId: channel.id },
      { version: desk.channelVersions[channel.id] ?? 0 },
    );
    await reloadPlan(desk.plan.id);
    $notice.set({ text: `${channel.name} is deleted.`, kind: 'done', editId });
    return true;
  } catch (error) {
    if (newerOf(error)) await reloadPlan(desk.plan.id).catch(() => undefined);
    fail(
      failureText(
        error,
        'Somebody changed this channel meanwhile. The newer one is shown; delete it again if you still want to.',
      ),
    );
    return false;
  }
}

/** Puts the channels in a new order, shown at once; a refusal brings the server's order back. */
export async function reorder(channels: readonly Channel[]): Promise<void> {
  const desk = $desk.get();
  if (!desk) return;
  adopt({ plan: { ...desk.plan, channels: [...channels] } });
  try {
    const order = channels.map(({ id, groupId }) => ({ id, groupId }));
    const at = { planId: desk.plan.id };
    const { editId } = await call('PUT /api/plans/[planId]/order', at, { version: desk.version, order });
    // What came into another group is a newer version of itself.
    await reloadPlan(desk.plan.id);
    $notice.set({ text: 'The order is saved.', kind: 'done', editId });
  } catch (error) {
    await reloadPlan(desk.plan.id).catch(() => undefined);
    fail(
      failureText(
        error,
        'Somebody changed the plan meanwhile. The newer order is shown; move the channel again.',
      ),
    );
  }
}

/** Saves the plan's name, policy, groups and numbers; a clash opens the dialogue with both versions. */
export async function savePlanHead(head: PlanHead, version?: number): Promise<boolean> {
  const desk = $desk.get();
  if (!desk) return false;
  const { id } = desk.plan;
  try {
    const body = { version: version ?? desk.version, value: head };
    const { editId } = await call('PUT /api/plans/[planId]', { planId: id }, body);
    await reloadPlan(id);
    $notice.set({
      text: editId ? 'The plan is saved.' : 'Nothing was different.',
      kind: 'done',
      ...(editId && { editId }),
    });
    return true;
  } catch (error) {
    const current = newerOf<Versioned<PlanHead | null> | null>(error)?.current;
    if (!current?.value) {
      fail(failureText(error));
      return false;
    }
    $conflict.set({
      kind: 'plan',
      name: current.value.name,
      mine: head,
      theirs: current.value,
      names: namesIn(desk),
      keepTheirs: () => reloadPlan(id),
      keepMine: () => savePlanHead(head, current.version),
    });
    return false;
  }
}

/** Takes an edit back, and loads what is then so. */
export async function undo(editId: string): Promise<void> {
  try {
    await call('POST /api/edits/[editId]/undo', { editId }, {});
    const desk = $desk.get();
    if (!desk) {
      // What the page shows was made by the server: it is made anew.
      sayAfterLoad({ text: 'Undone.', kind: 'done' });
      window.location.reload();
      return;
    }
    await reloadPlan(desk.plan.id);
    $notice.set({ text: 'Undone.', kind: 'done' });
    document.dispatchEvent(new CustomEvent('umbrex:undone'));
  } catch (error) {
    fail(
      isGone(error)
        ? 'It was undone already.'
        : failureText(error, 'It was changed again since, so it stays as it is.'),
    );
  }
}
