import { listMaterials } from '../process/listMaterials.ts';
import type { TreatedMaterial } from '../model/process.ts';
import type { Opening, PlanPart } from './specimenFacts.ts';

/**
 * All that a process meets on a part of the plan: what it is made of and what is on it (listMaterials), and what holds it:
 * a soldered joint leaves solder on both parts even when it is opened, a glued one that stays closed its adhesive.
 */
export function listPartMaterials(part: PlanPart, { opening, closed }: Opening): TreatedMaterial[] {
  const isHeldBy = (kind: 'solder' | 'glue', joints: Opening['closed']) =>
    joints.some(
      (joint) =>
        (joint.kind === kind || (kind === 'glue' && joint.condition === 'glued')) && joint.partKeys.includes(part.key),
    );
  const own = listMaterials(
    part,
    part.found.map((kind) => ({ kind, stage: 'found' })),
    part.findings,
  );
  return [
    ...own,
    ...(isHeldBy('solder', opening) || isHeldBy('solder', closed) ? (['soft solder'] as const) : []),
    ...(isHeldBy('glue', closed) && !own.includes('cyanoacrylate bond') ? (['cyanoacrylate bond'] as const) : []),
  ];
}
