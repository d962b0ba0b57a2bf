import { exactly, type Reading } from './reading.ts';

/** How an end is to hold the wheel. A pressed or glued hub takes no stock of its own. */
export type AxleEnd =
  | { readonly kind: 'domed'; readonly headDiameter: number; readonly headHeight: number }
  | { readonly kind: 'crimped'; readonly bore: number; readonly flatLength: number; readonly isAnnealed: boolean }
  | { readonly kind: 'pressed' };

/** A head as the punch leaves it, and a flat as the pliers do: these rule, not the calipers. Standard deviations, mm. */
const HEAD_HEIGHT_SD = 0.06;
const FLAT_LENGTH_SD = 0.15;
/** A flat must be wider than the hole it holds by so much, mm (planning estimate). */
const FLAT_MARGIN = 0.3;
/** Thinner than these shares of its round the steel cracks (planning estimates). */
const LEAST_FLAT = { annealed: 0.5, hard: 0.65 } as const;
/** Free stock that stands out by more diameters buckles under the punch instead of spreading. */
const BUCKLES_AT = 2.3;

export interface EndStock {
  /** Stock that the end takes, beyond the face of the wheel. */
  readonly stock: Reading;
  /** To what it is squeezed, mm; null where it is not. */
  readonly flatTo: number | null;
  /** 'buckles': more stands out than a punch spreads; 'cracks': the flat would have to be thinner than the steel bears. */
  readonly fault: 'buckles' | 'cracks' | null;
}

/**
 * What an end takes of the stock. A dome is as much round as its cap has volume, pi h (3 a^2 + h^2) / 6 for a cap of radius a and
 * height h; a flat takes its own length.
 *
 * @param diameter of the axle, mm
 */
export function computeEndStock(end: AxleEnd, diameter: number): EndStock {
  if (end.kind === 'pressed') return { stock: exactly(0), flatTo: null, fault: null };
  if (end.kind === 'crimped') {
    const flatTo = computeFlat(diameter, end.bore + FLAT_MARGIN);
    const least = diameter * (end.isAnnealed ? LEAST_FLAT.annealed : LEAST_FLAT.hard);
    const stock = { mm: end.flatLength, sd: FLAT_LENGTH_SD };
    return { stock, flatTo, fault: flatTo === null || flatTo < least ? 'cracks' : null };
  }
  const [a, h] = [end.headDiameter / 2, end.headHeight];
  const section = (Math.PI * diameter ** 2) / 4;
  // The cube of a height that spreads is more, on the whole, than the cube of its mean.
  const cap = (Math.PI * (3 * a * a * h + h ** 3 + 3 * h * HEAD_HEIGHT_SD ** 2)) / 6;
  const perHeight = (Math.PI * (a * a + h * h)) / 2;
  const stock = { mm: cap / section, sd: (perHeight / section) * HEAD_HEIGHT_SD };
  return { stock, flatTo: null, fault: stock.mm > BUCKLES_AT * diameter ? 'buckles' : null };
}

/**
 * To what a round is squeezed to be so wide, with rounded edges and no longer than before: the smaller root of
 * (1 - pi/4) t^2 - w t + pi d^2 / 4 = 0. null where it is that wide already, or never gets so wide.
 */
export function computeFlat(diameter: number, width: number): number | null {
  if (width <= diameter) return null;
  const a = 1 - Math.PI / 4;
  const root = width ** 2 - a * Math.PI * diameter ** 2;
  return root < 0 ? null : (width - Math.sqrt(root)) / (2 * a);
}

/** How wide a round gets that is squeezed to a thickness, mm. */
export const computeFlatWidth = (diameter: number, thickness: number): number =>
  thickness + (Math.PI * (diameter ** 2 - thickness ** 2)) / (4 * thickness);
