import type { PhotoFit } from '../model/trace.ts';
import type { PhotoControl } from '../model/workpiece.ts';
import { preparePlane } from '../photo/computePhotoMeasure.ts';
import { bendPoint } from '../photo/lens.ts';
import { sampleGrey, type Picture } from '../photo/picture.ts';
import { invertHomography, mapPoint, solveHomography } from '../photo/solveHomography.ts';
import { mapToPhoto } from './layPhoto.ts';
import type { Lightness } from './snapLine.ts';

/** A photograph under a drawing: places of the drawing are read in the picture itself, which nothing has resampled. */
export function lightnessOfPhoto(picture: Picture, control: PhotoControl, fit: PhotoFit): Lightness {
  const { lens, points } = preparePlane(control, { widthPx: picture.width, heightPx: picture.height });
  const toPixel = invertHomography(solveHomography(points));
  return (place) => {
    const straight = mapPoint(toPixel, mapToPhoto(fit, place));
    const { x, y } = lens ? bendPoint(lens, straight) : straight;
    return sampleGrey(picture, x, y);
  };
}
