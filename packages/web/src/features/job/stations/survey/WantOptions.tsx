import { WANT_KINDS, WAYS_TO_GET, type WantKind, type WayToGet } from '@sardonyx/core';

/** What comes for a want does there. */
const KIND_WORDS: Readonly<Record<WantKind, string>> = {
  part: 'a new part',
  feature: 'a piece to set in',
  decal: 'a decal',
  other: 'something else',
};

const WAY_WORDS: Readonly<Record<WayToGet, string>> = {
  donor: 'from a donor',
  buy: 'bought',
  print: 'printed',
  make: 'made here',
};

export const WantKindOptions = () => (
  <>
    {WANT_KINDS.map((kind) => (
      <option key={kind} value={kind}>
        {KIND_WORDS[kind]}
      </option>
    ))}
  </>
);

/** How it is come by; as the school of broken parts answers where nothing is said. */
export const WayToGetOptions = () => (
  <>
    <option value="">as this job does</option>
    {WAYS_TO_GET.map((way) => (
      <option key={way} value={way}>
        {WAY_WORDS[way]}
      </option>
    ))}
  </>
);
