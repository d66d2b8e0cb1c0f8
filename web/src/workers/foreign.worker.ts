import { addForeign, type Foreign, putBack } from '@umbrex/core/foreign';
import { readLine } from '@umbrex/core/listing';
import type { Channel, ChannelDraft } from '@umbrex/core/model';
import { type DrawnKeys, drawn, type Proof, type Sheet } from '@umbrex/core/procedure';
import { expose } from 'comlink';
import type { ForeignWork } from '../contract/card';
import { contentBrief } from '../messages/contents';
import { findingText } from '../messages/findings';
import { questionText } from '../messages/questions';

/** A question that a line leaves open, with what would answer it: lines to take in its place. */
export interface Asked {
  readonly text: string;
  readonly blocking: boolean;
  readonly offers: readonly { readonly label: string; readonly line: string }[];
}
/** What a line says, read on the phone. */
export interface Read {
  readonly channel: ChannelDraft | null;
  readonly questions: readonly Asked[];
}
/** Where the channel goes, by which steps, and what is to be put back. */
export interface Fitted {
  readonly label: string;
  readonly number: number;
  readonly sends: boolean;
  readonly why: readonly string[];
  readonly proven: boolean;
  readonly minutes: number;
  readonly before: string;
  readonly displaces: readonly string[];
  readonly steps: readonly ForeignStep[];
  /** The way back to what is known that stood there. */
  readonly back:
    | { readonly is: 'not-known' | 'stays' | 'not-proven' }
    | { readonly is: 'steps'; readonly steps: readonly ForeignStep[]; readonly minutes: number };
}
export interface ForeignStep {
  readonly says: string;
  readonly keys: readonly DrawnKeys[];
  readonly shows: readonly string[];
}

function stepsOf(sheet: Sheet, proof: Proof, { description }: ForeignWork): ForeignStep[] {
  return sheet.steps.map(({ says, runs }, i) => ({
    says,
    keys: drawn(runs, description.keys),
    shows: (proof.screens[i] ?? []).filter((text) => text.trim()),
  }));
}

function backOf(work: ForeignWork, found: Foreign): Fitted['back'] {
  const back = putBack(work.description, work.unit, found);
  if (back.is !== 'steps') return back;
  const { sheet, proof } = back;
  return proof.proven
    ? { is: 'steps', steps: stepsOf(sheet, proof, work), minutes: Math.ceil(proof.minutes) }
    : { is: 'not-proven' };
}

const job = {
  read: (line: string, work: ForeignWork): Read => {
    const { channel, questions } = readLine(line, work.plan.country);
    return {
      channel,
      questions: questions.map((question) => ({
        text: questionText(question),
        blocking: question.blocking,
        offers: question.offers.flatMap((label, i) => {
          const instead = question.lines?.[i];
          return instead === undefined ? [] : [{ label, line: instead }];
        }),
      })),
    };
  },
  fit: (draft: ChannelDraft, work: ForeignWork): Fitted | null => {
    const channel: Channel = {
      ...draft,
      id: '00000000-0000-4000-8000-00000000f0e1',
      groupId: '00000000-0000-4000-8000-00000000f0e2',
    };
    const found = addForeign(work.plan, work.description, work.unit, channel, work.used);
    if (!found?.cell.slot) return null;
    const { cell, prepared, before, displaces } = found;
    const { sheet, proof } = prepared;
    return {
      label: cell.slot?.label ?? '',
      number: cell.slot?.number ?? 0,
      sends: cell.verdict === 'full' || cell.verdict === 'adapted',
      why: cell.findings.map((finding) => findingText(finding).what),
      proven: proof.proven,
      minutes: Math.ceil(proof.minutes),
      before: before === null ? 'nothing' : before === 'unknown' ? '' : contentBrief(before),
      displaces: displaces.flatMap((id) => work.names[id] ?? []),
      steps: stepsOf(sheet, proof, work),
      back: backOf(work, found),
    };
  },
};
export type ForeignJob = typeof job;
expose(job);
