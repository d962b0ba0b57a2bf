import Papa from 'papaparse';
import type { Versioned } from '../model/catalogue.ts';
import type { CatalogueTables } from './catalogueTables.ts';
import { guardCell } from './formulaCells.ts';
import { CSV_COLUMNS, CSV_KINDS, keyOf, type CsvCells, type CsvColumn, type CsvKind } from './csvLayout.ts';

type Cells = Partial<Record<CsvColumn, string>>;

/**
 * A catalogue in the CSV layout (RFC 4180, comma, CRLF), sorted by kind and key: the same catalogue always gives the same
 * text. Numbers are written in full, so that reading gives the same numbers back.
 */
export function writeCatalogueCsv(tables: CatalogueTables): string {
  const rows = listCells(tables);
  const rank = new Map(CSV_KINDS.map((kind, i) => [kind, i]));
  const sorted = rows
    .map(({ kind, cells }) => ({ rank: rank.get(kind)!, key: keyOf(kind, cells), cells }))
    .sort((a, b) => a.rank - b.rank || (a.key < b.key ? -1 : a.key > b.key ? 1 : 0));
  return (
    Papa.unparse(
      [[...CSV_COLUMNS], ...sorted.map(({ cells }) => CSV_COLUMNS.map((column) => guardCell(cells[column])))],
      {
        newline: '\r\n',
      },
    ) + '\r\n'
  );
}

/** A row of a table with its cells. */
export interface KindCells {
  readonly kind: CsvKind;
  readonly row: Versioned;
  readonly cells: CsvCells;
}

/** Every row of the tables as cells. */
export function listCells(tables: CatalogueTables): KindCells[] {
  const features = new Map(tables.features.map((feature) => [feature.id, feature]));
  const states = new Map(tables.states.map((state) => [state.id, state]));
  const castings = new Map(tables.castings.map((casting) => [casting.id, casting]));
  const variants = new Map(tables.variants.map((variant) => [variant.id, variant]));
  const castingCells = (id: string): Cells => ({ range: castings.get(id)?.rangeId, casting: castings.get(id)?.number });
  const variantCells = (id: string): Cells => ({
    ...castingCells(variants.get(id)?.castingId ?? ''),
    variant: variants.get(id)?.key,
  });
  return [
    ...tables.makers.map((maker) =>
      join('maker', maker, {
        ...{ maker: maker.id, name: maker.name, about: maker.about },
        ...{ from_year: num(maker.fromYear), to_year: num(maker.toYear) },
      }),
    ),
    ...tables.ranges.map((range) =>
      join('range', range, { range: range.id, maker: range.makerId, name: range.name, about: range.about }),
    ),
    ...tables.features.map((feature) =>
      join('feature', feature, {
        ...{ range: feature.rangeId, feature: feature.key, name: feature.label, about: feature.howToLook },
        ...{ part_role: feature.partRole, group: feature.group, effort: num(feature.effort) },
        destroys: feature.destroys,
      }),
    ),
    ...tables.states.map((state) =>
      join('state', state, {
        ...{ range: features.get(state.featureId)?.rangeId, feature: features.get(state.featureId)?.key },
        ...{ state: state.key, name: state.label, colour: state.colourHex ?? '' },
        ...{ look_alikes: state.lookAlikes.join(' '), from_year: num(state.fromYear), to_year: num(state.toYear) },
      }),
    ),
    ...tables.castings.map((casting) =>
      join('casting', casting, {
        ...{
          range: casting.rangeId,
          casting: casting.number,
          name: casting.name,
          about: casting.construction,
          history: casting.history,
        },
        ...{ body_type: casting.bodyType, length_mm: num(casting.lengthMm), wheelbase_mm: num(casting.wheelbaseMm) },
      }),
    ),
    ...tables.variants.map((variant) =>
      join('variant', variant, {
        ...castingCells(variant.castingId),
        ...{ variant: variant.key, name: variant.name, about: variant.rarityEvidence, rarity: num(variant.rarity) },
        ...{ from_year: num(variant.startEarliest), start_latest: num(variant.startLatest) },
        ...{ end_earliest: num(variant.endEarliest), to_year: num(variant.endLatest) },
      }),
    ),
    ...tables.variantStates.map((recorded) =>
      join('variant state', recorded, {
        ...variantCells(recorded.variantId),
        ...{ feature: features.get(recorded.featureId)?.key, state: states.get(recorded.stateId)?.key },
        ...{ share: num(recorded.share), about: recorded.origin },
      }),
    ),
    ...tables.sources
      .filter((source) => source.specimenId === null)
      .map((source) =>
        join('source', source, {
          ...(source.variantId ? variantCells(source.variantId) : castingCells(source.castingId ?? '')),
          ...{ name: source.statement, about: source.origin, certainty: source.certainty },
          ...{ from_year: num(source.fromYear), to_year: num(source.toYear) },
        }),
      ),
  ];
}

const num = (value: number | null) => (value === null ? '' : String(value));

function join(kind: CsvKind, row: Versioned, some: Cells): KindCells {
  const cells = Object.fromEntries(CSV_COLUMNS.map((column) => [column, some[column] ?? ''])) as Record<
    CsvColumn,
    string
  >;
  return { kind, row, cells: { ...cells, kind } };
}
