import {
  chooseOpening,
  createPlanParts,
  explainJoint,
  listJoints,
  type OpeningQuestion,
  type PlanInput,
} from '@sardonyx/core';
import { In, type EntityManager } from 'typeorm';
import { JointRow } from '../../entities/catalogue.ts';
import { DecisionRow, TaskRow, type JobRow } from '../../entities/work.ts';
import {
  AreaRow,
  CoatingLayerRow,
  FindingRow,
  FoundJointRow,
  JointWishRow,
  SpecimenPartRow,
  WantRow,
  type SpecimenRow,
} from '../../entities/workpiece.ts';

/** Gathers everything that the plan of one specimen is made from, its opening chosen. */
export async function createPlanInput(manager: EntityManager, job: JobRow, specimen: SpecimenRow): Promise<PlanInput> {
  const question = await readOpeningQuestion(manager, job, specimen);
  const { scope, parts, decisions } = question;
  const chosen = chooseOpening(question);
  const opening = chosen.opening.map((joint) => ({ ...joint, because: explainJoint(question, chosen, joint.key) }));
  return { scope, parts, decisions, opening, closed: chosen.closed };
}

async function readOpeningQuestion(
  manager: EntityManager,
  job: JobRow,
  { id: specimenId, castingId }: SpecimenRow,
): Promise<OpeningQuestion> {
  const parts = await manager.findBy(SpecimenPartRow, { specimenId });
  const ofParts = { specimenPartId: In(parts.map((part) => part.id)) };
  const areas = await manager.findBy(AreaRow, ofParts);
  const decisions = await manager.findBy(DecisionRow, { jobId: job.id });
  return {
    scope: job.scope,
    decisions: Object.fromEntries(decisions.map((decision) => [decision.school, decision.option])),
    parts: createPlanParts({
      parts,
      areas,
      layers: await manager.find(CoatingLayerRow, {
        where: { areaId: In(areas.map((area) => area.id)) },
        order: { seq: 'ASC' },
      }),
      findings: await manager.findBy(FindingRow, ofParts),
      wants: await manager.findBy(WantRow, ofParts),
    }),
    joints: listJoints(
      castingId ? await manager.findBy(JointRow, { castingId }) : [],
      await manager.findBy(FoundJointRow, { specimenId }),
      await manager.findBy(JointWishRow, { specimenId }),
      await manager.find(TaskRow, {
        where: { specimenId, station: 'open' },
        select: { key: true, title: true, state: true },
      }),
    ),
  };
}
