import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { create, type Font } from 'fontkit';

const require = createRequire(import.meta.url);
const NAME = 'atkinson-hyperlegible-next';
const load = (file: string) => readFileSync(require.resolve(`@fontsource/${NAME}/files/${NAME}-${file}-normal.woff`));

/** The shipped font, as the names under which a PDF knows it; only the letters that are used go into the file. */
export const FACES = {
  plain: 'latin-400',
  bold: 'latin-700',
  'plain more': 'latin-ext-400',
  'bold more': 'latin-ext-700',
} as const;
export type Face = 'plain' | 'bold';

const bytes = new Map<string, Buffer>();

export function readFace(face: keyof typeof FACES): Buffer {
  const known = bytes.get(face) ?? load(FACES[face]);
  bytes.set(face, known);
  return known;
}

const fonts = new Map<string, Font>();

function has(face: keyof typeof FACES, codePoint: number): boolean {
  const font = fonts.get(face) ?? (create(readFace(face)) as Font);
  fonts.set(face, font);
  return font.hasGlyphForCodePoint(codePoint);
}

/** What the font lacks and something else says as well: u stands for micro where there is no other letter (ISO 2955). */
const SAME: Readonly<Record<string, string>> = { µ: 'u', μ: 'u', '→': '->', '←': '<-', '−': '-', '≤': '<=', '≥': '>=' };

export interface Run {
  readonly face: keyof typeof FACES;
  readonly text: string;
}

/** Text in pieces that one file of the font can write; a letter that it has not is told by its number, so that nothing is lost. */
export function splitRuns(text: string, face: Face): Run[] {
  const runs: { face: keyof typeof FACES; text: string }[] = [];
  for (const letter of text.replace(/\s+/g, ' ')) {
    const code = letter.codePointAt(0)!;
    const own = has(face, code) ? face : has(`${face} more`, code) ? (`${face} more` as const) : null;
    const said = own === null ? (SAME[letter] ?? `[U+${code.toString(16).toUpperCase()}]`) : letter;
    const last = runs.at(-1);
    if (last && last.face === (own ?? face)) last.text += said;
    else runs.push({ face: own ?? face, text: said });
  }
  return runs;
}
