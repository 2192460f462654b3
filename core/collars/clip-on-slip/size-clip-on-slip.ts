import { spokenSpan } from '../../units/speaker.ts';
import { MM_PER_UNIT } from '../../units/length-units.ts';
import type { ReasonWords } from '../../reasons/reason.ts';

/** What a clip-on slip is for: training on its own, or the backup of a prong. Common practice. */
export const CLIP_ON_USES = ['training', 'backup'] as const;
export type ClipOnUse = (typeof CLIP_ON_USES)[number];

/** A backup is longer than the neck by 3 to 4 inches, so that it never tightens unless the prong is off; mm. Common practice. */
export const BACKUP_EXTRA_MM: readonly [number, number] = [3 * MM_PER_UNIT.in, 4 * MM_PER_UNIT.in];

export type ClipOnReason =
  | { code: 'bought-at-the-girth'; girthMm: number }
  | { code: 'longer-for-backup'; girthMm: number; lowMm: number; highMm: number; lowExtraMm: number; highExtraMm: number };

export const CLIP_ON_REASON_WORDS: ReasonWords<ClipOnReason> = {
  'bought-at-the-girth': (r, speak) => `A clip-on slip for training is bought at the high girth exactly, ${speak.taped(r.girthMm)} to the bottom of the clip.`,
  'longer-for-backup': (r, speak) =>
    `As a backup it is ${spokenSpan(speak.gap(r.lowExtraMm), speak.gap(r.highExtraMm))} longer than the neck of ${speak.taped(r.girthMm)}: ${spokenSpan(speak.taped(r.lowMm), speak.taped(r.highMm))}, so that it never tightens while the collar above holds.`,
};

/**
 * The length of a clip-on slip, measured to the bottom of the clip, in mm: for training the high girth exactly, as a backup
 * 3 to 4 inches more. Common practice.
 *
 * @example sizeClipOnSlip(520, 'backup') // 596.2 to 621.6
 */
export function sizeClipOnSlip(girthMm: number, use: ClipOnUse): { lengthMinMm: number; lengthMaxMm: number; reasons: ClipOnReason[] } {
  if (use === 'training') return { lengthMinMm: girthMm, lengthMaxMm: girthMm, reasons: [{ code: 'bought-at-the-girth', girthMm }] };
  const [lowExtraMm, highExtraMm] = BACKUP_EXTRA_MM;
  const lengthMinMm = girthMm + lowExtraMm;
  const lengthMaxMm = girthMm + highExtraMm;
  return { lengthMinMm, lengthMaxMm, reasons: [{ code: 'longer-for-backup', girthMm, lowMm: lengthMinMm, highMm: lengthMaxMm, lowExtraMm, highExtraMm }] };
}
