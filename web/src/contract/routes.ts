import type { AreaReading } from '@umbrex/core/areas';
import type { Card, CardSteps } from '@umbrex/core/card';
import type { Finding } from '@umbrex/core/findings';
import type { DirectoryReading } from '@umbrex/core/formats';
import type { SetPlaces } from '@umbrex/core/listing';
import {
  type BenchDay,
  type Channel,
  ChannelSchema,
  type Find,
  type Heard,
  LineSchema,
  type Mark,
  MarkSchema,
  type NamedPlace,
  type Net,
  NumberingSchema,
  type Person,
  PlaceSchema,
  type Plan,
  type PlanHead,
  PlanHeadSchema,
  RecordingSchema,
  type Station,
  type Team,
  type Unit,
} from '@umbrex/core/model';
import type { Grounds } from '@umbrex/core/rules';
import { z } from 'zod';
import { FirstAccountSchema, NameSchema, PasswordSchema, RoleSchema, TakeLinkSchema } from './account';
import { type BenchMarksAnswer, BenchMarksSchema, type BenchWays } from './bench';
import { type ForeignWork, type ReportAnswer, ReportsSchema } from './card';
import { HeardSentSchema } from './heard';
import { PublishSchema, type PublishView, type RevisionHead, SeenOfSetsSchema } from './revisions';
import type { Role } from './roles';
import { BulkSchema, EnrolmentSchema, ImportSchema } from './roster';
import { type ParamsOf, route } from './route';
import { LinkSchema, type Mail } from './team';
import { type Saved, SCHEMAS, type Versioned } from './things';

/** A plan with the versions that edits must name. */
export interface PlanState {
  readonly plan: Plan;
  readonly version: number;
  readonly channelVersions: Readonly<Record<string, number>>;
}
/** What a directory gave, or why it gave nothing; the findings go to the user as they are. */
export type DirectorySearch =
  | { readonly ok: true; readonly place: NamedPlace; readonly reading: DirectoryReading }
  | { readonly ok: false; readonly findings: readonly Finding[]; readonly places: readonly NamedPlace[] };
/** How much more another choice of numbers takes to load on the fleet. */
export interface Effort {
  readonly presses: number;
  readonly minutes: number;
}
/** What can be taken back. */
interface Undoable {
  readonly editId: string;
}

const version = z.number().int();
const From = z.strictObject({ version });
const Nothing = z.strictObject({});
const numbers = NumberingSchema.shape.numbers;
/** Adding is answered alike when it is sent twice; a change from an older version is refused with the newer state. */
const add = <T>(value: z.ZodType<T>) => route<Saved<T>>()('editor', z.strictObject({ value }), [409], 201);
const change = <T>(value: z.ZodType<T>) =>
  route<Saved<T>>()('editor', z.strictObject({ version, value }), [409]);
const take = () => route<Undoable>()('editor', From, [409]);

