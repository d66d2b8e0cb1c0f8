import { readLine } from '@umbrex/core/listing';
import { ChannelDraftSchema } from '@umbrex/core/model';
import { describe, expect, it } from 'vitest';

/* More lines as listings, spreadsheets and people write them; readings by common practice. Columns: line, receive MHz, transmit MHz, tones. */
// biome-ignore format: a table
const READ: readonly (readonly [string, number, number | null, string, string])[] = [
  ['Kelp Stairs | 462.650 | rpt | 131.8 | open', 462.65, 467.65, '131.8', 'off'],
  ['462.650 (Kelp Stairs) repeater; PL: 131.8', 462.65, 467.65, '131.8', 'off'],
  ['Kelp Stairs = 462.650 rpt, tone = 131.8', 462.65, 467.65, '131.8', 'off'],
  ['Kelp Stairs – 462.650 – rpt – 131.8', 462.65, 467.65, '131.8', 'off'],
  ['kelp 462.65 + 131.8', 462.65, 467.65, '131.8', 'off'],
  ['kelp 462.65 +5MHz 131.8', 462.65, 467.65, '131.8', 'off'],
  ['kelp 462.65 offset +5 PL131.8', 462.65, 467.65, '131.8', 'off'],
  ['kelp 462.650 duplex encode 131.8 decode 131.8', 462.65, 467.65, '131.8', '131.8'],
  ['kelp 462.650 rpt ENC/DEC 131.8', 462.65, 467.65, '131.8', '131.8'],
  ['kelp 462.650 rpt tone squelch 131.8', 462.65, 467.65, '131.8', '131.8'],
  ['kelp 462.650 rpt T 131.8', 462.65, 467.65, '131.8', 'off'],
  ['kelp 462.650 rpt CTC 131.8', 462.65, 467.65, '131.8', 'off'],
  ['kelp 462.650 rpt CT 131.8', 462.65, 467.65, '131.8', 'off'],
  ['kelp 462.650 rpt TPL 131.8', 462.65, 467.65, '131.8', 'off'],
  ['kelp 462.650 rpt subtone 131.8', 462.65, 467.65, '131.8', 'off'],
  ['kelp 462.650 rpt DQT 251', 462.65, 467.65, 'D251N', 'off'],
  ['kelp 462.650 rpt DCG 251', 462.65, 467.65, 'D251N', 'off'],
  ['kelp 462.650 rpt DTCS 251', 462.65, 467.65, 'D251N', 'off'],
  ['kelp 462.650 rpt CDCSS 251 inv', 462.65, 467.65, 'D251I', 'off'],
  ['kelp 462.650 rpt D251-I', 462.65, 467.65, 'D251I', 'off'],
  ['kelp 462.650 rpt 251I', 462.65, 467.65, 'D251I', 'off'],
  ['kelp 462.650 rpt input tone 131.8 output tone 100.0', 462.65, 467.65, '131.8', '100.0'],
  ['kelp 462.650 rpt uplink 131.8 downlink 100', 462.65, 467.65, '131.8', '100.0'],
  ['kelp 462.650 rpt tx PL 131.8 rx PL 100', 462.65, 467.65, '131.8', '100.0'],
  ['kelp 462.650 rpt tx DPL 023 rx CTCSS 100', 462.65, 467.65, 'D023N', '100.0'],
  ['kelp 462.650 rpt in CTCSS 82.5 out DCS 606', 462.65, 467.65, '82.5', 'D606N'],
  ['kelp 462.650 rpt in 82.5 out csq', 462.65, 467.65, '82.5', 'off'],
  ['kelp 462.650 rpt in 82.5 out off', 462.65, 467.65, '82.5', 'off'],
  ['kelp 462.650 in 82.5 out 82.5', 462.65, 467.65, '82.5', '82.5'],
  ['kelp 462.650 rpt 82.5 narrow', 462.65, 467.65, '82.5', 'off'],
  ['kelp 462.650 rpt 82.5 12.5 kHz', 462.65, 467.65, '82.5', 'off'],
  ['kelp 462.650 rpt 82.5 NFM', 462.65, 467.65, '82.5', 'off'],
  ['kelp 462.650 rpt 82.5 FM', 462.65, 467.65, '82.5', 'off'],
  ['kelp 462.650 rpt 82.5 members only', 462.65, 467.65, '82.5', 'off'],
  ['kelp 462.650 rpt 82.5 by permission', 462.65, 467.65, '82.5', 'off'],
  ['kelp 462.650 rpt 82.5 closed', 462.65, 467.65, '82.5', 'off'],
  ['kelp 462.650 rpt 82.5 off air', 462.65, 467.65, '82.5', 'off'],
  ['kelp 462.650 rpt 82.5 35 miles', 462.65, 467.65, '82.5', 'off'],
  ['kelp 462.650 rpt 82.5 35km 50 watts', 462.65, 467.65, '82.5', 'off'],
  ['repeater 22 D754I', 462.725, 467.725, 'D754I', 'off'],
  ['GMRS 15R 67.0', 462.55, 467.55, '67.0', 'off'],
  ['ch 15 repeater CTCSS 67', 462.55, 467.55, '67.0', 'off'],
  ['rpt ch 15 67.0', 462.55, 467.55, '67.0', 'off'],
  ['channel 7', 462.7125, 462.7125, 'off', 'off'],
  ['GMRS 7 simplex', 462.7125, 462.7125, 'off', 'off'],
  ['chan 7 tsql 250.3', 462.7125, 462.7125, '250.3', '250.3'],
  ['ch 7 D023I', 462.7125, 462.7125, 'D023I', 'D023I'],
  ['ch 7 none', 462.7125, 462.7125, 'off', 'off'],
  ['ch 7 no tone', 462.7125, 462.7125, 'off', 'off'],
  ['ch 7 carrier squelch', 462.7125, 462.7125, 'off', 'off'],
  ['ch 16 rx only', 462.575, null, 'off', 'off'],
  ['ch 16 listen only 100.0', 462.575, null, 'off', '100.0'],
  ['462.7125', 462.7125, 462.7125, 'off', 'off'],
  ['FRS 462.7125', 462.7125, 462.7125, 'off', 'off'],
  ['467.7125', 467.7125, 467.7125, 'off', 'off'],
  ['Dispatch 155.520 no tx', 155.52, null, 'off', 'off'],
  ['Dispatch 155.520 no talk PL 127.3', 155.52, null, 'off', '127.3'],
  ['Dispatch 155,520 monitor only', 155.52, null, 'off', 'off'],
  ['Works 155.115 +3.24 D023', 155.115, 158.355, 'D023N', 'off'],
  ['Works 155.115 -1.5 D023', 155.115, 153.615, 'D023N', 'off'],
  ['Works rx 155.115 tx 158.355 rx D023 tx 100', 155.115, 158.355, '100.0', 'D023N'],
  ['Hill 147.000 rpt 100.0', 147, 147.6, '100.0', 'off'],
  ['Kelp Stairs - 462.650 - rpt - 131.8', 462.65, 467.65, '131.8', 'off'],
  ['Hill 145.230 rptr 88.5', 145.23, 144.63, '88.5', 'off'],
  ['Hill 443.500 + 88.5', 443.5, 448.5, '88.5', 'off'],
  ['70 cm calling 446.000', 446, 446, 'off', 'off'],
  ['MURS 1 D023', 151.82, 151.82, 'D023N', 'D023N'],
  ['154.600 MURS 5', 154.6, 154.6, 'off', 'off'],
  ['marine 06', 156.3, null, 'off', 'off'],
  ['marine 6', 156.3, null, 'off', 'off'],
  ['marine 1022', 157.1, null, 'off', 'off'],
  ['VHF 72', 156.625, null, 'off', 'off'],
  ['air 243', 243, null, 'off', 'off'],
  ['VTAC12', 154.4525, null, 'off', '156.7'],
  ['UCALL40D', 453.2125, null, 'off', '156.7'],
  ['UHF CB ch 40', 477.4, 477.4, 'off', 'off'],
  ['CB 80', 477.4125, 477.4125, 'off', 'off'],
  ['uhf cb 41 repeater', 476.4375, 477.1875, 'unknown', 'off'],
  ['pmr ch 16', 446.19375, 446.19375, 'off', 'off'],
  ['V16', 145.2, 145.2, 'off', 'off'],
  ['RV63 88.5', 145.7875, 145.1875, '88.5', 'off'],
];

