import { listMaterials } from '../process/listMaterials.ts';
import type { TreatedMaterial } from '../process/processes.ts';
import { isPestSuspect } from './chooseTreatment.ts';
import type { PlanInput, PlanPart } from '../compile/planTypes.ts';

/**
 * All that a process meets on a part of the plan: what it is made of and what is on it (listMaterials), and what holds it:
 * a soldered joint leaves solder on both parts even when it is opened, a glued one that stays closed its adhesive.
 */
export function listPartMaterials(part: PlanPart, { opening, closed }: PlanInput): TreatedMaterial[] {
  const isHeldBy = (kind: 'solder' | 'glue', joints: PlanInput['closed']) =>
    joints.some((joint) => joint.kind === kind && joint.partKeys.includes(part.key));
  const own = listMaterials(
    { material: isPestSuspect(part) ? 'pest-suspect zinc' : part.material },
    part.found.map((kind) => ({ kind, stage: 'found' })),
    part.findings,
  );
  return [
    ...own,
    ...(isHeldBy('solder', opening) || isHeldBy('solder', closed) ? (['soft solder'] as const) : []),
    ...(isHeldBy('glue', closed) && !own.includes('cyanoacrylate bond') ? (['cyanoacrylate bond'] as const) : []),
  ];
}
