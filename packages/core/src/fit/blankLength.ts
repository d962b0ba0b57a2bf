/** Where the length of a bend stays what it was, from the inner face, in thicknesses: nearer the inside the sharper it is. */
function neutralShare(radius: number, thickness: number): number {
  if (radius < thickness) return 0.33;
  return radius < 3 * thickness ? 0.4 : 0.5;
}

/** Length that a bend takes of wire, strip or tube: angle times the radius of the line that keeps its length; mm, degrees. */
export const computeBend = (degrees: number, innerRadius: number, thickness: number): number =>
  ((degrees * Math.PI) / 180) * (innerRadius + neutralShare(innerRadius, thickness) * thickness);

export interface Bend {
  readonly degrees: number;
  readonly innerRadius: number;
}

/**
 * What to cut for a bent piece.
 *
 * @param straights lengths between the bends, from where one ends to where the next begins, mm; one more than there are bends
 * @param thickness of wire, strip or tube in the plane of the bend, mm
 */
export function computeBentBlank(straights: readonly number[], bends: readonly Bend[], thickness: number): number {
  if (straights.length !== bends.length + 1) throw new RangeError('A bent piece has one straight more than bends.');
  return (
    straights.reduce((sum, one) => sum + one, 0) +
    bends.reduce((sum, { degrees, innerRadius }) => sum + computeBend(degrees, innerRadius, thickness), 0)
  );
}

/** A tab: what it goes through, and as much as lies on the other side when it is bent over square. */
export const computeTab = (through: number, bentOver: number, thickness: number): number =>
  computeBentBlank([through, Math.max(0, bentOver - thickness)], [{ degrees: 90, innerRadius: 0 }], thickness);

/** A rail or pillar along an arc: chord between its ends, rise of its middle above that; mm. */
export function computeArc(chord: number, rise: number): number {
  if (rise === 0) return chord;
  const radius = (chord * chord) / (8 * Math.abs(rise)) + Math.abs(rise) / 2;
  return 4 * radius * Math.atan2(2 * Math.abs(rise), chord);
}

/** Round wire for a ball, by volume; mm. */
export const computeBallBlank = (ball: number, wire: number): number => (2 * ball ** 3) / (3 * wire ** 2);

/** Round wire for a horn, a cone cut off at both ends, by volume; mm. */
export const computeHornBlank = (length: number, wide: number, narrow: number, wire: number): number =>
  (length * (wide * wide + wide * narrow + narrow * narrow)) / (3 * wire ** 2);
