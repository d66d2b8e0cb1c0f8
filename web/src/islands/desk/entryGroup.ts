/** A group that something new may go into. */
export interface EntryGroup {
  readonly id: string;
  readonly name: string;
  /** What most of its channels are, for choosing a group. */
  readonly kind: 'repeater' | 'direct' | 'listen' | 'empty';
}
