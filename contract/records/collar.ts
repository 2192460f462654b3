import { CONDITIONS } from '@banter/core';
import { COLLAR_KIND_NAMES, collarKind } from '../collars/collar-kinds.ts';
import { carryIssues } from '../nested-issues.ts';
import { z } from '../plain-words.ts';
import { Instant, line, namedLine, RecordId } from './common.ts';

/** Metals of a collar. Common practice. */
export const METALS = ['chrome-plated', 'stainless', 'nickel-free alloy', 'blackened stainless'] as const;

/**
 * A collar by its kind's own numbers: one that the kennel owns, or one that could be bought (`owned` false), which is sized with at
 * the bench and counts nowhere else. `measuredOn` is null while the numbers are typical values and nobody has laid a ruler on it.
 */
export const CollarFacts = z
  .strictObject({
    kind: z.enum(COLLAR_KIND_NAMES),
    name: namedLine(60),
    metal: z.enum(METALS).nullable(),
    numbers: z.record(z.string(), z.unknown()),
    condition: z.enum(CONDITIONS),
    measuredOn: z.iso.date().nullable(),
    owned: z.boolean().default(true),
    note: line(400),
    retiredAt: Instant.nullable(),
  })
  .check(({ value, issues }) => {
    carryIssues(issues, collarKind(value.kind).numbers.safeParse(value.numbers), value.numbers, ['numbers']);
  });
export type CollarFacts = z.infer<typeof CollarFacts>;

export const Collar = z.object({ ...CollarFacts.shape, id: RecordId, version: z.number().int() });
export type Collar = z.infer<typeof Collar>;
