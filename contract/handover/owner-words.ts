import type { CollarKindName } from '../collars/collar-kinds.ts';

/** Where an owner is with the dog. */
export const WHERE = ['house', 'walk', 'crate', 'vet'] as const;
export type Where = (typeof WHERE)[number];
export const WHERE_WORDS: Record<Where, string> = { house: 'In the house', walk: 'On a walk', crate: 'In the crate', vet: 'At the vet' };

/**
 * What an owner is told of a kind of collar, in plain words. `stays` where it may be on without a leash: in the house, in the crate
 * (which the kennel's school decides for a flat collar). `look` are the daily checks of it. Common practice.
 */
export type OwnerWords = {
  /** What people who are no trainers call it. */
  called: string;
  /** Whether it is only worn while somebody watches, for the walk or the session. */
  onlyWatched: boolean;
  house: 'off' | 'on';
  look: readonly { key: string; text: string }[];
  slides: string;
  rubs: string;
  opens: string;
};

const SKIN = { key: 'skin', text: 'Part the hair where it sat: no pink, no sore, no bald patch.' };
const RUBS = 'Take it off and leave it off there. Pink rests two days. Red, bald or broken skin: a vet first, and then us.';

export const OWNER_WORDS: Record<CollarKindName, OwnerWords> = {
  prong: {
    called: 'prong collar',
    onlyWatched: true,
    house: 'off',
    look: [
      { key: 'prong-links', text: 'Every link straight and seated, every tip rounded, the chain untwisted.' },
      { key: 'prong-high', text: 'High behind the ears and the jaw; some fingers go between the links, the flat hand does not.' },
      { key: 'prong-backup', text: 'The backup is clipped, and slack while the collar works.' },
    ],
    slides: 'Push it back up behind the ears. If it slides again and again, take it off and call us; do not pull it tighter yourself, and do not add links.',
    rubs: `${RUBS} It may be too loose and rub, or it is the metal.`,
    opens: 'The backup holds the dog. Stay calm, do not chase, shorten the leash to the flat collar, go home. A link that opened once is not used again.',
  },
  slip: {
    called: 'slip collar',
    onlyWatched: true,
    house: 'off',
    look: [
      { key: 'slip-runs', text: 'It runs freely through its ring and falls open by itself when the leash is slack.' },
      { key: 'slip-welds', text: 'No kink, no worn weld.' },
    ],
    slides: 'Push it back up behind the ears before you walk on.',
    rubs: RUBS,
    opens: 'It comes off over the head. Stay calm, do not chase; the leash run through its own handle makes a loop to catch the dog with.',
  },
  'clip-on-slip': {
    called: 'clip-on slip collar',
    onlyWatched: true,
    house: 'off',
    look: [{ key: 'clip-runs', text: 'The ring runs freely, the clip is shut, no kink.' }],
    slides: 'Push it back up behind the ears before you walk on.',
    rubs: RUBS,
    opens: 'Stay calm, do not chase; the leash run through its own handle makes a loop to catch the dog with.',
  },
  martingale: {
    called: 'martingale',
    onlyWatched: true,
    house: 'off',
    look: [
      { key: 'martingale-sewn', text: 'Stitching sound, slides where they were, metal straight.' },
      { key: 'martingale-fingers', text: 'Two fingers under it at rest; pulled, it does not go over the ears.' },
    ],
    slides: 'Set it at the narrow place behind the ears again. The head goes through the strap, not through the small loop.',
    rubs: RUBS,
    opens: 'It cannot open; if it slips over the head it is set too long. Stay calm, do not chase, and have it set anew.',
  },
  flat: {
    called: 'flat collar',
    onlyWatched: false,
    house: 'on',
    look: [
      { key: 'flat-buckle', text: 'Buckle shut and sound, stitching whole.' },
      { key: 'flat-fingers', text: 'Two fingers go under, the flat hand does not; it does not come over the ears.' },
    ],
    slides: 'One hole tighter, if two fingers still go under.',
    rubs: RUBS,
    opens: 'Stay calm, do not chase, put it on anew in the hole we marked; a buckle that opened once is replaced.',
  },
  'wide-throat': {
    called: 'wide-throat collar',
    onlyWatched: false,
    house: 'on',
    look: [
      { key: 'wide-buckle', text: 'Buckle sound and behind the ears, the broad part on the throat.' },
      { key: 'wide-finger', text: 'One finger goes under; it does not come over the ears.' },
    ],
    slides: 'Bring the broad part back to the throat and the buckle behind the ears.',
    rubs: RUBS,
    opens: 'Stay calm, do not chase, put it on anew in the hole we marked; a buckle that opened once is replaced.',
  },
  'head-collar': {
    called: 'head collar',
    onlyWatched: true,
    house: 'off',
    look: [
      { key: 'head-loop', text: 'The nose loop slides to the nose leather, and not off; the mouth opens fully.' },
      { key: 'head-strap', text: 'The strap is high behind the ears, one finger goes under; the safety strap is clipped to the flat collar.' },
    ],
    slides: 'If the loop comes off the nose, the safety strap holds: put it on again, one finger under it, and tell us.',
    rubs: `${RUBS} Never a jerk, and never on a long line.`,
    opens: 'The safety strap to the flat collar holds the dog. Go home on that.',
  },
  remote: {
    called: 'electronic collar',
    onlyWatched: false,
    house: 'off',
    look: [
      { key: 'remote-ready', text: 'Charged, the covers of both sockets shut, switched on, tried at the lowest level before it goes on the dog.' },
      { key: 'remote-touch', text: 'Both contacts touch the skin: push the box, the skin moves with it; two fingers still go under the strap.' },
      { key: 'remote-place', text: 'On the muscle at the side, never on the windpipe, and not where it sat last.' },
    ],
    slides:
      'Off, and on again at its place: a loose collar is not felt, and then far too much is. Never turn it up because the dog does not answer: look at the contacts first.',
    rubs: RUBS,
    opens: 'Take it off and go on without it, on the leash. No leash is ever clipped to it.',
  },
  fence: {
    called: 'boundary collar',
    onlyWatched: false,
    house: 'off',
    look: [
      { key: 'fence-ready', text: 'Charged, antenna side up to the sky.' },
      { key: 'fence-touch', text: 'Both contacts touch the skin through parted hair; two fingers still go under the strap.' },
    ],
    slides: 'Off, and on again at its place, antenna side up.',
    rubs: RUBS,
    opens: 'Bring the dog in, and keep it on a leash until the collar is on again.',
  },
};

