/** What is drawn on a handover: the neck with its stack, ring and side, the loop of a slip, the clock of the contacts. */
export const PAPER_DRAWINGS = ['neck', 'side', 'letter', 'clock'] as const;
export type PaperDrawing = (typeof PAPER_DRAWINGS)[number];
