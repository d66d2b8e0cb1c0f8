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
  const result = readDocument(text, PLAN_FORMAT, PlanSchema);
  if (!result.ok) return result;
  const findings = crossCheck(result.value);
  return findings.length > 0 ? { ok: false, findings } : result;
}

/** Reads a device description; every finding names the path in the document. */
export function readDescription(text: string): Result<Description> {
  return readDocument(text, DESCRIPTION_FORMAT, DescriptionSchema);
}

function readDocument<T>(text: string, format: string, schema: z.ZodType<T>): Result<T> {
  let document: unknown;
  try {
    document = JSON.parse(text);
  } catch (error) {
    const detail = error instanceof Error ? error.message : String(error);
    return { ok: false, findings: [{ code: 'document-not-json', severity: 'error', path: '', detail }] };
  }
  const found =
    typeof document === 'object' && document !== null && 'format' in document ? document.format : undefined;
  if (found !== format)
    return {
      ok: false,
      findings: [
        {
          code: 'document-format',
          severity: 'error',
          path: '/format',
          wanted: format,
          found: found === undefined ? 'none' : String(found),
        },
      ],
    };
  const parsed = schema.safeParse(document);
  if (parsed.success) return { ok: true, value: parsed.data, findings: [] };
  return { ok: false, findings: shapeFindings(parsed.error) };
}

/** Turns a schema's complaints into findings with a JSON pointer each. */
export function shapeFindings(error: z.ZodError): Finding[] {
  return error.issues.map((issue) => ({
    code: 'document-shape',
    severity: 'error',
    path: issue.path.map((part) => `/${String(part).replace(/~/g, '~0').replace(/\//g, '~1')}`).join(''),
    detail: issue.message,
  }));
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
