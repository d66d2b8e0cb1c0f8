import { Age, SetLine } from './parts';
import type { Hand } from './useHand';

/** The sets of one's own. */
export function Sets({ hand }: { hand: Hand }) {
  const { sets } = hand.card;
  return (
    <>
      <h1 className="text-2xl font-bold">My sets</h1>
      <Age hand={hand} />
      {sets.length === 0 ? (
        <p className="mt-3">
          The list says that you hold none. If you do, ask your coordinator for a link to tell of it.
        </p>
      ) : (
        <ul className="mt-3 space-y-2">
          {sets.map((set) => (
            <SetLine key={set.id} set={set} />
          ))}
        </ul>
      )}
    </>
  );
}
