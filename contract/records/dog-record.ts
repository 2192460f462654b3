import { z } from '../plain-words.ts';
import { RecordId } from './common.ts';
import { Ending } from './ending.ts';
import { FieldSession } from './field-log.ts';
import { FitCheck } from './fit-check.ts';
import { Cursor } from './list-page.ts';
import { UnreadableRecord } from './pages.ts';
import { Plan } from './plan.ts';
import { Programme, StageMove } from './programme.ts';
import { Lift, Screening } from './screening.ts';
import { SkinLook } from './skin-look.ts';
import { Taping } from './taping.ts';

/** What somebody looks for in a dog's record. */
export const RECORD_PARTS = ['fits', 'tape', 'skin', 'training', 'screening'] as const;
export type RecordPart = (typeof RECORD_PARTS)[number];
export const DogRecordAsked = z.object({ part: z.enum(RECORD_PARTS).optional(), after: Cursor.optional() });
export type DogRecordAsked = z.output<typeof DogRecordAsked>;

/** So many days of a dog's record, whole days of the kennel, and where it goes on to what is older. */
export const DogRecord = z.object({
  tapings: z.array(Taping),
  /** Those of them that a later one corrected. */
  corrected: z.array(RecordId),
  plans: z.array(Plan),
  checks: z.array(FitCheck),
  endings: z.array(Ending),
  /** The plans that these endings are of. */
  ended: z.array(Plan),
  screenings: z.array(Screening),
  lifts: z.array(Lift),
  skinLooks: z.array(SkinLook),
  worked: z.array(FieldSession),
  /** Programmes that began in these days, and those of which a stage was moved. */
  programmes: z.array(Programme),
  begun: z.array(RecordId),
  moves: z.array(StageMove),
  unreadable: z.array(UnreadableRecord),
  next: Cursor.nullable(),
});
export type DogRecord = z.infer<typeof DogRecord>;
