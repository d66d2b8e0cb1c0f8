import type { PlanCountry } from '@umbrex/core/facts';
import { readLine } from '@umbrex/core/listing';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runs } from '../support/runs';

/*
 * Ways of writing a channel that are easily read wrongly, class by class, in the ways of four countries. Readings by common practice and the
 * band plans named in the tables; decided before the reader was asked. `A B x y` is received on A, sent on B (`-`: listened to), with the
 * tone sent and the tone awaited, and after that the mode where it is not FM; `? code` is the question that has to come first.
 */
type Row = readonly [string, string];
const NAMED = /^(\S+) (\S+) (\S+) (\S+)(?: (AM|digital))?(?: «(.*)»)?$/;

// biome-ignore format: a table
const OTHER: Readonly<Record<string, readonly Row[]>> = {
  // No tables: nothing is usual, no number means anything by itself, and what one may send on nobody here knows.
  'a country without tables': [
    ['Harbour 156.800 FM', '156.8 - off off «Harbour»'],
    ['Marine 16', '? service-elsewhere'],
    ['GMRS 15', '? service-elsewhere'],
    ['PMR 3', '? service-elsewhere'],
    ['CB 12', '? service-elsewhere'],
    ['ch 7', '? channel-of-what'],
    ['channel 16', '? channel-of-what'],
    ['R3', '? channel-of-what'],
    ['rpt 3', '? channel-of-what'],
    ['ch 7 82.5', '? channel-of-what'],
    ['145.600', '145.6 - off off'],
    ['145.600 -', '145.6 - off off'],
    ['145.600 -600', '145.6 145 unknown off'],
    ['145.600 -0.6', '145.6 145 unknown off'],
    ['Mast 439.100 -7.6 T82.5', '439.1 431.5 82.5 off «Mast»'],
    ['Mast 438,950 -7,6', '438.95 431.35 unknown off «Mast»'],
    ['446.00625', '446.00625 - off off'],
    ['rpt 145.750 in 145.150', '? several-frequencies'],
    ['145.750 out 145.150 in', '145.75 145.15 unknown off'],
    ['in 145.150 out 145.750 88.5', '145.75 145.15 88.5 off'],
    ['rx 451.5 tx 456.5', '451.5 456.5 unknown off'],
    ['Field 449.1250 +5 131.8', '449.125 454.125 131.8 off «Field»'],
    ['433.500 direct', '433.5 - off off'],
    ['Gate 462.650', '462.65 - off off «Gate»'],
    ['27.185 AM', '27.185 - off off AM'],
    ['weather 3', '? channel-or-code'],
    ['145.500 USB', '? mode-outside'],
    ['Talk 446.100 DMR', '446.1 - off off digital «Talk»'],
    ['Airport 118.100 AM', '118.1 - off off AM «Airport»'],
    ['scan only 145.500', '145.5 - off off'],
  ],
};

