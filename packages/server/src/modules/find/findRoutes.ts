import type { FoundPlace } from '@sardonyx/contract';
import { callThing, type StockThing } from '@sardonyx/core';
import { Router } from 'express';
import type { EntityManager } from 'typeorm';
import { CastingRow } from '../../entities/catalogue.ts';
import { PrintPartRow } from '../../entities/print.ts';
import { PaintProductRow } from '../../entities/paint.ts';
import { JobRow } from '../../entities/work.ts';
import type { Workroom } from '../../workroom.ts';

const MAX_PER_KIND = 6;
const COLOURS = 'colours';

/** Finds models, castings, parts, paints, things of drawers and printed parts by name: every word typed must be in it somewhere. */
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
  const matches = (...texts: string[]) => words.every((word) => texts.join(' ').toLowerCase().includes(word));
  const models = jobs
    .filter((job) => matches(job.number, job.title))
    .map((job): FoundPlace => ({
      kind: 'model',
      title: `${job.number} ${job.title}`,
      where: 'On the bench',
      path: `/jobs/${job.id}/${job.station}`,
    }));
  const castings = (await manager.find(CastingRow, { select: { id: true, number: true, name: true } }))
    .filter((casting) => matches(casting.number, casting.name))
    .map((casting): FoundPlace => ({
      kind: 'casting',
      title: `${casting.number} ${casting.name}`,
      where: 'Catalogue',
      path: `/catalogue/${casting.id}`,
    }));
  const parts = (await findParts(manager, words)).map((part): FoundPlace => ({
    kind: 'part',
    title: part.name,
    where: `${part.number} ${part.title}`,
    path: `/jobs/${part.jobId}/survey?part=${encodeURIComponent(part.id)}`,
  }));
  const paints = (
    await manager.find(PaintProductRow, { select: { id: true, line: true, name: true, binder: true, gloss: true } })
  )
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
  const things = (await findThings(manager, words)).map(({ id, kind, name, drawer }): FoundPlace => ({
    kind: 'drawer',
    title: callThing({ kind, name }),
    where: drawer ? `Drawer ${drawer}` : 'In no drawer',
    path: `/drawers?thing=${encodeURIComponent(id)}`,
  }));
  const prints = (await manager.find(PrintPartRow, { order: { name: 'ASC' } }))
    .filter(({ name }) => matches('printed', name))
    .map(({ id, name }): FoundPlace => ({
      ...{ kind: 'drawer', title: name, where: 'Printed parts' },
      path: `/prints?print=${encodeURIComponent(id)}`,
    }));
  return [models, castings, parts, colours, paints, things, prints].flatMap((list) => list.slice(0, MAX_PER_KIND));
}

/** Things by kind, name and drawer ("b3" finds all that lies there): no more than are shown. */
function findThings(manager: EntityManager, words: readonly string[]) {
  const isMatch = words.map(() => "instr(lower(kind || ' ' || name || ' drawer ' || drawer), ?) > 0").join(' AND ');
  return manager.query<Pick<StockThing, 'id' | 'kind' | 'name' | 'drawer'>[]>(
    `SELECT id, kind, name, drawer FROM stock_thing WHERE ${isMatch} ORDER BY kind, name, drawer LIMIT ${MAX_PER_KIND}`,
    [...words],
  );
}

interface FoundPart {
  readonly id: string;
  readonly name: string;
  readonly jobId: string;
  readonly number: string;
  readonly title: string;
}

/** Parts of models on the bench, by their own name and the job's number: no more than are shown. */
function findParts(manager: EntityManager, words: readonly string[]): Promise<FoundPart[]> {
  const isMatch = words.map(() => "instr(lower(specimen_part.name || ' ' || job.number), ?) > 0").join(' AND ');
  return manager.query<FoundPart[]>(
    `SELECT specimen_part.id, specimen_part.name, job.id AS jobId, job.number, job.title
     FROM specimen_part JOIN specimen ON specimen.id = specimen_part.specimenId JOIN job ON job.id = specimen.jobId
     WHERE ${isMatch} ORDER BY specimen_part.rowid LIMIT ${MAX_PER_KIND}`,
    [...words],
  );
}
