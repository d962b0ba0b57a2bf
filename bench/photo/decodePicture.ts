import type { Picture } from '@sardonyx/core';
import sharp from 'sharp';

/** A picture file as its pixels. */
export async function decodePicture(file: Buffer): Promise<Picture> {
  const { data, info } = await sharp(file).ensureAlpha().raw().toBuffer({ resolveWithObject: true });
  return { width: info.width, height: info.height, data };
}
