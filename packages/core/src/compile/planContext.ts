import { isMetal } from '../model/material.ts';
import { adviseBake, type Bake } from '../process/adviseBake.ts';
import { chooseStripping, type StripAdvice } from '../process/chooseStripping.ts';
import type { TreatedMaterial } from '../process/processes.ts';
import { isPestSuspect } from '../facts/chooseTreatment.ts';
import { describePieces, type Pieces } from '../facts/describePieces.ts';
import { listPartMaterials } from '../facts/listPartMaterials.ts';
import type { PlanInput, PlanPart } from './planTypes.ts';
import { chooseOption, SCHOOLS, type School } from '../schools/schools.ts';

/** What every rule looks at. */
export interface PlanContext {
  readonly input: PlanInput;
  readonly pieces: Pieces;
  /** Parts that are there and may be worked on. */
  readonly workable: readonly PlanPart[];
  /** The option in force of a school. */
  readonly option: (school: string) => string;
  /** "gel (S11): It stays where it is put and works wet." */
  readonly because: (school: string) => string;
  readonly materialsOf: (part: PlanPart) => readonly TreatedMaterial[];
  /** A joint of it is opened. */
  readonly isFreed: (part: PlanPart) => boolean;
  /** How its old paint could come off; null where it has none or keeps it. */
  readonly strippingOf: (part: PlanPart) => StripAdvice | null;
  /** Parts whose paint comes off, with how. */
  readonly stripped: readonly StrippedPart[];
  readonly isStripped: (part: PlanPart) => boolean;
  /** Why it may not be baked so, all reasons; empty when it may. */
  readonly bakeRefusals: (part: PlanPart, bake: Bake) => readonly string[];
}

export interface StrippedPart {
  readonly part: PlanPart;
  readonly advice: StripAdvice;
}

/** Longest that is watched at a stretch where no calendar says otherwise, minutes. */
const USUAL_SESSION_MIN = 120;

export const sessionOf = (input: PlanInput): number => input.sessionMin ?? USUAL_SESSION_MIN;

export function createPlanContext(input: PlanInput): PlanContext {
  const { parts, decisions } = input;
  const pieces = describePieces(parts, input.scope === 'full' ? input.closed : [], decisions);
  const freed = new Set(input.opening.flatMap((joint) => joint.partKeys));
  const materials = new Map(parts.map((part) => [part, listPartMaterials(part, input)]));
  const materialsOf = (part: PlanPart) => materials.get(part)!;
  const options = new Map(SCHOOLS.map(({ key }) => [key, chooseOption(key, decisions)]));
  const option = (school: string) => options.get(school)!;
  const reasons = new Map(SCHOOLS.map((school) => [school.key, giveReason(school, option(school.key), input)]));
  const isJoined = (part: PlanPart) => pieces.neighboursOf(part.key).length > 0;
  const stripping = new Map(parts.map((part) => [part, adviseStripping(part)]));
  const strippingOf = (part: PlanPart) => stripping.get(part)!;
  const workable = parts.filter((part) => part.state !== 'missing' && !pieces.isLeftAlone(part.key));
  const stripped = workable.flatMap((part): StrippedPart[] => {
    const advice = strippingOf(part);
    return advice?.best && isWorthStripping(part) ? [{ part, advice }] : [];
  });
  const bare = new Set(stripped.map(({ part }) => part));
  return {
    ...{ input, pieces, workable, option, materialsOf, strippingOf, stripped },
    because: (school) => reasons.get(school)!,
    isFreed: (part) => freed.has(part.key),
    isStripped: (part) => bare.has(part),
    bakeRefusals: (part, bake) => adviseBake(materialsOf(part), bake, isJoined(part)).refusals,
  };

  function adviseStripping(part: PlanPart): StripAdvice | null {
    if (!part.painted || part.state === 'missing' || isPestSuspect(part)) return null;
    if (option('S22') === 'honest wear' && part.coats.length === 0) return null;
    const school = option(isMetal(part.material) ? 'S11' : 'S18');
    const neighbours = pieces.neighboursOf(part.key);
    const materials = [part, ...neighbours].flatMap((one) => materialsOf(one).filter(isLasting));
    return chooseStripping({ materials, school, isJoined: neighbours.length > 0 });
  }
}

/** Filler, decals and an earlier bond come off with the paint; what the part is, and what it is soldered with, stays. */
const isLasting = (material: TreatedMaterial) =>
  material !== 'water-slide decal' && material !== 'two-part filler' && material !== 'cyanoacrylate bond';

/** Plastic that is only faded or worn keeps its own paint: it comes off where something else goes on or lies over it. */
const isWorthStripping = (part: PlanPart) =>
  isMetal(part.material) ||
  part.findings.some((finding) => finding.kind === 'overpaint') ||
  part.coats.some((coat) => coat.kind === 'colour');

function giveReason({ key, defaultOption, defaultReason }: School, chosen: string, { reasons }: PlanInput): string {
  const reason = reasons?.[key] ?? (chosen === defaultOption ? defaultReason : '');
  return `${chosen} (${key})${reason ? `: ${reason}` : '.'}`;
}
