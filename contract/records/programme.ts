import { NOT_YET, PROGRAMME_TEMPLATES, type ProgrammeStage } from '@banter/core';
import { between, oneEach, z } from '../plain-words.ts';
import { Instant, line, namedLine, passage, RecordId } from './common.ts';

const whole = (low: number, high: number) => z.number().int().min(low).max(high);

/** In so many sessions in a row, at most, a stage asks for its mark. */
export const MOST_IN_ROW = 60;

/** A stage as it stands in a dog's programme: copied from the template when it was started, and adapted since. */
export const StageShape = z
  .strictObject({
    id: namedLine(40),
    name: namedLine(60),
    aim: line(200),
    how: z.array(line(300)).max(12),
    minutes: whole(1, 240),
    sessionsPerDay: whole(1, 12),
    everyDays: whole(1, 14),
    onAround: z.boolean(),
    pass: z.strictObject({ what: namedLine(120), needed: whole(1, 100), of: whole(1, 100), inRow: whole(1, MOST_IN_ROW), leastDays: whole(0, 120) }),
    fallBack: z.strictObject({ below: between(0, 1), inRow: whole(1, 20), stages: whole(1, 12), setback: namedLine(120) }),
    cautions: z.array(line(200)).max(8),
    // A stage of before did not say so.
    notYet: z.array(z.enum(NOT_YET)).max(NOT_YET.length).default([]),
  })
  .check(({ value, issues }) => {
    if (value.pass.needed > value.pass.of)
      issues.push({ code: 'custom', path: ['pass', 'needed'], input: value.pass.needed, message: 'More cannot go well than are tried.' });
    if (value.fallBack.below > value.pass.needed / value.pass.of)
      issues.push({ code: 'custom', path: ['fallBack', 'below'], input: value.fallBack.below, message: 'What moves on cannot fall back, too.' });
  }) satisfies z.ZodType<ProgrammeStage>;

/** One time of a plan without a tell-tale: what goes on when, for how long, and whether work follows (as a planned session). */
const TellTaleTime = z.strictObject({
  day: z.iso.date(),
  /** Minutes from midnight in the kennel's zone. */
  minute: whole(0, 1439),
  minutes: whole(5, 480),
  worn: z.array(RecordId).max(3),
  sessionId: RecordId.nullable(),
});
export type TellTaleTime = z.infer<typeof TellTaleTime>;
/** The collars that go on and off, the seed their order was dealt by, and the times. */
export const TellTaleShape = z.strictObject({
  collars: z.array(RecordId).min(1).max(3),
  seed: between(0, 1),
  times: z.array(TellTaleTime).max(120),
});
export type TellTaleShape = z.infer<typeof TellTaleShape>;

export const PROGRAMME_STATES = ['running', 'paused', 'done', 'left'] as const;
type ProgrammeState = (typeof PROGRAMME_STATES)[number];
/** Not over yet: where it stands is asked for. */
export const UNDER_WAY: readonly ProgrammeState[] = ['running', 'paused'];
export const isUnderWay = ({ state }: { state: ProgrammeState }): boolean => UNDER_WAY.includes(state);

/** A dog's programme: where it came from, its stages as they stand for this dog, and since when. Where it stands is told by its moves. */
export const ProgrammeFacts = z.strictObject({
  dogId: RecordId,
  /** One of the trade's programmes, or one of the kennel's own. */
  templateId: z.union([z.enum(PROGRAMME_TEMPLATES.map(({ id }) => id) as [string, ...string[]]), RecordId]),
  name: namedLine(60),
  stages: z.array(StageShape).min(1).max(12).check(oneEach('id')),
  startsOn: z.iso.date(),
  state: z.enum(PROGRAMME_STATES),
  note: passage(1000),
  /** Two weeks of collars on and off, where the programme is one. */
  tellTale: TellTaleShape.nullable().default(null),
});
export type ProgrammeFacts = z.infer<typeof ProgrammeFacts>;
export const Programme = ProgrammeFacts.extend({ id: RecordId, version: z.number().int() });
export type Programme = z.infer<typeof Programme>;

/** What came of a session for the stage it was in. */
export const NewStageResult = z
  .strictObject({
    programmeId: RecordId,
    stageId: namedLine(40),
    sessionId: RecordId.nullable(),
    met: whole(0, 1000),
    of: whole(1, 1000),
    setback: z.boolean(),
    note: passage(1000),
    at: Instant,
  })
  .check(({ value, issues }) => {
    if (value.met > value.of) issues.push({ code: 'custom', path: ['met'], input: value.met, message: 'More cannot go well than were tried.' });
  });
export type NewStageResult = z.infer<typeof NewStageResult>;
const kept = { id: RecordId, recordedAt: Instant, personId: RecordId, personName: z.string() };
export const StageResult = z.object({ ...NewStageResult.shape, ...kept });
export type StageResult = z.infer<typeof StageResult>;

/** A dog moves to another stage: as the marks say, or otherwise with a note. */
export const NewStageMove = z.strictObject({ programmeId: RecordId, toStage: namedLine(40), note: passage(1000), at: Instant });
export type NewStageMove = z.infer<typeof NewStageMove>;
/** A kept move, with where it came from and what the marks said then. */
export const StageMove = z.object({
  ...NewStageMove.shape,
  ...kept,
  fromStage: z.string(),
  verdict: z.enum(['on', 'hold', 'back']),
  overruled: z.boolean(),
  reasons: z.array(z.object({ code: z.string(), text: z.string() })),
});
export type StageMove = z.infer<typeof StageMove>;
