import type { FoundPlace } from '@sardonyx/contract';
import { Router } from 'express';
import { CastingRow } from '../../entities/catalogue.ts';
import { PaintProductRow } from '../../entities/paint.ts';
import { JobRow } from '../../entities/work.ts';
import { SpecimenPartRow, SpecimenRow } from '../../entities/workpiece.ts';
import type { Workroom } from '../../workroom.ts';

const MAX_PER_KIND = 6;
const COLOURS = 'colours';

/** Finds models, castings, parts and paints by name: every word typed must be in it somewhere. */
export function createFindRoutes(room: Workroom): Router {
  const router = Router();
  router.get('/find', async (request, response) => {
    const words = String(request.query.q ?? '')
      .toLowerCase()
      .split(/\s+/)
      .filter(Boolean);
    response.json(words.length ? await findPlaces(room, words) : []);
  });
  return router;
}

async function findPlaces(room: Workroom, words: readonly string[]): Promise<FoundPlace[]> {
  const { manager } = room.source;
  const jobs = await manager.find(JobRow, { order: { number: 'ASC' } });
  const jobById = new Map(jobs.map((job) => [job.id, job]));
  const specimens = new Map((await manager.find(SpecimenRow)).map((specimen) => [specimen.id, specimen]));
  const matches = (...texts: string[]) => words.every((word) => texts.join(' ').toLowerCase().includes(word));
  const models = jobs
    .filter((job) => matches(job.number, job.title))
    .map((job): FoundPlace => ({
      kind: 'model',
      title: `${job.number} ${job.title}`,
      where: 'On the bench',
      path: `/jobs/${job.id}/${job.station}`,
    }));
  const castings = (await manager.find(CastingRow))
    .filter((casting) => matches(casting.number, casting.name))
    .map((casting): FoundPlace => ({
      kind: 'casting',
      title: `${casting.number} ${casting.name}`,
      where: 'Catalogue',
      path: `/catalogue/${casting.id}`,
    }));
  const parts = (await manager.find(SpecimenPartRow)).flatMap((part): FoundPlace[] => {
    const job = jobById.get(specimens.get(part.specimenId)?.jobId ?? '');
    return job && matches(part.name, job.number)
      ? [
          {
            kind: 'part',
            title: part.name,
            where: `${job.number} ${job.title}`,
            path: `/jobs/${job.id}/survey?part=${encodeURIComponent(part.id)}`,
          },
        ]
      : [];
  });
  const paints = (await manager.find(PaintProductRow))
    .filter((paint) => matches(paint.line, paint.name))
    .map((paint): FoundPlace => ({
      kind: 'paint',
      title: `${paint.line} ${paint.name}`,
      where: `${paint.binder}, ${paint.gloss}`,
      path: `/shelf?q=${encodeURIComponent(paint.name)}`,
    }));
  // Only who asks for colours gets them: every model has some.
  const asksForColours = words.some((word) => COLOURS.startsWith(word));
  const colours = jobs
    .filter((job) => asksForColours && matches(job.number, job.title, COLOURS))
    .map((job): FoundPlace => ({
      kind: 'paint',
      title: `${job.number} ${job.title}: ${COLOURS}`,
      where: 'Colour lab',
      path: `/jobs/${job.id}/colour`,
    }));
  return [models, castings, parts, colours, paints].flatMap((list) => list.slice(0, MAX_PER_KIND));
}
