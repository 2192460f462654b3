import { collarKind, type DogRecord, type DressedWear, type NeckPage } from '@banter/contract';
import { clockWords, SKIN_GRADE_WORDS, SORE_WORDS, soreStep, WEAR_MARK_TONES, WEAR_MARK_WORDS, wordReason, type Speaker } from '@banter/core';
import type { TimelineEntry } from './timeline.ts';

const happened = { rules: null, coreVersion: '', taping: null, corrected: false };

/** Every look at a dog's skin, as the timeline tells it. */
export function skinEntries({ skinLooks }: Pick<DogRecord, 'skinLooks'>): TimelineEntry[] {
  return skinLooks.map((look): TimelineEntry => {
    const step = look.sore && soreStep({ under: look.under, grade: look.grade, ...look.sore });
    return {
      ...happened,
      id: look.id,
      at: look.at,
      by: look.personName,
      title: `Skin at ${clockWords(look.clock)}: ${SKIN_GRADE_WORDS[look.grade]}${look.photoId ? ', with a photo' : ''}.`,
      tone: look.grade === 0 ? 'good' : look.grade === 1 ? 'mind' : 'stop',
      word: 'Skin',
      reasons: step ? [{ code: step, text: `${SORE_WORDS[step].suspect} ${SORE_WORDS[step].does}` }] : [],
      note: look.note,
    };
  });
}

/** The wears that broke a rule of wearing, each with its marks; the others stand in the ledger under Neck, Wear. */
export function markedWears({ events }: Pick<NeckPage, 'events'>, wears: readonly DressedWear[], speak: Speaker): TimelineEntry[] {
  return wears.flatMap(({ wear, collar, marks }): TimelineEntry[] => {
    if (marks.length === 0) return [];
    const worst = marks.some(({ code }) => WEAR_MARK_TONES[code] === 'stop') ? 'stop' : 'mind';
    return [
      {
        ...happened,
        id: wear.id,
        at: new Date(wear.from).toISOString(),
        by: events.find(({ id }) => id === wear.id)?.personName ?? '',
        title: collar ? `Worn not as it should be: ${collarKind(collar.kind).name.toLowerCase()} ${collar.name}.` : 'Worn not as it should be.',
        tone: worst,
        word: marks.some(({ to }) => to === null) ? 'Wear, now' : 'Wear',
        reasons: marks.map((mark) => ({ code: `${mark.code} ${mark.from}`, text: wordReason(WEAR_MARK_WORDS, mark, speak).text })),
        note: '',
      },
    ];
  });
}
