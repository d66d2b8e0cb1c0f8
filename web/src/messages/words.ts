import type { Finding, FindingCode } from '@umbrex/core/findings';

/** A finding in words: what is so, why or where, and what would help. */
export interface FindingText {
  readonly what: string;
  readonly more?: string;
  readonly help?: string;
}

/** The words of some findings, one function a code. */
export type Words<Code extends FindingCode = FindingCode> = {
  readonly [C in Code]: (finding: Extract<Finding, { code: C }>) => FindingText;
};
