import type { UpkeepPiece } from '@banter/contract';
import { countOf, DAY_MS } from '@banter/core';

/** Why a piece is looked at, in a few words; null while it is not due. */
export function dueWords({ due, wears }: UpkeepPiece, now: number): string | null {
  switch (due.why) {
    case 'mend':
      return 'to be mended';
    case 'never':
      return 'never looked at whole';
    case 'wears':
      return `worn ${countOf(wears, 'time')} since`;
    case 'days': {
      const days = Math.floor((now - due.at) / DAY_MS);
      return days < 1 ? 'due today' : `due for ${countOf(days, 'day')}`;
    }
    case null:
      return null;
  }
}

/** When it was looked at, and how it was found. */
export function lastWords({ last, measuredSince }: UpkeepPiece, dayWords: (at: string) => string): string {
  if (measuredSince !== null) return `measured and sound on ${dayWords(measuredSince)}`;
  if (!last) return 'not yet looked at';
  return `${{ ok: 'sound', mend: 'to be mended', scrap: last.copy ? 'a poor copy, scrapped' : 'scrapped' }[last.outcome]} on ${dayWords(last.at)}, ${last.personName}`;
}

/** The one sentence at the top of Upkeep. */
export function upkeepSentence(pieces: readonly UpkeepPiece[]): string {
  const here = pieces.filter(({ scrapped }) => !scrapped);
  const due = here.filter((piece) => piece.due.why !== null);
  const first = due[0];
  if (here.length === 0) return 'Nothing to keep up yet.';
  if (!first) return 'All gear has been looked at.';
  const rest = due.length - 1;
  const name = `«${first.name}»`;
  const what = first.due.why === 'mend' ? `Mend ${name}` : `Look at ${name}`;
  return rest === 0 ? `${what}.` : `${what}, then ${rest} more.`;
}
