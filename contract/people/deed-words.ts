import type { Deed } from '../records/deed.ts';

/** Everything that the log of who did what tells of, by its name in the records, with what is said of it: of a dog, or of a thing by its name. */
export const DEED_WORDS = {
  dog: { thing: 'dogs', made: 'added the dog', changed: 'changed the dog' },
  taping: { thing: 'tape', made: 'taped' },
  weighing: { thing: 'weighings', made: 'weighed' },
  screening: { thing: 'screenings', made: 'screened' },
  lift: { thing: 'stops lifted', made: 'lifted a stop, or put it back, for' },
  plan: { thing: 'fits', made: 'decided a fit for' },
  fitCheck: { thing: 'fit checks', made: 'checked the fit on' },
  ending: { thing: 'fits set aside', made: 'set a fit aside for' },
  dressing: { thing: 'stacks and rigs', made: 'laid out the stack of', changed: 'changed the stack of' },
  happening: { thing: 'wear and sessions', made: 'logged for' },
  // As the log of earlier versions tells of them.
  event: { thing: 'collars on and off', made: 'told what happened on the neck of' },
  fieldEvent: { thing: 'sessions in the field', made: 'logged in the field' },
  levelCap: { thing: 'level caps', made: 'set a cap for' },
  skinLook: { thing: 'skin', made: 'looked at the skin of' },
  photo: { thing: 'photos', made: 'kept a photo' },
  programme: { thing: 'programmes', made: 'began a programme for', changed: 'changed the programme of' },
  stageResult: { thing: 'results of stages', made: 'told the result of a stage for' },
  stageMove: { thing: 'moves of stages', made: 'moved the stage of' },
  plannedSession: { thing: 'calendar', changed: 'changed the calendar' },
  hours: { thing: 'hours', made: 'set the hours', changed: 'changed the hours' },
  kennelTemplate: { thing: 'own programmes', made: 'wrote the programme', changed: 'changed the programme' },
  drill: { thing: 'drills', made: 'ran a handling drill' },
  collar: { thing: 'collars', made: 'added the collar', changed: 'changed the collar' },
  gear: { thing: 'gear', made: 'added the gear', changed: 'changed the gear' },
  want: { thing: 'shopping', made: 'wants to buy', changed: 'changed on the shopping list' },
  linkMove: { thing: 'links', made: 'moved links' },
  inspection: { thing: 'inspections', made: 'inspected a piece of gear' },
  place: { thing: 'local law', made: 'wrote down the law of', changed: 'changed the law of' },
  kennel: {
    thing: 'house rules',
    made: 'made the kennel',
    changed: 'changed the house rules',
    took: 'took the whole kennel as a file',
    brought: 'brought a kennel’s file in',
  },
  bridge: { thing: 'bridges', made: 'made the bridge', changed: 'changed the bridge', handed: 'handed on the bridge' },
  calendarFeed: {
    thing: 'calendar addresses',
    made: 'made the calendar address',
    changed: 'changed the calendar address',
    handed: 'handed on the calendar address',
  },
  handover: { thing: 'handovers', made: 'handed over' },
  ownerLink: { thing: 'owners’ links', made: 'made an owner’s link for', changed: 'changed an owner’s link for', handed: 'handed on an owner’s link for' },
  invite: { thing: 'invitations', made: 'invited', changed: 'changed the invitation of', handed: 'handed on the invitation of' },
  person: { thing: 'people', made: 'joined', changed: 'changed the standing of', left: 'ended the access of' },
  session: { thing: 'sign-ins', in: 'signed in', out: 'signed out', changed: 'changed their password' },
} as const satisfies Record<string, { thing: string } & Partial<Record<Deed['act'], string>>>;

export type DeedKind = keyof typeof DEED_WORDS;
export const DEED_KINDS = Object.keys(DEED_WORDS) as DeedKind[];

/** A line of the log in words, without who and when. */
export function deedWords({ kind, act, dogName, label, about }: Pick<Deed, 'kind' | 'act' | 'dogName' | 'label' | 'about'>): string {
  const words = Object.hasOwn(DEED_WORDS, kind) ? (DEED_WORDS[kind as DeedKind] as Partial<Record<Deed['act'], string>>)[act] : undefined;
  const many = about.count !== undefined && about.count > 1 ? `(${about.count})` : '';
  return [words ?? `${act} ${kind}`, kind === 'want' ? label : dogName || label, many].filter(Boolean).join(' ');
}
