import type { QuestionId } from '@umbrex/core/interview';

/**
 * The questions of an interview in plain words, where to look, and what each answer says. The rule parts on a label: 47 CFR 95, subpart B
 * (FRS) and subpart E (GMRS); 47 CFR 90 (business).
 */
export const QUESTION_TEXT: Readonly<
  Record<QuestionId, { ask: string; look: string; answers: Readonly<Record<string, string>> }>
> = {
  certified: {
    ask: 'What is it certified for?',
    look: 'On the label behind the battery, or in the front of its manual: the part of the rules it names (95E is GMRS, 95B is FRS, 90 is business).',
    answers: {
      gmrs: 'GMRS',
      frs: 'FRS',
      business: 'business',
      amateur: 'amateur only',
      none: 'nothing: it may not transmit',
    },
  },
  inputs: {
    ask: 'Can it send on the inputs of repeaters, 467.550 to 467.725 MHz?',
    look: 'It has channels named for repeaters, or a setting that shifts what it sends by 5 MHz.',
    answers: { yes: 'yes', no: 'no' },
  },
  hears: {
    ask: 'What does it hear besides the channels it talks on?',
    look: 'Try to enter 162.400 and 118.000 MHz on an empty channel.',
    answers: {
      own: 'only around its own channels',
      vhf: 'also 136 to 174 MHz: weather, marine, county',
      air: 'that, and the air band in AM',
    },
  },
  tones: {
    ask: 'Which tones can it set, and can the two ways differ?',
    look: 'One setting called code, or one for sending and one for receiving? A list with CTCSS alone, or with DCS too?',
    answers: {
      'both-kinds': 'one for each way, CTCSS and DCS',
      ctcss: 'one for each way, CTCSS alone',
      'one-code': 'one code number for both ways',
      none: 'none at all',
    },
  },
  power: {
    ask: 'How low does its power go?',
    look: 'The lowest step in its manual. Some channels allow half a watt and no more.',
    answers: { '0.5': '0.5 W', '1': '1 W', '2': '2 W', '5': '5 W' },
  },
  letters: {
    ask: 'How many letters does the name of a channel have?',
    look: 'Write a name until it takes no more.',
    answers: { '0': 'it has no names', '6': '6', '8': '8', '10': '10', '16': '16' },
  },
};
