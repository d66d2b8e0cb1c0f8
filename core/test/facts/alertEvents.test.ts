import { ALERT_EVENTS } from '@umbrex/core/facts';
import { describe, expect, it } from 'vitest';

describe('event codes of emergency alerts (47 CFR 11.31(e))', () => {
  it('each code stands once, three capital letters', () => {
    const codes = ALERT_EVENTS.map(({ code }) => code);
    expect(new Set(codes).size).toBe(codes.length);
    for (const code of codes) expect(code).toMatch(/^[A-Z]{3}$/);
  });
  it('the third letter says what it is (NWS instruction 10-1712: W a warning, A a watch, E an emergency, S a statement)', () => {
    const byLetter = { W: 'warning', A: 'watch', E: 'emergency', S: 'statement' } as const;
    // Codes that are older than the rule, or outside it.
    const outside = [
      'EVI',
      'SVR',
      'TOR',
      'EAN',
      'NPT',
      'RMT',
      'RWT',
      'ADR',
      'BLU',
      'CEM',
      'DMO',
      'MEP',
      'NMN',
    ];
    for (const { code, kind } of ALERT_EVENTS.filter(({ code }) => !outside.includes(code)))
      expect(kind, code).toBe(byLetter[code[2] as keyof typeof byLetter]);
  });
  it('the last word of its name says the same, where it is one of these', () => {
    for (const { code, name, kind } of ALERT_EVENTS) {
      const last = name.toLowerCase().split(' ').at(-1);
      if (['warning', 'watch', 'statement', 'emergency'].includes(last ?? '')) expect(kind, code).toBe(last);
    }
  });
  it('every watch has its warning beside it', () => {
    const codes = new Set(ALERT_EVENTS.map(({ code }) => code));
    const warningOf: Record<string, string> = { SVA: 'SVR', TOA: 'TOR' };
    for (const { code, kind } of ALERT_EVENTS)
      if (kind === 'watch') expect(codes).toContain(warningOf[code] ?? `${code.slice(0, 2)}W`);
  });
});
