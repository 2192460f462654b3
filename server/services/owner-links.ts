import {
  collarKind,
  currentFits,
  dayOf,
  OWNER_LINK_DAYS,
  type Kennel,
  type OwnerLink,
  type OwnerLinkFacts,
  type OwnerPage,
  type OwnerSaying,
  type OwnerSays,
  type OwnerTick,
  type OwnerVisit,
  type DogDueFacts,
} from '@banter/contract';
import { MoreThanOrEqual, type DataSource } from 'typeorm';
import { v7 as uuidv7 } from 'uuid';
import { HandoverEntity, OwnerLinkEntity, OwnerVisitEntity, type HandoverRow, type OwnerLinkRow, type OwnerVisitRow } from '../data/entities/handover.ts';
import { dogPage } from './dog-pages.ts';
import { badField, Failure } from './failure.ts';
import { KennelScope } from './kennel-scope.ts';
import { kennelAnswer, kennelOf } from './kennels.ts';
import { keyedAnswer, keyedRowSeen } from './private-keys.ts';
import { readable } from './readable.ts';
import type { VersionedKind } from '../records/record-base.ts';
import { tellSkin } from './told-skin.ts';
import { DAY_MS, HOUR_MS, MINUTE_MS } from '@banter/core';

/** The latest handover that can be read is one of so many. */
const LOOKED_BACK = 5;
/** A clock at the desk may be off by this much. */
const PATIENCE_MS = HOUR_MS;
/** Days of ticks that an owner sees. */
const TICK_DAYS = 7;
/** Somebody who looks again within this time is still at the same look. */
const SAME_LOOK_MS = 10 * MINUTE_MS;

export const ownerLinkKind: VersionedKind<OwnerLinkRow, OwnerLinkFacts, OwnerLink> = {
  entity: OwnerLinkEntity,
  toColumns: ({ expiresAt, revokedAt, ...facts }) => ({ ...facts, expiresAt: new Date(expiresAt), revokedAt: revokedAt === null ? null : new Date(revokedAt) }),
  toAnswer: keyedAnswer,
  admit: async ({ dogId, expiresAt, keyHash }, _scope, _id, before) => {
    if (before && before.keyHash !== keyHash) throw badField('keyHash', 'A link keeps its key; make another one.');
    if (before && before.dogId !== dogId) throw badField('dogId', 'A link stays with its dog.');
    if (Date.parse(expiresAt) > Date.now() + OWNER_LINK_DAYS * DAY_MS + PATIENCE_MS)
      throw badField('expiresAt', `A link holds ${OWNER_LINK_DAYS} days at most.`);
  },
};

export const visitAnswer = ({ id, linkId, what, item, day, at }: OwnerVisitRow): OwnerVisit => ({ id, linkId, what, item, day, at: at.toISOString() });

/** An owner's link by its key, with the scope it reads in: one guessed, taken back or run out is answered alike. */
export async function ownerOf(dataSource: DataSource, key: string): Promise<{ link: OwnerLinkRow; scope: KennelScope }> {
  const link = await keyedRowSeen(dataSource, OwnerLinkEntity, key);
  if (!link) throw new Failure('no-owner-link');
  return { link, scope: new KennelScope(dataSource, { kennelId: link.kennelId, personId: link.id, role: 'reader' }) };
}

export async function latestHandover(scope: KennelScope, dogId: string): Promise<HandoverRow | null> {
  const rows = await scope
    .query(HandoverEntity)
    .andWhere('record.dogId = :dogId', { dogId })
    .orderBy('record.at', 'DESC')
    .addOrderBy('record.id', 'DESC')
    .take(LOOKED_BACK)
    .getMany();
  return readable(scope, 'handover', rows)[0] ?? null;
}

/** Writes down what was done with a link. */
export async function noteVisit(
  scope: KennelScope,
  link: OwnerLinkRow,
  visit: Pick<OwnerVisitRow, 'what'> & Partial<Pick<OwnerVisitRow, 'id' | 'item' | 'day' | 'at'>>,
): Promise<void> {
  await scope.insert(OwnerVisitEntity, { id: uuidv7(), item: '', day: null, at: new Date(), ...visit, linkId: link.id, dogId: link.dogId });
}

/** What an owner sees; that it was opened is written down, once for each look. */
export async function ownerPage(dataSource: DataSource, key: string, now: Date, opened: boolean): Promise<OwnerPage> {
  const { link, scope } = await ownerOf(dataSource, key);
  const { timeZone } = await kennelOf(scope);
  const today = dayOf(now.getTime(), timeZone);
  const [handover, ticked] = await Promise.all([
    latestHandover(scope, link.dogId),
    scope.all(OwnerVisitEntity, { linkId: link.id, at: MoreThanOrEqual(new Date(now.getTime() - (TICK_DAYS + 1) * DAY_MS)) }, { at: 'ASC', id: 'ASC' }),
  ]);
  if (opened && !ticked.some(({ what, at }) => what === 'opened' && now.getTime() - at.getTime() < SAME_LOOK_MS))
    await noteVisit(scope, link, { what: 'opened' });
  const byDay = new Map<string, Set<string>>();
  const said = new Set<OwnerSaying>();
  for (const { what, day, item } of ticked) {
    if (day === null) continue;
    if (what === 'said' || what === 'unsaid') {
      if (day === today) said[what === 'said' ? 'add' : 'delete'](item as OwnerSaying);
      continue;
    }
    const items = byDay.get(day) ?? new Set();
    byDay.set(day, items);
    if (what === 'ticked') items.add(item);
    if (what === 'unticked') items.delete(item);
  }
  return {
    name: link.name,
    expiresAt: link.expiresAt.toISOString(),
    today,
    timeZone,
    handover: handover && { at: handover.at.toISOString(), toWhom: handover.toWhom, callWhom: handover.callWhom, note: handover.note, sheet: handover.sheet },
    said: [...said],
    ticks: [...byDay].map(([day, items]) => ({ day, items: [...items] })).sort((a, b) => (a.day < b.day ? 1 : -1)),
  };
}

