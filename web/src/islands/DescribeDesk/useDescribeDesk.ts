import { type Answers, interview, ownId, type QuestionId } from '@umbrex/core/interview';
import type { Description, Plan } from '@umbrex/core/model';
import { useMemo, useState } from 'react';
import { call, failureText, Refusal } from '../desk/api';
import { $notice } from '../desk/deskStore';

export interface DescribeProps {
  readonly plan: Plan;
  readonly patterns: readonly Description[];
}

/** The state of an interview about somebody's own set: the pattern, what was answered, what is passed over, what comes of it. */
export function useDescribeDesk({ plan, patterns }: DescribeProps) {
  const [patternId, setPatternId] = useState(patterns[0]?.id ?? '');
  const [title, setTitle] = useState('');
  const [answers, setAnswers] = useState<Answers>({});
  const [passed, setPassed] = useState<ReadonlySet<QuestionId>>(new Set());
  const [busy, setBusy] = useState(false);
  const pattern = patterns.find(({ id }) => id === patternId);
  const standing = useMemo(
    () =>
      pattern
        ? interview(pattern, { id: ownId(title), title: title.trim() || 'My radio' }, answers, plan)
        : null,
    [pattern, title, answers, plan],
  );
  const choosePattern = (id: string) => {
    setPatternId(id);
    setAnswers({});
    setPassed(new Set());
  };
  const answer = (id: QuestionId, value: string) => setAnswers((now) => ({ ...now, [id]: value }));
  const pass = (id: QuestionId) => setPassed((now) => new Set([...now, id]));
  const takeBack = (id: QuestionId) => {
    setAnswers(({ [id]: _, ...others }) => others);
    setPassed((now) => new Set([...now].filter((other) => other !== id)));
  };
  const save = async () => {
    if (!standing) return;
    setBusy(true);
    try {
      await call('POST /api/descriptions', {}, standing.description);
      window.location.assign(`/plans/${plan.id}/devices`);
    } catch (error) {
      const isTaken = error instanceof Refusal && error.status === 409;
      $notice.set({
        text: isTaken ? 'A kind of that name is there already. Give yours another name.' : failureText(error),
        kind: 'failed',
      });
      setBusy(false);
    }
  };
  return {
    plan,
    patterns,
    pattern,
    choosePattern,
    title,
    setTitle,
    answers,
    passed,
    standing,
    next: standing?.open.find(({ id }) => !passed.has(id)) ?? null,
    answer,
    pass,
    takeBack,
    save,
    busy,
  };
}
