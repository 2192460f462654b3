import {
  dayStartOf,
  programmeStanding,
  type NewStageMove,
  type NewStageResult,
  type Programme,
  type ProgrammeFacts,
  type StageMove,
  type StageResult,
} from '@banter/contract';
import { contractSpeaker, PROGRAMME_TEMPLATES, STAGE_REASON_WORDS, wordReason } from '@banter/core';
import { DogEntity } from '../data/entities/dog.ts';
import { CollarEntity } from '../data/entities/collar.ts';
import { FieldSessionEntity } from '../data/entities/field-log.ts';
import { KennelTemplateEntity } from '../data/entities/kennel-template.ts';
import { ProgrammeEntity, StageMoveEntity, StageResultEntity, type ProgrammeRow, type StageMoveRow, type StageResultRow } from '../data/entities/programme.ts';
import { badField } from './failure.ts';
import type { KennelScope } from './kennel-scope.ts';
import { kennelOf } from './kennels.ts';
import { happenedNow, keptAnswers } from '../records/kept.ts';
import type { AppendedKind, VersionedKind } from '../records/record-base.ts';
import { standingResults } from './what-counts.ts';

export const programmeKind: VersionedKind<ProgrammeRow, ProgrammeFacts, Programme> = {
  entity: ProgrammeEntity,
  toColumns: (facts) => facts,
  toAnswer: ({ kennelId: _kennel, ...row }) => row,
  admit: async (facts, scope, id) => {
    await scope.get(DogEntity, facts.dogId);
    const before = await scope.find(ProgrammeEntity, id);
    if (before && before.dogId !== facts.dogId) throw badField('dogId', 'A programme stays with its dog.');
    const ofTrade = PROGRAMME_TEMPLATES.some((template) => template.id === facts.templateId);
    if (!ofTrade && !(await scope.find(KennelTemplateEntity, facts.templateId))) throw badField('templateId', 'There is no such programme in this kennel.');
    const collars = facts.tellTale?.collars ?? [];
    if ((await scope.someOf(CollarEntity, collars)).length < new Set(collars).size)
      throw badField('tellTale.collars', 'There is no such collar in this kennel.');
  },
};

async function programmeFor(scope: KennelScope, id: string): Promise<ProgrammeRow> {
  const programme = await scope.find(ProgrammeEntity, id);
  if (!programme) throw badField('programmeId', 'There is no such programme in this kennel.');
  return programme;
}

export const stageResultKind: AppendedKind<StageResultRow, NewStageResult, StageResult> = {
  entity: StageResultEntity,
  compute: async (scope, id, sent) => {
    const programme = await programmeFor(scope, sent.programmeId);
    if (!programme.stages.some((stage) => stage.id === sent.stageId)) throw badField('stageId', 'This programme has no such stage.');
    const session = sent.sessionId === null ? null : await scope.find(FieldSessionEntity, sent.sessionId);
    if (sent.sessionId !== null && session?.dogId !== programme.dogId) throw badField('sessionId', 'This is no session of this dog.');
    return { ...sent, id, ...happenedNow(scope, sent.at) };
  },
  sentOf: ({ programmeId, stageId, sessionId, met, of, setback, note, at }) => ({
    programmeId,
    stageId,
    sessionId,
    met,
    of,
    setback,
    note,
    at: at.toISOString(),
  }),
  toAnswers: keptAnswers,
};

/** Where a programme stands at an instant, out of what has been kept of it. */
async function standingOf(scope: KennelScope, programme: ProgrammeRow, now: number) {
  const { timeZone } = await kennelOf(scope);
  const byTime = { at: 'ASC', id: 'ASC' } as const;
  const told = {
    results: (await standingResults(scope, [programme.id])).map(({ at, ...row }) => ({ ...row, at: at.toISOString() })),
    moves: (await scope.all(StageMoveEntity, { programmeId: programme.id }, byTime)).map(({ at, ...row }) => ({ ...row, at: at.toISOString() })),
  };
  return programmeStanding(programme, told, { startedAt: dayStartOf(programme.startsOn, timeZone), now });
}

export const stageMoveKind: AppendedKind<StageMoveRow, NewStageMove, StageMove> = {
  entity: StageMoveEntity,
  compute: async (scope, id, sent) => {
    const programme = await scope.hold(ProgrammeEntity, (await programmeFor(scope, sent.programmeId)).id);
    if (!programme.stages.some((stage) => stage.id === sent.toStage)) throw badField('toStage', 'This programme has no such stage.');
    const standing = await standingOf(scope, programme, Date.parse(sent.at));
    if (sent.toStage === standing.stage.id) throw badField('toStage', 'It is in this stage already.');
    const overruled = sent.toStage !== standing.leadsTo;
    if (overruled && sent.note.trim() === '') throw badField('note', 'The marks say otherwise; say in a note why it moves all the same.');
    const { verdict, reasons } = standing.judgement;
    return {
      ...sent,
      id,
      fromStage: standing.stage.id,
      verdict,
      overruled,
      reasons: reasons.map((reason) => wordReason(STAGE_REASON_WORDS, reason, contractSpeaker)),
      ...happenedNow(scope, sent.at),
    };
  },
  sentOf: ({ programmeId, toStage, note, at }) => ({ programmeId, toStage, note, at: at.toISOString() }),
  toAnswers: keptAnswers,
};
