import { exactLength, type KennelLengthUnit, type ReadLength, type ReadMass, speakMass, type AmountProblem, type KennelMassUnit } from '@banter/core';

const PROBLEM: Record<AmountProblem, string> = {
  empty: '',
  'not-a-number': 'This is not a measure. Write it as 15 3/8, 15.375 in or 39.1 cm.',
  'zero-denominator': 'A fraction cannot have 0 below the line.',
  'unknown-unit': 'This unit is not known here: use in, ft, cm or mm.',
  negative: 'A measure cannot be below zero.',
};

/** What is wrong with a typed length, in one sentence; empty when nothing is, or nothing was typed. */
export function lengthFault(read: ReadLength, unit: KennelLengthUnit): string {
  if (read.kind === 'problem') return PROBLEM[read.problem];
  if (read.kind === 'outside') {
    return `${exactLength(read.mm, unit)} cannot be: this is between ${exactLength(read.lowMm, unit)} and ${exactLength(read.highMm, unit)}.`;
  }
  return '';
}

/** What is wrong with a typed weight, in one sentence. */
export function massFault(read: ReadMass, unit: KennelMassUnit): string {
  if (read.kind === 'outside') return `A dog weighs between ${read.lowGrams} g and ${speakMass(read.highGrams, unit)}.`;
  if (read.kind === 'read') return '';
  return read.problem === 'unknown-unit'
    ? 'This unit is not known here: use kg, g, lb or oz.'
    : PROBLEM[read.problem].replace('15 3/8, 15.375 in or 39.1 cm', '28.5, 28.5 kg or 62 lb');
}
