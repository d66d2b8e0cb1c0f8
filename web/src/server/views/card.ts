import {
  CARD_FORMAT,
  type Card,
  type CardChannel,
  type CardKind,
  type CardPerson,
  type CardPlace,
  type CardSet,
  type CardStanding,
} from '@umbrex/core/card';
import { conditionOf, isThere, onLoan } from '@umbrex/core/evidence';
import { servicesOf } from '@umbrex/core/facts';
import { type BoardKind, type Cell, sendsBy } from '@umbrex/core/fit';
import type { Prepared } from '@umbrex/core/flow';
import { maskSecretTones } from '@umbrex/core/formats';
import { type Channel, kindOf, numbersWith, type Plan, wantedReceiveTone } from '@umbrex/core/model';
import { lockOf } from '@umbrex/core/procedure';
import { isKnown, type Standing } from '@umbrex/core/standing';
import type { Knex } from 'knex';
import { findingText } from '../../messages/findings';
import { counted } from '../../messages/labels';
import { DIFF_WORD, diffLines } from '../../messages/revisions';
import { CONDITION_TEXT } from '../../messages/rollout';
import { type Desk, loadDesk } from '../desk';
import type { Holder } from '../holder';
import { revisionPlan } from '../repositories/revisions';
import { attempt, loadedBy, preparedFor } from '../sheetPage';
import { standings } from '../standings';
import { listThings } from '../store/store';
import { namesOf } from './revisions';

/** So many lines of what changed are told on a card; of more the desk has the rest. */
const MOST_CHANGES = 60;

/** The card of whoever holds sets of a plan: in the state in force, as the rollout and the sheets have it. @throws NotHere */
export async function cardView(db: Knex, holder: Holder): Promise<Card> {
  const desk = await loadDesk(db, holder.session, holder.planId, 'published');
  const { session, workspace, state, shown } = desk;
  const revision = shown === 'draft' ? null : shown;
  const secret = new Set(state.plan.channels.flatMap(({ id, tonesSecret }) => (tonesSecret ? [id] : [])));
  const shows = (plan: Plan) => (holder.hidesTones ? maskSecretTones(keptSecret(plan, secret)) : plan);
  const plan = shows(state.plan);
  const [people, nets] = await Promise.all([
    listThings(db, 'person', workspace.id),
    listThings(db, 'net', workspace.id),
  ]);
  const kinds = desk.whole.kinds;
  const person = people.find(({ value }) => value.id === session.personId)?.value;
  const { sets, hides } = await ownSets(db, desk, kinds, holder, secret);
  return {
    format: CARD_FORMAT,
    made: new Date().toISOString(),
    until: holder.until,
    planId: plan.id,
    planName: plan.name,
    revision,
    person: person ? { id: person.id, name: person.name } : null,
    tonesHidden: hides,
    channels: plan.channels.map((channel) =>
      cardChannel(plan, channel, holder.hidesTones && channel.tonesSecret),
    ),
    kinds: kinds.map((kind) =>
      cardKind(kind, {
        title: desk.descriptions.find(({ description }) => description.id === kind.descriptionId)?.description
          .title,
        isOwn: sets.some((set) => kind.unitIds.includes(set.id)),
        hidden: holder.hidesTones ? secretTones(state.plan) : [],
      }),
    ),
    sets,
    people: reachable(
      desk,
      kinds,
      people.map(({ value }) => value),
    ),
    nets: nets.map(
      ({ value: { id, name, startsAt, timeZone, repeats, channelId, fallbackId, leader, note, roles } }) => ({
        id,
        name,
        startsAt,
        timeZone,
        repeats,
        channelId,
        fallbackId,
        leader,
        note,
        roles: roles.map(({ name: role, channelId: on }) => ({ name: role, channelId: on })),
      }),
    ),
    changes: revision === null ? [] : await changesBefore(db, desk, revision, shows),
    known: knownRows(plan),
  };
}

/** A state of a plan in which what is secret by now was so already: an older one may show the tone that is still in use. */
function keptSecret(plan: Plan, secret: ReadonlySet<string>): Plan {
  const channels = plan.channels.map((channel) =>
    secret.has(channel.id) ? { ...channel, tonesSecret: true } : channel,
  );
  return { ...plan, channels };
}

