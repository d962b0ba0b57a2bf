/**
 * The server's clock. SARDONYX_NOW (an ISO time) makes it start there and run on from it, for pictures and tests whose
 * dates must not change. Whoever started the server with it may let time pass: {passMin: 90} over the channel between them.
 */
export function chooseClock(env: NodeJS.ProcessEnv): () => Date {
  if (!env.SARDONYX_NOW) return () => new Date();
  const start = Date.parse(env.SARDONYX_NOW);
  if (Number.isNaN(start)) throw new Error(`SARDONYX_NOW must be an ISO time, not "${env.SARDONYX_NOW}".`);
  const begun = performance.now();
  let passedMs = 0;
  process.on('message', (message: { readonly passMin?: number }) => void (passedMs += 60_000 * (message.passMin ?? 0)));
  return () => new Date(start + passedMs + performance.now() - begun);
}
