import { SERVICES } from '../facts/index';
import { type Description, type Field, type Region, TONE_HOLDS, waysWith } from '../model/index';

/** What an answer can be: one of a few, by key. Not knowing is always allowed, and is no answer. */
export type Answers = Readonly<Partial<Record<QuestionId, string>>>;
/** By what a question of the interview is known. */
export type QuestionId = 'certified' | 'inputs' | 'hears' | 'tones' | 'power' | 'letters';

/** A question about one's own set: which answers there are, and what each makes of a description. */
export interface Question {
  readonly id: QuestionId;
  /** Whether it says anything about a set that behaves like this pattern. */
  readonly asksOf: (pattern: Description) => boolean;
  readonly answers: readonly string[];
  /** The description with an answer, or with `undefined` where nobody knows. */
  readonly apply: (description: Description, answer: string | undefined) => Description;
}

/** The inputs of GMRS repeaters, from the first pair of the table to the last. */
const PAIR_INPUTS_HZ = SERVICES.gmrs.channels.flatMap(({ pair, transmitHz }) =>
  pair && transmitHz !== null ? [transmitHz] : [],
);
const INPUTS = { fromHz: Math.min(...PAIR_INPUTS_HZ), toHz: Math.max(...PAIR_INPUTS_HZ) };
const ALL_TONES: readonly Field['holds'][] = Object.values(TONE_HOLDS).flat();
const OFF = { kind: 'items' as const, items: [{ shown: 'off', means: 'off' }] };
const CTCSS = { kind: 'ctcss' as const, tenthsHz: 'common-50' as const, shown: '{hz}' };
const DCS = [
  { kind: 'dcs' as const, codes: 'common-104' as const, polarity: 'N' as const, shown: 'D{code}N' },
  { kind: 'dcs' as const, codes: 'common-104' as const, polarity: 'I' as const, shown: 'D{code}I' },
];
const CAPITALS = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ0123456789- ';

/** Every question there is, about what changes a verdict; all of them are asked in plain words elsewhere. The answers offered are common practice. */
export const QUESTIONS: readonly Question[] = [
  {
    id: 'certified',
    asksOf: ({ transmit }) => transmit !== 'unknown' && transmit.bands.length > 0,
    answers: ['gmrs', 'frs', 'business', 'amateur', 'none'],
    apply: (description, answer) => ({
      ...description,
      certifiedFor:
        answer === undefined
          ? 'unknown'
          : answer === 'amateur'
            ? ['amateur-2m', 'amateur-70cm']
            : answer === 'none'
              ? []
              : [answer as 'gmrs' | 'frs' | 'business'],
    }),
  },
  {
    id: 'inputs',
    asksOf: ({ transmit }) =>
      transmit !== 'unknown' &&
      transmit.bands.some(({ fromHz, toHz }) => fromHz <= INPUTS.toHz && toHz >= INPUTS.fromHz),
    answers: ['yes', 'no'],
    apply: (description, answer) =>
      answer === 'yes'
        ? description
        : answer === 'no'
          ? withoutInputs(description)
          : { ...description, transmit: 'unknown' },
  },
  {
    id: 'hears',
    asksOf: ({ regions }) => regions.some(({ content }) => content.kind === 'free'),
    answers: ['own', 'vhf', 'air'],
    apply: (description, answer) => ({ ...description, receive: heard(description, answer) }),
  },
  {
    id: 'tones',
    asksOf: ({ transmit }) => transmit !== 'unknown' && transmit.bands.length > 0,
    answers: ['both-kinds', 'ctcss', 'one-code', 'none'],
    apply: withTones,
  },
  {
    id: 'power',
    asksOf: ({ fields }) => fields.some(({ holds }) => holds === 'powerW'),
    answers: ['0.5', '1', '2', '5'],
    apply: withPower,
  },
  {
    id: 'letters',
    asksOf: ({ regions }) => regions.some(({ content }) => content.kind === 'free'),
    answers: ['0', '6', '8', '10', '16'],
    apply: withLetters,
  },
];

function withoutInputs(description: Description): Description {
  if (description.transmit === 'unknown') return description;
  const isInput = (hz: number | null) => hz !== null && hz >= INPUTS.fromHz && hz <= INPUTS.toHz;
  const bands = description.transmit.bands.flatMap(({ fromHz, toHz }) => [
    ...(fromHz < INPUTS.fromHz ? [{ fromHz, toHz: Math.min(toHz, INPUTS.fromHz - 1) }] : []),
    ...(toHz > INPUTS.toHz ? [{ fromHz: Math.max(fromHz, INPUTS.toHz + 1), toHz }] : []),
  ]);
  const regions = description.regions.map((region): Region => {
    const { content } = region;
    if (content.kind !== 'fixed') return region;
    const channels = content.channels.map((row) =>
      isInput(row.transmitHz) && row.transmitHz !== row.receiveHz ? { ...row, transmitHz: null } : row,
    );
    return { ...region, content: { ...content, channels } };
  });
  return { ...description, regions, transmit: { ...description.transmit, bands } };
}

