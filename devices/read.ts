import { readdirSync, readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { readDescription } from '@umbrex/core/formats';
import type { Description } from '@umbrex/core/model';

/** Reads the device descriptions that ship with the application, by file name; a faulty one stops with its findings. */
export function shippedDescriptions(folder = fileURLToPath(new URL('.', import.meta.url))): Description[] {
  return readdirSync(folder)
    .filter((file) => file.endsWith('.json'))
    .sort()
    .map((file) => {
      const result = readDescription(readFileSync(`${folder}/${file}`, 'utf8'));
      if (!result.ok) throw new Error(`devices/${file}: ${JSON.stringify(result.findings)}`);
      return result.value;
    });
}
