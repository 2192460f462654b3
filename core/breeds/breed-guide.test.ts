import { createRequire } from 'node:module';
import { describe, expect, it } from 'vitest';
import { EARS_FOLDED, EARS_UP } from './breed-table.ts';
import { BREEDS, breedOf, guessedWeightKg, unusualWeight } from '../index.ts';

/** A general-purpose open list of breeds from the package registry, used here and nowhere in the product. */
const listed = new Set((createRequire(import.meta.url)('dog-breeds') as { all: { name: string }[] }).all.map(({ name }) => name));

describe('the breed guide', () => {
  it('has at least 120 breeds and common crosses, each once', () => {
    expect(BREEDS.filter(({ cross }) => !cross).length).toBeGreaterThanOrEqual(120);
    expect(BREEDS.filter(({ cross }) => cross).length).toBeGreaterThanOrEqual(10);
    expect(new Set(BREEDS.map(({ name }) => name)).size).toBe(BREEDS.length);
  });

  it('names only breeds that an open list knows (varieties by size under their breed)', () => {
    const unknown = BREEDS.filter(({ cross }) => !cross)
      .map(({ name }) => name.replace(/ \(.*\)$/, ''))
      .filter((name) => !listed.has(name));
    expect(unknown).toEqual([]);
  });

  it('is whole in every row: weights that can be, the lighter first, dogs not lighter than bitches', () => {
    for (const breed of BREEDS) {
      for (const [low, high] of [breed.bitchKg, breed.dogKg]) {
        expect([breed.name, low > 1 && low <= high && high <= 110]).toEqual([breed.name, true]);
      }
      expect([breed.name, breed.dogKg[1] >= breed.bitchKg[1]]).toEqual([breed.name, true]);
      for (const field of ['neckBuild', 'backOut', 'skull', 'coat', 'source'] as const)
        expect([breed.name, breed[field]]).toEqual([breed.name, expect.any(String)]);
    }
  });

  it('knows how ears stand, each breed named once and in the guide (common practice)', () => {
    for (const name of ['German Shepherd', 'Siberian Husky', 'French Bulldog', 'Papillon']) expect(breedOf(name)?.ears).toBe('prick');
    for (const name of ['Whippet', 'Greyhound', 'Rough Collie']) expect(breedOf(name)?.ears).toBe('folded');
    for (const name of ['Labrador Retriever', 'Beagle', 'Bloodhound']) expect(breedOf(name)?.ears).toBe('drop');
    const named = [...EARS_UP.split('|'), ...EARS_FOLDED.split('|')];
    expect(new Set(named).size).toBe(named.length);
    expect(named.filter((name) => breedOf(name)?.name !== name)).toEqual([]);
  });

  it('knows what the trade knows: sighthounds back out, flat faces are flat, toys have toy throats (common practice)', () => {
    for (const name of ['Greyhound', 'Whippet', 'Saluki']) expect(breedOf(name)).toMatchObject({ neckBuild: 'slender', backOut: 'easily', skull: 'long' });
    for (const name of ['Pug', 'French Bulldog', 'Pekingese']) expect(breedOf(name)).toMatchObject({ skull: 'flat', throat: 'breathing' });
    for (const name of ['Chihuahua', 'Yorkshire Terrier']) expect(breedOf(name)?.throat).toBe('toy');
    expect(breedOf('Bullmastiff')?.neckBuild).toBe('heavy');
  });

  it('finds a breed however it is written, and nothing for other words', () => {
    expect(breedOf(' german shepherd DOG')?.name).toBe('German Shepherd');
    expect(breedOf('bichon frise')?.name).toBe('Bichon Frisé');
    expect(breedOf('a brown one')).toBeNull();
    expect(breedOf('')).toBeNull();
  });

  it('guesses a weight by sex, and asks about one far outside', () => {
    const labrador = breedOf('Labrador Retriever')!;
    expect(guessedWeightKg(labrador, 'female')).toBeLessThan(guessedWeightKg(labrador, 'male'));
    expect(unusualWeight(labrador, 'male', 33)).toBe(false);
    expect(unusualWeight(labrador, 'male', 62)).toBe(true);
    expect(unusualWeight(labrador, 'female', 12)).toBe(true);
  });
});
