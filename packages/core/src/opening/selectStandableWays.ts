import type { JointWay } from '../model/catalogue.ts';
import { judgePart } from '../process/judgePart.ts';
import { isPestSuspect } from '../facts/chooseTreatment.ts';
import type { KnownJoint } from '../facts/specimenFacts.ts';
import type { OpeningPart } from './openingQuestion.ts';

/**
 * The ways of a joint that every part it holds stands: no iron near lead, no drill on zinc with signs of pest, no grinding
 * of plated wire (its fume and dust are poison) nor dry through old paint (lead).
 */
export const selectStandableWays = (joint: KnownJoint, parts: readonly OpeningPart[]): readonly JointWay[] =>
  joint.ways.filter((way) => findWayRefusal(way, joint, parts) === null);

/** Why a joint may not be opened so; null where it may. */
export function findWayRefusal(way: JointWay, joint: KnownJoint, parts: readonly OpeningPart[]): string | null {
  for (const part of parts) {
    if (!joint.partKeys.includes(part.key) || part.state === 'missing') continue;
    const reason = findRefusalOf(part, way, joint);
    if (reason) return reason;
  }
  return null;
}

function findRefusalOf(part: OpeningPart, { tool }: JointWay, joint: KnownJoint): string | null {
  const material = isPestSuspect(part) ? 'pest-suspect zinc' : part.material;
  const judge = (process: 'soldering' | 'drilling' | 'abrasive') => {
    const { verdict, reason } = judgePart([material], process);
    return verdict === 'never' ? `${material}: ${reason}` : null;
  };
  if (tool === 'hand') return null;
  if (tool === 'iron') return judge('soldering');
  // The drill meets the rivet or the pin in its casting; plastic beside it is out of its way.
  if (tool === 'drill' || tool === 'cutter') return judge('drilling');
  if (joint.kind === 'formed axle' && part.role !== 'axle') return null;
  if (part.painted) return `the ${part.name.toLowerCase()} wears old paint: no dust of it, it may hold lead`;
  return judge('abrasive');
}
