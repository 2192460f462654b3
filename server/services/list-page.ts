import { badField } from './failure.ts';
import type { KennelScope } from './kennel-scope.ts';

/** A pattern that finds a text anywhere; what stands in a pattern for itself is escaped. */
export const likePart = (text: string): string => `%${text.trim().replaceAll(/[\\%_]/g, (sign) => `\\${sign}`)}%`;

/** So many rows of a list are answered at a time. */
export const PAGE_ROWS = 60;

type Place = readonly (string | number | null)[];

/** Where a list goes on after a row, as a text that means nothing to whoever asks; it is of this list in this kennel. */
export const cursorAfter = ({ kennelId }: KennelScope, list: string, place: Place): string =>
  Buffer.from(JSON.stringify([kennelId, list, ...place])).toString('base64url');

/** The place that a cursor names; null: from the beginning. One of another list or kennel, or that nobody gave, is refused in words. */
export function placeOf<Values extends Place>({ kennelId }: KennelScope, list: string, cursor: string | undefined): Values | null {
  if (cursor === undefined) return null;
  const not = () => badField('after', 'The list does not go on from here: ask for it from its beginning.');
  try {
    const [kennel, name, ...place] = JSON.parse(Buffer.from(cursor, 'base64url').toString()) as (string | number | null)[];
    if (kennel !== kennelId || name !== list || place.some((value) => value !== null && typeof value === 'object')) throw not();
    return place as unknown as Values;
  } catch {
    throw not();
  }
}

/** One more row than a page has was asked for: the page, and whether it goes on. */
export const pageOf = <Row>(rows: readonly Row[]): { rows: Row[]; last: Row | null } => {
  const page = rows.slice(0, PAGE_ROWS);
  return { rows: page, last: rows.length > PAGE_ROWS ? page.at(-1)! : null };
};
