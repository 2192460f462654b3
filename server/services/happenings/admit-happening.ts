import { deviceOf, type HappeningName, type NewHappening } from '@banter/contract';
import { isWhole, MINUTE_MS } from '@banter/core';
import type { CollarRow } from '../../data/entities/collar.ts';
import type { ProgrammeRow } from '../../data/entities/programme.ts';
import { CLOCK_AHEAD_MS } from '../../records/kept.ts';

/** Somebody whose clock agrees may still be a little ahead; a device's clock nobody has asked about. */
const AHEAD_MS = 2 * MINUTE_MS;

/** Who tells: somebody on a screen or a phone, the stand-in on somebody's screen, or a bridge. */
export type Teller = { source: 'hand' | 'stand-in'; bridgeId: null } | { source: 'bridge'; bridgeId: string };

/** What is known of the sessions and happenings that a batch speaks of, before it and as it is read. */
export type Known = {
  sessions: Map<string, { dogId: string; begunAt: number }>;
  happenings: Map<string, { event: HappeningName; sessionId: string | null; bridgeId: string | null }>;
};
export type Around = {
  dogs: ReadonlySet<string>;
  people: ReadonlySet<string>;
  collars: ReadonlyMap<string, CollarRow>;
  /** Dogs and the collars that were fitted to them, `dog collar`. */
  fitted: ReadonlySet<string>;
  settings: ReadonlySet<string>;
  programmes: ReadonlyMap<string, ProgrammeRow>;
  now: number;
};

/** What is wrong with something told, and at which of its fields; or for what it waits. */
export type Verdict = { status: 'refused' | 'waits'; field: string; message: string };
const refused = (field: string, message: string): Verdict => ({ status: 'refused', field, message });
const waits = (field: string, message: string): Verdict => ({ status: 'waits', field, message });
/** `strict`: told by a hand, as it happens; else by lines, which may come late and in any order. */
type In = { known: Known; around: Around; teller: Teller; strict: boolean };

/** What is wrong with something that was told, against what is known; null when nothing is. `at` is the time that counts, ms. */
export function verdictOn(told: NewHappening, at: number, { known, around, teller, strict }: In): Verdict | null {
  if (at > around.now + (strict ? AHEAD_MS : CLOCK_AHEAD_MS)) return refused('at', 'This time lies in the future.');
  if (told.event === 'void') return voidVerdict(told, { known, teller, strict });
  if ('sessionId' in told && told.sessionId !== undefined) {
    if (teller.source === 'bridge') return refused('sessionId', 'A bridge tells of devices; sessions are told by who works in them.');
    return sessionVerdict({ ...told, sessionId: told.sessionId }, at, known, around);
  }
  if ('dogId' in told && !around.dogs.has(told.dogId)) return refused('dogId', 'There is no such dog in this kennel.');
  const collar = 'collarId' in told ? around.collars.get(told.collarId) : undefined;
  if (!collar) return refused('collarId', 'There is no such collar in this kennel.');
  return 'dogId' in told ? null : deviceVerdict(told, collar, false);
}

/** What takes something back must find it; a session's beginning stands, and a bridge takes back only its own. */
function voidVerdict(told: NewHappening & { event: 'void' }, { known, teller, strict }: Omit<In, 'around'>): Verdict | null {
  const target = known.happenings.get(told.eventId);
  if (told.sessionId !== undefined && !known.sessions.has(told.sessionId)) return waits('sessionId', 'Its session has not arrived yet.');
  if (!target) return strict ? waits('eventId', 'What it takes back has not arrived yet.') : refused('eventId', 'There is no such event in this kennel.');
  if (teller.bridgeId !== null && target.bridgeId !== teller.bridgeId) return refused('eventId', 'A bridge takes back only what it told itself.');
  if (target.event === 'void' || (told.sessionId !== undefined && target.sessionId !== told.sessionId))
    return refused('eventId', 'This is nothing of this session that can be undone.');
  return target.event === 'begin' ? refused('eventId', 'A session’s beginning cannot be undone; its other events can.') : null;
}

/** What is told of a device must be within its own scale; in a session also on its steps, as a hand presses it. */
function deviceVerdict(told: NewHappening, collar: CollarRow, inSteps: boolean): Verdict | null {
  const device = deviceOf(collar);
  if (!device) return refused('collarId', 'This collar is no device.');
  if (told.event !== 'tried' && (told.event !== 'press' || told.mode === 'tone' || told.mode === 'vibration')) return null;
  const { min, max, step } = device.scale;
  const within = told.level >= min && told.level <= max;
  if (!inSteps) return within ? null : refused('level', `This device’s scale goes from ${min} to ${max}.`);
  return within && isWhole((told.level - min) / step) ? null : refused('level', `This device’s scale goes from ${min} to ${max} in steps of ${step}.`);
}

function sessionVerdict(told: NewHappening & { sessionId: string }, at: number, known: Known, around: Around): Verdict | null {
  const session = known.sessions.get(told.sessionId);
  const setting = (name: string) => (around.settings.has(name) ? null : refused('setting', 'This kennel has no such setting.'));
  if (told.event === 'begin') {
    if (session) return refused('sessionId', 'This session has been begun already.');
    if (!around.dogs.has(told.dogId)) return refused('dogId', 'There is no such dog in this kennel.');
    if (!around.people.has(told.handlerId)) return refused('handlerId', 'There is no such handler in this kennel.');
    return setting(told.setting);
  }
  if (!session) return waits('sessionId', 'Its session has not arrived yet.');
  if (at < session.begunAt) return refused('at', 'This lies before the session began.');
  if (told.event === 'setting') return setting(told.setting);
  if (told.event === 'response') {
    const press = known.happenings.get(told.pressId);
    if (!press) return waits('pressId', 'Its press has not arrived yet.');
    return press.event === 'press' && press.sessionId === told.sessionId ? null : refused('pressId', 'What it answers is no press of this session.');
  }
  if (told.event === 'joins') {
    const into = known.sessions.get(told.intoId);
    if (!into) return waits('intoId', 'The session it joins has not arrived yet.');
    return into.dogId === session.dogId ? null : refused('intoId', 'A session joins only another of the same dog.');
  }
  if (told.event === 'result') {
    const programme = around.programmes.get(told.programmeId);
    if (programme?.dogId !== session.dogId) return refused('programmeId', 'This is no programme of this dog.');
    return programme.stages.some(({ id }) => id === told.stageId) ? null : refused('stageId', 'This programme has no such stage.');
  }
  if (!('collarId' in told)) return null;
  const collar = around.collars.get(told.collarId);
  if (!collar || !deviceOf(collar)) return refused('collarId', 'There is no such device in this kennel.');
  if (!around.fitted.has(`${session.dogId} ${told.collarId}`)) return refused('collarId', `${collar.name} has not been fitted to this dog.`);
  return deviceVerdict(told, collar, true);
}
