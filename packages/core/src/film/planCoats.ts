import type { Spectrum } from '../colour/colorimetry.ts';
import { convertHexToLab } from '../colour/display.ts';
import { reconstructFromLab } from '../colour/smoothReflectance.ts';
import type { CoatingLayer } from '../model/workpiece.ts';
import { countCoats, type CountedPaint } from './countCoats.ts';

/** A colour that would take more wants another ground (adviseGround), and more would fill in letters: so many a plan asks for. */
export const MOST_COATS = 3;

type Planned = Pick<CoatingLayer, 'kind' | 'coats' | 'colourHex'>;

/**
 * Wet coats of a planned layer: as many as the restorer says, else until what lies below no longer shows. Everything but colour goes
 * on in one; a colour over its own kind needs no more than one either.
 *
 * @param paint what is in its pot; undefined where none is chosen
 * @param grounds colours of what it will lie on (groundsOf): it hides the one that shows most
 */
export const planCoats = (layer: Planned, paint: CountedPaint | undefined, grounds: readonly string[]): number =>
  layer.coats ?? Math.min(MOST_COATS, countPlanned(layer, paint, grounds));

/** As many as it takes, also where nobody would lay so many: what weighs orders of colours must know it. */
export function countPlanned(
  { kind, coats, colourHex }: Planned,
  paint: CountedPaint | undefined,
  grounds: readonly string[],
): number {
  if (coats !== null) return coats;
  if (kind !== 'colour' || paint?.kind === 'powder') return 1;
  if (!paint) return grounds.every((hex) => hex === colourHex) ? 1 : UNCHOSEN_COATS;
  return Math.max(...grounds.map((hex) => coatsOver(paint, hex) ?? NEVER_COATS));
}

/** Coats of a paint over a colour: the same few pairs, at every edit of a job. */
const COUNTED = new Map<string, number | null>();
const MOST_COUNTED = 2000;

/** Until a colour below no longer shows; over its own one is enough. null where twelve are not. */
export function coatsOver(paint: CountedPaint, groundHex: string): number | null {
  if (paint.colourHex === groundHex) return 1;
  const count = () => countCoats(paint, paint.dryFilmUm, spectrumOf(groundHex)).coats;
  // What was drawn down is many numbers: it is worked out anew.
  if (paint.optics !== null) return count();
  const key = `${paint.kind} ${paint.gloss} ${paint.colourHex} ${paint.dryFilmUm} ${groundHex}`;
  const known = COUNTED.get(key);
  if (known !== undefined) return known;
  if (COUNTED.size >= MOST_COUNTED) COUNTED.clear();
  const coats = count();
  COUNTED.set(key, coats);
  return coats;
}

/** Where twelve do not hide it. */
const NEVER_COATS = 13;

/** Of a paint that nobody has chosen yet (planning estimate). */
const UNCHOSEN_COATS = 2;

/** Colours of grounds are few and asked for at every edit. */
const SPECTRA = new Map<string, Spectrum>();
const MOST_SPECTRA = 200;
const GREY = 0.4;

/** The smoothest reflectance of a colour on the screen; mid grey where no surface can have it. */
function spectrumOf(hex: string): Spectrum {
  const known = SPECTRA.get(hex);
  if (known) return known;
  if (SPECTRA.size >= MOST_SPECTRA) SPECTRA.clear();
  const made = reconstruct(hex);
  SPECTRA.set(hex, made);
  return made;
}

function reconstruct(hex: string): Spectrum {
  try {
    return reconstructFromLab(convertHexToLab(hex));
  } catch {
    return new Float64Array(31).fill(GREY);
  }
}
