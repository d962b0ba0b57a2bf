import type { PrintableWant, PrintsView } from '@sardonyx/contract';
import { learnShrink, listMeasured } from '@sardonyx/core';
import type { EntityManager } from 'typeorm';
import { PrintPartRow, PrintRunRow } from '../../entities/print.ts';

/** What can be printed and what was, what each resin loses, and the wants that wait for it. */
export async function readPrints(manager: EntityManager): Promise<PrintsView> {
  const prints = await manager.find(PrintPartRow, { order: { name: 'ASC' } });
  const runs = await manager.find(PrintRunRow, { order: { at: 'DESC' } });
  return {
    prints: prints.map((print) => ({
      ...print,
      runs: runs.filter(({ printId }) => printId === print.id),
      shrink: learnShrink(listMeasured(runs, print.resin)),
    })),
    wants: await readWants(manager),
  };
}

/** How a want is come by is what its plan says. */
const readWants = (manager: EntityManager): Promise<PrintableWant[]> =>
  manager.query<PrintableWant[]>(
    `SELECT want.id AS wantId, want.what, job.number AS jobNumber
     FROM want JOIN task ON task.act = 'get' AND json_extract(task.of, '$.wantId') = want.id AND task.method = 'print'
     JOIN job ON job.id = task.jobId
     WHERE want.state = 'open' AND job.signedOffAt IS NULL ORDER BY job.number, want.id`,
  );
