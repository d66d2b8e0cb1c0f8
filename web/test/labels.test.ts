import { describe, expect, it } from 'vitest';
import { listOf } from '../src/messages/labels';

describe('labels of places in a row', () => {
  it.each([
    [[], ''],
    [['1'], '1'],
    [['1', '2'], '1, 2'],
    [['1', '2', '3', '5', '6', '7'], '1 to 3, 5 to 7'],
    [['22', '23R', '24R', '25R'], '22, 23R to 25R'],
    [['R1', 'R2', 'R3', 'S4', 'S5'], 'R1 to R3, S4, S5'],
    [['Z1 39', 'Z1 40', 'Z2 1', 'Z2 2', 'Z2 3'], 'Z1 39, Z1 40, Z2 1 to Z2 3'],
    [['9', '10', '11'], '9 to 11'],
    [['A', 'B'], 'A, B'],
    [['3', '2', '1'], '3, 2, 1'],
  ])('%j', (labels, text) => expect(listOf(labels)).toBe(text));
});
