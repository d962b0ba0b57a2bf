import { randomUUID } from 'node:crypto';
import type { PrintSheet } from '@sardonyx/contract';
import { computePrinterScale, cutFor, findOverlap, findRoom, listGone } from '@sardonyx/core';
import { In, type EntityManager } from 'typeorm';
import { DecalArtworkRow, DecalSheetRow } from '../../entities/decal.ts';
import { CoatingLayerRow } from '../../entities/workpiece.ts';
import { notFound, refused, sayAtField } from '../../http/errors.ts';
import { findPrinterScale } from './readDecals.ts';

/** A sheet is printed: what lies on it is written down, with what the printer was corrected by. */
export async function printSheet(manager: EntityManager, body: PrintSheet, now: Date): Promise<DecalSheetRow> {
  const ids = [...new Set(body.pieces.map(({ artworkId }) => artworkId))];
  const artworks = await manager.findBy(DecalArtworkRow, { id: In(ids) });
  if (artworks.length !== ids.length) throw notFound('One of these artworks');
  const layerIds = [...new Set(body.pieces.map(({ layerId }) => layerId))];
  const layers = await manager.countBy(CoatingLayerRow, { id: In(layerIds), kind: 'decal', stage: 'planned' });
  if (layers !== layerIds.length) throw notFound('One of these decals');
  const laid = body.pieces.map((piece, i) => ({
    ...{ id: String(i), x: piece.x, y: piece.y, turn: piece.turn },
    outline: cutFor(
      body.film,
      artworks.find(({ id }) => id === piece.artworkId)!,
    ),
  }));
  const sheets = await manager.find(DecalSheetRow, { order: { at: 'DESC' } });
  const printer = findPrinterScale(sheets);
  const begun = findBegun(sheets, body);
  const gone = begun ? listGone(sheets, begun.id, printer) : [];
  const overlap = findOverlap(laid, findRoom(body.paper), gone);
  if (overlap !== null)
    throw refused(
      'overlap',
      `Piece ${Number(overlap) + 1} lies on another, on what is gone, or off what can be printed on.`,
      {
        pieces: 'Lay the sheet again.',
      },
    );
  const sheet = manager.create(DecalSheetRow, {
    ...{ id: randomUUID(), at: now.toISOString(), measured: null, isSpoiled: false, correctedBy: printer },
    ...body,
    artworks: artworks.map((artwork) => {
      const { id, name, widthMm, heightMm, shapes } = artwork;
      return { id, name, widthMm, heightMm, shapes, cutLine: cutFor(body.film, artwork) };
    }),
  });
  await manager.insert(DecalSheetRow, sheet);
  return sheet;
}

/** The print whose sheet is gone on with: of the same film and paper, and the last one on it. */
function findBegun(sheets: readonly DecalSheetRow[], { continuesId, film, paper }: PrintSheet): DecalSheetRow | null {
  if (continuesId === null) return null;
  const begun = sheets.find(({ id }) => id === continuesId);
  if (!begun) throw notFound('The sheet that was begun');
  if (begun.film !== film || begun.paper !== paper || sheets.some((one) => one.continuesId === continuesId))
    throw refused('begun', 'That sheet is of another film or paper, or was gone on with already.', {
      continuesId: 'Lay the sheet again.',
    });
  return begun;
}

/** Its rules were measured: the next sheet is corrected by them. */
export async function measureRules(
  manager: EntityManager,
  id: string,
  measured: { readonly alongMm: number; readonly downMm: number },
): Promise<DecalSheetRow> {
  const sheet = await findSheet(manager, id);
  sayAtField(() => computePrinterScale(sheet.paper, measured, sheet.correctedBy));
  return manager.save(Object.assign(sheet, { measured: { alongMm: measured.alongMm, downMm: measured.downMm } }));
}

export async function findSheet(manager: EntityManager, id: string): Promise<DecalSheetRow> {
  const sheet = await manager.findOneBy(DecalSheetRow, { id });
  if (!sheet) throw notFound('This sheet');
  return sheet;
}
