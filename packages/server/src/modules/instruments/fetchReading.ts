import { isOnThisMachine } from '@sardonyx/contract';

/** An endpoint on this bench answers at once or not at all. */
const PATIENCE_MS = 2000;
/** A reading is a few numbers; a spectrum is the longest. */
const MOST_BYTES = 64 * 1024;

/**
 * What an endpoint answers, as it is. However its address came to the bench, it is asked on this machine only. Throws with the
 * reason, in the words of "gives no reading: ...".
 */
export async function fetchReading(url: string): Promise<unknown> {
  if (!isOnThisMachine(url)) throw new Error('its address is not on this machine');
  const answer = await fetch(url, { signal: AbortSignal.timeout(PATIENCE_MS), redirect: 'error' });
  if (!answer.ok) throw new Error(`it answered ${answer.status}`);
  const text = await readText(answer);
  try {
    return JSON.parse(text) as unknown;
  } catch {
    throw new Error('what it sent is no JSON');
  }
}

async function readText({ body }: Response): Promise<string> {
  const pieces: Uint8Array[] = [];
  let bytes = 0;
  for await (const piece of (body ?? []) as AsyncIterable<Uint8Array>) {
    bytes += piece.length;
    if (bytes > MOST_BYTES) throw new Error('it does not stop sending');
    pieces.push(piece);
  }
  return Buffer.concat(pieces).toString('utf8');
}
