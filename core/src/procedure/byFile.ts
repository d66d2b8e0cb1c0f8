import type { Finding } from '../findings/index';
import { diff, type Wanted } from '../memory/index';
import { type Description, fieldsBy, isLoadedByProgram, type Memory } from '../model/index';
import { tryFile } from './proof';

/** A kind of set as a program sees it that loads it by cable: what can be set is what its file carries. */
export function asLoadedByCable(description: Description): Description {
  const { before = [], hazards = [], readBack = [] } = description.loading ?? {};
  return { ...description, loading: { before, hazards, readBack, by: 'cable' } };
}

/** What a data file does for a set that has keys as well: whether it comes to the very same, and what it cannot carry. */
export interface FileOffer {
  readonly proven: boolean;
  readonly firstDifference: Finding | null;
  /** The titles of fields that must change and that only keys can change. */
  readonly byKeys: readonly string[];
}

/**
 * The same change that its steps make, sent as a file: tried on virtual sets on a cable, from what is known of this one. `undefined` for
 * kinds that take no file, and for those that take nothing else.
 */
export function offerFile(description: Description, now: Memory, wanted: Wanted): FileOffer | undefined {
  const takesFile = description.regions.some((region) => fieldsBy(region, 'file').length > 0);
  if (!takesFile || isLoadedByProgram(description)) return undefined;
  const byCable = asLoadedByCable(description);
  const missing = new Set(
    diff(byCable, now, wanted).places.flatMap(({ slot, fields }) =>
      fields.filter((field) => !slot.settable.includes(field)),
    ),
  );
  const byKeys = description.fields.flatMap(({ id, title }) => (missing.has(id) ? [title] : []));
  if (byKeys.length > 0) return { proven: false, firstDifference: null, byKeys };
  const { difference } = tryFile(byCable, now, wanted);
  return { proven: difference === null, firstDifference: difference, byKeys };
}
