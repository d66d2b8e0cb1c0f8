import { compared, type HeardOtherwise, notBrokenFinding, otherwiseFinding } from '@umbrex/core/heard';
import { FindingItem } from '../../components/FindingItem';
import { DATUM_WORDS } from '../../messages/heard';
import { counted } from '../../messages/labels';
import type { LogState } from './useLogDesk';

/** Where log and computed answer differ, with what settles it; and the sets that need not be broken. */
export function Differs({ log }: { log: LogState }) {
  const { otherwise, broken, nameOf, view } = log;
  const count = compared(log.pairs, log.channel);
  if (log.pairs.length === 0) return null;
  if (otherwise.length === 0 && broken.length === 0)
    return (
      <p className="muted">
        {count === 0
          ? 'Nothing can be held against the other yet: the calls are older than a load, or nobody knows what the sets hold.'
          : `Of ${counted(log.pairs.length, 'pair')} ${count} can be compared: what was heard and what the sets are known to hold agree.`}
      </p>
    );
  const base = `/plans/${view.planId}`;
  return (
    <div className="space-y-3">
      {broken.map((one) => {
        const finding = notBrokenFinding(one, nameOf);
        return (
          finding && (
            <div key={`${one.unitId} ${one.side}`}>
              <ul>
                <FindingItem finding={finding} />
              </ul>
              <p className="mt-1 flex flex-wrap gap-2">
                <a className="btn btn-outline btn-xs" href={`${base}/sheets/${one.unitId}`}>
                  Its sheet<span className="sr-only"> of {nameOf(one.unitId)}</span>
                </a>
                <a className="btn btn-outline btn-xs" href={`${base}/devices/${one.unitId}`}>
                  What it holds<span className="sr-only"> by {nameOf(one.unitId)}</span>
                </a>
              </p>
            </div>
          )
        );
      })}
      {otherwise.map((one) => {
        const { pair } = one;
        const { fromId, toId, way } = pair;
        return (
          <div key={`${fromId} ${toId} ${way}`}>
            <ul>
              <FindingItem finding={otherwiseFinding(one, nameOf)} />
            </ul>
            <p className="mt-1 flex flex-wrap gap-2">
              <a className="btn btn-outline btn-xs" href={settledAt(one, base, view.air.channel.id)}>
                {DATUM_WORDS[one.likely]}
                <span className="sr-only">{` of ${nameOf(fromId)} to ${nameOf(toId)}`}</span>
              </a>
              {pair.hears === false && (
                <>
                  <button
                    type="button"
                    className="btn btn-outline btn-xs"
                    onClick={() =>
                      void log.settle(
                        pair.calls.map(({ call }) => call),
                        'reach',
                      )
                    }
                  >
                    The signal does not get there
                    <span className="sr-only">{` from ${nameOf(fromId)} to ${nameOf(toId)}`}</span>
                  </button>
                  <button
                    type="button"
                    className="btn btn-outline btn-xs"
                    onClick={() =>
                      void log.settle(
                        pair.calls.map(({ call }) => call),
                        'nobody-there',
                      )
                    }
                  >
                    Nobody was at the set<span className="sr-only">{` ${nameOf(toId)}`}</span>
                  </button>
                </>
              )}
            </p>
          </div>
        );
      })}
    </div>
  );
}

/** Where the datum stands that is most likely not so. */
function settledAt(
  { likely, pair: { fromId, toId } }: HeardOtherwise,
  base: string,
  channelId: string,
): string {
  switch (likely) {
    case 'from-set':
      return `${base}/devices/${fromId}`;
    case 'to-set':
      return `${base}/devices/${toId}`;
    case 'condition':
      return `${base}/devices/${fromId}`;
    case 'station':
      return `${base}/stations`;
    case 'right':
      return `${base}/people`;
    default:
      return `${base}/air/trouble?${new URLSearchParams({ symptom: 'i-hear-they-dont', unit: fromId, channel: channelId, with: toId })}`;
  }
}
