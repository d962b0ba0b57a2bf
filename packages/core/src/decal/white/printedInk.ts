import { BANDS } from '../../colour/cieTables.ts';
import {
  computeLab,
  convertLabToXyz,
  convertXyzToLab,
  type Lab,
  type Spectrum,
  type Xyz,
} from '../../colour/colorimetry.ts';
import { addSurface, removeSurface, USUAL_SURFACE } from '../../colour/kubelkaMunk.ts';
import { reconstructNear } from '../../colour/reconstructNear.ts';

/** White of a screen, on which artwork is drawn: bare paper. */
export const SCREEN_WHITE: Lab = [100, 0, 0];

/** No reflectance gives a white of 100; everything is taken so much darker, which falls out again. */
const DARKER = 0.9;

/**
 * What passes an ink down and up again, T squared per band, by its colour on white paper and that of the bare paper: reflectance within
 * the surface, one over the other. Bare paper is no ink: all of it passes.
 */
export function computeInkPass(onPaper: Lab, paper: Lab = SCREEN_WHITE): Float64Array {
  const bare = reconstructPrint(paper);
  return Float64Array.from(reconstructPrint(onPaper), (r, i) =>
    Math.min(1, removeSurface(r, WITHIN) / removeSurface(bare[i]!, WITHIN)),
  );
}

/** Colour of an ink on clear film over a body colour, gloss left out: Saunderson off the body, T squared, Saunderson on again (1942). */
export function predictOnBody(inkPass: Spectrum, body: Spectrum): Lab {
  return computeLab(
    Float64Array.from({ length: BANDS }, (_, i) => addSurface(removeSurface(body[i]!, WITHIN) * inkPass[i]!, WITHIN)),
  );
}

const WITHIN = { ...USUAL_SURFACE, hasGloss: false };

function reconstructPrint([l, a, b]: Lab): Float64Array {
  const xyz = convertLabToXyz([Math.max(1, l), a, b]).map((one) => one * DARKER) as unknown as Xyz;
  return reconstructNear(convertXyzToLab(xyz));
}
