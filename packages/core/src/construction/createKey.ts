/** Longest key that the program makes. */
const MOST = 24;

/** A key for something that has a name: from its letters, and told apart from those that are taken. Never empty. */
export function createKey(name: string, taken: readonly string[], fallback: string): string {
  const letters = name
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^[-0-9]+|-+$/g, '')
    .slice(0, MOST)
    .replace(/-+$/, '');
  const stem = letters || fallback;
  if (!taken.includes(stem)) return stem;
  for (let count = 2; ; count++) if (!taken.includes(`${stem}-${count}`)) return `${stem}-${count}`;
}
