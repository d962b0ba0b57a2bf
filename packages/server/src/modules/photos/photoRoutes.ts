import { existsSync } from 'node:fs';
import { readFile } from 'node:fs/promises';
import { DescribePhoto } from '@sardonyx/contract';
import { Router } from 'express';
import { badInput, notFound } from '../../http/errors.ts';
import { validateBody } from '../../http/validateBody.ts';
import type { Workroom } from '../../workroom.ts';
import { keepPhoto } from './keepPhoto.ts';
import { receivePicture } from './receivePicture.ts';
import { photoPath, thumbnailPath, writeThumbnail } from './photoStore.ts';

export function createPhotoRoutes(room: Workroom): Router {
  const router = Router();
  router.post('/photos/upload', receivePicture(), async (request, response) => {
    if (!request.file) throw badInput('No picture came along. Nothing was saved.');
    const body = await validateBody(DescribePhoto, { ...request.body });
    response.status(201).json(await keepPhoto(room, body, request.file.buffer));
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
