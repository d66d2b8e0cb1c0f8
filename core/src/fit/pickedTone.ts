import type { Finding } from '../findings/index';
import { type Channel, type Description, type Plan, sameOnAir, type Unit } from '../model/index';

/** The channels on which a picked tone gets in the way. */
export interface PickedToneEffects {
  /** Others do not hear us there: a repeater or a set waits for another tone. */
  readonly shut: readonly Channel[];
  /** We do not hear others there: what is sent to us carries another tone or none. */
  readonly deaf: readonly Channel[];
}

/**
 * What a tone picked by the operator does to the channels of a plan: it is sent in place of each channel's own, and with
 * `both` it is waited for as well. Channels whose tones nobody knows are not counted. Common practice, no published source.
 */
export function pickedToneEffects(
  tone: string,
  reach: 'transmit' | 'both',
  channels: readonly Channel[],
): PickedToneEffects {
  const alike = [tone, ...(tone === 'off' ? [] : sameOnAir(tone))];
  const shut = channels.filter((channel) => {
    if (channel.transmitHz === null) return false;
    const needed = channel.transmitHz === channel.receiveHz ? channel.receiveTone : channel.transmitTone;
    return needed !== 'off' && needed !== 'unknown' && !alike.includes(needed);
  });
  const deaf =
    reach === 'transmit'
      ? []
      : channels.filter(({ receiveTone }) => receiveTone !== 'unknown' && !alike.includes(receiveTone));
  return { shut, deaf };
}

/** What there is to say of one unit's picked tone: it is left on, or nobody has looked. Nothing where the set has none. */
export function pickedToneFindings(
  unit: Pick<Unit, 'pickedTone'>,
  description: Pick<Description, 'operatorTone'>,
  plan: Pick<Plan, 'channels'>,
): Finding[] {
  const { operatorTone } = description;
  if (typeof operatorTone === 'string' || unit.pickedTone === 'off') return [];
  const { reach, sticky } = operatorTone;
  if (unit.pickedTone === 'unknown') return [{ code: 'override-unknown', severity: 'note', reach, sticky }];
  const { shut, deaf } = pickedToneEffects(unit.pickedTone, reach, plan.channels);
  return [
    {
      code: 'override-left-on',
      severity: 'warning',
      tone: unit.pickedTone,
      reach,
      sticky,
      shut: shut.length,
      deaf: deaf.length,
    },
  ];
}