// biome-ignore format: a table
const US: Readonly<Record<string, readonly Row[]>> = {
  // Names and pairs by the National Interoperability Field Operations Guide, typed here again (from memory).
  'interoperability by name, at 700 and 800 MHz too': [
    ['UTAC41', '453.4625 - off 156.7 «UTAC41»'],
    ['7CALL50', '769.24375 - off off digital «7CALL50»'],
    ['8CALL90', '851.0125 - off 156.7 «8CALL90»'],
    ['8CALL90 851.0125', '851.0125 - off 156.7 «8CALL90»'],
    ['8TAC91D', '851.5125 - off 156.7 «8TAC91D»'],
    ['County 8TAC91', '851.5125 - off 156.7 «County»'],
    ['8CALL90 453.2125', '? pair-does-not-match'],
    ['851.0125', '851.0125 - off 156.7 direct-or-repeater'],
    ['769.24375', '769.24375 - off off digital direct-or-repeater'],
    ['453.2125 direct', '453.2125 - off 156.7'],
  ],
  'a service word in any place': [
    ['5 murs', '154.6 154.6 off off'],
    ['murs 5', '154.6 154.6 off off'],
    ['ch 5 murs', '154.6 154.6 off off'],
    ['ch5 murs 82.5', '154.6 154.6 82.5 82.5'],
    ['ch7 marine', '? no-such-channel'],
    ['ch 9 marine', '156.45 - off off'],
    ['16 marine', '156.8 - off off'],
    ['channel 16 marine', '156.8 - off off'],
    ['22A marine', '157.1 - off off'],
    ['channel 2 weather', '? channel-or-code'],
    ['ch 2 wx', '? channel-or-code'],
    ['wx 8', '161.65 - off off'],
    // A sign alone that would lead out of the band says too little: heard until the input is written.
    ['Top 147.600 +', '147.6 - off off «Top»'],
    ['Top 147.600 -', '147.6 147 unknown off «Top»'],
    ['Top 910.000 - 82.5', '910 - off off «Top»'],
    ['Top 927.100 - 82.5', '927.1 902.1 82.5 off «Top»'],
    ['weather 10', '163.275 - off off'],
    ['rail 36', '160.65 - off off'],
    ['AAR 97', '161.565 - off off'],
    ['rail 98', '? no-such-channel'],
    ['4 frs', '462.6375 462.6375 off off'],
    ['ch 4 frs', '462.6375 462.6375 off off'],
    ['20 gmrs rpt 141.3', '462.675 467.675 141.3 off'],
    ['ch 20 gmrs repeater 141.3', '462.675 467.675 141.3 off'],
    ['Farm ch 2 murs', '151.88 151.88 off off «Farm»'],
    ['Farm murs ch 2', '151.88 151.88 off off «Farm»'],
    ['Farm 151.880 murs', '151.88 151.88 off off «Farm»'],
    ['murs', '? no-frequency'],
  ],
  'another country’s service': [
    ['PMR 3', '? service-elsewhere'],
    ['pmr446 ch 3', '? service-elsewhere'],
    ['UHF CB 12', '? service-elsewhere'],
    ['CB 12', '27.105 27.105 off off AM'],
    ['cb ch 19', '27.185 27.185 off off AM'],
    ['CB 41', '? no-such-channel'],
    ['V40', '? service-elsewhere'],
    ['RV48 67.0', '? service-elsewhere'],
    ['446.03125 PMR', '446.03125 446.03125 off off'],
  ],
  'number and frequency': [
    ['Marine 9 156.800', '? pair-does-not-match'],
    ['Marine 16 156.800', '156.8 - off off «Marine 16»'],
    ['marine ch 16 156.800 Harbour', '156.8 - off off «Harbour»'],
    ['462.600 GMRS 21', '? pair-does-not-match'],
    ['462.700 GMRS 21', '462.7 462.7 off off «GMRS 21»'],
    ['GMRS 21 462.700 rpt 82.5', '462.7 467.7 82.5 off «GMRS 21»'],
    ['FRS 9 467.5875', '467.5875 467.5875 off off «FRS 9»'],
    ['FRS 9 467.6125', '? pair-does-not-match'],
    ['MURS 1 151.880', '? pair-does-not-match'],
    ['MURS 2 151.880', '151.88 151.88 off off «MURS 2»'],
    ['ch 18 462.650', '? pair-does-not-match'],
    ['WX 2 162.550', '? pair-does-not-match'],
    ['Engine 251 462.600', '462.6 462.6 off off «Engine 251»'],
    ['Repeater 2 462.650 rpt 131.8', '462.65 467.65 131.8 off'],
    ['462.725 R22', '462.725 467.725 unknown off'],
    ['462.725 R22 131.8', '462.725 467.725 131.8 off'],
    ['462.725 R21', '? pair-does-not-match'],
    ['murs 462.650', '? pair-does-not-match'],
    ['marine 462.650', '? pair-does-not-match'],
    ['462.650 marine', '? pair-does-not-match'],
    ['Marine Drive 462.650', '462.65 462.65 off off «Marine Drive»'],
    ['446.0 PMR', '? pair-does-not-match'],
    ['cb 19 FM', '27.185 27.185 off off'],
    ['GMRS 462.650', '462.65 462.65 off off'],
  ],
  'directions of every order and glue': [
    ['Kelp 462.650 rpt PL 94.8 (out) 131.8 (in)', '462.65 467.65 131.8 94.8'],
    ['Kelp 462.650 rpt PL 131.8 (in) 94.8 (out)', '462.65 467.65 131.8 94.8'],
    ['Kelp 462.650 rpt CSQ up, 77.0 down', '462.65 467.65 off 77.0'],
    ['Kelp 462.650 rpt 77.0 up, csq down', '462.65 467.65 77.0 off'],
    ['Kelp 462.650 rpt up 77.0 down 88.5', '462.65 467.65 77.0 88.5'],
    ['Kelp 462.650 rpt T85.4', '462.65 467.65 85.4 off «Kelp»'],
    ['Kelp 462.650 rpt T85.4 R100.0', '462.65 467.65 85.4 100.0 «Kelp»'],
    ['Kelp 462.650 rpt R100.0 T85.4', '462.65 467.65 85.4 100.0 «Kelp»'],
    ['Kelp 462.650 rpt T 85.4 R 100.0', '462.65 467.65 85.4 100.0 «Kelp»'],
    ['Kelp 462.650 rpt 94.8 both', '462.65 467.65 94.8 94.8 «Kelp»'],
    ['Kelp 462.650 rpt 94.8 both ways', '462.65 467.65 94.8 94.8 «Kelp»'],
    ['Kelp 462.650 rpt both 94.8', '462.65 467.65 94.8 94.8 «Kelp»'],
    ['Kelp 462.650 rpt tx/rx 94.8', '462.65 467.65 94.8 94.8'],
    ['Kelp 462.650 rpt in/out 94.8', '462.65 467.65 94.8 94.8'],
    ['Kelp 462.650 rpt in and out 94.8', '462.65 467.65 94.8 94.8 «Kelp»'],
    ['Kelp 462.650 rpt T-SQL 94.8', '462.65 467.65 94.8 94.8 «Kelp»'],
    ['Kelp 462.650 rpt TSQL 94.8', '462.65 467.65 94.8 94.8'],
    ['Kelp 462.650 rpt 94.8 T-SQL', '462.65 467.65 94.8 94.8 «Kelp»'],
    ['Kelp 462.650 rpt 94.8 TSQ', '462.65 467.65 94.8 94.8 «Kelp»'],
    ['Kelp 462.650 rpt carrier access', '462.65 467.65 off off «Kelp»'],
    ['Kelp 462.650 rpt carrier operated', '462.65 467.65 off off «Kelp»'],
    ['Kelp 462.650 rpt no tone required', '462.65 467.65 off off «Kelp»'],
    ['Kelp 462.650 rpt in 131.8 out none', '462.65 467.65 131.8 off'],
    ['Kelp 462.650 rpt 131.8 in, none out', '462.65 467.65 131.8 off'],
    ['Kelp 462.650 rpt enc 131.8 / dec 94.8', '462.65 467.65 131.8 94.8'],
    ['Kelp 462.650 rpt 131.8 enc 94.8 dec', '462.65 467.65 131.8 94.8'],
    ['Kelp 462.650 rpt 131.8/94.8', '? tone-direction'],
    ['467.650 in / 462.650 out 131.8', '462.65 467.65 131.8 off'],
    ['467.650 in 462.650 out', '462.65 467.65 unknown off'],
    ['462.650 out 467.650 in 131.8', '462.65 467.65 131.8 off'],
    ['462.650 (out) 467.650 (in) 131.8', '462.65 467.65 131.8 off'],
    ['462.650 out, 467.650 in, 131.8 in, 94.8 out', '462.65 467.65 131.8 94.8'],
  ],
  // Where one talks and nothing of where one hears: only another word or a shift behind it can tell.
  'where one sends, and not where one hears': [
    ['input 146.34', '? receive-unknown'],
    ['146.34 input', '? receive-unknown'],
    ['Hill input 146.34 131.8', '? receive-unknown'],
    ['tx146.34', '? receive-unknown'],
    ['146.34 tx', '? receive-unknown'],
    ['in 146.34 + 100.0', '? receive-unknown'],
    ['tx 462.725', '? receive-unknown'],
    ['462.725 input', '? receive-unknown'],
    ['Beach access 462.725', '? receive-unknown'],
    ['uplink 447.125', '? receive-unknown'],
    ['transmit 146.52', '? receive-unknown'],
    ['tx 146.520 simplex', '146.52 146.52 off off'],
    ['tx 462.725 direct', '462.725 462.725 off off'],
    ['Gull 467.725 input', '462.725 467.725 unknown off «Gull»'],
    ['462.700 TX=+5 146.2', '462.7 467.7 146.2 off'],
    // Direct and shifted is one thing too many, whatever band it is of.
    ['442.1 +5 direct', '? word-contradicts'],
    ['442.1 simplex +', '? word-contradicts'],
    ['145.6 -600 direct', '? word-contradicts'],
  ],
  'one frequency for both ways': [
    ['tx/rx 462.725', '462.725 462.725 off off'],
    ['rx/tx 154.6', '154.6 154.6 off off'],
    ['tx & rx 462.725', '462.725 462.725 off off'],
    ['transmit and receive 462.725', '462.725 462.725 off off'],
    ['both ways 462.725 tone 100.0', '462.725 462.725 100.0 100.0'],
    ['tx/rx 462.725 rpt', '? word-contradicts'],
    ['tx/rx 131.8 462.725', '462.725 462.725 131.8 131.8'],
    ['in/out 467.725/462.725', '462.725 467.725 unknown off'],
  ],
  'offsets': [
    ['Ridge 145.230-', '145.23 144.63 unknown off «Ridge»'],
    ['Ridge 145.230- 100.0', '145.23 144.63 100.0 off «Ridge»'],
    ['Ridge 147.120+ 100.0', '147.12 147.72 100.0 off «Ridge»'],
    ['Ridge 442.100+ 100.0', '442.1 447.1 100.0 off «Ridge»'],
    ['Ridge 442.100+, 100.0', '442.1 447.1 100.0 off «Ridge»'],
    ['Kelp 462.650+ 131.8', '462.65 467.65 131.8 off «Kelp»'],
    ['Ridge 442.100 plus 100.0', '442.1 447.1 100.0 off «Ridge»'],
    ['Ridge 442.100 positive 100.0', '442.1 447.1 100.0 off «Ridge»'],
    ['Ridge 442.100 pos offset 100.0', '442.1 447.1 100.0 off «Ridge»'],
    ['Ridge 447.100 minus 100.0', '447.1 442.1 100.0 off «Ridge»'],
    ['Ridge 447.100 negative shift 100.0', '447.1 442.1 100.0 off «Ridge»'],
    ['Ridge 447.100 neg offset 100.0', '447.1 442.1 100.0 off «Ridge»'],
    ['Ridge 146.940 rev 100.0', '? left-over'],
    ['Ridge 146.940 reverse split 100.0', '? left-over'],
    ['Ridge 146.940 -600 100.0', '146.94 146.34 100.0 off «Ridge»'],
    ['Ridge 146.940 -600 kHz 100.0', '146.94 146.34 100.0 off «Ridge»'],
    ['Ridge 146.940 -600kHz 100.0', '146.94 146.34 100.0 off «Ridge»'],
    ['Ridge 147.120 +600 100.0', '147.12 147.72 100.0 off «Ridge»'],
    ['Ridge 146.940 -0,6 100,0', '146.94 146.34 100.0 off «Ridge»'],
    ['Ridge 146.940 −0.6 MHz 100.0', '146.94 146.34 100.0 off «Ridge»'],
    ['Ridge 146.940 -1.2 100.0', '? offset-unusual'],
    ['Ridge 442.100 -7.6 100.0', '? offset-unusual'],
    ['Ridge 146.940 +0.6 100.0', '? offset-unusual'],
    ['Ridge 146.940 -700 100.0', '? offset-unusual'],
    ['Kelp 462.650 +4 131.8', '? pair-does-not-match'],
    ['Kelp - Stairs 462.650 rpt 131.8', '462.65 467.65 131.8 off «Kelp Stairs»'],
    ['462.650 rpt - Kelp Stairs - 131.8', '462.65 467.65 131.8 off «Kelp Stairs»'],
    ['462.650 - Kelp Stairs rpt 131.8', '462.65 467.65 131.8 off «Kelp Stairs»'],
    ['Ridge 146.940 - 100.0', '146.94 146.34 100.0 off «Ridge»'],
    ['Ridge 146.940 - PL 100.0', '146.94 146.34 100.0 off «Ridge»'],
    ['Ridge 146.940 -', '146.94 146.34 unknown off «Ridge»'],
  ],
  'no sign where repeaters are': [
    ['Ridge 146.940 100.0', '146.94 146.94 100.0 100.0 direct-or-repeater'],
    ['Ridge 145.230', '145.23 145.23 off off direct-or-repeater'],
    ['Ridge 444.100 100.0', '444.1 444.1 100.0 100.0 direct-or-repeater'],
    ['Ridge 146.940 in 100.0 out 88.5', '146.94 146.34 100.0 88.5'],
    ['Ridge 146.520', '146.52 146.52 off off'],
    ['Ridge 146.940 simplex', '146.94 146.94 off off'],
  ],
  'words that forbid sending': [
    ['Dispatch 154.115 not for transmit', '154.115 - off off «Dispatch»'],
    ['Dispatch 154.115 do not transmit', '154.115 - off off «Dispatch»'],
    ['Dispatch 154.115 no transmit', '154.115 - off off «Dispatch»'],
    ['Dispatch 154.115 listen', '154.115 - off off «Dispatch»'],
    ['Dispatch 154.115 monitor', '154.115 - off off «Dispatch»'],
    ['Dispatch 154.115 monitoring only', '154.115 - off off «Dispatch»'],
    ['Dispatch 154.115 scan only', '154.115 - off off «Dispatch»'],
    ['Dispatch 154.115 scanner only', '154.115 - off off «Dispatch»'],
    ['Dispatch 154.115 RO', '154.115 - off off «Dispatch»'],
    ['Dispatch 154.115 rx-only', '154.115 - off off «Dispatch»'],
    ['462.650 listen', '462.65 - off off'],
    ['Watch 462.650 monitor 131.8', '462.65 - off 131.8 «Watch»'],
    ['listen 462.650', '462.65 - off off'],
    ['Monitor Hill 462.650 rpt 131.8', '462.65 467.65 131.8 off «Monitor Hill»'],
    ['Listening Post 462.600', '462.6 462.6 off off «Listening Post»'],
    ['ch 7 monitor', '462.7125 - off off'],
  ],
  'digital modes': [
    ['Ridge 444.100 + DMR CC1', '444.1 449.1 unknown off digital «Ridge»'],
    ['Ridge 444.100 + DMR CC 1', '444.1 449.1 unknown off digital «Ridge»'],
    ['Ridge 444.100 + DMR color code 11 TS2', '444.1 449.1 unknown off digital «Ridge»'],
    ['Ridge 444.100 + DMR colour code 3', '444.1 449.1 unknown off digital «Ridge»'],
    ['Ridge 444.100 + D-STAR', '444.1 449.1 unknown off digital «Ridge»'],
    ['Ridge 444.100 + DSTAR', '444.1 449.1 unknown off digital «Ridge»'],
    ['Ridge 444.100 + C4FM', '444.1 449.1 unknown off digital «Ridge»'],
    ['Ridge 444.100 + YSF', '444.1 449.1 unknown off digital «Ridge»'],
    ['Ridge 444.100 + M17', '444.1 449.1 unknown off digital «Ridge»'],
    ['Ridge 444.100 + NXDN RAN 5', '444.1 449.1 unknown off digital «Ridge»'],
    ['Ridge 444.100 + P25 NAC 293', '444.1 449.1 unknown off digital «Ridge»'],
    ['Ridge 444.100 + P25 NAC$293', '444.1 449.1 unknown off digital «Ridge»'],
    ['Dispatch 154.115 rx only P25 NAC $F7E', '154.115 - off off digital «Dispatch»'],
    ['Dispatch 154.115 rx only APCO-25', '154.115 - off off digital «Dispatch»'],
    ['Dispatch 154.115 rx only digital', '154.115 - off off digital «Dispatch»'],
    ['Dispatch 154.115 rx only TETRA', '154.115 - off off digital «Dispatch»'],
    ['Ridge 444.100 + digital code 251', '444.1 449.1 D251N off «Ridge»'],
    ['Ridge 444.100 + analog 100.0', '444.1 449.1 100.0 off «Ridge»'],
  ],
  'two places in one line': [
    ['462.650 rpt 131.8 and 462.675 rpt 141.3', '? several-frequencies'],
    ['Kelp 462.650 rpt 131.8; Gannet 462.575 rpt D251N', '? several-frequencies'],
    ['Boat 462.5625 / Beach 462.5875', '? several-frequencies'],
    ['151.820 151.880', '? several-frequencies'],
  ],
  'polarity in words': [
    ['rpt 20 DCS 023 invert', '462.675 467.675 D023I off'],
    ['rpt 20 DCS 023 inverted', '462.675 467.675 D023I off'],
    ['rpt 20 DCS 023 inv', '462.675 467.675 D023I off'],
    ['rpt 20 DPL 023 reverse', '462.675 467.675 D023I off'],
    ['rpt 20 D023 reversed', '462.675 467.675 D023I off'],
    ['rpt 20 DCS 023 normal', '462.675 467.675 D023N off'],
    ['rpt 20 inverted DCS 023', '462.675 467.675 D023I off'],
    ['rpt 20 DCS -023', '? tone-unreadable'],
  ],
  'code numbers': [
    ['rpt 20 tone 7', '? code-number'],
    ['rpt 20 PL 14', '? code-number'],
    ['rpt 20 CTCSS 38', '? code-number'],
    ['rpt 20 ctcss #12', '? code-number'],
    ['rpt 20 PL 1Z', '? tone-unreadable'],
    ['rpt 20 DCS 7', '? code-number'],
    ['ch 18 tone no 9', '? code-number'],
    ['Kelp 462.650 rpt tone 21', '? code-number'],
  ],
  'what is left over': [
    ['Kelp 462.650 rpt 131.8 xx12', '? left-over'],
    ['Kelp 462.650 rpt 131.8 7', '? left-over'],
    ['Kelp 462.650 rpt 131.8 w/', '? left-over'],
    ['Kelp 462.650 rpt 131.8 dB', '? left-over'],
    ['Kelp 462.650 rpt 131.8 kHz', '? tone-in-khz'],
    ['Kelp 462.650 rpt 131.8 467.x', '? left-over'],
    ['Kelp 462.650 rpt 131.8 #', '462.65 467.65 131.8 off «Kelp»'],
    ['Kelp 462.650 rpt 131.8 foo 7', '? left-over'],
    ['Kelp 462.650 rpt 131.8 3.5', '? left-over'],
    ['Kelp 462.650 rpt 131.8 25 watts', '462.65 467.65 131.8 off «Kelp»'],
    ['Kelp 462.650 rpt 131.8 25W', '462.65 467.65 131.8 off «Kelp»'],
    ['Kelp 462.650 rpt 131.8 wide area', '462.65 467.65 131.8 off'],
    ['Club 4 462.5625', '462.5625 462.5625 off off «Club 4»'],
    ['Zone 12 East 462.5625', '462.5625 462.5625 off off «Zone 12 East»'],
    ['"Channel 5 crew" 462.5625', '462.5625 462.5625 off off «Channel 5 crew»'],
    ['Kelp 462.650 rpt 131.8 "7"', '462.65 467.65 131.8 off «Kelp 7»'],
    ['462.650 rpt 131.8 Kelp Stairs', '462.65 467.65 131.8 off «Kelp Stairs»'],
    ['462.650 rpt 131.8 Tower 3', '462.65 467.65 131.8 off «Tower 3»'],
  ],
  'frequencies of two decimals, and equal pairs': [
    ['Calling 146.52', '146.52 146.52 off off «Calling»'],
    ['Calling 146.52 FM', '146.52 146.52 off off «Calling»'],
    ['Calling 146.52 100.0', '146.52 146.52 100.0 100.0 «Calling»'],
    ['Calling 100.0 146.52', '146.52 146.52 100.0 100.0 «Calling»'],
    ['Ridge 146.94 - 100.0', '146.94 146.34 100.0 off «Ridge»'],
    ['Ridge 146.94- 100.0', '146.94 146.34 100.0 off «Ridge»'],
    ['Ridge 146.94 rpt 100', '? left-over'],
    ['Ridge 146.94 rpt PL 100', '146.94 146.34 100.0 off «Ridge»'],
    ['Guard 121.50', '121.5 - off off AM «Guard»'],
    ['Field 122.80', '122.8 - off off AM «Field»'],
    ['Dispatch 116.2 AM', '116.2 - off off AM «Dispatch»'],
    ['Harbour 156.8', '156.8 - off off «Harbour»'],
    ['Harbour 156.80 marine', '156.8 - off off «Harbour»'],
    ['Harbour 156.7', '? tone-or-frequency'],
    ['Harbour 146.2', '? tone-or-frequency'],
    ['Ridge 146.520/146.520', '146.52 146.52 off off «Ridge»'],
    ['Ridge 146.52/146.52', '146.52 146.52 off off «Ridge»'],
    ['Boat 462.5625/462.5625', '462.5625 462.5625 off off «Boat»'],
    ['Farm 151.82', '151.82 151.82 off off «Farm»'],
    ['rpt 20 pl 156.8', '? tone-not-standard'],
    ['rpt 20 131.9', '? tone-not-standard'],
  ],
  'written after the reader was, by somebody who tries to be misread': [
    ['2 MURS Barn 67.0', '151.88 151.88 67.0 67.0 «Barn»'],
    ['channel 3, frs', '462.6125 462.6125 off off'],
    ['68 marine Harbour chat', '156.425 - off off «Harbour chat»'],
    ['Harbour VHF 16', '156.8 - off off «Harbour»'],
    ['wx5', '? channel-or-code'],
    ['Weather 4 162.475', '162.475 - off off «Weather 4»'],
    ['GMRS ch 17 rpt 462.600 100.0', '462.6 467.6 100.0 off «GMRS ch 17»'],
    ['ch 3 151.940', '151.94 151.94 off off'],
    ['Summit 462.700 rpt in: CSQ / out: 88.5', '462.7 467.7 off 88.5 «Summit»'],
    ['Summit 462.700 rpt (input 88.5) (output csq)', '462.7 467.7 88.5 off «Summit»'],
    ['Summit 462.700 rpt R 88.5', '462.7 467.7 unknown 88.5 «Summit»'],
    ['Summit 462.700 rpt tx tone 88.5, rx tone none', '462.7 467.7 88.5 off «Summit»'],
    ['Summit 462.700 rpt 88.5 in/out', '462.7 467.7 88.5 88.5 «Summit»'],
    ['Summit 462.700 rpt 88.5 tx & rx', '462.7 467.7 88.5 88.5 «Summit»'],
    ['Summit 462.700 rpt 88.5 encode only', '462.7 467.7 88.5 off «Summit»'],
    ['Summit 462.700 rpt PL88.5/DPL023', '? tone-direction'],
    ['Summit 462.700 rpt open carrier', '? left-over'],
    ['Summit 146.610 (-) PL 151.4', '146.61 146.01 151.4 off «Summit»'],
    ['Summit 146.610-0.6 PL 151.4', '146.61 146.01 151.4 off «Summit»'],
    ['Summit 146.610 minus 600 151.4', '146.61 146.01 151.4 off «Summit»'],
    ['Summit 146.610 minus 0.6 151.4', '146.61 146.01 151.4 off «Summit»'],
    ['Summit 146.610 - 600 kHz 151.4', '146.61 146.01 151.4 off «Summit»'],
    ['Summit 146.610/146.010 151.4', '146.61 146.01 151.4 off «Summit»'],
    ['Summit 449.125-5 151.4', '449.125 444.125 151.4 off «Summit»'],
    ['Summit 449.125 -5000 151.4', '449.125 444.125 151.4 off «Summit»'],
    ['Fire 462.600 no xmit', '462.6 - off off «Fire»'],
    ['Fire 462.600 tx disabled', '462.6 - off off «Fire»'],
    ['Fire 462.600 don’t transmit', '462.6 - off off'],
    ["Fire 462.600 don't transmit", '462.6 - off off «Fire»'],
    ['Fire 462.600 for listening', '462.6 - off off «Fire»'],
    ['Fire 462.600 transmit forbidden', '462.6 - off off «Fire»'],
    ['Fire 462.600 never transmit', '462.6 - off off «Fire»'],
    ['Fire 462.600 TX prohibited', '462.6 - off off «Fire»'],
    ['Ridge 444.5 + dmr cc5 ts1 tg 3100', '444.5 449.5 unknown off digital «Ridge»'],
    ['Ridge 444.5 + d star', '444.5 449.5 unknown off digital «Ridge»'],
    ['UHF digital 453.2125 P25', '453.2125 - off off digital «UHF»'],
    ['rpt 18 023 inv', '462.625 467.625 D023I off'],
    ['rpt 18 DTC 023 R', '462.625 467.625 D023I off'],
    ['rpt 18 PL #7', '? code-number'],
    ['Kelp 462.650 rpt 131.8 50', '? left-over'],
    ['462.650 rpt 67', '? left-over'],
    ['Kelp 462.650 rpt 131.8 elev 1200', '? left-over'],
    ['K7XYZ 146.940 - 100.0', '146.94 146.34 100.0 off «K7XYZ»'],
    ['7 462.5875', '? left-over'],
    ['Team7 462.5875', '462.5875 462.5875 off off «Team7»'],
    ['Camp 3 ch 7', '462.7125 462.7125 off off «Camp 3»'],
    ['Camp ch 3 7', '? left-over'],
    ['123.45', '123.45 - off off AM'],
    ['Low 30.84', '30.84 - off off «Low»'],
  ],
  'from 25 to 1,300 MHz': [
    ['Ten 29.600 FM', '29.6 29.6 off off «Ten»'],
    ['Six 52.525', '52.525 52.525 off off «Six»'],
    ['Six 52.5250 simplex', '52.525 52.525 off off «Six»'],
    ['Low band 39.500 rx only', '39.5 - off off «Low band»'],
    ['222.100 Two', '222.1 222.1 off off «Two»'],
    ['Air base 310.500 AM', '310.5 - off off AM «Air base»'],
    ['927.500 Nine', '927.5 927.5 off off «Nine»'],
    ['1294.500 Top', '1294.5 1294.5 off off «Top»'],
    ['Ridge 53.550 - 100.0', '53.55 53.05 100.0 off «Ridge»'],
    ['Ridge 53.550 -0.5 100.0', '53.55 53.05 100.0 off «Ridge»'],
    ['Ridge 53.550 -1 100.0', '? offset-unusual'],
    ['Ridge 224.500 rpt 100.0', '224.5 222.9 100.0 off «Ridge»'],
    ['Ridge 224.500 -1.6 100.0', '224.5 222.9 100.0 off «Ridge»'],
    ['Ridge 927.0125 - 100.0', '927.0125 902.0125 100.0 off «Ridge»'],
    ['Ridge 1283.100 - 100.0', '1283.1 1271.1 100.0 off «Ridge»'],
    ['Ridge 29.640 - 100.0', '29.64 29.54 100.0 off «Ridge»'],
    ['Top 1301.500', '? frequency-out-of-range'],
    ['Ham 14.250 USB', '? mode-outside'],
    ['Ham 144.200 USB', '? mode-outside'],
    ['Ham 144.200 SSB', '? mode-outside'],
    ['Ham 144.050 CW', '? mode-outside'],
    ['Ham 14.250', '? frequency-out-of-range'],
    ['Sheriff 155.370', '155.37 - off off «Sheriff»'],
    ['Sheriff 155.37', '155.37 - off off «Sheriff»'],
  ],
};
// biome-ignore format: a table
const AU: Readonly<Record<string, readonly Row[]>> = {
  'UHF CB': [
    ['CB 12', '476.7 476.7 off off'], ['UHF 12', '476.7 476.7 off off'], ['ch 12', '476.7 476.7 off off'],
    ['12 uhf cb', '476.7 476.7 off off'], ['channel 40 UHF', '477.4 477.4 off off'],
    ['UHF 5 rpt', '476.525 477.275 unknown off'], ['UHF 1 duplex 67.0', '476.425 477.175 67.0 off'],
    ['ch 1 duplex', '476.425 477.175 unknown off'], ['476.425 rpt 123.0', '476.425 477.175 123.0 off'],
    ['476.425 + 123.0', '476.425 477.175 123.0 off'], ['476.425+ 123.0', '476.425 477.175 123.0 off'],
    ['476.425 +750 123.0', '476.425 477.175 123.0 off'], ['476.425 +0.75 123.0', '476.425 477.175 123.0 off'],
    ['476.425 -0.75 123.0', '? pair-does-not-match'], ['477.175 in / 476.425 out 123.0', '476.425 477.175 123.0 off'],
    ['Station 476.700 CB 13', '? pair-does-not-match'], ['Station 476.700 CB 12', '476.7 476.7 off off «Station»'],
    ['cb 81', '? no-such-channel'], ['UHF 12 tone 7', '? code-number'],
    ['Convoy 477.075 monitor', '477.075 - off off «Convoy»'], ['Convoy UHF 29 scan only', '477.125 - off off «Convoy»'],
    ['Farm 476.700 / House 476.725', '? several-frequencies'],
    ['476.706 Farm', '? frequency-off-channel'],
  ],
  'what is elsewhere': [
    ['MURS 3', '? service-elsewhere'], ['GMRS 20', '? service-elsewhere'], ['PMR 3', '? service-elsewhere'],
    ['462.650 rpt 131.8', '462.65 - off off'],
  ],
};
// biome-ignore format: a table
const EU: Readonly<Record<string, readonly Row[]>> = {
  'PMR446 and amateurs': [
    ['PMR 3', '446.03125 446.03125 off off'], ['3 pmr', '446.03125 446.03125 off off'], ['ch 3', '446.03125 446.03125 off off'],
    ['channel 8 PMR446 CTCSS 67,0', '446.09375 446.09375 67.0 67.0'], ['pmr446 8', '446.09375 446.09375 off off'],
    ['PMR 17', '? no-such-channel'], ['446,00625 Team', '446.00625 446.00625 off off «Team»'],
    ['PMR 3 446.00625', '? pair-does-not-match'], ['PMR 1 446.00625', '446.00625 446.00625 off off'],
    ['Relais 145,600 -0,6 88,5', '145.6 145 88.5 off «Relais»'], ['Relais 145.600 -600 88.5', '145.6 145 88.5 off «Relais»'],
    ['Relais 430.500 +', '430.5 - off off «Relais»'], ['Relais 433.000 - 82.5', '433 - off off «Relais»'],
    ['Relais 433.000 +1.6 82.5', '433 434.6 82.5 off «Relais»'], ['Relais 438.950 - 67.0', '438.95 431.35 67.0 off «Relais»'],
    ['Relais 439.600 -', '439.6 - off off «Relais»'],
    ['Relais 145.600- 88.5', '145.6 145 88.5 off «Relais»'], ['Relais 145.600 minus 88.5', '145.6 145 88.5 off «Relais»'],
    ['RV48 67.0', '145.6 145 67.0 off'], ['V40', '145.5 145.5 off off'], ['Direkt V40 145.500', '145.5 145.5 off off «Direkt»'],
    ['V40 145.525', '? pair-does-not-match'], ['Relais 145.600 -1.2 88.5', '? offset-unusual'],
    ['Relais 438,950 -7,6 67,0', '438.95 431.35 67.0 off «Relais»'], ['Relais 145.600 RX', '145.6 - off off «Relais»'],
    ['CB 12', '? service-elsewhere'], ['GMRS 20 rpt', '? service-elsewhere'], ['145.500 SSB', '? mode-outside'],
  ],
};
const BY_COUNTRY: readonly (readonly [PlanCountry, typeof US])[] = [
  ['US', US],
  ['AU', AU],
  ['EU', EU],
  ['other', OTHER],
];

