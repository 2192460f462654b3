import { z } from '../plain-words.ts';
import { Collar } from '../records/collar.ts';
import { RecordId } from '../records/common.ts';
import { LinkBalance } from '../records/link-move.ts';

/** What a class is kitted up from, in one answer: whose sessions are on the kennel's next day, what is in the locker and sound, where its links are, and which dog each collar is on. */
export const ClassPage = z.object({
  day: z.iso.date(),
  planned: z.array(z.object({ id: RecordId, name: z.string() })),
  collars: z.array(Collar),
  links: z.array(LinkBalance),
  worn: z.array(z.object({ collarId: RecordId, dogId: RecordId })),
});
export type ClassPage = z.infer<typeof ClassPage>;
