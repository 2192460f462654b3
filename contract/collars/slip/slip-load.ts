import { STRAP_FRICTION, type FittingDog, type LoadCase } from '@banter/core';

/**
 * How a slip carries a leash on this dog. Seen from behind, the running part of a P crosses the top of the neck from the handler’s
 * side: on a dog worked on the left its tension falls from the ring over the dog’s left, the mirrored one over its right.
 */
export function slipLoad(dog: Pick<FittingDog, 'hairGirthMm' | 'worksOn'>, widthMm: number, leashForceN: number): LoadCase {
  return {
    kind: 'slip',
    leashForceN,
    girthMm: dog.hairGirthMm!,
    widthMm,
    friction: STRAP_FRICTION,
    falls: dog.worksOn === 'left' ? 'anticlockwise' : 'clockwise',
  };
}