/** Every endpoint there is, by method and path. What is not here is nobody's. */
export const ROUTES = {
  /** Whether the server is up and the database answers. */
  'GET /api/health': route<{ ok: boolean; database: string }>()('anyone', null, [503]),
  /** What changes in the workspace, as server-sent events: kind, id, and the tab it came from. */
  'GET /api/events': route<Response>()('observer', null),

  /** A part of a page that came to a stop: for the server's log. */
  'POST /api/stops': route<{ noted: true }>()(
    'anyone',
    z.strictObject({
      island: z.string().max(60),
      path: z.string().max(300),
      message: z.string().max(500),
      stack: z.string().max(4000),
    }),
    [429],
  ),

  /** Login and password, and the time code where the account asks for one. */
  'POST /api/session': route<{ name: string }>()(
    'anyone',
    z.strictObject({
      login: z.string().trim().min(1).max(80),
      password: z.string().min(1).max(200),
      code: z.string().max(20).optional(),
    }),
    [401, 429],
  ),
  'DELETE /api/session': route<{ ended: true }>()('anyone', null),
  /** Signs in as the demo's account of a role; only in the demo. */
  'POST /api/session/demo': route<{ name: string }>()('anyone', z.strictObject({ role: RoleSchema }), [404]),
  'PUT /api/session/workspace': route<{ workspaceId: string }>()(
    'observer',
    z.strictObject({ workspaceId: z.uuid() }),
    [404],
  ),
  'DELETE /api/session/all': route<{ ended: true }>()('observer', null),
  /** The first coordinator: only while there is no account, and only at the server's own machine or with its word. */
  'POST /api/accounts/first': route<{ accountId: string }>()(
    'anyone',
    FirstAccountSchema,
    [401, 403, 409, 429],
    201,
  ),
  'POST /api/links/[token]': route<{ accountId: string }>()('anyone', TakeLinkSchema, [401, 409, 429], 201),
  /** What a holder says of their own set, without an account. */
  'POST /api/enrol/[token]': route<{ nickname: string }>()('anyone', EnrolmentSchema, [429], 201),
  /** A document for paper, `?what=…&size=A4|LETTER`, as PDF. */
  'GET /api/plans/[planId]/print': route<Response>()('observer', null, [403, 429]),
  /** Numbers, fit or rollout as a table, `?what=…&as=csv|tsv|xlsx|json`. */
  'GET /api/plans/[planId]/table': route<Response>()('member', null, [403]),
  /** Nets, days and what is due, as a calendar file; of those who may not edit, what is theirs. */
  'GET /api/plans/[planId]/calendar': route<Response>()('member', null, [400]),
  'GET /api/my/[token]/print': route<Response>()('anyone', null, [429]),
  'GET /api/my/[token]/calendar': route<Response>()('anyone', null, [429]),
  /** The group's, by a secret link that can be taken back. */
  'GET /api/calendar/[token]': route<Response>()('anyone', null, [429]),
  /** One's own card of a plan, `?plan=`; of the one that was published last where none is named. */
  'GET /api/my': route<Card>()('member', null),
  'GET /api/my/[token]': route<Card>()('anyone', null, [429]),
  /** The steps of a set of one's own, `?plan=`. */
  'GET /api/my/sets/[unitId]': route<CardSteps>()('member', null),
  'GET /api/my/[token]/sets/[unitId]': route<CardSteps>()('anyone', null, [429]),
  /** What it takes to fit one more channel to a set of one's own, `?plan=`. */
  'GET /api/my/sets/[unitId]/foreign': route<ForeignWork>()('member', null),
  'GET /api/my/[token]/sets/[unitId]/foreign': route<ForeignWork>()('anyone', null, [429]),
  /** What somebody reports of their own sets; each is answered for itself, in the order in which they happened. */
  'POST /api/my/reports': route<{ answers: readonly ReportAnswer[] }>()('member', ReportsSchema),
  'POST /api/my/[token]/reports': route<{ answers: readonly ReportAnswer[] }>()(
    'anyone',
    ReportsSchema,
    [429],
  ),
  'PUT /api/account/password': route<{ changed: true }>()(
    'observer',
    z.strictObject({ old: z.string().max(200), password: PasswordSchema }),
    [429],
  ),
  /** A new secret with its picture for an authenticator; it counts once it is confirmed. */
  'POST /api/account/second-factor': route<{ secret: string; uri: string; svg: string }>()(
    'observer',
    Nothing,
  ),
  'PUT /api/account/second-factor': route<{ on: true }>()(
    'observer',
    z.strictObject({ secret: z.string().regex(/^[A-Z2-7]{16,64}$/), code: z.string().max(20) }),
    [429],
  ),
  'DELETE /api/account/second-factor': route<{ on: false }>()(
    'observer',
    z.strictObject({ password: z.string().max(200) }),
    [429],
  ),
  /** An invitation, a reset or an enrolment: the path of the link, shown this once, and the mail that would carry it. */
  'POST /api/team/links': route<{ path: string; mail: Mail; svg: string }>()(
    'coordinator',
    LinkSchema,
    [404, 409],
    201,
  ),
  /** Takes back a link to a card: at its next request it shows nothing. */
  'DELETE /api/team/links/[id]': route<{ revoked: true }>()('coordinator', null),
  /** A member's role and the person they are; the last coordinator stays one. Their sessions here end. */
  'PUT /api/team/[accountId]': route<{ role: Role }>()(
    'coordinator',
    z.strictObject({ role: RoleSchema, personId: z.uuid().nullable() }),
    [409],
  ),
  'DELETE /api/team/[accountId]': route<{ removed: true }>()('coordinator', null, [409]),
  /** A further workspace, with the caller as its coordinator; the session goes on in it. */
  'POST /api/workspaces': route<{ id: string }>()(
    'coordinator',
    z.strictObject({ name: NameSchema, country: PlanHeadSchema.shape.country.exclude(['unknown']) }),
    [],
    201,
  ),

  'GET /api/plans': route<readonly { id: string; name: string; archived: boolean }[]>()('observer', null),
  /** A plan document; fresh ids where they are taken. */
  'POST /api/plans': route<{ id: string }>()('editor', z.unknown(), [], 201),
  'GET /api/plans/[planId]': route<PlanState>()('observer', null, [400]),
  /** Who sends with the sets that one may see, on the day on which they are loaded. */
  'GET /api/plans/[planId]/grounds': route<Grounds>()('observer', null, [400]),
  'PUT /api/plans/[planId]': change<PlanHead>(SCHEMAS.plan),
  'DELETE /api/plans/[planId]': take(),
  /** The document that others read, as a download; `?public` as observers see it. */
  'GET /api/plans/[planId]/export': route<Response>()('observer', null, [400]),
  'POST /api/plans/[planId]/channels': add<Channel>(ChannelSchema),
  /** Several in a row, all of them or none; a long list comes in parts of one move, by which all of it is undone. */
  'POST /api/plans/[planId]/channels/several': route<Undoable & { added: number }>()(
    'editor',
    z.strictObject({ move: z.uuid(), values: z.array(ChannelSchema).min(1).max(50) }),
    [404, 409],
    201,
  ),
  'PUT /api/plans/[planId]/order': route<Undoable>()(
    'editor',
    z.strictObject({
      version,
      order: z.array(z.strictObject({ id: z.uuid(), groupId: z.uuid() })).max(2000),
    }),
    [409],
  ),
  /** A starter set: a group of its own with all its channels, in one move. */
  'POST /api/plans/[planId]/sets': route<Undoable & { group: string; channels: number }>()(
    'editor',
    z.strictObject({ set: z.string().max(40), version }),
    [409],
    201,
  ),
  /** What was published of a plan, newest first, without the plans themselves. */
  'GET /api/plans/[planId]/revisions': route<readonly RevisionHead[]>()('member', null),
  /**
   * Publishes the draft as it was looked at. Refused where something stops it that nobody overruled, and, with the newest revision, where
   * somebody published or changed the draft since.
   */
  'POST /api/plans/[planId]/revisions': route<{ id: string; number: number }>()(
    'coordinator',
    PublishSchema,
    [400, 409],
    201,
  ),
  /** How each of some sets can be brought to a revision, and how long that takes; of the others, why they need nothing or cannot be. */
  'POST /api/plans/[planId]/ways': route<BenchWays>()(
    'editor',
    z.strictObject({
      of: z.number().int().min(1),
      setIds: z.array(z.uuid()).max(300),
      masterIds: z.array(z.uuid()).max(40),
      standMin: z.number().int().min(1).max(240),
    }),
  ),
  /** What stops the draft, what it costs and which choices it makes: every sheet is made and tried for it. */
  'GET /api/plans/[planId]/publishing': route<PublishView>()('editor', null),
  /** A published state as a document, as a download. */
  'GET /api/plans/[planId]/revisions/[number]': route<Response>()('member', null, [400]),
  'POST /api/plans/[planId]/revisions/[number]/withdraw': route<{ withdrawn: number }>()(
    'coordinator',
    z.strictObject({ reason: LineSchema.trim().min(1).max(400) }),
    [409],
  ),
  /** The draft becomes what a revision was; in one move, by which it can be taken back. */
  'POST /api/plans/[planId]/revisions/[number]/draft': route<Undoable>()(
    'editor',
    z.strictObject({ version }),
    [400, 409],
  ),
  /** What somebody saw or did with sets; of one's own sets members say it too. One move, by which all of it can be taken back; where it was said of one, that set as it is now. */
  'POST /api/plans/[planId]/seen': route<Undoable & { set: Versioned<Unit> | null }>()(
    'member',
    SeenOfSetsSchema,
    [400, 409],
    201,
  ),
  /** How much more each of the others takes to load than some numbers; `left` sets are left out. Nothing is kept. */
  'POST /api/plans/[planId]/effort': route<{ effort: readonly Effort[]; left: number }>()(
    'editor',
    z.strictObject({ numbers, others: z.array(numbers).min(1).max(6) }),
  ),
  'PUT /api/channels/[channelId]': change<Channel>(SCHEMAS.channel),
  'DELETE /api/channels/[channelId]': take(),
  'POST /api/units': add<Unit>(SCHEMAS.unit),
  'PUT /api/units/[unitId]': change<Unit>(SCHEMAS.unit),
  'DELETE /api/units/[unitId]': take(),
  'POST /api/people': add<Person>(SCHEMAS.person),
  'PUT /api/people/[id]': change<Person>(SCHEMAS.person),
  'DELETE /api/people/[id]': take(),
  'POST /api/teams': add<Team>(SCHEMAS.team),
  'PUT /api/teams/[id]': change<Team>(SCHEMAS.team),
  'DELETE /api/teams/[id]': take(),
  'POST /api/stations': add<Station>(SCHEMAS.station),
  'PUT /api/stations/[id]': change<Station>(SCHEMAS.station),
  'DELETE /api/stations/[id]': take(),
  'POST /api/nets': add<Net>(SCHEMAS.net),
  'PUT /api/nets/[id]': change<Net>(SCHEMAS.net),
  'DELETE /api/nets/[id]': take(),
  'POST /api/benches': add<BenchDay>(SCHEMAS.bench),
  'PUT /api/benches/[id]': change<BenchDay>(SCHEMAS.bench),
  'DELETE /api/benches/[id]': take(),
  /** What was heard on the air, and what was not; each is answered for itself. One that was sent before counts once, by its id. */
  'POST /api/plans/[planId]/heard': route<{ answers: readonly ReportAnswer[] }>()('editor', HeardSentSchema),
  'POST /api/finds': add<Find>(SCHEMAS.find),
  'PUT /api/finds/[id]': change<Find>(SCHEMAS.find),
  'DELETE /api/finds/[id]': take(),
  'PUT /api/heard/[id]': change<Heard>(SCHEMAS.heard),
  'DELETE /api/heard/[id]': take(),
  'POST /api/benches/[id]/marks': route<BenchMarksAnswer>()('editor', BenchMarksSchema),

  /** The description of a kind as the document that is brought in again, as a download. */
  'GET /api/descriptions/[descriptionId]': route<Response>()('member', null),
  /** Its places by their labels. */
  'GET /api/descriptions/[descriptionId]/places': route<SetPlaces>()('editor', null),
  /** Answers findings about the words of its steps; the one that is there where its id is taken. */
  'POST /api/descriptions': route<{ id: string; version: number; findings: readonly Finding[] }>()(
    'editor',
    z.unknown(),
    [409],
    201,
  ),
  /** A corrected description in its place. */
  'PUT /api/descriptions/[descriptionId]': route<{
    id: string;
    version: number;
    editId: string | null;
    findings: readonly Finding[];
  }>()('editor', z.strictObject({ version, description: z.unknown() }), [409]),
  /** A person's word on a description. */
  'POST /api/descriptions/[descriptionId]/marks': route<{
    marks: readonly Mark[];
    version: number;
    editId: string | null;
  }>()('member', z.strictObject({ version, mark: MarkSchema }), [409], 201),
  /** The steps that somebody recorded with a set in hand. */
  'PUT /api/descriptions/[descriptionId]/steps': route<{ version: number; editId: string | null }>()(
    'editor',
    z.strictObject({ version, recording: RecordingSchema }),
    [409],
  ),

  /** The directory's stations around a place, nearest first; what it says is kept for the tone advisor. */
  'POST /api/directory/search': route<DirectorySearch>()(
    'editor',
    z.strictObject({
      near: z.union([z.string().trim().min(1).max(80), z.strictObject(PlaceSchema.shape)]),
      withinM: z.number().min(1000).max(1_000_000),
    }),
  ),
  /** What written area codes come to, by the county table. */
  'POST /api/areas': route<readonly AreaReading[]>()(
    'observer',
    z.strictObject({ codes: z.array(z.string().max(20)).max(40) }),
  ),
  /** The invented plan of Ostrel Island beside one's own, with a few sets when there are none. */
  'POST /api/example': route<{ id: string }>()('editor', Nothing, [], 201),
  /** All of them or none. */
  'POST /api/roster/import': route<Undoable & { added: number }>()('editor', ImportSchema, [404, 409], 201),
  /** The cells of a workbook's first sheet as texts; it comes as the file is. */
  'POST /api/roster/workbook': route<{ rows: string[][] }>()('editor', null, [400, 413, 415]),
  'POST /api/roster/bulk': route<Undoable & { changed: number }>()('editor', BulkSchema, [404, 409]),
  /** Things as a table, `?what=people&as=csv|tsv|xlsx`, as a download; `?what=channels&plan=…` of a plan. */
  'GET /api/roster/export': route<Response>()('editor', null, [404]),
  /** The stations that have a site, as a download; observers get them without tones. */
  'GET /api/stations/geojson': route<Response>()('observer', null),
  'POST /api/edits/[editId]/undo': route<{ undone: string }>()('editor', Nothing, [409]),
} as const;

export type Routes = typeof ROUTES;
export type RouteName = keyof Routes;
/** What a caller sends: what has a usual value may be left out. */
export type SentTo<R extends RouteName> = Routes[R]['body'] extends z.ZodType
  ? z.input<Routes[R]['body']>
  : undefined;
/** What a handler gets. */
export type BodyOf<R extends RouteName> = Routes[R]['body'] extends z.ZodType
  ? z.output<Routes[R]['body']>
  : undefined;
export type AnswerOf<R extends RouteName> = NonNullable<Routes[R]['answer']>;
export type PathOf<R extends RouteName> = ParamsOf<R>;
