import type { DecalArtwork } from '../../model/decal.ts';
import type { Point } from '../../model/plane.ts';
import type { Film } from '../white/judgeFilms.ts';

/** Along which an artwork is cut: out of white film on the edge of its ink, else a rim away from it. */
export const cutFor = (
  film: Film,
  { cutLine, inkLine }: Pick<DecalArtwork, 'cutLine' | 'inkLine'>,
): readonly Point[] => (film === 'white, office printer' ? inkLine : cutLine);
