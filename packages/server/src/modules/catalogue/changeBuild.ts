import type { BuildChanged, ChangeBuild } from '@sardonyx/contract';
import { completeBuild, redrawCasting } from '@sardonyx/core';
import type { EntityManager } from 'typeorm';
import { CastingPartRow, CastingRow, JointRow } from '../../entities/catalogue.ts';
import { JobRow } from '../../entities/work.ts';
import { SpecimenPartRow, SpecimenRow } from '../../entities/workpiece.ts';
import { fitOutSpecimen } from '../jobs/fitOutSpecimen.ts';
import { findRow, saveChange } from '../rows/versionedRows.ts';
import { recompilePlan } from '../tasks/recompilePlan.ts';
import { assertBuildFits, insertJoints, insertParts } from './addCasting.ts';
import { isTouched } from './isTouched.ts';
import { readDrawnParts } from './readDrawnParts.ts';

/**
 * Parts and joints of a casting become others, also while models of it are in work. Models of open jobs follow: new parts come,
 * names and materials that nobody corrected change with them, and parts that are gone go where nothing was written down of
 * them. What was is kept: a part with findings, coats or work stays on its model, and signed-off jobs stand as they are.
 */
export async function changeBuild(
  manager: EntityManager,
  castingId: string,
  body: ChangeBuild,
  now: Date,
): Promise<BuildChanged> {
  const casting = await findRow(manager, CastingRow, castingId, 'This casting');
  assertBuildFits(body);
  const before = await manager.findBy(CastingPartRow, { castingId });
  const beforeJoints = await manager.findBy(JointRow, { castingId });
  const build = completeBuild(body.parts, body.joints, beforeJoints);
  const bits = new Map(before.map((part) => [part.key, part.dependentBits]));
  await saveChange(manager, CastingRow, casting, body.version, {});
  await manager.delete(CastingPartRow, { castingId });
  await insertParts(manager, castingId, build.parts);
  for (const [key, dependentBits] of bits) await manager.update(CastingPartRow, { castingId, key }, { dependentBits });
  await manager.delete(JointRow, { castingId });
  await insertJoints(manager, castingId, build.joints);
  const keptOn = await followOnModels(manager, castingId, before, build.parts, now);
  await redraw(manager, casting, before);
  return { casting: await findRow(manager, CastingRow, castingId, 'This casting'), keptOn };
}

type Parts = readonly Pick<CastingPartRow, 'key' | 'name' | 'role' | 'material'>[];

async function followOnModels(manager: EntityManager, castingId: string, before: Parts, after: Parts, now: Date) {
  const keptOn: BuildChanged['keptOn'][number][] = [];
  for (const specimen of await manager.findBy(SpecimenRow, { castingId })) {
    const job = specimen.jobId ? await manager.findOneBy(JobRow, { id: specimen.jobId }) : null;
    if (job?.signedOffAt) continue;
    for (const part of await manager.findBy(SpecimenPartRow, { specimenId: specimen.id })) {
      const was = before.find(({ key }) => key === part.key);
      const is = after.find(({ key }) => key === part.key);
      if (was && is) await followPart(manager, part, was, is);
      else if (was && !is) {
        if (await isTouched(manager, part)) keptOn.push({ part: part.name, model: job?.number ?? specimen.name });
        else await manager.delete(SpecimenPartRow, { id: part.id });
      }
    }
    await fitOutSpecimen(manager, specimen);
    if (job) await recompilePlan(manager, job.id, now, { because: 'parts or joints of its casting were changed' });
  }
  return keptOn;
}

/** What somebody wrote down of the piece itself stays; the rest follows its casting. */
async function followPart(manager: EntityManager, part: SpecimenPartRow, was: Parts[number], is: Parts[number]) {
  const changes = {
    ...(part.name === was.name && is.name !== was.name ? { name: is.name } : {}),
    ...(part.role !== is.role ? { role: is.role } : {}),
    ...(part.material === was.material && part.materialCertainty === 'likely' && is.material !== was.material
      ? { material: is.material }
      : {}),
  };
  // Its version stays: nobody wrote anything down of the piece, and it may still go when its casting loses it.
  if (Object.keys(changes).length > 0) await manager.update(SpecimenPartRow, { id: part.id }, changes);
}

/** Parts that models kept stay on the drawing. */
async function redraw(manager: EntityManager, casting: CastingRow, before: readonly CastingPartRow[]): Promise<void> {
  const { id: castingId, bodyType, lengthMm, wheelbaseMm, drawing, traces } = casting;
  const size = { bodyType, lengthMm, wheelbaseMm };
  const parts = await manager.findBy(CastingPartRow, { castingId });
  const all = await readDrawnParts(manager, castingId, parts, before);
  await manager.update(CastingRow, { id: castingId }, redrawCasting(drawing, size, before, all, traces));
}