/** One channel as it stands on a card. */
function cardChannel(plan: Plan, channel: Channel, isHidden: boolean): CardChannel {
  const { id, name, aliases, shortNames, receiveHz, transmitHz, tier, state, note } = channel;
  return {
    id,
    name,
    aliases,
    shortNames,
    group: plan.groups.find((group) => group.id === channel.groupId)?.name ?? '',
    kind: kindOf(channel),
    receiveHz,
    transmitHz,
    transmitTone: isHidden ? 'hidden' : channel.transmitTone,
    receiveTone: isHidden ? 'hidden' : channel.receiveTone,
    isSecret: channel.tonesSecret,
    isClosed: wantedReceiveTone(channel, plan.receivePolicy) !== 'off',
    tier,
    state,
    number: numbersWith(plan)[id] ?? null,
    note,
  };
}

const SENDS = new Map<boolean | 'unknown', 'yes' | 'no' | 'unknown'>([
  [true, 'yes'],
  [false, 'no'],
  ['unknown', 'unknown'],
]);

/**
 * Why somebody else may not talk on a channel is theirs: of other people's sets a card has what they show, and whether one reaches them.
 * @param hidden tones that no reason may name
 */
function cardKind(
  { cells }: BoardKind,
  { title, isOwn, hidden }: { title: string | undefined; isOwn: boolean; hidden: readonly string[] },
): CardKind {
  const places = cells.flatMap(cardPlace).map((place) => ({
    ...place,
    why: !isOwn || hidden.some((tone) => place.why.includes(tone)) ? '' : place.why,
  }));
  return { title: title ?? '', places };
}

/** The tones that the group keeps to itself, as they are written. */
function secretTones({ channels }: Plan): string[] {
  return channels
    .filter(({ tonesSecret }) => tonesSecret)
    .flatMap(({ transmitTone, receiveTone }) => [transmitTone, receiveTone])
    .filter((tone) => tone !== 'off' && tone !== 'unknown');
}

function cardPlace({ channelId, verdict, slot, name, findings }: Cell): CardPlace[] {
  if (!slot) return [];
  const [finding] = verdict === 'full' ? [] : findings;
  return [
    {
      channelId,
      slot: slot.number,
      label: slot.label,
      shows: name,
      sends: SENDS.get(sendsBy(verdict)) ?? 'unknown',
      why: finding ? findingText(finding).what : '',
    },
  ];
}

/** The sets of whoever holds the card; and whether something is hidden of what they hold. */
async function ownSets(
  db: Knex,
  desk: Desk,
  kinds: readonly BoardKind[],
  holder: Holder,
  secret: ReadonlySet<string>,
) {
  const { session, shown } = desk;
  const prepareOne = preparedFor(desk);
  const standingFor = shown === 'draft' ? null : await standings(db, desk, shown);
  let hides = false;
  const sets: CardSet[] = [];
  for (const { unit } of desk.units.filter(
    ({ unit: { personId } }) => personId !== null && personId === session.personId,
  )) {
    const found = desk.descriptions.find(({ description }) => description.id === unit.descriptionId);
    if (!found) continue;
    const { description } = found;
    await new Promise((resolve) => setImmediate(resolve));
    const prepared = attempt(() => prepareOne(found, unit), unit.id);
    const standing = prepared && standingFor?.({ unit, description, prepared });
    const isSecret =
      holder.hidesTones &&
      (prepared?.fit.cells.some(({ channelId, slot }) => slot && secret.has(channelId)) ?? false);
    hides ||= isSecret;
    const card = cardStanding(prepared, standing, shown === 'draft');
    const lock = lockOf(description);
    const { is } = conditionOf(unit);
    sets.push({
      id: unit.id,
      nickname: unit.nickname,
      title: description.title,
      kind: kinds.findIndex(({ unitIds }) => unitIds.includes(unit.id)),
      standing:
        is === 'well'
          ? card
          : { ...card, says: `By the last word on it, ${CONDITION_TEXT[is]}. ${card.says}` },
      isThere: is === 'well',
      toLoad: prepared ? notYet(prepared) : [],
      lock: lock
        ? `${lock.heldMs === undefined ? 'Press' : `Hold for ${lock.heldMs / 1000} seconds`}: ${lock.legend}. To free them: ${lock.leave || 'the same again'}.`
        : '',
      isAlert: description.kind === 'alert',
      hasSteps:
        !isSecret &&
        (card.state === 'late' || card.state === 'unknown') &&
        (prepared?.sheet.steps.length ?? 0) > 0,
    });
  }
  return { sets, hides };
}

