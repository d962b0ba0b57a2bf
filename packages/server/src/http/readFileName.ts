import type { Request } from 'express';
import { badInput } from './errors.ts';

const MOST_LETTERS = 120;

/** What a file that is sent as it is was called, from the address. */
export function readFileName({ query: { name } }: Request): string {
  if (typeof name !== 'string' || name.trim() === '' || name.length > MOST_LETTERS)
    throw badInput('Say what the file is called.', { name: `Up to ${MOST_LETTERS} letters.` });
  return name.trim();
}
