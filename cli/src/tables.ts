import { SERVICE_IDS, SERVICES, serviceChannel } from '@umbrex/core/facts';
import { readDescription } from '@umbrex/core/formats';
import { placesOfSet, readOnSet, readTone } from '@umbrex/core/listing';
import { bareChannel, sameOnAir } from '@umbrex/core/model';
import { type HeldLicence, transmitRule } from '@umbrex/core/rules';
import { dayOf, type Outcome, parseOptions, readFile, UsageError } from './read';

export function tone(text: string): Outcome {
  const { tone: found, questions } = readTone(text);
  const ok = found !== undefined;
  return { ok, json: { ok, tone: found ?? null, sameAs: ok ? sameOnAir(found) : [], questions } };
}

/** Reads a line as a channel; with a device its own labels are its places. */
export function channel(text: string, more: readonly string[] = []): Outcome {
  const { values } = parseOptions(more);
  const [path, ...others] = values.device ?? [];
  if (others.length > 0) throw new UsageError();
  const device = path === undefined ? undefined : readFile(path, readDescription);
  if (device && !device.ok) return { ok: false, json: { ok: false, file: path, findings: device.findings } };
  const reading = readOnSet(text, 'US', device ? placesOfSet(device.value) : null);
  return { ok: reading.ok, json: reading };
}

export function service(id: string): Outcome {
  const found = SERVICE_IDS.find((known) => known === id);
  if (!found) throw new UsageError();
  const { title, citation, channels } = SERVICES[found];
  return {
    ok: true,
    json: {
      id,
      title,
      citation,
      channels: channels.map(({ name, receiveHz, transmitHz, maxPowerW, powerBasis, bandwidthHz }) => ({
        name,
        receiveHz,
        transmitHz,
        maxPowerW,
        powerBasis,
        bandwidthHz,
      })),
    },
  };
}

export function rules(words: readonly string[]): Outcome {
  const { values } = parseOptions(words);
  const id = SERVICE_IDS.find((known) => known === values.service);
  const row = id && values.channel ? serviceChannel(id, values.channel, values.pair ?? false) : undefined;
  const [path, ...more] = values.device ?? [];
  if (!id || !row || path === undefined || more.length > 0) throw new UsageError();
  const device = readFile(path, readDescription);
  if (!device.ok) return { ok: false, json: { ok: false, file: path, findings: device.findings } };
  const licences = (values.licence ?? []).map(licenceOf);
  const day = dayOf(values.today);
  const { country } = SERVICES[id];
  const rule = transmitRule(
    bareChannel({ name: row.name, receiveHz: row.receiveHz, transmitHz: row.transmitHz, service: id }),
    device.value,
    { country },
    { each: [licences], day },
  );
  const json =
    rule.may === 'transmit'
      ? { ...rule, service: rule.service.id, checkLocalRules: true }
      : { ...rule, checkLocalRules: true };
  return { ok: true, json: { channel: row.name, ...json } };
}

/** `gmrs:family:2030-04-30`: a service, by whom it is held, and its last day; `unknown` where nobody knows that. @throws UsageError for other words */
function licenceOf(text: string): HeldLicence {
  const [service = '', holds = 'own', expires = 'unknown', ...more] = text.split(':');
  const isKnown = service === 'amateur' || SERVICE_IDS.some((id) => id === service);
  if (!isKnown || more.length > 0) throw new UsageError();
  if (holds !== 'own' && holds !== 'family' && holds !== 'employer') throw new UsageError();
  return { service, holds, expires: expires === 'unknown' ? expires : dayOf(expires) };
}
