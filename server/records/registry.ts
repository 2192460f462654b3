import type { RecordKindName } from '@banter/contract';
import { PlannedSessionEntity } from '../data/entities/calendar.ts';
import { HappeningEntity } from '../data/entities/happening.ts';
import { OwnerVisitEntity } from '../data/entities/handover.ts';
import { PersonEntity } from '../data/entities/person.ts';
import { PhotoEntity } from '../data/entities/photo.ts';
import { bridgeKind } from '../services/bridges.ts';
import { calendarFeedKind } from '../services/calendar-feeds.ts';
import { collarKindOfRecord } from '../services/collars.ts';
import { dogKind } from '../services/dogs.ts';
import { dressingKind } from '../services/dressings.ts';
import { drillKind } from '../services/drills.ts';
import { endingKind } from '../services/endings.ts';
import { fitCheckKind } from '../services/fit-checks.ts';
import { gearKind, wantKind } from '../services/gear.ts';
import { handoverKind } from '../services/handovers.ts';
import { hoursKind } from '../services/hours.ts';
import { inspectionKind } from '../services/inspections.ts';
import { inviteKind } from '../services/invites.ts';
import { kennelTemplateKind } from '../services/kennel-templates.ts';
import { levelCapKind } from '../services/levels.ts';
import { linkMoveKind } from '../services/links.ts';
import { ownerLinkKind } from '../services/owner-links.ts';
import { placeKind } from '../services/places.ts';
import { planKind } from '../services/plans.ts';
import { programmeKind, stageMoveKind, stageResultKind } from '../services/programmes.ts';
import { liftKind, screeningKind } from '../services/screenings.ts';
import { skinLookKind } from '../services/skin-looks.ts';
import { tapingKind } from '../services/tapings.ts';
import { weighingKind } from '../services/weighings.ts';

/**
 * The server's side of every kind of record, a row each beside its row of the contract. The database's tables, the addresses and a
 * kennel's file come from here.
 */
export const KEPT_KINDS: Record<RecordKindName, { entity: unknown }> = {
  people: { entity: PersonEntity },
  places: placeKind,
  dogs: dogKind,
  collars: collarKindOfRecord,
  gear: gearKind,
  wants: wantKind,
  tapings: tapingKind,
  weighings: weighingKind,
  screenings: screeningKind,
  lifts: liftKind,
  plans: planKind,
  fitChecks: fitCheckKind,
  endings: endingKind,
  inspections: inspectionKind,
  linkMoves: linkMoveKind,
  dressings: dressingKind,
  photos: { entity: PhotoEntity },
  ownerLinks: ownerLinkKind,
  skinLooks: skinLookKind,
  bridges: bridgeKind,
  happenings: { entity: HappeningEntity },
  levelCaps: levelCapKind,
  programmes: programmeKind,
  stageResults: stageResultKind,
  stageMoves: stageMoveKind,
  hours: hoursKind,
  plannedSessions: { entity: PlannedSessionEntity },
  kennelTemplates: kennelTemplateKind,
  drills: drillKind,
  calendarFeeds: calendarFeedKind,
  handovers: handoverKind,
  ownerVisits: { entity: OwnerVisitEntity },
  invites: inviteKind,
};