/** Ticks a line of the daily check for today, or takes the tick back; the same tick again is the same tick. */
export async function tickDaily(dataSource: DataSource, { key, id, item, done }: OwnerTick, now: Date): Promise<KennelScope> {
  const { link, scope } = await ownerOf(dataSource, key);
  const handover = await latestHandover(scope, link.dogId);
  if (!handover?.sheet.daily.some((line) => line.key === item)) throw badField('item', 'There is no such line in the daily check.');
  if (await scope.find(OwnerVisitEntity, id)) return scope;
  const { timeZone } = await kennelOf(scope);
  await noteVisit(scope, link, { id, what: done ? 'ticked' : 'unticked', item, day: dayOf(now.getTime(), timeZone) });
  return scope;
}

/** Keeps what an owner says of a day, or takes back. Pink is a look at the skin wherever it is said: that place rests; taken back, it is clear again. */
export async function keepSaying(
  within: KennelScope,
  link: OwnerLinkRow,
  { id, says, done }: Pick<OwnerSays, 'id' | 'says' | 'done'>,
  kennel: Kennel,
  now: Date,
): Promise<void> {
  await noteVisit(within, link, { id, what: done ? 'said' : 'unsaid', item: says, day: dayOf(now.getTime(), kennel.timeZone), at: now });
  if (says !== 'pink') return;
  const page = await dogPage(within, link.dogId);
  const { dog } = page;
  const fits = currentFits(page);
  const fit = fits.find(({ plan }) => collarKind(plan.kind).traits.wear.contacts) ?? fits[0];
  if (!fit) return;
  const { kind, collarId, choices } = fit.plan;
  const teller = { id, linkId: link.id, personId: null, at: now, recordedAt: now };
  const under = { kind, collarId, choices, on: fit.check?.on };
  await tellSkin(within, teller, dog, kennel, under, { grade: done ? 1 : 0, skinAt: null, note: done ? '' : 'Undone by the owner.' });
}

/** Says something of today, or takes it back; the same again is the same. */
export async function sayToKennel(dataSource: DataSource, { key, id, says, done }: OwnerSays, now: Date): Promise<KennelScope> {
  const { link, scope } = await ownerOf(dataSource, key);
  if (await scope.find(OwnerVisitEntity, id)) return scope;
  const kennel = kennelAnswer(await kennelOf(scope));
  await scope.inOne((within) => keepSaying(within, link, { id, says, done }, kennel, now));
  return scope;
}

/** What an owner said stays among the dues for so many days, or until somebody has looked. From memory. */
const SAID_DAYS = 3;

/** What owners said of late of some dogs and did not take back, whose fit and skin nobody has looked at since; times ms. */
export async function saidByOwners(scope: KennelScope, now: Date, dogIds: readonly string[]): Promise<DogDueFacts['owners']> {
  const rows = await scope.raw<{ dogId: string; dogName: string; owner: string; says: OwnerSaying; at: Date | string }>(
    `SELECT visit.dogId, dogs.name AS dogName, owner_links.name AS owner, visit.item AS says, visit.at
       FROM owner_visits visit
       JOIN dogs ON dogs.kennelId = visit.kennelId AND dogs.id = visit.dogId AND dogs.archivedAt IS NULL
       JOIN owner_links ON owner_links.kennelId = visit.kennelId AND owner_links.id = visit.linkId
      WHERE visit.kennelId = :kennelId AND visit.dogId IN (:dogIds) AND visit.what = 'said' AND visit.at > :since
        AND NOT EXISTS (SELECT 1 FROM owner_visits later WHERE later.kennelId = visit.kennelId AND later.linkId = visit.linkId
          AND later.item = visit.item AND later.what IN ('said', 'unsaid') AND (later.at, later.id) > (visit.at, visit.id))
        AND NOT EXISTS (SELECT 1 FROM fit_checks looked WHERE looked.kennelId = visit.kennelId AND looked.dogId = visit.dogId AND looked.at > visit.at AND visit.item <> 'pink')
        AND NOT EXISTS (SELECT 1 FROM skin_looks looked WHERE looked.kennelId = visit.kennelId AND looked.dogId = visit.dogId AND looked.linkId IS NULL AND looked.at > visit.at AND visit.item = 'pink')
      ORDER BY visit.at, visit.id`,
    { since: new Date(now.getTime() - SAID_DAYS * DAY_MS), dogIds },
  );
  return rows.map(({ at, ...row }) => ({ ...row, at: new Date(at).getTime(), until: new Date(at).getTime() + SAID_DAYS * DAY_MS }));
}
