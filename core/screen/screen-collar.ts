import { SCREENED_HAZARDS, type Hazard } from './hazards.ts';
import { levelOf, SCREEN_ITEMS, SCREEN_LEVELS, type HouseScreen, type ScreenItemId, type ScreenLevel } from './screen-items.ts';

export type ScreenAnswer = 'yes' | 'no' | 'unknown';

/** What is known of a dog’s screening: answers, those that its record answers by itself, and what has been lifted for which hazards. */
export type Screening = {
  /** Whether anybody has gone through the questions. */
  done: boolean;
  answers: Partial<Record<ScreenItemId, ScreenAnswer>>;
  lifted: readonly ScreenItemId[];
};

/** One item that speaks against a collar, with how far it goes; `lifted` when somebody has taken it back with a note. */
export type ScreenFinding = { id: ScreenItemId; name: string; why: string; level: ScreenLevel; lifted: boolean; unknown: boolean };

/** What screening says of one kind of collar. `blocked`: it cannot be planned. */
export type ScreenResult = { blocked: boolean; notScreened: boolean; level: ScreenLevel; findings: ScreenFinding[] };

/**
 * What a dog's screening says of a collar with these hazards. The worst level of its hazards counts for each item. A stop or a
 * vet to be asked blocks until it is lifted; an answer not known counts as a caution where a yes would block. Kinds that pinch,
 * close, hold the nose or stimulate are not planned before the dog has been screened. Common practice.
 */
export function screenCollar(hazards: readonly Hazard[], screening: Screening, house: HouseScreen = {}): ScreenResult {
  const findings: ScreenFinding[] = [];
  for (const { id, name, why } of SCREEN_ITEMS) {
    const answer = screening.answers[id];
    if (answer === undefined || answer === 'no') continue;
    const worst = hazards.map((hazard) => levelOf(id, hazard, house)).reduce((a, b) => (rank(b) > rank(a) ? b : a), 'none' as ScreenLevel);
    if (worst === 'none') continue;
    const unknown = answer === 'unknown';
    findings.push({ id, name, why, level: unknown ? 'caution' : worst, lifted: screening.lifted.includes(id), unknown });
  }
  findings.sort((a, b) => rank(b.level) - rank(a.level));
  const open = findings.filter((finding) => !finding.lifted);
  const level = open.reduce((worst, { level: one }) => (rank(one) > rank(worst) ? one : worst), 'none' as ScreenLevel);
  const notScreened = !screening.done && hazards.some((hazard) => SCREENED_HAZARDS.includes(hazard));
  return { blocked: notScreened || rank(level) >= rank('ask-vet'), notScreened, level, findings };
}

const rank = (level: ScreenLevel) => SCREEN_LEVELS.indexOf(level);

/**
 * Items that a dog's record answers by itself: a pup by its birth date and the house’s rule, a flat face by a taped muzzle. They
 * stand beside what people answer and are never a silent «no». Common practice.
 */
export function answersOfRecord(
  dog: { ageDays: number | null; muzzleLengthMm: number | null },
  rules: { pupDays: number; flatFaceMm: number },
): Partial<Record<ScreenItemId, ScreenAnswer>> {
  return {
    ...(dog.ageDays !== null && dog.ageDays < rules.pupDays ? { 'under-six-months': 'yes' as const } : {}),
    ...(dog.muzzleLengthMm !== null && dog.muzzleLengthMm < rules.flatFaceMm ? { 'flat-face': 'yes' as const } : {}),
  };
}
