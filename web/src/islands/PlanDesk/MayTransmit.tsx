import { type Channel, type Description, loadingDay, type Plan } from '@umbrex/core/model';
import { type Grounds, type HeldLicence, transmitRule } from '@umbrex/core/rules';
import { useState } from 'react';
import { findingText } from '../../messages/findings';
import { named } from '../../ui/bound';
import { LabelledSelect } from '../../ui/LabelledSelect';

/** Somebody of the roster with what they lean on. */
export interface RosterPerson {
  readonly id: string;
  readonly name: string;
  readonly licences: readonly HeldLicence[];
}

/** Kinds of people, for whoever is not in the roster. */
const ANYBODY: readonly (readonly [string, string, readonly HeldLicence[]])[] = [
  ['none', 'somebody without a licence', []],
  ['gmrs', 'a GMRS licensee', [{ service: 'gmrs', holds: 'own', expires: '9999-12-31' }]],
  [
    'family',
    'close family of a GMRS licensee',
    [{ service: 'gmrs', holds: 'family', expires: '9999-12-31' }],
  ],
  [
    'gmrs-employee',
    'an employee of a GMRS licensee',
    [{ service: 'gmrs', holds: 'employer', expires: '9999-12-31' }],
  ],
  [
    'employee',
    'an employee under the business licence',
    [{ service: 'business', holds: 'employer', expires: '9999-12-31' }],
  ],
  ['amateur', 'an amateur', [{ service: 'amateur', holds: 'own', expires: '9999-12-31' }]],
  [
    'expired',
    'a GMRS licensee whose licence ran out',
    [{ service: 'gmrs', holds: 'own', expires: '2000-01-01' }],
  ],
];

interface Props {
  channel: Channel;
  plan: Plan;
  devices: readonly Description[];
  people: readonly RosterPerson[];
  today: string;
  keepers: Pick<Grounds, 'refused' | 'unsettled'>;
}

/** What a person with a kind of device may do on this channel, by the rules, with the section that says so. */
export function MayTransmit({
  channel,
  plan,
  devices,
  people,
  today,
  keepers: { refused, unsettled },
}: Props) {
  const [person, setPerson] = useState('gmrs');
  // The first question is about a set that is made for this service.
  const isMadeFor = ({ certifiedFor }: Description) =>
    certifiedFor !== 'unknown' && (certifiedFor as readonly string[]).includes(channel.service);
  const [deviceId, setDeviceId] = useState((devices.find(isMadeFor) ?? devices[0])?.id ?? '');
  const device = devices.find(({ id }) => id === deviceId) ?? devices[0];
  if (!device) return null;
  const licences =
    ANYBODY.find(([id]) => id === person)?.[2] ?? people.find(({ id }) => id === person)?.licences ?? [];
  const rule = transmitRule(channel, device, plan, {
    each: [licences],
    day: loadingDay(plan, today),
    refused,
    unsettled,
  });
  return (
    <details className="border-t border-base-300 pt-3">
      <summary className="muted cursor-pointer font-semibold">Who may transmit?</summary>
      <div className="mt-2 space-y-2 text-plain">
        <LabelledSelect
          title="Who"
          value={person}
          options={[]}
          groups={[
            { title: 'In the roster', options: named(people) },
            { title: 'Anybody', options: ANYBODY.map(([id, words]) => [id, words] as const) },
          ]}
          set={setPerson}
        />
        <LabelledSelect
          title="With"
          value={device.id}
          options={devices.map(({ id, title }) => [id, title] as const)}
          set={setDeviceId}
        />
        <div aria-live="polite">
          {rule.may === 'transmit' ? (
            <p>
              <strong>May transmit</strong>
              {rule.limitW !== null &&
                `, up to ${rule.limitW} W${rule.basis === 'erp' ? ' radiated (ERP)' : ' at the transmitter'}`}
              , at most {rule.bandwidthHz / 1000} kHz wide
              {rule.identifyEveryMinutes === null
                ? ''
                : `; identify every ${rule.identifyEveryMinutes} minutes and at the end`}
              . <span className="muted">{rule.source}. Check your local rules.</span>{' '}
              {rule.findings
                .filter(({ severity }) => severity === 'warning')
                .map((finding) => `${findingText(finding).what} ${findingText(finding).help ?? ''}`)
                .join(' ')}
            </p>
          ) : (
            <p>
              <strong>{rule.may === 'unknown' ? 'Not known.' : 'Listen only.'}</strong>{' '}
              {findingText(rule.finding).what}{' '}
              <span className="muted">
                {rule.finding.source ? `${rule.finding.source}. ` : ''}Check your local rules.
              </span>
            </p>
          )}
        </div>
      </div>
    </details>
  );
}
