import { pieceDue, type UpkeepPage, type UpkeepPiece } from '@banter/contract';
import { countOf, DAY_MS, type HouseRules, type InspectionDue } from '@banter/core';

/** Why a piece is looked at, in a few words; null while it is not due. */
export function dueWords({ wears }: Pick<UpkeepPiece, 'wears'>, due: InspectionDue, now: number): string | null {
  switch (due.why) {
    case 'mend':
      return 'to be mended';
    case 'never':
      return 'never inspected';
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
export function lastWords({ last, measuredSince }: Pick<UpkeepPiece, 'last' | 'measuredSince'>, dayWords: (at: string) => string): string {
  if (measuredSince !== null) return `measured and sound on ${dayWords(measuredSince)}`;
  if (!last) return 'not inspected';
  return `${{ ok: 'sound', mend: 'to be mended', scrap: last.copy ? 'a poor copy, scrapped' : 'scrapped' }[last.outcome]} on ${dayWords(last.at)}, ${last.personName}`;
}

/** The one sentence at the top of Upkeep, by the first page of what is due. */
export function upkeepSentence({ counts, rows }: Pick<UpkeepPage, 'counts' | 'rows'>, now: number, rules: HouseRules): string {
  const [first] = rows;
  if (counts.due + counts.later === 0) return 'No gear yet.';
  if (!first) return 'All gear is inspected.';
  const rest = counts.due - 1;
  const name = first.name;
  const what = pieceDue(first, now, rules).why === 'mend' ? `Mend ${name}` : `Inspect ${name}`;
  return rest <= 0 ? `${what}.` : `${what}, then ${rest} more.`;
}
