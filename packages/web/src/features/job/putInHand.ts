import type { JobView, SpecimenView } from '@sardonyx/contract';
import { computePaint } from '@sardonyx/core';
import type { JobInHand } from './JobContext.tsx';

/** One model of a job with what stations and steps work with. */
export const putInHand = (
  view: JobView,
  specimen: SpecimenView,
  part: Pick<JobInHand, 'partId' | 'setPartId'>,
): JobInHand => ({
  ...{ view, specimen, ...part },
  tasks: view.tasks.filter((task) => task.specimenId === specimen.specimen.id),
  paint: computePaint(specimen.parts, specimen.areas, specimen.layers),
  isClosed: view.job.signedOffAt !== null,
});
