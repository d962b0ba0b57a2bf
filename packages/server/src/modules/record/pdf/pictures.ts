import sharp from 'sharp';
import { photoPath } from '../../photos/photoStore.ts';

/** A picture as it is printed, by the SHA-256 of its file; null where the file is gone or cannot be read. */
export type Pictures = (sha256: string) => Promise<Buffer | null>;

/** Dots on the longer side: as sharp as paper shows it on a third of a page. */
const PRINTED_PX = 1100;

export const openPictures =
  (folder: string): Pictures =>
  (sha256) =>
    // From the file, piece by piece: a paper may show hundreds.
    sharp(photoPath(folder, sha256))
      .resize(PRINTED_PX, PRINTED_PX, { fit: 'inside', withoutEnlargement: true })
      .flatten({ background: '#fff' })
      .jpeg({ quality: 82 })
      .toBuffer()
      .catch(() => null);
