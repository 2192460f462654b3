import { z } from '../plain-words.ts';
import { Instant, Kept, line, namedLine, passage, RecordId } from './common.ts';
import { LevelsPage } from './levels-page.ts';
import { NeckPage } from './pages.ts';
import { KeyHash } from './private-key.ts';

const Line = z.object({ key: z.string(), label: z.string(), text: z.string() });
export type SheetLine = z.infer<typeof Line>;

/** What is drawn on a handover, as the drawings take it. */
const SheetDrawings = z.object({
  neck: z
    .object({
      tape: z.object({ highMm: z.number(), midMm: z.number().optional(), baseMm: z.number().optional(), lengthMm: z.number().optional() }),
      collars: z.array(z.looseObject({ kind: z.string() })),
      breed: z.string().optional(),
      bands: z.array(z.object({ key: z.string(), label: z.string(), topMm: z.number(), widthMm: z.number(), strap: z.boolean() })),
    })
    .nullable(),
  /** Where the ring sits and the leash runs. */
  side: z.object({ clock: z.number(), leashSide: z.enum(['left', 'right']) }).nullable(),
  /** Whether a slip is worn, whose loop is a P or a mirrored one. */
  letter: z.boolean(),
  /** Places of the contacts in the order in which they are used, and the girth and footprint they are drawn to, mm. */
  clock: z.object({ girthMm: z.number(), footprintMm: z.number(), places: z.array(z.number()), resting: z.array(z.number()) }).nullable(),
});

/** One or two pages for the owner of one dog, in plain words and the owner's units, as data: sections of lines, the daily check, what is drawn. */
export const HandoverSheet = z.object({
  dogName: z.string(),
  facts: z.string(),
  worksOn: z.enum(['left', 'right']),
  kennelName: z.string(),
  lengthUnit: z.enum(['in', 'cm']),
  massUnit: z.enum(['lb', 'kg']),
  /** What matters most, in a sentence. */
  lead: z.string(),
  sections: z.array(z.object({ key: z.string(), title: z.string(), lines: z.array(Line) })),
  daily: z.array(z.object({ key: z.string(), text: z.string() })),
  cautions: z.array(z.string()),
  drawings: SheetDrawings,
});
export type HandoverSheet = z.infer<typeof HandoverSheet>;

/** A dog handed over: to whom, whom they call, in which units they think, and what else they should know. The sheet is made of the records as they stand. */
export const NewHandover = z.strictObject({
  dogId: RecordId,
  toWhom: namedLine(120),
  callWhom: namedLine(160),
  lengthUnit: z.enum(['in', 'cm']),
  massUnit: z.enum(['lb', 'kg']),
  note: passage(1200),
  at: Instant,
});
export type NewHandover = z.infer<typeof NewHandover>;
export const Handover = z.object({ ...NewHandover.shape, id: RecordId, sheet: HandoverSheet, ...Kept.shape });
export type Handover = z.infer<typeof Handover>;

/** So long an owner's link holds at most, days. From memory: a season of walking on. */
export const OWNER_LINK_DAYS = 180;

/** A private link for the owner of one dog. It shows the latest handover and takes ticks of the daily check, and runs out. */
export const OwnerLinkFacts = z.strictObject({ dogId: RecordId, name: namedLine(80), keyHash: KeyHash, expiresAt: Instant, revokedAt: Instant.nullable() });
export type OwnerLinkFacts = z.infer<typeof OwnerLinkFacts>;
export const OwnerLink = z.object({ ...OwnerLinkFacts.shape, id: RecordId, version: z.number().int(), lastSeenAt: Instant.nullable() });
export type OwnerLink = z.infer<typeof OwnerLink>;

/** What an owner can say that is not right, or that was done: the kennel sees it under its dues. Common practice. */
export const OWNER_SAYS = ['pink', 'slid', 'loose', 'no-answer', 'opened', 'moved', 'off'] as const;
export type OwnerSaying = (typeof OWNER_SAYS)[number];

/** What was done with an owner’s link: opened, the pages taken, a line of the daily check ticked or unticked, something said or taken back. */
export const OWNER_VISITS = ['opened', 'paper', 'ticked', 'unticked', 'said', 'unsaid'] as const;
export const OwnerVisit = z.object({
  id: RecordId,
  linkId: RecordId,
  what: z.enum(OWNER_VISITS),
  /** The line of the daily check or what was said, and the day it was done for. */
  item: z.string(),
  day: z.iso.date().nullable(),
  at: Instant,
});
export type OwnerVisit = z.infer<typeof OwnerVisit>;

/** What was handed over of a dog, the latest first, its owners' links and what was done with them. */
export const HandoversPage = z.object({
  neck: NeckPage,
  levels: LevelsPage,
  handovers: z.array(Handover),
  links: z.array(OwnerLink),
  visits: z.array(OwnerVisit),
});
export type HandoversPage = z.infer<typeof HandoversPage>;

const Key = z.string().regex(/^[0-9a-f]{64}$/, 'This link is not whole.');
export const OwnerAsked = z.strictObject({ key: Key });
/** A line of the daily check, done or not after all; its id is made by whoever ticks, so that a repeated tick is the same. */
export const OwnerTick = z.strictObject({ key: Key, id: RecordId, item: line(60), done: z.boolean() });
export type OwnerTick = z.infer<typeof OwnerTick>;
/** Something that the owner says of today, or takes back; its id is made by whoever says it. */
export const OwnerSays = z.strictObject({ key: Key, id: RecordId, says: z.enum(OWNER_SAYS), done: z.boolean() });
export type OwnerSays = z.infer<typeof OwnerSays>;

/** What an owner sees: the handover, today's ticks and those of the last days. */
export const OwnerPage = z.object({
  name: z.string(),
  expiresAt: Instant,
  today: z.iso.date(),
  handover: z.object({ at: Instant, toWhom: z.string(), callWhom: z.string(), note: z.string(), sheet: HandoverSheet }).nullable(),
  ticks: z.array(z.object({ day: z.iso.date(), items: z.array(z.string()) })),
  /** What was said today and not taken back. */
  said: z.array(z.enum(OWNER_SAYS)),
  timeZone: z.string(),
});
export type OwnerPage = z.infer<typeof OwnerPage>;

/** The drawings of a sheet as SVG, each standing for itself; null for what this dog does not need. Drawn by the pages' own components. */
export type PaperDrawings = (sheet: HandoverSheet) => Promise<Record<'neck' | 'side' | 'letter' | 'clock', string | null>>;