/** Lines with a slip: the code that must be asked before anything is saved. */
// biome-ignore format: a table
const WRONG: readonly (readonly [string, string])[] = [
  ['Kelp rpt', 'no-frequency'],
  ['open 50W', 'no-frequency'],
  ['131.8 rpt', 'no-frequency'],
  ['Kelp 46265O', 'frequency-unreadable'],
  ['Kelp 462.65l', 'frequency-unreadable'],
  ['Kelp 46265', 'frequency-unreadable'],
  ['Kelp 462.650 Hz', 'frequency-unreadable'],
  ['Kelp 462.605 rpt', 'frequency-off-channel'],
  ['Kelp 467.555', 'frequency-off-channel'],
  ['Kelp 462.56', 'frequency-off-channel'],
  ['Kelp 467.700', 'frequency-is-input'],
  ['467.550 D251', 'frequency-is-input'],
  ['out 467.650 in 462.650 131.8', 'input-output-swapped'],
  ['rx 462.650 tx 467.675', 'pair-does-not-match'],
  ['462.650 -5 131.8', 'pair-does-not-match'],
  ['462.650 - 131.8', 'pair-does-not-match'],
  ['ch 19 462.675 rpt', 'pair-does-not-match'],
  ['ch 0', 'no-such-channel'],
  ['frs 23', 'no-such-channel'],
  ['gmrs 31 rpt', 'no-such-channel'],
  ['pmr 17', 'no-such-channel'],
  ['gmrs 14 rpt', 'no-repeater-here'],
  ['467.5625 rpt', 'no-repeater-here'],
  ['rpt 20 82.6', 'tone-not-standard'],
  ['rpt 20 131.9', 'tone-not-standard'],
  ['rpt 20 PL 60', 'tone-not-standard'],
  ['rpt 20 CTCSS 255.0', 'tone-not-standard'],
  ['rpt 20 131.85', 'tone-not-standard'],
  ['rpt 20 131.8 MHz', 'tone-in-mhz'],
  ['rpt 20 in 131.8MHz', 'tone-in-mhz'],
  ['rpt 20 131.8 kHz', 'tone-in-khz'],
  ['rpt 20 D089', 'tone-unreadable'],
  ['rpt 20 DCS 17', 'code-number'],
  ['rpt 20 DCS 777', 'dcs-not-in-use'],
  ['rpt 20 in D000', 'dcs-not-in-use'],
  ['rpt 20 in D023 out D025 131.8', 'several-tones'],
  ['rpt 20 67.0 71.9 74.4', 'several-tones'],
  ['rpt 20 67.0 71.9', 'tone-direction'],
  ['rpt 20 D023 D025', 'tone-direction'],
  ['ch 4 privacy 12', 'code-number'],
  ['4-12', 'code-number'],
  ['ch 4 interference eliminator code 12', 'code-number'],
  ['wx 1', 'channel-or-code'],
  ['weather 3', 'channel-or-code'],
  ['12', 'channel-or-code'],
  ['151.4', 'tone-or-frequency'],
];

