import { usualShiftOf } from '@umbrex/core/facts';
import { readTone } from '@umbrex/core/listing';
import { type Channel, ChannelSchema, kindOf, type Plan } from '@umbrex/core/model';
import { hzFromMHzText, mhzText } from '@umbrex/core/units';
import { z } from 'zod';
import { questionText } from '../../messages/questions';

/** A channel as its form holds it: texts as people write them. */
export interface ChannelForm {
  name: string;
  groupId: string;
  receive: string;
  way: 'direct' | 'repeater' | 'other' | 'listen';
  transmit: string;
  transmitTone: string;
  receiveTone: string;
  receivePolicy: Channel['receivePolicy'];
  bandwidth: Channel['bandwidth'];
  mode: Channel['mode'];
  access: Channel['access'];
  tier: Channel['tier'];
  scan: Channel['scan'];
  resumeDelay: Channel['resumeDelay'];
  state: Channel['state'];
  note: string;
  /** Parted by commas. */
  aliases: string;
  /** Parted by commas. */
  shortNames: string;
  tonesSecret: boolean;
  /** A trunked network by its name, or nothing. */
  network: string;
  carries: 'control' | 'calls';
  isLocal: 'yes' | 'no' | 'unknown';
}

const LOCAL = { yes: true, no: false, unknown: 'unknown' } as const;

const parts = (text: string) =>
  text
    .split(',')
    .map((part) => part.trim())
    .filter(Boolean);

const localWord = (isLocal: boolean | 'unknown') =>
  isLocal === 'unknown' ? 'unknown' : isLocal ? 'yes' : 'no';

/** A shift as people say it: `5 MHz up`, `600 kHz down`. */
export function shiftText(hz: number): string {
  const size = Math.abs(hz);
  return `${size < 1_000_000 ? `${size / 1000} kHz` : `${size / 1_000_000} MHz`} ${hz > 0 ? 'up' : 'down'}`;
}

export function formOf(channel: Channel, country: Plan['country']): ChannelForm {
  const kind = kindOf(channel);
  const shiftHz = usualShiftOf(channel.service, country, channel.receiveHz);
  const shifted = shiftHz !== 0 && channel.transmitHz === channel.receiveHz + shiftHz;
  return {
    name: channel.name,
    groupId: channel.groupId,
    receive: mhzText(channel.receiveHz),
    way: kind === 'repeater' && !shifted ? 'other' : kind,
    transmit: channel.transmitHz === null ? '' : mhzText(channel.transmitHz),
    transmitTone: channel.transmitTone,
    receiveTone: channel.receiveTone,
    receivePolicy: channel.receivePolicy,
    bandwidth: channel.bandwidth,
    mode: channel.mode,
    access: channel.access,
    tier: channel.tier,
    scan: channel.scan,
    resumeDelay: channel.resumeDelay,
    state: channel.state,
    note: channel.note,
    aliases: channel.aliases.join(', '),
    shortNames: channel.shortNames.join(', '),
    tonesSecret: channel.tonesSecret,
    network: channel.trunk?.network ?? '',
    carries: channel.trunk?.carries ?? 'control',
    isLocal: localWord(channel.trunk?.isLocal ?? 'unknown'),
  };
}

/** The schema that turns the form's texts into the channel, with a sentence at the field for each slip. */
export function channelFormSchema(before: Channel, country: Plan['country']) {
  return z
    .custom<ChannelForm>()
    .transform((form, context): unknown => {
      const fault = (path: keyof ChannelForm, message: string) => {
        context.addIssue({ code: 'custom', path: [path], message });
        return undefined;
      };
      const mhz = (path: 'receive' | 'transmit') =>
        hzFromMHzText(form[path].trim().replace(',', '.')) ??
        fault(path, 'Write it in MHz, for example 462.6500.');
      const tone = (path: 'transmitTone' | 'receiveTone') => {
        const text = form[path].trim();
        if (text === 'unknown' || text === '?') return 'unknown';
        const reading = readTone(text === '' ? 'off' : text);
        const asked = reading.questions.find((question) => question.blocking);
        if (reading.tone !== undefined) return reading.tone;
        return fault(
          path,
          asked ? `${questionText(asked)} ${asked.offers.join(' or ')}` : 'Write it as 82.5 or D023N.',
        );
      };
      if (form.name.trim() === '') fault('name', 'Give it a name.');
      const receiveHz = mhz('receive');
      const transmitHz = {
        direct: () => receiveHz,
        repeater: () => {
          if (receiveHz === undefined) return undefined;
          const shiftHz = usualShiftOf(before.service, country, receiveHz);
          return shiftHz === 0
            ? fault('receive', 'Nothing is usual here: choose “another frequency” and write it.')
            : receiveHz + shiftHz;
        },
        other: () => mhz('transmit'),
        listen: () => null,
      }[form.way]();
      const sent = tone('transmitTone');
      const network = form.network.trim();
      if (network !== '' && form.way !== 'listen')
        fault('network', 'A trunked network is only listened to here: choose “never, listen only” first.');
      return {
        ...before,
        name: form.name,
        groupId: form.groupId,
        receiveHz,
        transmitHz,
        transmitTone: form.way === 'listen' ? 'off' : sent,
        receiveTone: tone('receiveTone'),
        receivePolicy: form.receivePolicy,
        bandwidth: form.bandwidth,
        mode: form.mode,
        access: form.access,
        tier: form.tier,
        scan: form.scan,
        resumeDelay: form.resumeDelay,
        state: form.state,
        note: form.note,
        tonesSecret: form.tonesSecret,
        aliases: parts(form.aliases),
        shortNames: parts(form.shortNames),
        trunk: network === '' ? null : { network, carries: form.carries, isLocal: LOCAL[form.isLocal] },
      };
    })
    .pipe(ChannelSchema);
}
