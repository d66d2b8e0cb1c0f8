import { writeFileSync } from 'node:fs';
import { DescriptionSchema, PlanSchema } from '@umbrex/core/model';
import { z } from 'zod';

/** Writes the JSON Schemas of the open formats to docs/, from the schemas the application itself uses. */
for (const [name, schema] of [
  ['plan', PlanSchema],
  ['description', DescriptionSchema],
] as const) {
  const json = z.toJSONSchema(schema, { io: 'input', target: 'draft-2020-12', reused: 'ref' });
  writeFileSync(
    new URL(`../docs/${name}.schema.json`, import.meta.url),
    `${JSON.stringify(json, null, 2)}\n`,
  );
}
