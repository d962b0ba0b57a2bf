import type { Area, CoatingLayer, SpecimenPart, Want } from '@sardonyx/core';
import type { EntityManager } from 'typeorm';

export interface PartsOfSpecimen {
  readonly parts: readonly SpecimenPart[];
  readonly areas: readonly Area[];
  readonly layers: readonly CoatingLayer[];
  readonly wants: readonly Want[];
}

const readJson = (text: unknown): unknown => (typeof text === 'string' ? JSON.parse(text) : null);

export interface SpecimenParts {
  readonly of: (specimenId: string) => PartsOfSpecimen;
}

/** Truth is stored as 0 or 1, lists as JSON. */
type Stored<T> = {
  readonly [K in keyof T]: T[K] extends boolean ? 0 | 1 : T[K] extends object | null ? string | null : T[K];
};

/**
 * The parts, areas, layers and wants of these specimens, read in four queries as they are stored and handed out by specimen:
 * the bench asks for them every time it opens, and the mapper's work was most of that time.
 */
export async function readSpecimenParts(
  manager: EntityManager,
  specimenIds: readonly string[],
): Promise<SpecimenParts> {
  const read = <T>(sql: string) =>
    manager.query<T[]>(sql.replace('?', specimenIds.map(() => '?').join(', ')), [...specimenIds]);
  const ofParts = 'WHERE specimenPartId IN (SELECT id FROM specimen_part WHERE specimenId IN (?))';
  const parts = await read<SpecimenPart>('SELECT * FROM specimen_part WHERE specimenId IN (?) ORDER BY rowid');
  const areas = (await read<Stored<Area>>(`SELECT * FROM area ${ofParts} ORDER BY rowid`)).map(
    (area) =>
      ({
        ...area,
        crossesSeam: area.crossesSeam === 1,
        size: readJson(area.size),
        outline: readJson(area.outline),
      }) as unknown as Area,
  );
  const layers = (
    await read<Stored<CoatingLayer>>(
      `SELECT * FROM coating_layer WHERE areaId IN (SELECT id FROM area ${ofParts}) ORDER BY seq`,
    )
  ).map((layer) => ({
    ...layer,
    isMist: layer.isMist === 1,
    how: readJson(layer.how),
    decalMm: readJson(layer.decalMm),
    rejection: layer.rejection ? (JSON.parse(layer.rejection) as CoatingLayer['rejection']) : null,
  })) as unknown as CoatingLayer[];
  const wants = (await read<Stored<Want>>(`SELECT * FROM want ${ofParts}`)).map(
    (want) => ({ ...want, bits: readJson(want.bits), taken: readJson(want.taken) }) as unknown as Want,
  );
  return {
    of: (specimenId) => {
      const own = parts.filter((part) => part.specimenId === specimenId);
      const partIds = new Set(own.map((part) => part.id));
      const ownAreas = areas.filter((area) => partIds.has(area.specimenPartId));
      const areaIds = new Set(ownAreas.map((area) => area.id));
      return {
        parts: own,
        areas: ownAreas,
        layers: layers.filter((layer) => areaIds.has(layer.areaId)),
        wants: wants.filter((want) => partIds.has(want.specimenPartId)),
      };
    },
  };
}
