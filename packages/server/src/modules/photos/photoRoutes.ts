import { randomUUID } from 'node:crypto';
import { existsSync } from 'node:fs';
import { readFile } from 'node:fs/promises';
import { DescribePhoto } from '@sardonyx/contract';
import { Router } from 'express';
import multer from 'multer';
import { JobRow } from '../../entities/work.ts';
import { PhotoRow } from '../../entities/photo.ts';
import { badInput, notFound } from '../../http/errors.ts';
import { validateBody } from '../../http/validateBody.ts';
import { change, withDisk, type Workroom } from '../../workroom.ts';
import { assertJobIsOpen } from '../rows/rowKinds.ts';
import { findRow } from '../rows/versionedRows.ts';
import { photoPath, storePhoto, thumbnailPath, writeThumbnail } from './photoStore.ts';

const MAX_BYTES = 25 * 1024 * 1024;

export function createPhotoRoutes(room: Workroom): Router {
  const router = Router();
  const upload = multer({ storage: multer.memoryStorage(), limits: { fileSize: MAX_BYTES, files: 1 } });
  router.post('/photos/upload', upload.single('picture'), async (request, response) => {
    if (!request.file) throw badInput('No picture came along. Nothing was saved.');
    const body = await validateBody(DescribePhoto, { ...request.body });
    await findRow(room.source.manager, JobRow, body.jobId, 'This job');
    const { buffer } = request.file;
    // The picture is on the disk before its row is.
    const stored = await withDisk(room, () => storePhoto(room.folder, buffer));
    const photo = await change(room, async (manager) => {
      await assertJobIsOpen(manager, body.jobId);
      const row = manager.create(PhotoRow, {
        id: randomUUID(),
        version: 1,
        ...body,
        ...stored,
        specimenId: null,
        control: null,
        takenAt: room.now().toISOString(),
      });
      await manager.insert(PhotoRow, row);
      return row;
    });
    response.status(201).json(photo);
  });
  router.get('/photos/:hash/:size', async (request, response) => {
    const { hash, size } = request.params;
    if (!/^[0-9a-f]{64}$/.test(hash)) throw notFound('This photo');
    const full = photoPath(room.folder, hash);
    if (!existsSync(full)) throw notFound('This photo');
    const thumbnail = thumbnailPath(room.folder, hash);
    // Thumbnails are not part of "Save everything"; they come back by themselves.
    if (size === 'small' && !existsSync(thumbnail)) await writeThumbnail(room.folder, hash, await readFile(full));
    response
      .set('Cache-Control', 'public, max-age=31536000, immutable')
      .sendFile(size === 'small' ? thumbnail : full, { dotfiles: 'allow' });
  });
  return router;
}
