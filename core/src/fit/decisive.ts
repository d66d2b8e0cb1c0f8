import type { Finding } from '../findings/index';
import type { Cell } from './image';

/** The weightiest finding of a cell, which its reasons begin with. */
export function decisive(cell: Cell): Finding | undefined {
  const weight = { error: 0, warning: 1, note: 2 } as const;
  // That a licence is needed is true of the whole service; it decides nothing about one device.
  const own = cell.findings.filter((finding) => finding.code !== 'licence-needed');
  return [...own].sort((a, b) => weight[a.severity] - weight[b.severity])[0] ?? cell.findings[0];
}
