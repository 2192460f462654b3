import { RESTRICTED_HAZARDS, type Hazard } from './hazards.ts';

/** What a kennel has written down of one kind of collar in one place. */
export type LawWord = 'allowed' | 'not-allowed';

/** A place where the kennel works: what is allowed there by kind, and when somebody last looked (days ago), null when nobody has. */
export type Place = { name: string; collars: Readonly<Record<string, LawWord>>; checkedDaysAgo: number | null };

/** What the law of a place says of a collar. `blocked`: it cannot be planned there, which only a word against it does. */
export type LawResult = { status: 'allowed' | 'not-allowed' | 'never-checked' | 'check-again' | 'not-restricted'; blocked: boolean };

/**
 * Whether a collar may be planned for a place. What is not allowed cannot. A kind that places restrict while nobody has looked, and
 * a look older than `lawCheckDays`, are cautions that ask for a look and lock nothing. Common practice; local law comes first.
 */
export function lawOf(kind: string, hazards: readonly Hazard[], place: Place | null, lawCheckDays: number): LawResult {
  const word = place?.collars[kind];
  if (word === 'not-allowed') return { status: 'not-allowed', blocked: true };
  const restricted = hazards.some((hazard) => RESTRICTED_HAZARDS.includes(hazard));
  if (!restricted && word === undefined) return { status: 'not-restricted', blocked: false };
  if (word === undefined || place!.checkedDaysAgo === null) return { status: restricted ? 'never-checked' : 'not-restricted', blocked: false };
  return place!.checkedDaysAgo > lawCheckDays ? { status: 'check-again', blocked: false } : { status: 'allowed', blocked: false };
}
