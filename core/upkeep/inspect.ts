import { INSPECTION_OUTCOMES, type InspectionOutcome, type InspectionSpec } from './inspection-items.ts';
import { DAY_MS } from '../units/durations.ts';

/** What was found, by item. */
export type InspectionAnswers = Readonly<Record<string, string>>;
/** What an inspection comes to: the worst that was found, and what each find asks for. `open` are items nobody answered. */
export type Inspected = { outcome: InspectionOutcome; copy: boolean; does: { item: string; text: string }[]; open: string[] };

/**
 * What becomes of a piece of gear by what was found on it: the worst find decides. A single bent link that will not hold scraps the
 * link and not the collar. `copy`: it is a poor copy, and not used on any dog. Common practice.
 *
 * @example inspect(INSPECT_SNAP, { click: 'good', hardware: 'good', rating: 'good' }).outcome // 'ok'
 */
export function inspect({ items }: InspectionSpec, answers: InspectionAnswers): Inspected {
  const found: Inspected = { outcome: 'ok', copy: false, does: [], open: [] };
  for (const item of items) {
    const find = item.finds.find(({ value }) => value === answers[item.id]);
    if (!find) {
      found.open.push(item.id);
      continue;
    }
    if (find.does) found.does.push({ item: item.id, text: find.does });
    if (find.outcome === 'scrap' && item.copy) found.copy = true;
    const outcome = find.value === 'link' ? 'mend' : find.outcome;
    if (INSPECTION_OUTCOMES.indexOf(outcome) > INSPECTION_OUTCOMES.indexOf(found.outcome)) found.outcome = outcome;
  }
  return found;
}

/** When a piece is looked at whole again: what brings it up, and the instant (ms). */
export type InspectionDue = { why: 'never' | 'days' | 'wears' | 'mend' | null; at: number };

/**
 * When a piece is due: at once where it never was, or was to be mended and has not been looked at since; else so many days after its
 * last inspection, sooner once it has been worn so many times. `now` and `lastAt` ms. Common practice: monthly for what fits an
 * adult; the count of wears from memory.
 */
export function inspectionDue(
  { lastAt, outcome, wears }: { lastAt: number | null; outcome: InspectionOutcome | null; wears: number },
  now: number,
  rules: { inspectDays: number; inspectWears: number },
): InspectionDue {
  if (lastAt === null) return { why: 'never', at: now };
  if (outcome === 'mend') return { why: 'mend', at: lastAt };
  const byDays = lastAt + rules.inspectDays * DAY_MS;
  if (wears >= rules.inspectWears && byDays > now) return { why: 'wears', at: now };
  return { why: byDays <= now ? 'days' : null, at: byDays };
}

/** How often a look is taken at what a growing dog wears, in days, and why: every day at a buckle, every week at links. Common practice. */
export type GrowingLook = { everyDays: number; why: string; ownerKey: string; ownerText: string };
export const GROWING_BUCKLE: GrowingLook = {
  everyDays: 1,
  why: 'A buckle every day',
  ownerKey: 'growing-buckle',
  ownerText: 'Still growing: the strap is not tighter than yesterday; if it is, one hole or a little looser today.',
};
export const GROWING_LINKS: GrowingLook = {
  everyDays: 7,
  why: 'Links every week',
  ownerKey: 'growing-links',
  ownerText: 'Still growing: once a week, does a link have to go back in? Ask us before you put one in.',
};

/** What to do when a collar breaks on the way. Common practice. */
export const IF_IT_BREAKS =
  'Stay calm, do not chase: go on as usual, many dogs have not noticed. The snap run through the leash’s own handle makes a slip lead.';
