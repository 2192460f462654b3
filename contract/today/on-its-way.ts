import type { HappeningName, NewHappening } from '../happenings/happening.ts';
import type { TodayCode, TodayItem } from '../records/today-page.ts';
import type { Made, MadePath } from '../standing/laid-over.ts';

/** What somebody does about each thing that is due, of what is done in the yard; nothing where it is done at the desk. */
const ANSWERS: Record<TodayCode, { made?: readonly MadePath[]; told?: readonly HappeningName[] }> = {
  'worn-wrong': { told: ['taken-off', 'moved', 'state'] },
  'skin-off': { made: ['skin-looks'] },
  mend: {},
  'owner-says': { made: ['skin-looks', 'fit-checks'] },
  'level-up': { told: ['contact', 'looked-into', 'looked-through'] },
  'move-place': { told: ['moved', 'taken-off'] },
  'still-on': { told: ['taken-off', 'moved', 'state'] },
  'session-now': { told: ['begin'] },
  'session-missed': { told: ['begin'] },
  'session-ahead': { told: ['begin'] },
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
 * `noted` where it may not be enough: a stop stays one until the kennel has it, unless the collar came off or its contacts were moved as was asked for;
 * null where it has nothing to do with it. Of a collar only what was done to that collar counts.
 */
export function answersDue({ code, tone, dogId, collarId }: Pick<TodayItem, 'code' | 'tone' | 'dogId' | 'collarId'>, did: OnItsWay): 'done' | 'noted' | null {
  if (dogId === null || dogId !== did.dogId) return null;
  const { made = [], told = [] } = ANSWERS[code];
  if (did.made) return !made.includes(did.made.path) ? null : tone === 'stop' ? 'noted' : 'done';
  if (!did.told || !told.includes(did.told.event)) return null;
  if (collarId !== null && did.told.collarId !== undefined && did.told.collarId !== collarId) return null;
  const ends = did.told.event === 'taken-off' || code === 'move-place';
  return tone === 'stop' && !ends ? 'noted' : 'done';
}
