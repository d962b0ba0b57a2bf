import type { EntityManager, FindOptionsWhere } from 'typeorm';
import type { FeatureRow, FeatureStateRow } from '../../entities/catalogue.ts';

/** Features or states in the order in which somebody wrote them down. */
export const readInOrder = <Row extends FeatureRow | FeatureStateRow>(
  manager: EntityManager,
  type: new () => Row,
  where: FindOptionsWhere<Row> = {},
): Promise<Row[]> => manager.createQueryBuilder(type, 'one').where(where).orderBy('one.rowid').getMany();
