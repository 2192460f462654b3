import type { OwnerSaying } from '../records/handover.ts';
import type { Where } from '../records/dog.ts';

export const WHERE_WORDS: Record<Where, string> = {
  house: 'In the house',
  yard: 'In the yard',
  walk: 'On a walk',
  crate: 'In the crate',
  vet: 'At the vet',
  visitors: 'With visitors',
};

/** The daily look at the skin, whatever is worn. */
export const SKIN_LOOK = { key: 'skin', text: 'Part the hair where it sat: no pink, no sore, no bald patch.' };

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

/** What an owner can press, and how the kennel is told. */
export const OWNER_SAYS_WORDS: Record<OwnerSaying, { button: string; told: string; part: 'check' | 'neck/skin' | 'neck/wear'; tone: 'mind' | 'open' }> = {
  pink: { button: 'The skin is pink', told: 'the skin is pink', part: 'neck/skin', tone: 'mind' },
  slid: { button: 'It slid down', told: 'it slid down', part: 'check', tone: 'mind' },
  loose: { button: 'It is loose', told: 'it is loose', part: 'check', tone: 'mind' },
  'no-answer': { button: 'No answer to it', told: 'there is no answer to it', part: 'check', tone: 'mind' },
  opened: { button: 'It opened', told: 'it opened', part: 'check', tone: 'mind' },
  moved: { button: 'I moved it', told: 'it was moved', part: 'neck/wear', tone: 'open' },
  off: { button: 'It is off', told: 'it is off', part: 'neck/wear', tone: 'open' },
};
