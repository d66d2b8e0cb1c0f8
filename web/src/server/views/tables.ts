import type { Cell } from '@umbrex/core/fit';
import { numbersWith } from '@umbrex/core/model';
import { mhzText } from '@umbrex/core/units';
import type { Knex } from 'knex';
import { findingText } from '../../messages/findings';
import { STANDING_TEXT, standingNote } from '../../messages/rollout';
import { VERDICT_TEXT } from '../../messages/verdicts';
import type { Desk } from '../desk';
import { rolloutView } from './rollout';

/** What is worked out of a plan, as a table for other programs: its columns, and a row for each thing. */
export interface ResultTable {
  readonly columns: readonly string[];
  readonly rows: readonly (readonly (string | number)[])[];
}

/** The number of each channel across the fleet, and where it is on each kind of set. */
export function numbersTable({ state: { plan }, board: { kinds } }: Desk): ResultTable {
  const numbers = numbersWith(plan);
  const held = new Set(plan.numbering?.pins ?? []);
  const groups = new Map(plan.groups.map(({ id, name }) => [id, name]));
  return {
    columns: ['Number', 'Held fast', 'Channel', 'Group', ...titles(kinds.map(({ title }) => title))],
    rows: plan.channels.map(({ id, name, groupId }) => [
      numbers[id] ?? '',
      held.has(id) ? 'yes' : '',
      name,
      groups.get(groupId) ?? '',
      ...kinds.map(({ cells }) => cells.find(({ channelId }) => channelId === id)?.slot?.label ?? ''),
    ]),
  };
}

/** Every channel on every kind of set: a row for each, with what it can do there, its place, and why. */
export function fitTable({ state: { plan }, board: { kinds } }: Desk): ResultTable {
  const channels = new Map(plan.channels.map((channel) => [channel.id, channel]));
  const why = ({ findings: [first] }: Cell) => (first ? findingText(first).what : '');
  return {
    columns: ['Channel', 'MHz', 'Kind', 'Sets', 'Verdict', 'Place', 'Label', 'Why'],
    rows: kinds.flatMap(({ title, unitIds, cells }) =>
      cells.flatMap((cell) => {
        const channel = channels.get(cell.channelId);
        if (!channel) return [];
        return [
          [
            channel.name,
            mhzText(channel.receiveHz),
            title,
            unitIds.length,
            VERDICT_TEXT[cell.verdict].word,
            cell.slot?.number ?? '',
            cell.slot?.label ?? '',
            why(cell),
          ],
        ];
      }),
    ),
  };
}

/** How each set stands with a published plan; without rows where nothing was published. */
export async function rolloutTable(db: Knex, desk: Desk): Promise<ResultTable> {
  const view = await rolloutView(db, desk);
  const teams = new Map(view?.teams.map(({ id, name }) => [id, name]));
  return {
    columns: ['Set', 'Kind', 'Holder', 'Teams', 'Standing', 'Note', 'Presses', 'Minutes', 'Word', 'Lent to'],
    rows: (view?.rows ?? []).map(
      ({ nickname, kind, holder, teamIds, standing, presses, minutes, word, lentTo }) => [
        nickname,
        kind,
        holder,
        teamIds.flatMap((id) => teams.get(id) ?? []).join('; '),
        standing ? STANDING_TEXT[standing.state].word : 'broken',
        standing ? standingNote(standing) : '',
        presses,
        minutes,
        word,
        lentTo,
      ],
    ),
  };
}

/** Titles of which no two are alike. */
const titles = (all: readonly string[]): string[] =>
  all.map((title, i) => {
    const before = all.slice(0, i).filter((one) => one === title).length;
    return before === 0 ? title : `${title} (${before + 1})`;
  });
