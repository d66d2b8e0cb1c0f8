import { type Service, ServiceSchema } from '@umbrex/core/facts';
import { type HeldLicence, type RuleContext, type Sender, transmitRule } from '@umbrex/core/rules';
import { describe, expect, it } from 'vitest';
import { channel } from '../support/plans';

const TODAY = '2026-11-25';
const LICENSED = [
  {
    name: 'Ferry deck',
    receiveHz: 451_812_500,
    transmitHz: 451_812_500,
    bandwidthHz: 12_500,
    maxPowerW: 2,
    licence: 'Ostrel Ferry',
    area: 'harbour',
    expires: '2031-05-31',
  },
];
const US: RuleContext = { country: 'US', licensed: LICENSED };
const by = (licences: readonly HeldLicence[] | undefined, day = TODAY): Sender => ({
  each: licences === undefined ? null : [licences],
  day,
});

type Certified = 'gmrs' | 'frs' | 'murs' | 'business' | 'marine' | 'interop' | 'pmr446' | 'uhf-cb-au';
const hand = (...certifiedFor: Certified[]) => ({ certifiedFor, station: 'hand-held' as const });
const fixed = (...certifiedFor: Certified[]) => ({ certifiedFor, station: 'fixed' as const });
const mobile = (...certifiedFor: Certified[]) => ({ certifiedFor, station: 'mobile' as const });
const licence = (
  service: string,
  holds: HeldLicence['holds'] = 'own',
  expires = '2030-01-01',
): HeldLicence => ({
  service,
  holds,
  expires,
});

const ch = {
  interstitial462: channel('4', 462.6375, 462.6375),
  interstitial467: channel('11', 467.6375, 467.6375),
  main: channel('19', 462.65, 462.65),
  pair: channel('19 rpt', 462.65, 467.65),
  crossed: channel('odd pair', 462.65, 467.675),
  reversed: channel('swapped', 467.65, 462.65),
  interstitialPair: channel('4 rpt', 462.6375, 467.6375),
  murs: channel('MURS 1', 151.82, 151.82),
  ferry: channel('Ferry deck', 451.8125, 451.8125),
  otherBusiness: channel('Other', 451.85, 451.85),
  marine16: channel('Marine 16', 156.8, 156.8),
  air: channel('Air', 121.5, 121.5),
  twoMetres: channel('2 m', 146.94, 146.34),
  weather: channel('WX', 162.55, 162.55),
  vtac: channel('VTAC11', 151.1375, 151.1375),
  heard: channel('Heard', 462.65, null),
};

