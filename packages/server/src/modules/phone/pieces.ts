import { randomUUID } from 'node:crypto';
import { open, readFile, rm } from 'node:fs/promises';
import { join } from 'node:path';
import type { BeginPicture } from '@sardonyx/contract';
import { badInput, notFound, refused } from '../../http/errors.ts';

/** Pictures that a phone has under way at once. */
const MOST = 3;
/** A piece of one. */
export const PIECE_BYTES = 256 * 1024;

export interface PictureInPieces {
  readonly id: string;
  readonly deviceId: string;
  readonly said: BeginPicture;
  readonly path: string;
  /** Bytes that are here. */
  at: number;
  isBusy: boolean;
}

/** Pictures that come piece by piece: after a lost connection the phone asks how much is here and goes on from there. */
export function createPieces(folder: string) {
  const all = new Map<string, PictureInPieces>();
  const find = (id: string, deviceId: string): PictureInPieces => {
    const picture = all.get(id);
    if (!picture || picture.deviceId !== deviceId) throw notFound('This picture');
    return picture;
  };
  const drop = async (picture: PictureInPieces): Promise<void> => {
    all.delete(picture.id);
    await rm(picture.path, { force: true });
  };
  return {
    find,
    drop,
    begin(said: BeginPicture, deviceId: string): PictureInPieces {
      const own = [...all.values()].filter((one) => one.deviceId === deviceId);
      if (own.length >= MOST) throw refused('too-many', `${MOST} pictures are under way already.`);
      const id = randomUUID();
      const picture = { id, deviceId, said, path: join(folder, `phone-${id}.part`), at: 0, isBusy: false };
      all.set(id, picture);
      return picture;
    },
    /** Adds a piece that begins where the last one ended; one that is here already changes nothing. */
    async add(picture: PictureInPieces, at: number, piece: Buffer): Promise<void> {
      if (at + piece.length > picture.said.bytes) throw badInput('There is more of it than was said.');
      if (at > picture.at || picture.isBusy) throw refused('gap', 'A piece before this one is missing.');
      if (at + piece.length <= picture.at) return;
      picture.isBusy = true;
      try {
        const file = await open(picture.path, picture.at === 0 ? 'w' : 'r+');
        try {
          await file.write(piece, 0, piece.length, at);
        } finally {
          await file.close();
        }
        picture.at = at + piece.length;
      } finally {
        picture.isBusy = false;
      }
    },
    async read(picture: PictureInPieces): Promise<Buffer> {
      if (picture.at < picture.said.bytes) throw refused('gap', 'Not all of the picture is here yet.');
      return readFile(picture.path);
    },
    /** Nobody brings the rest of them any more. */
    dropAll: async (): Promise<void> => void (await Promise.all([...all.values()].map(drop))),
  };
}
