import { describe, expect, it } from 'vitest';
import { spelled } from '../index.ts';

describe('spelling by units', () => {
  it('is American with inches and British with centimetres', () => {
    expect(spelled('Programmes of our own, in colour', 'in')).toBe('Programs of our own, in color');
    expect(spelled('Programmes of our own, in colour', 'cm')).toBe('Programmes of our own, in colour');
    expect(spelled('Centimetres and millimetres; the centre plate is grey, labelled.', 'in')).toBe(
      'Centimeters and millimeters; the center plate is gray, labeled.',
    );
  });
  it('leaves a breed its name', () => {
    expect(spelled('Italian Greyhound', 'in')).toBe('Italian Greyhound');
  });
});
