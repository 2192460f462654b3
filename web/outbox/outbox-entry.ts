import { NewHappening, z, type FieldError, type MadePath } from '@banter/contract';

/** How an entry stands: to be sent, waiting for another that has not arrived there, kept by the kennel, or refused with a sentence. */
export const EntryStatus = z.enum(['to-send', 'waits', 'kept', 'refused']);
export type EntryStatus = z.infer<typeof EntryStatus>;
export const isOnItsWay = (status: EntryStatus | undefined): boolean => status === 'to-send' || status === 'waits';

/** Records that are made in the yard and go through the outbox: their path, and what each is called. */
export const YARD_RECORDS = {
  'skin-looks': 'Skin check',
  'fit-checks': 'Fit check',
  tapings: 'Taping',
  weighings: 'Weighing',
} as const satisfies Record<MadePath, string>;
export type YardRecord = MadePath;

/** What is sent: things that happened, kept whole or not at all; a record under its own id; or a photo, whose bytes lie in the photo box under the entry's id. */
const Sent = z.discriminatedUnion('is', [
  z.object({ is: z.literal('happenings'), source: z.enum(['hand', 'stand-in']), happenings: z.array(NewHappening).min(1) }),
  z.object({ is: z.literal('photo') }),
  z.object({ is: z.literal('record'), path: z.enum(Object.keys(YARD_RECORDS) as [YardRecord, ...YardRecord[]]), body: z.record(z.string(), z.unknown()) }),
]);

/** Something that somebody did and that is on its way to the kennel, in the order in which it was done. */
export const OutboxEntry = z.object({
  /** The record's id, or that of the first thing that happened. */
  id: z.string(),
  seq: z.number(),
  /** When it was written down here, ISO. */
  at: z.string(),
  status: EntryStatus,
  message: z.string(),
  /** What it says, for whoever looks at what has not been sent; empty where its events say it themselves. */
  words: z.string(),
  /** Not sent before this, ISO: so long whoever tapped it can take it back, and it has never been. */
  notBefore: z.string().optional(),
  sent: Sent,
});
export type OutboxEntry = z.infer<typeof OutboxEntry>;

/** An entry of this device that this Banter cannot read: it is sent nowhere and holds up nothing, and stays until somebody drops it. */
export type UnreadEntry = { id: string; what: string; at: string };

/** What an entry tells of what happened; nothing for a record. */
export const happeningsOf = ({ sent }: OutboxEntry): readonly NewHappening[] => (sent.is === 'happenings' ? sent.happenings : []);

/** What became of an entry: kept, with the kennel's answer where there is one; refused; or still on this device. */
export type EntryOutcome = { is: 'kept'; answer: unknown } | { is: 'refused'; message: string; errors: readonly FieldError[] } | { is: 'boxed' };
