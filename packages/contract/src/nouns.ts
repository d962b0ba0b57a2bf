/** What the page asks the server for as a whole, and asks again when something in it changed. */
export const VIEWS = [
  'Bench',
  'Job',
  'Catalogue',
  'Shelf',
  'Timers',
  'Health',
  'House',
  'Workshop',
  'Colour',
  'Copies',
  'Phone',
  'Stock',
  'Orders',
  'Prints',
  'Decals',
  'Evenings',
] as const;
export type View = (typeof VIEWS)[number];

interface Noun {
  /** The views it is seen in. */
  readonly views: readonly View[];
  /** The fields that a new row may carry, so that a removed one can be put back; null: it takes others with it, or stays. */
  readonly kept: readonly string[] | null;
}

const IN_A_JOB = ['Bench', 'Job'] as const;
const IN_THE_CATALOGUE = ['Catalogue', 'Bench', 'Job'] as const;
const ABOUT = ['castingId', 'variantId', 'specimenId'] as const;

/**
 * Every noun that people edit row by row, by its path on the server. The server's table and rules for it stand in
 * `server/modules/rows`; the page's requests, undo, the queue while the server is away, and what is fresh afterwards follow
 * from this.
 */
export const NOUNS = {
  observations: {
    views: ['Bench', 'Job', 'Catalogue'],
    kept: ['specimenId', 'featureId', 'stateId', 'certainty', 'captureIds', 'size'],
  },
  measurements: { views: IN_A_JOB, kept: ['specimenId', 'what', 'valueMm', 'spreadMm'] },
  findings: {
    views: IN_A_JOB,
    kept: [
      ...['specimenPartId', 'kind', 'severity', 'note', 'pinnedTo', 'pinX', 'pinY'],
      ...['feature', 'measuredValue', 'measuredUnit', 'carriesLoad', 'mend'],
    ],
  },
  wants: { views: IN_A_JOB, kept: null },
  decisions: { views: IN_A_JOB, kept: null },
  'specimen-parts': { views: IN_A_JOB, kept: null },
  areas: {
    views: IN_A_JOB,
    kept: ['specimenPartId', 'kind', 'name', 'crossesSeam', 'reliefUm', 'size', 'outline'],
  },
  layers: {
    views: IN_A_JOB,
    kept: [
      ...['areaId', 'stage', 'seq', 'kind', 'name', 'colourHex', 'thicknessUm', 'thicknessOrigin', 'productId'],
      ...['whose', 'coats', 'decalMm'],
    ],
  },
  'coat-touches': { views: IN_A_JOB, kept: ['layerId', 'test', 'isReady', 'at', 'who'] },
  jobs: { views: IN_A_JOB, kept: null },
  specimens: { views: IN_A_JOB, kept: null },
  photos: { views: IN_A_JOB, kept: null },
  'photo-measures': { views: IN_A_JOB, kept: ['photoId', 'kind', 'label', 'points', 'nearerMm', 'distanceMm'] },
  'joint-wishes': { views: IN_A_JOB, kept: ['specimenId', 'jointKey', 'wish', 'reason'] },
  'joint-conditions': { views: IN_A_JOB, kept: ['specimenId', 'jointKey', 'condition', 'note'] },
  'found-joints': { views: IN_A_JOB, kept: ['specimenId', 'kind', 'label', 'partKeys'] },
  'comings-off': { views: IN_A_JOB, kept: ['specimenPartId', 'fromSide', 'note', 'photoId'] },
  castings: { views: IN_THE_CATALOGUE, kept: null },
  sources: { views: IN_THE_CATALOGUE, kept: [...ABOUT, 'statement', 'fromYear', 'toYear', 'origin', 'certainty'] },
  features: { views: IN_THE_CATALOGUE, kept: null },
  'feature-states': { views: IN_THE_CATALOGUE, kept: null },
  variants: { views: IN_THE_CATALOGUE, kept: null },
  histories: { views: ['House', 'Job', 'Bench'], kept: null },
  'house-style': { views: ['House', 'Job', 'Bench'], kept: null },
  'house-choices': { views: ['House', 'Job', 'Bench'], kept: null },
  tools: { views: ['Workshop', 'Job', 'Orders'], kept: null },
  vessels: { views: ['Workshop'], kept: ['name', 'material', 'lengthMm', 'widthMm', 'depthMm', 'isRound'] },
  baths: { views: ['Workshop'], kept: null },
  instruments: { views: ['Workshop'], kept: null },
  restorers: { views: ['Bench', 'Evenings'], kept: ['name', 'does', 'sessions', 'exceptions', 'leaves'] },
  'day-weather': { views: ['Evenings'], kept: ['on', 'isDry'] },
  'paint-pots': { views: ['Shelf', 'Job', 'Orders'], kept: null },
  'stock-things': {
    views: ['Stock', 'Job', 'Orders'],
    kept: ['kind', 'name', 'drawer', 'sizes', 'traits', 'reorderAt', 'keepsDays', 'isLocked', 'supplierId', 'note'],
  },
  prints: { views: ['Prints'], kept: null },
  artworks: { views: ['Decals'], kept: null },
  'decal-plans': { views: ['Decals'], kept: ['layerId', 'artworkId', 'copies', 'panel', 'place'] },
  'decal-orders': { views: ['Decals'], kept: null },
  'stock-orders': { views: ['Orders', 'Stock', 'Job', 'Bench'], kept: null },
  suppliers: { views: ['Stock', 'Orders'], kept: ['name', 'promisedDays', 'note'] },
  'paint-products': { views: ['Shelf', 'Job', 'Bench'], kept: null },
} as const satisfies Readonly<Record<string, Noun>>;

export type NounPath = keyof typeof NOUNS;

/** Its entry, whichever it is. */
export const getNoun = (path: NounPath): Noun => NOUNS[path];