const mhz = (hz: number | null) => (hz === null ? '-' : String(hz / 1e6));

/** What a line comes to, as the tables write it. */
function readingOf(line: string, country: PlanCountry, expected: string): string {
  const { ok, channel, questions } = readLine(line, country);
  const blocking = questions.filter((one) => one.blocking).map(({ code }) => code);
  if (!ok || !channel) {
    const code = expected.replace('? ', '');
    return `? ${blocking.includes(code as never) ? code : blocking.join()}`;
  }
  const { receiveHz, transmitHz, transmitTone, receiveTone, mode, name } = channel;
  const named = NAMED.exec(expected)?.[6];
  const asked = /direct-or-repeater$/.exec(expected)?.[0];
  return [
    mhz(receiveHz),
    mhz(transmitHz),
    transmitTone,
    receiveTone,
    ...(mode === 'FM' ? [] : [mode]),
    ...(named === undefined ? [] : [`«${name}»`]),
    ...(asked ? [questions.find(({ code }) => code === asked)?.code] : []),
  ].join(' ');
}

for (const [country, classes] of BY_COUNTRY)
  for (const [title, rows] of Object.entries(classes))
    describe(`${country}: ${title}`, () => {
      it.each(rows)('%s', (line, expected) => expect(readingOf(line, country, expected)).toBe(expected));
    });

