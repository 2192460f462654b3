import { recommendedSlip, shortestPassing } from '../collars/slip/size-slip.ts';
import { strapBySchool } from '../collars/martingale/size-martingale.ts';
import type { FittingDog } from '../fit/fitting-dog.ts';
import { fingerSlack } from '../measure/finger-slack.ts';
import type { HouseRules } from '../rules/house-rules.ts';
import type { HouseSchools } from '../rules/house-schools.ts';
import type { ReasonWords } from '../reasons/reason.ts';

/** A slip's ring, to reckon with before one's own is known; mm. From memory. */
const USUAL_RING_MM = 20;

/** From this weight a strong dog outpulls its handler, by the school that keeps prongs for such dogs; kg (55 to 60 lb). Common practice. */
export const STRONG_DOG_KG = 26;

/** What geometry alone says between two kinds of collar. Lengths mm, ratios bare; `take` is the kind that it speaks for. */
export type GeometryDecision =
  | { code: 'slip'; take: 'slip' | 'clip-on-slip'; passingMm: number; gapMm: number; limitMm: number }
  | { code: 'hold'; take: 'martingale' | 'wide-throat' | 'neither'; meetRatio: number; apartRatio: number; wideRatio: number; limit: number; calm: boolean }
  | { code: 'strong-dogs'; take: 'prong' | 'another'; weightKg: number; limitKg: number; settled: boolean };

export const GEOMETRY_WORDS: ReasonWords<GeometryDecision> = {
  slip: (r, speak) =>
    `Slip or clip-on: the shortest slip that goes over this head is ${speak.girth(r.passingMm)} and leaves ${speak.gap(r.gapMm)} between the rings; the house allows ${speak.gap(r.limitMm)}. ` +
    (r.take === 'slip' ? 'A slip over the head acts soon enough.' : 'A clip-on slip acts sooner.'),
  hold: (r) =>
    `Martingale or wide-throat: the head is ${r.meetRatio.toFixed(2)} times a martingale whose rings meet, ${r.apartRatio.toFixed(2)} with its rings apart, and ${r.wideRatio.toFixed(2)} times a wide-throat collar; ${r.limit.toFixed(2)} holds. ` +
    {
      martingale: r.calm ? 'It walks settled: a martingale, its rings as the house sets them.' : 'Only a martingale with its rings apart holds this head.',
      'wide-throat': 'Until it walks calmly a wide-throat collar holds it; then a martingale.',
      neither: 'Neither holds: a harness, and a collar beside it only for its tag.',
    }[r.take],
  'strong-dogs': (r, speak) =>
    r.take === 'prong'
      ? `This house keeps prongs for strong dogs, from ${speak.weight(r.limitKg)}: at ${speak.weight(r.weightKg)}, not walking settled, it is one.`
      : `This house keeps prongs for strong dogs that outpull their handler, from ${speak.weight(r.limitKg)}: this one ${r.settled ? 'walks settled' : `weighs ${speak.weight(r.weightKg)}`}. Another collar first.`,
};

/**
 * The decisions between kinds that a dog's measures make by themselves: slip against clip-on by the head, martingale against
 * wide-throat by what holds the head, and by the school that keeps prongs for strong dogs. Only those whose measures are there.
 * Common practice.
 */
export function chooseByGeometry(dog: FittingDog, rules: HouseRules, schools: HouseSchools): GeometryDecision[] {
  const decisions: GeometryDecision[] = [];
  const { hairGirthMm: girthMm, headGirthMm, weightKg } = dog;
  if (girthMm !== null && headGirthMm !== null) {
    const passingMm = shortestPassing(headGirthMm, USUAL_RING_MM);
    decisions.push({
      code: 'slip',
      take: recommendedSlip({ girthMm, headGirthMm }, USUAL_RING_MM, rules),
      passingMm,
      gapMm: passingMm - girthMm - USUAL_RING_MM,
      limitMm: rules.slipMaxMm,
    });
    const meetRatio = headGirthMm / girthMm;
    if (dog.neckBuild === 'slender' || meetRatio < rules.backOutNarrow) {
      const apartRatio = headGirthMm / strapBySchool('rings-apart', girthMm, rules);
      const wideRatio = headGirthMm / (girthMm + fingerSlack(girthMm, 1, dog.finger));
      const calm = dog.pull === 'settled';
      const holds = (ratio: number) => ratio >= rules.backOutMin;
      const take = calm && holds(apartRatio) ? 'martingale' : holds(wideRatio) ? 'wide-throat' : holds(apartRatio) ? 'martingale' : 'neither';
      decisions.push({ code: 'hold', take, meetRatio, apartRatio, wideRatio, limit: rules.backOutMin, calm });
    }
  }
  if (schools.prongForSchool === 'strong-dogs' && weightKg !== null) {
    const settled = dog.pull === 'settled';
    decisions.push({ code: 'strong-dogs', take: weightKg >= STRONG_DOG_KG && !settled ? 'prong' : 'another', weightKg, limitKg: STRONG_DOG_KG, settled });
  }
  return decisions;
}
