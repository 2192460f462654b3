/** Units, counts and words of a sentence. */
export { MM_PER_UNIT, type KennelLengthUnit, type LengthUnit } from './length-units.ts';
export { GRAMS_PER_UNIT, type KennelMassUnit, type MassUnit } from './mass-units.ts';
export { type AmountProblem } from './number-words.ts';
export { readLength, type LengthExpectation, type ReadLength } from './read-length.ts';
export { DOG_GRAMS, readMass, type ReadMass } from './read-mass.ts';
export { exactLength, speakGap, speakGirth, typedLength } from './speak-length.ts';
export { exactMass, speakMass } from './speak-mass.ts';
export { benchSpeaker, contractSpeaker, spokenSpan, type Speaker } from './speaker.ts';
export { countOf, countWord, listWords } from './count-words.ts';
export { speakHours } from './speak-hours.ts';
export { percent } from './percent.ts';
export { above, atLeast, atMost, below, isWhole } from './tolerance.ts';
export { capital, labelled, small, unstopped } from './sentence-case.ts';
export { DAY_MS, HOUR_MS, MINUTE_MS } from './durations.ts';
export { timeOfDay } from './time-of-day.ts';
