import type { Cell } from '@umbrex/core/fit';
import type { Channel } from '@umbrex/core/model';
import { mhzText } from '@umbrex/core/units';
import { memo } from 'react';
import { Shape } from '../../components/Shape';
import { VERDICT_TEXT } from '../../messages/verdicts';
import { type Column, cellId, type Place } from './useFitBoard';

interface Props {
  /** Its place among all rows of the board, counted from 1. */
  index: number;
  channel: Channel;
  columns: readonly Column[];
  /** The column in hand when this row is, else `null`. */
  inHand: string | null;
  columnInHand: string | null;
  /** The column whose cell can be reached by Tab when it is in this row. */
  tabStop: string | null;
  dense: boolean;
  choose: (place: Place) => void;
}

/** One channel across all devices. Drawn anew only when its own cells or the place in hand change. */
export const BoardRow = memo(
  function BoardRow({ index, channel, columns, inHand, columnInHand, tabStop, dense, choose }: Props) {
    return (
      <tr aria-rowindex={index} className={inHand !== null ? 'lit' : 'hover:bg-base-300/30'}>
        <th
          scope="row"
          className={`sticky left-0 z-10 truncate border-b border-base-300 pr-3 ${inHand !== null ? 'lit' : 'bg-base-200'} text-left font-semibold ${dense ? 'text-tiny leading-none' : ''}`}
        >
          {channel.name}
          {!dense && (
            <span className="muted ml-2 font-mono text-tiny font-normal max-sm:hidden">
              {mhzText(channel.receiveHz)}
            </span>
          )}
        </th>
        {columns.map((column) => {
          const cell = column.cells.get(channel.id);
          const place = { channelId: channel.id, column: column.key };
          const chosen = inHand === column.key;
          return (
            <td
              key={column.key}
              className={`border-b border-base-300 p-0 text-center ${columnInHand === column.key ? 'lit' : ''}`}
            >
              {cell && (
                <button
                  type="button"
                  id={cellId(place)}
                  tabIndex={tabStop === column.key ? 0 : -1}
                  aria-pressed={chosen}
                  aria-label={`${channel.name} on ${column.title}: ${VERDICT_TEXT[cell.verdict].word}${slotWords(cell)}`}
                  className={`w-full cursor-pointer ${dense ? 'h-[17px] leading-none' : 'h-[41px]'} ${chosen ? 'bg-base-100 outline-2 outline-primary -outline-offset-2' : ''}`}
                  onClick={() => choose(place)}
                >
                  <span className="flex flex-col items-center leading-none">
                    <Shape verdict={cell.verdict} size={dense ? 11 : 16} />
                    {!dense && (
                      <span className="muted mt-1 h-3 font-mono text-[0.76rem]">{slotText(cell)}</span>
                    )}
                  </span>
                </button>
              )}
            </td>
          );
        })}
      </tr>
    );
  },
  (a, b) =>
    a.index === b.index &&
    a.channel === b.channel &&
    a.inHand === b.inHand &&
    a.columnInHand === b.columnInHand &&
    a.tabStop === b.tabStop &&
    a.dense === b.dense &&
    sameCells(a, b),
);

/** Whether two drawings of a row would show the same: same columns, and for each the same verdict and slot. */
function sameCells(a: Props, b: Props): boolean {
  if (a.columns === b.columns) return true;
  if (a.columns.length !== b.columns.length) return false;
  return a.columns.every((column, i) => {
    const other = b.columns[i];
    const cell = column.cells.get(a.channel.id);
    const next = other?.cells.get(b.channel.id);
    return (
      column.key === other?.key &&
      cell?.verdict === next?.verdict &&
      cell?.slot?.number === next?.slot?.number
    );
  });
}

export const slotText = (cell: Cell): string => cell.slot?.label ?? '';

function slotWords(cell: Cell): string {
  if (!cell.slot) return '';
  return cell.slot.label === String(cell.slot.number)
    ? `, number ${cell.slot.number}`
    : `, ${cell.slot.label}, number ${cell.slot.number}`;
}
