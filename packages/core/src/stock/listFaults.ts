import {
  STOCK_KINDS,
  listTraitOptions,
  type StockKind,
  type StockSize,
  type StockSizes,
  type StockTrait,
  type StockTraits,
} from '../model/stock.ts';

export interface ThingFault {
  readonly field: StockSize | StockTrait;
  readonly message: string;
}

/** Sizes and words that things of a kind do not have (they would be kept where nobody sees them), and answers that are none. */
export function listFaults(kind: StockKind, sizes: StockSizes, traits: StockTraits): ThingFault[] {
  const facts = STOCK_KINDS[kind];
  const named = Object.keys({ ...sizes, ...traits }) as (StockSize | StockTrait)[];
  const kept: readonly string[] = [...facts.sizes, ...facts.traits];
  const foreign = named.filter((field) => !kept.includes(field));
  const unknown = (Object.entries(traits) as [StockTrait, string][]).flatMap(([field, value]): ThingFault[] => {
    const options = listTraitOptions(kind, field);
    if (foreign.includes(field) || !options || options.includes(value)) return [];
    return [{ field, message: `"${value}" is none of: ${options.join(', ')}.` }];
  });
  return [...foreign.map((field) => ({ field, message: `Of ${kind} this is not kept.` })), ...unknown];
}
