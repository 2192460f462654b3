/**
 * Joins what takes something back to what was told under an alias, as `taken`: what stands is where `taken.id IS NULL`. By its own key,
 * which is named: most happenings take nothing back, so that the database believes it of little use and reads whatever a kennel was ever told.
 */
export const joinTakenBack = (alias: string): string =>
  `LEFT JOIN happenings taken FORCE INDEX (takenBack) ON taken.kennelId = ${alias}.kennelId AND taken.eventId = ${alias}.id`;
