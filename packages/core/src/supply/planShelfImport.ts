import type { ShelfLine } from '../colour/exchange/shelfCsv.ts';
import type { PaintPot, PaintProduct } from '../model/work.ts';

/** A pot that stands on the shelf and would say something else. */
export interface ChangedPot {
  readonly line: ShelfLine;
  readonly product: PaintProduct;
  /** null: the paint has no pot at the moment. */
  readonly pot: PaintPot | null;
}

/** What lines of a file would do to a shelf. Nothing is removed. */
export interface ShelfImport {
  readonly added: readonly ShelfLine[];
  readonly changed: readonly ChangedPot[];
  readonly unchanged: number;
}

/** Fits lines that were read to the shelf as it stands: a paint is known by its line and its name. */
export function planShelfImport(
  lines: readonly ShelfLine[],
  products: readonly PaintProduct[],
  pots: readonly PaintPot[],
): ShelfImport {
  const known = new Map(products.map((product) => [nameOf(product), product]));
  const potOf = new Map(pots.map((pot) => [pot.productId, pot]));
  const added: ShelfLine[] = [];
  const changed: ChangedPot[] = [];
  let unchanged = 0;
  for (const line of lines) {
    const product = known.get(nameOf(line.product));
    if (!product) {
      added.push(line);
      continue;
    }
    const pot = potOf.get(product.id) ?? null;
    if (pot && says(product, line.product) && says(pot, line.pot)) unchanged++;
    else changed.push({ line, product, pot });
  }
  return { added, changed, unchanged };
}

const nameOf = ({ line, name }: Pick<PaintProduct, 'line' | 'name'>) => JSON.stringify([line, name]);

const says = <T extends object>(row: T, fields: Partial<T>): boolean =>
  Object.entries(fields).every(([field, value]) => row[field as keyof T] === value);