/** Whose services these are; the others are of the United States. */
const countryOf = (line: string) =>
  /^(uhf )?cb /i.test(line) ? 'AU' : /^(pmr|r?v\d)/i.test(line) ? 'EU' : 'US';

describe('more lines that can be read', () => {
  for (const [line, receiveMHz, transmitMHz, transmitTone, receiveTone] of READ)
    it(line, () => {
      const reading = readLine(line, countryOf(line));
      expect(reading.channel, reading.questions.map((q) => q.code).join()).toMatchObject({
        receiveHz: Math.round(receiveMHz * 1e6),
        transmitHz: transmitMHz === null ? null : Math.round(transmitMHz * 1e6),
        transmitTone,
        receiveTone,
      });
      expect(reading.ok).toBe(true);
    });
});

describe('more lines that ask first', () => {
  for (const [line, code] of WRONG)
    it(line, () => {
      const { ok, questions } = readLine(line);
      expect([ok, ...questions.filter((q) => q.blocking).map((q) => q.code)]).toEqual(
        expect.arrayContaining([false, code]),
      );
    });
});

describe('a name or a note that is too long', () => {
  it.each([39, 40, 41])('is never cut through the middle of a sign (%d letters before it)', (n) => {
    const { channel } = readLine(`462.5625 ${'x'.repeat(n)}😀 direct`);
    expect(channel?.name).not.toMatch(/\p{Cs}/u);
    expect(ChannelDraftSchema.safeParse(channel).success).toBe(true);
  });
});

describe('a line that says when', () => {
  it.each([
    ['Lantern Fell 462.700 rpt 192.8 planned', 'planned'],
    ['Lantern Fell 462.700 rpt 192.8 withdrawn', 'withdrawn'],
    ['Lantern Fell 462.700 rpt 192.8 on air', 'on-air'],
    ['Lantern Fell 462.700 rpt 192.8', 'on-air'],
  ])('%s: %s', (line, state) => {
    expect(readLine(line, 'US').channel).toMatchObject({ name: 'Lantern Fell', state, note: '' });
  });
});