/** The daily look at the skin, whatever is worn. */
export const SKIN_LOOK = SKIN;

/** What a growing dog needs besides: a buckle is looked at every day, links every week. Common practice. */
export const GROWING_LOOKS: readonly { key: string; text: string; of: readonly CollarKindName[] }[] = [
  { key: 'growing-buckle', text: 'Still growing: the strap is not tighter than yesterday; if it is, one hole or a little looser today.', of: ['flat', 'wide-throat', 'martingale', 'head-collar'] }, // prettier-ignore
  { key: 'growing-links', text: 'Still growing: once a week, does a link have to go back in? Ask us before you put one in.', of: ['prong'] },
];

/** When to call, whatever is worn. Common practice; defers to the vet where an animal may be hurt. */
export const WHEN_TO_CALL: readonly string[] = [
  'Red, bald or broken skin, a cough, trouble breathing or swallowing, a head held askew: take everything off the neck and call a vet first.',
  'The collar comes off, opens, or goes over the head.',
  'It slides or sits otherwise than here, twice in a row.',
  'The dog needs more than it did, is afraid of the collar, or cries out: stop, and call before you go on.',
  'The dog has grown, been clipped, lost or put on weight.',
];

/** Shown with the work. Common practice. */
export const OWNER_CAUTIONS: readonly string[] = [
  'Tools that press or stimulate can hurt when they fit badly or are used badly. This page says how yours were set; it is no vet’s advice and replaces no trainer.',
  'Local law comes first: what is allowed here may be forbidden where you travel.',
];
