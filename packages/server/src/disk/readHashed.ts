import { createHash } from 'node:crypto';
import { createReadStream } from 'node:fs';
import { Transform, type Readable } from 'node:stream';

/** A file, piece by piece; its SHA-256 is told when it has been read. */
export function readHashed(path: string, onHash: (hash: string) => void): Readable {
  const hash = createHash('sha256');
  const through = new Transform({
    transform: (piece: Buffer, _, done) => {
      hash.update(piece);
      done(null, piece);
    },
    flush: (done) => {
      onHash(hash.digest('hex'));
      done();
    },
  });
  const file = createReadStream(path);
  file.on('error', (error) => through.destroy(error));
  return file.pipe(through);
}
