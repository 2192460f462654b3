import { lawOf, type Hazard, type LawResult, DAY_MS } from '@banter/core';
import { COLLAR_KIND_NAMES, type CollarKindName } from '../collars/collar-kinds.ts';
import { z } from '../plain-words.ts';
import { Instant, line, namedLine, RecordId } from './common.ts';

/** A place where the kennel works, what is allowed there by kind, and who last looked, when, and where it is written. */
export const PlaceFacts = z
  .strictObject({
    name: namedLine(80),
    collars: z.partialRecord(z.enum(COLLAR_KIND_NAMES), z.enum(['allowed', 'not-allowed'])),
    checkedBy: line(80),
    checkedOn: z.iso.date().nullable(),
    source: line(400),
    retiredAt: Instant.nullable(),
  })
  .check(({ value, issues }) => {
    if (value.checkedOn !== null && value.checkedBy.trim() === '')
      issues.push({ code: 'custom', path: ['checkedBy'], input: value.checkedBy, message: 'Say who has checked it.' });
  });
export type PlaceFacts = z.infer<typeof PlaceFacts>;
export const Place = z.object({ ...PlaceFacts.shape, id: RecordId, version: z.number().int() });
export type Place = z.infer<typeof Place>;

/** Where a dog's collars are worn until something else is said: its own place, else the only one a kennel has. */
export function placeOf({ dog, places }: { dog: { placeId: string | null }; places: readonly Place[] }): string | null {
  const here = places.filter(({ retiredAt }) => retiredAt === null);
  return dog.placeId ?? (here.length === 1 ? here[0]!.id : null);
}

/** What the law of a place says of a kind, as of a day (`2026-03-01`). */
export function lawAt(kind: CollarKindName, hazards: readonly Hazard[], place: PlaceFacts | null, today: string, lawCheckDays: number): LawResult {
  const known = place && {
    name: place.name,
    collars: place.collars as Record<string, 'allowed' | 'not-allowed'>,
    checkedDaysAgo: place.checkedOn === null ? null : Math.round((Date.parse(today) - Date.parse(place.checkedOn)) / DAY_MS),
  };
  return lawOf(kind, hazards, known, lawCheckDays);
}
