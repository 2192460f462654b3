import type { SkinLook as LookOfCore } from '@banter/core';
import type { SkinLook } from '../records/skin-look.ts';

/** Kept looks at the skin as the standing takes them: an instant as ISO text or as a date. */
export const skinLooksOf = (looks: readonly (Pick<SkinLook, 'clock' | 'grade'> & { at: string | Date })[]): LookOfCore[] =>
  looks.map(({ clock, grade, at }) => ({ clock, grade, at: new Date(at).getTime() }));
