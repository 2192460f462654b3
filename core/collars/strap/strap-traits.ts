import { BACK_AND_IN } from '../../handling/correction-ways.ts';
import { bareRig, rigPart, type RigRole } from '../../rig/rig-parts.ts';
import { ringAndSide } from '../../rig/ring-and-side.ts';
import { GROWING_BUCKLE } from '../../upkeep/inspect.ts';
import { INSPECT_CLOTH } from '../../upkeep/inspection-items.ts';
import type { CollarTraits } from '../collar-traits.ts';
import { RING_WHERE_IT_LIES } from './strap-ring.ts';

/** What all buckled straps say of themselves. Common practice. */
export const STRAP_TRAITS = {
  ring: (how) => ringAndSide(how, { see: [RING_WHERE_IT_LIES] }),
  inspection: INSPECT_CLOTH,
  growing: GROWING_BUCKLE,
  ways: BACK_AND_IN,
  programmes: [],
  skinUnder: 'strap',
} satisfies Partial<CollarTraits>;

/** A buckled strap in a rig: one part that leads from its ring to the dog, and holds a backup. Common practice. */
export const strapRig = (
  noun: string,
  {
    id,
    partId,
    ring,
    templates,
    others = [],
  }: { id: string; partId: string; ring: string; templates: RigRole['templates']; others?: RigRole['additions']['others'] },
): RigRole => ({
  id,
  words: `a ${noun}`,
  joints: { [ring]: { name: `ring of the ${noun}` } },
  partKinds: { [noun]: { name: noun, place: 'neck', fails: 'opens at the buckle, or comes over the head' } },
  parts: [rigPart(partId, noun, ring, 'dog')],
  leashJoint: ring,
  holdsAt: [ring],
  templates: [bareRig(`bare-${partId}`, `Leash and ${noun}`, ring), ...templates],
  additions: { own: [], others },
});
