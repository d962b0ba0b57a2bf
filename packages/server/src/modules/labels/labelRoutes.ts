import { callThing, type Label } from '@sardonyx/core';
import { Router } from 'express';
import type { EntityManager } from 'typeorm';
import { PaintPotRow, PaintProductRow } from '../../entities/paint.ts';
import { StockThingRow } from '../../entities/stock.ts';
import { JobRow } from '../../entities/work.ts';
import { badInput } from '../../http/errors.ts';
import { look, type Workroom } from '../../workroom.ts';
import { printLabels } from './printLabels.ts';

type ListLabels = (manager: EntityManager, base: string) => Promise<Label[]>;

/** What labels are printed of. */
const KINDS: Readonly<Record<string, ListLabels>> = {
  drawers: async (manager, base) => {
    const things = await manager.find(StockThingRow, { order: { drawer: 'ASC', kind: 'ASC', name: 'ASC' } });
    const drawers = [...new Set(things.map(({ drawer }) => drawer))].filter((drawer) => drawer !== '');
    return drawers.map((drawer) => ({
      title: `Drawer ${drawer}`,
      lines: things.filter((thing) => thing.drawer === drawer).map(callThing),
      address: `${base}/drawers?drawer=${encodeURIComponent(drawer)}`,
    }));
  },
  pots: async (manager, base) => {
    const paints = await manager.find(PaintProductRow, { order: { line: 'ASC', name: 'ASC' } });
    const pots = await manager.find(PaintPotRow);
    return paints
      .filter(({ id }) => pots.some(({ productId }) => productId === id))
      .map(({ line, name, binder, gloss }) => ({
        ...{ title: name, lines: [line, `${binder}, ${gloss}`] },
        address: `${base}/shelf?q=${encodeURIComponent(name)}`,
      }));
  },
  boxes: async (manager, base) => {
    const jobs = await manager.find(JobRow, { order: { number: 'ASC' } });
    return jobs.map(({ id, number, title }) => ({
      ...{ title: number, lines: [title] },
      address: `${base}/jobs/${encodeURIComponent(id)}`,
    }));
  },
};

/** Labels for drawers, pots and the boxes of jobs, as PDF. */
export function createLabelRoutes(room: Workroom): Router {
  const router = Router();
  router.get('/labels/:of', async (request, response) => {
    const list = Object.hasOwn(KINDS, request.params.of) ? KINDS[request.params.of] : undefined;
    if (!list) throw badInput(`Labels are printed of: ${Object.keys(KINDS).join(', ')}.`);
    // The code opens the bench where it is open now.
    const base = `http://${request.headers.host ?? 'localhost'}`;
    const labels = await look(room, (manager) => list(manager, base));
    response
      .attachment(`labels-${request.params.of}.pdf`)
      .type('application/pdf')
      .send(Buffer.from(await printLabels(labels)));
  });
  return router;
}
