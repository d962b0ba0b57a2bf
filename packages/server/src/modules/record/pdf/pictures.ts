import { readFile } from 'node:fs/promises';
import sharp from 'sharp';
import { photoPath } from '../../photos/photoStore.ts';

/** A picture as it is printed, by the SHA-256 of its file; null where the file is gone or cannot be read. */
export type Pictures = (sha256: string) => Promise<Buffer | null>;

/** Dots on the longer side: as sharp as paper shows it on a third of a page. */
const PRINTED_PX = 1100;

export const openPictures =
  (folder: string): Pictures =>
  async (sha256) => {
    const whole = await readFile(photoPath(folder, sha256)).catch(() => null);
    if (!whole) return null;
    return sharp(whole)
      .resize(PRINTED_PX, PRINTED_PX, { fit: 'inside', withoutEnlargement: true })
      .flatten({ background: '#fff' })
      .jpeg({ quality: 82 })
      .toBuffer()
      .catch(() => null);
  };
