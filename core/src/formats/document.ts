import type { z } from 'zod';
import type { Finding, Result } from '../findings/index';
import {
  DESCRIPTION_FORMAT,
  type Description,
  DescriptionSchema,
  PLAN_FORMAT,
  type Plan,
  PlanSchema,
} from '../model/index';

/** Reads a plan document; every finding names the path in the document. */
export function readPlan(text: string): Result<Plan> {
  const json = parseJson(text);
  return json.ok ? checkPlan(json.value) : json;
}

/** Reads a device description; every finding names the path in the document. */
export function readDescription(text: string): Result<Description> {
  const json = parseJson(text);
  return json.ok ? checkDescription(json.value) : json;
}

/** Checks a plan that has been parsed already. */
export function checkPlan(document: unknown): Result<Plan> {
  const result = checkDocument(document, PLAN_FORMAT, PlanSchema);
  if (!result.ok) return result;
  const findings = crossCheck(result.value);
  return findings.length > 0 ? { ok: false, findings } : result;
}

/** Checks a device description that has been parsed already. */
export function checkDescription(document: unknown): Result<Description> {
  return checkDocument(document, DESCRIPTION_FORMAT, DescriptionSchema);
}

function parseJson(text: string): Result<unknown> {
  try {
    return { ok: true, value: JSON.parse(text), findings: [] };
  } catch (error) {
    const detail = error instanceof Error ? error.message : String(error);
    return { ok: false, findings: [{ code: 'document-not-json', severity: 'error', path: '', detail }] };
  }
}

function checkDocument<T>(document: unknown, format: string, schema: z.ZodType<T>): Result<T> {
  const found =
    typeof document === 'object' && document !== null && 'format' in document
      ? String(document.format)
      : 'none';
  if (found !== format)
    return {
      ok: false,
      findings: [{ code: 'document-format', severity: 'error', path: '/format', wanted: format, found }],
    };
  const parsed = schema.safeParse(document);
  return parsed.success
    ? { ok: true, value: parsed.data, findings: [] }
    : { ok: false, findings: shapeFindings(parsed.error) };
}

/** Turns a schema's complaints into findings with a JSON pointer each. */
export function shapeFindings(error: z.ZodError): Finding[] {
  return error.issues.map((issue) => ({
    code: 'document-shape',
    severity: 'error',
    path: issue.path.map((part) => `/${String(part).replace(/~/g, '~0').replace(/\//g, '~1')}`).join(''),
    detail: saidPlainly(issue),
  }));
}

const unitOf = (origin: string, n: number) =>
  origin === 'string'
    ? n === 1
      ? ' letter'
      : ' letters'
    : origin === 'array'
      ? n === 1
        ? ' entry'
        : ' entries'
      : '';

/** A schema's complaint in words that follow a place: `is missing`, `is too long or too large`. What a schema of ours says by itself stays. */
function saidPlainly(issue: z.core.$ZodIssue): string {
  const listed = (all: readonly unknown[]) => all.map(String).join(', ');
  switch (issue.code) {
    case 'invalid_type':
      return issue.message.endsWith('received undefined') ? 'is missing' : `is no ${issue.expected}`;
    case 'too_small':
      return `is too short or too small; at least ${issue.minimum}${unitOf(issue.origin, Number(issue.minimum))}`;
    case 'too_big':
      return `is too long or too large; at most ${issue.maximum}${unitOf(issue.origin, Number(issue.maximum))}`;
    case 'invalid_value':
      return `is none of ${listed(issue.values)}`;
    case 'unrecognized_keys':
      return `has what is not known here: ${listed(issue.keys)}`;
    case 'invalid_format':
      return issue.message.startsWith('Invalid') ? 'is not written as it should be' : issue.message;
    case 'invalid_union':
      return 'is nothing of what may stand there';
    default:
      return issue.message.startsWith('Invalid') ? 'is not as it should be' : issue.message;
  }
}

/** What a schema cannot see: ids used twice, channels in a group that is not there. */
function crossCheck(plan: Plan): Finding[] {
  const findings: Finding[] = [];
  const seen = new Set<string>();
  const once = (id: string, path: string) => {
    if (seen.has(id)) findings.push({ code: 'duplicate-id', severity: 'error', path, id });
    seen.add(id);
  };
  plan.groups.forEach((group, i) => {
    once(group.id, `/groups/${i}/id`);
  });
  const groups = new Set(plan.groups.map((group) => group.id));
  plan.channels.forEach((channel, i) => {
    once(channel.id, `/channels/${i}/id`);
    if (!groups.has(channel.groupId))
      findings.push({
        code: 'dangling-reference',
        severity: 'error',
        path: `/channels/${i}/groupId`,
        what: 'group',
        id: channel.groupId,
      });
  });
  return findings;
}

/** Writes a plan as the document others read: two spaces, a line end at the end. */
export function writePlan(plan: Plan): string {
  return `${JSON.stringify(PlanSchema.parse(plan), null, 2)}\n`;
}
