import type { JointWay } from '../model/catalogue.ts';
import { judgePart } from '../process/judgePart.ts';
import { isPestSuspect } from '../facts/chooseTreatment.ts';
import type { KnownJoint } from '../facts/specimenFacts.ts';
import type { OpeningPart } from './openingQuestion.ts';

/** What is left for a formed axle that may not be ground (planning estimates). */
const NIPPED: JointWay = {
  key: 'nip',
  label: 'Nip the heads off with cutters',
  tool: 'hand',
  minutes: 8,
  risk: 0.12,
  destroys: 'the axle ends',
  behindJoints: [],
};

/**
 * The ways of a joint that every part it holds stands: no iron near lead, no drill on zinc with signs of pest, no grinding
 * of plated wire (its fume and dust are poison) nor dry through old paint (lead). A formed axle may always be nipped.
 */
export function selectStandableWays(joint: KnownJoint, parts: readonly OpeningPart[]): readonly JointWay[] {
  const own = parts.filter((part) => joint.partKeys.includes(part.key) && part.state !== 'missing');
  const allowed = joint.ways.filter((way) => own.every((part) => isStood(part, way, joint)));
  return allowed.length === 0 && joint.kind === 'formed axle' ? [NIPPED] : allowed;
}

function isStood(part: OpeningPart, { tool }: JointWay, joint: KnownJoint): boolean {
  const material = isPestSuspect(part) ? 'pest-suspect zinc' : part.material;
  if (tool === 'iron') return judgePart([material], 'soldering').verdict !== 'never';
  // The drill meets the rivet or the pin in its casting; plastic beside it is out of its way.
  if (tool === 'drill') return judgePart([material], 'drilling').verdict !== 'never';
  if (tool !== 'rotary') return true;
  if (joint.kind === 'formed axle' && part.role !== 'axle') return true;
  return !part.painted && judgePart([material], 'abrasive').verdict !== 'never';
}

/** Every way a joint can have been opened, whatever its parts stand now. */
export const listWays = (joint: Pick<KnownJoint, 'kind' | 'ways'>): readonly JointWay[] =>
  joint.kind === 'formed axle' ? [...joint.ways, NIPPED] : joint.ways;
