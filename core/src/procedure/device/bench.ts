import type { KeyEvent } from '../events';
import type { VirtualDevice } from './device';

/** Several virtual devices on one clock: what takes time at one of them takes as long for the others. */
export class Bench<Name extends string> {
  /** How long everything took so far, in milliseconds. */
  ms = 0;
  private readonly copied = new Map<VirtualDevice, number>();

  constructor(readonly sets: Readonly<Record<Name, VirtualDevice>>) {}

  /** Lets one event happen to one of them; what a set offers to others of its kind arrives at those that wait for it. */
  take(name: Name, event: KeyEvent): void {
    const set = this.sets[name];
    const before = set.nowMs();
    set.take(event);
    const ms = set.nowMs() - before;
    this.ms += ms;
    const others = Object.values<VirtualDevice>(this.sets).filter((other) => other !== set);
    for (const other of others) other.take({ kind: 'wait', ms });
    const copies = set.copies();
    for (const copy of copies.slice(this.copied.get(set) ?? 0))
      for (const other of others) other.takeCopy(copy);
    this.copied.set(set, copies.length);
  }
}
