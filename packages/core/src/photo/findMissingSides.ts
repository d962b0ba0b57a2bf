import { PHOTO_SIDES, type Photo } from '../model/workpiece.ts';

type Side = (typeof PHOTO_SIDES)[number];

/** The six sides that a set of photographs must show; details come on top. */
const FULL_SET: readonly Side[] = PHOTO_SIDES.filter((side) => side !== 'detail');

/** Sides that a stage's photographs do not show yet, in the order of the set. While the work goes on no set is wanted. */
export function findMissingSides(photos: readonly Pick<Photo, 'stage' | 'side'>[], stage: Photo['stage']): Side[] {
  if (stage === 'during') return [];
  const seen = new Set(photos.filter((photo) => photo.stage === stage).map((photo) => photo.side));
  return FULL_SET.filter((side) => !seen.has(side));
}
