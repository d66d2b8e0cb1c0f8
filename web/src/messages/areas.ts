import type { AreaReading } from '@umbrex/core/areas';

const SLIPS: Readonly<Record<Extract<AreaReading, { kind: 'slip' }>['of'], string>> = {
  frequency: 'looks like a weather frequency, which has a field of its own',
  swapped: 'has state and county the wrong way round',
  'no-part': 'lacks the first digit, 0 for the whole county',
  shape: 'is no area code: six digits, 0 and the county’s five',
};

/** What an area code stands for, in words; `own` is the group's name for it. */
export function areaText(reading: AreaReading, own?: string): string {
  switch (reading.kind) {
    case 'everywhere':
      return 'everywhere';
    case 'state':
      return `all of ${reading.state}`;
    case 'county':
      return `${reading.part ? `${reading.part} of ` : ''}${reading.county}, ${reading.state}`;
    case 'slip':
      return (reading.of === 'swapped' ? own : undefined) ?? SLIPS[reading.of];
    case 'unknown':
      return own ?? 'not in our table of counties, which is of 2017';
    default:
      return reading satisfies never;
  }
}
