/** What a part of a rig is to the whole: on the hand's side, a tie between joints, or on the neck. */
export type RigPartPlace = 'hand' | 'tie' | 'neck';

/**
 * One row of the catalogue: what a part is called, where it belongs, and how it fails. `counted`: where a collar has it, its rig must
 * have it; `gear`: what a piece of it is called in the locker, where it belongs to no collar. Common practice.
 */
export type RigPartKind = { name: string; place: RigPartPlace; fails: string; counted?: true; gear?: string };

/**
 * A joint at which parts meet: what it is called, and what must not go to it. `leash` never: a leash there drives contacts into the
 * neck; `line` never: a run to a long line's end jerks the neck; `backup` never: pulled there, the collar tightens instead of holding
 * beside it; `last`: only where nothing else holds.
 */
export type RigJointKind = { name: string; leash?: 'never'; line?: 'never'; backup?: 'never' | 'last' };

/**
 * A part as a dog's own rig holds it. `kind`, `from` and `to` are names of the catalogue. `slackMm` is how far a tie can be drawn
 * before it takes load; `massG` and `loadRated` are null while not logged. `gearId`: which piece of the locker it is; null: none of ours,
 * or not said.
 */
export type FittedRigPart = {
  id: string;
  kind: string;
  from: string;
  to: string;
  slackMm: number | null;
  massG: number | null;
  loadRated: boolean | null;
  gearId: string | null;
};

/** A part with nothing said of it yet. */
export function rigPart(id: string, kind: string, from: string, to: string, more: Partial<FittedRigPart> = {}): FittedRigPart {
  return { id, kind, from, to, slackMm: null, massG: null, loadRated: null, gearId: null, ...more };
}

/** The leash as every rig begins, and the snap at its end on a joint. */
export const LEASH = rigPart('leash', 'leash', 'hand', 'leash end');
export const snapTo = (joint: string): FittedRigPart => rigPart('snap', 'snap', 'leash end', joint);

/** A usual rig of a collar: what it is for, which others it needs on the neck, and how it is tied; its leash, or a line, and all ties. Common practice. */
export type RigTemplate = { id: string; name: string; says: string; needs: readonly string[]; ties: readonly FittedRigPart[] };
/** A part that could be added to a rig; `needs` are collars that must be on the neck for it, those that come with it too. */
export type RigAddition = { id: string; says: string; needs: readonly string[]; parts: readonly FittedRigPart[] };

/**
 * What a collar is in a rig. `id` names it among what is worn; two kinds that are alike in a rig share one. `parts` lead from its
 * ring to the dog, `leashJoint` is where a leash goes (null: none belongs on it), `holdsAt` where a backup or safety strap may hang.
 */
export type RigRole = {
  id: string;
  /** With its article: `a longer clip-on slip`. */
  words: string;
  joints: Readonly<Record<string, RigJointKind>>;
  partKinds: Readonly<Record<string, RigPartKind>>;
  parts: readonly FittedRigPart[];
  leashJoint: string | null;
  holdsAt: readonly string[];
  /** It is never worn without another collar that holds: its safety strap goes there. */
  needsHold?: true;
  /** Usual rigs whose leash is on it, the bare one first. */
  templates: readonly RigTemplate[];
  /** What can be added to a rig where it is on the neck (`own`), or could be put on it (`others`). */
  additions: { own: readonly RigAddition[]; others: readonly RigAddition[] };
};

/** The bare rig of a collar: a leash and nothing else. */
export const bareRig = (id: string, name: string, joint: string, says = 'Every part is a single point.'): RigTemplate => ({
  id,
  name,
  says,
  needs: [],
  ties: [LEASH, snapTo(joint)],
});

/** What rigs are made of, beside collars. Common practice. */
const PARTS: Readonly<Record<string, RigPartKind>> = {
  leash: { name: 'leash', place: 'hand', fails: 'is dropped, bitten through, or tears at its stitching', gear: 'leash' },
  'long line': { name: 'long line', place: 'hand', fails: 'is dropped, or burns through the hand', gear: 'long line' },
  'slip lead': { name: 'slip lead', place: 'hand', fails: 'opens when its stopper slides', gear: 'slip leash' },
  snap: { name: 'snap', place: 'tie', fails: 'opens against the ring, or its spring is weak', gear: 'snap' },
  'second snap': { name: 'second snap', place: 'tie', fails: 'opens against the ring, or its spring is weak', gear: 'snap' },
  carabiner: { name: 'carabiner', place: 'tie', fails: 'opens when it is not made for load', gear: 'carabiner' },
  coupler: { name: 'coupler', place: 'tie', fails: 'tears, or its snap opens', gear: 'coupler' },
  'coupler with spare ring': { name: 'coupler with a spare ring', place: 'tie', fails: 'tears, or its snap opens', gear: 'coupler' },
  'safety strap': { name: 'safety strap', place: 'tie', fails: 'tears, or its snap opens', gear: 'safety strap' },
};
const JOINTS: Readonly<Record<string, RigJointKind>> = {
  hand: { name: 'hand' },
  dog: { name: 'dog' },
  'leash end': { name: 'end of the leash' },
  'second leash end': { name: 'end of the second leash' },
  'spare ring': { name: 'spare ring of the coupler' },
};

/** A harness, worn beside collars. Common practice. */
export const HARNESS_RIG: RigRole = {
  id: 'harness',
  words: 'a harness',
  joints: { 'harness ring': { name: 'ring of the harness' } },
  partKinds: { harness: { name: 'harness', place: 'neck', fails: 'is backed out of, or its buckle opens' } },
  parts: [rigPart('harness', 'harness', 'harness ring', 'dog')],
  leashJoint: 'harness ring',
  holdsAt: ['harness ring'],
  templates: [bareRig('bare-harness', 'Leash and harness', 'harness ring')],
  additions: { own: [], others: [] },
};

/** Everything that rigs are made of: general parts and joints with those of every role. */
export type RigCatalogue = {
  parts: Readonly<Record<string, RigPartKind>>;
  joints: Readonly<Record<string, RigJointKind>>;
  roles: readonly RigRole[];
};

/** The catalogue of the roles that there are; the harness is always among them. A role that two kinds share is taken once. */
export function rigCatalogue(roles: readonly RigRole[]): RigCatalogue {
  const once = [...new Map([...roles, HARNESS_RIG].map((role) => [role.id, role])).values()];
  return {
    parts: Object.assign({}, PARTS, ...once.map(({ partKinds }) => partKinds)) as RigCatalogue['parts'],
    joints: Object.assign({}, JOINTS, ...once.map(({ joints }) => joints)) as RigCatalogue['joints'],
    roles: once,
  };
}

/** A catalogue for a dog: the collars it wears with the parts that they have by their own numbers, by the id of the role. */
export const catalogueFor = (catalogue: RigCatalogue, own: ReadonlyMap<string, readonly FittedRigPart[]>): RigCatalogue => ({
  ...catalogue,
  roles: catalogue.roles.map((role) => ({ ...role, parts: own.get(role.id) ?? role.parts })),
});

/** The parts of a worn collar between its ring and the dog; none for one that the catalogue does not know. */
export const partsOfRole = (id: string, { roles }: RigCatalogue): readonly FittedRigPart[] => roles.find((role) => role.id === id)?.parts ?? [];
