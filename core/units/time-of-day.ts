/**
 * A minute of the day as a clock shows it.
 *
 * @example timeOfDay(615) // '10:15'
 */
export const timeOfDay = (minute: number): string => `${String(Math.floor(minute / 60)).padStart(2, '0')}:${String(minute % 60).padStart(2, '0')}`;
