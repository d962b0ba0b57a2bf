import { DEFAULT_HISTORIES, DEFAULT_LOSS_THRESHOLD } from '@sardonyx/core';
import type { DataSource } from 'typeorm';
import { HistoryRow } from './entities/catalogue.ts';
import { HouseStyleRow } from './entities/house.ts';

/** What every bench has from its first day: histories and the house style. What is there already is left as it is. */
export async function furnish({ manager }: DataSource): Promise<void> {
  if (!(await manager.existsBy(HouseStyleRow, { id: 'house' })))
    await manager.insert(HouseStyleRow, {
      id: 'house',
      version: 1,
      lossThreshold: DEFAULT_LOSS_THRESHOLD,
      zone: '',
      colourCard: null,
      learnsRates: true,
    });
  // Bench hours are hours of the place where the bench stands: this machine's, until somebody says otherwise.
  await manager.update(
    HouseStyleRow,
    { id: 'house', zone: '' },
    { zone: Intl.DateTimeFormat().resolvedOptions().timeZone },
  );
  if ((await manager.count(HistoryRow)) > 0) return;
  for (const history of DEFAULT_HISTORIES)
    await manager.insert(HistoryRow, { ...history, id: history.key, version: 1, rates: { ...history.rates } });
}
