import { breedOf } from '../breeds/breed-guide.ts';
import { SCREEN_ITEM_IDS, type ScreenItemId } from './screen-items.ts';

/**
 * The screening questions that a breed is known for, in their order: they are asked each by itself and never passed over with
 * «none of these». They answer nothing. From memory.
 *
 * @example risksOfBreed('pug') // ['windpipe', 'flat-face', …]
 */
export function risksOfBreed(written: string): ScreenItemId[] {
  const breed = breedOf(written);
  const flat = breed?.skull === 'flat';
  const usual: Partial<Record<ScreenItemId, boolean>> = {
    windpipe: breed?.throat !== null && breed !== null,
    'flat-face': flat || breed?.throat === 'breathing',
    'toy-throat': breed?.throat === 'toy',
    'eye-pressure': flat,
  };
  return SCREEN_ITEM_IDS.filter((id) => usual[id] === true);
}
