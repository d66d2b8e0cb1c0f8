import { type CardBlock, type CardStep, type CardSteps, STEPS_FORMAT } from '@umbrex/core/card';
import { drawn } from '@umbrex/core/procedure';
import { talkGoesOut } from '@umbrex/core/readiness';
import { mhzText } from '@umbrex/core/units';
import type { Knex } from 'knex';
import { channelNames } from '../../messages/channelState';
import { contentBrief } from '../../messages/contents';
import { listOf } from '../../messages/labels';
import { PART_TEXT, placeTitle } from '../../messages/steps';
import { contentMark } from '../contentMark';
import { loadDesk } from '../desk';
import type { Holder } from '../holder';
import { NotHere } from '../problem';
import { type SheetData, sheetOf } from '../sheetPage';
import { stepsShown } from './steps';

/** A set that does not wait longer than this for the next key gets a ring that runs, in seconds (common practice). */
const RING_S = 20;

/** The steps of a sheet by their content: what is done, and what is then shown. */
export const sheetMark = ({ sheet }: Pick<SheetData, 'sheet'>): string =>
  contentMark(sheet.steps.map(({ id, runs, promises }) => [id, runs, promises ?? null]));

/**
 * The steps of a set of one's own for the state in force, as they were proven. @throws NotHere where there is no such set, nothing is published, its
 * sheet is not ready, or it would show tones that are kept from whoever asks
 */
export async function cardSteps(db: Knex, holder: Holder, unitId: string): Promise<CardSteps> {
  const desk = await loadDesk(db, holder.session, holder.planId, 'published');
  const { plan } = desk.state;
  const data = sheetOf(desk, unitId);
  const { shown } = desk;
  if (!data || shown === 'draft' || data.unit.personId !== holder.session.personId) throw new NotHere();
  const { unit, description, readiness, sheet, fit, now } = data;
  const secret = new Set(plan.channels.flatMap(({ id, tonesSecret }) => (tonesSecret ? [id] : [])));
  const shows = fit.cells.some(({ channelId, slot }) => slot && secret.has(channelId));
  if (!readiness.isReady || sheet.steps.length === 0 || (holder.hidesTones && shows)) throw new NotHere();
  const { blocks, begins, way } = stepsShown(data, null);
  const names = channelNames(plan);
  const talk = talkGoesOut(readiness);
  const notes = description.recipes;
  const { stays, ableToSend } = data;
  return {
    format: STEPS_FORMAT,
    made: new Date().toISOString(),
    setId: unit.id,
    nickname: unit.nickname,
    planId: plan.id,
    planName: plan.name,
    revision: shown,
    sheet: sheetMark(data),
    minutes: Math.ceil(data.proof.minutes),
    fromAnywhere: data.way === 'absolute' || data.way === 'reset',
    hazards: [
      ...(notes?.hazards ?? []),
      ...(ableToSend.length > 0
        ? [
            `Can send, and must not: ${listOf(ableToSend.map(({ label }) => label))}. Do not press talk there.`,
          ]
        : []),
      ...(readiness.canTalk
        ? ['Never press TALK while you set it up, and never without an antenna. Not while driving.']
        : ['Not while driving.']),
    ],
    before: [
      ...(notes?.before ?? []),
      ...(readiness.clearPickedTone
        ? ['Clear the tone picked by hand: left on, it stands in place of every channel’s own.']
        : []),
      ...(readiness.looksFree.length > 0
        ? [
            `These places are free by the list; look that the set shows nothing there, else stop and ask: ${listOf(readiness.looksFree.map(({ label }) => label))}.`,
          ]
        : []),
      ...(data.unseen.length > 0
        ? ['Nobody has looked at what it holds: what stands in the places of the plan goes.']
        : []),
      ...(stays.length > 0
        ? [`Do not use ${listOf(stays.map(String))}: no step is known that empties them.`]
        : []),
    ],
    begins: notes?.start ? [] : begins.filter((line) => line.trim()),
    blocks: blocks.map(({ part, line, slotNumber, windowS }): CardBlock => {
      const hz = line && part !== 'names' ? talk.get(line.number) : undefined;
      return {
        title: line
          ? `${part === 'names' ? 'Name of ' : ''}${placeTitle(line, names)}: ${line.label}`
          : slotNumber !== null
            ? `Number ${slotNumber} leaves the plan`
            : PART_TEXT[part],
        ready:
          line && windowS !== undefined
            ? `${contentBrief(line.content)}. Once begun, no more than ${windowS} seconds between keys.`
            : '',
        warns: hz === undefined ? '' : `Talk goes out on ${mhzText(hz)} MHz here: only listen.`,
      };
    }),
    steps: blocks.flatMap((block, at) =>
      block.steps.map(({ n, step, screen }): CardStep => {
        const waitsMs = data.proof.windowsMs[n - 1];
        return {
          n,
          block: at,
          says: step.says,
          keys: drawn(step.runs, description.keys),
          runs: step.runs,
          shows: screen.filter((line) => line.trim()),
          windowS: waitsMs === undefined || waitsMs > RING_S * 1000 ? null : waitsMs / 1000,
        };
      }),
    ),
    way: way ? way.steps.map(({ says, runs }) => ({ says, keys: drawn(runs, description.keys) })) : null,
    device: { description, slots: [...now.slots], settings: now.settings, picked: sheet.clears },
  };
}
