import { rigRoutes } from './rig-graph.ts';
import { partsOfRole, rigPart, type FittedRigPart, type RigAddition, type RigCatalogue, type RigTemplate } from './rig-parts.ts';

/** A usual rig with the collars that it takes, the one that the leash is on first. */
export type CollarRig = RigTemplate & { collars: readonly string[] };

/** Every usual rig of a catalogue, the bare one of each collar first. */
export const rigTemplates = ({ roles }: RigCatalogue): CollarRig[] =>
  roles.flatMap(({ id, templates }) => templates.map((template) => ({ ...template, collars: [id, ...template.needs] })));

/** A template made up with the parts of its collars. */
export function rigOfTemplate({ collars, ties }: Pick<CollarRig, 'collars' | 'ties'>, catalogue: RigCatalogue): FittedRigPart[] {
  return [...ties, ...collars.flatMap((collar) => partsOfRole(collar, catalogue))];
}

/** Templates for what a dog wears: those whose collars all lie on the neck, the surest first, then those that would want one more. */
export function templatesFor(worn: readonly string[], catalogue: RigCatalogue): { template: CollarRig; wants: string[] }[] {
  // What the leash is on comes first of a template's collars; a backup may still be wanting.
  return rigTemplates(catalogue)
    .filter(({ collars }) => worn.includes(collars[0]!))
    .map((template) => ({ template, wants: template.collars.filter((collar) => !worn.includes(collar)) }))
    .filter(({ wants }) => wants.length < 2)
    .sort((a, b) => a.wants.length - b.wants.length);
}

/** A part that could be added, what it would take off the list of single points, and what would be left of it. */
export type RigProposal = { id: string; says: string; parts: FittedRigPart[]; wants: string[]; fixes: string[]; left: string[] };

/** What needs no collar of its own. Common practice. */
const SLIP_LEAD_BELOW: RigAddition = {
  id: 'slip-lead-below',
  says: 'A slip lead worn below, in the same hand',
  needs: [],
  parts: [rigPart('slip-lead', 'slip lead', 'hand', 'dog')],
};

/**
 * Parts that could be added to a rig, each with the single points it would mend, most first; what mends nothing is left out.
 * Parts already there are not laid again; a collar that is not on the neck comes with its own parts and is named in `wants`.
 */
export function rigProposals(parts: readonly FittedRigPart[], worn: readonly string[], catalogue: RigCatalogue): RigProposal[] {
  const before = rigRoutes(parts).singlePoints;
  if (before.length === 0) return [];
  const isThere = (part: FittedRigPart) => parts.some((one) => one.kind === part.kind && one.from === part.from && one.to === part.to);
  const ofRoles = catalogue.roles.flatMap(({ id, additions: { own, others } }) => [...(worn.includes(id) ? own : []), ...others]);
  return [...ofRoles, SLIP_LEAD_BELOW]
    .flatMap(({ id, says, parts: added, needs }): RigProposal[] => {
      if (added.every(isThere)) return [];
      const own = needs.flatMap((need) => partsOfRole(need, catalogue)).filter((part) => !isThere(part));
      const fresh = [...added, ...own].map((part) => ({ ...part, id: freshId(part.id, parts) }));
      const left = rigRoutes([...parts, ...fresh]).singlePoints;
      const fixes = before.filter((point) => !left.includes(point));
      return fixes.length === 0 ? [] : [{ id, says, parts: fresh, wants: needs.filter((collar) => !worn.includes(collar)), fixes, left }];
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

/** A rig with a collar's own parts laid in anew, in place of those of its kind that are there; ties stay. */
export function layIn(rig: readonly FittedRigPart[], id: string, catalogue: RigCatalogue): FittedRigPart[] {
  const role = catalogue.roles.find((one) => one.id === id);
  if (!role) return [...rig];
  const kept = rig.filter(({ kind }) => !Object.hasOwn(role.partKinds, kind) || role.partKinds[kind]!.place === 'tie');
  return [...kept, ...role.parts.map((part) => ({ ...part, id: freshId(part.id, kept) }))];
}
