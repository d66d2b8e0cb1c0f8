import type { PlanHead } from '@umbrex/core/model';
import { mhzText } from '@umbrex/core/units';
import { dayText } from './days';
import { counted } from './labels';
import { NAMING_CHOICES } from './naming';

/* How each part of the plan's form stands, in a few words. */

const joined = (...parts: (string | false)[]) => parts.filter(Boolean).join('; ');

export const rightsText = ({ withoutRight, spares, planned, withdrawn, loadOn }: PlanHead): string =>
  joined(
    withoutRight === 'warn' ? 'without a right loaded, with a warning' : 'without a right left out',
    spares === 'licensed' ? 'spares by whoever takes them' : 'spares listen',
    planned === 'leave-out' && 'planned channels left out',
    withdrawn === 'load' && 'withdrawn ones kept',
    loadOn === null ? 'judged for today' : `judged for ${dayText(loadOn)}`,
  );

export const scansText = ({ resumeDelay, naming }: PlanHead): string =>
  joined(
    resumeDelay === 'on' ? 'scans stay for the answer' : 'scans move on',
    `names ${NAMING_CHOICES.find(([how]) => how === naming.all)?.[1] ?? naming.all}`,
    Object.keys(naming.kinds).length > 0 && `not so on ${counted(Object.keys(naming.kinds).length, 'kind')}`,
  );

export const servicesText = ({ services, licensed }: PlanHead): string =>
  joined(
    services.length === 0 ? 'all of the country' : counted(services.length, 'service'),
    licensed.length > 0 && `${counted(licensed.length, 'frequency', 'frequencies')} of your own`,
  );

export const alertsText = ({ alerts }: PlanHead): string =>
  alerts === null
    ? 'none set up'
    : joined(
        counted(alerts.areas.length, 'area'),
        alerts.weatherHz === 'unknown' ? 'transmitter not known' : `${mhzText(alerts.weatherHz)} MHz`,
      );

export const fleetText = ({ fleet: { statuses, calls } }: PlanHead): string =>
  statuses.length + calls.length === 0
    ? 'nothing'
    : joined(counted(statuses.length, 'status text'), counted(calls.length, 'call'));
