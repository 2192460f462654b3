import { FENCE_PUT_ON } from '@banter/core/collars/electronic';
import { FENCE_TRAITS } from '@banter/core/collars/fence';
import { electronicKind, profile } from '../electronic/electronic-kind.ts';

export const fenceKind = electronicKind('fence', {
  name: 'Location fence',
  noun: FENCE_TRAITS.noun,
  traits: FENCE_TRAITS,
  about: 'Marks a boundary by where the dog is; first worn without training.',
  caution: 'On lead until the dog turns back by itself; never led into the boundary. Off overnight, and never all day long.',
  putOn: FENCE_PUT_ON,
  usual: [{ name: 'Fence receiver', numbers: profile(180, 80, [15, 20, 25], { scaleMax: 10, modes: ['momentary', 'tone', 'vibration'] }) }],
});
