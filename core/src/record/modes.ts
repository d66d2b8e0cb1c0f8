import type { Action, Behaviour } from '../model/index';
import type { Piece } from './pieces';

type Mode = Behaviour['modes'][string];
type Row = Mode['on'][number];
type Press = Extract<Piece, { kind: 'press' }>;
type SlotMove = 'next' | 'previous' | 'nextInBank' | 'previousInBank';

/** What a key stands between: the part before it, the part after it, and the item that the task sets. */
interface Between {
  readonly before: Piece | undefined;
  readonly after: Piece | undefined;
  readonly item: string;
}

/** The modes of a set as they follow from what was pressed in it; each task goes from rest to rest, and what two have in common is laid once. */
export class Modes {
  /** The digits of a frequency, once one was typed. */
  frequencyEntry: Behaviour['frequencyEntry'];
  private readonly modes: Record<string, Mode> = { rest: { screen: ['{label}'], on: [] } };

  /**
   * @param key the id of a key by its legend
   * @param otherWay the legend of the key that turns a wheel the other way
   */
  constructor(
    private readonly key: (legend: string) => string,
    private readonly otherWay: (legend: string) => string | undefined,
  ) {}

  /** What is shown at rest. */
  atRest(screen: string): void {
    this.modes.rest = { ...this.mode('rest'), screen: [screen] };
  }

  /** What is shown besides in a mode while a value is given. */
  tell(at: string, told: string): void {
    const { screen } = this.mode(at);
    if (at !== 'rest' && !screen.includes(told))
      this.modes[at] = { ...this.mode(at), screen: [...screen.filter(Boolean), told].slice(0, 4) };
  }

  /** All modes; with a time after which the set is at rest again by itself, where somebody counted it. */
  all(waitsS: number | undefined): Record<string, Mode> {
    if (waitsS === undefined) return this.modes;
    const timeout: Mode['timeout'] = { ms: waitsS * 1000, go: 'rest', do: [{ act: 'clearEntry' }] };
    return Object.fromEntries(
      Object.entries(this.modes).map(([name, mode]) => [name, name === 'rest' ? mode : { ...mode, timeout }]),
    );
  }

  /** Lays a key that is pressed as it is, and returns the mode that it leads to. */
  press(at: string, piece: Press, { before, after, item }: Between, onto: () => string): string {
    const opens = after && after.kind !== 'press' ? opening(after, item) : [];
    const [when, stores] = before && before.kind !== 'press' ? keeping(before) : [undefined, []];
    const actions = [...stores, ...opens];
    const row: Row = {
      keys: [this.key(piece.legend)],
      ...(piece.heldMs !== undefined && { heldMs: piece.heldMs }),
      ...(when && { when }),
      ...(actions.length > 0 && { do: actions }),
    };
    return this.follow(at, row, onto);
  }

