import { createHash } from 'node:crypto';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import sharp from 'sharp';
import { PHOTO_FOLDER, THUMBNAIL_FOLDER } from '../../disk/folderNames.ts';
import { writeDurably } from '../../disk/writeDurably.ts';
import { decodePicture } from './decodePicture.ts';

const THUMBNAIL_PX = 360;

export interface StoredPhoto {
  readonly hash: string;
  readonly widthPx: number;
  readonly heightPx: number;
}

export const photoPath = (folder: string, hash: string) => join(folder, PHOTO_FOLDER, `${hash}.jpg`);
export const thumbnailPath = (folder: string, hash: string) => join(folder, THUMBNAIL_FOLDER, `${hash}.jpg`);

/** Keeps a picture as it was decoded, named by the SHA-256 of what is stored, with a thumbnail beside it. */
export async function storePhoto(folder: string, bytes: Buffer): Promise<StoredPhoto> {
  const { jpeg, widthPx, heightPx } = await decodePicture(bytes);
  const hash = createHash('sha256').update(jpeg).digest('hex');
  await writeOnce(photoPath(folder, hash), jpeg);
  await writeThumbnail(folder, hash, jpeg);
  return { hash, widthPx, heightPx };
}

/** @param picture what it holds, or where it lies */
export async function writeThumbnail(folder: string, hash: string, picture: Buffer | string): Promise<void> {
  const small = await sharp(picture)
    .resize(THUMBNAIL_PX, THUMBNAIL_PX, { fit: 'inside', withoutEnlargement: true })
    .jpeg({ quality: 80 })
    .toBuffer();
  await writeOnce(thumbnailPath(folder, hash), small);
}

/** Content-named files never change; one that is damaged or empty is written anew. */
async function writeOnce(path: string, bytes: Buffer): Promise<void> {
  const there = await readFile(path).catch(() => null);
  if (!there?.equals(bytes)) await writeDurably(path, bytes);
}
