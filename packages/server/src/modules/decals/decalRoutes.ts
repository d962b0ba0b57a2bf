import {
  LogDecal,
  MeasureRules,
  OrderDecal,
  PictureOfArtwork,
  PrintSheet,
  SizeArtwork,
  SpoilSheet,
  TraceArtwork,
} from '@sardonyx/contract';
import { drawSheet, resizeArtwork, scaleDrawn, writeDecalSvg, writeSheetSvg, type SheetDrawing } from '@sardonyx/core';
import { pipeline } from 'node:stream/promises';
import express, { Router } from 'express';
import sharp from 'sharp';
import type { EntityManager } from 'typeorm';
import { runAside } from '../../aside/runAside.ts';
import { DecalArtworkRow, type DecalSheetRow } from '../../entities/decal.ts';
import { badInput, refused, sayAtField } from '../../http/errors.ts';
import { readFileName } from '../../http/readFileName.ts';
import { sendKept } from '../../http/sendKept.ts';
import { validateBody } from '../../http/validateBody.ts';
import { change, look, type Workroom } from '../../workroom.ts';
import { findRow } from '../rows/versionedRows.ts';
import { createSheetPdf } from './createSheetPdf.ts';
import { logDecal } from './logDecal.ts';
import { orderDecal } from './orderDecal.ts';
import { packDecalOrder } from './packDecalOrder.ts';
import { findSheet, measureRules, printSheet } from './printSheet.ts';
import { readDecalOrders } from './readDecalOrders.ts';
import { readDecals } from './readDecals.ts';

const SVG = 'image/svg+xml';
/** Fine enough to be looked at; what is printed is the PDF. */
const PREVIEW_DPI = 150;
/** Drawn larger than it is sent, so that edges are smooth. */
const DRAWN_AT = 144;
/** What comes out is ours, and still it runs nothing and reaches nowhere. */
const SHUT = "default-src 'none'; style-src 'unsafe-inline'; sandbox";

