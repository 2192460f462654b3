import type { HappeningName, NewHappening } from '../happenings/happening.ts';
import type { TodayCode, TodayItem } from '../records/today-page.ts';
import type { Made, MadePath } from '../standing/laid-over.ts';

/**
 * What is done in the yard about each thing that is due: what ends it whatever was found (`ends`), and what bears on it, where the answer says whether
 * anything is left to do (`told`, `made`). Nothing where it is done at the desk. Common practice.
 */
const ANSWERS: Record<TodayCode, { ends?: readonly HappeningName[]; told?: readonly HappeningName[]; made?: readonly MadePath[] }> = {
  'worn-wrong': { ends: ['taken-off'], told: ['moved', 'state'] },
  'skin-off': { made: ['skin-looks'] },
  mend: {},
  'owner-says': { made: ['skin-looks', 'fit-checks'] },
  'level-up': { told: ['contact', 'looked-into', 'looked-through'] },
  'move-place': { ends: ['moved', 'taken-off'] },
  'still-on': { ends: ['taken-off', 'moved', 'state'] },
  'session-now': { ends: ['begin'] },
  'session-missed': { ends: ['begin'] },
  'session-ahead': { ends: ['begin'] },
  fit: { made: ['tapings', 'weighings', 'fit-checks'] },
  'growing-look': { made: ['fit-checks'] },
  'skin-again': { made: ['skin-looks'] },
  charge: { told: ['charged'] },
  outgrows: {},
  upkeep: {},
  law: {},
  'screen-again': {},
};

/** What was done on a device and has not arrived: a record of a dog, or something that happened, of which dog if anybody knows. */
export type OnItsWay = { dogId: string | null; made?: Pick<Made, 'path'>; told?: Pick<NewHappening, 'event'> & { collarId?: string } };

/**
 * What something that was done on this device, and that the kennel has not got yet, is to something that is due: `done`, nobody does it twice meanwhile;
 * `noted` where it depends on what was found: it stays as pressing as it is until the kennel has it; null where it has nothing to do with it. Of a collar
 * only what was done to that collar counts.
 */
export function answersDue({ code, dogId, collarId }: Pick<TodayItem, 'code' | 'dogId' | 'collarId'>, did: OnItsWay): 'done' | 'noted' | null {
  if (dogId === null || dogId !== did.dogId) return null;
  const { ends = [], told = [], made = [] } = ANSWERS[code];
  if (did.made) return made.includes(did.made.path) ? 'noted' : null;
  if (!did.told || (collarId !== null && did.told.collarId !== undefined && did.told.collarId !== collarId)) return null;
  return ends.includes(did.told.event) ? 'done' : told.includes(did.told.event) ? 'noted' : null;
}
