import type { FindMatch, LeftOut } from '@umbrex/core/found';

/** What a find may be, in words. */
export function matchText(match: FindMatch): string {
  const side = match.side === 'input' ? ', where its repeater listens' : '';
  const beside = match.offHz === 0 ? '' : `, ${(Math.abs(match.offHz) / 1000).toFixed(1)} kHz beside`;
  switch (match.is) {
    case 'channel':
      return `${match.name} of the plan${side}${beside}`;
    case 'service':
      return `${match.service}, ${match.name}${side}${beside}`;
    case 'directory': {
      const state =
        match.status && match.status !== 'on-air' ? `, said to be ${match.status.replace('-', ' ')}` : '';
      return `${match.title}, by ${match.source}${state}${side}${beside}`;
    }
    default:
      return match satisfies never;
  }
}

/** Where a find stands and is not heard again. */
export const leftOutText = ({ channel, kind, label }: LeftOut): string =>
  `${channel} stands at ${label} on ${kind}, which its scan leaves out: it is not heard there again. Take it into the scan, or move it.`;
