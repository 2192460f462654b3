import type {
  ContactWear,
  DeviceEvent,
  FittingDog,
  House,
  judgeRig,
  PlacementSchool,
  RigCatalogue,
  RigOnDog,
  RingAndSide,
  Rotation,
  RoutineStep,
  SkinStanding,
  StackItem,
  stackOnNeck,
  Wear,
} from '@banter/core';
import type { CollarKindName } from '../collars/collar-kinds.ts';
import type { StackEntry } from '../records/dressing.ts';
import type { CurrentFit } from '../records/ending.ts';
import type { DressedWear } from './dressed-wears.ts';

/** One thing of the stack with what it is made of: the fit it stands for, or the entry beside. */
export type DressedItem<Fit extends DrawnFit = CurrentFit> = StackItem & { entry: StackEntry; fit: Fit | null };
export type DrawnFit = Pick<CurrentFit, 'plan' | 'check'>;

/** The contacts of an electronic collar on this dog. */
export type DressedContacts = {
  fit: CurrentFit;
  girthMm: number;
  footprintMm: number;
  wear: Wear | null;
  /** Where it sits now; null while it is off. */
  at: number | null;
  rotation: Rotation;
  /** What the other school of placement would say. */
  other: { school: PlacementSchool; rotation: Rotation };
  /** Where contacts of any of the dog’s electronic collars have sat. */
  wornPlaces: ContactWear[];
  routine: RoutineStep[];
  device: DeviceEvent[];
};

/** A dog as it stands dressed: everything that the screen Neck and the check at the door show, from its records and an instant. */
export type Dressed = {
  dog: FittingDog;
  house: House;
  fits: CurrentFit[];
  /** Whether somebody has laid the stack out; else it stands in the usual order. */
  laidOut: boolean;
  items: DressedItem[];
  stack: ReturnType<typeof stackOnNeck>;
  ring: RingAndSide | null;
  /** The kind of collar that the leash is on. */
  leads: CollarKindName | null;
  rig: ReturnType<typeof judgeRig> | null;
  /** What rigs are made of, with this dog's collars as they are by their own numbers. */
  catalogue: RigCatalogue;
  rigOnDog: RigOnDog;
  wornRoles: readonly string[];
  wears: DressedWear[];
  contacts: DressedContacts[];
  skin: SkinStanding;
};
