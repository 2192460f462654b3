import { breedOf, readMass, type FittingDog } from '@banter/core';
import { bornFromAge } from '../parts/age.ts';

/** What one line says of a dog. What it does not say is null. `breed` as the guide has it, or as written after a comma. */
export type DogLine = {
  name: string;
  breed: string;
  weightG: number | null;
  bornOn: string | null;
  pull: FittingDog['pull'] | null;
  sex: 'female' | 'male' | null;
};

const WEIGHT = /(\d+(?:[.,]\d+)?)\s*(kg|kilos?|lbs?|pounds?)\b/i;
const AGE = /(\d{1,3}(?:[.,]\d)?)\s*(weeks?|wks?|w|months?|mo|m|years?|yrs?|y)(?:\s+old)?\b/i;
const SEX = /\b(female|bitch|male)\b/i;
/** As a handler says how a dog goes on the leash; the strongest word first. */
const PULLS: readonly (readonly [RegExp, FittingDog['pull']])[] = [
  [/\b(drags|pulls hard)\b/i, 'drags'],
  [/\bpulls\b/i, 'pulls'],
  [/\b(settled|walks well|does not pull)\b/i, 'settled'],
];

/** Takes out what the pattern finds; the rest stays, with a gap. */
function taken(text: string, pattern: RegExp): [found: RegExpExecArray | null, rest: string] {
  const found = pattern.exec(text);
  return [found, found ? `${text.slice(0, found.index)} ${text.slice(found.index + found[0].length)}` : text];
}
const tidy = (text: string) => text.replace(/\s+/g, ' ').trim();

/** Words that end in a breed of the guide: `Bracken Labrador Retriever`. The longest breed counts; the first word is always the name. */
function nameThenBreed(words: readonly string[]): { name: string; breed: string } {
  for (let first = 1; first < words.length; first += 1) {
    const breed = breedOf(words.slice(first).join(' '));
    if (breed) return { name: words.slice(0, first).join(' '), breed: breed.name };
  }
  return { name: words.join(' '), breed: '' };
}

/**
 * Reads what somebody says of a dog in one line: `Bracken, Labrador Retriever, 2 y, 29 kg, drags`. Weights need their unit; `today` as
 * `2026-11-30`. Nothing is guessed: what is not said is null.
 */
export function readDogLine(text: string, today: string): DogLine {
  const [weight, withoutWeight] = taken(text, WEIGHT);
  const [age, withoutAge] = taken(withoutWeight, AGE);
  const [sex, withoutSex] = taken(withoutAge, SEX);
  const pulls = PULLS.map(([pattern, pull]) => ({ pull, found: taken(withoutSex, pattern) })).find(({ found }) => found[0]);
  const [first = '', ...others] = (pulls ? pulls.found[1] : withoutSex).split(',').map(tidy);
  const beside = others.filter(Boolean);
  const known = beside.map((part) => breedOf(part)).find((breed) => breed !== null);
  const spoken = nameThenBreed(first.split(' ').filter(Boolean));
  const mass = weight ? readMass(`${weight[1]} ${/^k/i.test(weight[2]!) ? 'kg' : 'lb'}`, 'kg') : null;
  return {
    // With a breed after a comma all before it is the name.
    name: beside.length > 0 && (known || spoken.breed === '') ? first : spoken.name,
    breed: known?.name ?? (spoken.breed || beside[0] || ''),
    weightG: mass?.kind === 'read' ? mass.grams : null,
    bornOn: age ? bornFromAge(`${age[1]} ${age[2]}`, today) : null,
    pull: pulls?.pull ?? null,
    sex: sex ? (/^male/i.test(sex[1]!) ? 'male' : 'female') : null,
  };
}
