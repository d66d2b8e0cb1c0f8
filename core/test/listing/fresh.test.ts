import { readLine } from '@umbrex/core/listing';
import { describe, expect, it } from 'vitest';

/*
 * Lines as people write them, decided before the reader was asked. Of the first 71, twelve decisions were mine to correct (marine and air are
 * listened to until somebody is aboard, a mode that is digital keeps its pair, and so on); five lines were asked about without need (7 %), and
 * one took a letter for a name. These classes were mended: a unit between a tone and its direction, `not for tx`, `unknown tone`, a shift in
 * words, low frequencies beside a mode, letters before two frequencies. Of 60 lines written after that four were asked about without need,
 * three of which were mended (`462.700R`, `GMRS19R`, `encode only`) and one is as the band says (an offset that is not usual there).
 */
type Expected =
  | 'ask'
  | readonly [receiveMHz: number, transmitMHz: number | null, sent: string, waitedFor: string];
// biome-ignore format: a line each
const LINES: readonly (readonly [country: 'US' | 'EU' | 'AU', line: string, Expected])[] = [
  ['US', 'Heron Rock 462.725 + 100.0', [462.725,467.725,'100.0','off']],
  ['US', 'Cairn 147.300 plus PL 110.9', [147.3,147.9,'110.9','off']],
  ['US', 'Cairn 147.300+ 110.9/110.9', [147.3,147.9,'110.9','110.9']],
  ['US', '146.94 (-) 88.5 Stack', [146.94,146.34,'88.5','off']],
  ['US', 'Stack 146.940 neg 88.5 Hz encode, 88.5 decode', [146.94,146.34,'88.5','88.5']],
  ['US', '444.250 pos TX 156.7 RX none Ridge', [444.25,449.25,'156.7','off']],
  ['US', 'simplex 146.52', [146.52,146.52,'off','off']],
  ['US', '146.580 direct Saddle', [146.58,146.58,'off','off']],
  ['US', 'FRS 9', [467.5875,467.5875,'off','off']],
  ['US', 'gmrs channel 20 repeater tone 141.3', [462.675,467.675,'141.3','off']],
  ['US', 'GMRS 20R 141.3 both ways', [462.675,467.675,'141.3','141.3']],
  ['US', 'Dock marine 13', [156.65,null,'off','off']],
  ['US', 'marine 72 boats', [156.625,null,'off','off']],
  ['US', 'WX 4', 'ask'],
  ['US', 'NOAA 162.550', [162.55,null,'off','off']],
  ['US', 'MURS 2 blue dot DPL 156', [151.88,151.88,'D156N','D156N']],
  ['US', '154.600 green dot', [154.6,154.6,'off','off']],
  ['US', 'Farm 151.820 narrow csq', [151.82,151.82,'off','off']],
  ['US', '462.5625 67.0 Scouts', [462.5625,462.5625,'67.0','67.0']],
  ['US', '462.5500 Scouts', [462.55,462.55,'off','off']],
  ['US', 'scan only 155.160 SAR', [155.16,null,'off','off']],
  ['US', '155.1600 monitor County fire 156.7', [155.16,null,'off','156.7']],
  ['US', '155.160 not for tx SAR', [155.16,null,'off','off']],
  ['US', '462.650 rpt D025 D047 Kelp', 'ask'],
  ['US', '462.650 rpt in D025 out D047 Kelp', [462.65,467.65,'D025N','D047N']],
  ['US', '462.650 rpt uplink D025N downlink D047I Kelp', [462.65,467.65,'D025N','D047I']],
  ['US', 'Kelp out 462.650 in 467.650 131.8 in', [462.65,467.65,'131.8','off']],
  ['US', 'Kelp 467.650 in / 462.650 out T131.8', [462.65,467.65,'131.8','off']],
  ['US', 'Kelp tx 467.650 rx 462.650 ctcss 131.8', [462.65,467.65,'131.8','off']],
  ['US', 'Kelp 462.650 467.650 131.8', [462.65,467.65,'131.8','off']],
  ['US', 'Kelp 462.650/467.650 131.8', [462.65,467.65,'131.8','off']],
  ['US', 'Kelp R 462.650 S 467.650', [462.65,467.65,'unknown','off']],
  ['US', '443.5 + DMR cc1 ts2 Hill', [443.5,448.5,'unknown','off']],
  ['US', '145.13 P25 NAC 293 Hill', [145.13,145.13,'off','off']],
  ['US', 'Tower 118.3', [118.3,null,'off','off']],
  ['US', 'Tower 118.300 AM listen', [118.3,null,'off','off']],
  ['US', 'CTAF 122.9', [122.9,null,'off','off']],
  ['US', 'CB 19', [27.185,27.185,'off','off']],
  ['US', 'cb ch 9 emergency', [27.065,27.065,'off','off']],
  ['US', '27.185 AM', [27.185,27.185,'off','off']],
  ['US', '29.6 FM', [29.6,29.6,'off','off']],
  ['US', '52.525 six metres', [52.525,52.525,'off','off']],
  ['US', '223.500 FM', [223.5,223.5,'off','off']],
  ['US', '224.160 -1.6 Peak 100.0', [224.16,222.56,'100.0','off']],
  ['US', '160.230 rail 8 road', [160.23,null,'off','off']],
  ['US', 'AAR 36', [160.65,null,'off','off']],
  ['US', 'VCALL10', [155.7525,null,'off','156.7']],
  ['US', 'UTAC41D', [453.4625,null,'off','156.7']],
  ['US', '462.650 131.8 Kelp', [462.65,462.65,'131.8','131.8']],
  ['US', 'Kelp 462.650 repeater no tone', [462.65,467.65,'off','off']],
  ['US', 'Kelp 462.650 rpt unknown tone', [462.65,467.65,'unknown','off']],
  ['US', 'Kelp 462.650 rpt tone?', [462.65,467.65,'unknown','off']],
  ['US', 'Kelp 462.650 rpt 131', 'ask'],
  ['US', 'Kelp 462.650 rpt code 17', 'ask'],
  ['US', '462.65 rpt 131,8 Kelp', [462.65,467.65,'131.8','off']],
  ['US', 'Kelp,462.650,+,131.8', [462.65,467.65,'131.8','off']],
  ['US', 'Kelp 462.650 offset +5.0 131.8', [462.65,467.65,'131.8','off']],
  ['US', 'Kelp 462.650 shift 5 MHz up tone 131.8', [462.65,467.65,'131.8','off']],
  ['US', 'Kelp 462.650 +5000 kHz 131.8', [462.65,467.65,'131.8','off']],
  ['US', 'Kelp 462.650 +600 131.8', 'ask'],
  ['US', 'PMR 4', 'ask'],
  ['EU', 'PMR 4', [446.04375,446.04375,'off','off']],
  ['EU', 'PMR446 ch 16 77.0', [446.19375,446.19375,'77.0','77.0']],
  ['EU', 'Relais 145,600 -0,6 CTCSS 88,5', [145.6,145.0,'88.5','off']],
  ['EU', '438.950 -7.6 67.0 Berg', [438.95,431.35,'67.0','off']],
  ['EU', 'marine 16', [156.8,null,'off','off']],
  ['AU', 'CB 40', [477.4,477.4,'off','off']],
  ['AU', 'UHF 7 duplex', [476.575,477.325,'unknown','off']],
  ['AU', 'cb 8 repeater Ridge', [476.6,477.35,'unknown','off']],
  ['AU', 'UHF CB 5', [476.525,476.525,'off','off']],
  ['AU', '476.4250', [476.425,476.425,'off','off']],
  ['US', 'Osprey Head 462.700 + 5 tone 123.0', [462.7,467.7,'123.0','off']],
  ['US', 'Osprey Head: 462.700, plus, 123.0 Hz', [462.7,467.7,'123.0','off']],
  ['US', 'GMRS repeater 462.700 with PL of 123.0', 'ask'],
  ['US', '462.700R Osprey 123.0', [462.7,467.7,'123.0','off']],
  ['US', 'GMRS19R Osprey D132N', [462.65,467.65,'D132N','off']],
  ['US', 'Osprey rptr ch 19 DCS 132 inverted', [462.65,467.65,'D132I','off']],
  ['US', 'Osprey repeater 19 in 123 out 123', [462.65,467.65,'123.0','123.0']],
  ['US', 'Osprey 462.650 rpt in 123.0 out none', [462.65,467.65,'123.0','off']],
  ['US', 'Osprey 462.650 rpt TX 123.0 RX CSQ', [462.65,467.65,'123.0','off']],
  ['US', 'Osprey 462.650 rpt TSQ 123.0', [462.65,467.65,'123.0','123.0']],
  ['US', 'Osprey 462.650 rpt ctcss 123.0 encode only', [462.65,467.65,'123.0','off']],
  ['US', 'Osprey 462.650 rpt tone 123.0 permission required', [462.65,467.65,'123.0','off']],
  ['US', 'Osprey 462.650 rpt 123.0 20 W narrow', [462.65,467.65,'123.0','off']],
  ['US', 'Osprey 462.650 rpt 123.0 (open)', [462.65,467.65,'123.0','off']],
  ['US', '"Osprey 2" 462.650 rpt 123.0', [462.65,467.65,'123.0','off']],
  ['US', 'Osprey 2 462.650 rpt 123.0', [462.65,467.65,'123.0','off']],
  ['US', '146.640-, 103.5, Pine Hill', [146.64,146.04,'103.5','off']],
  ['US', '146.64 - 600 kHz 103.5 Pine', [146.64,146.04,'103.5','off']],
  ['US', 'Pine 146.640 MHz minus 0.6 MHz PL 103.5 Hz', [146.64,146.04,'103.5','off']],
  ['US', 'Pine 146.64 down 600', 'ask'],
  ['US', 'Pine 146.64 600 kHz down 103.5', [146.64,146.04,'103.5','off']],
  ['US', '442.05 +5.0 Pine', [442.05,447.05,'unknown','off']],
  ['US', '147.555 simplex net', [147.555,147.555,'off','off']],
  ['US', '446.000 FM calling', [446.0,446.0,'off','off']],
  ['US', '144.39 APRS listen only', [144.39,null,'off','off']],
  ['US', '53.030 -1.0 107.2 Old Mill', 'ask'],
  ['US', '1294.500 FM', [1294.5,1294.5,'off','off']],
  ['US', 'MURS 5', [154.6,154.6,'off','off']],
  ['US', 'MURS ch4 67.0', [154.57,154.57,'67.0','67.0']],
  ['US', 'murs 151.94 D023', [151.94,151.94,'D023N','D023N']],
  ['US', 'FRS ch 14 code 21', 'ask'],
  ['US', 'FRS 1 csq', [462.5625,462.5625,'off','off']],
  ['US', 'gmrs 5 wide', [462.6625,462.6625,'off','off']],
  ['US', '154.265 VFIRE22 listen', [154.265,null,'off','156.7']],
  ['US', 'Weather 162.400 receive only', [162.4,null,'off','off']],
  ['US', '162.475 WX', [162.475,null,'off','off']],
  ['US', '121.5 guard listen', [121.5,null,'off','off']],
  ['US', '121.500 AM', [121.5,null,'off','off']],
  ['US', 'Unicom 122.800 AM', [122.8,null,'off','off']],
  ['US', 'marine 22A coast guard', [157.1,null,'off','off']],
  ['US', 'marine ch 9 listen', [156.45,null,'off','off']],
  ['US', 'CB channel 40 AM', [27.405,27.405,'off','off']],
  ['US', '160.800 railroad listen', [160.8,null,'off','off']],
  ['US', 'Security 464.500 brown dot listen', [464.5,null,'off','off']],
  ['US', 'Mill 151.625 red dot listen 67.0', [151.625,null,'off','67.0']],
  ['US', 'County 155.475 rx tone 156.7 listen only', [155.475,null,'off','156.7']],
  ['US', 'Kelp 462.650 rpt 131.8 do not transmit', [462.65,null,'off','off']],
  ['EU', 'PMR 446.00625 67.0', [446.00625,446.00625,'67.0','67.0']],
  ['EU', 'pmr 8 D023N', [446.09375,446.09375,'D023N','D023N']],
  ['EU', '145.500 FM', [145.5,145.5,'off','off']],
  ['EU', 'R 145,6875 -0,6 71.9 Insel', [145.6875,145.0875,'71.9','off']],
  ['EU', '439,025 -7,6 94.8 Nord', [439.025,431.425,'94.8','off']],
  ['EU', '433.500 simplex', [433.5,433.5,'off','off']],
  ['EU', 'marine 10 listen', [156.5,null,'off','off']],
  ['AU', 'UHF CB 29', [477.125,477.125,'off','off']],
  ['AU', 'cb 18 caravans', [476.85,476.85,'off','off']],
  ['AU', 'CB 1 repeater 123.0 Bluff', [476.425,477.175,'123.0','off']],
  ['AU', 'UHF 477.4125', [477.4125,477.4125,'off','off']],
  ['AU', 'marine 16 listen', [156.8,null,'off','off']],
  ['AU', '146.7 -0.6 91.5 Range', [146.7,146.1,'91.5','off']],
];

