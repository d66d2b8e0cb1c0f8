import type { Finding } from '@umbrex/core/findings';
import { findingText } from '../messages/findings';

const SEVERITY_WORD = { error: 'Stops', warning: 'Look', note: 'Note' } as const;

/** A finding with its weight, words, source and what would help. */
export function FindingItem({ finding }: { finding: Finding }) {
  const { what, more, help } = findingText(finding);
  return (
    <li className="finding" data-severity={finding.severity}>
      <span className="muted text-tiny font-semibold">{SEVERITY_WORD[finding.severity]} </span>
      <span>{what}</span>
      {more && <p className="muted text-small">{more}</p>}
      {help && <p className="text-small">What would help: {help}</p>}
      {finding.source && <p className="muted text-tiny">Source: {finding.source}. Check your local rules.</p>}
    </li>
  );
}
