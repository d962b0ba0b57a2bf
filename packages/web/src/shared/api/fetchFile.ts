import { convertToAppError, OFFLINE } from './appError.ts';

/** A file of the server with the name it gave it; `onShare` hears how much of it is here. Throws an AppError. */
export async function fetchFile(
  address: string,
  signal: AbortSignal,
  onShare: (share: number) => void,
): Promise<{ readonly content: Blob; readonly name: string }> {
  const response = await fetch(address, { signal }).catch(() => {
    throw { ...OFFLINE, message: 'The bench cannot be reached: nothing was taken out.' };
  });
  if (!response.ok) throw convertToAppError(response.status, await response.json().catch(() => null));
  const total = Number(response.headers.get('content-length'));
  const pieces: BlobPart[] = [];
  let got = 0;
  const reader = response.body!.getReader();
  for (let next = await reader.read(); !next.done; next = await reader.read()) {
    pieces.push(next.value);
    got += next.value.length;
    if (total > 0) onShare(got / total);
  }
  const [, name] = /filename="?([^";]+)/.exec(response.headers.get('content-disposition') ?? '') ?? [];
  return { content: new Blob(pieces), name: name ?? address.split('/').at(-1)! };
}
