import { CONDITIONS } from '@banter/core';
import { z } from '../plain-words.ts';
import { between } from '../plain-words.ts';
import { Instant, line, namedLine, passage, RecordId } from './common.ts';

/** What hangs in the locker beside collars. Common practice. */
export const GEAR = ['leash', 'long line', 'slip leash', 'snap', 'carabiner', 'coupler', 'safety strap', 'raised bed', 'mat', 'pouch'] as const;
export type GearName = (typeof GEAR)[number];

export const GearFacts = z.strictObject({
  what: z.enum(GEAR),
  name: namedLine(60),
  lengthMm: between(1, 40_000).nullable(),
  widthMm: between(1, 3000).nullable(),
  colour: line(40),
  material: line(60),
  condition: z.enum(CONDITIONS),
  /** How heavy it is, g, and whether it is made for load; null: not logged. Asked once for a piece. */
  massG: between(0, 2000).nullable().default(null),
  loadRated: z.boolean().nullable().default(null),
  note: passage(400),
  retiredAt: Instant.nullable(),
});
export type GearFacts = z.infer<typeof GearFacts>;
export const Gear = z.object({ ...GearFacts.shape, id: RecordId, version: z.number().int() });
export type Gear = z.infer<typeof Gear>;

/** What is sent to keep a piece as it is, or with something else said of it. */
export const gearFactsOf = ({ id: _id, version: _version, ...facts }: Gear): GearFacts => facts;

/** Something to buy, for a dog or for the locker; `boughtAt` once it is. */
export const WantFacts = z.strictObject({ what: namedLine(300), dogId: RecordId.nullable(), boughtAt: Instant.nullable() });
export type WantFacts = z.infer<typeof WantFacts>;
export const Want = z.object({ ...WantFacts.shape, id: RecordId, version: z.number().int() });
export type Want = z.infer<typeof Want>;
