import { computeOpeningOrder, selectJointsToOpen, type PlanInput, type PlanJoint } from '@sardonyx/core';
import { In, type EntityManager } from 'typeorm';
import { JointRow } from '../../entities/catalogue.ts';
import { DecisionRow, type JobRow } from '../../entities/work.ts';
import {
  AreaRow,
  CoatingLayerRow,
  FindingRow,
  SpecimenPartRow,
  WantRow,
  type SpecimenRow,
} from '../../entities/workpiece.ts';

/** Gathers everything that the plan of one specimen is made from. */
export async function createPlanInput(manager: EntityManager, job: JobRow, specimen: SpecimenRow): Promise<PlanInput> {
  const parts = await manager.findBy(SpecimenPartRow, { specimenId: specimen.id });
  const partIds = parts.map((part) => part.id);
  const areas = await manager.findBy(AreaRow, { specimenPartId: In(partIds) });
  const layers = await manager.find(CoatingLayerRow, {
    where: { areaId: In(areas.map((area) => area.id)) },
    order: { seq: 'ASC' },
  });
  const findings = await manager.findBy(FindingRow, { specimenPartId: In(partIds) });
  const wants = await manager.findBy(WantRow, { specimenPartId: In(partIds) });
  const decisions = await manager.findBy(DecisionRow, { jobId: job.id });
  const chosen = Object.fromEntries(decisions.map((decision) => [decision.school, decision.option]));
  return {
    scope: job.scope,
    decisions: chosen,
    opening: job.scope === 'full' && specimen.castingId ? await readOpening(manager, specimen.castingId, chosen) : [],
    parts: parts.map((part) => {
      const ownAreas = areas.filter((area) => area.specimenPartId === part.id);
      const layersOf = (stage: string) =>
        ownAreas.flatMap((area) =>
          layers.filter((layer) => layer.areaId === area.id && layer.stage === stage).map((layer) => ({ area, layer })),
        );
      return {
        key: part.key,
        name: part.name,
        role: part.role,
        material: part.material,
        state: part.state,
        painted: layersOf('found').some(
          ({ layer }) => layer.kind === 'colour' || layer.kind === 'primer' || layer.kind === 'clear',
        ),
        coats: layersOf('planned').map(({ area, layer }) => ({
          areaKind: area.kind,
          areaName: area.name,
          crossesSeam: area.crossesSeam,
          kind: layer.kind,
          name: layer.name,
        })),
        findings: findings.filter((finding) => finding.specimenPartId === part.id),
        wants: wants.filter((want) => want.specimenPartId === part.id),
      };
    }),
  };
}

/** All joints in the order assembly finds cheapest. A ring that cannot be opened leaves the model closed. */
async function readOpening(
  manager: EntityManager,
  castingId: string,
  decisions: Readonly<Record<string, string>>,
): Promise<PlanJoint[]> {
  const joints = selectJointsToOpen(await manager.findBy(JointRow, { castingId }), decisions);
  const order = computeOpeningOrder(
    joints,
    joints.map((joint) => joint.key),
  );
  if (order.kind === 'stuck') return [];
  return order.steps.map(({ jointKey, way }) => {
    const { key, label, kind, partKeys } = joints.find((joint) => joint.key === jointKey)!;
    return { key, label, kind, partKeys, way };
  });
}
