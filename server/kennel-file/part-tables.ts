import { randomBytes } from 'node:crypto';
import type { KennelPartName } from '@banter/contract';
import type { EntitySchema } from 'typeorm';
import { BridgeEntity } from '../data/entities/bridge.ts';
import { CalendarFeedEntity } from '../data/entities/calendar-feed.ts';
import { HoursEntity, PlannedSessionEntity } from '../data/entities/calendar.ts';
import { CollarEntity } from '../data/entities/collar.ts';
import { DogEntity } from '../data/entities/dog.ts';
import { DressingEntity } from '../data/entities/dressing.ts';
import { DrillEntity } from '../data/entities/drill.ts';
import { EndingEntity } from '../data/entities/ending.ts';
import { HappeningEntity } from '../data/entities/happening.ts';
import { LevelCapEntity } from '../data/entities/field-log.ts';
import { FitCheckEntity } from '../data/entities/fit-check.ts';
import { GearEntity, WantEntity } from '../data/entities/gear.ts';
import { HandoverEntity, OwnerLinkEntity, OwnerVisitEntity } from '../data/entities/handover.ts';
import { InspectionEntity } from '../data/entities/inspection.ts';
import { KennelTemplateEntity } from '../data/entities/kennel-template.ts';
import { LinkMoveEntity } from '../data/entities/link-move.ts';
import { PersonEntity } from '../data/entities/person.ts';
import { PhotoEntity } from '../data/entities/photo.ts';
import { PlaceEntity } from '../data/entities/place.ts';
import { PlanEntity } from '../data/entities/plan.ts';
import { ProgrammeEntity, StageMoveEntity, StageResultEntity } from '../data/entities/programme.ts';
import { LiftEntity, ScreeningEntity } from '../data/entities/screening.ts';
import { SkinLookEntity } from '../data/entities/skin-look.ts';
import { TapingEntity } from '../data/entities/taping.ts';
import { WeighingEntity } from '../data/entities/weighing.ts';

/** Any row of a kennel, its columns by their names. */
export type AnyRow = { id: string; kennelId: string } & Record<string, unknown>;
/** A record as it stands in a file. */
export type FileRecord = { id: string } & Record<string, unknown>;

const any = (entity: unknown) => entity as EntitySchema<AnyRow>;

/** The table of each part of a kennel's file. */
export const PART_TABLES: Record<KennelPartName, EntitySchema<AnyRow>> = {
  people: any(PersonEntity),
  places: any(PlaceEntity),
  dogs: any(DogEntity),
  collars: any(CollarEntity),
  gear: any(GearEntity),
  wants: any(WantEntity),
  tapings: any(TapingEntity),
  weighings: any(WeighingEntity),
  screenings: any(ScreeningEntity),
  lifts: any(LiftEntity),
  plans: any(PlanEntity),
  fitChecks: any(FitCheckEntity),
  endings: any(EndingEntity),
  inspections: any(InspectionEntity),
  linkMoves: any(LinkMoveEntity),
  dressings: any(DressingEntity),
  photos: any(PhotoEntity),
  skinLooks: any(SkinLookEntity),
  bridges: any(BridgeEntity),
  happenings: any(HappeningEntity),
  levelCaps: any(LevelCapEntity),
  programmes: any(ProgrammeEntity),
  stageResults: any(StageResultEntity),
  stageMoves: any(StageMoveEntity),
  hours: any(HoursEntity),
  plannedSessions: any(PlannedSessionEntity),
  kennelTemplates: any(KennelTemplateEntity),
  drills: any(DrillEntity),
  calendarFeeds: any(CalendarFeedEntity),
  handovers: any(HandoverEntity),
  ownerLinks: any(OwnerLinkEntity),
  ownerVisits: any(OwnerVisitEntity),
};

/** What never leaves with a file: the kennel it is of, and what lets somebody in. */
const STAYS = new Set(['kennelId', 'email', 'passwordHash', 'keyHash']);

const columnsOf = (entity: EntitySchema<AnyRow>) =>
  Object.entries(entity.options.columns) as [string, { type: string; nullable?: boolean; default?: unknown }][];

/** A row as it stands in a file. The kennel's own hours stand under «kennel», as its id stays behind. */
export function toFile(entity: EntitySchema<AnyRow>, row: AnyRow): FileRecord {
  const record = Object.fromEntries(
    columnsOf(entity).flatMap(([name]) => {
      if (STAYS.has(name)) return [];
      const value = row[name];
      return [[name, value instanceof Date ? value.toISOString() : Buffer.isBuffer(value) ? value.toString('base64') : value]];
    }),
  ) as FileRecord;
  return entity === PART_TABLES.hours && row.id === row.kennelId ? { ...record, id: 'kennel' } : record;
}

/** A record of a file as a row of a kennel. What lets somebody in is made so that nobody knows it. */
export function fromFile(entity: EntitySchema<AnyRow>, record: FileRecord, kennelId: string): AnyRow {
  const row = Object.fromEntries(
    columnsOf(entity).map(([name, { type, nullable, default: atFirst }]) => {
      if (name === 'kennelId') return [name, kennelId];
      if (name === 'keyHash') return [name, randomBytes(32).toString('hex')];
      // A file of an earlier version lacks what has been asked since.
      const value = record[name] === undefined ? atFirst : record[name];
      if (value === undefined || value === null) return [name, nullable || type !== 'json' ? null : value];
      if (type === 'datetime') return [name, new Date(value as string)];
      if (type === 'mediumblob') return [name, Buffer.from(value as string, 'base64')];
      if (type === 'uuid') return [name, (value as string).toLowerCase()];
      return [name, value];
    }),
  ) as AnyRow;
  return row.id === 'kennel' ? { ...row, id: kennelId } : row;
}
