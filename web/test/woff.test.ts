import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { create, type Font } from 'fontkit';
import { expect, it } from 'vitest';
import { unpacked } from '../woff.mjs';

const require = createRequire(import.meta.url);
it.each([
  ['atkinson-hyperlegible-next', 'latin', 400, 'normal'],
  ['atkinson-hyperlegible-mono', 'latin', 700, 'italic'],
  ['noto-sans-symbols-2', 'symbols', 400, 'normal'],
])(
  '%s: the unpacked font has the same letters and draws them as the packed one does (read by fontkit)',
  (family, subset, weight, style) => {
    const file = require.resolve(`@fontsource/${family}/files/${family}-${subset}-${weight}-${style}.woff`);
    const woff = readFileSync(file);
    const [packed, plain] = [create(woff), create(unpacked(woff))] as Font[];
    if (!packed || !plain) throw new Error('no font');
    expect(plain.numGlyphs).toBe(packed.numGlyphs);
    expect(plain.characterSet).toEqual(packed.characterSet);
    // The packed one unpacks its tables for every letter: some forty of them.
    const some = plain.characterSet.filter((_, n) => n % Math.ceil(plain.characterSet.length / 40) === 0);
    const drawn = (font: Font) =>
      some.map((letter) => {
        const glyph = font.glyphForCodePoint(letter);
        return [letter, glyph.advanceWidth, glyph.path.toSVG()];
      });
    expect(drawn(plain)).toEqual(drawn(packed));
  },
);

it('anything else is refused', () => {
  expect(() => unpacked(Buffer.from('OTTO and more'))).toThrow('no font of WOFF 1.0');
});
