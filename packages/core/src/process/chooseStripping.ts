import { isMetal, type Material } from '../model/material.ts';
import type { SchoolOption } from '../model/school.ts';
import type { StripMethod } from '../model/workshop.ts';
import { STRIP_METHOD_FACTS } from './stripMethods.ts';
import { judgePart, type PartVerdict } from './judgePart.ts';
import type { TreatedMaterial } from '../model/process.ts';

export interface StripQuestion {
  /** What it is made of first, then what is on it. */
  readonly materials: readonly TreatedMaterial[];
  /** The house's or the job's answer: of stripping for metal, of cleaning for plastics. Soap takes no paint off. */
  readonly school: SchoolOption<'S11' | 'S18'>;
  /** It stays in one piece with others: liquor would stay in the seam. */
  readonly isJoined: boolean;
}

export interface JudgedMethod {
  readonly method: StripMethod;
  readonly verdict: PartVerdict;
}

export interface RefusedMethod {
  readonly method: StripMethod;
  readonly reason: string;
}

export interface StripAdvice {
  /** null: nothing may take the paint off this part. */
  readonly best: JudgedMethod | null;
  /** Why it is not what the school says; null where it is. */
  readonly insteadOf: RefusedMethod | null;
  readonly alternatives: readonly JudgedMethod[];
  readonly refusals: readonly RefusedMethod[];
}

/** From the gentlest to the harshest, for metal and for plastic. */
const GENTLE_FIRST: Readonly<Record<'metal' | 'plastic', readonly StripMethod[]>> = {
  metal: ['gel', 'mild slow', 'dip', 'caustic', 'blast'],
  plastic: ['glycol-ether', 'thinner wipe'],
};

/**
 * How the paint comes off a part: the school's way where every material in it stands that, else the gentlest that they
 * stand; the others as alternatives, or refused with the reason.
 */
export function chooseStripping({ materials, school, isJoined }: StripQuestion): StripAdvice {
  const [own] = materials;
  if (own === undefined) throw new Error('chooseStripping: no material is given');
  const methods = GENTLE_FIRST[isMetal(own as Material) ? 'metal' : 'plastic'];
  const allowed: JudgedMethod[] = [];
  const refusals: RefusedMethod[] = [];
  for (const method of methods) {
    const verdict = judgePart(materials, STRIP_METHOD_FACTS[method].process);
    const reason = findRefusal(method, own, verdict, isJoined);
    if (reason === null) allowed.push({ method, verdict });
    else refusals.push({ method, reason });
  }
  const best = allowed.find(({ method }) => method === school) ?? allowed[0] ?? null;
  return {
    best,
    insteadOf: refusals.find(({ method }) => method === school) ?? null,
    alternatives: allowed.filter((one) => one !== best),
    refusals,
  };
}

function findRefusal(
  method: StripMethod,
  own: TreatedMaterial,
  { verdict, material, reason }: PartVerdict,
  isJoined: boolean,
): string | null {
  const { isImmersed, only } = STRIP_METHOD_FACTS[method];
  if (verdict === 'never') return `${material}: ${reason}`;
  if (only && !only.materials.includes(own as Material)) return only.why;
  return isImmersed && isJoined ? 'liquor would stay in the closed seam' : null;
}
