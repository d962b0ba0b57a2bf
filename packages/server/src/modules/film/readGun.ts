import type { GunPlace, GunView } from '@sardonyx/contract';
import { dryTasks, listSprayable, planGunRuns } from '@sardonyx/core';
import { In, IsNull, type EntityManager } from 'typeorm';
import { JobRow, TaskRow } from '../../entities/work.ts';
import { SpecimenRow } from '../../entities/workpiece.ts';
import { ToolRow } from '../../entities/workshop.ts';
import { readSpecimenParts } from '../bench/readSpecimenParts.ts';
import { readStandingCoats } from './readStandingCoats.ts';

/** What is in the gun, and what may be sprayed with it now on the models of all open jobs. */
export async function readGun(manager: EntityManager, now: Date): Promise<GunView> {
  const gun = await manager.findOneBy(ToolRow, { kind: 'airbrush' });
  if (!gun) return { gun: null, runs: [] };
  return { gun: { name: gun.name, holds: gun.holds }, runs: planGunRuns(await listPlaces(manager, now), gun.holds) };
}

async function listPlaces(manager: EntityManager, now: Date): Promise<GunPlace[]> {
  const jobs = await manager.find(JobRow, { where: { signedOffAt: IsNull() }, order: { number: 'ASC' } });
  const ofJobs = { jobId: In(jobs.map(({ id }) => id)) };
  const specimens = await manager.find(SpecimenRow, { where: ofJobs, order: { id: 'ASC' } });
  const parts = await readSpecimenParts(
    manager,
    specimens.map(({ id }) => id),
  );
  const film = await readStandingCoats(
    manager,
    specimens.flatMap(({ id }) => parts.of(id).layers),
  );
  const tasks = await manager.findBy(TaskRow, ofJobs);
  return jobs.flatMap((job) => {
    const models = specimens.filter(({ jobId }) => jobId === job.id);
    return models.flatMap((specimen): GunPlace[] => {
      const own = parts.of(specimen.id);
      const ofModel = dryTasks(
        tasks.filter(({ specimenId }) => specimenId === specimen.id),
        own,
        film,
      );
      const whose = { jobId: job.id, jobNumber: job.number, specimenName: models.length > 1 ? specimen.name : '' };
      return listSprayable({ ...own, film, tasks: ofModel }, now.getTime()).map((place) => ({ ...whose, ...place }));
    });
  });
}
