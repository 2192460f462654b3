/** What is under the sore place, how it fitted, and what has been tried. Common practice. */
export type SoreCase = {
  under: 'prong' | 'contacts' | 'strap';
  /** How the fit was found when the soreness was seen. */
  fit: 'good' | 'loose' | 'tight' | 'unknown';
  /** Whether it stayed after the fit had been put right. */
  stayed: 'yes' | 'no' | 'not-tried';
  /** Whether another metal has been tried: nickel-free alloy or stainless. */
  metal: 'same' | 'changed';
  grade: 0 | 1 | 2 | 3;
};

export const SORE_STEPS = ['vet', 'check-the-fit', 'put-the-fit-right', 'rest-and-look', 'move-it', 'change-the-metal', 'leave-it-off', 'carry-on'] as const;
export type SoreStep = (typeof SORE_STEPS)[number];

/** What to suspect and do, as sentences. Common practice: a loose fit that rubs first, the metal (nickel) only when it stays with a good fit. */
export const SORE_WORDS: Record<SoreStep, { suspect: string; does: string }> = {
  vet: { suspect: 'Not a matter of fit or metal now.', does: 'The collar stays off, and a vet is asked; look again here before it goes back on.' },
  'check-the-fit': { suspect: 'First suspect a loose fit that rubs.', does: 'Check the fit on the dog before anything else is changed.' },
  'put-the-fit-right': { suspect: 'A fit that moves or presses rubs.', does: 'Put the fit right, rest the place, and look again.' },
  'rest-and-look': { suspect: 'The fit was put right; whether it was the cause is not known yet.', does: 'Rest the place, and look again after a few wears.' },
  'move-it': { suspect: 'Contacts left in one place press, however well they fit.', does: 'Move the receiver, keep to the hours, and look again.' },
  'change-the-metal': { suspect: 'It stays with a good fit: suspect the metal (nickel).', does: 'Change to stainless or a nickel-free alloy, and look again.' },
  'leave-it-off': { suspect: 'It stays with a good fit and another metal.', does: 'Leave this collar off, and ask a vet.' },
  'carry-on': { suspect: 'It went with the fit put right: it was the rub.', does: 'Carry on, and look at each wear.' },
};

/**
 * The loose-rub-or-metal question as a decision. A red, hairless or broken place goes to a vet whatever the cause; a fit that is
 * not known is checked first; a loose or tight one is put right before anything else is suspected; only what stays with a good
 * fit is put down to the metal. Common practice.
 *
 * @example soreStep({ under: 'prong', fit: 'good', stayed: 'yes', metal: 'same', grade: 1 }) // 'change-the-metal'
 */
export function soreStep({ under, fit, stayed, metal, grade }: SoreCase): SoreStep {
  if (grade >= 2) return 'vet';
  if (fit === 'unknown') return 'check-the-fit';
  if (fit !== 'good') return 'put-the-fit-right';
  if (stayed === 'no') return 'carry-on';
  if (stayed === 'not-tried') return under === 'contacts' ? 'move-it' : 'rest-and-look';
  if (under === 'strap') return 'leave-it-off';
  return metal === 'same' ? 'change-the-metal' : 'leave-it-off';
}
