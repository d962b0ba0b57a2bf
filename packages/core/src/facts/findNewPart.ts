import type { SpecimenPart, Want } from '../model/workpiece.ts';
import type { NewPart } from './specimenFacts.ts';

/**
 * What takes the place of a part that is missing, or damaged and replaced; null where the part itself stays. It is here when
 * everything that was wanted for it is. A want for a decal or a tool, or one that was waived, brings no part; nor does one that
 * nobody ordered yet for a part that is glued rather than replaced.
 */
export function findNewPart(
  { state }: Pick<SpecimenPart, 'state'>,
  wants: readonly Pick<Want, 'kind' | 'state' | 'origin'>[],
  isGlued = false,
): NewPart | null {
  if (state !== 'missing' && state !== 'damaged') return null;
  const own = wants.filter((want) => want.kind === 'part');
  const coming = own.filter((want) => want.state !== 'waived');
  if (isGlued && state === 'damaged' && coming.every((want) => want.state === 'open')) return null;
  // Missing and not on the list yet: it is missed all the same. On the list and waived: it stays away.
  if (coming.length === 0) return state === 'missing' && own.length === 0 ? { isHere: false, origin: null } : null;
  const isHere = coming.every((want) => want.state === 'solved');
  return { isHere, origin: coming.find((want) => want.origin !== null)?.origin ?? null };
}
