import type { FieldSession, FieldSessionPage } from '@banter/contract';
import { In, MoreThan } from 'typeorm';
import { FieldSessionEntity, type FieldSessionRow } from '../data/entities/field-log.ts';
import { HappeningEntity } from '../data/entities/happening.ts';
import { Failure } from './failure.ts';
import { happeningAnswers } from './happenings/kept-happenings.ts';
import { familyOf } from './happenings/session-stories.ts';
import type { KennelScope } from './kennel-scope.ts';

/** Sessions as they are answered, with the names of their handlers. */
export async function sessionAnswers(scope: KennelScope, rows: readonly FieldSessionRow[]): Promise<FieldSession[]> {
  const names = rows.length === 0 ? new Map<string, string>() : await scope.peopleNames();
  return rows.map(({ kennelId: _kennel, begunAt, endedAt, lastAt, ...row }) => ({
    ...row,
    handlerName: names.get(row.handlerId) ?? '',
    begunAt: begunAt.toISOString(),
    endedAt: endedAt?.toISOString() ?? null,
    lastAt: lastAt.toISOString(),
  }));
}

/** One session with everything that was told of it, or what arrived since an instant; one that joined another is answered as that one. */
export async function fieldSessionPage(scope: KennelScope, id: string, since: Date | null = null): Promise<FieldSessionPage> {
  const [begin] = await scope.all(HappeningEntity, { sessionId: id, event: 'begin' }, { at: 'ASC' });
  if (!begin) throw new Failure('not-found');
  const [root, members] = [...(await familyOf(scope, [begin.dogId!], [id]))].find(([, all]) => all.includes(id))!;
  const row = await scope.get(FieldSessionEntity, root);
  const later = since === null ? {} : { recordedAt: MoreThan(since) };
  const rows = await scope.all(HappeningEntity, { sessionId: In(members), ...later }, { at: 'ASC', id: 'ASC' });
  const [session] = await sessionAnswers(scope, [row]);
  return { session: session!, events: await happeningAnswers(scope, rows) };
}

/** A held session as calendars know it. */
export const heldAnswer = ({ id, dogId, begunAt, endedAt }: FieldSessionRow) => ({
  id,
  dogId,
  begunAt: begunAt.toISOString(),
  endedAt: endedAt?.toISOString() ?? null,
});
