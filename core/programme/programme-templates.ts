import type { HouseSchoolName, HouseSchools } from '../rules/house-schools.ts';
import type { ProgrammeStage } from './stage.ts';

/** The programmes of the trade by id; which of them is worked with a kind of collar, the kind says. */
export const PROGRAMME_IDS = [
  'wear-first',
  'loose-to-fitted',
  'no-tell-tale',
  'nose-first',
  'fit-and-walk',
  'through-the-hoop',
  'level-finding',
  'fading',
  'boundary',
  'refresher',
] as const;
export type ProgrammeId = (typeof PROGRAMME_IDS)[number];

/** A programme as it is written: started for a dog it is copied, so that a change here changes no dog that is in it. */
export type ProgrammeTemplate = {
  id: ProgrammeId;
  name: string;
  about: string;
  /** The school that works so; null where all do. */
  school: { name: HouseSchoolName; side: HouseSchools[HouseSchoolName] } | null;
  stages: readonly ProgrammeStage[];
};

type Told = Partial<Omit<ProgrammeStage, 'id' | 'name' | 'aim' | 'how' | 'pass' | 'fallBack'>> & {
  pass: Partial<ProgrammeStage['pass']> & { what: string };
  fallBack?: Partial<ProgrammeStage['fallBack']>;
};
/** A stage with what is usual where nothing else is said: five minutes twice a day, eight of ten, twice in a row. From memory. */
const stage = (id: string, name: string, aim: string, how: readonly string[], { pass, fallBack, ...told }: Told): ProgrammeStage => ({
  id,
  name,
  aim,
  how,
  minutes: 5,
  sessionsPerDay: 2,
  everyDays: 1,
  onAround: false,
  cautions: [],
  notYet: [],
  ...told,
  pass: { needed: 8, of: 10, inRow: 2, leastDays: 0, ...pass },
  fallBack: { below: 0.5, inRow: 2, stages: 1, setback: 'It was afraid or sore', ...fallBack },
});

const SUPERVISED = 'Only while somebody watches: never in a crate, in play or overnight.';
const SHORT = 'Pressure is short and always let go of; the dog is told within a second.';
const CONTACT = 'Feel the contact each time it goes on; a higher level is never the first answer.';

