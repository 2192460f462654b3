import type { NeckBuild } from '../measure/neck-build.ts';
import { BREED_TABLE, CROSS_TABLE, EARS_FOLDED, EARS_UP } from './breed-table.ts';

export type BackOutClass = 'easily' | 'usual' | 'rarely';
export type Skull = 'long' | 'medium' | 'flat';
export type CoatClass = 'smooth' | 'short' | 'double' | 'long' | 'curly' | 'wire' | 'hairless';

/** How ears stand: hanging, up, or folded back or over. */
export type EarSet = 'drop' | 'prick' | 'folded';

/** What is usual in a breed or cross: adult weights in kg, neck, head, coat and throat. A guess, never a measurement. From memory. */
export type Breed = {
  name: string;
  cross: boolean;
  bitchKg: [number, number];
  dogKg: [number, number];
  neckBuild: NeckBuild;
  backOut: BackOutClass;
  skull: Skull;
  coat: CoatClass;
  ears: EarSet;
  throat: 'toy' | 'breathing' | null;
  source: 'from memory';
};

const BUILDS: Record<string, NeckBuild> = { s: 'slender', a: 'average', h: 'heavy' };
const BACK_OUT: Record<string, BackOutClass> = { e: 'easily', u: 'usual', r: 'rarely' };
const SKULLS: Record<string, Skull> = { l: 'long', m: 'medium', f: 'flat' };
const UP = new Set(EARS_UP.split('|'));
const FOLDED = new Set(EARS_FOLDED.split('|'));
const range = (text: string): [number, number] => text.split('-').map(Number) as [number, number];

function read(table: string, cross: boolean): Breed[] {
  return table
    .trim()
    .split('\n')
    .map((line) => {
      const [name, bitch, dog, build, back, skull, coat, throat] = line.split('|') as [string, string, string, string, string, string, CoatClass, string];
      return {
        name,
        cross,
        bitchKg: range(bitch),
        dogKg: range(dog),
        neckBuild: BUILDS[build]!,
        backOut: BACK_OUT[back]!,
        skull: SKULLS[skull]!,
        coat,
        ears: UP.has(name) ? 'prick' : FOLDED.has(name) ? 'folded' : 'drop',
        throat: throat === 't' ? 'toy' : throat === 'b' ? 'breathing' : null,
        source: 'from memory',
      };
    });
}

/** The breed guide, breeds by name and then the common crosses. From memory, each row says so. */
export const BREEDS: readonly Breed[] = [...read(BREED_TABLE, false), ...read(CROSS_TABLE, true)];

const plain = (text: string) =>
  text
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/\bdog\b/g, '')
    .replace(/[^a-z]+/g, ' ')
    .trim();
const BY_NAME = new Map(BREEDS.map((breed) => [plain(breed.name), breed]));

/**
 * The row that a written breed means, whatever its capitals, accents and «dog» behind it; null when it is not in the guide.
 *
 * @example breedOf('german shepherd dog')?.name // 'German Shepherd'
 */
export function breedOf(text: string): Breed | null {
  return BY_NAME.get(plain(text)) ?? null;
}

/** An adult weight to reckon with before the dog is weighed, in kg: the middle of its sex's range, or of both. A marked guess. */
export function guessedWeightKg({ bitchKg, dogKg }: Breed, sex: 'female' | 'male' | 'unknown'): number {
  const [low, high] = sex === 'female' ? bitchKg : sex === 'male' ? dogKg : [bitchKg[0], dogKg[1]];
  return Math.round(((low + high) / 2) * 10) / 10;
}

/** How far an adult may lie outside its breed's range before its weight is asked about. From memory. */
const WEIGHT_SPAN: [number, number] = [0.65, 1.5];

/** Whether an adult's weight is so unusual for its breed that it is asked about, never refused. From memory. */
export function unusualWeight(breed: Breed, sex: 'female' | 'male' | 'unknown', weightKg: number): boolean {
  const [low, high] = sex === 'female' ? breed.bitchKg : sex === 'male' ? breed.dogKg : [breed.bitchKg[0], breed.dogKg[1]];
  return weightKg < low * WEIGHT_SPAN[0] || weightKg > high * WEIGHT_SPAN[1];
}
