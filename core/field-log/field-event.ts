import type { StimulationMode } from '../collars/electronic/fit-electronic.ts';

/** What a dog did when a level was pressed: no sign; a first small sign (ear, blink, head); what was asked; too much (a voice, a start). */
export const RESPONSES = ['none', 'small', 'did', 'too-much'] as const;
export type DogResponse = (typeof RESPONSES)[number];
export const RESPONSE_WORDS: Record<DogResponse, { name: string; says: string }> = {
  none: { name: 'no sign', says: 'Nothing to see.' },
  small: { name: 'small sign', says: 'An ear, a blink, the head.' },
  did: { name: 'did it', says: 'It did what was asked.' },
  'too-much': { name: 'too much', says: 'A voice or a start: this is its ceiling.' },
};
/** Whether a response says that the level was noticed. */
export const noticedBy = (response: DogResponse): boolean => response !== 'none';

/** Where a correction goes: the way the dog should have been. Common practice. */
export const DIRECTIONS = ['back', 'in', 'forward', 'up', 'down', 'across'] as const;
export type Direction = (typeof DIRECTIONS)[number];
export const DIRECTION_WORDS: Record<Direction, { name: string; answers: string }> = {
  back: { name: 'back', answers: 'it came ahead' },
  in: { name: 'in', answers: 'it went wide: in towards the leg' },
  forward: { name: 'forward', answers: 'it lags' },
  up: { name: 'up', answers: 'it should sit; on a head collar, whatever it did' },
  down: { name: 'down', answers: 'it should lie down' },
  across: { name: 'across', answers: 'sideways, as a martingale is used' },
};

/** Where a dog is worked, from easy to hard; a kennel may add its own. Common practice. */
export const WORK_SETTINGS = [
  { id: 'home', name: 'home' },
  { id: 'yard', name: 'yard' },
  { id: 'street', name: 'street' },
  { id: 'strong-distraction', name: 'strong distraction' },
] as const;

/** The setting in which a level is found first. */
export const HOME_SETTING = 'home';

/** What a session is for: work, or finding the level a dog notices. */
export const SESSION_PURPOSES = ['work', 'finding'] as const;
export type SessionPurpose = (typeof SESSION_PURPOSES)[number];

/** What was found when a dog needed more than usual, in the order in which it is looked into. */
export const MORE_CAUSES = ['contact', 'skin', 'battery', 'distraction'] as const;
export type MoreCause = (typeof MORE_CAUSES)[number];

/** One thing that happened in a session, at its instant in ms. */
export type FieldEvent = { id: string; at: number; sessionId: string } & (
  | { event: 'begin'; dogId: string; setting: string; handlerId: string; purpose: SessionPurpose }
  | { event: 'setting'; setting: string }
  | { event: 'press'; collarId: string; level: number; mode: StimulationMode }
  | { event: 'response'; pressId: string; response: DogResponse; latencyMs: number | null }
  | { event: 'cue' | 'reward' | 'marker' | 'pushed-up' | 'hold' | 'let-go' }
  | { event: 'correction'; direction: Direction }
  | { event: 'contact'; collarId: string; made: boolean | null }
  | { event: 'looked-through'; collarId: string; found: MoreCause | 'nothing' }
  | { event: 'note'; text: string }
  /** What came of the session for the stage its dog is in. */
  | { event: 'result'; programmeId: string; stageId: string; met: number; of: number; setback: boolean }
  /** This session is another one's: two phones began it apart. */
  | { event: 'joins'; intoId: string }
  | { event: 'end' }
  | { event: 'void'; eventId: string }
);
export type FieldEventName = FieldEvent['event'];
