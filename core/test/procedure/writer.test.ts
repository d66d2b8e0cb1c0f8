import { prepare } from '@umbrex/core/flow';
import { type Native, writtenLists } from '@umbrex/core/model';
import { writeSheet } from '@umbrex/core/procedure';
import { describe, expect, it } from 'vitest';
import { KEYED } from '../support/devices';
import { OSTREL } from '../support/plans';

// A memory may hold what no key of its set gives: from another description, from a file, from an older list. The sheet says which field
// it is, and is no sheet then; it never throws, and never turns to some other place of the list.

describe('what no key gives is said, field by field', () => {
  for (const description of KEYED)
    it(description.id, () => {
      const { changes } = prepare(OSTREL, description);
      const lists = writtenLists(description);
      const clean = writeSheet(description, changes);
      const wrong: string[] = [];
      let tried = 0;
      for (const { id, list, holds, title } of description.fields) {
        const at = changes.places.findIndex(({ fields }) => fields.includes(id));
        const place = changes.places[at];
        if (!place?.to) continue;
        const none: readonly Native[] =
          list !== undefined
            ? [lists[list]?.length ?? 0, 4711, -1]
            : holds === 'name'
              ? ['§§', 'A§']
              : holds === 'areaCode'
                ? ['A1']
                : [1, -5];
        for (const value of none) {
          tried++;
          const places = changes.places.with(at, { ...place, to: { ...place.to, [id]: value } });
          const { findings } = writeSheet(description, { ...changes, places });
          const isSaid = findings.length > clean.findings.length;
          if (!isSaid) wrong.push(`${id} (${title}, ${holds}) ${value}`);
        }
      }
      expect(tried).toBeGreaterThan(0);
      expect(wrong).toEqual([]);
    });
});
