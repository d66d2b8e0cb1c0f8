import { hasTables } from '../facts/index';
import type { Finding } from '../findings/index';
import { type Channel, kindOf, type Plan, wantedReceiveTone } from '../model/index';
import {
  closedService,
  neverTested,
  type RuleContext,
  type RuleRow,
  ruleRows,
  touchedService,
  withoutTables,
} from '../rules/index';
import type { NextMove, PlanFinding, Repair } from './finding';

/** Words by which people expect a tone to keep others out. */
const EXPECTS_PRIVACY = /\b(private|privacy|secret|secure|confidential)\b/i;
/** A licence that ends within this many days is worth a look. */
const SOON_DAYS = 60;

/** What a plan is checked with: the rules, and the day (YYYY-MM-DD) that tells which licences end. */
export interface CheckContext extends RuleContext {
  readonly today?: string;
}

/** What is wrong or worth knowing about one channel by itself. */
export function checkChannel(channel: Channel, plan: Plan, context: CheckContext): PlanFinding[] {
  const found: PlanFinding[] = [];
  const add = (next: NextMove, finding: Finding, repair?: Repair) =>
    found.push({ finding, channelId: channel.id, next, ...(repair && { repair }) });
  const rows = ruleRows(channel, context);
  checkFrequencies(channel, rows, context, add);
  checkTones(channel, plan, rows, add);
  checkWidth(channel, rows, add);
  for (const row of rows) {
    checkRow(row, context, add);
    checkInput(channel, row, add);
  }
  if (plan.services.length > 0 && channel.service !== 'other' && !plan.services.includes(channel.service))
    add('look', { code: 'service-not-chosen', severity: 'note', service: channel.service });
  if (neverTested(channel, context)) add('know', { code: 'never-for-tests', severity: 'note' });
  if (channel.access === 'permission') add('ask', { code: 'permission-needed', severity: 'note' });
  return found;
}

type Add = (next: NextMove, finding: Finding, repair?: Repair) => void;

const listenOnly = (channel: Channel): Repair => ({
  code: 'listen-only',
  channel: { ...channel, transmitHz: null, transmitTone: 'off' },
});

function checkFrequencies(channel: Channel, rows: readonly RuleRow[], context: RuleContext, add: Add): void {
  if (channel.transmitHz === null || rows.length > 0) return;
  if (!hasTables(context.country)) {
    add('ask', withoutTables(context.country));
    return;
  }
  const closed = closedService(channel, context);
  if (closed) {
    add(
      'fix',
      { code: 'nobody-transmits-here', severity: 'error', source: closed.licenceCitation },
      listenOnly(channel),
    );
    return;
  }
  const turned = { ...channel, receiveHz: channel.transmitHz, transmitHz: channel.receiveHz };
  const right = ruleRows(turned, context).find((row) => row.channel?.pair);
  if (right) {
    add(
      'fix',
      { code: 'input-output-swapped', severity: 'error', source: right.service.citation },
      { code: 'swap', channel: turned },
    );
    return;
  }
  const touches = touchedService(channel, context);
  if (touches && kindOf(channel) === 'repeater')
    add('fix', {
      code: 'not-a-service-channel',
      severity: 'error',
      service: touches.id,
      source: touches.citation,
    });
  else add('ask', { code: 'service-needs-licence', severity: 'warning' }, listenOnly(channel));
}

function checkTones(channel: Channel, plan: Plan, rows: readonly RuleRow[], add: Add): void {
  const { transmitTone, receiveTone } = channel;
  const kind = kindOf(channel);
  const waitsFor = wantedReceiveTone(channel, plan.receivePolicy);
  if (transmitTone === 'unknown')
    add('ask', { code: 'channel-tone-unknown', severity: 'warning', direction: 'transmit' });
  if (receiveTone === 'unknown')
    add('ask', { code: 'channel-tone-unknown', severity: 'warning', direction: 'receive' });
  if (kind === 'direct' && waitsFor !== 'off' && waitsFor !== 'unknown' && transmitTone !== waitsFor) {
    // Everybody on a direct channel sends the same tone: a set that waits for another one hears nobody of its group.
    if (transmitTone === 'off')
      add(
        'fix',
        { code: 'direct-tone-never-sent', severity: 'error', tone: waitsFor },
        { code: 'receive-tone-off', channel: { ...channel, receiveTone: 'off' } },
      );
    else if (transmitTone !== 'unknown')
      add('fix', { code: 'direct-tones-differ', severity: 'error', transmitTone, receiveTone: waitsFor });
  }
  if (kind === 'repeater' && transmitTone === 'off')
    add('look', { code: 'repeater-without-tone', severity: 'warning' });
  const hasTone = transmitTone !== 'off' || receiveTone !== 'off';
  if (hasTone && rows.some((row) => row.channel?.noTones))
    add(
      'fix',
      { code: 'tones-forbidden', severity: 'error', source: rows[0]?.service.citation ?? '' },
      { code: 'tones-off', channel: { ...channel, transmitTone: 'off', receiveTone: 'off' } },
    );
  if (hasTone && EXPECTS_PRIVACY.test(`${channel.name} ${channel.note}`))
    add('know', { code: 'tone-is-no-privacy', severity: 'note' });
}

function checkWidth(channel: Channel, rows: readonly RuleRow[], add: Add): void {
  if (channel.transmitHz === null) return;
  const narrow: Repair = { code: 'narrow', channel: { ...channel, bandwidth: 'narrow' } };
  const widest = Math.max(...rows.map((row) => row.bandwidthHz));
  if (channel.bandwidth === 'wide' && rows.length > 0 && widest <= 12_500) {
    const source = rows[0]?.service.citation;
    add('fix', { code: 'too-wide', severity: 'error', limitHz: widest, ...(source && { source }) }, narrow);
  } else if (
    channel.bandwidth === 'wide' &&
    kindOf(channel) === 'direct' &&
    rows.some((row) => row.bandwidthHz <= 12_500)
  )
    add('look', { code: 'wide-beside-narrow', severity: 'note' }, narrow);
}

function checkRow({ channel, licensed, service }: RuleRow, { today }: CheckContext, add: Add): void {
  if (channel?.reservedFor)
    add('fix', {
      code: 'reserved-channel',
      severity: 'error',
      use: channel.reservedFor,
      source: service.citation,
    });
  if (!licensed || today === undefined) return;
  if (licensed.expires < today)
    add('fix', { code: 'licence-expired', severity: 'error', expires: licensed.expires });
  else if (licensed.expires <= dayAfter(today, SOON_DAYS))
    add('ask', { code: 'licence-ends-soon', severity: 'warning', expires: licensed.expires });
}

/** A channel used direct on which the repeaters of its service listen: who talks there opens them, and covers who needs them. */
function checkInput(channel: Channel, { service }: RuleRow, add: Add): void {
  if (kindOf(channel) !== 'direct') return;
  const pair = service.channels.find((row) => row.pair && row.transmitHz === channel.transmitHz);
  if (pair)
    add('look', {
      code: 'input-used-direct',
      severity: 'warning',
      channel: pair.name,
      source: service.citation,
    });
}

/** The calendar day so many days later, both as YYYY-MM-DD. */
function dayAfter(day: string, days: number): string {
  const [year = 0, month = 1, date = 1] = day.split('-').map(Number);
  return new Date(Date.UTC(year, month - 1, date + days)).toISOString().slice(0, 10);
}
