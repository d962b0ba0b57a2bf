import { WANT_KINDS, WAYS_TO_GET, type WantKind, type WayToGet } from '@sardonyx/core';
import type { Option } from '../ui/options.ts';

/** What comes for a want does there. */
export const WANT_KIND_WORDS: Readonly<Record<WantKind, string>> = {
  part: 'a new part',
  feature: 'a piece to set in',
  decal: 'a decal',
  other: 'something else',
};

export const WAY_TO_GET_WORDS: Readonly<Record<WayToGet, string>> = {
  donor: 'from a donor',
  buy: 'bought',
  print: 'printed',
  make: 'made here',
};

export const WANT_KIND_OPTIONS: readonly Option<WantKind>[] = WANT_KINDS.map((kind) => ({
  value: kind,
  label: WANT_KIND_WORDS[kind],
}));

/** How it is come by; as the school of broken parts answers where nothing is said. */
export const WAY_TO_GET_OPTIONS: readonly Option<WayToGet | null>[] = [
  { value: null, label: 'as this job does' },
  ...WAYS_TO_GET.map((way) => ({ value: way, label: WAY_TO_GET_WORDS[way] })),
];
