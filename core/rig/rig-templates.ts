import { rigRoutes } from './rig-graph.ts';
import { collarParts, LEASH_JOINT, rigPart, type FittedRigPart, type RigCollar } from './rig-parts.ts';

/** A usual rig: what it is for, which collars it takes, and how it is tied. Common practice. */
export type RigTemplate = { id: string; name: string; says: string; collars: readonly RigCollar[]; ties: readonly FittedRigPart[] };

const leash = rigPart('leash', 'leash', 'hand', 'leash end');
const snapTo = (collar: Exclude<RigCollar, 'electronic'>) => rigPart('snap', 'snap', 'leash end', LEASH_JOINT[collar]);
const bothRings = [snapTo('prong'), rigPart('dead-in-snap', 'dead ring', 'leash end', 'dead ring')];

const bare = (id: string, name: string, says: string, collar: Exclude<RigCollar, 'electronic'>): RigTemplate => ({
  id,
  name,
  says,
  collars: [collar],
  ties: [leash, snapTo(collar)],
});

/** The usual rigs, the bare one of each kind first. */
export const RIG_TEMPLATES: readonly RigTemplate[] = [
  bare('bare-prong', 'Leash and prong alone', 'The bare one: every part is a single point.', 'prong'),
  {
    id: 'both-rings',
    name: 'Snap through both rings',
    says: 'Firmer and shorter; the dead ring covers swivel and chain, not links, leash or snap.',
    collars: ['prong'],
    ties: [leash, ...bothRings],
  },
  {
    id: 'carabiner-to-flat',
    name: 'Carabiner, dead ring to flat collar',
    says: 'Covers an opened link; load-rated, and too heavy for small dogs.',
    collars: ['prong', 'flat'],
    ties: [leash, snapTo('prong'), rigPart('carabiner', 'carabiner', 'dead ring', 'flat ring')],
  },
  {
    id: 'coupler-to-flat',
    name: 'Coupler, dead ring to flat collar',
    says: 'Lighter than a carabiner; covers an opened link.',
    collars: ['prong', 'flat'],
    ties: [leash, snapTo('prong'), rigPart('coupler', 'coupler', 'dead ring', 'flat ring')],
  },
  {
    id: 'coupler-second-snap',
    name: 'Coupler with a spare ring, and a second snap in it',
    says: 'Only the leash itself remains a single point.',
    collars: ['prong', 'flat'],
    ties: [
      leash,
      snapTo('prong'),
      rigPart('coupler', 'coupler with spare ring', 'dead ring', 'spare ring'),
      rigPart('coupler-flat', 'coupler', 'spare ring', 'flat ring'),
      rigPart('second-snap', 'second snap', 'leash end', 'spare ring'),
    ],
  },
  {
    id: 'clip-on-backup',
    name: 'Longer clip-on slip below, clipped to the leash',
    says: 'Only the leash itself remains a single point; it never tightens unless the prong is off.',
    collars: ['prong', 'clip-on-slip'],
    ties: [leash, snapTo('prong'), rigPart('second-snap', 'second snap', 'leash end', 'backup ring')],
  },
  {
    id: 'slip-lead-clipped',
    name: 'Slip lead below, clipped to the leash',
    says: 'Only the leash itself remains a single point; it rests untightened while the prong works.',
    collars: ['prong'],
    ties: [leash, snapTo('prong'), rigPart('slip-lead', 'slip lead', 'leash end', 'dog')],
  },
  {
    id: 'slip-lead-below',
    name: 'Slip lead below, in the same hand',
    says: 'A second way from the hand: nothing is a single point.',
    collars: ['prong'],
    ties: [leash, snapTo('prong'), rigPart('slip-lead', 'slip lead', 'hand', 'dog')],
  },
  {
    id: 'second-leash',
    name: 'Second leash to the flat collar',
    says: 'A second way from the hand: nothing is a single point.',
    collars: ['prong', 'flat'],
    ties: [
      leash,
      snapTo('prong'),
      rigPart('second-leash', 'leash', 'hand', 'second leash end'),
      rigPart('second-snap', 'second snap', 'second leash end', 'flat ring'),
    ],
  },
  bare('bare-slip', 'Leash and slip alone', 'Every part is a single point.', 'slip'),
  {
    id: 'slip-and-flat',
    name: 'Slip, with a second snap to the flat collar',
    says: 'Only the leash itself remains a single point.',
    collars: ['slip', 'flat'],
    ties: [leash, snapTo('slip'), rigPart('second-snap', 'second snap', 'leash end', 'flat ring')],
  },
  bare('bare-clip-on', 'Leash and clip-on slip alone', 'Every part is a single point.', 'clip-on-slip'),
  bare('martingale', 'Leash and martingale', 'Every part is a single point.', 'martingale'),
  {
    id: 'martingale-body-ring',
    name: 'Martingale, second snap in its body ring',
    says: 'Covers the control loop; never the other way round.',
    collars: ['martingale'],
    ties: [leash, snapTo('martingale'), rigPart('second-snap', 'second snap', 'leash end', 'body ring')],
  },
  {
    id: 'head-collar-safety-strap',
    name: 'Head collar with its safety strap',
    says: 'The safety strap goes to the flat collar under the chin.',
    collars: ['head-collar', 'flat'],
    ties: [leash, snapTo('head-collar'), rigPart('safety-strap', 'safety strap', 'chin ring', 'flat ring')],
  },
  bare('bare-flat', 'Leash and flat collar', 'Every part is a single point.', 'flat'),
  bare('bare-wide', 'Leash and wide-throat collar', 'Every part is a single point.', 'wide-throat'),
  {
    id: 'harness-and-wide',
    name: 'Harness and wide-throat collar together',
    says: 'For very reactive dogs: two leashes, nothing is a single point.',
    collars: ['harness', 'wide-throat'],
    ties: [
      leash,
      snapTo('harness'),
      rigPart('second-leash', 'leash', 'hand', 'second leash end'),
      rigPart('second-snap', 'second snap', 'second leash end', 'wide ring'),
    ],
  },
  bare('bare-harness', 'Leash and harness', 'Every part is a single point.', 'harness'),
  {
    id: 'long-line-flat',
    name: 'Long line on the flat collar',
    says: 'Beside an electronic collar: the line never goes to it, nor to a head collar.',
    collars: ['flat'],
    ties: [rigPart('line', 'long line', 'hand', 'leash end'), snapTo('flat')],
  },
];

