/** What a search says at its end, however often it reports before. */
export function runToEnd<S, T>(search: Generator<S, T, undefined>, onStep?: (step: S) => void): T {
  for (;;) {
    const step = search.next();
    if (step.done) return step.value;
    onStep?.(step.value);
  }
}