/** The places that do not hold yet what they shall: those that the sheet changes. */
function notYet({ changes }: Prepared): number[] {
  return changes.places.flatMap(({ slot, to }) => (to === null ? [] : [slot.number]));
}

/** How a set stands, in words of somebody who only holds it. */
function cardStanding(
  prepared: Prepared | undefined,
  standing: Standing | undefined,
  isDraft: boolean,
): CardStanding {
  const minutes = Math.ceil(prepared?.proof.minutes ?? 0);
  const way = prepared?.sheet.way ?? 'unknown';
  const says = (state: CardStanding['state'], text: string, takes = 0): CardStanding => ({
    state,
    says: text,
    minutes: takes,
    way,
  });
  if (!prepared) return says('broken', 'Its steps could not be worked out. Ask your coordinator.');
  if (isDraft || !standing)
    return says('blocked', 'Nothing is published yet: what stands here may still change. Load nothing.');
  switch (standing.state) {
    case 'held':
      if (standing.checked === 'failed')
        return says('held', 'It holds the newest channels, but a check failed. Ask before you rely on it.');
      if (standing.kindChanged)
        return says('held', 'It was loaded by steps that were corrected since. Have it checked.');
      return says(
        'held',
        standing.checked === 'checked'
          ? 'Up to date, and checked.'
          : 'Up to date by what was said; not all of it was tried on the air.',
      );
    case 'late':
      return says(
        'late',
        standing.rightEnded
          ? 'Your right to send somewhere has ended since it was loaded. It still sends there: load it anew.'
          : `To be loaded: ${counted(minutes, 'minute')}.`,
        minutes,
      );
    case 'unknown':
      return says(
        'unknown',
        `Nobody knows what it holds now. Loading it sets everything: ${counted(minutes, 'minute')}.`,
        minutes,
      );
    case 'blocked':
      return says('blocked', 'Something has to be settled before it can be loaded. Your coordinator knows.');
    case 'away':
      return says(
        'nothing',
        `Nothing is asked of it until it is ${standing.is === 'lost' ? 'found' : 'mended'}.`,
      );
    default:
      return says('nothing', 'The plan has nothing for this set.');
  }
}

/** The others who hold something on which one may talk, with their sets. */
function reachable(
  desk: Desk,
  kinds: readonly BoardKind[],
  people: readonly { id: string; name: string }[],
): CardPerson[] {
  const { session, fleet } = desk;
  const isLoadedNow = loadedBy(desk);
  const kindAt = new Map(kinds.flatMap(({ unitIds }, i) => unitIds.map((id) => [id, i] as const)));
  return people
    .filter(({ id }) => id !== session.personId)
    .flatMap(({ id, name }): CardPerson[] => {
      const sets = fleet.flatMap((unit) => {
        // One that is lost, broken or lent reaches nobody.
        const isHere = isThere(unit) && onLoan(unit) === undefined;
        const kind = unit.personId === id && isHere ? kindAt.get(unit.id) : undefined;
        if (kind === undefined || !kinds[kind]?.cells.some(({ slot }) => slot)) return [];
        return [
          { nickname: unit.nickname, kind, isLoaded: isKnown(unit.holds) && isLoadedNow(unit) === true },
        ];
      });
      return sets.length > 0 ? [{ id, name, sets }] : [];
    })
    .sort((a, b) => a.name.localeCompare(b.name));
}

/** What differs from the published state before. */
async function changesBefore(db: Knex, desk: Desk, revision: number, shows: (plan: Plan) => Plan) {
  const before = desk.revisions.find(({ number, withdrawn }) => number < revision && withdrawn === null);
  if (!before) return [];
  const { workspace, state } = desk;
  const old = shows(await revisionPlan(db, workspace.id, state.plan.id, before.number));
  const now = shows(state.plan);
  return diffLines(old, now, await namesOf(db, desk, [old, now]))
    .filter(({ what }) => what !== 'plan')
    .slice(0, MOST_CHANGES)
    .map(({ name, what, words }) => ({ name, words: words.length > 0 ? words : [DIFF_WORD[what]] }));
}

/** What the published tables of the plan's country say of frequencies. */
function knownRows({ country }: Plan): Card['known'] {
  return servicesOf(country).flatMap(({ title, channels }) =>
    channels.map(({ number, name, receiveHz, transmitHz }) => ({
      service: title,
      number,
      name,
      receiveHz,
      transmitHz,
    })),
  );
}
