// @ts-check
import { inflateSync } from 'node:zlib';

/**
 * A font of WOFF 1.0 as the plain one that was packed in it (W3C Recommendation WOFF File Format 1.0, sections 3 to 5), so that what draws with it
 * does not unpack its tables for each document anew.
 * @param {Buffer} woff @returns {Buffer}
 */
export function unpacked(woff) {
  if (woff.toString('latin1', 0, 4) !== 'wOFF') throw new TypeError('no font of WOFF 1.0');
  const count = woff.readUInt16BE(12);
  const tables = Array.from({ length: count }, (_, n) => {
    const at = 44 + n * 20;
    const offset = woff.readUInt32BE(at + 4);
    const packed = woff.readUInt32BE(at + 8);
    const length = woff.readUInt32BE(at + 12);
    const bytes = woff.subarray(offset, offset + packed);
    // A table that packing would not make shorter stands as it is.
    return {
      head: woff.subarray(at, at + 4),
      sum: woff.readUInt32BE(at + 16),
      length,
      bytes: packed < length ? inflateSync(bytes) : bytes,
    };
  });
  const log = Math.floor(Math.log2(count));
  const header = Buffer.alloc(12 + count * 16);
  woff.copy(header, 0, 4, 8);
  header.writeUInt16BE(count, 4);
  header.writeUInt16BE(16 * 2 ** log, 6);
  header.writeUInt16BE(log, 8);
  header.writeUInt16BE(16 * (count - 2 ** log), 10);
  let offset = header.length;
  const parts = [header];
  tables.forEach(({ head, sum, length, bytes }, n) => {
    const at = 12 + n * 16;
    head.copy(header, at);
    header.writeUInt32BE(sum, at + 4);
    header.writeUInt32BE(offset, at + 8);
    header.writeUInt32BE(length, at + 12);
    const filled = Buffer.alloc(Math.ceil(length / 4) * 4);
    bytes.copy(filled);
    parts.push(filled);
    offset += filled.length;
  });
  return Buffer.concat(parts);
}
