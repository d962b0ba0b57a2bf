import { convertHexToLab } from '../../colour/display.ts';
import type { Spectrum } from '../../colour/colorimetry.ts';
import { computeDe00 } from '../../colour/difference.ts';
import type { InkShare } from '../../model/decal.ts';
import { judgeInk, USUAL_TERMS, type JudgedInk, type WhiteTerms } from './judgeWhite.ts';
import { predictOnBody } from './printedInk.ts';

/** What decals are printed on, and where. */
export const FILMS = ['clear, office printer', 'white, office printer', 'clear with white under it, supplier'] as const;
export type Film = (typeof FILMS)[number];

export interface JudgedFilm {
  readonly film: Film;
  readonly answer: 'does' | 'does not' | 'test strip';
  /** Why not, or why it may not. */
  readonly because: 'ink shows the paint' | 'white shows between the ink' | null;
}

export interface JudgedArtwork {
  readonly inks: readonly (InkShare & JudgedInk)[];
  readonly films: readonly JudgedFilm[];
  /** Whether some ink needs white under it. */
  readonly white: JudgedInk['answer'];
}

/** So much of what lies between ink may be white before it is seen, a share of the piece (planning estimate). */
const UNSEEN = 0.01;

/**
 * What an office printer can do of an artwork on a body colour, film by film: it prints no white. On clear film an ink shows the paint
 * through it; on white film all that is not ink is white.
 *
 * `bareShare` is what of the piece within its ink's own outline is not printed.
 */
export function judgeFilms(
  inks: readonly InkShare[],
  bareShare: number,
  body: Spectrum,
  terms: WhiteTerms = USUAL_TERMS,
): JudgedArtwork {
  const judged = inks.map((ink) => ({ ...ink, ...judgeInk(convertHexToLab(ink.hex), body, terms) }));
  const answers = judged.map(({ answer }) => answer);
  const white = answers.includes('white') ? 'white' : answers.includes('test strip') ? 'test strip' : 'no white';
  const isWhiteBody =
    computeDe00(terms.paper, predictOnBody(new Float64Array(body.length).fill(1), body)) <= terms.tolerance;
  const showsWhite = bareShare > UNSEEN && !isWhiteBody;
  return {
    ...{ inks: judged, white },
    films: [
      {
        film: 'clear, office printer',
        answer: white === 'white' ? 'does not' : white === 'test strip' ? 'test strip' : 'does',
        because: white === 'no white' ? null : 'ink shows the paint',
      },
      {
        film: 'white, office printer',
        answer: showsWhite ? 'does not' : 'does',
        because: showsWhite ? 'white shows between the ink' : null,
      },
      { film: 'clear with white under it, supplier', answer: 'does', because: null },
    ],
  };
}
