import { createHash } from 'node:crypto';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import sharp from 'sharp';
import { PHOTO_FOLDER, THUMBNAIL_FOLDER } from '../../disk/folderNames.ts';
import { writeDurably } from '../../disk/writeDurably.ts';
import { badInput } from '../../http/errors.ts';

const THUMBNAIL_PX = 360;
const MAX_PIXELS = 60_000_000;

export interface StoredPhoto {
  readonly hash: string;
  readonly widthPx: number;
  readonly heightPx: number;
}

export const photoPath = (folder: string, hash: string) => join(folder, PHOTO_FOLDER, `${hash}.jpg`);
export const thumbnailPath = (folder: string, hash: string) => join(folder, THUMBNAIL_FOLDER, `${hash}.jpg`);

/**
 * Keeps a picture: turned upright, written anew as JPEG without any of the camera's own notes (so no place and no
 * serial number), named by the SHA-256 of what is stored, with a thumbnail beside it.
 */
export async function storePhoto(folder: string, bytes: Buffer): Promise<StoredPhoto> {
  const { data, info } = await decode(bytes);
  const hash = createHash('sha256').update(data).digest('hex');
  await writeOnce(photoPath(folder, hash), data);
  await writeThumbnail(folder, hash, data);
  return { hash, widthPx: info.width, heightPx: info.height };
}

export async function writeThumbnail(folder: string, hash: string, picture: Buffer): Promise<void> {
  const small = await sharp(picture)
    .resize(THUMBNAIL_PX, THUMBNAIL_PX, { fit: 'inside', withoutEnlargement: true })
    .jpeg({ quality: 80 })
    .toBuffer();
  await writeOnce(thumbnailPath(folder, hash), small);
}

async function decode(bytes: Buffer) {
  try {
    return await sharp(bytes, { limitInputPixels: MAX_PIXELS, failOn: 'error' })
      .rotate()
      .jpeg({ quality: 90 })
      .toBuffer({ resolveWithObject: true });
  } catch {
    throw badInput(
      'This is not a picture that can be read (JPEG, PNG or WebP, up to 60 megapixels). Nothing was saved.',
      undefined,
      'not-a-picture',
    );
  }
}

/** Content-named files never change; one that is damaged or empty is written anew. */
async function writeOnce(path: string, bytes: Buffer): Promise<void> {
  const there = await readFile(path).catch(() => null);
  if (!there?.equals(bytes)) await writeDurably(path, bytes);
}
