import { chooseOption, countAxles, sumStock, type AxleQuestion } from '@sardonyx/core';
import type { EntityManager } from 'typeorm';
import { CastingPartRow } from '../../entities/catalogue.ts';
import { StockThingRow } from '../../entities/stock.ts';
import { JobRow, type TaskRow } from '../../entities/work.ts';
import { SpecimenRow } from '../../entities/workpiece.ts';
import { readStoredFacts } from './recompilePlan.ts';

/** What is asked about axles, but for what was measured. */
export type AskedAxles = Omit<AxleQuestion, 'measures'>;

/** Of a step that asks about none. */
export const NO_AXLES: AskedAxles = {
  ...{ ends: chooseOption('S5', {}), count: 1, things: [], jobId: '', taskId: '', shares: [] },
};

export type AxleStep = Pick<TaskRow, 'jobId' | 'specimenId' | 'partKeys' | 'id'>;

/** How the ends will be formed, how many axles the joint holds, and what lies in the drawers. */
export async function readAxles(
  manager: EntityManager,
  { jobId, specimenId, partKeys, id }: AxleStep,
): Promise<Omit<AskedAxles, 'shares'>> {
  const specimen = await manager.findOneByOrFail(SpecimenRow, { id: specimenId });
  const job = await manager.findOneByOrFail(JobRow, { id: jobId });
  const { facts } = await readStoredFacts(manager, job, specimen);
  const parts = specimen.castingId ? await manager.findBy(CastingPartRow, { castingId: specimen.castingId }) : [];
  return {
    ends: chooseOption('S5', facts.decisions),
    count: countAxles(parts, partKeys),
    things: (await manager.findBy(StockThingRow, { kind: 'axle' })).map(({ state, ...thing }) => ({
      ...thing,
      ...sumStock(state),
    })),
    ...{ jobId, taskId: id },
  };
}