describe('lines decided before they were read', () => {
  it.each(LINES)('%s: %s', (country, line, expected) => {
    const { ok, channel } = readLine(line, country);
    const mhz = (hz: number | null) => (hz === null ? null : hz / 1e6);
    const read =
      ok && channel
        ? [mhz(channel.receiveHz), mhz(channel.transmitHz), channel.transmitTone, channel.receiveTone]
        : 'ask';
    expect(read).toEqual(expected);
  });
  it.each([
    ['Kelp 462.650 rpt no input tone', 'off', 'off'],
    ['Kelp 462.650 rpt 131.8 encode only', '131.8', 'off'],
    ['Kelp 462.650 rpt unknown tone', 'unknown', 'off'],
    ['Kelp 462.650 rpt tone not known', 'unknown', 'off'],
  ])('%s is about its tones', (line, sent, heard) =>
    expect(readLine(line).channel).toMatchObject({
      transmitHz: 467_650_000,
      transmitTone: sent,
      receiveTone: heard,
    }),
  );
  it('“no tx tone” may forbid sending, or say that no tone is sent: it is asked, with both', () => {
    const { ok, questions } = readLine('Kelp 462.650 rpt no tx tone');
    const asked = questions.find(({ blocking }) => blocking);
    expect([ok, asked?.about]).toEqual([false, 'no tx tone']);
    const [off, listen] = (asked?.lines ?? []).map((line) => readLine(line).channel);
    expect([off?.transmitHz, off?.transmitTone, listen?.transmitHz]).toEqual([467_650_000, 'off', null]);
  });
  it.each([
    'not for tx',
    'do not transmit',
    'never talk',
    'no sending',
    'not for talking',
    "don't send",
    'do not talk',
  ])('“%s” forbids sending, in front and behind', (words) => {
    for (const line of [`Kelp 462.650 rpt 131.8 ${words}`, `${words} Kelp 462.650 rpt 131.8`])
      expect([line, readLine(line).channel?.transmitHz ?? null]).toEqual([line, null]);
  });
});
