import { COLLAR_KIND_NAMES, RIG_CATALOGUE } from '../collars/collar-kinds.ts';
import { between, z } from '../plain-words.ts';
import { line, namedLine, RecordId } from './common.ts';

/** What a dog wears beside its fits: an owner's own collar, a band, a harness. Common practice. */
export const STACK_EXTRAS = ['flat collar', 'tag collar', 'parasite band', 'harness', 'other'] as const;

const PART_KINDS = Object.keys(RIG_CATALOGUE.parts) as [string, ...string[]];
const JOINTS = Object.keys(RIG_CATALOGUE.joints) as [string, ...string[]];

const key = namedLine(40);
/** One thing of a stack: the fit of a kind, or something beside. Widths down the neck, mm. */
export const StackEntry = z.discriminatedUnion('as', [
  z.strictObject({ as: z.literal('fit'), kind: z.enum(COLLAR_KIND_NAMES) }),
  z.strictObject({
    as: z.literal('extra'),
    key,
    what: z.enum(STACK_EXTRAS),
    name: line(60),
    widthMm: between(1, 200),
    /** Of a flat collar: whether it was seen that it stays on the head, and whether its buckle is plastic. */
    holds: z.boolean().nullable(),
    plastic: z.boolean(),
  }),
]);
export type StackEntry = z.infer<typeof StackEntry>;

export const RigPartShape = z.strictObject({
  id: namedLine(60),
  kind: z.enum(PART_KINDS),
  from: z.enum(JOINTS),
  to: z.enum(JOINTS),
  slackMm: between(0, 3000).nullable(),
  massG: between(0, 2000).nullable(),
  loadRated: z.boolean().nullable(),
  gearId: RecordId.nullable().default(null),
});

/** How a dog is dressed for work: the stack from the ears down, and the rig as parts. One for each dog, under the dog’s own id. */
export const DressingFacts = z.strictObject({ stack: z.array(StackEntry).max(12), rig: z.array(RigPartShape).max(60) }).check(({ value, issues }) => {
  const once = (names: readonly string[], path: string, message: string) => {
    const seen = new Set<string>();
    names.forEach((name, index) => {
      if (seen.has(name)) issues.push({ code: 'custom', path: [path, index], input: name, message });
      seen.add(name);
    });
  };
  once(
    value.stack.map((entry) => (entry.as === 'fit' ? entry.kind : `extra ${entry.key}`)),
    'stack',
    'This is on the neck already.',
  );
  once(
    value.rig.map(({ id }) => id),
    'rig',
    'Another part has this id already.',
  );
});
export type DressingFacts = z.infer<typeof DressingFacts>;
export const Dressing = z.object({ ...DressingFacts.shape, id: RecordId, version: z.number().int() });
export type Dressing = z.infer<typeof Dressing>;
