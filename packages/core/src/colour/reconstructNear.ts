import type { Lab } from './colorimetry.ts';
import { reconstructFromLab } from './smoothReflectance.ts';

/** White of a screen is lighter than any paint, its hues brighter: so much nearer to a dark grey at a time. */
const [DARKER, PALER] = [0.995, 0.94];
const LIGHTEST = 98;

/** The smoothest reflectance of a colour, or of the nearest that a surface can have. */
export function reconstructNear(lab: Lab): Float64Array {
  let near = lab;
  for (;;) {
    try {
      return reconstructFromLab(near);
    } catch {
      near = [Math.min(near[0], LIGHTEST) * DARKER, PALER * near[1], PALER * near[2]];
    }
  }
}
