import type { Option } from './options.ts';

/** Those that have every typed word somewhere; those that begin with the text come first. */
export function findOptions<O extends Pick<Option<string>, 'label' | 'group' | 'note'>>(
  options: readonly O[],
  text: string,
): readonly O[] {
  const words = text.toLowerCase().split(/\s+/).filter(Boolean);
  if (words.length === 0) return options;
  const hits = options.filter(({ label, group = '', note = '' }) => {
    const all = `${label} ${group} ${note}`.toLowerCase();
    return words.every((word) => all.includes(word));
  });
  const begins = (option: O) => option.label.toLowerCase().startsWith(words[0]!);
  return [...hits.filter(begins), ...hits.filter((option) => !begins(option))];
}
