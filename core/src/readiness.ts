import type { Cell } from './fit/index';
import type { Prepared } from './flow';
import { type Alerts, type Description, slotsOf } from './model/index';
import { readBackLines, type SlotLine } from './procedure/index';

/**
 * Why a sheet is not to be worked by: its steps do not prove, places of the holder's own would go that nobody let go of, or an alert radio
 * would be set up without the areas it has to sound for or the transmitter it has to hear.
 */
export type SheetStop = 'not-proven' | 'own-places' | 'no-areas' | 'no-transmitter';

/** Why a prepared sheet is not ready; nothing where it is. */
export function sheetStops(
  { kind }: Description,
  { sheet, proof, toAccept }: Pick<Prepared, 'sheet' | 'proof' | 'toAccept'>,
  alerts: Alerts | null,
): SheetStop[] {
  const stops: SheetStop[] = [];
  if (!proof.proven && sheet.way !== 'unknown') stops.push('not-proven');
  if (toAccept.length > 0) stops.push('own-places');
  if (kind === 'alert' && alerts === null) stops.push('no-areas');
  if (kind === 'alert' && alerts?.weatherHz === 'unknown') stops.push('no-transmitter');
  return stops;
}

/** A channel that is only listened to, whose place sends all the same when somebody talks. */
export interface SendsInstead {
  readonly cell: Cell;
  /** Where it would send, in hertz. */
  readonly transmitHz: number;
  /** Another channel of the same place, on which talking is right; `null` where there is none. */
  readonly talksAs: Cell | null;
}

/** What a sheet may claim and what it must warn of, worked out once for the page, the printed sheet and the card. */
export interface Readiness {
  /** A card of values for keys that nobody described claims no steps: it is ready as what it is. */
  readonly isReady: boolean;
  readonly stops: readonly SheetStop[];
  /** Whether the set has a transmitter; one of which nobody knows it may have one. */
  readonly canTalk: boolean;
  readonly lines: readonly SlotLine[];
  /** What stands there now and goes. */
  readonly overwritten: readonly SlotLine[];
  readonly sendsInstead: readonly SendsInstead[];
  /** Channels that it does not have at all, or of which nobody knows it. */
  readonly without: readonly Cell[];
  /** The places it writes to that hold nothing by what is known: free they are once the set itself shows the same. */
  readonly looksFree: readonly SlotLine[];
  /** Whether a tone that was picked by hand must be cleared first, since no step does it. */
  readonly clearPickedTone: boolean;
}

/** Judges a sheet that was prepared: whether it is ready, why not, and what has to be said on it. */
export function sheetReadiness(
  description: Description,
  prepared: Prepared,
  alerts: Alerts | null,
): Readiness {
  const { fit, sheet, now, ableToSend } = prepared;
  const stops = sheetStops(description, prepared, alerts);
  const lines = readBackLines(description, fit.image, sheet, now);
  return {
    isReady: stops.length === 0,
    stops,
    canTalk: description.transmit === 'unknown' || description.transmit.bands.length > 0,
    lines,
    overwritten: lines.filter(({ number }) => sheet.overwrites.includes(number)),
    sendsInstead: sendsInstead(fit.cells, new Set(ableToSend.map(({ number }) => number))),
    without: fit.cells.filter(({ verdict }) => verdict === 'no' || verdict === 'unknown'),
    looksFree: lines.filter(({ before }) => before === null),
    clearPickedTone: typeof description.operatorTone === 'object' && sheet.clears === 0,
  };
}

/**
 * The channels to listen to on whose places the talk key sends: on a frequency that others listen to. Where whoever holds the set has no right
 * to send at all the place is named as such.
 */
function sendsInstead(cells: readonly Cell[], withoutRight: ReadonlySet<number>): SendsInstead[] {
  const talks = new Map(
    cells.flatMap((cell) =>
      cell.slot && (cell.verdict === 'full' || cell.verdict === 'adapted') ? [[cell.slot.number, cell]] : [],
    ),
  );
  return cells.flatMap((cell) => {
    const out = cell.findings.find((finding) => finding.code === 'talk-goes-out-on-output');
    if (!out || (cell.slot && withoutRight.has(cell.slot.number))) return [];
    const talksAs = (cell.slot && talks.get(cell.slot.number)) ?? null;
    return [{ cell, transmitHz: out.transmitHz, talksAs }];
  });
}

/** By memory number, where the talk key of a place sends on which nobody should talk, in hertz. */
export function talkGoesOut({ sendsInstead: all }: Readiness): ReadonlyMap<number, number> {
  return new Map(
    all.flatMap(({ cell: { slot }, transmitHz, talksAs }) =>
      slot && talksAs === null ? [[slot.number, transmitHz] as const] : [],
    ),
  );
}

/** The places that a set shall hold, with their labels, as what it hears is tried against stations. */
export function placesShall(description: Description, { fit }: Prepared) {
  return slotsOf(description).flatMap(({ number, label }) => {
    const content = fit.image.slots.get(number)?.content;
    return content ? [{ number, label, content }] : [];
  });
}
