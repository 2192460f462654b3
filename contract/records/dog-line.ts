import { benchSpeaker, type KennelLengthUnit, type NeckTape } from '@banter/core';
import { COLLAR_KIND_NAMES } from '../collars/collar-kinds.ts';
import { drawnFits } from '../neck/drawn-collar.ts';
import { neckTapeOf } from '../neck/neck-tape.ts';
import { z } from '../plain-words.ts';
import { Instant, RecordId } from './common.ts';
import type { Kennel } from './kennel.ts';
import { Cursor } from './list-page.ts';
import { NEXT_STEP_PLACES, NEXT_STEP_TONES, nextStep, wornFitLine } from './next-step.ts';
import type { DogCard } from './pages.ts';
import { latestGirths } from './taping.ts';

/** A sentence in each unit of length that a screen may be switched to. */
const InUnits = z.object({ cm: z.string(), in: z.string() });

/** A dog as the list of dogs shows it: who it is, its neck with what it wears, what was decided, and the next step. */
export const DogLine = z.object({
  id: RecordId,
  name: z.string(),
  breed: z.string(),
  bornOn: z.iso.date().nullable(),
  weightG: z.number().nullable(),
  /** Null while the high girth is not taped. */
  neck: z
    .object({
      tape: z.object({ highMm: z.number(), midMm: z.number().optional(), baseMm: z.number().optional(), lengthMm: z.number().optional() }),
      collars: z.array(
        z.object({
          kind: z.enum(COLLAR_KIND_NAMES),
          collar: z.object({ id: z.string(), name: z.string(), numbers: z.record(z.string(), z.unknown()) }),
          setting: z.unknown(),
          ringAt: z.number(),
          topMm: z.number().optional(),
        }),
      ),
      bands: z.array(z.object({ key: z.string(), label: z.string(), topMm: z.number(), widthMm: z.number(), strap: z.boolean() })),
    })
    .nullable(),
  step: z.object({ kind: z.enum(COLLAR_KIND_NAMES).optional(), goTo: z.enum(NEXT_STEP_PLACES).nullable(), tone: z.enum(NEXT_STEP_TONES), says: InUnits }),
  decided: z.object({ says: InUnits, at: Instant }).nullable(),
});
export type DogLine = z.infer<typeof DogLine>;

/** The lists of dogs: those that are here, and those that are put away. */
export const DOG_LISTS = ['here', 'away'] as const;
export type DogList = (typeof DOG_LISTS)[number];
export const DogsAsked = z.object({ list: z.enum(DOG_LISTS).default('here'), search: z.string().max(100).default(''), after: Cursor.optional() });

/** A part of the list of dogs, whose next step is pressing first, and how many there are. */
export const DogLines = z.object({ rows: z.array(DogLine), next: Cursor.nullable(), counts: z.object({ here: z.number().int(), away: z.number().int() }) });
export type DogLines = z.infer<typeof DogLines>;

/** A dog's line out of its card, on a day (ISO) in the kennel's zone. */
export function dogLine(card: DogCard, kennel: Kennel, today: string): DogLine {
  const { dog, fits } = card;
  const tape: NeckTape | null = neckTapeOf(latestGirths(card.girths));
  const speakers = (['cm', 'in'] satisfies KennelLengthUnit[]).map((unit) => [unit, benchSpeaker(unit, kennel.massUnit)] as const);
  const inUnits = (say: (speak: ReturnType<typeof benchSpeaker>) => string) =>
    Object.fromEntries(speakers.map(([unit, speak]) => [unit, say(speak)])) as z.infer<typeof InUnits>;
  const { sentence: _sentence, ...step } = nextStep(card, { kennel, today }, speakers[0]![1]);
  const [latest] = fits;
  return {
    id: dog.id,
    name: dog.name,
    breed: dog.breed,
    bornOn: dog.bornOn,
    weightG: dog.weightG,
    neck: tape && { tape: tape as NonNullable<DogLine['neck']>['tape'], ...drawnFits(fits, dog, kennel) },
    step: { ...step, says: inUnits((speak) => nextStep(card, { kennel, today }, speak).sentence) },
    decided: latest ? { says: inUnits((speak) => fits.map((fit) => wornFitLine(fit, speak)).join('; ')), at: (latest.check ?? latest.plan).at } : null,
  };
}
