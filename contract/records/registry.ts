import { asSent, fitCheckFault, planFault, sheetFault } from '../kennel-file/part-faults.ts';
import { FileHappening, FilePerson, FilePhoto, happeningFault } from '../kennel-file/file-shapes.ts';
import { z } from '../plain-words.ts';
import { Bridge, BridgeFacts } from './bridge.ts';
import { CalendarFeed, CalendarFeedFacts } from './calendar-feed.ts';
import { Hours, HoursFacts, PlannedSession, PlannedSessionFacts } from './calendar.ts';
import { Collar, CollarFacts } from './collar.ts';
import { RecordId } from './common.ts';
import { Dog, DogFacts } from './dog.ts';
import { Dressing, DressingFacts } from './dressing.ts';
import { Drill, NewDrill } from './drill.ts';
import { Ending, NewEnding } from './ending.ts';
import { LevelCap, NewLevelCap } from './field-log.ts';
import { FitCheck, NewFitCheck } from './fit-check.ts';
import { Gear, GearFacts, Want, WantFacts } from './gear.ts';
import { Handover, NewHandover, OwnerLink, OwnerLinkFacts, OwnerVisit } from './handover.ts';
import { Inspection, NewInspection } from './inspection.ts';
import { Invite, InviteFacts } from './invite.ts';
import { KennelTemplate, KennelTemplateFacts } from './kennel-template.ts';
import { LinkMove, NewLinkMove, refsOfAccounts } from './link-move.ts';
import { Place, PlaceFacts } from './place.ts';
import { asKept, kindBesides, recordKind } from './record-kind.ts';
import { NewPlan, Plan } from './plan.ts';
import { NewStageMove, NewStageResult, Programme, ProgrammeFacts, StageMove, StageResult } from './programme.ts';
import { Lift, NewLift, NewScreening, Screening } from './screening.ts';
import { NewSkinLook, SkinLook } from './skin-look.ts';
import { NewTaping, Taping } from './taping.ts';
import { NewWeighing, Weighing } from './weighing.ts';

const dog = { dogId: 'dogs', personId: 'people' };
const byPerson = { personId: 'people' };

/**
 * Everything that a kennel keeps, a row each, by its name in a kennel's file and in the order of that file. Addresses, roles, sign-in,
 * the description of the interface, the file, the log of who did what and their words all come from here; the server's side of each
 * row is in `server/records/registry.ts`. Its address is its name with dashes; its table is called by `one`.
 */
