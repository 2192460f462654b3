import { HOUSE_RULES } from '@banter/core';
import { MORE_SCREENS, OTHER_SCREENS, SCREENS } from './screens.ts';

/** Something that can be gone to: of what sort, what it is called, what else is said of it. */
export type Find = { sort: string; name: string; more: string; to: string };

/** So many house rules are named. */
const MOST_RULES = 6;

/** What this device finds by itself: screens, of the dog that is open too, and house rules. What begins with the text comes first; without a text the screens of this dog. */
export function localFinds(text: string, dogScreens: readonly Find[]): Find[] {
  const sought = text.trim().toLowerCase();
  if (sought === '') return [...dogScreens];
  const screens = [...SCREENS, ...MORE_SCREENS, ...OTHER_SCREENS].map(({ to, label }) => ({ sort: 'Screen', name: label, more: '', to }));
  const rules = Object.entries(HOUSE_RULES).map(([name, { title }]) => ({ sort: 'House rule', name: title, more: '', to: `/house#rule-${name}` }));
  const fits = ({ name }: Find) => name.toLowerCase().includes(sought);
  const begins = ({ name }: Find) => (name.toLowerCase().startsWith(sought) ? 0 : 1);
  const inOrder = (all: readonly Find[]) => all.filter(fits).sort((a, b) => begins(a) - begins(b));
  return [...inOrder(dogScreens), ...inOrder(screens), ...inOrder(rules).slice(0, MOST_RULES)];
}
