import type { KennelLengthUnit } from './length-units.ts';
import type { KennelMassUnit } from './mass-units.ts';
import { exactLength, speakGap, speakGirth } from './speak-length.ts';
import { speakMass } from './speak-mass.ts';

/** How sentences say their numbers: girths to the bench's step, lengths as taped, small gaps (signed) and weights. */
export type Speaker = { girth: (mm: number) => string; taped: (mm: number) => string; gap: (mm: number) => string; weight: (kg: number) => string };

/** Speaks as the kennel's bench does: girths to 1/8 in or 0.5 cm, gaps to 1/16 in or 1 mm. */
export function benchSpeaker(length: KennelLengthUnit, mass: KennelMassUnit): Speaker {
  return {
    girth: (mm) => speakGirth(mm, length),
    taped: (mm) => exactLength(mm, length),
    gap: (mm) => speakGap(mm, length),
    weight: (kg) => speakMass(kg * 1000, mass),
  };
}

const tenth = (value: number, unit: string) => {
  const rounded = Math.round(value * 10) / 10;
  return `${String(rounded === 0 ? 0 : rounded).replace('-', '−')} ${unit}`;
};

/** Speaks plain millimetres and kilograms to a tenth, as the calculation contract does. */
export const contractSpeaker: Speaker = {
  girth: (mm) => tenth(mm, 'mm'),
  taped: (mm) => tenth(mm, 'mm'),
  gap: (mm) => tenth(mm, 'mm'),
  weight: (kg) => tenth(kg, 'kg'),
};
