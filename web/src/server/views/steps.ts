import type { Prepared } from '@umbrex/core/flow';
import type { Description } from '@umbrex/core/model';
import {
  type SheetBlock,
  type ShortForm,
  sheetBlocks,
  shortForm,
  type WayBack,
  wayBack,
} from '@umbrex/core/procedure';
import type { Readiness } from '@umbrex/core/readiness';
import { type Halt, haltsOf, haltText, type Resumed, resumed } from '@umbrex/core/resumed';

/** The steps of a sheet as they are shown: all of them or what is left of them, at length and in short, and the way back. */
export interface StepsShown {
  /** What is left, where somebody stopped on the way; `null` for the whole sheet. */
  readonly rest: Resumed | null;
  /** A place to go on from was asked for that this sheet does not have. */
  readonly isElsewhere: boolean;
  readonly blocks: readonly SheetBlock[];
  /** `null` where there is nothing that is done at several places. */
  readonly short: ShortForm | null;
  readonly begins: readonly string[];
  readonly way: WayBack | null;
  /** Where somebody may have stopped, each as it stands in an address. */
  readonly halts: readonly (Halt & { readonly at: string })[];
}

/** The parts of a sheet that one begins again with, whole. */
const BEGINS: ReadonlySet<Halt['part']> = new Set(['start', 'reset', 'end']);

/** @param at where somebody stopped, as it stands in an address; nothing for the whole sheet */
export function stepsShown(
  data: Prepared & { readonly description: Description; readonly readiness: Readiness },
  at: string | null,
): StepsShown {
  const { description, readiness } = data;
  const rest = at ? resumed(description, data, at) : null;
  const { sheet, proof } = rest ?? data;
  const short = description.recipes && shortForm(sheet, proof, description.recipes, description.keys);
  return {
    rest,
    isElsewhere: Boolean(at) && rest === null,
    blocks: sheetBlocks(sheet, proof, readiness.lines),
    short: short?.parts.some(({ kind }) => kind === 'routine') ? short : null,
    begins: proof.begins,
    way: sheet.steps.length > 0 ? wayBack(description) : null,
    halts: haltsOf(data.sheet)
      .filter(({ part }) => !BEGINS.has(part))
      .map((halt) => ({ ...halt, at: haltText(halt) })),
  };
}
