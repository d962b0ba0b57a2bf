import { isMetal } from '../model/material.ts';
import { chooseTreatment, isPestSuspect, wearsKeptPaint, type Treatment } from './chooseTreatment.ts';
import type { Decisions } from '../model/school.ts';
import type { OpeningPart } from '../opening/openingQuestion.ts';
import type { ClosedJoint } from './specimenFacts.ts';

/** What stays in one piece, and what that costs each part of it. */
export interface Pieces<Part extends OpeningPart = OpeningPart> {
  /** The parts that stay joined to a part, itself left out. */
  readonly neighboursOf: (partKey: string) => readonly Part[];
  /** Neither stripped, washed, painted nor warmed: signs of pest on it, or on what it stays joined to. */
  readonly isLeftAlone: (partKey: string) => boolean;
  /** What stays joined to a painted part and must not meet stripper: plastic, or paint that is kept; null where there is none. */
  readonly findSheltered: (partKey: string) => Part | null;
  /** Covered while a neighbour is painted. */
  readonly masked: readonly Masking<Part>[];
}

export interface Masking<Part extends OpeningPart = OpeningPart> {
  readonly part: Part;
  /** The neighbours whose paint must not reach it. */
  readonly against: readonly Part[];
}

/** What the closed joints keep together. Missing parts hold nothing. */
export function describePieces<Part extends OpeningPart>(
  parts: readonly Part[],
  closed: readonly ClosedJoint[],
  decisions: Decisions = {},
): Pieces<Part> {
  const present = parts.filter((part) => part.state !== 'missing');
  const groups = joinParts(present, closed);
  const pieces = new Map(groups.flatMap((group) => group.map((part) => [part.key, group] as const)));
  const neighbours = new Map(
    present.map((part) => [part.key, pieces.get(part.key)!.filter((other) => other !== part)] as const),
  );
  const neighboursOf = (partKey: string) => neighbours.get(partKey) ?? [];
  // A missing part lies in no piece: it is asked by itself.
  const isLeftAlone = (partKey: string) =>
    (pieces.get(partKey) ?? parts.filter((part) => part.key === partKey)).some(isPestSuspect);
  const findSheltered = (partKey: string) =>
    neighboursOf(partKey).find((part) => !isMetal(part.material) || wearsKeptPaint(part)) ?? null;
  const treatments = new Map(present.map((part) => [part.key, chooseTreatment(part, decisions)]));
  const masked = present.flatMap((part): Masking<Part>[] => {
    if (isLeftAlone(part.key)) return [];
    const against = neighboursOf(part.key).filter((other) =>
      needsMask(part, treatments.get(part.key)!, other, treatments.get(other.key)!),
    );
    return against.length ? [{ part, against }] : [];
  });
  return { neighboursOf, isLeftAlone, findSheltered, masked };
}

/** Of two painted parts only the lighter one is masked: it is painted first. */
function needsMask(part: OpeningPart, own: Treatment, other: OpeningPart, theirs: Treatment): boolean {
  if (theirs.kind !== 'paint' || theirs.key === own.key) return false;
  if (own.kind !== 'paint') return true;
  const [mine, its] = [own.luminance, theirs.luminance];
  return mine > its || (mine === its && part.key < other.key);
}

function joinParts<Part extends OpeningPart>(parts: readonly Part[], closed: readonly ClosedJoint[]): Part[][] {
  let groups = parts.map((part) => [part]);
  for (const { partKeys } of closed) {
    const touched = groups.filter((group) => group.some((part) => partKeys.includes(part.key)));
    if (touched.length > 1) groups = [...groups.filter((group) => !touched.includes(group)), touched.flat()];
  }
  return groups;
}
