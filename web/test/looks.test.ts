import { describe, expect, it } from 'vitest';
import { shippedDescriptions } from '../../devices/read';
import { looksText } from '../src/messages/looks';

/** By hand, from what each description says of its keys, its display and where it stands. */
const LOOKS: Readonly<Record<string, string>> = {
  'plain-handheld': 'Held in the hand. No number keys; keys named SET, +, −.',
  'counting-handheld':
    'Held in the hand. It has no display. A knob to turn. No number keys; keys named HIGH, LOW, OFF/ON, +, −.',
  'paired-handheld': 'Held in the hand. It is set up by an app on a phone, not by its keys.',
  'cable-handheld': 'Held in the hand. It is set up by a program over a cable, not by its keys.',
  'network-scanner':
    'Stands on a table; it only listens, and has no talk key. Number keys, and keys named E, NAME, NET, ON/OFF, SCAN, TOWER, ▲, ▼.',
};

describe('what a kind of set looks like', () => {
  it.each(Object.entries(LOOKS))('%s', (id, looks) => {
    const description = shippedDescriptions().find((one) => one.id === id);
    expect(description && looksText(description)).toBe(looks);
  });
  it('every shipped kind says what it is, and no two kinds that are chosen from look alike', () => {
    const all = shippedDescriptions().map(looksText);
    for (const looks of all) expect(looks).toMatch(/^[A-Z].*\.$/);
    const alike = all.filter((looks, i) => all.indexOf(looks) !== i);
    // Sets that are loaded by a program look much the same from outside: their titles tell them apart.
    for (const looks of alike) expect(looks).toMatch(/set up by/);
  });
});
