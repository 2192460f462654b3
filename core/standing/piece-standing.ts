/** How a piece of gear was found last, or was said to be. Common practice. */
export const CONDITIONS = ['sound', 'mend', 'worn'] as const;
export type Condition = (typeof CONDITIONS)[number];

/** What stands against a piece of gear now: nothing, it is to be mended, it is worn out, or it has been scrapped. */
export const PIECE_STANDINGS = [...CONDITIONS, 'scrapped'] as const;
export type PieceStanding = (typeof PIECE_STANDINGS)[number];

/** How a piece stands, by its condition and whether it has been scrapped; whatever is not sound goes on no dog. Common practice. */
export const pieceStanding = ({ condition, scrapped }: { condition: Condition; scrapped: boolean }): PieceStanding => (scrapped ? 'scrapped' : condition);

/** How each standing is called: by itself, and said of a piece. */
export const PIECE_WORDS: Record<PieceStanding, { word: string; says: string }> = {
  sound: { word: 'Sound', says: 'is sound' },
  mend: { word: 'To mend', says: 'is to be mended' },
  worn: { word: 'Worn out', says: 'is worn out' },
  scrapped: { word: 'Scrapped', says: 'is scrapped' },
};

/**
 * The day from which a piece counts as looked at, ISO dates: its last inspection, or a later day on which it was measured and somebody
 * said that it is sound. Null: nobody has looked yet. Common practice: who measures a collar has every link of it in the hand.
 *
 * @example lookedAtOn({ inspectedOn: '2026-03-01', measuredOn: '2026-03-08', saidSound: true }) // '2026-03-08'
 */
export const lookedAtOn = ({
  inspectedOn,
  measuredOn,
  saidSound,
}: {
  inspectedOn: string | null;
  measuredOn: string | null;
  saidSound: boolean;
}): string | null => (saidSound && measuredOn !== null && (inspectedOn === null || measuredOn > inspectedOn) ? measuredOn : inspectedOn);
