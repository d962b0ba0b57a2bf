/**
 * The server's clock. SARDONYX_NOW (an ISO time) makes it start there and run on from it, for pictures and tests whose
 * dates must not change.
 */
export function chooseClock(env: NodeJS.ProcessEnv): () => Date {
  if (!env.SARDONYX_NOW) return () => new Date();
  const start = Date.parse(env.SARDONYX_NOW);
  if (Number.isNaN(start)) throw new Error(`SARDONYX_NOW must be an ISO time, not "${env.SARDONYX_NOW}".`);
  const begun = performance.now();
  return () => new Date(start + performance.now() - begun);
}