/** The programmes of the trade, each with its stages, pass marks and fall-backs. Common practice; lengths and counts from memory. */
export const PROGRAMME_TEMPLATES: readonly ProgrammeTemplate[] = [
  {
    id: 'wear-first',
    name: 'Wear first',
    about: '3 days worn at home without a leash, then pressure and release, then walks.',
    school: { name: 'startSchool', side: 'start-fitted' },
    stages: [
      stage(
        'worn',
        'Worn at home',
        'It forgets that it wears it.',
        ['Fit it, high behind the ears.', 'No leash. Let it potter, eat and play alone near you.', 'Take it off before it lies down for long.'],
        {
          minutes: 30,
          pass: { what: 'sessions at ease, no pawing or freezing', needed: 1, of: 1, inRow: 6, leastDays: 3 },
          cautions: [SUPERVISED],
          notYet: ['leash'],
        },
      ),
      stage(
        'yield',
        'Pressure and release',
        'It yields to light pressure, and is let go that instant.',
        ['Let it come ahead.', 'Light pressure back.', 'Release the instant it yields, and pay it beside the leg.'],
        {
          minutes: 8,
          pass: { what: 'yields to the first light pressure' },
          cautions: [SHORT],
        },
      ),
      stage(
        'walks',
        'Walks',
        'It walks beside the leg on a slack leash.',
        ['Quiet ground first.', 'Reward beside the leg while walking, not only at a halt.', 'Turn into the dog, change pace, pass straight on.'],
        {
          minutes: 15,
          pass: { what: 'stretches of 20 steps on a slack leash', inRow: 3 },
          cautions: [SHORT, SUPERVISED],
        },
      ),
    ],
  },
  {
    id: 'loose-to-fitted',
    name: 'Loose to fitted',
    about: 'One or two links long for the first sessions indoors, a link tighter each session.',
    school: { name: 'startSchool', side: 'start-loose' },
    stages: [
      stage(
        'two-long',
        'Two links long',
        'It meets light pressure and knows how to end it.',
        ['Indoors, two links longer than the fit, never so long that it passes the head.', 'Light pressure, release at the first yield.'],
        {
          minutes: 8,
          pass: { what: 'yields to light pressure', inRow: 1 },
          cautions: ['Still never over the head.', SHORT],
        },
      ),
      stage('one-long', 'One link long', 'The same, a link tighter.', ['Take a link out, longer side first.', 'Light pressure, release at the first yield.'], {
        minutes: 8,
        pass: { what: 'yields to light pressure', inRow: 1 },
        cautions: [SHORT],
      }),
      stage('fitted', 'Fitted', 'The final fit by about the fourth session.', ['Set it to the fit, and check it on the dog.', 'Indoors, then the yard.'], {
        minutes: 10,
        pass: { what: 'stretches of 20 steps on a slack leash' },
        cautions: [SHORT, SUPERVISED],
      }),
    ],
  },
  {
    id: 'no-tell-tale',
    name: 'No tell-tale',
    about: 'Two weeks of collars on and off in changing combinations, so that what is worn tells nothing of what follows; then always on around work.',
    school: null,
    stages: [
      stage(
        'on-and-off',
        'On and off',
        'Putting a collar on means nothing in particular.',
        [
          'Two or three times a day, the combination of the plan.',
          'The electronic one as a dummy.',
          'As often as not, nothing follows.',
          'Not worn non-stop instead: that leaves the act of putting it on as the signal.',
        ],
        {
          minutes: 20,
          sessionsPerDay: 3,
          pass: { what: 'times of the plan done as planned', needed: 1, of: 1, inRow: 10, leastDays: 14 },
          cautions: [SUPERVISED],
        },
      ),
      stage(
        'around-work',
        'Always on around work',
        'On half an hour before and after work.',
        ['On 30 minutes before work.', 'Work.', 'Off 30 minutes after.'],
        {
          onAround: true,
          minutes: 15,
          pass: { what: 'works the same, whatever it wears' },
          cautions: [SUPERVISED],
        },
      ),
    ],
  },
  {
    id: 'nose-first',
    name: 'Nose first',
    about: 'Food by, in and through the nose loop until the dog puts it on by itself.',
    school: { name: 'noseSchool', side: 'nose-first' },
    stages: [
      stage('beside', 'Food beside it', 'The head collar foretells food.', ['Lay it on the floor, food beside it.'], {
        pass: { what: 'comes up to it by itself' },
        notYet: ['leash'],
        fallBack: { setback: 'It fussed' },
      }),
      stage('through', 'Food through the loop', 'It puts its nose in by itself.', ['Hold the loop open, food on the far side.'], {
        pass: { what: 'puts its nose through' },
        notYet: ['leash'],
        fallBack: { setback: 'It fussed' },
      }),
      stage('a-second', 'On for a second', 'The loop may touch.', ['Loop on, a second, food, off.'], {
        pass: { what: 'stays still for the second' },
        notYet: ['leash'],
        fallBack: { setback: 'It fussed' },
      }),
      stage('clipped', 'Clipped while feeding', 'The strap closes behind the ears.', ['Clip it while it eats; off before it has finished.'], {
        pass: { what: 'eats on while it is clipped' },
        notYet: ['leash'],
        fallBack: { setback: 'It fussed' },
      }),
      stage('minutes', 'Seconds, then minutes', 'It wears it and plays.', ['A few seconds more each time, then minutes.', 'Play with it on.'], {
        minutes: 8,
        pass: { what: 'minutes worn without pawing' },
        notYet: ['leash'],
        fallBack: { setback: 'It pawed at it' },
      }),
      stage('leash-in', 'Leash on indoors', 'It follows a slack leash.', ['Safety strap to the flat collar.', 'The leash hangs in a curve.'], {
        minutes: 8,
        pass: { what: 'stretches of 10 steps on a slack leash' },
        cautions: ['Never a jerk, never on a long line.'],
      }),
      stage('outdoors', 'Outdoors', 'The same with better food.', ['Quiet ground, better food, short.'], {
        minutes: 10,
        pass: { what: 'stretches of 20 steps on a slack leash' },
        cautions: ['Never a jerk, never on a long line.'],
      }),
    ],
  },
  {
    id: 'fit-and-walk',
    name: 'Fit and walk',
    about: 'The fast school: it is fitted and walked on with, lifting straight up at each pawing and letting go when it stops.',
    school: { name: 'noseSchool', side: 'fit-and-walk' },
    stages: [
      stage('walk-on', 'Walk on', 'Pawing does not pay.', ['Fit it and walk on at once.', 'At each pawing lift slowly straight up; release when it stops.'], {
        minutes: 10,
        pass: { what: 'minutes without pawing' },
        fallBack: { setback: 'It threw itself about' },
        cautions: ['A slow lift, never a jerk.', 'Safety strap to the flat collar.'],
      }),
      stage('anywhere', 'Anywhere', 'A slack leash in the street.', ['Busier ground.', 'The leash hangs slack unless it is needed.'], {
        minutes: 15,
        pass: { what: 'stretches of 20 steps on a slack leash' },
      }),
    ],
  },
  {
    id: 'through-the-hoop',
    name: 'Through the hoop',
    about: 'The dog puts its own head through the martingale, then learns to walk in it.',
    school: null,
    stages: [
      stage('food-through', 'Food through the loop', 'It puts its own head in.', ['Hold the big loop open, never the control loop.', 'Food through it.'], {
        pass: { what: 'puts its head in by itself' },
      }),
      stage('turn-away', 'Turn away', 'Coming ahead leads away; beside the leg is paid.', ['Turn away when it comes ahead.', 'Mark and pay beside the leg.'], {
        minutes: 10,
        pass: { what: 'turns with you without tension' },
        cautions: ['Sideways across, never straight back on the throat.'],
      }),
    ],
  },
  {
    id: 'level-finding',
    name: 'Level finding',
    about: 'Worn without stimulation, then the lowest level it notices, then known cues on a leash.',
    school: null,
    stages: [
      stage('worn', 'Worn without stimulation', 'It forgets that it wears it.', ['On for an hour at most, contact felt, nothing pressed.'], {
        minutes: 30,
        pass: { what: 'sessions at ease', needed: 1, of: 1, inRow: 6, leastDays: 3 },
        cautions: [CONTACT, SUPERVISED],
        notYet: ['press'],
      }),
      stage(
        'find',
        'The lowest it notices',
        'A threshold with its interval.',
        ['At home, from the lowest, a step up until the first small sign, down again, several times.', 'On three days.'],
        {
          minutes: 10,
          sessionsPerDay: 1,
          pass: { what: 'runs with six turns', needed: 1, of: 1, inRow: 3, leastDays: 2 },
          fallBack: { setback: 'It cried out or started', stages: 1 },
          cautions: [CONTACT, 'A voice or a start is a ceiling: stop there.'],
        },
      ),
      stage(
        'known-cues',
        'On known cues',
        'The level means a cue it knows.',
        ['On the leash, few distractions.', 'Cue, press at the working level, guide, release, pay.'],
        {
          minutes: 10,
          pass: { what: 'does the cue' },
          fallBack: { setback: 'It cried out or started' },
          cautions: [CONTACT],
        },
      ),
      stage(
        'more',
        'More distraction',
        'The same with distractions.',
        ['Yard, street, strong distraction, one after the other.', 'Find its level again in each setting.'],
        {
          minutes: 12,
          pass: { what: 'does the cue', inRow: 3 },
          fallBack: { setback: 'It cried out or started' },
          cautions: [CONTACT],
        },
      ),
    ],
  },
  {
    id: 'fading',
    name: 'Fading',
    about: 'The tool goes: slip collar to slip leash, long line dragged, raised bed to mat, leash indoors off.',
    school: null,
    stages: [
      stage('slip-leash', 'Slip leash', 'Lighter in the hand, the same on the dog.', ['The slip leash in place of the collar.'], {
        minutes: 15,
        pass: { what: 'stretches of 20 steps on a slack leash' },
      }),
      stage('long-line', 'Long line dragged', 'It comes though nobody holds it.', ['A long line, dragged.', 'Call, pay, let go again.'], {
        minutes: 15,
        pass: { what: 'comes at the first call' },
        cautions: ['Never on a prong or head collar.'],
      }),
      stage('bed-to-mat', 'Raised bed to mat', 'Its place is anywhere.', ['Raised bed, then a mat, then a mat elsewhere.'], {
        minutes: 10,
        pass: { what: 'stays until released' },
      }),
      stage('leash-off', 'Leash indoors off', 'Nothing on, and the same dog.', ['Indoors without a leash.'], {
        minutes: 20,
        pass: { what: 'cues done without a leash', inRow: 3 },
      }),
    ],
  },
  {
    id: 'refresher',
    name: 'Refresher',
    about: 'A graduate that forges again: height and links first, then the heel line, the corrections, the reward and the pace.',
    school: null,
    stages: [
      stage(
        'height-and-links',
        'Height and links',
        'The collar does what it did.',
        ['Is it worn too low? Push it up and check the fit.', 'Still loose? A link out, or a finer gauge.'],
        {
          sessionsPerDay: 1,
          pass: { what: 'checks on the dog that are good', needed: 1, of: 1, inRow: 1 },
          cautions: [SUPERVISED],
        },
      ),
      stage(
        'heel-line',
        'Heel line',
        'Every handler keeps the same line.',
        ['Check the heel line of this dog.', 'Walk it straight, turning into the dog, and at changed pace.'],
        {
          minutes: 10,
          pass: { what: 'stretches of 20 steps on the heel line' },
          cautions: [SHORT],
        },
      ),
      stage(
        'corrections',
        'Direction of corrections',
        'Each correction goes the right way, once.',
        ['Ahead: back. Wide: in towards the leg. Behind: forward.', 'One clear correction, not many small ones.'],
        {
          minutes: 10,
          pass: { what: 'stretches of 20 steps with one correction at most' },
          cautions: [SHORT],
        },
      ),
      stage(
        'reward-and-pace',
        'Reward and pace',
        'It is paid where it should be.',
        ['Pay beside the leg while walking, not only at a halt.', 'Change the pace, pass straight on.'],
        {
          minutes: 15,
          pass: { what: 'stretches of 20 steps on a slack leash', inRow: 3 },
          cautions: [SHORT],
        },
      ),
    ],
  },
  {
    id: 'boundary',
    name: 'Boundary on lead',
    about: 'It finds the edge itself and turns back by a cue it knows; until then always on a lead.',
    school: null,
    stages: [
      stage('worn', 'Worn without training', 'The collar means nothing yet.', ['Contacts as always, hair parted, antenna side up.'], {
        minutes: 20,
        pass: { what: 'sessions at ease', needed: 1, of: 1, inRow: 4, leastDays: 2 },
        cautions: [CONTACT],
        notYet: ['press'],
      }),
      stage(
        'edge',
        'It finds the edge',
        'At the tone it turns back.',
        ['A calm dog, time to roam, on a lead.', 'It finds the edge itself: never led into it.', 'Cue it to turn back, pay inside.'],
        {
          minutes: 10,
          pass: { what: 'turns back at the tone', inRow: 3 },
          fallBack: { setback: 'It would not go out again' },
          cautions: ['Short, and between 1 and 30 sessions: each dog its own.'],
        },
      ),
      stage('by-itself', 'By itself', 'It turns back without a cue.', ['On the lead, saying nothing.'], {
        minutes: 10,
        pass: { what: 'turns back by itself', needed: 9, inRow: 3 },
        cautions: ['On lead until it turns back by itself.'],
      }),
    ],
  },
];

/** The named programmes, those of the house's school first; the others are offered, too, with their school said. */
export function programmesFor(ids: readonly ProgrammeId[], schools: HouseSchools): ProgrammeTemplate[] {
  const fits = PROGRAMME_TEMPLATES.filter(({ id }) => ids.includes(id));
  const own = ({ school }: ProgrammeTemplate) => school === null || schools[school.name] === school.side;
  return [...fits.filter(own), ...fits.filter((template) => !own(template))];
}
