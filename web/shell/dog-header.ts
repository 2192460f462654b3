import { defineComponent, watchEffect } from 'vue';
import { useDogHere, type DogHere } from './dog-here.ts';

/** Says which dog a screen is of, once its records are here: the bar over the screen shows it. Draws nothing by itself. */
export const DogHeader = defineComponent(
  (props: DogHere) => {
    const bar = useDogHere();
    watchEffect(() => (bar.here = { ...props }));
    return () => null;
  },
  { name: 'DogHeader', props: { dog: Object, girths: Object, fits: Array, kennel: Object, dressing: Object } as never },
);
