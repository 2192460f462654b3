import { spokenSpan } from '../../units/speaker.ts';
import { TYPICAL_PITCH_MM, gaugeName, type ProngCollar } from './prong-collar.ts';
import type { ReasonWords } from '../../reasons/reason.ts';

/** What looks odd about a collar's own numbers. Asked about, never changed. All mm. */
export type CollarDoubt =
  | { code: 'pitch-of-another-gauge'; pitchMm: number; gaugeMm: number; typicalMm: number; likerMm: number; likerGauge: string }
  | { code: 'links-longer-than-collar'; linksMm: number; insideMm: number }
  | { code: 'closing-unusual'; closingMm: number; lowMm: number; highMm: number };

/** How much shorter a prong usually gets when pulled home: about an inch. From memory. */
const USUAL_CLOSING_MM: [number, number] = [12, 45];

export const COLLAR_DOUBT_WORDS: ReasonWords<CollarDoubt> = {
  'pitch-of-another-gauge': (r, speak) =>
    `One link adding ${speak.gap(r.pitchMm)} is unusual for ${gaugeName(r.gaugeMm)}, which adds about ${speak.gap(r.typicalMm)}; ${r.likerGauge} adds about ${speak.gap(r.likerMm)}. Measure across 5 links and divide.`,
  'links-longer-than-collar': (r, speak) =>
    `The links alone come to ${speak.girth(r.linksMm)}, more than the inside girth of ${speak.girth(r.insideMm)}. Was the centre plate counted, or the pitch taken too long?`,
  'closing-unusual': (r, speak) =>
    `Closing by ${speak.gap(r.closingMm)} is unusual; ${spokenSpan(speak.gap(r.lowMm), speak.gap(r.highMm))} is common. Pull the live ring home and measure the inside again.`,
};

/**
 * Doubts about a collar's measured numbers against what is typical. An empty list when nothing looks odd.
 * Source: common practice; typical pitches from memory.
 */
export function collarDoubts(collar: Omit<ProngCollar, 'id'>): CollarDoubt[] {
  const doubts: CollarDoubt[] = [];
  const off = (row: { pitchMm: number }) => Math.abs(row.pitchMm - collar.pitchMm);
  const own = TYPICAL_PITCH_MM.reduce((a, b) => (Math.abs(b.gaugeMm - collar.gaugeMm) < Math.abs(a.gaugeMm - collar.gaugeMm) ? b : a));
  const liker = TYPICAL_PITCH_MM.reduce((a, b) => (off(b) < off(a) ? b : a));
  if (off(own) > 4 && liker !== own) {
    doubts.push({
      code: 'pitch-of-another-gauge',
      pitchMm: collar.pitchMm,
      gaugeMm: collar.gaugeMm,
      typicalMm: own.pitchMm,
      likerMm: liker.pitchMm,
      likerGauge: liker.name,
    });
  }
  const linksMm = collar.links * collar.pitchMm;
  if (linksMm > collar.insideGirthMm) doubts.push({ code: 'links-longer-than-collar', linksMm, insideMm: collar.insideGirthMm });
  const [lowMm, highMm] = USUAL_CLOSING_MM;
  if (collar.closingMm < lowMm || collar.closingMm > highMm) {
    doubts.push({ code: 'closing-unusual', closingMm: collar.closingMm, lowMm, highMm });
  }
  return doubts;
}
