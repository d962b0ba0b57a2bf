import type { ArchivedRows } from './packRows.ts';

/** Hashes of the pictures that rows of an archive name: photographs, and things of drawers. */
export function listPictures({ tables }: Pick<ArchivedRows, 'tables'>): string[] {
  const hashes = [
    ...(tables.photo ?? []).map(({ hash }) => hash),
    ...(tables.stock_thing ?? []).map(({ pictureHash }) => pictureHash),
  ];
  return [...new Set(hashes.filter((hash): hash is string => typeof hash === 'string'))].sort();
}
