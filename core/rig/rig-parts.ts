/** What a part of a rig is to the whole: on the hand's side, a tie between joints, or on the neck. */
export type RigPartPlace = 'hand' | 'tie' | 'neck';

/** One row of the catalogue: what a part is called, where it belongs, and how it fails. Common practice. */
export type RigPartKind = { name: string; place: RigPartPlace; fails: string };

/** Parts that rigs are made of, and how each fails. Common practice. */
export const RIG_PART_KINDS = {
  leash: { name: 'leash', place: 'hand', fails: 'is dropped, bitten through, or tears at its stitching' },
  'long line': { name: 'long line', place: 'hand', fails: 'is dropped, or burns through the hand' },
  'slip lead': { name: 'slip lead', place: 'hand', fails: 'opens when its stopper slides' },
  snap: { name: 'snap', place: 'tie', fails: 'opens against the ring, or its spring is weak' },
  'second snap': { name: 'second snap', place: 'tie', fails: 'opens against the ring, or its spring is weak' },
  carabiner: { name: 'carabiner', place: 'tie', fails: 'opens when it is not made for load' },
  coupler: { name: 'coupler', place: 'tie', fails: 'tears, or its snap opens' },
  'coupler with spare ring': { name: 'coupler with a spare ring', place: 'tie', fails: 'tears, or its snap opens' },
  'safety strap': { name: 'safety strap', place: 'tie', fails: 'tears, or its snap opens' },
  'dead ring': { name: 'dead ring in the snap', place: 'tie', fails: 'works out of the snap' },
  swivel: { name: 'swivel', place: 'neck', fails: 'seizes or breaks' },
  chain: { name: 'chain', place: 'neck', fails: 'opens at a weld' },
  links: { name: 'prong links', place: 'neck', fails: 'open at one link' },
  slip: { name: 'slip collar', place: 'neck', fails: 'opens at a ring weld, or runs off over the head' },
  'clip-on slip': { name: 'clip-on slip', place: 'neck', fails: 'opens at its clip' },
  'flat collar': { name: 'flat collar', place: 'neck', fails: 'opens at the buckle, or comes over the head' },
  'wide-throat collar': { name: 'wide-throat collar', place: 'neck', fails: 'opens at the buckle, or comes over the head' },
  'control loop': { name: 'control loop', place: 'neck', fails: 'tears at a slide, or hardware bends' },
  'martingale strap': { name: 'martingale strap', place: 'neck', fails: 'tears at its stitching, or comes over the head' },
  'head collar': { name: 'head collar', place: 'neck', fails: 'is pawed off, or its strap opens' },
  'electronic strap': { name: 'electronic collar’s strap', place: 'neck', fails: 'is not made to hold a dog' },
  harness: { name: 'harness', place: 'neck', fails: 'is backed out of, or its buckle opens' },
} as const satisfies Record<string, RigPartKind>;

export type RigPartKindName = keyof typeof RIG_PART_KINDS;
export const RIG_PART_KIND_NAMES = Object.keys(RIG_PART_KINDS) as [RigPartKindName, ...RigPartKindName[]];

/** Joints at which parts meet, and what they are called. */
export const RIG_JOINTS = {
  hand: 'hand',
  dog: 'dog',
  'leash end': 'end of the leash',
  'second leash end': 'end of the second leash',
  'live ring': 'live ring',
  'dead ring': 'dead ring',
  'swivel ring': 'ring behind the swivel',
  'slip ring': 'live ring of the slip',
  'backup ring': 'ring of the backup slip',
  'flat ring': 'ring of the flat collar',
  'wide ring': 'ring of the wide-throat collar',
  'loop ring': 'ring of the control loop',
  'body ring': 'body ring of the martingale',
  'chin ring': 'ring under the chin',
  'electronic strap': 'strap of the electronic collar',
  'harness ring': 'ring of the harness',
  'spare ring': 'spare ring of the coupler',
} as const;
export type RigJoint = keyof typeof RIG_JOINTS;
export const RIG_JOINT_NAMES = Object.keys(RIG_JOINTS) as [RigJoint, ...RigJoint[]];

/**
 * A part as a dog's own rig holds it. `slackMm` is how far a tie can be drawn before it takes load; `massG`, `loadRated` and
 * `plastic` are null while nobody has said.
 */
export type FittedRigPart = {
  id: string;
  kind: RigPartKindName;
  from: RigJoint;
  to: RigJoint;
  slackMm: number | null;
  massG: number | null;
  loadRated: boolean | null;
};

/** A part with nothing said of it yet. */
export function rigPart(id: string, kind: RigPartKindName, from: RigJoint, to: RigJoint, more: Partial<FittedRigPart> = {}): FittedRigPart {
  return { id, kind, from, to, slackMm: null, massG: null, loadRated: null, ...more };
}

/** What may lie on a neck as the anchor of a rig. */
export const RIG_COLLARS = ['prong', 'slip', 'clip-on-slip', 'martingale', 'flat', 'wide-throat', 'head-collar', 'electronic', 'harness'] as const;
export type RigCollar = (typeof RIG_COLLARS)[number];

/** The joint that a leash goes to on each, in its usual use. */
export const LEASH_JOINT: Record<Exclude<RigCollar, 'electronic'>, RigJoint> = {
  prong: 'live ring',
  slip: 'slip ring',
  'clip-on-slip': 'backup ring',
  martingale: 'loop ring',
  flat: 'flat ring',
  'wide-throat': 'wide ring',
  'head-collar': 'chin ring',
  harness: 'harness ring',
};

/** The parts of a collar between its ring and the dog. Common practice: on a prong the swivel and chain come before the dead ring. */
export function collarParts(collar: RigCollar): FittedRigPart[] {
  switch (collar) {
    case 'prong':
      return [
        rigPart('swivel', 'swivel', 'live ring', 'swivel ring'),
        rigPart('chain', 'chain', 'swivel ring', 'dead ring'),
        rigPart('links', 'links', 'dead ring', 'dog'),
      ];
    case 'martingale':
      return [rigPart('loop', 'control loop', 'loop ring', 'body ring'), rigPart('strap', 'martingale strap', 'body ring', 'dog')];
    case 'slip':
      return [rigPart('slip', 'slip', 'slip ring', 'dog')];
    case 'clip-on-slip':
      return [rigPart('backup-slip', 'clip-on slip', 'backup ring', 'dog')];
    case 'flat':
      return [rigPart('flat', 'flat collar', 'flat ring', 'dog')];
    case 'wide-throat':
      return [rigPart('wide', 'wide-throat collar', 'wide ring', 'dog')];
    case 'head-collar':
      return [rigPart('head', 'head collar', 'chin ring', 'dog')];
    case 'electronic':
      return [rigPart('electronic', 'electronic strap', 'electronic strap', 'dog')];
    case 'harness':
      return [rigPart('harness', 'harness', 'harness ring', 'dog')];
  }
}
