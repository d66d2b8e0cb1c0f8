import type { Knex } from 'knex';
import type { ForeignWork } from '../../contract/card';
import { loadDesk } from '../desk';
import type { Holder } from '../holder';
import { NotHere } from '../problem';
import { partOf, preparedFor } from '../sheetPage';

/**
 * What a phone needs to fit one more channel to a set of one's own. What the set holds is in it, with its tones: a link that carries none gets nothing.
 * @throws NotHere where it is no set of theirs, or is not set by keys
 */
export async function foreignWork(db: Knex, holder: Holder, unitId: string): Promise<ForeignWork> {
  const { session, planId, hidesTones } = holder;
  const desk = await loadDesk(db, session, planId, 'published');
  const unit = desk.units.find((one) => one.unit.id === unitId)?.unit;
  const kind = desk.descriptions.find(({ description }) => description.id === unit?.descriptionId);
  if (!unit || !kind || unit.personId !== session.personId || hidesTones) throw new NotHere();
  const { description } = kind;
  if (!description.recipes) throw new NotHere();
  const { plan } = desk.state;
  const { fit } = preparedFor(desk)(kind, unit);
  const { keeps, holds, accepts, carries, roleId, pickedTone, start, names, alerts } = unit;
  const slots = [...fit.image.slots];
  const used = new Set(slots.flatMap(([, { channelIds }]) => channelIds));
  return {
    format: 'umbrex/foreign@1',
    plan: { ...plan, channels: [] },
    description,
    unit: { keeps, holds, accepts, carries, roleId, pickedTone, start, names, alerts, ...partOf(desk, unit) },
    used: Object.fromEntries(slots.map(([number, { channelIds }]) => [number, channelIds])),
    names: Object.fromEntries(plan.channels.flatMap(({ id, name }) => (used.has(id) ? [[id, name]] : []))),
  };
}
