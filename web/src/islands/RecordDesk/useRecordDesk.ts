import type { Finding } from '@umbrex/core/findings';
import { prepare, triedAs } from '@umbrex/core/flow';
import { shapeFindings } from '@umbrex/core/formats';
import {
  type Description,
  fieldsBy,
  listItems,
  type Plan,
  type Recording,
  RecordingSchema,
  triedOn,
} from '@umbrex/core/model';
import { linesText, readLines, withRecordedSteps } from '@umbrex/core/record';
import { useMemo, useState } from 'react';
import { call, failureText } from '../desk/api';
import { $notice } from '../desk/deskStore';

export interface RecordProps {
  readonly plan: Plan;
  /** The kind without any steps. */
  readonly description: Description;
  readonly version: number;
  /** What was recorded before; `null` where nobody has. */
  readonly recording: Recording | null;
  readonly me: string;
  readonly today: string;
}

interface TaskText {
  readonly from: string;
  readonly to: string;
  readonly lines: string;
}

type Texts = Readonly<Record<string, TaskText>>;

/** What was written of each task, by its path in the recording. */
function textsOf(done: Pick<Recording, 'fields' | 'settings'> | null | undefined, under: string): Texts {
  const tasks = [
    ...(done?.fields ?? []).map(({ field, ...task }) => [`${under}fields/${field}`, task] as const),
    ...(done?.settings ?? []).map(({ setting, ...task }) => [`${under}settings/${setting}`, task] as const),
  ];
  return Object.fromEntries(
    tasks.map(([id, { from, to, steps }]) => [id, { from, to, lines: linesText(steps) }]),
  );
}

/** The tasks of a part of the recording that something is written of, by the id of what they set. */
function tasksIn(texts: Texts, part: string) {
  return Object.entries(texts).flatMap(([id, { from, to, lines }]) =>
    id.startsWith(`${part}/`) && lines.trim() !== ''
      ? [[id.slice(part.length + 1), { from, to, steps: readLines(lines) }] as const]
      : [],
  );
}

/** What comes of the lines so far: findings by where they stand, or the sheet that they give on this plan. */
export interface Outcome {
  readonly findings: readonly Finding[];
  readonly sheet: {
    readonly steps: number;
    readonly presses: number;
    readonly isProven: boolean;
    readonly missing: readonly string[];
    /** How many tasks of a second recording came out of the first one. */
    readonly tried: number;
  } | null;
}

