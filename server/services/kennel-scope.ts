import { type DataSource, type EntityManager, type EntitySchema, type FindOptionsOrder, type FindOptionsWhere, In, type QueryDeepPartialEntity } from 'typeorm';
import type { Role } from '@banter/contract';
import { doneAgain } from '../data/done-again.ts';
import { KennelEntity, type KennelRow } from '../data/entities/kennel.ts';
import { LinkMoveEntity, type LinkMoveRow } from '../data/entities/link-move.ts';
import { hold } from '../data/hold.ts';
import { insertRows } from '../data/insert-rows.ts';
import { readRows } from '../data/read-rows.ts';
import { keepBalances } from '../standings/link-balances.ts';
import { touchPieces, touchStandings } from '../standings/touch.ts';
import { Failure } from './failure.ts';

/** Rows that go into one statement, which has a longest length. */
const AT_ONCE = 400;
const parts = <Row>(rows: readonly Row[]): Row[][] =>
  Array.from({ length: Math.ceil(rows.length / AT_ONCE) }, (_none, part) => rows.slice(part * AT_ONCE, (part + 1) * AT_ONCE));

type OfKennel = { id: string; kennelId: string };

/** A value in a query of its own; a list stands where `IN (:list)` asks for one, and is never empty. */
type RawValue = string | number | Date | readonly string[];

/**
 * The one place where records are read and written: everything goes through a kennel's scope, and a record of another
 * kennel does not exist in it.
 */
export class KennelScope {
  readonly kennelId: string;
  readonly personId: string;
  /** What whoever acts may do. */
  readonly role: Role;
  /** Whether what is kept is told as of when it happened: the demo tells of days gone by. */
  readonly backdated: boolean;
  private readonly manager: EntityManager;
  /** What was read already, by what was asked; null where each read asks the database. */
  private readonly known: Map<string, Promise<unknown>> | null;
  /** What other questions of the same page have read; null where it is asked for none. */
  private readonly ofPage: Map<string, Promise<unknown>> | null;

  constructor(
    dataSource: DataSource | EntityManager,
    who: { kennelId: string; personId: string; role: Role; backdated?: boolean },
    { known = null, ofPage = null }: { known?: Map<string, Promise<unknown>> | null; ofPage?: Map<string, Promise<unknown>> | null } = {},
  ) {
    this.manager = 'manager' in dataSource ? dataSource.manager : dataSource;
    this.kennelId = who.kennelId;
    this.personId = who.personId;
    this.role = who.role;
    this.backdated = who.backdated ?? false;
    this.known = known;
    this.ofPage = ofPage;
  }

  /**
   * The same scope for a page that is put together of others and writes nothing: what one part has read, another is not read again for, and all parts
   * tell of the same rows.
   */
  reading(): KennelScope {
    return this.known ? this : new KennelScope(this.manager, this, { known: this.ofPage ?? new Map() });
  }

  private async once<Row>(asked: () => string, read: () => Promise<Row[]>): Promise<Row[]> {
    if (this.known === null) return await read();
    const key = asked();
    const reading = (this.known.get(key) as Promise<Row[]> | undefined) ?? read();
    this.known.set(key, reading);
    // Whoever sorts what it was given sorts its own.
    return [...(await reading)];
  }

  /** The names of the kennel's people, whoever has left among them, by their ids. */
  async peopleNames(): Promise<ReadonlyMap<string, string>> {
    const people = await this.raw<{ id: string; name: string }>('SELECT id, name FROM people WHERE kennelId = :kennelId');
    return new Map(people.map(({ id, name }) => [id, name]));
  }

  /** The same scope in somebody else's name. */
  as(personId: string): KennelScope {
    return new KennelScope(this.manager, { ...this, personId });
  }

  /** The kennel itself. */
  async kennel(): Promise<KennelRow | null> {
    const [row = null] = await this.once(
      () => 'kennel',
      () => readRows(this.manager, KennelEntity, { id: this.kennelId }),
    );
    return row;
  }

