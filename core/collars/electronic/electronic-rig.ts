import { rigPart, type RigRole } from '../../rig/rig-parts.ts';

/** An electronic collar's strap in a rig: no leash belongs on it, and a backup only where nothing else holds. Common practice. */
export const ELECTRONIC_RIG: RigRole = {
  id: 'electronic',
  words: 'an electronic collar',
  joints: { 'electronic strap': { name: 'strap of the electronic collar', leash: 'never', backup: 'last' } },
  partKinds: { 'electronic strap': { name: 'electronic collar’s strap', place: 'neck', fails: 'is not made to hold a dog' } },
  parts: [rigPart('electronic', 'electronic strap', 'electronic strap', 'dog')],
  leashJoint: null,
  holdsAt: [],
  templates: [],
  additions: { own: [], others: [] },
};
