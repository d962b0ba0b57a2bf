import { randomUUID } from 'node:crypto';
import type { ShelfFile, ShelfReport } from '@sardonyx/contract';
import {
  computeLab,
  completeProduct,
  convertLabToHex,
  createOpticsFromSamples,
  readCgats,
  readShelfCsv,
  selectLettingDownWhite,
  surfaceOf,
} from '@sardonyx/core';
import type { EntityManager } from 'typeorm';
import { PaintPotRow, PaintProductRow } from '../../entities/paint.ts';
import { badInput } from '../../http/errors.ts';

/** Brings pots (CSV) or spectra (CGATS text) onto the shelf: adds and changes, removes nothing; faulty lines are left out and told. */
export async function bringShelfFile(manager: EntityManager, file: ShelfFile): Promise<ShelfReport> {
  return file.format === 'csv' ? bringPots(manager, file.text) : bringSpectra(manager, file);
}

async function bringPots(manager: EntityManager, text: string): Promise<ShelfReport> {
  const { lines, problems } = readShelfCsv(text);
  let [added, changed] = [0, 0];
  for (const { product: fields, pot } of lines) {
    const known = await manager.findOneBy(PaintProductRow, { line: fields.line, name: fields.name });
    const own = known && (await manager.findOneBy(PaintPotRow, { productId: known.id }));
    const product =
      known ?? manager.create(PaintProductRow, { ...completeProduct(fields), id: randomUUID(), version: 1 });
    if (known) await manager.update(PaintProductRow, { id: known.id }, { ...fields, version: known.version + 1 });
    else await manager.insert(PaintProductRow, product);
    if (own) await manager.update(PaintPotRow, { id: own.id }, { ...pot, version: own.version + 1 });
    else await manager.insert(PaintPotRow, { id: randomUUID(), version: 1, productId: product.id, ...pot });
    if (known) changed++;
    else added++;
  }
  return {
    ...{ added, changed },
    problems: problems.map(({ line, column, message }) => ({
      line,
      message: column ? `${column}: ${message}` : message,
    })),
  };
}

/** Samples with the name of a paint that stands here; one without a pot is told, not guessed. */
async function bringSpectra(manager: EntityManager, { text, geometry }: ShelfFile): Promise<ShelfReport> {
  const { samples, problems } = readCgats(text);
  const products = await manager.find(PaintProductRow);
  const byName = new Map(products.map((product) => [`${product.line} ${product.name}`.toLowerCase(), product]));
  const unknown: ShelfReport['problems'][number][] = [];
  let changed = 0;
  for (const name of new Set(samples.map((sample) => sample.name))) {
    const product = byName.get(name.toLowerCase());
    if (!product) {
      unknown.push({ line: 0, message: `"${name}" is no pot on this shelf (line and name, as the shelf writes it).` });
      continue;
    }
    const own = samples.filter((sample) => sample.name === name);
    const white = selectLettingDownWhite(product, products, geometry);
    const optics = createOpticsFromSamples(own, white, surfaceOf(geometry));
    if (!optics) {
      unknown.push({ line: 0, message: `"${name}": tints alone say nothing without the paint itself (SHARE 1).` });
      continue;
    }
    const masstone = own.find((sample) => sample.share === 1);
    const colourHex = masstone ? convertLabToHex(computeLab(masstone.spectrum)) : product.colourHex;
    await manager.update(PaintProductRow, { id: product.id }, { optics, colourHex, version: product.version + 1 });
    changed++;
  }
  if (changed === 0 && problems.length + unknown.length === 0) throw badInput('Nothing was in this file.');
  return { added: 0, changed, problems: [...problems, ...unknown] };
}
