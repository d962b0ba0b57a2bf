/** What a search says at its end, however often it reports before. */
export function runToEnd<T>(search: Generator<unknown, T, undefined>): T {
  for (;;) {
    const step = search.next();
    if (step.done) return step.value;
  }
}
