import { nameOfArea, takeForCoat } from '@sardonyx/core';
import type { EntityManager } from 'typeorm';
import type { PaintProductRow } from '../../entities/paint.ts';
import { JobRow } from '../../entities/work.ts';
import type { AreaRow, CoatingLayerRow, SpecimenPartRow, SpecimenRow } from '../../entities/workpiece.ts';
import { readDrawing } from '../catalogue/readDrawing.ts';
import { takePaint } from '../shelf/movePot.ts';
import { readStoredFacts } from '../tasks/recompilePlan.ts';

interface CoatedPlace {
  readonly area: AreaRow;
  readonly part: SpecimenPartRow;
  readonly specimen: SpecimenRow;
  readonly product: PaintProductRow;
  /** As somebody says; null where nobody does. */
  readonly ml: number | null;
  readonly taskId: string | null;
}

/** A coat takes its paint out of the pot: as much as was poured, else as is reckoned from its area and film. */
export async function takeForLayer(
  manager: EntityManager,
  layer: CoatingLayerRow,
  { area, part, specimen, product, ml, taskId }: CoatedPlace,
  now: Date,
): Promise<void> {
  const job = await manager.findOneByOrFail(JobRow, { id: specimen.jobId! });
  const { facts } = await readStoredFacts(manager, job, specimen);
  const drawing = specimen.castingId ? await readDrawing(manager, specimen.castingId) : null;
  const reckoned = takeForCoat({
    ...{ product, isMist: layer.isMist, thinnerParts: layer.how?.thinnerParts ?? null },
    ...{ area, partKey: part.key, drawing, decisions: facts.decisions },
  });
  const amount = ml ?? reckoned?.ml ?? 0;
  const how = ml === null && reckoned ? `, reckoned ± ${reckoned.sd.toFixed(1)} ml` : '';
  const note = `${specimen.name}, ${nameOfArea(area)} of the ${part.name.toLowerCase()}${layer.isMist ? ', a mist' : ''}${how}`;
  const line = { move: 'taken' as const, jobId: job.id, taskId, actId: layer.id, who: layer.appliedBy ?? '', note };
  await takePaint(manager, product.id, { ...line, amount }, now);
}
