import { TYPICAL_PITCH_MM } from '@banter/core/collars/prong';
import type { NumberField } from '../collar-kind.ts';
import type { ProngNumbers } from './prong-numbers.ts';

/** A link is measured across so many in a row, and divided: a ruler errs by a fifth. Common practice. */
const PITCHES_MEASURED = 5;
const rounded = (mm: number) => Math.round(mm * 100) / 100;

/** What a ruler reads of a prong: three numbers make every fit exact. Common practice («measure your collar»). */
export const PRONG_FIELDS: readonly NumberField[] = [
  { id: 'gauge', label: 'Wire', as: 'choice', options: TYPICAL_PITCH_MM.map(({ gaugeMm, name }) => ({ value: String(gaugeMm), label: name })) },
  { id: 'links', label: 'Removable links in it', hint: 'The centre plate is not counted.', as: 'count' },
  {
    id: 'inside',
    label: 'Inside, at rest',
    hint: 'Close it to a circle; string round the inside of the tips.',
    as: 'length',
    possibleMm: [60, 1500],
    likelyMm: [150, 900],
    drawn: true,
  },
  {
    id: 'acrossFive',
    label: '5 links in a row',
    hint: 'From one tip to the same tip 5 links on.',
    as: 'length',
    possibleMm: [25, 500],
    likelyMm: [60, 300],
    drawn: true,
    tells: ({ acrossFive }, speak) => (acrossFive == null ? null : `One link: ${speak.fine(acrossFive / PITCHES_MEASURED)}`),
  },
  {
    id: 'closed',
    label: 'Inside, pulled home',
    hint: 'Pull the live ring as far as it goes, measure again.',
    as: 'length',
    possibleMm: [30, 1500],
    likelyMm: [120, 900],
    drawn: true,
    tells: ({ inside, closed }, speak) => (inside == null || closed == null || closed > inside ? null : `It closes by ${speak.gap(inside - closed)}`),
  },
  {
    id: 'quickRelease',
    label: 'Closes with a quick-release buckle',
    hint: 'Else it is opened and closed at a link.',
    as: 'yes-no',
  },
];

/** From what a ruler reads to the collar's numbers, and back. */
export const PRONG_RULER = {
  numbersOf: ({ gauge, links, inside, acrossFive, closed, quickRelease }: Record<string, unknown>) => ({
    gaugeMm: Number(gauge),
    links,
    insideGirthMm: rounded(Number(inside)),
    pitchMm: rounded(Number(acrossFive) / PITCHES_MEASURED),
    // Pulled home there is always something left.
    closingMm: Number(closed) > 0 ? rounded(Number(inside) - Number(closed)) : NaN,
    quickRelease: quickRelease === true,
  }),
  readOf: ({ gaugeMm, links, insideGirthMm, pitchMm, closingMm, quickRelease }: ProngNumbers) => ({
    gauge: String(gaugeMm),
    links,
    inside: insideGirthMm,
    acrossFive: rounded(pitchMm * PITCHES_MEASURED),
    closed: rounded(insideGirthMm - closingMm),
    quickRelease: quickRelease === true,
  }),
  fieldOf: { gaugeMm: 'gauge', insideGirthMm: 'inside', pitchMm: 'acrossFive', closingMm: 'closed' },
} as const;