describe('what is offered for a frequency that is sent', () => {
  // By the band plans (named in the tables): two metres shift by 600 kHz, 70 cm in the US by 5 MHz; sets that talk to each other by nothing.
  it.each([
    ['US', 'tx 146.34', ['rx 146.9400 tx 146.3400', 'direct']],
    ['US', 'tx 447.125', ['rx 442.1250 tx 447.1250', 'direct']],
    ['US', 'tx 146.52', ['direct']],
    ['US', 'tx 462.725', ['direct']],
    ['EU', 'tx 446.00625', ['direct']],
    ['EU', 'Mast input 145.125', ['rx 145.7250 tx 145.1250', 'direct']],
    ['other', 'tx 146.34', ['direct']],
  ] as const)('%s: %s', (country, line, offers) => {
    const [asked] = readLine(line, country).questions;
    expect([asked?.code, asked?.offers]).toEqual(['receive-unknown', offers]);
  });
});

/** Words of lines, in any order: what must hold whatever stands around. */
const word = fc.constantFrom(
  '462.650',
  '462.5625',
  '146.940',
  '444.100',
  '151.820',
  'rpt',
  'in',
  'out',
  '131.8',
  'D251N',
  'T85.4',
  'R100.0',
  'ch',
  '18',
  'murs',
  'marine',
  '16',
  'tx',
  'rx',
  '+',
  '-',
  '-600',
  '+5',
  'both',
  'up',
  'down',
  'csq',
  'Kelp',
  'Stairs',
  'Team',
  '7',
  'narrow',
  'open',
  '"a b"',
  '(',
  ')',
  '/',
  'and',
  'minus',
  'simplex',
  'PL',
  'DCS',
  '023',
  'inv',
  '25W',
  'FM',
);
const around = (must: fc.Arbitrary<string>) =>
  fc
    .tuple(
      fc.array(word, { maxLength: 5 }),
      must,
      fc.array(word, { maxLength: 5 }),
      fc.constantFrom('US', 'AU', 'EU', 'other', 'unknown'),
    )
    .map(([before, middle, after, country]) => [[...before, middle, ...after].join(' '), country] as const);

