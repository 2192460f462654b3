import type { DrawnCollar } from '@banter/contract';

/** How much room the nose loop takes above the ears' edge, in mm. */
export const headroomMm = ({ setting }: DrawnCollar): number => (setting as { noseMm: number }).noseMm / Math.PI + 30;
