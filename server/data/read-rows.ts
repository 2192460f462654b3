import {
  FindOperator,
  type DataSource,
  type EntityManager,
  type EntityMetadata,
  type EntitySchema,
  type FindOptionsOrder,
  type FindOptionsWhere,
  type ObjectLiteral,
} from 'typeorm';

const ALIAS = 'record';
/** Of so many questions the statement is remembered: as many as differ in more than their values, but for very long lists. */
const MOST_STATEMENTS = 2000;

type ReadColumn = { column: EntityMetadata['columns'][number]; name: string; key: string };
/** What has been worked out of a database's tables: their columns, and the statement of each question, whatever its values. */
type Known = { columns: Map<string, ReadColumn[]>; statements: Map<string, string> };
const knownOf = new WeakMap<DataSource, Known>();

/** What a condition asks, but for its values. */
const shapeOf = (asked: unknown): unknown => {
  if (!(asked instanceof FindOperator)) return asked === null || asked === undefined ? String(asked) : '?';
  return [asked.type, asked.child ? shapeOf(asked.child) : Array.isArray(asked.value) ? (asked.value as unknown[]).map(shapeOf) : null];
};
/** The values of a condition, in their order. */
const valuesOf = (asked: unknown): unknown[] => {
  if (!(asked instanceof FindOperator)) return [asked];
  if (asked.child) return valuesOf(asked.child);
  if (Array.isArray(asked.value)) return (asked.value as unknown[]).flatMap(valuesOf);
  return asked.value === undefined ? [] : [asked.value];
};

/** The statement of a question and the values it is asked with: put together by the mapper once, which takes as long as many a table takes to answer. */
function statementOf<Row extends ObjectLiteral>(
  manager: EntityManager,
  entity: EntitySchema<Row>,
  asked: { where: FindOptionsWhere<Row>; order: FindOptionsOrder<Row> },
  { statements }: Known,
): [sql: string, values: unknown[]] {
  const conditions = Object.entries(asked.where) as [string, unknown][];
  const key = JSON.stringify([entity.options.name, conditions.map(([name, value]) => [name, shapeOf(value)]), asked.order]);
  const values = conditions.flatMap(([, value]) => valuesOf(value));
  const known = statements.get(key);
  if (known !== undefined) return [known, values];
  const [sql, given] = manager.createQueryBuilder(entity, ALIAS).setFindOptions(asked).getQueryAndParameters();
  // What the mapper asks with other values than it was given is not asked by these.
  if (given.length !== values.length || given.some((value, at) => value !== values[at])) return [sql, given];
  if (statements.size >= MOST_STATEMENTS) statements.clear();
  statements.set(key, sql);
  return [sql, values];
}

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
  const { connection } = manager;
  const known = knownOf.get(connection) ?? { columns: new Map<string, ReadColumn[]>(), statements: new Map<string, string>() };
  knownOf.set(connection, known);
  const columns =
    known.columns.get(entity.options.name) ??
    connection.getMetadata(entity).columns.map((column) => ({ column, name: column.propertyName, key: `${ALIAS}_${column.databaseName}` }));
  known.columns.set(entity.options.name, columns);
  const raw = await manager.query<ObjectLiteral[]>(...statementOf(manager, entity, { where, order }, known));
  return raw.map((values) => {
    const row: ObjectLiteral = {};
    for (const { column, name, key } of columns)
      if (values[key] !== undefined) row[name] = connection.driver.prepareHydratedValue(values[key], column) as unknown;
    return row as Row;
  });
}
