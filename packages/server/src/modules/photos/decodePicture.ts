import sharp from 'sharp';
import { badInput } from '../../http/errors.ts';

const MAX_PIXELS = 60_000_000;
/** A picture of a phone takes a second; one that takes longer than this is built to. */
const PATIENCE_S = 20;
const QUALITY = 90;

export interface DecodedPicture {
  readonly jpeg: Buffer;
  readonly widthPx: number;
  readonly heightPx: number;
}

/**
 * A picture that was sent in, turned upright and written anew as JPEG: none of the camera's own notes (no place, no serial
 * number), nothing that hid in the file.
 *
 * Throws HttpError 400 `not-a-picture` with what it is and what would do.
 */
export async function decodePicture(bytes: Buffer): Promise<DecodedPicture> {
  const kind = sniff(bytes);
  if (kind === 'HEIC')
    throw refusePicture(
      'This picture is a HEIC file, as some phones write them; it is not read here. Set the camera to its most compatible form, or save it as JPEG.',
    );
  if (!kind) throw refusePicture(UNREADABLE);
  try {
    const { data, info } = await sharp(bytes, { limitInputPixels: MAX_PIXELS, failOn: 'error' })
      .timeout({ seconds: PATIENCE_S })
      .rotate()
      .jpeg({ quality: QUALITY })
      .toBuffer({ resolveWithObject: true });
    return { jpeg: data, widthPx: info.width, heightPx: info.height };
  } catch (error) {
    if (error instanceof Error && error.message.startsWith('timeout'))
      throw refusePicture(`This picture could not be read within ${PATIENCE_S} seconds.`);
    throw refusePicture(UNREADABLE);
  }
}

const refusePicture = (message: string) => badInput(`${message} Nothing was saved.`, undefined, 'not-a-picture');

const UNREADABLE = 'This is not a picture that can be read (JPEG, PNG or WebP, up to 60 megapixels).';

/** The brands of ISO 23008-12 files, in the box that such a file begins with. */
const HEIC_BRANDS = ['heic', 'heix', 'heim', 'heis', 'hevc', 'hevx', 'mif1', 'msf1'];

/**
 * What a file is by its first bytes, whatever it calls itself; null for all that is never opened: vector pictures, documents,
 * what the decoder could read besides.
 */
function sniff(bytes: Buffer): 'JPEG' | 'PNG' | 'WebP' | 'HEIC' | null {
  const text = (from: number, to: number) => bytes.toString('latin1', from, to);
  if (text(0, 3) === '\xff\xd8\xff') return 'JPEG';
  if (text(0, 8) === '\x89PNG\r\n\x1a\n') return 'PNG';
  if (text(0, 4) === 'RIFF' && text(8, 12) === 'WEBP') return 'WebP';
  return text(4, 8) === 'ftyp' && HEIC_BRANDS.includes(text(8, 12)) ? 'HEIC' : null;
}
