/** The columns of a catalogue as CSV, in order. Every row names its kind and fills the columns of that kind. */
export const CSV_COLUMNS = [
  'kind',
  'maker',
  'range',
  'casting',
  'feature',
  'state',
  'variant',
  'name',
  'about',
  'history',
  'part_role',
  'body_type',
  'group',
  'certainty',
  'effort',
  'destroys',
  'colour',
  'look_alikes',
  'length_mm',
  'wheelbase_mm',
  'from_year',
  'start_latest',
  'end_earliest',
  'to_year',
  'rarity',
  'share',
] as const;
export type CsvColumn = (typeof CSV_COLUMNS)[number];

/** In the order in which they are written; a row may stand before what it refers to. */
export const CSV_KINDS = [
  'maker',
  'range',
  'feature',
  'state',
  'casting',
  'variant',
  'variant state',
  'source',
] as const;
export type CsvKind = (typeof CSV_KINDS)[number];

interface KindLayout {
  /** Columns that name the row. Two rows of a kind with the same key are the same thing. */
  readonly key: readonly CsvColumn[];
  readonly required: readonly CsvColumn[];
  readonly optional: readonly CsvColumn[];
}

export const CSV_LAYOUT: Readonly<Record<CsvKind, KindLayout>> = {
  maker: { key: ['maker'], required: ['name'], optional: ['about', 'from_year', 'to_year'] },
  range: { key: ['range'], required: ['maker', 'name'], optional: ['about'] },
  feature: {
    key: ['range', 'feature'],
    required: ['name', 'part_role', 'group', 'effort'],
    optional: ['about', 'destroys'],
  },
  state: {
    key: ['range', 'feature', 'state'],
    required: ['name'],
    optional: ['colour', 'look_alikes', 'from_year', 'to_year'],
  },
  casting: {
    key: ['range', 'casting'],
    required: ['name', 'body_type', 'length_mm', 'wheelbase_mm'],
    optional: ['about', 'history'],
  },
  variant: {
    key: ['range', 'casting', 'variant'],
    required: ['name', 'from_year', 'start_latest', 'end_earliest', 'to_year', 'rarity'],
    optional: ['about'],
  },
  'variant state': {
    key: ['range', 'casting', 'variant', 'feature', 'state'],
    required: ['share'],
    optional: ['about'],
  },
  source: {
    key: ['range', 'casting', 'variant', 'name', 'about'],
    required: ['certainty'],
    optional: ['from_year', 'to_year'],
  },
};

/** Columns of a key that may stay empty: a source about the casting as a whole names no variant. */
export const MAY_BE_EMPTY: Partial<Record<CsvKind, readonly CsvColumn[]>> = { source: ['variant'] };

/** One row, by column; empty cells are ''. */
export type CsvCells = Readonly<Record<CsvColumn, string>>;

export const keyOf = (kind: CsvKind, cells: CsvCells): string =>
  JSON.stringify(CSV_LAYOUT[kind].key.map((column) => cells[column]));
