import {
  createRecord,
  describeVerdict,
  identifySpecimen,
  selectAnswers,
  selectStatements,
  type JobRecord,
} from '@sardonyx/core';
import type { SpecimenView } from '@sardonyx/contract';
import type { EntityManager } from 'typeorm';
import { readJobView } from '../jobs/readJobView.ts';

/** The record of a job, from what is in the database now. */
export async function readRecord(manager: EntityManager, jobId: string, now: Date): Promise<JobRecord> {
  const view = await readJobView(manager, jobId, now);
  return createRecord({
    job: view.job,
    tasks: view.tasks,
    log: view.log,
    photos: view.photos,
    specimens: view.specimens.map((specimen) => ({
      name: specimen.specimen.name,
      casting: specimen.casting
        ? `${specimen.casting.maker.name}, ${specimen.casting.range.name} ${specimen.casting.casting.number} ${specimen.casting.casting.name}`
        : 'not known',
      verdict: describeVerdict(
        identifySpecimen(
          specimen.catalogue,
          selectAnswers(specimen.catalogue, specimen.observations, specimen.measurements),
          undefined,
          selectStatements(specimen.sources),
        ),
        specimen.catalogue,
      ),
      parts: createParts(specimen),
    })),
  });
}

function createParts(view: SpecimenView) {
  return view.parts.map((part) => ({
    part,
    findings: view.findings.filter((finding) => finding.specimenPartId === part.id),
    wants: view.wants.filter((want) => want.specimenPartId === part.id),
    comingsOff: view.comingsOff.filter((one) => one.specimenPartId === part.id),
    layers: view.areas
      .filter((area) => area.specimenPartId === part.id)
      .flatMap((area) =>
        view.layers
          .filter((layer) => layer.areaId === area.id)
          .map((layer) => ({ ...layer, area: area.name || area.kind })),
      ),
  }));
}