function heard({ receive }: Description, answer: string | undefined): Description['receive'] {
  if (answer === undefined || receive === 'unknown') return 'unknown';
  // A band across VHF and UHF is more than a set that hears only where it talks has.
  const own = receive.bands.filter(({ fromHz }) => fromHz >= 300_000_000);
  const vhf = { fromHz: 136_000_000, toHz: 174_000_000 };
  const air = { fromHz: 108_000_000, toHz: 136_999_999 };
  const bands = answer === 'own' ? own : answer === 'vhf' ? [vhf, ...own] : [air, vhf, ...own];
  return { ...receive, bands, modes: answer === 'air' ? ['FM', 'AM'] : ['FM'] };
}

function withTones(description: Description, answer: string | undefined): Description {
  const isTone = ({ holds }: Field) => ALL_TONES.includes(holds);
  const before = new Set(description.fields.filter(isTone).map(({ id }) => id));
  const each = (list: string): Field[] => [
    { id: 'sentTone', title: 'Tone you send', holds: 'transmitTone', list, factory: 0 },
    { id: 'heardTone', title: 'Tone it waits for', holds: 'receiveTone', list, factory: 0 },
  ];
  const fields: Field[] =
    answer === undefined
      ? each('unknown')
      : answer === 'none'
        ? []
        : answer === 'one-code'
          ? [{ id: 'code', title: 'Code for both ways', holds: 'bothTones', list: 'ownTones', factory: 0 }]
          : each('ownTones');
  const list =
    answer === 'one-code'
      ? [OFF, { ...CTCSS, tenthsHz: 'consumer-38' as const, shown: '{index}' }]
      : answer === 'ctcss'
        ? [OFF, CTCSS]
        : [OFF, CTCSS, ...DCS];
  const settable = (ids: readonly string[]): string[] => {
    const kept = ids.filter((id) => !before.has(id));
    return kept.length < ids.length || (ids.length > 0 && before.size === 0)
      ? [...kept, ...fields.map(({ id }) => id)]
      : kept;
  };
  return {
    ...description,
    // A tone picked by hand is of the pattern's list, which this set may not have.
    operatorTone: 'unknown',
    lists: { ...description.lists, ownTones: list },
    fields: [...description.fields.filter((field) => !isTone(field)), ...fields],
    regions: description.regions.map((region) => ({
      ...region,
      ways: waysWith(region, settable),
    })),
  };
}

function withPower(description: Description, answer: string | undefined): Description {
  const field = description.fields.find(({ holds }) => holds === 'powerW');
  if (!field) return description;
  const segments = field.list && field.list !== 'unknown' ? (description.lists[field.list] ?? []) : [];
  const steps = segments.flatMap((segment) =>
    segment.kind === 'items' ? segment.items.map(({ means }) => Number(means)) : [],
  );
  const lowest = Number(answer);
  const items = [...new Set([Math.max(lowest, ...steps), lowest])].map((watts) => ({
    shown: `${watts} W`,
    means: watts,
  }));
  const list = answer === undefined ? 'unknown' : 'ownPower';
  return {
    ...description,
    ...(answer !== undefined && {
      lists: { ...description.lists, ownPower: [{ kind: 'items' as const, items }] },
    }),
    fields: description.fields.map((other) => (other === field ? { ...field, list, factory: 0 } : other)),
  };
}

function withLetters(description: Description, answer: string | undefined): Description {
  if (answer === undefined) return { ...description, names: 'unknown' };
  if (answer === '0') return { ...description, names: 'none' };
  const there = description.fields.find(({ holds }) => holds === 'name');
  const id = there?.id ?? 'ownName';
  const fields: Field[] = there ? [] : [{ id, title: 'Name', holds: 'name', factory: '' }];
  const settable = (ids: readonly string[]) =>
    ids.length === 0 || ids.includes(id) ? [...ids] : [...ids, id];
  return {
    ...description,
    names: { length: Number(answer), characters: CAPITALS },
    fields: [...description.fields, ...fields],
    regions: description.regions.map((region) =>
      region.content.kind === 'free' ? { ...region, ways: waysWith(region, settable) } : region,
    ),
  };
}