export const RECORD_KINDS = {
  people: kindBesides(
    'person',
    { many: 'people', made: 'joined', changed: 'changed the standing of', left: 'ended the access of' },
    { about: 'Everybody who stands in the records. E-mails, passwords and sign-ins are not in a file.', record: FilePerson, refs: {} },
  ),
  places: recordKind(
    'place',
    { many: 'places and their law', made: 'wrote down the law of', changed: 'changed the law of' },
    ['place', PlaceFacts, Place, 'lead'],
    { about: 'Places where the kennel works, with what is allowed there.', refs: {}, fault: asSent(PlaceFacts) },
  ),
  dogs: recordKind('dog', { many: 'dogs', made: 'added the dog', changed: 'changed the dog' }, ['dog', DogFacts, Dog], {
    about: 'The dogs.',
    refs: { placeId: 'places' },
  }),
  collars: recordKind('collar', { many: 'collars', made: 'added the collar', changed: 'changed the collar' }, ['collar', CollarFacts, Collar], {
    about: 'The collars, with their own numbers.',
    refs: {},
    fault: asSent(CollarFacts),
  }),
  gear: recordKind('gear', { many: 'gear', made: 'added the gear', changed: 'changed the gear' }, ['piece of gear', GearFacts, Gear], {
    about: 'Leashes, lines, snaps, beds and the rest.',
    refs: {},
  }),
  wants: recordKind(
    'want',
    { many: 'things to buy', made: 'put on the shopping list', changed: 'changed on the shopping list' },
    ['thing to buy', WantFacts, Want],
    { about: 'What is to be bought.', refs: { dogId: 'dogs' } },
  ),
  tapings: recordKind('taping', { many: 'tapings', made: 'taped' }, ['taping', NewTaping, Taping], {
    about: 'Every taping, with its readings.',
    refs: { ...dog, correctsId: 'tapings' },
    fault: asSent(NewTaping),
  }),
  weighings: recordKind('weighing', { many: 'weighings', made: 'weighed' }, ['weighing', NewWeighing, Weighing], {
    about: 'Every weighing.',
    refs: { ...dog, correctsId: 'weighings' },
    fault: asSent(NewWeighing),
  }),
  screenings: recordKind('screening', { many: 'screenings', made: 'screened' }, ['screening', NewScreening, Screening], {
    about: 'Every screening.',
    refs: dog,
  }),
  lifts: recordKind('lift', { many: 'stops lifted', made: 'lifted a stop, or put it back, for' }, ['lift', NewLift, Lift, 'lead'], {
    about: 'Stops that were lifted, and put back.',
    refs: dog,
  }),
  plans: recordKind('plan', { many: 'fits', made: 'decided a fit for' }, ['plan', NewPlan, Plan], {
    about: 'Every fit that was decided, with the inputs, rules and verdict of then.',
    refs: { ...dog, collarId: 'collars', placeId: 'places' },
    fault: planFault,
  }),
  fitChecks: recordKind('fitCheck', { many: 'fit checks', made: 'checked the fit on' }, ['fit check', NewFitCheck, FitCheck], {
    about: 'Every fit check.',
    refs: { ...dog, planId: 'plans' },
    fault: fitCheckFault,
  }),
  endings: recordKind('ending', { many: 'fits set aside', made: 'set a fit aside for' }, ['fit set aside', NewEnding, Ending], {
    about: 'Fits that were set aside.',
    refs: { ...dog, planId: 'plans' },
  }),
  inspections: recordKind('inspection', { many: 'inspections', made: 'inspected a piece of gear' }, ['inspection of gear', NewInspection, Inspection], {
    about: 'Every inspection of gear.',
    refs: { ...byPerson, collarId: 'collars', gearId: 'gear' },
    fault: asSent(NewInspection),
  }),
  linkMoves: recordKind('linkMove', { many: 'moves of links', made: 'moved links' }, ['move of links', NewLinkMove, LinkMove], {
    about: 'Every move of links.',
    refs: byPerson,
    refsWithin: refsOfAccounts,
    fault: asSent(NewLinkMove),
  }),
  dressings: recordKind(
    'dressing',
    { many: 'stacks and rigs', made: 'laid out the stack of', changed: 'changed the stack of' },
    ['dressing', DressingFacts, Dressing],
    { about: 'How dogs are dressed: stack and rig, under the dog’s own id.', refs: { id: 'dogs' }, fault: asSent(DressingFacts) },
  ),
  photos: kindBesides('photo', { many: 'photos', made: 'saved a photo' }, { about: 'Photos of skin.', record: FilePhoto, refs: byPerson }),
  ownerLinks: recordKind(
    'ownerLink',
    {
      many: 'owners’ links',
      made: 'made an owner’s link for',
      changed: 'changed an owner’s link for',
      handed: 'handed on an owner’s link for',
    },
    ['owner’s link', OwnerLinkFacts, OwnerLink],
    { about: 'Owners’ links. Their keys are not in a file.', without: ['keyHash'], refs: { dogId: 'dogs' } },
  ),
  skinLooks: recordKind('skinLook', { many: 'looks at the skin', made: 'checked the skin of' }, ['skin check', NewSkinLook, SkinLook], {
    about: 'Every skin check.',
    refs: { ...dog, photoId: 'photos', linkId: 'ownerLinks' },
    fault: asSent(NewSkinLook),
  }),
  bridges: recordKind(
    'bridge',
    { many: 'bridges', made: 'made the bridge', changed: 'changed the bridge', handed: 'handed on the bridge' },
    ['bridge', BridgeFacts, Bridge, 'lead'],
    { about: 'Programs that tell events. Their keys are not in a file: each is made a new one.', without: ['keyHash'], refs: {} },
  ),
  happenings: kindBesides(
    'happening',
    { many: 'wear and sessions', made: 'logged for' },
    {
      about: 'What happened: collars on and off, what devices told, and everything told of sessions. Sessions and presses are worked out from it.',
      record: FileHappening,
      refs: { dogId: 'dogs', collarId: 'collars', eventId: 'happenings', personId: 'people', bridgeId: 'bridges' },
      refsWithin: ({ data }) => {
        const { handlerId } = data as { handlerId?: unknown };
        return typeof handlerId === 'string' ? [{ field: 'data.handlerId', kind: 'people', id: handlerId }] : [];
      },
      fault: happeningFault,
    },
  ),
  levelCaps: recordKind('levelCap', { many: 'caps of levels', made: 'set a cap for' }, ['cap of a level', NewLevelCap, LevelCap], {
    about: 'Caps of levels.',
    refs: { ...dog, collarId: 'collars' },
  }),
  programmes: recordKind(
    'programme',
    { many: 'programmes', made: 'began a programme for', changed: 'changed the programme of' },
    ['programme', ProgrammeFacts, Programme],
    { about: 'Programmes of dogs.', refs: { dogId: 'dogs' } },
  ),
  stageResults: recordKind(
    'stageResult',
    { many: 'results of stages', made: 'told the result of a stage for' },
    ['result of a session for its stage', NewStageResult, StageResult],
    { about: 'What came of sessions for their stages.', refs: { programmeId: 'programmes', personId: 'people' }, fault: asSent(NewStageResult) },
  ),
  stageMoves: recordKind('stageMove', { many: 'moves of stages', made: 'moved the stage of' }, ['move to another stage', NewStageMove, StageMove], {
    about: 'Moves from stage to stage.',
    refs: { programmeId: 'programmes', personId: 'people' },
  }),
  hours: recordKind('hours', { many: 'hours', made: 'set the hours', changed: 'changed the hours' }, ['week of the kennel or of somebody', HoursFacts, Hours], {
    about: 'Hours of the kennel, under the id «kennel», and of its people, under theirs.',
    record: z.strictObject({ ...Hours.shape, id: z.union([RecordId, z.literal('kennel')]) }),
    refs: byPerson,
  }),
  plannedSessions: kindBesides(
    'plannedSession',
    { many: 'planned sessions', changed: 'changed the calendar' },
    {
      about: 'Sessions that are planned, or were dropped.',
      record: asKept(PlannedSession.shape),
      refs: { ...dog, programmeId: 'programmes' },
      fault: asSent(PlannedSessionFacts),
    },
  ),
  kennelTemplates: recordKind(
    'kennelTemplate',
    { many: 'own programmes', made: 'wrote the programme', changed: 'changed the programme' },
    ['programme of the kennel’s own', KennelTemplateFacts, KennelTemplate],
    { about: 'The kennel’s own programmes.', refs: {} },
  ),
  drills: recordKind('drill', { many: 'handling drills', made: 'ran a handling drill' }, ['handling drill', NewDrill, Drill], {
    about: 'Handling drills.',
    refs: byPerson,
  }),
  calendarFeeds: recordKind(
    'calendarFeed',
    {
      many: 'calendar addresses',
      made: 'made the calendar address',
      changed: 'changed the calendar address',
      handed: 'handed on the calendar address',
    },
    ['private address of the calendar', CalendarFeedFacts, CalendarFeed],
    { about: 'Private addresses of the calendar. Their keys are not in a file.', without: ['keyHash'], refs: byPerson },
  ),
  handovers: recordKind('handover', { many: 'handovers', made: 'handed over' }, ['handover', NewHandover, Handover], {
    about: 'Dogs handed over, with the sheet of then.',
    refs: dog,
    fault: sheetFault,
  }),
  ownerVisits: kindBesides(
    'ownerVisit',
    { many: 'owners’ ticks and visits' },
    {
      about: 'What was done with owners’ links.',
      record: asKept({ ...OwnerVisit.shape, dogId: RecordId }),
      refs: { linkId: 'ownerLinks', dogId: 'dogs' },
    },
  ),
  invites: {
    ...recordKind(
      'invite',
      { many: 'invitations', made: 'invited', changed: 'changed the invitation of', handed: 'handed on the invitation of' },
      ['invitation', InviteFacts, Invite, 'lead', 'lead'],
      { about: '', refs: {} },
    ),
    // It lets somebody in, and stays behind.
    file: null,
  },
};
export type RecordKindName = keyof typeof RECORD_KINDS;
