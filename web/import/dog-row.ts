import type { FittingDog } from '@banter/contract';
import {
  girthsThroughCoat,
  NECK_BUILDS,
  POSSIBLE_TAPE_MM,
  readLength,
  readMass,
  type Finger,
  type KennelLengthUnit,
  type KennelMassUnit,
  type TapeSite,
} from '@banter/core';
import { PULLS } from '@banter/core/collars/prong';
import type { DogColumn, KnownColumn } from './dog-columns.ts';

/** A row read as a dog, or why it cannot be, in one sentence naming the column. */
export type ReadRow = { name: string; dog: FittingDog } | { reason: string };

export type RowUnits = { length: KennelLengthUnit; mass: KennelMassUnit; finger: Finger };

const SITES: Partial<Record<DogColumn, TapeSite>> = {
  high: 'high',
  mid: 'mid',
  head: 'head',
  muzzle: 'muzzle',
  stop: 'stop',
  muzzleLength: 'muzzle-length',
  coat: 'coat-depth',
};
const WORDS: Record<DogColumn, string> = {
  name: 'name',
  high: 'high girth',
  mid: 'mid girth',
  head: 'head girth',
  muzzle: 'muzzle girth',
  stop: 'stop girth',
  muzzleLength: 'muzzle length',
  coat: 'coat depth',
  weight: 'weight',
  pull: 'pull',
  side: 'side',
  build: 'build',
  overCoat: 'over the coat',
};

class Unreadable extends Error {}

/** A word out of a list, by its beginning; empty takes what is usual. */
function oneOf<Word extends string>(text: string, words: readonly Word[], usual: Word, column: DogColumn): Word {
  const wanted = text.trim().toLowerCase();
  if (wanted === '') return usual;
  const found = words.find((word) => word === wanted || word.startsWith(wanted) || wanted.startsWith(word));
  if (!found) throw new Unreadable(`The ${WORDS[column]} «${text.trim()}» is none of: ${words.join(', ')}.`);
  return found;
}

/**
 * Reads a row of a table as a dog: lengths and weights as people write them, a bare number in the unit its column or units row
 * names, else in the kennel's. Nothing is guessed: what cannot be read, or cannot be, says so with its column.
 */
export function readDogRow(cells: readonly string[], columns: readonly KnownColumn[], unitsRow: readonly string[] | null, units: RowUnits): ReadRow {
  const at = new Map(columns.map((one) => [one.column, one]));
  const cell = (column: DogColumn) => {
    const found = at.get(column);
    return found ? (cells[found.index] ?? '').trim() : '';
  };
  const withUnit = (column: DogColumn, text: string) => {
    const found = at.get(column)!;
    const unit =
      found.unit ??
      unitsRow?.[found.index]
        ?.trim()
        .toLowerCase()
        .replace(/[()[\]]/g, '') ??
      '';
    return unit && !/[a-z"″”']/i.test(text) ? `${text} ${unit}` : text;
  };
  const length = (column: DogColumn): number | null => {
    const text = cell(column);
    if (text === '') return null;
    const possibleMm = POSSIBLE_TAPE_MM[SITES[column]!];
    const read = readLength(withUnit(column, text), units.length, { possibleMm });
    if (read.kind === 'read') return read.mm;
    if (read.kind === 'asked') throw new Unreadable(`The ${WORDS[column]} «${text}» makes no sense in ${units.length}; write its unit.`);
    if (read.kind === 'outside') throw new Unreadable(`The ${WORDS[column]} «${text}» cannot be: it lies between ${possibleMm[0]} and ${possibleMm[1]} mm.`);
    throw new Unreadable(`The ${WORDS[column]} «${text}» cannot be read as a length.`);
  };
  const mass = (): number | null => {
    const text = cell('weight');
    if (text === '') return null;
    const read = readMass(withUnit('weight', text), units.mass);
    if (read.kind === 'read') return read.grams / 1000;
    throw new Unreadable(read.kind === 'outside' ? `The weight «${text}» cannot be a dog’s.` : `The weight «${text}» cannot be read.`);
  };
  try {
    const tapedMm = length('high');
    if (tapedMm === null) throw new Unreadable('The high girth is missing.');
    const coatDepthMm = length('coat');
    const overCoat = /^(y|yes|true|1|over|x)$/i.test(cell('overCoat'));
    const dog: FittingDog = {
      weightKg: mass(),
      pull: oneOf(cell('pull'), PULLS, 'pulls', 'pull'),
      worksOn: oneOf(cell('side'), ['left', 'right'], 'left', 'side'),
      neckBuild: oneOf(cell('build'), NECK_BUILDS, 'average', 'build'),
      ageDays: null,
      tapedGirthMm: tapedMm,
      ...girthsThroughCoat(tapedMm, overCoat, coatDepthMm),
      midGirthMm: length('mid'),
      headGirthMm: length('head'),
      muzzleGirthMm: length('muzzle'),
      stopGirthMm: length('stop'),
      muzzleLengthMm: length('muzzleLength'),
      neckLengthMm: null,
      coatDepthMm,
      finger: units.finger,
    };
    return { name: cell('name') || 'unnamed', dog };
  } catch (error) {
    if (error instanceof Unreadable) return { reason: error.message };
    throw error;
  }
}
