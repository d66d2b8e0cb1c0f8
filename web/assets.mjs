import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { brotliCompress, constants, gzip } from 'node:zlib';
import sirv from 'sirv';

/** What is worth packing; pictures and fonts are packed as they are. */
const PACKABLE = /\.(js|css|json|svg)$/;
/** Below this, packing saves nothing (bytes). */
const WORTH = 1024;

/**
 * Packs the assets of a build once, as tightly as it goes, each beside its file.
 * @param {string} folder the build's folder of files that never change
 */
export async function packAssets(folder) {
  const names = readdirSync(folder).filter((name) => PACKABLE.test(name));
  for (const name of names) {
    const file = join(folder, name);
    const bytes = readFileSync(file);
    if (bytes.length < WORTH) continue;
    const [br, gz] = await Promise.all([
      promisify(brotliCompress)(bytes, {
        params: {
          [constants.BROTLI_PARAM_QUALITY]: 11,
          [constants.BROTLI_PARAM_SIZE_HINT]: bytes.length,
        },
      }),
      promisify(gzip)(bytes, { level: 9 }),
    ]);
    writeFileSync(`${file}.br`, br);
    writeFileSync(`${file}.gz`, gz);
  }
}

/**
 * A handler that gives a build's assets from what was packed when it was built; all else, and what is not there, goes on.
 * @param {string} client the build's folder for browsers
 * @param {import('node:http').RequestListener} handle
 * @returns {import('node:http').RequestListener}
 */
export function withAssets(client, handle) {
  const give = sirv(client, {
    brotli: true,
    gzip: true,
    etag: true,
    setHeaders: (response) => {
      response.setHeader('cache-control', 'public, max-age=31536000, immutable');
      response.setHeader('x-content-type-options', 'nosniff');
    },
  });
  return (request, response) =>
    request.url?.startsWith('/_astro/')
      ? give(request, response, () => handle(request, response))
      : handle(request, response);
}
