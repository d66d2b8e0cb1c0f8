import { type Channel, type Description, holdsOnePair, type Plan } from '../model/index';
import { fitDevice } from './device';
import { fitPlan } from './fit';

/** The kinds of device that can talk on a channel as far as its frequencies go: the ones whose tones count when one is chosen. */
export function talkers(channel: Channel, plan: Plan, descriptions: readonly Description[]): Description[] {
  const bare: Channel = { ...channel, transmitTone: 'off', receiveTone: 'off' };
  return descriptions.filter((description) => {
    if (holdsOnePair(description)) return false;
    const [cell] = fitPlan({ ...plan, channels: [bare] }, fitDevice(description)).cells;
    return cell?.verdict === 'full' || cell?.verdict === 'adapted' || cell?.verdict === 'unknown';
  });
}
