import type { Behaviour } from '../../model/index';
import { type ScreenLine, screenLine } from '../screen';

type Mode = Behaviour['modes'][string];
/** What a key does in a mode, under conditions. */
export type Row = Mode['on'][number];

/** One mode of a behaviour, taken apart. */
interface ModeApart {
  readonly lines: readonly ScreenLine[];
  /** The rows that name a key, in their order. */
  readonly rows: ReadonlyMap<string, readonly Row[]>;
}

const known = new WeakMap<Behaviour, ReadonlyMap<string, ModeApart>>();

/** The modes of a behaviour taken apart, once for all devices of it: descriptions are never changed in place. */
export function modesApart(behaviour: Behaviour): ReadonlyMap<string, ModeApart> {
  const there = known.get(behaviour);
  if (there) return there;
  const modes = Object.entries(behaviour.modes).map(([name, { screen, on }]): [string, ModeApart] => {
    const rows = Object.entries(behaviour.keys).map(([id, { char, letters }]): [string, Row[]] => {
      const named = on.filter(({ keys }) => {
        if (keys === 'chars') return char !== undefined;
        if (keys === 'letters') return letters !== undefined;
        return keys.includes(id);
      });
      return [id, named];
    });
    return [name, { lines: screen.map(screenLine), rows: new Map(rows) }];
  });
  const made = new Map(modes);
  known.set(behaviour, made);
  return made;
}
