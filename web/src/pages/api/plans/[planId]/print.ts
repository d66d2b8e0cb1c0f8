import { format } from 'date-fns';
import { z } from 'zod';
import { allows } from '@/contract/roles';
import { addressOf } from '@/server/address';
import { today } from '@/server/day';
import { loadDesk } from '@/server/desk';
import { endpoint } from '@/server/endpoint';
import { ics205, ics217a } from '@/server/print/icsForms';
import { contactList, wallList } from '@/server/print/lists';
import { pdfResponse, SIZES } from '@/server/print/pdf';
import { pocketCard } from '@/server/print/pocket';
import { Forbidden, NotHere } from '@/server/problem';
import { listThings } from '@/server/store/store';
import { cardView } from '@/server/views/card';
import { listView } from '@/server/views/list';

const moment = z
  .string()
  .regex(/^(\d{4}-\d{2}-\d{2}T\d{2}:\d{2})?$/)
  .default('');
const Query = z.object({
  what: z.enum(['wall', 'contacts', 'ics205', 'ics217a', 'pocket']),
  size: z.enum(SIZES).default('A4'),
  /** Whose card. */
  person: z.uuid().optional(),
  /** The incident's name and its time, for the forms. */
  incident: z.string().trim().max(80).default(''),
  from: moment,
  to: moment,
  /** With the tones that are for members. */
  members: z.string().optional(),
});

/** GET a document for paper, `?what=wall|contacts|ics205|ics217a|pocket&size=A4|LETTER`, as PDF: 200, 403 what is not for one's eyes, 404. */
export const GET = endpoint(
  'GET /api/plans/[planId]/print',
  async ({ db, session, params, url, context }) => {
    const query = Query.safeParse(Object.fromEntries(url.searchParams));
    if (!query.success) throw new NotHere();
    const { what, size, person, incident, from, to, members } = query.data;
    const desk = await loadDesk(db, session, params.planId, 'published');
    const isWhole = members !== undefined && allows(session.role, 'member');
    const { plan } = await listView(desk, isWhole);
    const state = `${plan.name}, ${desk.shown === 'draft' ? 'draft' : `revision ${desk.shown}`}`;
    const running = (title: string) => ({
      title: isWhole || what === 'pocket' || what === 'contacts' ? title : `${title}, for everybody`,
      state,
      day: format(new Date(), 'd MMMM yyyy'),
    });
    const readable = (text: string) => text.replace('T', ' ');
    const form = {
      name: incident || plan.name,
      preparedBy: session.name,
      prepared: format(new Date(), 'yyyy-MM-dd HH:mm'),
      from: readable(from),
      to: readable(to),
    };
    const things = async <K extends 'net' | 'person' | 'team'>(kind: K) =>
      (await listThings(db, kind, session.workspace.id)).map(({ value }) => value);
    switch (what) {
      case 'wall':
        return pdfResponse(
          await wallList(
            running('Wall list'),
            plan,
            allows(session.role, 'member') ? desk.whole.kinds : [],
            size,
          ),
          what,
        );
      case 'ics205':
        return pdfResponse(await ics205(running('ICS 205'), plan, await things('net'), form, size), what);
      case 'ics217a':
        return pdfResponse(await ics217a(running('ICS 217A'), plan, form, size), what);
      case 'contacts': {
        if (!allows(session.role, 'editor')) throw new Forbidden();
        const teams = new Map((await things('team')).map(({ id, name }) => [id, name]));
        const people = (await things('person')).map(({ id, name, contact, licences, teamIds }) => ({
          name,
          contact,
          callSigns: [...new Set(licences.map(({ callSign }) => callSign).filter(Boolean))],
          teams: teamIds.flatMap((team) => teams.get(team) ?? []),
          sets: desk.fleet.filter(({ personId }) => personId === id).map(({ nickname }) => nickname),
        }));
        return pdfResponse(await contactList(running('People'), people, size), what);
      }
      case 'pocket': {
        const of = person ?? session.personId;
        if (of === null || !allows(session.role, 'member')) throw new NotHere();
        if (of !== session.personId && !allows(session.role, 'editor')) throw new Forbidden();
        const holder = { ...session, role: 'member' as const, personId: of };
        const card = await cardView(db, {
          session: holder,
          planId: params.planId,
          hidesTones: false,
          until: null,
        });
        if (card.person === null) throw new NotHere();
        const address = `${addressOf(context.request, url)}/my`;
        return pdfResponse(await pocketCard(running('Pocket card'), card, address, size), `card-${today()}`);
      }
      default:
        return what satisfies never;
    }
  },
);