type Case = readonly [
  string,
  Parameters<typeof transmitRule>[0],
  Parameters<typeof transmitRule>[1],
  HeldLicence[] | undefined,
  string,
  (RuleContext & { day?: string })?,
];
const GMRS = [licence('gmrs')];
/* What must come out, with the section that decides it. `transmit` with the limit in watts, or the code of the finding. */
// biome-ignore format: a table
const CASES: readonly Case[] = [
  ['95.1767 462 interstitial 5 W ERP', ch.interstitial462, hand('gmrs'), GMRS, 'transmit 5 erp'],
  ['95.1767 467 interstitial 0.5 W ERP, hand-held', ch.interstitial467, hand('gmrs'), GMRS, 'transmit 0.5 erp'],
  ['95.1767 467 interstitial, mobile', ch.interstitial467, mobile('gmrs'), GMRS, 'hand-held-only'],
  ['95.1767 main 50 W', ch.main, mobile('gmrs'), GMRS, 'transmit 50 transmitter'],
  ['95.1763 repeater pair', ch.pair, hand('gmrs'), GMRS, 'transmit 50 transmitter'],
  ['95.1763 split other than 5 MHz', ch.crossed, hand('gmrs'), GMRS, 'not-a-service-channel'],
  ['95.1763 input and output swapped', ch.reversed, hand('gmrs'), GMRS, 'not-a-service-channel'],
  ['95.1763 no repeaters on interstitials', ch.interstitialPair, hand('gmrs'), GMRS, 'not-a-service-channel'],
  ['95.563 FRS never on repeater inputs', ch.pair, hand('frs'), GMRS, 'not-certified'],
  ['95.567 FRS 2 W without a licence', ch.main, hand('frs'), [], 'transmit 2 erp'],
  ['95.567 FRS 0.5 W on 8-14', ch.interstitial467, hand('frs'), [], 'transmit 0.5 erp'],
  ['95.1761 amateur set on GMRS', ch.main, hand(), GMRS, 'not-certified'],
  ['95.1761 business set on GMRS', ch.main, hand('business'), GMRS, 'not-certified'],
  ['95.1705 family member', ch.main, hand('gmrs'), [licence('gmrs', 'family')], 'transmit 50 transmitter'],
  ['95.1705 employee', ch.main, hand('gmrs'), [licence('gmrs', 'employer')], 'licence-does-not-cover'],
  ['95.1705 nobody’s licence', ch.main, hand('gmrs'), [], 'no-licence'],
  ['95.1705 expired', ch.main, hand('gmrs'), [licence('gmrs', 'own', '2026-11-24')], 'licence-expired'],
  ['95.1705 the last day is good', ch.main, hand('gmrs'), [licence('gmrs', 'own', TODAY)], 'transmit 50 transmitter'],
  ['95.1705 expiry unknown', ch.main, hand('gmrs'), [licence('gmrs', 'own', 'unknown')], 'licence-expiry-unknown'],
  ['95.1705 a GMRS set that is FRS too, no licence', ch.main, hand('gmrs', 'frs'), [], 'transmit 2 erp'],
  ['95.2767 MURS 2 W without a licence', ch.murs, hand('murs'), [], 'transmit 2 transmitter'],
  ['95.2761 MURS needs its certification', ch.murs, hand('gmrs'), [], 'not-certified'],
  ['90.35 employee on the licensee’s frequency', ch.ferry, hand('business'), [licence('business', 'employer')], 'transmit 2 transmitter'],
  ['90.35 employee elsewhere', ch.otherBusiness, hand('business'), [licence('business', 'employer')], 'service-needs-licence'],
  ['90.35 no licence', ch.ferry, hand('business'), [], 'no-licence'],
  ['90.35 family of the licensee', ch.ferry, hand('business'), [licence('business', 'family')], 'licence-does-not-cover'],
  ['90.35 the licence ran out', ch.ferry, hand('business'), [licence('business')], 'licence-expired', { ...US, day: '2031-06-01' }],
  ['90.203 GMRS set on business', ch.ferry, hand('gmrs'), [licence('business')], 'not-certified'],
  ['80.203 marine with a hand-held of another service', ch.marine16, hand('gmrs'), [], 'not-certified'],
  ['80.13(c) a vessel on a domestic voyage, by rule', ch.marine16, hand('marine'), [], 'transmit 25 transmitter'],
  ['80.373 set aside for the government', channel('Marine 03A', 156.15, 156.15), hand('marine'), [], 'reserved-channel'],
  ['80.373 set aside for the coast guard', channel('Marine 21A', 157.05, 157.05), hand('marine'), [], 'reserved-channel'],
  ['80.373 22A, where the coast guard talks with everybody', channel('Marine 22A', 157.1, 157.1), hand('marine'), [], 'transmit 25 transmitter'],
  ['80.207 marine is FM', channel('Marine 22A', 157.1, 157.1, { mode: 'digital' }), hand('marine'), [], 'emission-not-here'],
  ['95.1767 a fixed station on a main channel: 15 W', ch.main, fixed('gmrs'), GMRS, 'transmit 15 transmitter'],
  ['95.1763 a fixed station on an interstitial', ch.interstitial462, fixed('gmrs'), GMRS, 'fixed-station-not-here'],
  ['95.303 a repeater is no fixed station', ch.pair, { ...fixed('gmrs'), kind: 'repeater' }, GMRS, 'transmit 50 transmitter'],
  ['95.1771 no digital voice on GMRS', channel('19', 462.65, 462.65, { mode: 'digital' }), hand('gmrs'), GMRS, 'emission-not-here'],
  ['95.571 none on FRS', channel('1', 462.5625, 462.5625, { mode: 'digital', service: 'frs' }), hand('frs'), [], 'emission-not-here'],
  ['95.587 an FRS set whose antenna comes off', channel('1', 462.5625, 462.5625, { service: 'frs' }), { ...hand('frs'), antenna: 'removable' }, [], 'removable-antenna'],
  ['95.587 one whose antenna does not', channel('1', 462.5625, 462.5625), { ...hand('frs'), antenna: 'fixed' }, [], 'transmit 2 erp'],
  ['95.2771 MURS in AM', channel('MURS 1', 151.82, 151.82, { mode: 'AM' }), hand('murs'), [], 'transmit 2 transmitter'],
  ['97.305 voices from 144.1 MHz', channel('Low', 144.2, 144.2), hand(), [licence('amateur')], 'transmit 1500 transmitter'],
  ['97.305 none below', channel('Low', 144.05, 144.05), hand(), [licence('amateur')], 'band-edge'],
  ['97.305 a wide carrier at that edge', channel('Low', 144.105, 144.105, { bandwidth: 'wide' }), hand(), [licence('amateur')], 'band-edge'],
  ['97.301 a wide carrier at the edge of the band', channel('High', 147.995, 147.995, { bandwidth: 'wide' }), hand(), [licence('amateur')], 'band-edge'],
  ['97.301 a narrow one is inside', channel('High', 147.99, 147.99, { bandwidth: 'narrow' }), hand(), [licence('amateur')], 'transmit 1500 transmitter'],
  ['97.301 the upper edge of 70 cm', channel('High', 449.995, 449.995, { bandwidth: 'wide' }), hand(), [licence('amateur')], 'band-edge'],
  ['90.20 interoperability with a set for part 90 and an authorisation', ch.vtac, hand('business'), [licence('interop', 'employer')], 'transmit null null'],
  ['90.20 without the authorisation', ch.vtac, hand('business'), [licence('business', 'employer')], 'no-licence'],
  ['an amateur of Region 1 on 2 m', channel('V40', 145.5, 145.5), hand(), [licence('amateur')], 'transmit null null', { country: 'EU' }],
  ['87.18 air band', ch.air, hand(), [], 'nobody-transmits-here'],
  ['97.5 amateur with a licence', ch.twoMetres, hand(), [licence('amateur')], 'transmit 1500 transmitter'],
  ['97.5 amateur without', ch.twoMetres, hand(), GMRS, 'no-licence'],
  ['97.5 a family member is not covered', ch.twoMetres, hand(), [licence('amateur', 'family')], 'licence-does-not-cover'],
  ['weather stations only', ch.weather, hand('gmrs'), GMRS, 'nobody-transmits-here'],
  ['90.20 interoperability, not authorised', ch.vtac, hand('interop'), [], 'no-licence'],
  ['90.20 interoperability, by the agency', ch.vtac, hand('interop'), [licence('interop', 'employer')], 'transmit null null'],
  ['the plan only listens', ch.heard, hand('gmrs'), GMRS, 'listen-only-by-plan'],
  ['country not covered', ch.main, hand('gmrs'), GMRS, 'country-not-covered', { country: 'other' }],
  ['another country’s tables', ch.main, hand('gmrs'), GMRS, 'service-needs-licence', { country: 'AU' }],
  ['UHF CB class licence', channel('CB 12', 476.7, 476.7), hand('uhf-cb-au'), [], 'transmit 5 transmitter', { country: 'AU' }],
  ['PMR446', channel('PMR 1', 446.00625, 446.00625), hand('pmr446'), [], 'transmit 0.5 erp', { country: 'EU' }],
  ['PMR446, hand-held only', channel('PMR 1', 446.00625, 446.00625), mobile('pmr446'), [], 'hand-held-only', { country: 'EU' }],
];

