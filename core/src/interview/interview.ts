import { fitDevice, fitPlan, type Verdict } from '../fit/index';
import { type Description, DescriptionSchema, type Plan } from '../model/index';
import { type Answers, QUESTIONS, type QuestionId } from './questions';

/** Questions are few: an interview never asks more. Common practice. */
export const MOST_QUESTIONS = 8;

/** A question with how many channels of the plan its answer decides. */
export interface Asked {
  readonly id: QuestionId;
  readonly answers: readonly string[];
  /** Channels whose verdict depends on the answer. */
  readonly decides: number;
}

/** How it stands now. */
export interface Standing {
  readonly description: Description;
  /** The verdict of each channel as it now is, by its id. */
  readonly verdicts: ReadonlyMap<string, Verdict>;
  /** Open questions that change a verdict in this plan, the one that decides most first. */
  readonly open: readonly Asked[];
}

/**
 * A description of somebody's own set, from the pattern that behaves like it and what they know. What they do not know is unknown,
 * whatever the pattern has; the keys are not the pattern's, so such a set gets a card of values.
 * @param own the id and name they give it
 */
export function describeOwn(
  pattern: Description,
  own: { id: string; title: string },
  answers: Answers,
): Description {
  const { behaviour: _b, recipes, keyMap: _k, recording: _s, marks: _m, ...rest } = pattern;
  const bare: Description = {
    ...rest,
    ...own,
    firmware: [],
    scan: 'unknown',
    keys: {},
    marks: [],
    loading: rest.loading ?? {
      by: 'keypad',
      before: ['Note what stands in the places that will be overwritten.'],
      hazards: [],
      readBack: recipes?.readBack.slice(0, 12) ?? [],
    },
  };
  return DescriptionSchema.parse(
    QUESTIONS.filter(({ asksOf }) => asksOf(pattern)).reduce(
      (description, { id, apply }) => apply(description, answers[id]),
      bare,
    ),
  );
}

/** An id as descriptions have them, made of a name. */
export function ownId(title: string): string {
  const plain = title
    .toLowerCase()
    .normalize('NFKD')
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 36)
    .replace(/-+$/, '');
  return plain.length >= 2 ? plain : `own-${plain || 'radio'}`;
}

/** Where an interview stands: the description so far, what the plan comes to on it, and what to ask next. */
export function interview(
  pattern: Description,
  own: { id: string; title: string },
  answers: Answers,
  plan: Plan,
): Standing {
  const description = describeOwn(pattern, own, answers);
  const verdicts = verdictsOf(description, plan);
  const isOpen = [...verdicts.values()].includes('unknown');
  const open = QUESTIONS.filter(({ id, asksOf }) => answers[id] === undefined && asksOf(pattern)).flatMap(
    ({ id, answers: possible }): Asked[] => {
      const outcomes = [
        verdicts,
        ...possible.map((answer) =>
          verdictsOf(describeOwn(pattern, own, { ...answers, [id]: answer }), plan),
        ),
      ];
      const decides = plan.channels.filter(
        ({ id: channelId }) => new Set(outcomes.map((outcome) => outcome.get(channelId))).size > 1,
      ).length;
      // Where much is unknown one answer alone may decide nothing yet; it is still needed before others can.
      return decides === 0 && !isOpen ? [] : [{ id, answers: possible, decides }];
    },
  );
  const left = MOST_QUESTIONS - Object.keys(answers).length;
  return {
    description,
    verdicts,
    open: open.sort((a, b) => b.decides - a.decides).slice(0, Math.max(0, left)),
  };
}

function verdictsOf(description: Description, plan: Plan): ReadonlyMap<string, Verdict> {
  const { cells } = fitPlan(plan, fitDevice(description));
  return new Map(cells.map(({ channelId, verdict }) => [channelId, verdict]));
}
