/** How sure a number is, and which measures are worth asking for. */
export { answersWithin, measuresAsked, type Moved, type UnsureMeasure } from './measures-asked.ts';
export { guessedGirth, insideOfCollar, type SureFrom, type SureNumber } from './sure-number.ts';