/** The state of a recording: who did it and when, the lines of each task as they are written, and what comes of them. */
export function useRecordDesk({ plan, description, version, recording, me, today }: RecordProps) {
  const [head, setHead] = useState({
    by: recording?.by ?? me,
    on: recording?.on ?? today,
    firmware: recording?.firmware ?? description.firmware[0] ?? '',
    startNumber: String(recording?.startNumber ?? description.regions[0]?.first ?? 1),
    number: String(recording?.number ?? ''),
    waitsS: String(recording?.waitsS ?? ''),
    opposite: (recording?.opposite ?? []).map(({ key, other }) => `${key} ${other}`).join(', '),
    letterWheel: recording?.letterWheel ?? '',
    againStart: String(recording?.again?.startNumber ?? ''),
    againNumber: String(recording?.again?.number ?? ''),
  });
  const [place, setPlace] = useState(recording ? linesText(recording.place) : '');
  const [againPlace, setAgainPlace] = useState(linesText(recording?.again?.place ?? []));
  const [letters, setLetters] = useState(
    (recording?.letters ?? []).map(({ key, letters: row }) => `${key} ${row}`).join('\n'),
  );
  // Fields and settings are told apart by their path in the recording, under which their findings stand as well.
  const [texts, setTexts] = useState<Texts>(() => ({
    ...textsOf(recording, ''),
    ...textsOf(recording?.again, 'again/'),
  }));
  const [saved, setSaved] = useState(version);
  const [isBusy, setBusy] = useState(false);

  const fields = description.fields.filter(({ id }) =>
    description.regions.some((region) => fieldsBy(region, 'keys').includes(id)),
  );
  const valuesOf = (list: string | undefined) =>
    list === undefined ? null : listItems(description.lists[list] ?? []).map(({ shown }) => shown);

  const written = useMemo(() => {
    const again = {
      startNumber: Number(head.againStart || head.startNumber || Number.NaN),
      number: Number(head.againNumber || head.againStart || Number.NaN),
      place: readLines(againPlace),
      fields: tasksIn(texts, 'again/fields').map(([field, task]) => ({ field, ...task })),
      settings: tasksIn(texts, 'again/settings').map(([setting, task]) => ({ setting, ...task })),
    };
    const isAgain = again.place.length + again.fields.length + again.settings.length > 0;
    return {
      by: head.by,
      on: head.on,
      firmware: head.firmware,
      startNumber: Number(head.startNumber || Number.NaN),
      number: Number(head.number || Number.NaN),
      letters: letters
        .split('\n')
        .filter((line) => line.trim() !== '')
        .map((line) => {
          const [, key = line.trim(), row = ''] = /^\s*(\S+) (.*)$/.exec(line) ?? [];
          return { key, letters: row };
        }),
      place: readLines(place),
      ...(head.waitsS.trim() !== '' && { waitsS: Number(head.waitsS) }),
      opposite: head.opposite
        .split(',')
        .map((pair) => pair.trim())
        .filter(Boolean)
        .map((pair) => {
          const [key = '', other = ''] = pair.split(/\s+/);
          return { key, other };
        }),
      fields: tasksIn(texts, 'fields').map(([field, task]) => ({ field, ...task })),
      settings: tasksIn(texts, 'settings').map(([setting, task]) => ({ setting, ...task })),
      ...(head.letterWheel !== '' && { letterWheel: head.letterWheel }),
      ...(isAgain && { again }),
    };
  }, [head, letters, place, againPlace, texts]);
  const outcome = useMemo((): Outcome => {
    if (written.place.length === 0) return { findings: [], sheet: null };
    const parsed = RecordingSchema.safeParse(written);
    if (!parsed.success) return { sheet: null, findings: shapeFindings(parsed.error) };
    const learnt = withRecordedSteps(description, parsed.data);
    if (!learnt.ok) return { findings: learnt.findings, sheet: null };
    const { sheet, proof } = prepare(plan, learnt.value, triedAs(learnt.value, plan));
    const missing = sheet.findings.flatMap((finding) =>
      finding.code === 'no-recipe' ? [finding.field] : [],
    );
    return {
      findings: [],
      sheet: {
        steps: sheet.steps.length,
        presses: sheet.presses,
        isProven: proof.proven,
        missing,
        tried: triedOn(parsed.data),
      },
    };
  }, [written, description, plan]);

  const save = async () => {
    setBusy(true);
    try {
      const { version: next, editId } = await call(
        'PUT /api/descriptions/[descriptionId]/steps',
        { descriptionId: description.id },
        { version: saved, recording: written as Recording },
      );
      setSaved(next);
      $notice.set({
        text: editId ? `The steps of the ${description.title} are saved.` : 'Nothing was different.',
        kind: 'done',
        ...(editId && { editId }),
      });
    } catch (error) {
      $notice.set({
        text: failureText(
          error,
          'Somebody changed this kind meanwhile. What you wrote stands here: keep a copy, load the page again, and compare.',
        ),
        kind: 'failed',
      });
    }
    setBusy(false);
  };
  return {
    plan,
    description,
    head,
    setHead,
    place,
    setPlace,
    againPlace,
    setAgainPlace,
    letters,
    setLetters,
    named: fields.some(({ holds }) => holds === 'name'),
    tasks: [
      ...fields.map(({ id, title, holds, list }) => ({
        id: `fields/${id}`,
        index: written.fields.findIndex(({ field }) => field === id),
        againIndex: written.again?.fields.findIndex(({ field }) => field === id) ?? -1,
        title,
        isFrequency: holds === 'receiveHz' && list === undefined,
        values: valuesOf(list),
      })),
      ...description.settings.map(({ id, title, list }) => ({
        id: `settings/${id}`,
        index: written.settings.findIndex(({ setting }) => setting === id),
        againIndex: written.again?.settings.findIndex(({ setting }) => setting === id) ?? -1,
        title: `${title}, for the whole set`,
        isFrequency: false,
        values: valuesOf(list),
      })),
    ],
    textOf: (id: string): TaskText => texts[id] ?? { from: '', to: '', lines: '' },
    setText: (id: string, change: Partial<TaskText>) =>
      setTexts((now) => ({ ...now, [id]: { ...(now[id] ?? { from: '', to: '', lines: '' }), ...change } })),
    written,
    outcome,
    save,
    isBusy,
  };
}
