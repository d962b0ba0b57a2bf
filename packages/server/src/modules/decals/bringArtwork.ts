import { randomUUID } from 'node:crypto';
import { createDecalArtwork, createPictureArtwork, type Picture, type WorkedOutArtwork } from '@sardonyx/core';
import sharp from 'sharp';
import type { Hands } from '../../aside/asideTask.ts';
import { DecalArtworkRow } from '../../entities/decal.ts';
import { badInput, sayAtField } from '../../http/errors.ts';

export interface BroughtArtwork {
  readonly fileName: string;
  readonly text: string;
}

/** An SVG file becomes an artwork: read, made safe and measured before anything is kept. */
export function bringArtwork({ fileName, text }: BroughtArtwork, hands: Hands): Promise<DecalArtworkRow> {
  return keep(
    fileName.replace(/\.svg$/i, ''),
    sayAtField(() => createDecalArtwork(text)),
    hands,
  );
}

export interface BroughtPicture {
  readonly fileName: string;
  readonly bytes: Uint8Array;
  /** Of what is printed. */
  readonly widthMm: number;
  readonly isWhitePaper: boolean;
}

/** A PNG file of flat colours becomes an artwork of the size that was stated. */
export async function bringPicture(
  { fileName, bytes, widthMm, isWhitePaper }: BroughtPicture,
  hands: Hands,
): Promise<DecalArtworkRow> {
  const picture = await decodePixels(Buffer.from(bytes));
  const made = sayAtField(() => createPictureArtwork(picture, widthMm, isWhitePaper));
  return keep(fileName.replace(/\.png$/i, ''), made, hands);
}

function keep(name: string, made: WorkedOutArtwork, hands: Hands): Promise<DecalArtworkRow> {
  hands.goOn();
  return hands.change(async (manager) => {
    const row = manager.create(DecalArtworkRow, {
      ...{ id: randomUUID(), version: 1, featureStateId: null, drawn: null, note: '' },
      ...made,
      name: name || 'Decal',
    });
    await manager.insert(DecalArtworkRow, row);
    return row;
  });
}

const PNG = Buffer.from('\x89PNG\r\n\x1a\n', 'latin1');
const MOST_PIXELS = 16_000_000;
const PATIENCE_S = 20;

async function decodePixels(bytes: Buffer): Promise<Picture> {
  const unreadable = () =>
    badInput(`This is no PNG file that can be read, of at most ${MOST_PIXELS / 1e6} million pixels.`, {
      file: 'Choose an SVG or a PNG file.',
    });
  // By its first bytes: the decoder reads more kinds than are wanted here.
  if (!bytes.subarray(0, PNG.length).equals(PNG)) throw unreadable();
  try {
    const { data, info } = await sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: 'error' })
      .timeout({ seconds: PATIENCE_S })
      .toColourspace('srgb')
      .ensureAlpha()
      .raw({ depth: 'uchar' })
      .toBuffer({ resolveWithObject: true });
    return { width: info.width, height: info.height, data };
  } catch {
    throw unreadable();
  }
}
