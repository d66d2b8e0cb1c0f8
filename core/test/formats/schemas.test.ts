import { readFileSync } from 'node:fs';
import { DescriptionSchema, PlanSchema } from '@umbrex/core/model';
import { describe, expect, it } from 'vitest';
import { z } from 'zod';

describe('the published JSON Schemas', () => {
  for (const [name, schema] of [
    ['plan', PlanSchema],
    ['description', DescriptionSchema],
  ] as const)
    it(`${name}.schema.json is the schema in use (npm run schemas writes it)`, () => {
      const published = JSON.parse(
        readFileSync(new URL(`../../../docs/${name}.schema.json`, import.meta.url), 'utf8'),
      );
      expect(published).toEqual(
        JSON.parse(
          JSON.stringify(z.toJSONSchema(schema, { io: 'input', target: 'draft-2020-12', reused: 'ref' })),
        ),
      );
    });
});
