import { CHANNEL_STATES, type Channel, ListedSchema, SERVICES_OR_OTHER, TrunkSchema } from '../model/index';
import { type Fields, field } from './field';
import { choice, hertz, line, maybe, named, parts, several, tone, words, yesNo } from './forms';

/** Whether the tones of a channel are for members only. */
const secretTone =
  (masked: (channel: Channel) => string, key: 'transmitTone' | 'receiveTone') => (channel: Channel) =>
    channel.tonesSecret ? masked(channel) : channel[key];

/** A channel of a plan; what a sheet depends on is marked. */
export const CHANNEL_FIELDS = {
  name: field('name', line, true, { synonyms: ['channel', 'label', 'title'] }),
  groupId: field('group', named('group', 'a group of the plan'), true, { synonyms: ['zone', 'bank'] }),
  receiveHz: field('receive', hertz, true, { synonyms: ['receive mhz', 'rx', 'frequency', 'output'] }),
  transmitHz: field('transmit', maybe(hertz, 'listen only'), true, {
    synonyms: ['transmit mhz', 'tx', 'input'],
  }),
  transmitTone: field('transmit tone', tone, true, {
    synonyms: ['tx tone', 'tone', 'input tone', 'tone in', 'in tone', 'encode', 'access tone'],
    // A channel that sends nothing sends no tone, and everybody may know that.
    hidden: secretTone(({ transmitHz }) => (transmitHz === null ? 'off' : 'unknown'), 'transmitTone'),
  }),
  receiveTone: field('receive tone', tone, true, {
    synonyms: ['rx tone', 'output tone', 'tone out', 'out tone', 'decode'],
    hidden: secretTone(() => 'unknown', 'receiveTone'),
  }),
  receivePolicy: field(
    'receive policy',
    choice(['plan', 'open', 'closed'], 'plan', { plan: 'as the plan says' }),
    true,
    { synonyms: ['hears'] },
  ),
  bandwidth: field(
    'width',
    choice(['narrow', 'wide', 'unknown'], 'unknown', { unknown: 'not known' }),
    true,
    {
      synonyms: ['bandwidth'],
    },
  ),
  mode: field('mode', choice(['FM', 'AM', 'digital'], 'FM'), true, { synonyms: ['modulation'] }),
  service: field('service', choice(SERVICES_OR_OTHER, 'other'), true),
  access: field(
    'access',
    choice(['open', 'permission', 'unknown'], 'unknown', { unknown: 'not known' }),
    true,
  ),
  tier: field('weight', choice(['must', 'should', 'nice'], 'should'), true, {
    synonyms: ['tier', 'priority'],
  }),
  note: field('note', words, false, { synonyms: ['notes', 'remark', 'remarks', 'comment'] }),
  aliases: field('other names', several(line), false, { synonyms: ['aliases', 'nicknames'] }),
  shortNames: field('short names', several(line), true, { synonyms: ['short name'] }),
  tonesSecret: field('secret tones', yesNo(false), false),
  listed: field(
    'listed',
    maybe(
      parts(ListedSchema, ({ source, changed, taken }) => `${source}, changed ${changed}, taken ${taken}`),
      'written here',
    ),
    false,
    { synonyms: ['source'] },
  ),
  trunk: field(
    'network',
    maybe(
      parts(
        TrunkSchema,
        ({ network, carries, isLocal }) =>
          `${network}, ${carries === 'control' ? 'control channel' : 'calls'}, ${isLocal === 'unknown' ? 'local or not is not known' : isLocal ? 'local' : 'not local'}`,
      ),
      'none',
    ),
    true,
  ),
  scan: field('in scans', choice(['usual', 'in', 'out', 'priority'], 'usual'), true, { synonyms: ['scan'] }),
  resumeDelay: field(
    'stays after a call',
    choice(['plan', 'on', 'off'], 'plan', { plan: 'as the plan says' }),
    true,
  ),
  state: field('state', choice(CHANNEL_STATES, 'on-air', { 'on-air': 'on the air' }), true, {
    synonyms: ['status'],
  }),
} satisfies Fields<Channel>;
