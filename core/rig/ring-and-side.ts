import { ringClock, type RingPlace, type WorkingSide } from '../collars/prong/prong-hardware.ts';
import { loopLetter } from '../collars/slip/slip-strength.ts';

/** How far the leash hand moves before a prong closes, from and to, mm: live ring 4 to 6 in, both rings about 2 in. Common practice. */
export const RING_TRAVEL_MM: Record<'live' | 'both', [number, number]> = { live: [101.6, 152.4], both: [45, 57] };

/** How a training collar is turned and held: where its ring sits, on which side the leash runs, and what to see to. */
export type RingAndSide = {
  /** Clock place of the ring, 12 the nape. */
  clock: number;
  /** The dog's own side on which the leash runs to the hand. */
  leashSide: WorkingSide;
  travelMm: readonly [number, number] | null;
  letter: 'P' | 'mirrored P' | null;
  /** What to look at before walking off, as sentences. */
  see: string[];
};

/**
 * Ring and side by what is worn, school and working side. A dog on the handler's left has the leash on its own right side; its
 * near-side ring lies at 1½, and a slip is put on as a P. Common practice.
 */
export function ringAndSide(
  collar: 'prong' | 'slip' | 'clip-on-slip' | 'martingale' | 'flat' | 'wide-throat' | 'head-collar',
  { ring, ringPlace, worksOn }: { ring: 'live' | 'both'; ringPlace: RingPlace; worksOn: WorkingSide },
): RingAndSide {
  const leashSide: WorkingSide = worksOn === 'left' ? 'right' : 'left';
  const base = { clock: ringClock(ringPlace, worksOn), leashSide, travelMm: null, letter: null };
  const side = `The dog works on the handler’s ${worksOn}: the leash runs on the dog’s ${leashSide} side.`;
  switch (collar) {
    case 'prong':
      return {
        ...base,
        travelMm: RING_TRAVEL_MM[ring],
        see: [
          side,
          'The chain is untwisted and hangs as an open triangle.',
          ring === 'live'
            ? 'The live ring is outside, the dead ring on the dog’s side; the leash is on the live ring alone.'
            : 'The leash’s snap holds both rings.',
        ],
      };
    case 'slip':
    case 'clip-on-slip': {
      const letter = loopLetter(worksOn);
      return {
        ...base,
        letter: collar === 'slip' ? letter : null,
        see: [
          side,
          collar === 'slip'
            ? `Facing the dog the loop is a ${letter}: the running part crosses the top of the neck and lets go with the leash.`
            : 'The floating ring runs freely, the clip is shut on it.',
        ],
      };
    }
    case 'martingale':
      return { ...base, clock: 12, see: [side, 'The control loop lies on top of the neck, the head has gone through the strap, not through the loop.'] };
    case 'head-collar':
      return { ...base, clock: 6, see: [side, 'The leash hangs from under the chin in a slack curve; the safety strap goes to the flat collar.'] };
    default:
      return { ...base, see: [side, 'The ring lies where the leash does not turn the collar.'] };
  }
}
