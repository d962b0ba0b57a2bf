import type { Reading } from '@sardonyx/core';

/** The first thing a stream of readings says. */
export async function readFirstEvent(
  url: string,
): Promise<{ event: string; data: Reading & { setC?: number | null } }> {
  const stop = new AbortController();
  const answer = await fetch(url, { signal: stop.signal });
  const reader = answer.body!.getReader();
  const text = new TextDecoder().decode((await reader.read()).value);
  stop.abort();
  return {
    event: /event: (\w+)/.exec(text)![1]!,
    data: JSON.parse(/data: (.*)/.exec(text)![1]!) as Reading,
  };
}
