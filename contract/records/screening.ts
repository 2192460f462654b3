import {
  SCREEN_ITEM_IDS,
  answersOfRecord,
  screenCollar,
  type HouseRules,
  type HouseScreen,
  type Hazard,
  type ScreenItemId,
  type Screening as ScreeningOfCore,
  type ScreenResult,
} from '@banter/core';
import { z } from '../plain-words.ts';
import { Instant, namedLine, passage, RecordId } from './common.ts';

const Answers = z.record(z.enum(SCREEN_ITEM_IDS), z.enum(['yes', 'no', 'unknown']));

/** One going through the screening questions, each answered. */
export const NewScreening = z.strictObject({ dogId: RecordId, answers: Answers, note: passage(1000), at: Instant });
export type NewScreening = z.infer<typeof NewScreening>;

const By = { recordedAt: Instant, personId: RecordId, personName: z.string() };
export const Screening = z.object({ ...NewScreening.shape, id: RecordId, ...By });
export type Screening = z.infer<typeof Screening>;

/** A stop, or a vet to be asked, taken back for a dog with a note that says why; or put back. */
export const NewLift = z.strictObject({ dogId: RecordId, item: z.enum(SCREEN_ITEM_IDS), lifted: z.boolean(), note: namedLine(1000), at: Instant });
export type NewLift = z.infer<typeof NewLift>;
export const Lift = z.object({ ...NewLift.shape, id: RecordId, ...By });
export type Lift = z.infer<typeof Lift>;

/** What is known of a dog's screening from its records: the latest answers, its own record's, and the lifts that hold. */
export function screeningOf(
  screenings: readonly Screening[],
  lifts: readonly Lift[],
  dog: { ageDays: number | null; muzzleLengthMm: number | null },
  rules: HouseRules,
): ScreeningOfCore {
  const latest = screenings.at(-1);
  const answers = { ...(latest?.answers ?? {}), ...answersOfRecord(dog, rules) };
  /** Since when an item has been a yes without a break; a lift from before that no longer holds. */
  const since = (item: ScreenItemId) => {
    let at: string | null = null;
    for (const screening of screenings) at = screening.answers[item] === 'yes' ? (at ?? screening.at) : null;
    return at ?? '';
  };
  const lifted = SCREEN_ITEM_IDS.filter((item) => {
    const last = lifts.findLast((lift) => lift.item === item);
    return last !== undefined && last.lifted && last.at >= since(item);
  });
  return { done: latest !== undefined, answers, lifted };
}

/** What a dog's screening says of a kind, with the house's levels. */
export const screenKind = (hazards: readonly Hazard[], screening: ScreeningOfCore, levels: HouseScreen): ScreenResult =>
  screenCollar(hazards, screening, levels);
