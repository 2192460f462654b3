import type { PlacementSchool } from '../neck/contact-place.ts';
import type { SkinLook } from '../standing/skin-standing.ts';

/** A stretch during which contacts sat at a clock place; instants in ms since 1970, `to` null while they still do. */
export type ContactWear = { clock: number; from: number; to: number | null };

/** What a rotation is reckoned from: neck and footprint in mm, where it has been, what the skin looked like, and now in ms. */
export type RotationCase = {
  girthMm: number;
  footprintMm: number;
  school: PlacementSchool;
  now: number;
  worn: readonly ContactWear[];
  skin: readonly SkinLook[];
};

/** Why a place is not allowed now; null when it is. */
export type PlaceBar = 'school' | 'windpipe' | 'skin' | null;

export type RotationPlace = {
  clock: number;
  allowed: boolean;
  barred: PlaceBar;
  /** Hours since an overlapping wear ended; 0 while one lasts; null when there was none. */
  restedHours: number | null;
};

/** Where the contacts may go, are and have been, and how much the neck can carry today. */
export type RotationFound = {
  places: RotationPlace[];
  next: number | null;
  /** Anything against the place where it sits now, whole or half hour; null when nothing does or it is off. */
  presentBar: PlaceBar;
  /** When the present wear has to move, ms. */
  moveBy: number | null;
  /** Distinct places: the most allowed ones that do not overlap. */
  distinct: number[];
  /** Hours worn in the 24 h before now. */
  wornHours: number;
  capacityHours: number;
};
