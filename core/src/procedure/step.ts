import type { RecipeMark } from '../model/index';
import type { Run } from './runs';

/** What a step is for: to come to where the steps begin, to return all to the factory state, to empty, to make places work, to name them, to set what is for the whole set, to end. */
export type StepPart = 'start' | 'reset' | 'erase' | 'work' | 'settings' | 'names' | 'end';

/** One numbered step of a sheet. */
export interface SheetStep {
  /** The same for the same task on every sheet of a kind: the place, the field or part, and which step of it. */
  readonly id: string;
  readonly part: StepPart;
  /** The slot it is about; `null` where it is about the whole set. */
  readonly slotNumber: number | null;
  /** The field or setting it is about; empty where it is about none. */
  readonly field: string;
  /** The step of the recipes that it comes from, as a path in the description. */
  readonly recipe: string;
  readonly says: string;
  /** What its words were filled with: of the place, the field, the value. */
  readonly of: Readonly<Partial<Record<RecipeMark, string>>>;
  readonly runs: readonly Run[];
  /** What the manual promises on the display afterwards, and what it says is gone from it. */
  readonly promises: string | undefined;
  readonly hides: string | undefined;
}
