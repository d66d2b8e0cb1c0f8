import { awayOf, countThere } from '@umbrex/core/evidence';
import { type Board, type BoardKind, carriedBy, type Verdict, withCarried } from '@umbrex/core/fit';
import { type Channel, headOf, wantedReceiveTone } from '@umbrex/core/model';
import { mhzText } from '@umbrex/core/units';
import { FindingItem } from '../../components/FindingItem';
import { GroupsCarried } from '../../components/GroupsCarried';
import { PathStrip, stripWords } from '../../components/PathStrip';
import { Shape } from '../../components/Shape';
import { VERDICT_TEXT } from '../../messages/verdicts';
import { type DeskState, savePlanHead } from '../desk/deskStore';
import type { Column } from './useFitBoard';

const WEIGHT = { error: 0, warning: 1, note: 2 } as const;

/** Why a channel ends as it does on a device: the shape, the slot under its three names, and each reason with its source. */
export function CellDrawer({ channel, column, desk }: { channel: Channel; column: Column; desk: DeskState }) {
  const cell = column.cells.get(channel.id);
  if (!cell) return null;
  const findings = [...cell.findings].sort((a, b) => WEIGHT[a.severity] - WEIGHT[b.severity]);
  const kind = desk.board.kinds.find(({ key }) => key === column.kindKey);
  const units = desk.units.filter((unit) =>
    column.unit ? unit.id === column.unit.id : kind?.unitIds.includes(unit.id),
  );
  const split = kind && splitText(desk.board, desk.units, kind, channel.id);
  const waitsFor = wantedReceiveTone(channel, desk.plan.receivePolicy);
  return (
    <div className="space-y-4 [--strip-ground:var(--color-base-100)]">
      <p className="flex items-center gap-2 text-lg font-semibold">
        <Shape verdict={cell.verdict} size={20} /> {VERDICT_TEXT[cell.verdict].word}
      </p>
      {split && <p className="text-plain">{split}</p>}
      <PathStrip channel={channel} waitsFor={waitsFor} large />
      <p className="text-plain">{stripWords(channel, waitsFor)}</p>
      {cell.slot && (
        <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-0.5">
          <dt className="muted">Memory number</dt>
          <dd className="font-mono">{cell.slot.number}</dd>
          <dt className="muted">Label on the set</dt>
          <dd className="font-mono">{cell.slot.label}</dd>
          <dt className="muted">Position</dt>
          <dd className="font-mono">
            {cell.slot.position}
            {cell.slot.bank && ` in bank ${cell.slot.bank}`}
          </dd>
          {cell.name && (
            <>
              <dt className="muted">Name there</dt>
              <dd className="font-mono">{cell.name}</dd>
            </>
          )}
        </dl>
      )}
      <section>
        <h3 className="muted mb-1 font-semibold">Why</h3>
        {findings.length > 0 ? (
          <ul className="space-y-3">
            {findings.map((finding, i) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: findings have no id and never move
              <FindingItem key={i} finding={finding} />
            ))}
          </ul>
        ) : (
          <p>Frequency, tones, power and place are as the plan says.</p>
        )}
      </section>
      {desk.mayEdit && kind && <Carrying {...{ desk, kind, column }} />}
      <section>
        <h3 className="muted mb-1 font-semibold">Sheets</h3>
        <ul className="flex flex-wrap gap-2">
          {units.map((unit) => (
            <li key={unit.id}>
              <a className="btn btn-outline btn-xs" href={`/plans/${desk.plan.id}/sheets/${unit.id}`}>
                {unit.nickname}
              </a>
            </li>
          ))}
        </ul>
      </section>
      <p className="muted text-small">
        Receives {mhzText(channel.receiveHz)} MHz.{' '}
        <a className="link" href={`/plans/${desk.plan.id}?channel=${channel.id}`}>
          Change this channel
        </a>
      </p>
    </div>
  );
}

/** Which groups the sets of a column carry, where it is said: of the set that was opened, of their team, of their kind. */
function Carrying({ desk, kind, column }: { desk: DeskState; kind: BoardKind; column: Column }) {
  const head = headOf(desk.plan);
  const { carried, groups } = head;
  const description = desk.descriptions.find(({ id }) => id === kind.descriptionId);
  const [of, id, name, otherwise] = saidOf(desk, kind, column, description?.title ?? kind.title);
  if (description?.kind === 'alert') return null;
  return (
    <GroupsCarried
      of={name}
      groups={groups}
      said={carried[of][id]}
      otherwise={otherwise}
      change={(ids) => void savePlanHead({ ...head, carried: withCarried(carried, of, id, ids) })}
    />
  );
}

function saidOf({ plan, units, teams }: DeskState, kind: BoardKind, { unit }: Column, title: string) {
  const { carried } = plan;
  const ofKind = carried.kinds[kind.descriptionId];
  const ofTeam = (roleId: string | null) => (roleId === null ? undefined : carried.teams[roleId]);
  const one = unit ?? units.find(({ id }) => kind.unitIds.includes(id));
  const by = one && carriedBy(plan, one)?.by;
  if (one && (unit || by === 'unit'))
    return ['units', one.id, one.nickname, ofTeam(one.roleId) ?? ofKind] as const;
  const team = teams.find(({ id }) => id === one?.roleId);
  if (team && by === 'team') return ['teams', team.id, `sets for ${team.name}`, undefined] as const;
  return ['kinds', kind.descriptionId, `every ${title}`, undefined] as const;
}

/** What the sets of one kind do with a channel, where not all do the same: it is their holders that differ, or what they hold. */
function splitText(
  { kinds }: Board,
  units: DeskState['units'],
  { descriptionId }: BoardKind,
  channelId: string,
): string | null {
  const alike = kinds.filter((kind) => kind.descriptionId === descriptionId);
  const gone = awayOf(units);
  const counts = new Map<string, number>();
  for (const { cells, unitIds } of alike) {
    const verdict = cells.find((cell) => cell.channelId === channelId)?.verdict ?? 'unknown';
    const { there } = countThere(unitIds, gone);
    if (there > 0) counts.set(DOES[verdict], (counts.get(DOES[verdict]) ?? 0) + there);
  }
  if (counts.size < 2) return null;
  return `Of the sets of this kind: ${[...counts].map(([does, n]) => `${n} ${does}`).join(', ')}.`;
}

const DOES: Readonly<Record<Verdict, string>> = {
  full: 'may send',
  adapted: 'may send',
  listen: 'only to listen',
  no: 'without it',
  unknown: 'not known',
  apart: 'not carrying it',
};
