import type { RouteLocationNormalizedLoaded } from 'vue-router';

type Where = { name?: RouteLocationNormalizedLoaded['name'] | null; params: RouteLocationNormalizedLoaded['params'] };
/** A screen of a dog: what it is called, the key that goes there, its address, and whether it is where somebody is. */
export type DogScreen = { label: string; key: string | null; to: (dogId: string) => string; isAt: (where: Where) => boolean };
/** A part of the work with a dog; `first` is the screen that it opens with. */
export type DogPlace = { label: string; does: string; first: string; screens: readonly DogScreen[] };

const screen = (label: string, key: string, path: string, ...names: string[]): DogScreen => ({
  label,
  key,
  to: (dogId) => `/dogs/${dogId}${path}`,
  isAt: ({ name }) => names.includes(String(name)),
});
const neckPart = (label: string, key: string | null, part: string): DogScreen => ({
  label,
  key,
  to: (dogId) => `/dogs/${dogId}/neck${part === '' ? '' : `/${part}`}`,
  isAt: ({ name, params }) => name === 'neck' && String(params.part ?? '') === part,
});

/** The places that the work with a dog has, in its order: measure and fit, wear, train, keep. */
export const DOG_PLACES: readonly DogPlace[] = [
  {
    label: 'Fit',
    does: 'Measure and fit',
    first: 'Bench',
    screens: [
      screen('Screen', 's', '/screen', 'screen'),
      screen('Tape', 't', '/tape', 'tape'),
      screen('Bench', 'b', '/bench', 'bench', 'bench-kind'),
      screen('Check', 'c', '/check', 'check'),
    ],
  },
  {
    label: 'Wear',
    does: 'What it wears',
    first: 'Stack',
    screens: [
      neckPart('Stack', 'n', ''),
      neckPart('Rig', null, 'rig'),
      neckPart('Contacts', null, 'contacts'),
      neckPart('Skin', null, 'skin'),
      neckPart('Worn', null, 'wear'),
      screen('Door', 'g', '/door', 'door'),
    ],
  },
  {
    label: 'Train',
    does: 'Train',
    first: 'Programme',
    screens: [screen('Programme', 'p', '/programme', 'programme'), screen('Levels', 'v', '/levels', 'levels')],
  },
  {
    label: 'Keep',
    does: 'Its record',
    first: 'Record',
    screens: [screen('Record', 'r', '', 'dog'), screen('Growth', 'w', '/growth', 'growth'), screen('Handover', 'o', '/handover', 'handover')],
  },
];

/** The place that a route is in; null: no screen of a dog. */
export const placeAt = (where: Where): DogPlace | null => DOG_PLACES.find(({ screens }) => screens.some(({ isAt }) => isAt(where))) ?? null;
/** The screen that a place opens with. */
export const firstOf = ({ first, screens }: DogPlace): DogScreen => screens.find(({ label }) => label === first)!;
