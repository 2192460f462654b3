import type { LinkAccount } from '@banter/core';
import { z } from '../plain-words.ts';
import { Instant, line, RecordId } from './common.ts';

/** Where a link can be: outside the kennel, in the bag, on a collar, lent with a dog, or scrapped. */
export const Account = z
  .string()
  .regex(
    /^(outside|bag|scrap|(collar|dog):[0-9a-f-]{36})$/,
    'Links are outside, in the bag, on a collar, lent with a dog, or scrapped.',
  ) as unknown as z.ZodType<LinkAccount>;

export const MOVE_REASONS = ['stocked', 'bought', 'fitted', 'lent', 'returned', 'scrapped', 'counted'] as const;

/** Links that go from one account to another. Nothing is ever only added or only taken away. */
export const NewLinkMove = z
  .strictObject({
    gaugeMm: z.number().positive().max(10),
    count: z.number().int().min(1).max(1000),
    from: Account,
    to: Account,
    why: z.enum(MOVE_REASONS),
    note: line(400),
    at: Instant,
  })
  .check(({ value, issues }) => {
    if (value.from === value.to) issues.push({ code: 'custom', path: ['to'], input: value.to, message: 'Links move from one place to another.' });
  });
export type NewLinkMove = z.infer<typeof NewLinkMove>;
export const LinkMove = z.object({ ...NewLinkMove.shape, id: RecordId, recordedAt: Instant, personId: RecordId, personName: z.string() });
export type LinkMove = z.infer<typeof LinkMove>;

/** How many links of a gauge are where. */
export const LinkBalance = z.object({ gaugeMm: z.number(), account: z.string(), count: z.number().int() });
export type LinkBalance = z.infer<typeof LinkBalance>;

const ACCOUNT = /^(collar|dog):([0-9a-f-]{36})$/;
/** The collars and dogs among whose accounts links move. */
export const refsOfAccounts = (move: Record<string, unknown>) =>
  ['from', 'to'].flatMap((field) => {
    const [, of, id] = ACCOUNT.exec(String(move[field])) ?? [];
    return of && id ? [{ field, kind: of === 'collar' ? 'collars' : 'dogs', id }] : [];
  });
