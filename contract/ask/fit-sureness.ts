import {
  answersWithin,
  guessedGirth,
  HEAD_TO_HIGH,
  insideOfCollar,
  measuresAsked,
  type FittingDog,
  type FitTone,
  type House,
  type Moved,
  type SureNumber,
} from '@banter/core';
import { collarKind, type CollarKindName } from '../collars/collar-kinds.ts';
import type { StockedCollar } from '../collars/collar-kind.ts';
import type { KindFit } from '../collars/fit-all.ts';
import type { Taping } from '../records/taping.ts';

/** A measure that could change what a collar comes to on a dog. */
export type AskedMeasure = 'collar' | 'high' | 'head';
/** What settles it: a measure, or, where the tape can do no better, the fit check on the dog. */
export type Settling = AskedMeasure | 'check';

/** How sure the girths are that a fit rests on; the head is a guess until it is taped. */
export type SureNeck = { high: SureNumber; head: SureNumber };

/** How sure a fit is: what could settle it and what that decides, and, where it is not settled, its verdict and what to do in words that say so, and the fewest and most links that it could be. */
export type FitSureness = {
  asks: { by: Settling; says: string }[];
  verdict: string | null;
  tone: FitTone | null;
  sentence: string | null;
  links: readonly [number, number] | null;
};

const SURE: FitSureness = { asks: [], verdict: null, tone: null, sentence: null, links: null };

const tapedGirth = ({ tapedMm: mm, result, readingsMm }: Taping): SureNumber => ({
  mm,
  plusMinusMm: result.plusMinusMm,
  from: readingsMm.length > 2 ? 'taped' : 'one-reading',
});

/** The girths of a dog with how far each may be off; null without a high girth. */
export function sureNeck(dog: Pick<FittingDog, 'neckBuild'>, tapes: Partial<Record<Taping['site'], Taping>>, rules: House['rules']): SureNeck | null {
  const { high, head } = tapes;
  if (!high) return null;
  return { high: tapedGirth(high), head: head ? tapedGirth(head) : guessedGirth(high.tapedMm * HEAD_TO_HIGH[dog.neckBuild], rules) };
}

const ASK_WORDS: Record<Settling, string> = {
  collar: 'Measure the collar',
  high: 'Tape the high girth again',
  head: 'Tape the head',
  check: 'Check it on the dog',
};

type Came = { verdict: string; links: number | null };

/** `14 or 15`, `4 to 7`. */
const between = (least: number, most: number) => `${least} ${most - least === 1 ? 'or' : 'to'} ${most}`;
const span = (numbers: readonly number[]) => [Math.min(...numbers), Math.max(...numbers)] as const;

/**
 * How sure it is what a collar comes to on a dog: which measures could still change its verdict or its link count, by the spread of
 * the tape, of a head that was only guessed, and of a collar that nobody measured. Inside a collar that hands have been in nothing is
 * asked. Common practice: ask only what can change the answer.
 */
export function fitSureness(
  name: CollarKindName,
  dog: FittingDog,
  sure: SureNeck,
  collar: StockedCollar<unknown> & { measured: boolean },
  house: House,
): FitSureness {
  const kind = collarKind(name);
  if (kind.missing(dog).length > 0 || dog.byHands?.[collar.id] !== undefined) return SURE;
  const links = kind.links?.(collar.numbers) ?? null;
  const headMm = dog.headGirthMm ?? sure.head.mm;
  const known = new Map<string, Came>();
  const came = ({ collar: insideMm = 0, high = 0, head = 0 }: Moved<AskedMeasure>): Came => {
    // A collar that is longer than its numbers is to this dog what its numbers are to a smaller one.
    const [neckBy, headBy] = [high - insideMm, head - insideMm];
    const at = `${neckBy} ${headBy}`;
    const before = known.get(at);
    if (before) return before;
    const moved = (mm: number | null) => (mm === null ? null : mm + neckBy);
    const neck: FittingDog = {
      ...dog,
      skinGirthMm: moved(dog.skinGirthMm),
      tapedGirthMm: moved(dog.tapedGirthMm),
      hairGirthMm: moved(dog.hairGirthMm),
      headGirthMm: headMm + headBy,
    };
    const { choice, all } = kind.suggest(neck, [collar], house);
    const [best] = all;
    const { choices } = choice ?? best!;
    const found = { verdict: best!.verdict, links: links && links.inIt(kind.fittedSetting(choices)) };
    known.set(at, found);
    return found;
  };
  const keyOf = ({ verdict, links: count }: Came) => `${verdict} ${count}`;
  const unsure = [
    { id: 'collar' as const, plusMinusMm: kind.insideByNumbers ? insideOfCollar(0, collar.measured, house.rules).plusMinusMm : 0 },
    { id: 'high' as const, plusMinusMm: sure.high.plusMinusMm },
    { id: 'head' as const, plusMinusMm: sure.head.plusMinusMm },
  ];
  const asked = measuresAsked(unsure, (moved) => keyOf(came(moved)));
  if (asked.length === 0) return SURE;

  const within = (some: readonly AskedMeasure[]) =>
    answersWithin(
      unsure.filter(({ id }) => some.includes(id)),
      came,
      keyOf,
    );
  const linksOf = (some: readonly Came[]) => span(some.map(({ links: count }) => count ?? 0));
  const decides = (measure: AskedMeasure) => {
    const [least, most] = linksOf(within([measure]));
    if (least !== most) return `how many links, ${between(least, most)}`;
    return measure === 'head' ? 'whether it can come over the head' : 'whether it fits';
  };
  // What has been taped as it should be is settled by hands.
  const settling = (measure: AskedMeasure): Settling => (measure !== 'collar' && sure[measure].from === 'taped' ? 'check' : measure);
  const asks = asked.map((measure) => ({ by: settling(measure), says: `${ASK_WORDS[settling(measure)]}: decides ${decides(measure)}.` }));
  const open = asked.filter((measure) => settling(measure) !== 'check');
  const answers = within(open);
  const [least, most] = linksOf(answers);
  if (least === most || links === null) return { asks, verdict: `Just: ${answers[0]!.verdict.toLowerCase()}`, tone: null, sentence: null, links: null };
  const [fewest, furthest] = [least - links.stocked, most - links.stocked];
  const what =
    fewest > 0
      ? `put in about ${between(fewest, furthest)} links`
      : furthest < 0
        ? `take out about ${between(-furthest, -fewest)} links`
        : `about ${between(least, most)} links, stocked with ${links.stocked}`;
  return { asks, verdict: `About ${between(least, most)} links`, tone: 'open', sentence: `${ASK_WORDS[open[0]!]}: ${what}.`, links: [least, most] };
}

/** A fit of a kind with its verdict as sure as its numbers are: the same words as at the bench. */
export function asSureAsItIs(fit: KindFit, dog: FittingDog, sure: SureNeck | null, stock: readonly StockedCollar<unknown>[], house: House): KindFit {
  const collar = stock.find(({ id }) => id === fit.collarId);
  if (!sure || !collar || fit.missing.length > 0) return fit;
  const { verdict, tone, sentence } = fitSureness(fit.kind, dog, sure, { ...collar, measured: collar.measured ?? true }, house);
  return verdict === null ? fit : { ...fit, verdict, tone: tone ?? fit.tone, sentence: sentence ?? fit.sentence };
}
