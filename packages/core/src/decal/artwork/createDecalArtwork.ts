import svgpath from 'svgpath';
import { InvalidInputError } from '../../model/errors.ts';
import type { Artwork, DecalArtwork, DrawnDecal } from '../../model/decal.ts';
import type { Point } from '../../model/plane.ts';
import { computeCutLine } from './computeCutLine.ts';
import { drawDecal } from './drawDecal.ts';
import { listInks } from './listInks.ts';
import type { Picture } from '../../photo/picture.ts';
import { tracePicture } from './tracePicture.ts';
import { readDecalSvg } from './readDecalSvg.ts';

/** What is worked out of an artwork once, when it comes or its size changes. */
export type WorkedOutArtwork = Pick<
  DecalArtwork,
  'widthMm' | 'heightMm' | 'shapes' | 'cutLine' | 'inkLine' | 'inks' | 'bareShare' | 'sizeFrom'
>;

const roundPoint = ({ x, y }: Point): Point => ({ x: +x.toFixed(3), y: +y.toFixed(3) });

const workOut = (artwork: Artwork, sizeFrom: DecalArtwork['sizeFrom']): WorkedOutArtwork => ({
  ...{ ...artwork, ...listInks(artwork), sizeFrom },
  cutLine: computeCutLine(artwork).map(roundPoint),
  inkLine: computeCutLine(artwork, 0).map(roundPoint),
});

/** An artwork out of the text of an SVG file. Throws InvalidInputError as readDecalSvg does. */
export function createDecalArtwork(svg: string): WorkedOutArtwork {
  const { artwork, isSizeSure } = readDecalSvg(svg);
  return workOut(artwork, isSizeSure ? 'units of the file' : 'px of the file');
}

/** An artwork out of a picture of flat inks, of which what is printed is so wide. Throws InvalidInputError as tracePicture does. */
export function createPictureArtwork(picture: Picture, widthMm: number, isWhitePaper: boolean): WorkedOutArtwork {
  const artwork = tracePicture(picture, widthMm, isWhitePaper);
  assertSize([artwork.widthMm, artwork.heightMm]);
  return workOut(artwork, 'typed');
}

/** An artwork out of what somebody traced. Throws InvalidInputError as drawDecal does. */
export function createDrawnArtwork(drawn: DrawnDecal): WorkedOutArtwork {
  const artwork = drawDecal(drawn);
  assertSize([artwork.widthMm, artwork.heightMm]);
  return workOut(artwork, 'traced');
}

const [LEAST_MM, MOST_MM] = [0.3, 400];

function assertSize(sizes: readonly number[]): void {
  if (!sizes.every((mm) => mm >= LEAST_MM && mm <= MOST_MM))
    throw new InvalidInputError(
      'size',
      `It would be ${sizes.map((mm) => mm.toFixed(2)).join(' × ')} mm; a decal has ${LEAST_MM} to ${MOST_MM} mm.`,
      'widthMm',
    );
}

/** The same artwork so wide, its height in proportion. Throws InvalidInputError for a size that no decal has. */
export function resizeArtwork({ widthMm, heightMm, shapes }: Artwork, wantedMm: number): WorkedOutArtwork {
  const scale = wantedMm / widthMm;
  assertSize([wantedMm, heightMm * scale]);
  const scaled = shapes.map((shape) => ({
    ...shape,
    d: svgpath(shape.d).scale(scale).abs().round(3).toString(),
    strokeMm: shape.strokeMm * scale,
  }));
  return workOut({ widthMm: wantedMm, heightMm: heightMm * scale, shapes: scaled }, 'typed');
}