  /** Runs several writes as one. */
  inOne<T>(work: (scope: KennelScope) => Promise<T>): Promise<T> {
    return this.onceMore(() => this.manager.transaction((manager) => work(new KennelScope(manager, this))));
  }

  /** Runs several writes as one, each read of which sees what others have kept meanwhile: for what is judged after a lock was waited for. */
  inOneAsItStands<T>(work: (scope: KennelScope) => Promise<T>): Promise<T> {
    return this.onceMore(() => this.manager.transaction('READ COMMITTED', (manager) => work(new KennelScope(manager, this))));
  }

  private async onceMore<T>(whole: () => Promise<T>): Promise<T> {
    return this.manager.queryRunner?.isTransactionActive ? await whole() : await doneAgain(whole);
  }

  /** Changes the kennel itself. */
  async changeKennel(change: Partial<KennelRow>): Promise<void> {
    await this.manager.update(KennelEntity, { id: this.kennelId }, change as QueryDeepPartialEntity<KennelRow>);
  }

  /** Holds the kennel until the end of the transaction, so that what must be counted is changed by one person at a time. */
  async holdKennel(): Promise<void> {
    await hold(this.manager, this.kennelId, [this.kennelId]);
    await this.manager.findOne(KennelEntity, { where: { id: this.kennelId }, lock: { mode: 'pessimistic_write' } });
  }

  /** A query in SQL of one's own, which must name `:kennelId` in every table it reads; other values stand under their names. */
  async raw<Row>(sql: string, values: Record<string, RawValue> = {}): Promise<Row[]> {
    const all: Record<string, RawValue> = { ...values, kennelId: this.kennelId };
    const given: RawValue[] = [];
    const text = sql.replaceAll(/:([a-zA-Z]+)/g, (_all, name: string) => {
      given.push(all[name]!);
      return '?';
    });
    return await this.once(
      () => JSON.stringify([text, given]),
      () => this.manager.query<Row[]>(text, given),
    );
  }

  async find<T extends OfKennel>(entity: EntitySchema<T>, id: string): Promise<T | null> {
    const [row = null] = await this.once(
      () => JSON.stringify([entity.options.name, id]),
      () => readRows(this.manager, entity, this.where<T>({ id } as FindOptionsWhere<T>)),
    );
    return row;
  }

  /** The record, or the failure `not-found`. */
  async get<T extends OfKennel>(entity: EntitySchema<T>, id: string): Promise<T> {
    const row = await this.find(entity, id);
    if (!row) throw new Failure('not-found');
    return row;
  }

  /** The record, locked until the end of the transaction, or the failure `not-found`. */
  async hold<T extends OfKennel>(entity: EntitySchema<T>, id: string): Promise<T> {
    await hold(this.manager, this.kennelId, [id]);
    const row = await this.manager.findOne(entity, {
      where: this.where<T>({ id } as FindOptionsWhere<T>),
      lock: { mode: 'pessimistic_write' },
    });
    if (!row) throw new Failure('not-found');
    return row;
  }

  /** Several records, locked until the end of the transaction, in the order of their ids so that nobody waits for each other. */
  async holdSome<T extends OfKennel>(entity: EntitySchema<T>, ids: readonly string[]): Promise<T[]> {
    if (ids.length === 0) return [];
    await hold(this.manager, this.kennelId, ids);
    return await this.manager.find(entity, {
      where: this.where<T>({ id: In([...ids]) } as FindOptionsWhere<T>),
      order: { id: 'ASC' } as FindOptionsOrder<T>,
      lock: { mode: 'pessimistic_write' },
    });
  }

  async all<T extends OfKennel>(entity: EntitySchema<T>, where: FindOptionsWhere<T>, order: FindOptionsOrder<T>): Promise<T[]> {
    return await this.once(
      () => JSON.stringify([entity.options.name, where, order]),
      () => readRows(this.manager, entity, this.where(where), order),
    );
  }

