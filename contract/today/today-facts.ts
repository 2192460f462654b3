import type { AlarmLook, HouseRules, NeededReason, PieceStanding, SkinStanding, Speaker } from '@banter/core';
import type { Outgrowth } from '../growth/outgrows.ts';
import type { PlannedSession } from '../records/calendar.ts';
import type { OwnerSaying } from '../records/handover.ts';
import type { NextStepToday } from '../records/next-step.ts';
import type { DogCard } from '../records/pages.ts';
import type { Place } from '../records/place.ts';
import type { TodayItem } from '../records/today-page.ts';

/** By what anything is judged to be due: an instant (ms), the house, and the reader's units. */
type DueBy = NextStepToday & { now: number; rules: HouseRules; speak: Speaker };

/** What is known of some dogs at an instant, for what is due of each of them by itself. */
export type DogDueFacts = DueBy & {
  cards: readonly DogCard[];
  growing: ReadonlySet<string>;
  growth: readonly { dogId: string; dogName: string; bornOn: string; outgrows: readonly Outgrowth[] }[];
  /** The skin of each dog, whatever it wears. */
  skins: readonly { dogId: string; dogName: string; skin: SkinStanding }[];
  levels: readonly { dogId: string; dogName: string; device: string; setting: string; reason: NeededReason; look: AlarmLook }[];
  /** Pieces that dogs wear and that are not sound. */
  unfit: readonly { dogId: string; dogName: string; pieceId: string; name: string; is: Exclude<PieceStanding, 'sound'> }[];
  /** Their planned sessions of today with their first instant (ms), and those that were held. */
  planned: readonly (PlannedSession & { at: number })[];
  held: readonly { id: string; dogId: string; at: number }[];
  people: readonly { id: string; name: string }[];
  /** What each planned session is for, by its id. */
  stageNames: Readonly<Record<string, string>>;
  /** What owners said of late that nobody has looked into yet; `at` ms, with the instant until which it stands. */
  owners: readonly { dogId: string; dogName: string; owner: string; says: OwnerSaying; at: number; until: number }[];
};

/** What is known of a kennel at an instant, for Today to be made of. */
export type TodayFacts = DueBy & {
  /** What is due of each dog by itself. */
  dues: readonly TodayFound[];
  /** How many pieces of gear are to be looked at, and the first of them. */
  gear: { due: number; first: readonly { id: string; name: string; mend: boolean }[] };
  places: readonly Place[];
};

/** Something that is due, before it has its place in the list; `key` tells it from others of its code and dog. */
export type TodayFound = Omit<TodayItem, 'id' | 'at' | 'collarId'> & {
  key: string;
  collarId?: string | null;
  at?: number | null;
  /** From when until when (ms) it is due, where the clock alone decides that; null or not said: as long as it stands. */
  dueFrom?: number | null;
  dueUntil?: number | null;
};

/** What is of no one dog. */
export const noDog = { dogId: null, dogName: null };