  /** Lays what takes a value: digits, a wheel or letters; `atOnce` where no key follows that takes it. */
  value(at: string, piece: Piece, item: string, atOnce: boolean, onto: () => string): string {
    const add = (mode: string, rows: Row[]) => {
      const { on, ...rest } = this.mode(mode);
      this.modes[mode] = { ...rest, on: [...on, ...rows] };
    };
    switch (piece.kind) {
      case 'press':
        return at;
      case 'wheel': {
        const opens: Action[] = at === 'rest' ? opening(piece, item) : [];
        const stores: Action[] = atOnce ? [{ act: 'storeDraft' }] : [];
        const row = (legend: string, by: number): Row => ({
          keys: [this.key(legend)],
          do: [...opens, { act: 'stepDraft', by }, ...stores],
        });
        const other = this.otherWay(piece.legend);
        add(at, [row(piece.legend, 1), ...(other === undefined ? [] : [row(other, -1)])]);
        return at;
      }
      case 'slotWheel': {
        const row = (legend: string, to: SlotMove): Row => ({
          keys: [this.key(legend)],
          do: [{ act: 'pickSlot', to }],
        });
        const other = this.otherWay(piece.legend);
        const [on, back] = piece.crosses
          ? (['next', 'previous'] as const)
          : (['nextInBank', 'previousInBank'] as const);
        add(at, [row(piece.legend, on), ...(other === undefined ? [] : [row(other, back)])]);
        return at;
      }
      case 'nameWheel': {
        const row = (legend: string, by: number): Row => ({
          keys: [this.key(legend)],
          do: [{ act: 'stepLetter', by }],
        });
        const other = this.otherWay(piece.legend);
        const next: Row = { keys: [this.key(piece.next)], do: [{ act: 'nextLetter' }] };
        const turns = [row(piece.legend, 1), ...(other === undefined ? [] : [row(other, -1)])];
        if (!atOnce) {
          add(at, [...turns, next]);
          return at;
        }
        const go = onto();
        const last: Row = { ...next, when: [{ is: 'lastLetter' }], do: [{ act: 'storeDraft' }], go };
        add(at, [...turns, last, next]);
        return go;
      }
      case 'name':
        add(at, [{ keys: 'letters', do: [{ act: 'tapLetter', withinMs: 1200 }] }]);
        return at;
      case 'number':
      case 'frequency':
      case 'code': {
        const width = piece.kind === 'frequency' ? piece.digits : piece.width;
        if (piece.kind === 'frequency') {
          const { kind: _, ...entry } = piece;
          this.frequencyEntry = entry;
        }
        const typing: Row = { keys: 'chars', do: [{ act: 'typeChar', most: width }] };
        // A code is taken as a value once its last figure stands there; a key that follows keeps it.
        const [when, stores] =
          piece.kind === 'code' && !atOnce
            ? [
                [{ is: 'entryIsValue' as const }],
                [{ act: 'draftFromEntry' as const }, { act: 'clearEntry' as const }],
              ]
            : storing(piece);
        const whole: Row = {
          keys: 'chars',
          when: [{ is: 'entryLength', of: width }, ...when],
          do: [{ act: 'typeChar', most: width }, ...stores],
        };
        let mode = at;
        if (at === 'rest') {
          // The first digit leaves rest.
          mode = this.fresh(['{entry}']);
          add('rest', [
            { keys: 'chars', do: [{ act: 'clearEntry' }, { act: 'typeChar', most: width }], go: mode },
          ]);
        }
        const refused: Row = {
          keys: 'chars',
          when: [{ is: 'entryLength', of: width }],
          do: [{ act: 'beep', tone: 'refused' }, { act: 'clearEntry' }],
        };
        if (!atOnce) {
          add(mode, piece.kind === 'code' ? [whole, refused, typing] : [typing]);
          return mode;
        }
        const go = onto();
        add(mode, [{ ...whole, go }, refused, typing]);
        return go;
      }
      default:
        return piece satisfies never;
    }
  }

  /** Goes on with a key where it was pressed there before in the same way, else lays a new row. */
  private follow(at: string, row: Row, onto: () => string): string {
    const same = ({ go: _, ...there }: Row) => JSON.stringify(there) === JSON.stringify(row);
    const found = this.mode(at).on.find(same)?.go;
    if (found) return found;
    const go = onto();
    const { on, ...rest } = this.mode(at);
    const whole = { ...row, go };
    // Longer presses stand above shorter ones.
    this.modes[at] = { ...rest, on: row.heldMs === undefined ? [...on, whole] : [whole, ...on] };
    return go;
  }

  fresh(screen: string[]): string {
    const name = `m${Object.keys(this.modes).length}`;
    this.modes[name] = { screen, on: [] };
    return name;
  }

  private mode(name: string): Mode {
    const mode = this.modes[name];
    if (!mode) throw new RangeError(`mode: ${name}`);
    return mode;
  }
}

/** What happens when a value is about to be given: its item is opened as it stands. */
function opening(piece: Piece, item: string): Action[] {
  if (piece.kind === 'number' || piece.kind === 'slotWheel') return [{ act: 'clearEntry' }];
  return [
    { act: 'openItem', item },
    { act: 'clearEntry' },
    { act: piece.kind === 'name' ? 'blankDraft' : 'readDraft' },
    ...(piece.kind === 'nameWheel' ? [{ act: 'firstLetter' as const }] : []),
  ];
}

/** The same for a key that follows: a code is a value by then. */
function keeping(piece: Piece): [NonNullable<Row['when']> | undefined, Action[]] {
  if (piece.kind === 'code') return [undefined, [{ act: 'storeDraft' }]];
  const [when, stores] = storing(piece);
  return [when.length > 0 ? when : undefined, stores];
}

/** What must be so for a given value to be taken, and how it is. */
function storing(piece: Piece): [NonNullable<Row['when']>, Action[]] {
  switch (piece.kind) {
    case 'number':
      return [[{ is: 'entryIsSlot' }], [{ act: 'pickSlot', to: 'entry' }, { act: 'clearEntry' }]];
    case 'frequency':
      return [
        [{ is: 'entryIsFrequency' }],
        [{ act: 'draftFromEntry' }, { act: 'storeDraft' }, { act: 'clearEntry' }],
      ];
    case 'code':
      return [
        [{ is: 'entryIsValue' }],
        [{ act: 'draftFromEntry' }, { act: 'storeDraft' }, { act: 'clearEntry' }],
      ];
    case 'wheel':
    case 'name':
    case 'nameWheel':
      return [[], [{ act: 'storeDraft' }]];
    case 'press':
    case 'slotWheel':
      return [[], []];
    default:
      return piece satisfies never;
  }
}
