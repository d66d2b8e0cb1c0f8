import { type Licence, LicenceSchema, type Net, NetSchema, type Person, type Team } from '../model/index';
import { type Fields, type Form, field } from './field';
import { choice, line, maybe, momentOrNone, named, parts, place, several, words } from './forms';

const SERVICES: Readonly<Record<string, string>> = {
  gmrs: 'gmrs',
  business: 'business',
  amateur: 'amateur',
  ham: 'amateur',
  marine: 'marine',
  interop: 'interop',
};

/** `gmrs own 2033-04-30 ABC123`: a service first, the rest in any order; without a day the end is unknown. */
export const licence: Form<Licence> = {
  write: licenceText,
  read: (text) => {
    const [first = '', ...words] = text.split(/\s+/);
    const service = SERVICES[first.toLowerCase()];
    if (!service) return undefined;
    const read = { service, holds: 'own', expires: 'unknown', callSign: '', class: '' };
    for (const word of words) {
      if (/^(own|family|employer)$/i.test(word)) read.holds = word.toLowerCase();
      else if (/^\d{4}-\d{2}-\d{2}$/.test(word)) read.expires = word;
      else if (/\d/.test(word)) read.callSign = word.toUpperCase();
      else read.class = word.toLowerCase();
    }
    return LicenceSchema.safeParse(read).data;
  },
  wanted: 'a service, own, family or employer, and the day it ends',
  words: licenceText,
};

/** A licence as one line, as it is read again. */
export function licenceText({ service, holds, expires, callSign, class: grade }: Licence): string {
  return [service, holds, expires === 'unknown' ? '' : expires, callSign, grade].filter(Boolean).join(' ');
}

/** The fields of a person. */
export const PERSON_FIELDS = {
  name: field('name', line, false, { synonyms: ['person', 'member', 'full name', 'who'] }),
  contact: field('contact', line, false, {
    synonyms: ['mail', 'email', 'e-mail', 'phone', 'telephone', 'mobile'],
  }),
  licences: field('licences', several(licence), false, {
    synonyms: ['licence', 'license', 'licenses', 'gmrs', 'call sign', 'callsign'],
  }),
  teamIds: field('teams', several(named('team', 'a team that is there')), false, {
    synonyms: ['team', 'role', 'roles', 'group', 'groups'],
  }),
  place: field('usual place', place, false, { synonyms: ['place', 'position'] }),
  note: field('note', words, false, { synonyms: ['notes', 'remark', 'remarks', 'comment'] }),
} satisfies Fields<Person>;

/** The fields of a team or role. */
export const TEAM_FIELDS = {
  name: field('name', line, false, { synonyms: ['team', 'role'] }),
  note: field('note', words, false, { synonyms: ['notes', 'remark', 'comment'] }),
} satisfies Fields<Team>;

const channel = maybe(named('channel', 'a channel of the plan'), 'none');

/** The fields of a net or event. */
export const NET_FIELDS = {
  name: field('name', line, false, { synonyms: ['net', 'event'] }),
  startsAt: field('time', { ...line, wanted: 'a day and a time, as 2026-12-01T19:00' }, false, {
    synonyms: ['start', 'begins'],
  }),
  timeZone: field('time zone', line, false, { synonyms: ['zone'] }),
  repeats: field('repeats', choice(['once', 'daily', 'weekly', 'monthly'], 'once'), false),
  channelId: field('channel', channel, false),
  fallbackId: field('fallback', channel, false, { synonyms: ['second channel'] }),
  leader: field('leader', line, false, { synonyms: ['led by', 'net control'] }),
  roles: field(
    'roles',
    parts(
      NetSchema.shape.roles.unwrap(),
      (roles, names) =>
        roles
          .map(
            ({ name, who, channelId }) => `${name}: ${who || 'nobody'} on ${channel.words(channelId, names)}`,
          )
          .join('; ') || 'none',
      [],
    ),
    false,
  ),
  checkIns: field(
    'check-ins',
    parts(
      NetSchema.shape.checkIns.unwrap(),
      (checkIns, names) =>
        checkIns
          .map(({ who, at, note, heardBy, channelId }) =>
            [
              who,
              at,
              note,
              heardBy && `heard by ${heardBy}`,
              channelId && `on ${channel.words(channelId, names)}`,
            ]
              .filter(Boolean)
              .join(' '),
          )
          .join('; ') || 'none',
      [],
    ),
    false,
  ),
  listFrom: field('list of check-ins since', momentOrNone, false),
  note: field('note', words, false, { synonyms: ['notes', 'remark', 'comment'] }),
} satisfies Fields<Net>;