describe('whatever stands around them', () => {
  it('words that forbid sending are never sent over', () =>
    fc.assert(
      fc.property(
        around(
          fc.constantFrom(
            'rx only',
            'listen only',
            'not for transmit',
            'do not transmit',
            'scan only',
            'no tx',
            'TX prohibited',
            "don't transmit",
          ),
        ),
        ([line, country]) => {
          const { ok, channel } = readLine(line, country);
          if (ok) expect([line, channel?.transmitHz]).toEqual([line, null]);
        },
      ),
      { numRuns: runs(4000) },
    ));
  it('a digital mode is never FM', () =>
    fc.assert(
      fc.property(
        around(fc.constantFrom('DMR', 'P25', 'NXDN', 'C4FM', 'D-STAR', 'TETRA', 'M17')),
        ([line, country]) => {
          const { ok, channel } = readLine(line, country);
          if (ok) expect([line, channel?.mode]).toEqual([line, 'digital']);
        },
      ),
      { numRuns: runs(4000) },
    ));
  it('what is offered for one that is sent keeps its name and tone, and sends there', () =>
    fc.assert(
      fc.property(
        fc.constantFrom('tx', 'transmit', 'input', 'uplink'),
        fc.constantFrom('146.340', '462.650', '447.125', '449.9', '222.4', '52.5'),
        fc.boolean(),
        fc.constantFrom('Kelp', 'Kelp Stairs', 'Old Hill 3'),
        fc.constantFrom('', 'PL 131.8', 'D251N'),
        (way, frequency, isBefore, name, tone) => {
          const said = isBefore ? `${way} ${frequency}` : `${frequency} ${way}`;
          // A tone behind the word would be what it is about.
          const line = isBefore ? `${name} ${said} ${tone}`.trim() : `${name} ${tone} ${said}`;
          for (const question of readLine(line, 'US').questions.filter(
            ({ code }) => code === 'receive-unknown',
          ))
            for (const offered of question.lines ?? []) {
              const { ok, channel } = readLine(offered, 'US');
              expect([offered, ok, channel?.name, channel?.transmitHz]).toEqual([
                offered,
                true,
                name,
                Math.round(Number(frequency) * 1e6),
              ]);
              if (tone) expect([offered, channel?.transmitTone]).toEqual([offered, tone.replace('PL ', '')]);
            }
        },
      ),
      { numRuns: runs(600) },
    ));
  it('a frequency that is said to be sent is never heard by itself', () =>
    fc.assert(
      fc.property(
        fc.tuple(
          fc.constantFrom('tx', 'transmit', 'input', 'uplink', 'send'),
          fc.constantFrom('146.340', '462.650', '447.125', '151.820', '223.500'),
          fc.constantFrom('', 'Kelp', 'Kelp Stairs', '«Kelp»'),
          fc.constantFrom('', '131.8', 'PL 131.8', 'D251N', 'narrow', '5 W'),
        ),
        ([way, frequency, name, more]) => {
          for (const line of [
            `${name} ${way} ${frequency} ${more}`,
            `${name} ${way}: ${frequency} ${more}`,
          ]) {
            const { ok, channel } = readLine(line.trim(), 'US');
            if (ok) expect([line, channel?.receiveHz]).not.toEqual([line, Number(frequency) * 1e6]);
          }
        },
      ),
      { numRuns: runs(400) },
    ));
  it('a mode that is outside is always said', () =>
    fc.assert(
      fc.property(around(fc.constantFrom('USB', 'SSB')), ([line, country]) => {
        const { ok, channel } = readLine(`146.520 ${line}`, country);
        expect([line, ok && channel !== null]).toEqual([line, false]);
      }),
      { numRuns: runs(2000) },
    ));
});
