import { type Description, DescriptionSchema } from '@umbrex/core/model';
import type { DrawnKeys, Run, Sheet, SheetStep } from '@umbrex/core/procedure';

/*
 * A set that exists only here, small enough to know by heart: two banks of three places, in each a code, a power and a name of three
 * letters; and a bell. What a sheet for it says, how it shows, how long it takes can be written down without running anything.
 */

const press = (key: string, says: string, more: object = {}) => ({ do: 'press', key, says, ...more });
const turn = (what: string, says: string, shows: string, more: object = {}) => ({
  do: 'turn',
  what,
  up: 'up',
  down: 'down',
  says,
  shows,
  ...more,
});
const keep = press('ok', 'Press OK to keep it', { shows: '{item} {title}' });

const fixed = (receiveHz: number) => ({ receiveHz, transmitHz: receiveHz, bandwidth: 'narrow' });

const LITTLE = {
  format: 'umbrex/description@1',
  id: 'little',
  title: 'Little set',
  pattern: 'Test set',
  kind: 'frs',
  station: 'hand-held',
  certifiedFor: ['frs'],
  firmware: ['A'],
  receive: { bands: [{ fromHz: 462_550_000, toHz: 467_712_500 }], stepHz: 12_500 },
  transmit: { bands: [{ fromHz: 462_550_000, toHz: 467_712_500 }] },
  names: { length: 3, characters: 'ABCDE ' },
  operatorTone: 'none',
  identity: 'none',
  scan: 'none',
  lists: {
    codes: [
      { kind: 'items', items: [{ shown: 'OFF', means: 'off' }] },
      { kind: 'ctcss', tenthsHz: [670, 719, 770, 825], shown: '{hz}' },
    ],
    powers: [
      {
        kind: 'items',
        items: [
          { shown: 'LOW', means: 0.5 },
          { shown: 'HIGH', means: 2 },
        ],
      },
    ],
    bells: [{ kind: 'numbers', from: 0, to: 3, shown: '{n}' }],
  },
  fields: [
    { id: 'code', title: 'Code', holds: 'bothTones', list: 'codes', factory: 0 },
    { id: 'power', title: 'Power', holds: 'powerW', list: 'powers', factory: 1 },
    { id: 'name', title: 'Name', holds: 'name', factory: '' },
  ],
  settings: [{ id: 'bell', title: 'Call bell', list: 'bells', factory: 1 }],
  regions: [
    {
      id: 'channels',
      title: 'Channels',
      first: 1,
      count: 6,
      size: 3,
      stride: 3,
      banks: ['A', 'B'],
      label: '{bank}{position}',
      content: { kind: 'fixed', channels: [462_562_500, 462_587_500, 462_612_500].map(fixed) },
      ways: [{ by: ['keys'], fields: ['code', 'power', 'name'] }],
    },
  ],
  keys: { up: '▲', down: '▼', bank: 'BANK', menu: 'MENU', ok: 'OK', bell: 'BELL', talk: 'TALK' },
  behaviour: {
    keys: { up: {}, down: {}, bank: {}, menu: {}, ok: {}, bell: {}, talk: {} },
    letterWheel: ' ABCDE',
    start: 'standby',
    startNumber: 1,
    items: [
      { number: '1', title: 'CODE', editor: 'wheel', target: { reach: 'channel', field: 'code' } },
      { number: '2', title: 'POWER', editor: 'wheel', target: { reach: 'channel', field: 'power' } },
      { number: '3', title: 'NAME', editor: 'letters', target: { reach: 'channel', field: 'name' } },
      { number: '9', title: 'BELL', editor: 'wheel', apart: true, target: { reach: 'set', setting: 'bell' } },
    ],
    modes: {
      standby: {
        screen: ['{label}', '{code} {power}'],
        on: [
          { keys: ['up'], do: [{ act: 'pickSlot', to: 'nextInBank' }] },
          { keys: ['down'], do: [{ act: 'pickSlot', to: 'previousInBank' }] },
          { keys: ['bank'], do: [{ act: 'pickSlot', to: 'nextBank' }] },
          { keys: ['menu'], do: [{ act: 'pickItem', to: 'first' }], go: 'menu' },
          { keys: ['bell'], do: [{ act: 'openItem', item: '9' }, { act: 'readDraft' }], go: 'bell' },
          { keys: ['talk'], do: [{ act: 'transmit' }] },
        ],
      },
      menu: {
        screen: ['{item} {title}'],
        timeout: { ms: 10_000, go: 'standby' },
        on: [
          { keys: ['up'], do: [{ act: 'pickItem', to: 'next' }] },
          { keys: ['down'], do: [{ act: 'pickItem', to: 'previous' }] },
          {
            keys: ['ok'],
            when: [{ is: 'itemEditor', of: 'letters' }],
            do: [{ act: 'readDraft' }, { act: 'firstLetter' }],
            go: 'letters',
          },
          { keys: ['ok'], do: [{ act: 'readDraft' }], go: 'edit' },
          { keys: ['menu'], go: 'standby' },
        ],
      },
      edit: {
        screen: ['SET {title}', '>{draft}<'],
        timeout: { ms: 6000, go: 'standby' },
        on: [
          { keys: ['up'], do: [{ act: 'stepDraft', by: 1 }] },
          { keys: ['down'], do: [{ act: 'stepDraft', by: -1 }] },
          { keys: ['ok'], do: [{ act: 'storeDraft' }], go: 'menu' },
        ],
      },
      letters: {
        screen: ['SET {title} {cursor}', '>{draft}<'],
        on: [
          { keys: ['up'], do: [{ act: 'stepLetter', by: 1 }] },
          { keys: ['down'], do: [{ act: 'stepLetter', by: -1 }] },
          { keys: ['ok'], when: [{ is: 'lastLetter' }], do: [{ act: 'storeDraft' }], go: 'menu' },
          { keys: ['ok'], do: [{ act: 'nextLetter' }] },
        ],
      },
      bell: {
        screen: ['BELL {draft}'],
        on: [
          { keys: ['up'], do: [{ act: 'stepDraft', by: 1 }, { act: 'storeDraft' }] },
          { keys: ['bell'], go: 'standby' },
        ],
      },
    },
  },
  recipes: {
    before: ['Stand on A1.'],
    hazards: [],
    items: {
      code: { number: '1', title: 'CODE', place: 0 },
      power: { number: '2', title: 'POWER', place: 1 },
      name: { number: '3', title: 'NAME', place: 2 },
    },
    opensAt: 'code',
    itemCount: 3,
    startNumber: 1,
    bankStep: [turn('bank', 'Press BANK until bank {bank}', '{firstLabel}', { up: 'bank', down: undefined })],
    slotStep: [turn('position', 'Turn to {label}', '{label}')],
    open: [press('menu', 'Press MENU', { shows: '1 CODE' })],
    item: [
      turn('item', 'Turn to item {item}', '{item} {title}'),
      press('ok', 'Press OK to change it', { shows: 'SET {title}' }),
    ],
    set: {
      code: [turn('value', 'Turn to {value}', '>{value}<'), keep],
      power: [turn('value', 'Turn to {value}', '>{value}<'), keep],
      name: [
        {
          do: 'wheelName',
          up: 'up',
          down: 'down',
          next: 'ok',
          says: 'Letter {letter}: turn to {value}, press OK',
          shows: 'SET {title} {nextLetter}',
          last: { shows: '{item} {title}' },
        },
      ],
    },
    settings: {
      bell: [
        press('bell', 'Press BELL', { shows: 'BELL {now}' }),
        turn('value', 'Turn to {value}', 'BELL {value}', { down: undefined }),
        press('bell', 'Press BELL to leave', { hides: 'BELL' }),
      ],
    },
    close: [press('menu', 'Press MENU to leave', { hides: '{title}' })],
    order: ['code', 'power', 'name'],
    letterWheel: ' ABCDE',
    readBack: [],
  },
  marks: [],
};

