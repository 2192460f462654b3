import { PROGRAMME_TEMPLATES } from '@banter/core';
import { COLLAR_KIND_NAMES } from '../collars/collar-kinds.ts';
import { oneEach, z } from '../plain-words.ts';
import { line, namedLine, RecordId } from './common.ts';
import { StageShape } from './programme.ts';

/** A programme of the kennel's own. A dog that begins it takes a copy: what is changed here afterwards changes no dog that is in it. */
export const KennelTemplateFacts = z.strictObject({
  /** The trade's programme it was made from; null: from nothing. */
  basedOn: z.enum(PROGRAMME_TEMPLATES.map(({ id }) => id) as [string, ...string[]]).nullable(),
  name: namedLine(60),
  about: line(300),
  kinds: z.array(z.enum(COLLAR_KIND_NAMES)).min(1, 'Choose at least one kind of collar.').max(COLLAR_KIND_NAMES.length),
  stages: z.array(StageShape).min(1, 'A programme has at least one stage.').max(12).check(oneEach('id')),
  /** No longer offered. */
  retired: z.boolean(),
});
export type KennelTemplateFacts = z.infer<typeof KennelTemplateFacts>;
export const KennelTemplate = KennelTemplateFacts.extend({ id: RecordId, version: z.number().int() });
export type KennelTemplate = z.infer<typeof KennelTemplate>;
export const TemplatesPage = z.object({
  templates: z.array(KennelTemplate),
  /** How many dogs are in each now, by id. */
  running: z.record(z.string(), z.number()),
});
export type TemplatesPage = z.infer<typeof TemplatesPage>;
