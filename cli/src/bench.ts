import { BenchJobSchema, scheduleBench } from '@umbrex/core/bench';
import { type Outcome, readDocument, readFile } from './read';

/** Works out a bench day; a set that has no place in it is named, and fails. */
export function bench(path: string): Outcome {
  const job = readFile(path, (text) => readDocument(text, BenchJobSchema));
  if (!job.ok) return { ok: false, json: { ok: false, file: path, findings: job.findings } };
  const { finishMin, lowerBoundMin, tasks, unscheduled } = scheduleBench(job.value);
  const ok = unscheduled.length === 0;
  return { ok, json: { ok, finishMin, lowerBoundMin, tasks, unscheduled } };
}
