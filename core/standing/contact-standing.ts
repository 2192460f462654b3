/** A hand or a device that felt whether both contacts touch; null: strapped anew, or the dog soaked, so that they are to be felt again. `at` ms. */
export type ContactFelt = { at: number; made: boolean | null };

/**
 * What is true of a device's contacts: off the dog; not checked since it went on, was moved, taken off and on, strapped anew or
 * soaked; felt, and touching or not. `at` is when they were felt, ms.
 */
export type ContactStanding = { state: 'off' | 'not-checked' } | { state: 'good' | 'lost'; at: number };

/**
 * The one state of a device's contacts: by the last time that they were felt since it sits where it sits (`placeSince`, ms; null: it
 * is not on the dog). A check, the routine, the door, the field log and a device all feel alike. Common practice.
 *
 * @example contactStanding(10, [{ at: 9, made: true }]).state // 'not-checked': it was moved since
 */
export function contactStanding(placeSince: number | null, felt: readonly ContactFelt[]): ContactStanding {
  if (placeSince === null) return { state: 'off' };
  const last = felt.filter(({ at }) => at >= placeSince).reduce<ContactFelt | null>((a, b) => (a === null || b.at >= a.at ? b : a), null);
  return last === null || last.made === null ? { state: 'not-checked' } : { state: last.made ? 'good' : 'lost', at: last.at };
}

/** How the state is called, on every screen. */
export const CONTACT_WORDS: Record<ContactStanding['state'], string> = {
  off: 'off the dog',
  'not-checked': 'contact not checked',
  good: 'contact good',
  lost: 'contact not good',
};
