/*
 * Event codes of emergency alerts, as they stand in a header. Source: 47 CFR 11.31(e), national codes first and then the others by
 * name. Entered from memory; the tests hold kinds against the rule of the third letter.
 * Columns: code, name, kind.
 */
export const ALERT_EVENT_KINDS = ['emergency', 'warning', 'watch', 'statement', 'test', 'notice'] as const;
/** What kind of event it is. */
export type AlertEventKind = (typeof ALERT_EVENT_KINDS)[number];

const ROWS: readonly (readonly [string, string, AlertEventKind])[] = [
  ['EAN', 'National Emergency Message', 'emergency'],
  ['NPT', 'Nationwide Test', 'test'],
  ['RMT', 'Required Monthly Test', 'test'],
  ['RWT', 'Required Weekly Test', 'test'],
  ['ADR', 'Administrative Message', 'notice'],
  ['AVW', 'Avalanche Warning', 'warning'],
  ['AVA', 'Avalanche Watch', 'watch'],
  ['BZW', 'Blizzard Warning', 'warning'],
  ['BLU', 'Blue Alert', 'emergency'],
  ['CAE', 'Child Abduction Emergency', 'emergency'],
  ['CDW', 'Civil Danger Warning', 'warning'],
  ['CEM', 'Civil Emergency Message', 'emergency'],
  ['CFW', 'Coastal Flood Warning', 'warning'],
  ['CFA', 'Coastal Flood Watch', 'watch'],
  ['DSW', 'Dust Storm Warning', 'warning'],
  ['EQW', 'Earthquake Warning', 'warning'],
  ['EVI', 'Evacuation Immediate', 'warning'],
  ['EWW', 'Extreme Wind Warning', 'warning'],
  ['FRW', 'Fire Warning', 'warning'],
  ['FFW', 'Flash Flood Warning', 'warning'],
  ['FFA', 'Flash Flood Watch', 'watch'],
  ['FFS', 'Flash Flood Statement', 'statement'],
  ['FLW', 'Flood Warning', 'warning'],
  ['FLA', 'Flood Watch', 'watch'],
  ['FLS', 'Flood Statement', 'statement'],
  ['HMW', 'Hazardous Materials Warning', 'warning'],
  ['HWW', 'High Wind Warning', 'warning'],
  ['HWA', 'High Wind Watch', 'watch'],
  ['HUW', 'Hurricane Warning', 'warning'],
  ['HUA', 'Hurricane Watch', 'watch'],
  ['HLS', 'Hurricane Statement', 'statement'],
  ['LEW', 'Law Enforcement Warning', 'warning'],
  ['LAE', 'Local Area Emergency', 'emergency'],
  ['MEP', 'Missing and Endangered Persons', 'emergency'],
  ['NMN', 'Network Message Notification', 'notice'],
  ['TOE', '911 Telephone Outage Emergency', 'emergency'],
  ['NUW', 'Nuclear Power Plant Warning', 'warning'],
  ['DMO', 'Practice or Demonstration', 'test'],
  ['RHW', 'Radiological Hazard Warning', 'warning'],
  ['SVR', 'Severe Thunderstorm Warning', 'warning'],
  ['SVA', 'Severe Thunderstorm Watch', 'watch'],
  ['SVS', 'Severe Weather Statement', 'statement'],
  ['SPW', 'Shelter in Place Warning', 'warning'],
  ['SMW', 'Special Marine Warning', 'warning'],
  ['SPS', 'Special Weather Statement', 'statement'],
  ['SSA', 'Storm Surge Watch', 'watch'],
  ['SSW', 'Storm Surge Warning', 'warning'],
  ['TOR', 'Tornado Warning', 'warning'],
  ['TOA', 'Tornado Watch', 'watch'],
  ['TRW', 'Tropical Storm Warning', 'warning'],
  ['TRA', 'Tropical Storm Watch', 'watch'],
  ['TSW', 'Tsunami Warning', 'warning'],
  ['TSA', 'Tsunami Watch', 'watch'],
  ['VOW', 'Volcano Warning', 'warning'],
  ['WSW', 'Winter Storm Warning', 'warning'],
  ['WSA', 'Winter Storm Watch', 'watch'],
];

/** What an alert can be about. */
export interface AlertEvent {
  readonly code: string;
  readonly name: string;
  readonly kind: AlertEventKind;
}

/** The events of alert radios, as they are sent (47 CFR 11.31). */
export const ALERT_EVENTS: readonly AlertEvent[] = ROWS.map(([code, name, kind]) => ({ code, name, kind }));
/** Their three letters alone. */
export const ALERT_EVENT_CODES: readonly string[] = ROWS.map(([code]) => code);