/** A template made up with the parts of its collars. */
export function rigOfTemplate({ collars, ties }: Pick<RigTemplate, 'collars' | 'ties'>): FittedRigPart[] {
  return [...ties, ...collars.flatMap(collarParts)];
}

/** Templates for what a dog wears: those whose collars all lie on the neck, the surest first, then those that would want one more. */
export function templatesFor(worn: readonly RigCollar[]): { template: RigTemplate; wants: RigCollar[] }[] {
  // What the leash is on comes first of a template's collars; a backup may still be wanting.
  const uses = (template: RigTemplate) => worn.includes(template.collars[0]!);
  return RIG_TEMPLATES.filter(uses)
    .map((template) => ({ template, wants: template.collars.filter((collar) => !worn.includes(collar)) }))
    .filter(({ wants }) => wants.length < 2)
    .sort((a, b) => a.wants.length - b.wants.length);
}

/** A part that could be added, what it would take off the list of single points, and what would be left of it. */
export type RigProposal = { id: string; says: string; parts: FittedRigPart[]; wants: RigCollar[]; fixes: string[]; left: string[] };

const PROPOSED: readonly { id: string; says: string; needs: RigCollar | null; wants: readonly RigCollar[]; parts: readonly FittedRigPart[] }[] = [
  {
    id: 'carabiner',
    says: 'A load-rated carabiner from the dead ring to the flat collar',
    needs: 'prong',
    wants: ['flat'],
    parts: [rigPart('carabiner', 'carabiner', 'dead ring', 'flat ring')],
  },
  {
    id: 'coupler',
    says: 'A collar-to-collar coupler from the dead ring to the flat collar',
    needs: 'prong',
    wants: ['flat'],
    parts: [rigPart('coupler', 'coupler', 'dead ring', 'flat ring')],
  },
  {
    id: 'second-snap-flat',
    says: 'A second snap from the leash’s end to the flat collar',
    needs: null,
    wants: ['flat'],
    parts: [rigPart('second-snap', 'second snap', 'leash end', 'flat ring')],
  },
  {
    id: 'second-snap-body',
    says: 'A second snap from the leash’s end to the martingale’s body ring',
    needs: 'martingale',
    wants: ['martingale'],
    parts: [rigPart('second-snap', 'second snap', 'leash end', 'body ring')],
  },
  {
    id: 'clip-on-below',
    says: 'A longer clip-on slip worn below, clipped to the leash',
    needs: null,
    wants: ['clip-on-slip'],
    parts: [rigPart('second-snap', 'second snap', 'leash end', 'backup ring')],
  },
  {
    id: 'second-leash-flat',
    says: 'A second leash from the hand to the flat collar',
    needs: null,
    wants: ['flat'],
    parts: [rigPart('second-leash', 'leash', 'hand', 'second leash end'), rigPart('second-leash-snap', 'snap', 'second leash end', 'flat ring')],
  },
  {
    id: 'slip-lead-below',
    says: 'A slip lead worn below, in the same hand',
    needs: null,
    wants: [],
    parts: [rigPart('slip-lead', 'slip lead', 'hand', 'dog')],
  },
  {
    id: 'safety-strap',
    says: 'The safety strap from under the chin to the flat collar',
    needs: 'head-collar',
    wants: ['flat'],
    parts: [rigPart('safety-strap', 'safety strap', 'chin ring', 'flat ring')],
  },
];

