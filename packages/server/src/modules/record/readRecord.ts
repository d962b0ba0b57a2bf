import {
  computeMixDistance,
  createRecord,
  describeVerdict,
  identifySpecimen,
  NOTHING_DONE,
  replayMix,
  selectAnswers,
  selectGiven,
  selectStatements,
  type JobRecord,
  type RecordMix,
  nameOfArea,
} from '@sardonyx/core';
import type { MixView, SpecimenView } from '@sardonyx/contract';
import type { EntityManager } from 'typeorm';
import { PaintProductRow } from '../../entities/paint.ts';
import { readColour } from '../colour/readColour.ts';
import { readJobView } from '../jobs/readJobView.ts';

/** The record of a job, from what is in the database now. */
export async function readRecord(manager: EntityManager, jobId: string, now: Date): Promise<JobRecord> {
  const view = await readJobView(manager, jobId, now);
  const { captures, mixes } = await readColour(manager, jobId);
  const parts = view.specimens.flatMap((specimen) => specimen.parts);
  const partName = (id: string | null) => parts.find((part) => part.id === id)?.name ?? '';
  const products = await manager.find(PaintProductRow);
  return createRecord({
    colours: captures.map(({ specimenPartId, place, note, lab, sd, geometry, method, takenAt, who }) => ({
      part: partName(specimenPartId),
      ...{ place, note, lab, sd, geometry, method, takenAt, who },
    })),
    mixes: mixes.map((mix) => describeMix(mix, partName(mix.specimenPartId), products)),
    job: view.job,
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
          selectAnswers(specimen.catalogue, selectGiven(specimen)),
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
    done: view.facts.parts.find((one) => one.key === part.key)?.done ?? NOTHING_DONE,
    findings: view.findings.filter((finding) => finding.specimenPartId === part.id),
    wants: view.wants.filter((want) => want.specimenPartId === part.id),
    comingsOff: view.comingsOff.filter((one) => one.specimenPartId === part.id),
    layers: view.areas
      .filter((area) => area.specimenPartId === part.id)
      .flatMap((area) =>
        view.layers.filter((layer) => layer.areaId === area.id).map((layer) => ({ ...layer, area: nameOfArea(area) })),
      ),
  }));
}

function describeMix(mix: MixView, part: string, products: readonly PaintProductRow[]): RecordMix {
  const { productIds, volumes, patches } = replayMix(mix.steps);
  const nameOf = (id: string) => {
    const product = products.find((one) => one.id === id);
    return product ? `${product.line} ${product.name}` : 'a pot that is gone';
  };
  return {
    ...{ name: mix.name, part, target: mix.target, patches: patches.length, isKept: mix.productId !== null },
    paints: productIds.map((id, i) => ({ name: nameOf(id), ml: volumes[i]! })),
    lastDe00: computeMixDistance(mix.steps, mix.target),
  };
}
