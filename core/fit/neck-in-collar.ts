import type { FittingDog } from './fitting-dog.ts';

/** The millimetres that hands put on the neck inside this collar; 0 where they have not been in it. */
export const byHandsIn = (dog: Pick<FittingDog, 'byHands'>, collarId: string): number => dog.byHands?.[collarId] ?? 0;

/**
 * The dog as it is inside one collar: hands outrank the tape, so that its high girth, on the skin, as taped and over the hair, is what
 * hands found of it there. Every make-up of that collar follows from the one shift. Common practice.
 *
 * @example inCollar({ ...dog, hairGirthMm: 400, byHands: { a: 6 } }, 'a').hairGirthMm // 406
 */
export function inCollar(dog: FittingDog, collarId: string): FittingDog {
  const shiftMm = byHandsIn(dog, collarId);
  if (shiftMm === 0) return dog;
  const shifted = (mm: number | null) => (mm === null ? null : mm + shiftMm);
  return { ...dog, skinGirthMm: shifted(dog.skinGirthMm), tapedGirthMm: shifted(dog.tapedGirthMm), hairGirthMm: shifted(dog.hairGirthMm) };
}