/**
 * Parts that could be added to a rig, each with the single points it would mend, most first; what mends nothing is left out.
 * Parts already there are not laid again; a collar that is not on the neck comes with its own parts and is named in `wants`.
 */
export function rigProposals(parts: readonly FittedRigPart[], worn: readonly RigCollar[]): RigProposal[] {
  const before = rigRoutes(parts).singlePoints;
  if (before.length === 0) return [];
  return PROPOSED.filter(({ needs }) => needs === null || worn.includes(needs))
    .flatMap(({ id, says, parts: added, wants }): RigProposal[] => {
      const own = wants.flatMap(collarParts).filter((part) => !parts.some((one) => one.kind === part.kind && one.from === part.from && one.to === part.to));
      const isThere = (part: FittedRigPart) => parts.some((one) => one.kind === part.kind && one.from === part.from && one.to === part.to);
      if (added.every(isThere)) return [];
      const fresh = [...added, ...own].map((part) => ({ ...part, id: freshId(part.id, parts) }));
      const left = rigRoutes([...parts, ...fresh]).singlePoints;
      const fixes = before.filter((point) => !left.includes(point));
      return fixes.length === 0 ? [] : [{ id, says, parts: fresh, wants: wants.filter((collar) => !worn.includes(collar)), fixes, left }];
    })
    .sort((a, b) => b.fixes.length - a.fixes.length || a.wants.length - b.wants.length || a.parts.length - b.parts.length);
}

/** An id that no part of a rig has yet. */
export function freshId(wanted: string, parts: readonly { id: string }[]): string {
  const taken = new Set(parts.map(({ id }) => id));
  if (!taken.has(wanted)) return wanted;
  let number = 2;
  while (taken.has(`${wanted}-${number}`)) number += 1;
  return `${wanted}-${number}`;
}
