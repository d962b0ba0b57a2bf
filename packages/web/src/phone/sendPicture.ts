import type { BeginPicture } from '@sardonyx/contract';
import type { AppError } from '../shared/api/appError.ts';
import { askBench, sendAct } from './askBench.ts';

const PAUSE_MS = 1500;
/** So long a lost connection is waited for. */
const PATIENCE_MS = 10 * 60_000;

interface Begun {
  readonly id: string;
  readonly at: number;
  readonly pieceBytes: number;
}

/**
 * Sends a picture piece by piece. After a lost connection the bench is asked how much it has, and it goes on from there.
 * `onShare`: 0 to 1, or null while it waits for the connection. Returns what was wrong, or null.
 */
export async function sendPicture(
  picture: Blob,
  of: Pick<BeginPicture, 'jobId' | 'stage' | 'side'>,
  onShare: (share: number | null) => void,
): Promise<AppError | null> {
  // A picture taken out of reach of the network is worth as much waiting as one that was half sent.
  const patience = { ms: PATIENCE_MS, onWait: () => onShare(null) };
  const begun = await sendAct<Begun>('POST', 'pictures', { ...of, bytes: picture.size }, patience);
  if (begun.error) return begun.error;
  const { id, pieceBytes } = begun.data;
  const until = Date.now() + PATIENCE_MS;
  let { at } = begun.data;
  while (at < picture.size) {
    onShare(at / picture.size);
    const sent = await askBench<{ at: number }>('PUT', `pictures/${id}?at=${at}`, picture.slice(at, at + pieceBytes));
    if (!sent.error) {
      at = sent.data.at;
      continue;
    }
    if (sent.error.kind !== 'offline' && sent.error.code !== 'gap') return sent.error;
    if (Date.now() > until) return sent.error;
    onShare(null);
    await new Promise((done) => setTimeout(done, PAUSE_MS));
    const there = await askBench<{ at: number }>('GET', `pictures/${id}`);
    if (there.error && there.error.kind !== 'offline') return there.error;
    if (there.data) at = there.data.at;
  }
  onShare(1);
  return (await sendAct('POST', `pictures/${id}/done`, undefined, patience)).error ?? null;
}
