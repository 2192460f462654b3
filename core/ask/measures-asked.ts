/** A measure that could be asked for, and how far off the number is that stands for it until then. */
export type UnsureMeasure<Id extends string> = { id: Id; plusMinusMm: number };

/** How far each number is moved within its spread, mm; what is left out is not moved. */
export type Moved<Id extends string> = Partial<Record<Id, number>>;

/** Where a spread is tried: its ends, and so finely between them that no window of a collar is stepped over. */
const PLACES = [-1, -0.75, -0.5, -0.25, 0, 0.25, 0.5, 0.75, 1];
/** Of several together, whose sums lie between. */
const FEWER_PLACES = [-1, -0.5, 0, 0.5, 1];

/** Every combination of places within the spreads of some measures. */
function* movesOf<Id extends string>(unsure: readonly UnsureMeasure<Id>[]): Generator<Moved<Id>> {
  const [first, ...rest] = unsure;
  if (first === undefined) {
    yield {};
    return;
  }
  const places = unsure.length > 1 ? FEWER_PLACES : PLACES;
  for (const others of movesOf(rest)) for (const place of places) yield { ...others, [first.id]: place * first.plusMinusMm } as Moved<Id>;
}

/** What an answer can be while these measures are as unsure as they are: the one that stands first, each once. */
export function answersWithin<Id extends string, Answer>(
  unsure: readonly UnsureMeasure<Id>[],
  answer: (moved: Moved<Id>) => Answer,
  keyOf: (answer: Answer) => string,
): Answer[] {
  const found = new Map<string, Answer>([answer({}), ...[...movesOf(unsure)].map(answer)].map((one) => [keyOf(one), one]));
  const first = keyOf(answer({}));
  return [found.get(first)!, ...[...found].filter(([key]) => key !== first).map(([, one]) => one)];
}

/**
 * Which measures to ask for: those that could change the answer, the one that moves it alone first, then whatever of the rest could
 * change it together, the least sure first. What is not asked changes nothing anywhere within its spread. An answer that is one value
 * between its ends is taken to be that value throughout, as a collar's link count and verdict are. Common practice: ask only what can
 * change the answer.
 *
 * @example measuresAsked([{ id: 'head', plusMinusMm: 50 }], ({ head = 0 }) => (430 + head > 410 ? 'holds' : 'passes')) // ['head']
 */
export function measuresAsked<Id extends string>(unsure: readonly UnsureMeasure<Id>[], answer: (moved: Moved<Id>) => string): Id[] {
  const changes = (some: readonly UnsureMeasure<Id>[]) => answersWithin(some, answer, (one) => one).length > 1;
  const asked = unsure.filter((one) => one.plusMinusMm > 0 && changes([one]));
  let rest = unsure.filter((one) => one.plusMinusMm > 0 && !asked.includes(one)).sort((a, b) => a.plusMinusMm - b.plusMinusMm);
  while (rest.length > 1 && changes(rest)) {
    asked.push(rest.at(-1)!);
    rest = rest.slice(0, -1);
  }
  return asked.map(({ id }) => id);
}
