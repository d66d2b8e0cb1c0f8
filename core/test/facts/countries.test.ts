import {
  COUNTRY,
  type CountryId,
  homeOf,
  isAmongHome,
  nearestOf,
  SERVICES,
  serviceChannel,
  servicesOf,
  usualShiftHz,
  usualShiftIn,
  usualShiftOf,
} from '@umbrex/core/facts';
import { readLine } from '@umbrex/core/listing';
import { describe, expect, it } from 'vitest';

const COUNTRIES = Object.keys(COUNTRY) as CountryId[];

describe('the table of countries', () => {
  it.each(COUNTRIES)('%s: what is at home there is a service of it', (country) => {
    expect(servicesOf(country)).toContain(homeOf(country));
    const { beside } = COUNTRY[country];
    if (beside === null) return;
    // What stands beside it is on channels of it (47 CFR 95.563: all 22 are shared).
    for (const { receiveHz } of SERVICES[beside].channels)
      expect(homeOf(country)?.channels.map((row) => row.receiveHz)).toContain(receiveHz);
  });
  it.each([
    // 47 CFR 95.1763: inputs 5 MHz above the outputs.
    ['gmrs', 462_650_000, 5_000_000],
    // Citizen Band Radio Stations Class Licence 2015: 750 kHz. From memory.
    ['uhf-cb-au', 476_425_000, 750_000],
    // IARU Region 1 VHF Managers Handbook: 600 kHz below. From memory.
    ['iaru-r1-2m', 145_600_000, -600_000],
    // The voluntary band plan of the US, by sub-band. From memory.
    ['amateur-2m', 146_940_000, -600_000],
    ['amateur-2m', 147_060_000, 600_000],
    ['amateur-2m', 146_520_000, 0],
    ['amateur-70cm', 449_000_000, -5_000_000],
    ['murs', 151_820_000, 0],
    ['pmr446', 446_006_250, 0],
  ] as const)('%s repeaters at %d Hz shift by %d Hz', (id, hz, shift) =>
    expect(usualShiftHz(SERVICES[id], hz)).toBe(shift),
  );
  it.each([
    ['US', 462_650_000, 5_000_000],
    ['US', 146_940_000, -600_000],
    ['US', 155_000_000, 0],
    ['AU', 476_425_000, 750_000],
    ['EU', 145_600_000, -600_000],
    ['EU', 462_650_000, 0],
    ['other', 462_650_000, 0],
  ])('in %s at %d Hz, whatever the service: %d Hz', (country, hz, shift) =>
    expect(usualShiftIn(country, hz)).toBe(shift),
  );
  it.each([
    ['gmrs', 'US', 462_650_000, 5_000_000],
    // Its service has none there, the country has.
    ['business', 'US', 462_650_000, 5_000_000],
    ['other', 'AU', 476_425_000, 750_000],
    ['other', 'US', 155_000_000, 0],
  ] as const)('of a channel of %s in %s at %d Hz: %d Hz', (service, country, hz, shift) =>
    expect(usualShiftOf(service, country, hz)).toBe(shift),
  );
  it('every pair of every table shifts as its service says', () => {
    for (const service of Object.values(SERVICES))
      for (const { pair, receiveHz, transmitHz } of service.channels) {
        const inputs = service.channels.filter((row) => row.pair && row.receiveHz === receiveHz);
        // One output of VHF interoperability has two inputs: neither is usual.
        if (pair && transmitHz !== null)
          expect(usualShiftHz(service, receiveHz)).toBe(inputs.length === 1 ? transmitHz - receiveHz : 0);
      }
  });
  it.each([
    ['US', 462_545_000, true],
    ['US', 467_700_001, true],
    ['US', 462_750_000, false],
    ['US', 446_006_250, false],
    ['AU', 476_430_000, true],
    ['EU', 446_010_000, true],
  ] as const)('in %s %d Hz among the channels of the home service: %s', (country, hz, is) =>
    expect(isAmongHome(country, hz)).toBe(is),
  );
  it('the nearest channel is the nearest', () => {
    expect(nearestOf(SERVICES.gmrs, 462_651_000)).toBe(462_650_000);
    expect(nearestOf(SERVICES['uhf-cb-au'], 476_430_000)).toBe(476_425_000);
  });
});

describe('a line in another country', () => {
  const codes = (line: string, country: CountryId) =>
    readLine(line, country).questions.map(({ code }) => code);
  const pairOf = (line: string, country: CountryId) => {
    const { channel } = readLine(line, country);
    return channel && [channel.receiveHz, channel.transmitHz, channel.service];
  };
  const out = serviceChannel('uhf-cb-au', 3, true);
  it.each([
    ['Hill 476.475 rpt', [476_475_000, 477_225_000, 'uhf-cb-au']],
    ['Hill 476.475 +', [476_475_000, 477_225_000, 'uhf-cb-au']],
    ['Hill 476.475 +0.75', [476_475_000, 477_225_000, 'uhf-cb-au']],
    ['Hill 476.475 477.225', [476_475_000, 477_225_000, 'uhf-cb-au']],
    ['Hill 477.225 476.475', [476_475_000, 477_225_000, 'uhf-cb-au']],
    ['Camp 476.475 direct', [476_475_000, 476_475_000, 'uhf-cb-au']],
  ])('AU %s', (line, wanted) => {
    expect(out?.transmitHz).toBe(477_225_000);
    expect(pairOf(line, 'AU')).toEqual(wanted);
  });
  it.each([
    ['Hill 476.475 -', 'AU', 'pair-does-not-match'],
    ['Hill 476.475 +5', 'AU', 'pair-does-not-match'],
    ['Hill 476.430', 'AU', 'frequency-off-channel'],
    ['Hill rx 477.225 tx 476.475', 'AU', 'input-output-swapped'],
    ['Camp 446.01', 'EU', 'frequency-off-channel'],
    ['Hill 446.00625 rpt', 'EU', 'no-repeater-here'],
    // A shift that is at home elsewhere is none here.
    ['Hill 462.650 rpt', 'EU', 'transmit-unknown'],
  ] as const)('%s in %s: %s', (line, country, code) => expect(codes(line, country)).toContain(code));
  it('which of a channel’s two ways is meant is asked there as well', () =>
    expect(codes('Hill 476.475', 'AU')).toContain('direct-or-repeater'));
});
