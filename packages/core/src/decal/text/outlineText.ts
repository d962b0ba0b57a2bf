import svgpath from 'svgpath';
import type { DrawnElement } from '../../model/decal.ts';
import { InvalidInputError } from '../../model/errors.ts';
import { boundPath } from '../artwork/boundPath.ts';
import font from './letters.json' with { type: 'json' };

/** Advance and outline of each letter, in units of the font, y down, standing on 0. */
type Letters = Readonly<Record<string, readonly [advance: number, d: string]>>;

interface Face {
  readonly capHeight: number;
  readonly letters: Letters;
}

const FACES = font as unknown as Readonly<Record<'regular' | 'bold', Face>>;

/** A line of text: where its ink begins, the line that it stands on, how high and how wide. */
type TextToOutline = Omit<Extract<DrawnElement, { kind: 'text' }>, 'kind' | 'ink'>;

/**
 * A line of text in the shipped font as SVG path data, without kerning. Empty for text of spaces. Throws InvalidInputError for letters
 * that the font has not.
 */
export function outlineText({ text, x, y, heightMm, widthMm, isBold }: TextToOutline): string {
  const { capHeight, letters } = FACES[isBold ? 'bold' : 'regular'];
  const known = [...text].map((letter) => ({ letter, glyph: letters[letter] }));
  const missing = known.filter(({ glyph }) => !glyph).map(({ letter }) => letter);
  if (missing.length > 0)
    throw new InvalidInputError(
      'letters',
      `The font has no ${[...new Set(missing)].map((letter) => `“${letter}”`).join(', ')}.`,
      'text',
    );
  let at = 0;
  const line = known
    .map(({ glyph }) => {
      const [advance, d] = glyph!;
      const moved = d && svgpath(d).translate(at, 0).toString();
      at += advance;
      return moved;
    })
    .join('');
  const [left, , right] = boundPath(line);
  if (line === '') return '';
  const scale = heightMm / capHeight;
  const across = widthMm === null ? scale : widthMm / (right - left);
  return svgpath(line).translate(-left, 0).scale(across, scale).translate(x, y).round(4).toString();
}
