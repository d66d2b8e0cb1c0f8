import type { Person } from '@umbrex/core/model';
import { format } from 'date-fns';
import type { Knex } from 'knex';
import { z } from 'zod';
import { StateInAddressSchema } from '../../contract/revisions';
import { allows } from '../../contract/roles';
import type { Session } from '../auth/session';
import { type Desk, loadDesk } from '../desk';
import { Forbidden, NotHere } from '../problem';
import { listThings } from '../store/store';
import { cardView } from '../views/card';
import { listView } from '../views/list';
import { packetView } from '../views/packet';
import { sheetView } from '../views/sheet';
import { fitBoardPaper } from './board';
import { ics205, ics217a } from './icsForms';
import { kindPaper } from './kind';
import { contactList, wallList } from './lists';
import { benchPacket } from './packet';
import { type Running, SIZES } from './pdf';
import { pocketCard } from './pocket';
import { deviceSheet } from './sheet';

const moment = z
  .string()
  .regex(/^(\d{4}-\d{2}-\d{2}T\d{2}:\d{2})?$/)
  .default('');
/** Which document, and what it asks besides. */
export const PaperSchema = z.object({
  what: z.enum(['wall', 'contacts', 'ics205', 'ics217a', 'pocket', 'sheet', 'packet', 'kind', 'board']),
  size: z.enum(SIZES).default('A4'),
  /** Of the draft or a published state by number; of the one in force where none is named. */
  of: StateInAddressSchema,
  /** Whose card. */
  person: z.uuid().optional(),
  /** Which set's sheet, and in which form. */
  unit: z.uuid().optional(),
  form: z.enum(['steps', 'short']).default('steps'),
  /** Which bench day's packet. */
  day: z.uuid().optional(),
  /** Which kind of set. */
  kind: z.string().max(60).optional(),
  /** The incident's name and its time, for the forms. */
  incident: z.string().trim().max(80).default(''),
  from: moment,
  to: moment,
  /** With the tones that are for members. */
  members: z.string().optional(),
});
export type Paper = z.infer<typeof PaperSchema>;

/** How far a document is. */
export type PaperStep =
  | { readonly at: 'sets'; readonly done: number; readonly of: number }
  | { readonly at: 'setting' }
  | { readonly at: 'writing'; readonly share: number };

/** Who asks for a document, from where, and how they hear how far it is. */
interface Asks {
  readonly session: Session;
  readonly planId: string;
  /** Where the application is reached. */
  readonly origin: string;
  /** Where a sheet is looked at live, where that is not its page at the desk. */
  readonly liveAt?: string | undefined;
  readonly signal?: AbortSignal | undefined;
  readonly onStep?: ((step: PaperStep) => void) | undefined;
}

/** A document as PDF, and what it is to be called as a file. @throws NotHere or Forbidden */
export async function paperOf(
  db: Knex,
  paper: Paper,
  { session, planId, origin, liveAt, signal, onStep }: Asks,
): Promise<{ bytes: Uint8Array<ArrayBuffer>; name: string }> {
  const { what, size, members, of } = paper;
  const may = (role: 'member' | 'editor') => {
    if (!allows(session.role, role)) throw new Forbidden();
  };
  const desk = await loadDesk(db, session, planId, of ?? 'published');
  const isWhole = members !== undefined && allows(session.role, 'member');
  const { plan } = await listView(desk, isWhole);
  const state = `${plan.name}, ${desk.shown === 'draft' ? 'draft' : `revision ${desk.shown}`}`;
  const running = (title: string): Running => ({
    title,
    state,
    day: format(new Date(), 'd MMMM yyyy'),
    ...(signal && { signal }),
    ...(onStep && { onStep }),
  });
  const forWhom = (title: string) => running(isWhole ? title : `${title}, for everybody`);
  const readable = (text: string) => text.replace('T', ' ');
  const form = {
    name: paper.incident || plan.name,
    preparedBy: session.name,
    prepared: format(new Date(), 'yyyy-MM-dd HH:mm'),
    from: readable(paper.from),
    to: readable(paper.to),
  };
  const things = async <K extends 'net' | 'person' | 'team'>(kind: K) =>
    (await listThings(db, kind, session.workspace.id)).map(({ value }) => value);
  const named = (bytes: Uint8Array<ArrayBuffer>, name: string = what) => ({ bytes, name });
  switch (what) {
    case 'wall':
      return named(
        await wallList(
          forWhom('Wall list'),
          plan,
          allows(session.role, 'member') ? desk.whole.kinds : [],
          size,
        ),
      );
    case 'ics205':
      return named(await ics205(forWhom('ICS 205'), plan, await things('net'), form, size));
    case 'ics217a':
      return named(await ics217a(forWhom('ICS 217A'), plan, form, size));
    case 'contacts': {
      may('editor');
      const [teams, people] = await Promise.all([things('team'), things('person')]);
      return named(await contactList(running('People'), contactsOf(desk, people, teams), size));
    }
    case 'pocket': {
      const whose = paper.person ?? session.personId;
      if (whose === null || !allows(session.role, 'member')) throw new NotHere();
      if (whose !== session.personId) may('editor');
      const holder = { ...session, role: 'member' as const, personId: whose };
      const card = await cardView(db, { session: holder, planId, hidesTones: false, until: null });
      if (card.person === null) throw new NotHere();
      return named(await pocketCard(running('Pocket card'), card, `${origin}/my`, size), 'card');
    }
    case 'sheet': {
      may('member');
      const view = paper.unit === undefined ? undefined : await sheetView(desk, paper.unit);
      if (!view) throw new NotHere();
      const { unit } = view.data;
      const address = liveAt ?? `${origin}/plans/${planId}/sheets/${unit.id}?of=${desk.shown}`;
      return named(
        await deviceSheet(running(`Sheet of ${unit.nickname}`), view, { form: paper.form, address, size }),
        `sheet-${fileWord(unit.nickname)}`,
      );
    }
    case 'packet': {
      may('editor');
      const onSet = (done: number, of: number) => onStep?.({ at: 'sets', done, of });
      const view =
        paper.day === undefined ? undefined : await packetView(db, desk, paper.day, { signal, onSet });
      if (!view) throw new NotHere();
      return named(
        await benchPacket(running(`Packet of ${view.day.name}`), view, plan.name, size),
        `packet-${view.day.day}`,
      );
    }
    case 'kind': {
      may('member');
      const found = desk.descriptions.find(({ description }) => description.id === paper.kind);
      if (!found) throw new NotHere();
      return named(
        await kindPaper(running(found.description.title), found.description, size),
        `kind-${found.description.id}`,
      );
    }
    case 'board':
      may('member');
      return named(
        await fitBoardPaper(
          running('Fit board'),
          desk.state.plan,
          desk.board,
          desk.units.map(({ unit }) => unit),
          size,
        ),
      );
    default:
      return what satisfies never;
  }
}

/** A name as a part of a file's. */
const fileWord = (text: string): string =>
  text
    .normalize('NFD')
    .replace(/[^\w-]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 40) || 'set';

function contactsOf(
  { fleet }: Desk,
  people: readonly Person[],
  teams: readonly { readonly id: string; readonly name: string }[],
) {
  const names = new Map(teams.map(({ id, name }) => [id, name]));
  return people.map(({ id, name, contact, licences, teamIds }) => ({
    name,
    contact,
    callSigns: [...new Set(licences.map(({ callSign }) => callSign).filter(Boolean))],
    teams: teamIds.flatMap((team) => names.get(team) ?? []),
    sets: fleet.filter(({ personId }) => personId === id).map(({ nickname }) => nickname),
  }));
}
