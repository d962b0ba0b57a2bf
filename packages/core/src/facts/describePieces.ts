import { isMetal } from '../model/material.ts';
import { chooseTreatment, isPestSuspect, type Treatment } from './chooseTreatment.ts';
import type { ClosedJoint, PlanPart } from '../compile/planTypes.ts';

/** What stays in one piece, and what that costs each part of it. */
export interface Pieces {
  /** The parts that stay joined to a part, itself left out. */
  readonly neighboursOf: (partKey: string) => readonly PlanPart[];
  /** Neither stripped, washed, painted nor warmed: signs of pest on it, or on what it stays joined to. */
  readonly isLeftAlone: (partKey: string) => boolean;
  /** The plastic that stays inside, which is why a painted part cannot be stripped; null where it can. */
  readonly findShelteredPlastic: (partKey: string) => PlanPart | null;
  /** Covered while a neighbour is painted. */
  readonly masked: readonly Masking[];
}

export interface Masking {
  readonly part: PlanPart;
  /** The neighbours whose paint must not reach it. */
  readonly against: readonly PlanPart[];
}

/** What the closed joints keep together. Missing parts hold nothing. */
export function describePieces(
  parts: readonly PlanPart[],
  closed: readonly ClosedJoint[],
  decisions: Readonly<Record<string, string>> = {},
): Pieces {
  const present = parts.filter((part) => part.state !== 'missing');
  const groups = joinParts(present, closed);
  const pieces = new Map(groups.flatMap((group) => group.map((part) => [part.key, group] as const)));
  const neighbours = new Map(
    present.map((part) => [part.key, pieces.get(part.key)!.filter((other) => other !== part)] as const),
  );
  const neighboursOf = (partKey: string) => neighbours.get(partKey) ?? [];
  const isLeftAlone = (partKey: string) => pieces.get(partKey)?.some(isPestSuspect) ?? false;
  const findShelteredPlastic = (partKey: string) =>
    neighboursOf(partKey).find((part) => !isMetal(part.material)) ?? null;
  const treatments = new Map(present.map((part) => [part.key, chooseTreatment(part, decisions)]));
  const masked = present.flatMap((part): Masking[] => {
    if (isLeftAlone(part.key)) return [];
    const against = neighboursOf(part.key).filter((other) =>
      needsMask(part, treatments.get(part.key)!, other, treatments.get(other.key)!),
    );
    return against.length ? [{ part, against }] : [];
  });
  return { neighboursOf, isLeftAlone, findShelteredPlastic, masked };
}

/** Of two painted parts only the lighter one is masked: it is painted first (O21). */
function needsMask(part: PlanPart, own: Treatment, other: PlanPart, theirs: Treatment): boolean {
  if (theirs.kind !== 'paint' || theirs.key === own.key) return false;
  if (own.kind !== 'paint') return true;
  const [mine, its] = [own.luminance, theirs.luminance];
  return mine > its || (mine === its && part.key < other.key);
}

function joinParts(parts: readonly PlanPart[], closed: readonly ClosedJoint[]): PlanPart[][] {
  let groups = parts.map((part) => [part]);
  for (const { partKeys } of closed) {
    const touched = groups.filter((group) => group.some((part) => partKeys.includes(part.key)));
    if (touched.length > 1) groups = [...groups.filter((group) => !touched.includes(group)), touched.flat()];
  }
  return groups;
}
