import type { Bath } from '../model/workshop.ts';

/** What a bath holds when it is filled up: with more of the same, or with water, which weakens it. Litres as they stand then. */
export function topUpBath(
  { litres, gramsPerLitre }: Pick<Bath, 'litres' | 'gramsPerLitre'>,
  toLitres: number,
  withWhat: 'the same' | 'water',
): Pick<Bath, 'litres' | 'gramsPerLitre'> {
  const strength = withWhat === 'water' ? (gramsPerLitre * litres) / toLitres : gramsPerLitre;
  return { litres: toLitres, gramsPerLitre: Math.round(strength * 10) / 10 };
}
