import type { Advice, AdviceAsked } from '../choose/advice.ts';
import type { CorrectionWays } from '../handling/correction-ways.ts';
import type { OwnerWords } from '../owner/owner-words.ts';
import type { ProgrammeId } from '../programme/programme-templates.ts';
import type { RigRole } from '../rig/rig-parts.ts';
import type { RingAndSide, RingHow } from '../rig/ring-and-side.ts';
import type { HouseRules } from '../rules/house-rules.ts';
import type { SoreCase } from '../skin/rub-or-metal.ts';
import type { GrowingLook } from '../upkeep/inspect.ts';
import type { InspectionSpec } from '../upkeep/inspection-items.ts';
import type { WearRule } from '../wear/wear-rule.ts';

/**
 * What a kind of collar says of itself, whatever one collar's numbers are: every part of Banter that differs by kind asks here, and
 * nowhere else. The compiler asks a new kind for each. What the kinds say is common practice where nothing else stands beside it.
 */
export type CollarTraits = {
  /** In a sentence: `prong`, `wide-throat collar`. */
  noun: string;
  /** Most dogs are measured for it: taping and kitting up begin with these. */
  everyday: boolean;
  wear: WearRule;
  rig: RigRole;
  /** How it is turned and held; null where no leash belongs on it. */
  ring: ((how: RingHow) => RingAndSide) | null;
  owner: (rules: HouseRules) => OwnerWords;
  inspection: InspectionSpec;
  /** What a growing dog needs of it; null where nothing. */
  growing: GrowingLook | null;
  /** How a correction goes with it; null where it is not for that. */
  ways: CorrectionWays | null;
  /** Programmes that are worked with it. */
  programmes: readonly ProgrammeId[];
  /** What speaks for it or against it for a dog, apart from whether it fits. */
  advice: (asked: AdviceAsked) => Advice[];
  /** What lies on the skin under it, as a look at the skin has it. */
  skinUnder: SoreCase['under'];
};
