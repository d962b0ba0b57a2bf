import type { JudgedArtwork, JudgedFilm } from '@sardonyx/core';

const FILM_WORDS: Readonly<Record<JudgedFilm['film'], string>> = {
  'clear, office printer': 'Clear film, office printer',
  'white, office printer': 'White film, office printer',
  'clear with white under it, supplier': 'Clear film with white under the ink, from a supplier',
};

export const sayFilm = (film: JudgedFilm['film']): string => FILM_WORDS[film];

const ANSWER_WORDS: Readonly<Record<JudgedFilm['answer'], string>> = {
  does: 'does it',
  'does not': 'does not',
  'test strip': 'print a test strip first',
};

/** "does not: the paint shows through the ink". */
export function sayFilmAnswer({ answer, because }: JudgedFilm): string {
  if (because === null) return ANSWER_WORDS[answer];
  const why =
    because === 'ink shows the paint' ? 'the paint shows through the ink' : 'white shows where nothing is printed';
  return `${ANSWER_WORDS[answer]}: ${why}`;
}

/** What stands beside a decal in a list. */
export function sayWhite({ white, films }: JudgedArtwork): string {
  if (white === 'no white') return 'needs no white: clear film from the office printer does it';
  const onWhite = films.find(({ film }) => film === 'white, office printer')?.answer === 'does';
  if (white === 'test strip') return 'print a test strip on clear film and lay it on the paint';
  return onWhite ? 'needs white: white film does it, cut at its edge' : 'needs white under it: from a supplier';
}
