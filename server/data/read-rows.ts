import type { EntityManager, EntitySchema, FindOptionsOrder, FindOptionsWhere, ObjectLiteral } from 'typeorm';

const ALIAS = 'record';

/**
 * Reads rows of one table as they stand. What the mapper would do besides, which is to look in each row for others that belong to it, costs several times
 * as much as reading them, and tells on a locker of hundreds of collars.
 */
export async function readRows<Row extends ObjectLiteral>(
  manager: EntityManager,
  entity: EntitySchema<Row>,
  where: FindOptionsWhere<Row>,
  order: FindOptionsOrder<Row> = {},
): Promise<Row[]> {
  const { driver } = manager.connection;
  const columns = manager.connection
    .getMetadata(entity)
    .columns.map((column) => ({ column, name: column.propertyName, key: `${ALIAS}_${column.databaseName}` }));
  const raw = await manager.createQueryBuilder(entity, ALIAS).setFindOptions({ where, order }).getRawMany<ObjectLiteral>();
  return raw.map((values) => {
    const row: ObjectLiteral = {};
    for (const { column, name, key } of columns) if (values[key] !== undefined) row[name] = driver.prepareHydratedValue(values[key], column) as unknown;
    return row as Row;
  });
}
