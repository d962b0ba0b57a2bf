import { Transform } from 'node:stream';

/** Lets so much through, and fails at more. */
export function limitBytes(most: number, tooMuch: Error): Transform {
  let bytes = 0;
  return new Transform({
    transform: (piece: Buffer, _, done) => {
      bytes += piece.length;
      if (bytes <= most) return done(null, piece);
      done(tooMuch);
    },
  });
}
