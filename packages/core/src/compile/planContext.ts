import { isMetal } from '../model/material.ts';
import { comesOffWithPaint, type TreatedMaterial } from '../model/process.ts';
import type { SchoolKey, SchoolOption } from '../model/school.ts';
import { adviseBake, type Bake } from '../process/adviseBake.ts';
import { chooseStripping, type StripAdvice } from '../process/chooseStripping.ts';
import { judgePart } from '../process/judgePart.ts';
import { STRIP_METHOD_FACTS } from '../process/stripMethods.ts';
import { isPestSuspect, isReplaced, wearsKeptPaint } from '../facts/chooseTreatment.ts';
import { describePieces, type Pieces } from '../facts/describePieces.ts';
import { listPartMaterials } from '../facts/listPartMaterials.ts';
import type { PlanJoint, PlanPart } from '../facts/specimenFacts.ts';
import { chooseOption } from '../schools/schools.ts';
import { sayDecision } from '../words/sayDecision.ts';
import type { PlanInput } from './planTypes.ts';

/** What every rule, panel and word looks at: the facts, and what follows from them for each part. */
export interface PlanContext {
  readonly input: PlanInput;
  readonly pieces: Pieces<PlanPart>;
  /** Parts that are there and may be worked on. */
  readonly workable: readonly PlanPart[];
  /** Joints of the opening that hold something; what was found open, or held a missing part, holds nothing. */
  readonly shut: readonly PlanJoint[];
  /** The option in force of a school. */
  readonly option: <Key extends SchoolKey>(school: Key) => SchoolOption<Key>;
  /** "gel. It stays where it is put and works wet." */
  readonly because: (school: SchoolKey) => string;
  readonly partOf: (partKey: string | undefined) => PlanPart;
  readonly jointOf: (jointKey: string | undefined) => PlanJoint;
  readonly materialsOf: (part: PlanPart) => readonly TreatedMaterial[];
  /** It came apart from something: a joint of it is open, and nothing else keeps the two together. */
  readonly isFreed: (part: PlanPart) => boolean;
  /** How its old paint could come off, or came off; null where it has none or keeps it. */
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

export function createPlanContext(input: PlanInput): PlanContext {
  const { parts, decisions } = input;
  const pieces = describePieces(parts, input.scope !== 'clean only' ? input.closed : [], decisions);
  const freed = new Set(input.opening.flatMap((joint) => joint.partKeys.filter((key) => comesApart(key, joint))));
  const materials = new Map(parts.map((part) => [part, listPartMaterials(part, input)]));
  const materialsOf = (part: PlanPart) => materials.get(part)!;
  const option = <Key extends SchoolKey>(school: Key) => chooseOption(school, decisions);
  const isJoined = (part: PlanPart) => pieces.neighboursOf(part.key).length > 0;
  const byKey = new Map(parts.map((part) => [part.key, part]));
  const joints = new Map(input.opening.map((joint) => [joint.key, joint]));
  const stripping = new Map(parts.map((part) => [part, adviseStripping(part)]));
  const strippingOf = (part: PlanPart) => stripping.get(part)!;
  const workable = parts.filter(
    (part) => (part.state !== 'missing' || isComing(part)) && !part.isKept && !pieces.isLeftAlone(part.key),
  );
  const stripped = workable.flatMap((part): StrippedPart[] => {
    const advice = strippingOf(part);
    return advice?.best && isWorthStripping(part) ? [{ part, advice }] : [];
  });
  const bare = new Set(stripped.map(({ part }) => part));
  return {
    ...{ input, pieces, workable, shut: input.opening.filter(isShut), option, materialsOf, strippingOf, stripped },
    because: (school) => sayDecision(school, option(school), input.reasons[school]),
    partOf: (key) => find(byKey, key, 'part'),
    jointOf: (key) => find(joints, key, 'opened joint'),
    isFreed: (part) => freed.has(part.key),
    isStripped: (part) => bare.has(part),
    bakeRefusals: (part, bake) => adviseBake(inOven(part), bake, isJoined(part)).refusals,
  };

  /** From one of the others that this joint held. */
  function comesApart(partKey: string, { partKeys }: PlanJoint): boolean {
    const neighbours = pieces.neighboursOf(partKey);
    return partKeys.some((other) => other !== partKey && neighbours.every(({ key }) => key !== other));
  }

  /** A decal that comes off with the old paint never sees the oven. */
  function inOven(part: PlanPart): readonly TreatedMaterial[] {
    return bare.has(part) ? materialsOf(part).filter((one) => one !== 'water-slide decal') : materialsOf(part);
  }

  function isShut({ partKeys, condition }: PlanJoint): boolean {
    if (condition !== undefined && condition !== 'glued') return false;
    const known = partKeys.flatMap((key) => byKey.get(key) ?? []);
    return known.length === 0 || known.filter((part) => part.state !== 'missing').length > 1;
  }

  function adviseStripping(part: PlanPart): StripAdvice | null {
    if (!part.painted || part.isKept || isPestSuspect(part)) return null;
    if (part.state === 'missing' && !part.newPart?.isHere) return null;
    const { stripped: method } = part.done;
    const neighbours = pieces.neighboursOf(part.key);
    const all = [part, ...neighbours].flatMap((one) => materialsOf(one).filter((it) => !comesOffWithPaint(it)));
    const school = isMetal(part.material) ? option('S11') : option('S18');
    const advice = chooseStripping({ materials: all, school, isJoined: neighbours.length > 0 });
    // What came off already came off so, whatever is decided now; its corners may still be blasted.
    if (method) {
      const verdict = judgePart(all, STRIP_METHOD_FACTS[method].process);
      const alternatives = advice.best?.method === 'blast' ? [advice.best] : [];
      return { best: { method, verdict }, insteadOf: null, alternatives, refusals: [] };
    }
    if (option('S22') === 'honest wear' && part.coats.length === 0) return null;
    // Stripper would reach paint that is kept.
    return neighbours.some(wearsKeptPaint) ? { ...advice, best: null, alternatives: [] } : advice;
  }
}

function find<T>(known: ReadonlyMap<string, T>, key: string | undefined, what: string): T {
  const found = key === undefined ? undefined : known.get(key);
  if (!found) throw new Error(`There is no ${what} ${key ?? ''}`);
  return found;
}

/** Somebody wants it and has not waived it: else nothing comes that could be painted. */
const isComing = (part: PlanPart) => isReplaced(part) && part.wants.some((want) => want.state !== 'waived');

/** Plastic that is only faded or worn keeps its own paint: it comes off where something else goes on or lies over it. */
const isWorthStripping = (part: PlanPart) =>
  isMetal(part.material) ||
  part.findings.some((finding) => finding.kind === 'overpaint') ||
  part.coats.some((coat) => coat.kind === 'colour');
