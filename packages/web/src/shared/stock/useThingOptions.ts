import { callThingWhere, STOCK_KINDS } from '@sardonyx/core';
import { useGetStockQuery } from '../api/stockApi.ts';
import { sayAmount } from '../sayAmount.ts';
import type { Option } from '../ui/options.ts';

/** Everything that lies in drawers, to choose from: what it is, where, and how much of it is free. */
export function useThingOptions(): readonly Option<string>[] {
  const { data } = useGetStockQuery();
  return (data?.things ?? []).map((thing) => ({
    value: thing.id,
    label: `${callThingWhere(thing)}: ${sayAmount(thing.free, STOCK_KINDS[thing.kind].unit)} free`,
  }));
}
