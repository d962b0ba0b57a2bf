import { groupBy, type GivenOfModel } from '@sardonyx/core';
import { In, type EntityManager } from 'typeorm';
import { ColourCaptureRow } from '../../entities/colour.ts';
import { MeasurementRow, ObservationRow } from '../../entities/workpiece.ts';
import { readOverpainted } from './readOverpainted.ts';

/** Of each of these models what was seen, measured and captured on it. */
export async function readGiven(
  manager: EntityManager,
  specimenIds: readonly string[],
): Promise<(specimenId: string) => GivenOfModel> {
  const ofThem = { specimenId: In(specimenIds) };
  const observations = groupBy(await manager.findBy(ObservationRow, ofThem), (one) => one.specimenId);
  const measurements = groupBy(await manager.findBy(MeasurementRow, ofThem), (one) => one.specimenId);
  const named = [...observations.values()].flatMap((own) => own.flatMap(({ captureIds }) => captureIds));
  const captures = await manager.findBy(ColourCaptureRow, { id: In(named) });
  const overpainted = await readOverpainted(manager, specimenIds);
  return (specimenId) => ({
    observations: observations.get(specimenId) ?? [],
    measurements: measurements.get(specimenId) ?? [],
    captures: (observations.get(specimenId) ?? []).flatMap(({ captureIds }) =>
      captures.filter(({ id }) => captureIds.includes(id)),
    ),
    isOverpainted: overpainted.has(specimenId),
  });
}
