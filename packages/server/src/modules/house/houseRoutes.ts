import type { HouseView } from '@sardonyx/contract';
import { Router } from 'express';
import { HistoryRow } from '../../entities/catalogue.ts';
import { HouseChoiceRow, HouseStyleRow } from '../../entities/house.ts';
import { look, type Workroom } from '../../workroom.ts';
import { readLearnedRates } from '../catalogue/readLearnedRates.ts';
import { findRow } from '../rows/versionedRows.ts';

/** What holds for every job. */
export function createHouseRoutes(room: Workroom): Router {
  const router = Router();
  router.get('/house', async (_request, response) => {
    const view = await look(room, async (manager): Promise<HouseView> => ({
      house: await findRow(manager, HouseStyleRow, 'house', 'The house style'),
      histories: await manager.find(HistoryRow, { order: { prior: 'DESC', key: 'ASC' } }),
      choices: await manager.find(HouseChoiceRow),
      learned: await readLearnedRates(manager),
    }));
    response.json(view);
  });
  return router;
}
