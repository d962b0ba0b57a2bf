// Writes the outlines of the shipped font's letters as data of the core: decals are lettered with what the page is set in.
// `node scripts/writeLetters.mjs`, when the font is renewed.
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import opentype from 'opentype.js';
import { root } from './setUp.mjs';

const FOLDER = 'node_modules/@fontsource/atkinson-hyperlegible-next/files';
/** What Latin alphabets of the west are written in. */
const LETTERS = [...Array.from({ length: 95 }, (_, i) => 32 + i), ...Array.from({ length: 96 }, (_, i) => 160 + i)];

function readLetters(weight) {
  const bytes = readFileSync(join(root, FOLDER, `atkinson-hyperlegible-next-latin-${weight}-normal.woff`));
  const font = opentype.parse(bytes.buffer.slice(bytes.byteOffset, bytes.byteOffset + bytes.byteLength));
  const letters = {};
  for (const code of LETTERS) {
    const glyph = font.charToGlyph(String.fromCharCode(code));
    if (glyph.index === 0) continue;
    // In units of the font, y down, standing on 0.
    const d = glyph.getPath(0, 0, font.unitsPerEm).toPathData(0);
    letters[String.fromCharCode(code)] = [glyph.advanceWidth, d];
  }
  return { capHeight: font.tables.os2.sCapHeight, letters };
}

const text = JSON.stringify({ regular: readLetters(400), bold: readLetters(700) });
writeFileSync(join(root, 'packages/core/src/decal/text/letters.json'), `${text}\n`);