/** The little set, with whatever is changed in it before it is read. */
export function little(change: (raw: LittleRaw) => void = () => undefined): Description {
  const raw = structuredClone(LITTLE) as unknown as LittleRaw;
  change(raw);
  return DescriptionSchema.parse(raw);
}

/** Its document before anything read it: what a test changes may be wrong. */
// biome-ignore lint/suspicious/noExplicitAny: a document from outside
export type LittleRaw = any;

/** Keys as one would jot them down: legend and how often, how long held, with which other keys, or until what. */
export function keysText(drawn: readonly DrawnKeys[]): string {
  return drawn
    .map((one) => {
      if (one.kind === 'pause') return `wait ${one.ms}`;
      if (one.kind === 'power') return 'off and on';
      const held = one.heldMs === undefined ? '' : ` held ${one.heldMs}`;
      if (one.kind === 'until')
        return `${one.legend}${held} until ${one.shows.join('…')} (${one.mean}, ${one.most})`;
      const together = one.with ? `${one.with.join('+')}+` : '';
      const when = one.when ? ` if ${one.when}` : '';
      return `${together}${one.legend}${one.times > 1 ? ` ${one.times}×` : ''}${held}${when}`;
    })
    .join(', ');
}

/** A sheet as one would jot it down: a line a step, with its id, its words, its keys, and what the display then shows or shows no more. */
export function jotted(
  { steps }: Pick<Sheet, 'steps'>,
  draw: (runs: readonly Run[]) => DrawnKeys[],
): string[] {
  return steps.map(({ id, says, runs, promises, hides }: SheetStep) =>
    [id, says, keysText(draw(runs)), promises, ...(hides === undefined ? [] : [`not ${hides}`])]
      .filter((part) => part !== undefined)
      .join(' | '),
  );
}
