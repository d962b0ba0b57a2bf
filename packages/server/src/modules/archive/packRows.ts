import type { EntityManager } from 'typeorm';
import { MIGRATIONS } from '../../migrations/index.ts';
import { listLinks, type Links } from './links.ts';
import { OF_A_JOB, OF_THE_HOUSE } from './packingList.ts';
import { keyOf, readWhere, type StoredRow } from './storedRows.ts';

/** rows.json of an archive. */
export interface ArchivedRows {
  readonly format: 'sardonyx-rows';
  readonly formatVersion: 1;
  /** The last migration of the database that they were taken from. */
  readonly migration: string;
  readonly tables: Readonly<Record<string, readonly StoredRow[]>>;
  /** Pictures that they name and whose files were gone. */
  readonly missing: readonly string[];
}

/** Every row of some jobs, and of the house what they name, and what those name. */
export async function packRows(
  manager: EntityManager,
  jobIds: readonly string[],
): Promise<Omit<ArchivedRows, 'missing'>> {
  const links = listLinks(manager.connection.entityMetadatas);
  const packed = new PackedRows(manager);
  await packed.add('job', 'id', jobIds);
  await addOwn(packed);
  // A part was taken off a donor, which has no job: it goes along with all that is known of it.
  const donors = await manager.query<{ id: string }[]>('SELECT id FROM specimen WHERE jobId IS NULL');
  const named = new Set(listNamed(packed.of('specimen_part'), 'takenFromId'));
  await packed.add(
    'specimen',
    'id',
    idsOf(donors).filter((id) => named.has(id)),
  );
  await addOwn(packed);
  await addUsed(packed, manager);
  await addNamed(packed, manager, links);
  dropLoose(packed.tables, links);
  return {
    ...{ format: 'sardonyx-rows', formatVersion: 1, migration: MIGRATIONS.at(-1)!.name },
    tables: Object.fromEntries([...packed.tables].map(([table, rows]) => [table, [...rows.values()]])),
  };
}

type Tables = Map<string, Map<string, StoredRow>>;

/** Rows that go along, each once. */
class PackedRows {
  readonly tables: Tables = new Map();

  constructor(private readonly manager: EntityManager) {}

  of(table: string): StoredRow[] {
    return [...(this.tables.get(table)?.values() ?? [])];
  }

  /** Those that have one of some values in a column. Those that are new. */
  async add(table: string, column: string, values: readonly unknown[]): Promise<StoredRow[]> {
    const known = this.tables.get(table) ?? new Map<string, StoredRow>();
    this.tables.set(table, known);
    const rows = await readWhere(this.manager, table, column, values);
    const fresh = rows.filter((row) => !known.has(String(row[keyOf(table)])));
    for (const row of fresh) known.set(String(row[keyOf(table)]), row);
    return fresh;
  }
}

const idsOf = <T>(rows: readonly { readonly id?: T }[]): T[] => rows.flatMap(({ id }) => id ?? []);

async function addOwn(packed: PackedRows): Promise<void> {
  for (const [table, ...by] of OF_A_JOB)
    for (const [column, parent] of by) await packed.add(table, column, idsOf(packed.of(parent)));
}

/** Pots and things out of which something went into the jobs, and sheets with a piece of them. */
async function addUsed(packed: PackedRows, manager: EntityManager): Promise<void> {
  const holders = [
    ['pot_movement', 'potId', 'paint_pot'],
    ['stock_movement', 'thingId', 'stock_thing'],
  ] as const;
  for (const [log, column, table] of holders) {
    const lines = await readWhere(manager, log, 'jobId', idsOf(packed.of('job')));
    await packed.add(table, 'id', listNamed(lines, column));
  }
  const layers = new Set(idsOf(packed.of('coating_layer')));
  const sheets = await manager.query<{ id: string; pieces: string }[]>('SELECT id, pieces FROM decal_sheet');
  const isOurs = ({ pieces }: { pieces: string }) =>
    (JSON.parse(pieces) as { layerId?: string | null }[]).some(({ layerId }) => layerId && layers.has(layerId));
  await packed.add('decal_sheet', 'id', idsOf(sheets.filter(isOurs)));
}

/** What is named names more, until nothing new comes. */
async function addNamed(packed: PackedRows, manager: EntityManager, links: Links): Promise<void> {
  const inJson = new Map<string, string>();
  for (const table of IN_JSON)
    for (const { id } of await manager.query<{ id: string }[]>(`SELECT id FROM "${table}"`)) inJson.set(id, table);
  let fresh: (readonly [table: string, rows: readonly StoredRow[]])[] = [...packed.tables.keys()].map(
    (table) => [table, packed.of(table)] as const,
  );
  while (fresh.some(([, rows]) => rows.length)) {
    const next: typeof fresh = [];
    for (const [table, rows] of fresh) {
      for (const [to, ids] of listInJson(rows, inJson)) next.push([to, await packed.add(to, 'id', ids)]);
      for (const { column, to, key } of links.get(table) ?? [])
        if (to in OF_THE_HOUSE) next.push([to, await packed.add(to, key, listNamed(rows, column))]);
      for (const [child, by] of OF_THE_HOUSE[table] ?? []) next.push([child, await packed.add(child, by, idsOf(rows))]);
    }
    fresh = next;
  }
}

/** Tables of which JSON of other rows names some: the pots of a recipe, the thing of a want. */
const IN_JSON = ['paint_product', 'paint_pot', 'stock_thing', 'decal_artwork', 'decal_sheet'] as const;

/** Every string in the JSON of some rows that is the id of such a row. */
function listInJson(rows: readonly StoredRow[], ids: ReadonlyMap<string, string>): Map<string, string[]> {
  const found = new Map<string, Set<string>>();
  const look = (value: unknown): void => {
    if (typeof value === 'object' && value !== null) for (const inner of Object.values(value)) look(inner);
    const table = typeof value === 'string' ? ids.get(value) : undefined;
    if (table) found.set(table, (found.get(table) ?? new Set()).add(value as string));
  };
  for (const row of rows)
    for (const value of Object.values(row)) if (typeof value === 'string' && /^[[{]/.test(value)) look(readJson(value));
  return new Map([...found].map(([table, own]) => [table, [...own]]));
}

function readJson(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    // A note that begins with a bracket.
    return null;
  }
}

const listNamed = (rows: readonly StoredRow[], column: string): (string | number)[] => [
  ...new Set(rows.flatMap((row) => row[column] ?? [])),
];

/**
 * What hangs on a row of another job stays behind with it: what somebody said of a model that does not go along. A row of these
 * jobs goes along without the name of what stays.
 */
function dropLoose(tables: Tables, links: Links): void {
  const isLoose = (value: StoredRow[string] | undefined, to: string) =>
    value !== null && value !== undefined && !tables.get(to)?.has(String(value));
  for (let isChanged = true; isChanged;) {
    isChanged = false;
    for (const [table, rows] of tables)
      for (const [key, row] of rows) {
        const loose = (links.get(table) ?? []).filter(({ column, to }) => isLoose(row[column], to));
        if (loose.length === 0) continue;
        isChanged = true;
        if (table in OF_THE_HOUSE) rows.delete(key);
        else rows.set(key, { ...row, ...Object.fromEntries(loose.map(({ column }) => [column, null])) });
      }
  }
}
