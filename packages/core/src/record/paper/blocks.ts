import { endWithoutStop } from '../../words/names.ts';
import type { PaperBlock, PaperTable } from './paper.ts';

/** What says nothing is left out: a paper has no empty headings, tables or lines. */

export const text = (said: string): PaperBlock[] => (said ? [{ kind: 'text', text: said }] : []);

export const under = (said: string): PaperBlock => ({ kind: 'under', text: said });

export function facts(...rows: readonly (readonly [label: string, value: string | null | false])[]): PaperBlock[] {
  const known = rows.flatMap(([label, value]) => (value ? [[label, value] as const] : []));
  return known.length ? [{ kind: 'facts', facts: known }] : [];
}

export const list = (items: readonly string[]): PaperBlock[] => (items.length ? [{ kind: 'list', items }] : []);

export const table = (
  caption: string,
  columns: readonly (readonly [title: string, width: number])[],
  rows: PaperTable['rows'],
): PaperBlock[] =>
  rows.length ? [{ kind: 'table', caption, columns: columns.map(([title, width]) => ({ title, width })), rows }] : [];

/** Words with something between them; what is empty is left out. */
export const join = (words: readonly (string | null | false | undefined)[], between = ', '): string => {
  const said = words.filter((word): word is string => typeof word === 'string' && word !== '');
  return said.map((word, i) => (i < said.length - 1 ? endWithoutStop(word) : word)).join(between);
};

/** A number with as many decimals as it needs, at most so many. */
export const num = (value: number, most = 2): string => String(Number(value.toFixed(most)));
