import { DataSource } from 'typeorm';
import { BridgeEntity } from './entities/bridge.ts';
import { CalendarFeedEntity } from './entities/calendar-feed.ts';
import { HoursEntity, PlannedSessionEntity } from './entities/calendar.ts';
import { CollarEntity } from './entities/collar.ts';
import { DeedEntity } from './entities/deed.ts';
import { DogEntity } from './entities/dog.ts';
import { DrillEntity } from './entities/drill.ts';
import { DressingEntity } from './entities/dressing.ts';
import { EndingEntity } from './entities/ending.ts';
import { HappeningEntity } from './entities/happening.ts';
import { FieldSessionEntity, LevelCapEntity, PressEntity } from './entities/field-log.ts';
import { FitCheckEntity } from './entities/fit-check.ts';
import { GearEntity, WantEntity } from './entities/gear.ts';
import { HandoverEntity, OwnerLinkEntity, OwnerVisitEntity } from './entities/handover.ts';
import { InviteEntity } from './entities/invite.ts';
import { KennelEntity } from './entities/kennel.ts';
import { KennelTemplateEntity } from './entities/kennel-template.ts';
import { LinkMoveEntity } from './entities/link-move.ts';
import { PersonEntity } from './entities/person.ts';
import { PhotoEntity } from './entities/photo.ts';
import { PlaceEntity } from './entities/place.ts';
import { PlanEntity } from './entities/plan.ts';
import { ProgrammeEntity, StageMoveEntity, StageResultEntity } from './entities/programme.ts';
import { LiftEntity, ScreeningEntity } from './entities/screening.ts';
import { SessionEntity } from './entities/session.ts';
import { SkinLookEntity } from './entities/skin-look.ts';
import { TapingEntity } from './entities/taping.ts';
import { InspectionEntity } from './entities/inspection.ts';
import { WeighingEntity } from './entities/weighing.ts';
import { migrations } from './migrations/index.ts';
import { patientDriver, type Patience } from './patient-pool.ts';
import { ScopedWrites } from './scoped-writes.ts';

/**
 * The connection to MariaDB at a `mysql://` address; times are UTC. Not yet opened. Whoever serves has no more than its patience;
 * without one it waits as long as it takes, as the steps of the database do.
 */
export function makeDataSource(url: string, patience: Patience | null = null): DataSource {
  return new DataSource({
    type: 'mariadb',
    ...(patience ? { driver: patientDriver(patience), subscribers: [ScopedWrites] } : {}),
    url,
    timezone: 'Z',
    dateStrings: ['DATE'],
    charset: 'utf8mb4_unicode_ci',
    connectTimeout: 5000,
    poolSize: 10,
    synchronize: false,
    entities: [
      KennelEntity,
      PersonEntity,
      SessionEntity,
      InviteEntity,
      HandoverEntity,
      OwnerLinkEntity,
      OwnerVisitEntity,
      DeedEntity,
      PlaceEntity,
      DogEntity,
      CollarEntity,
      TapingEntity,
      WeighingEntity,
      CalendarFeedEntity,
      InspectionEntity,
      PlanEntity,
      FitCheckEntity,
      EndingEntity,
      ScreeningEntity,
      LiftEntity,
      GearEntity,
      WantEntity,
      LinkMoveEntity,
      DressingEntity,
      PhotoEntity,
      SkinLookEntity,
      BridgeEntity,
      HappeningEntity,
      FieldSessionEntity,
      PressEntity,
      LevelCapEntity,
      ProgrammeEntity,
      StageResultEntity,
      StageMoveEntity,
      HoursEntity,
      PlannedSessionEntity,
      KennelTemplateEntity,
      DrillEntity,
    ],
    migrations,
    migrationsTransactionMode: 'none',
  });
}

/** Brings a database up to date, with all the time that takes, by a connection of its own. */
export async function migrate(url: string): Promise<void> {
  const dataSource = makeDataSource(url);
  await dataSource.initialize();
  try {
    await dataSource.runMigrations();
  } finally {
    await dataSource.destroy();
  }
}
