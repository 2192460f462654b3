import { MM_PER_UNIT, type KennelLengthUnit } from './length-units.ts';
import { GRAMS_PER_UNIT, type KennelMassUnit } from './mass-units.ts';
import { exactLength, speakGap, speakGirth } from './speak-length.ts';
import { speakMass } from './speak-mass.ts';

/**
 * How sentences say their numbers, in the units of whoever reads them: girths to the bench's step, lengths as taped, small gaps
 * (signed), what is finer than any gap, a dog's weight, the mass of a piece of gear, a leash's force, and pressure on an area.
 */
export type Speaker = {
  girth: (mm: number) => string;
  taped: (mm: number) => string;
  gap: (mm: number) => string;
  fine: (mm: number) => string;
  weight: (kg: number) => string;
  mass: (g: number) => string;
  force: (n: number) => string;
  pressure: (kPa: number) => string;
  area: (mm2: number) => string;
};

/** Newtons in a pound of force (0.45359237 kg × 9.80665 m/s²) and kilopascals in a pound a square inch. Source: NIST SP 811, appendix B. */
const NEWTONS_PER_POUND = 4.4482216152605;
const KPA_PER_PSI = 6.894757293168;

/** To a tenth below ten, whole above. */
const short = (value: number) => (Math.abs(value) < 10 ? value.toFixed(1) : String(Math.round(value))).replace('-', '−');

/** Speaks as the kennel's bench does: girths to 1/8 in or 0.5 cm, gaps to 1/16 in or 1 mm; ounces, pounds of force and psi go with pounds and inches. */
export function benchSpeaker(length: KennelLengthUnit, mass: KennelMassUnit): Speaker {
  return {
    girth: (mm) => speakGirth(mm, length),
    taped: (mm) => exactLength(mm, length),
    gap: (mm) => speakGap(mm, length),
    fine: (mm) => (length === 'in' ? `${(mm / MM_PER_UNIT.in).toFixed(2)} in` : `${mm.toFixed(1)} mm`),
    weight: (kg) => speakMass(kg * 1000, mass),
    mass: (g) => (mass === 'lb' ? `${short((g * 16) / GRAMS_PER_UNIT.lb)} oz` : `${Math.round(g)} g`),
    force: (n) => (mass === 'lb' ? `${short(n / NEWTONS_PER_POUND)} lb` : `${short(n)} N`),
    pressure: (kPa) => (length === 'in' ? `${short(kPa / KPA_PER_PSI)} psi` : `${short(kPa)} kPa`),
    area: (mm2) => (length === 'in' ? `${(mm2 / MM_PER_UNIT.in ** 2).toFixed(3)} in²` : `${short(mm2)} mm²`),
  };
}

/** Two amounts as one span, `1 to 2 in`; one amount where both are said alike. */
export function spokenSpan(low: string, high: string): string {
  if (low === high) return low;
  const [, lowNumber, lowUnit] = /^(.*\S) (\S+)$/.exec(low) ?? [];
  return lowUnit !== undefined && high.endsWith(` ${lowUnit}`) ? `${lowNumber} to ${high}` : `${low} to ${high}`;
}

const tenth = (value: number, unit: string) => {
  const rounded = Math.round(value * 10) / 10;
  return `${String(rounded === 0 ? 0 : rounded).replace('-', '−')} ${unit}`;
};

/** Speaks plain millimetres, kilograms, newtons and kilopascals to a tenth, as the calculation contract does. */
export const contractSpeaker: Speaker = {
  girth: (mm) => tenth(mm, 'mm'),
  taped: (mm) => tenth(mm, 'mm'),
  gap: (mm) => tenth(mm, 'mm'),
  fine: (mm) => tenth(mm, 'mm'),
  weight: (kg) => tenth(kg, 'kg'),
  mass: (g) => tenth(g, 'g'),
  force: (n) => tenth(n, 'N'),
  pressure: (kPa) => tenth(kPa, 'kPa'),
  area: (mm2) => tenth(mm2, 'mm²'),
};
