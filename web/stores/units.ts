import { z } from '@banter/contract';
import { benchSpeaker, exactLength, exactMass, speakGap, speakGirth, speakMass, typedLength, type KennelLengthUnit, type KennelMassUnit } from '@banter/core';
import { defineStore } from 'pinia';
import { computed, hasInjectionContext, inject, type InjectionKey } from 'vue';
import { useSession } from './session.ts';
import { stored } from './stored.ts';

const OnTheSpot = z.object({ length: z.enum(['in', 'cm']).nullable(), mass: z.enum(['lb', 'kg']).nullable() });

const saying = (length: KennelLengthUnit, mass: KennelMassUnit) => ({
  girth: (mm: number) => speakGirth(mm, length),
  exact: (mm: number) => exactLength(mm, length),
  gap: (mm: number) => speakGap(mm, length),
  typed: (mm: number) => typedLength(mm, length),
  weight: (grams: number) => speakMass(grams, mass),
  exactWeight: (grams: number) => exactMass(grams, mass),
});

/** Units that a part of the page has for itself, whatever the screen is switched to: an owner's pages are in the owner's. */
export type GivenUnits = ReturnType<typeof saying> & {
  length: KennelLengthUnit;
  mass: KennelMassUnit;
  speak: ReturnType<typeof benchSpeaker>;
  switchOver: () => void;
};
export const GIVEN_UNITS: InjectionKey<GivenUnits> = Symbol('given units');
export const givenUnits = (length: KennelLengthUnit, mass: KennelMassUnit): GivenUnits => ({
  ...saying(length, mass),
  length,
  mass,
  speak: benchSpeaker(length, mass),
  switchOver: () => {},
});

/** The units of this part of the page: those it was given, else the screen's. */
export const useUnits = (): GivenUnits => (hasInjectionContext() ? inject(GIVEN_UNITS, null) : null) ?? useScreenUnits();

/** The units on the screen: the kennel's, unless somebody has switched them on this device. */
const useScreenUnits = defineStore('units', () => {
  const session = useSession();
  const onTheSpot = stored('banter.units', OnTheSpot, { length: null, mass: null });
  const length = computed<KennelLengthUnit>(() => onTheSpot.value.length ?? session.kennel?.lengthUnit ?? 'cm');
  const mass = computed<KennelMassUnit>(() => onTheSpot.value.mass ?? session.kennel?.massUnit ?? 'kg');
  return {
    length,
    mass,
    speak: computed(() => benchSpeaker(length.value, mass.value)),
    girth: (mm: number) => speakGirth(mm, length.value),
    exact: (mm: number) => exactLength(mm, length.value),
    gap: (mm: number) => speakGap(mm, length.value),
    typed: (mm: number) => typedLength(mm, length.value),
    weight: (grams: number) => speakMass(grams, mass.value),
    exactWeight: (grams: number) => exactMass(grams, mass.value),
    /** Inches and pounds together, or centimetres and kilograms. */
    switchOver() {
      const toInches = length.value === 'cm';
      onTheSpot.value = { length: toInches ? 'in' : 'cm', mass: toInches ? 'lb' : 'kg' };
    },
  };
});
