import { z } from '../plain-words.ts';
import { Collar } from '../records/collar.ts';
import { RecordId } from '../records/common.ts';
import { LinkBalance } from '../records/link-move.ts';
import { DogCard } from '../records/pages.ts';

/** What a class is kitted up from, in one answer: the dogs, what is owned and where its links are, and whose sessions are tomorrow. */
export const ClassPage = z.object({
  dogs: z.array(DogCard),
  collars: z.array(Collar),
  links: z.array(LinkBalance),
  day: z.iso.date(),
  plannedThen: z.array(RecordId),
});
export type ClassPage = z.infer<typeof ClassPage>;
