import { FLAT_CHECK, FLAT_PUT_ON, FLAT_RING, FLAT_TRAITS } from '@banter/core/collars/flat';
import { STRAP_ROLES, type StrapOptions, type StrapRole } from '@banter/core/collars/strap';
import { z } from '../../plain-words.ts';
import type { KeptRecord, RecordStep } from '../../records/record-step.ts';
import { HOLE_MM, strapKind, usualStrap } from '../strap/strap-kind.ts';

const ROLE_WORDS: Record<StrapRole, string> = { training: 'Training', safety: 'Safety partner', tag: 'Tag only' };
/** A flat collar was the safety partner of the others before it had a role. */
const USUAL_ROLE: StrapRole = 'safety';

const hasRole: RecordStep = {
  name: 'a flat collar has a role',
  since: '0.2.0',
  bring: (plan) => {
    const choices = (plan.choices ?? {}) as { options?: KeptRecord };
    return choices.options && choices.options.role === undefined
      ? { ...plan, choices: { ...choices, options: { ...choices.options, role: USUAL_ROLE } } }
      : plan;
  },
};

export const flatKind = strapKind('flat', {
  name: 'Flat buckle',
  noun: FLAT_TRAITS.noun,
  traits: FLAT_TRAITS,
  ring: FLAT_RING,
  widthLabel: 'Width',
  likelyWidthMm: [8, 60],
  about: 'The identity collar, and the safety partner of every other one.',
  purposes: ['identity', 'holding', 'walking'],
  caution: 'Two fingers go under, never the flat hand.',
  schools: ['crateSchool'],
  sizing: { settles: 'nearest', forWalking: true },
  check: FLAT_CHECK,
  putOn: FLAT_PUT_ON,
  options: z.strictObject({ fingers: z.literal([1, 2]), role: z.enum(STRAP_ROLES).optional() }) as unknown as z.ZodType<StrapOptions>,
  optionFields: [
    {
      id: 'role',
      label: 'What it is for',
      hint: 'A safety partner lies below the others; a tag carries nothing.',
      options: STRAP_ROLES.map((value) => ({ value, label: ROLE_WORDS[value] })),
    },
  ],
  usualOptions: { fingers: 2, role: USUAL_ROLE },
  layer: ({ role = USUAL_ROLE }) => ({ training: 'training', safety: 'holding', tag: 'other' })[role] as 'training' | 'holding' | 'other',
  roleWords: ({ role = USUAL_ROLE }) => (role === USUAL_ROLE ? '' : ` (${ROLE_WORDS[role].toLowerCase()})`),
  steps: { plans: [hasRole] },
  usual: [usualStrap('Small flat', 230, 330, 15, HOLE_MM), usualStrap('Middle flat', 330, 460, 20, HOLE_MM), usualStrap('Large flat', 430, 610, 25, HOLE_MM)],
});
