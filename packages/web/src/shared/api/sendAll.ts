import { isHeldUp, type AppError } from './appError.ts';

export interface SentAll<T> {
  readonly sent: number;
  /** What only waits for the network or the disk, in its order: to be sent again. */
  readonly kept: readonly T[];
  readonly error: AppError | null;
}

/**
 * Sends one after the other. What is refused holds up nothing after it; what cannot go yet is kept, with all after it;
 * 'ended' lets go of the rest.
 */
export async function sendAll<T>(
  things: readonly T[],
  sendOne: (thing: T) => Promise<AppError | 'ended' | null>,
): Promise<SentAll<T>> {
  let sent = 0;
  let refused: AppError | null = null;
  for (const [i, thing] of things.entries()) {
    const error = await sendOne(thing);
    if (error === 'ended') return { sent, kept: [], error: refused };
    if (error && isHeldUp(error)) return { sent, kept: things.slice(i), error };
    if (error) refused = refused ? { ...error, message: `${refused.message} ${error.message}` } : error;
    else sent++;
  }
  return { sent, kept: [], error: refused };
}