  async someOf<T extends OfKennel>(entity: EntitySchema<T>, ids: readonly string[]): Promise<T[]> {
    return ids.length === 0 ? [] : await this.all(entity, { id: In([...ids]) } as FindOptionsWhere<T>, {});
  }

  async insert<T extends OfKennel>(entity: EntitySchema<T>, row: Omit<T, 'kennelId'>): Promise<void> {
    await this.manager.insert(entity, { ...row, kennelId: this.kennelId } as unknown as QueryDeepPartialEntity<T>);
    await this.isNew(entity, [row]);
  }

  async insertMany<T extends OfKennel>(entity: EntitySchema<T>, rows: readonly Omit<T, 'kennelId'>[]): Promise<void> {
    for (const part of parts(rows)) await insertRows(this.manager, entity, this.own(part), { change: false });
    await this.isNew(entity, rows);
  }

  /** Makes rows that are worked out from others what they now are. */
  async putMany<T extends OfKennel>(entity: EntitySchema<T>, rows: readonly Omit<T, 'kennelId'>[]): Promise<void> {
    for (const part of parts(rows)) await insertRows(this.manager, entity, this.own(part), { change: true });
    await this.touch(entity, rows);
  }

  private readonly own = (rows: readonly object[]) => rows.map((row) => ({ ...row, kennelId: this.kennelId }));

  /** Takes rows away that are worked out from others and no longer follow from them. */
  async removeMany<T extends OfKennel>(entity: EntitySchema<T>, ids: readonly string[]): Promise<void> {
    if (ids.length > 0) await this.manager.delete(entity, this.where<T>({ id: In([...ids]) } as FindOptionsWhere<T>));
  }

  /** Changes a record if it is still at this version; answers whether it was. */
  async updateAt<T extends OfKennel & { version: number }>(entity: EntitySchema<T>, id: string, version: number, change: Partial<T>): Promise<boolean> {
    const done = await this.manager.update(entity, this.where<T>({ id, version } as unknown as FindOptionsWhere<T>), {
      ...change,
      version: version + 1,
    } as unknown as QueryDeepPartialEntity<T>);
    if (done.affected === 1) await this.touch(entity, [{ ...change, id }]);
    return done.affected === 1;
  }

  /** What follows from rows that were not there before. */
  private async isNew<T extends OfKennel>(entity: EntitySchema<T>, rows: readonly object[]): Promise<void> {
    if (entity.options.tableName === LinkMoveEntity.options.tableName) await keepBalances(this, rows as readonly LinkMoveRow[]);
    await this.touch(entity, rows);
  }

  /** What stands of the dogs that written rows bear on is to be worked out anew. */
  private async touch<T extends OfKennel>(entity: EntitySchema<T>, rows: readonly object[]): Promise<void> {
    await touchStandings(this.manager, this.kennelId, entity.options.tableName!, rows);
  }

  /** Whether a dog wears them is another than it was: what stands of these pieces is to be worked out anew. */
  async touchPieces(pieceIds: readonly string[]): Promise<void> {
    await touchPieces(this.manager, this.kennelId, pieceIds);
  }

  /** Changes what has no version: what a person is. */
  async change<T extends OfKennel>(entity: EntitySchema<T>, id: string, change: Partial<T>): Promise<void> {
    await this.manager.update(entity, this.where<T>({ id } as FindOptionsWhere<T>), change as QueryDeepPartialEntity<T>);
    await this.touch(entity, [{ ...change, id }]);
  }

  /** A query of one's own over a record's table, already scoped; its alias is `record`. */
  query<T extends OfKennel>(entity: EntitySchema<T>) {
    return this.manager.createQueryBuilder<T>(entity, 'record').where('record.kennelId = :kennelId', { kennelId: this.kennelId });
  }

  private where<T extends OfKennel>(more: FindOptionsWhere<T>): FindOptionsWhere<T> {
    return { ...more, kennelId: this.kennelId } as FindOptionsWhere<T>;
  }
}