/** Artworks in and out, and sheets of decals. */
export function createDecalRoutes(room: Workroom): Router {
  const router = Router();
  router.get('/decals', async (_request, response) => {
    await sendKept(room, response, 'views', 'decals', (manager) => readDecals(manager, room.now()));
  });
  router.post('/artworks', express.text({ type: SVG, limit: '4mb' }), async (request, response) => {
    if (typeof request.body !== 'string' || request.body.trim() === '')
      throw badInput('The file is empty, or no SVG file.', { file: 'Choose an SVG file.' });
    const fileName = readFileName(request);
    response.status(201).json(await runAside(room, 'artwork', { fileName, text: request.body }).ended);
  });
  router.post('/artworks/pictures', express.raw({ type: 'image/png', limit: '32mb' }), async (request, response) => {
    if (!Buffer.isBuffer(request.body) || request.body.length === 0)
      throw badInput('The file is empty, or no PNG file.', { file: 'Choose a PNG file.' });
    const fileName = readFileName(request);
    const { widthMm, paper } = request.query;
    const stated = await validateBody(PictureOfArtwork, {
      widthMm: typeof widthMm === 'string' && widthMm.trim() !== '' ? Number(widthMm) : undefined,
      isWhitePaper: paper === 'white',
    });
    const order = { fileName, bytes: request.body, ...stated };
    response.status(201).json(await runAside(room, 'artwork picture', order).ended);
  });
  router.post('/artworks/traced', async (request, response) => {
    const body = await validateBody(TraceArtwork, request.body);
    response.status(201).json(await runAside(room, 'traced artwork', { ...body }).ended);
  });
  router.post('/artworks/:id/size', async (request, response) => {
    const { widthMm } = await validateBody(SizeArtwork, request.body);
    response.json(
      await change(room, async (manager) => {
        const row = await findRow(manager, DecalArtworkRow, request.params.id, 'This artwork');
        const resized = sayAtField(() => resizeArtwork(row, widthMm));
        const drawn = row.drawn && scaleDrawn(row.drawn, widthMm / row.widthMm);
        return manager.save(Object.assign(row, resized, { drawn, version: row.version + 1 }));
      }),
    );
  });
  router.get('/artworks/:id/file.svg', async (request, response) => {
    const row = await look(room, (manager) => findRow(manager, DecalArtworkRow, request.params.id, 'This artwork'));
    response.set('Content-Security-Policy', SHUT).attachment(`${row.name}.svg`).type(SVG).send(writeDecalSvg(row));
  });
  router.post('/decals/:layerId/acts', async (request, response) => {
    const body = await validateBody(LogDecal, request.body);
    response
      .status(201)
      .json(await change(room, (manager) => logDecal(manager, request.params.layerId, body, room.now())));
  });
  router.post('/decals/:layerId/orders', async (request, response) => {
    const body = await validateBody(OrderDecal, request.body);
    response
      .status(201)
      .json(await change(room, (manager) => orderDecal(manager, request.params.layerId, body, room.now())));
  });
  router.get('/decal-orders/order.zip', async (_request, response) => {
    const orders = await look(room, readDecalOrders);
    const open = orders.filter(({ state }) => state === 'open' || state === 'ordered').reverse();
    if (open.length === 0) throw refused('nothing', 'No decal is wanted of a supplier.');
    response.attachment('decal-order.zip').type('zip');
    await pipeline(packDecalOrder(open, room.now()), response);
  });
  router.post('/decal-sheets', async (request, response) => {
    const body = await validateBody(PrintSheet, request.body);
    response.status(201).json(await change(room, (manager) => printSheet(manager, body, room.now())));
  });
  router.post('/decal-sheets/:id/rules', async (request, response) => {
    const body = await validateBody(MeasureRules, request.body);
    response.json(await change(room, (manager) => measureRules(manager, request.params.id, body)));
  });
  router.post('/decal-sheets/:id/spoiled', async (request, response) => {
    const { isSpoiled } = await validateBody(SpoilSheet, request.body);
    response.json(
      await change(room, async (manager) =>
        manager.save(Object.assign(await findSheet(manager, request.params.id), { isSpoiled })),
      ),
    );
  });
  router.get('/decal-sheets/:id/sheet.pdf', async (request, response) => {
    const { sheet, drawing } = await look(room, (manager) => readDrawing(manager, request.params.id));
    const words = `Print at 100 %, never "fit to page". ${sheet.film}; ${sheet.at.slice(0, 10)}, ${sheet.who}`;
    response
      .attachment(`decals-${sheet.at.slice(0, 10)}.pdf`)
      .type('pdf')
      .send(Buffer.from(await createSheetPdf(drawing, words)));
  });
  router.get('/decal-sheets/:id/sheet.png', async (request, response) => {
    const { sheet, drawing } = await look(room, (manager) => readDrawing(manager, request.params.id));
    const png = await sharp(Buffer.from(writeSheetSvg(drawing, true)), { density: DRAWN_AT })
      .resize(Math.round((drawing.lengthMm / 25.4) * PREVIEW_DPI))
      .flatten({ background: '#ffffff' })
      .withMetadata({ density: PREVIEW_DPI })
      .png()
      .toBuffer();
    response
      .attachment(`decals-${sheet.at.slice(0, 10)}.png`)
      .type('png')
      .send(png);
  });
  router.get('/decal-sheets/:id/sheet.svg', async (request, response) => {
    const { sheet, drawing } = await look(room, (manager) => readDrawing(manager, request.params.id));
    response
      .set('Content-Security-Policy', SHUT)
      .attachment(`decals-${sheet.at.slice(0, 10)}.svg`)
      .type(SVG)
      .send(writeSheetSvg(drawing, request.query.cuts === 'yes'));
  });
  return router;
}

async function readDrawing(
  manager: EntityManager,
  id: string,
): Promise<{ readonly sheet: DecalSheetRow; readonly drawing: SheetDrawing }> {
  const sheet = await findSheet(manager, id);
  const pieces = sheet.pieces.map((piece) => ({
    ...piece,
    artwork: sheet.artworks.find((one) => one.id === piece.artworkId)!,
  }));
  return { sheet, drawing: drawSheet(sheet.paper, pieces, sheet.correctedBy) };
}