describe('who may transmit where (sections of 47 CFR unless said)', () => {
  for (const [title, on, device, licences, expected, context] of CASES)
    it(title, () => {
      const rule = transmitRule(on, device, context ?? US, by(licences, context?.day));
      expect(rule.may === 'transmit' ? `transmit ${rule.limitW} ${rule.basis}` : rule.finding.code).toBe(
        expected,
      );
    });
  it('identification: every 15 minutes on GMRS (95.1751), none on FRS, 10 minutes for amateurs (97.119)', () => {
    const every = (on: typeof ch.main, device: ReturnType<typeof hand>, licences: HeldLicence[]) => {
      const rule = transmitRule(on, device, US, by(licences));
      return rule.may === 'transmit' ? rule.identifyEveryMinutes : 'no';
    };
    expect(every(ch.main, hand('gmrs'), GMRS)).toBe(15);
    expect(every(ch.main, hand('frs'), [])).toBeNull();
    expect(every(ch.twoMetres, hand(), [licence('amateur')])).toBe(10);
  });
  it('unknown certification stays unknown', () =>
    expect(
      transmitRule(ch.main, { certifiedFor: 'unknown', station: 'hand-held' }, US, by(GMRS)),
    ).toMatchObject({
      may: 'unknown',
      finding: { code: 'certification-unknown' },
    }));
});

describe('a new table needs no code', () => {
  const table: Service = ServiceSchema.parse({
    id: 'harbour-link',
    title: 'Harbour link, invented',
    country: 'EU',
    citation: 'Invented rule 1',
    powerCitation: 'Invented rule 2',
    licence: 'none',
    licenceCitation: 'Invented rule 3',
    certification: false,
    certificationCitation: '',
    repeaters: false,
    identifyEveryMinutes: 5,
    identifyCitation: 'Invented rule 4',
    words: ['harbour'],
    channels: [
      {
        number: '1',
        name: 'Harbour 1',
        receiveHz: 169_400_000,
        transmitHz: 169_400_000,
        maxPowerW: 0.1,
        powerBasis: 'erp',
        bandwidthHz: 12_500,
      },
    ],
  });
  it('the rules speak from it', () =>
    expect(
      transmitRule(channel('H', 169.4, 169.4), hand(), { country: 'EU', tables: [table] }, by([])),
    ).toMatchObject({
      may: 'transmit',
      limitW: 0.1,
      identifyEveryMinutes: 5,
      source: 'Invented rule 2',
    }));
});
