import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readDogLine } from './dog-line.ts';

const TODAY = '2026-11-30';
const read = (text: string) => readDogLine(text, TODAY);

describe('a dog in one line', () => {
  it('is a name, and what is said beside it', () => {
    expect(read('Bracken')).toEqual({ name: 'Bracken', breed: '', weightG: null, bornOn: null, pull: null, sex: null });
    expect(read('Bracken, Labrador Retriever, 2 years, 29 kg, drags')).toEqual({
      name: 'Bracken',
      breed: 'Labrador Retriever',
      weightG: 29_000,
      bornOn: '2024-11-30',
      pull: 'drags',
      sex: null,
    });
    expect(read('Little Fern border collie female 16 weeks 8.5kg')).toEqual({
      name: 'Little Fern',
      breed: 'Border Collie',
      weightG: 8500,
      bornOn: '2026-08-10',
      pull: null,
      sex: 'female',
    });
  });

  it('takes pounds, and a breed that the guide does not know as it is written', () => {
    expect(read('Rush, bog hound, 64 lb')).toMatchObject({ name: 'Rush', breed: 'bog hound', pull: null });
    // 1 lb is 453.59237 g by definition.
    expect(read('Rush, 64 lb').weightG).toBeCloseTo(64 * 453.59237, 6);
    expect(read('Moss, pulls')).toMatchObject({ name: 'Moss', breed: '', pull: 'pulls' });
    expect(read('Moss, walks well')).toMatchObject({ name: 'Moss', pull: 'settled' });
  });

  it('guesses no unit and takes no part of a name for a measure', () => {
    expect(read('Bracken 29')).toMatchObject({ name: 'Bracken 29', weightG: null, bornOn: null });
    expect(read('Mayfly')).toMatchObject({ name: 'Mayfly', bornOn: null });
    expect(read('')).toMatchObject({ name: '' });
  });

  it('finds the same whatever the order of what is beside the name', () => {
    const parts = ['Labrador Retriever', '29 kg', '2 years', 'drags', 'male'];
    fc.assert(
      fc.property(fc.shuffledSubarray(parts, { minLength: 5, maxLength: 5 }), (order) => {
        expect(read(`Bracken, ${order.join(', ')}`)).toEqual(read(`Bracken, ${parts.join(', ')}`));
      }),
    );
  });
});
