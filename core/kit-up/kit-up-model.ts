/**
 * A collar that a dog could wear tomorrow: how many links of which gauge go in (positive) or come out of it for that, against how it
 * is made up now. A collar without links has none to move.
 */
export type KitOption = { collarId: string; gaugeMm: number | null; change: number; /** The dog wears it already. */ worn?: boolean };
/** A collar that could be bought for a dog: which, and the links that go in or come out of it as it is sold. */
export type KitBuy = { stockId: string; gaugeMm: number | null; change: number };
/** A dog of the class, with all it could wear out of the locker, and what could be bought for it. */
export type KitDog = { id: string; options: readonly KitOption[]; buys: readonly KitBuy[] };
/** A class to be kitted up: its dogs, and the loose links in the bag by gauge. */
export type KitCase = { dogs: readonly KitDog[]; bag: readonly { gaugeMm: number; links: number }[] };

/** Who gets what: a collar of the locker, one to buy, or nothing that would do. */
export type KitGiven = { dogId: string; given: { from: 'locker'; option: KitOption } | { from: 'shop'; buy: KitBuy } | { from: 'nowhere' } };
/** A class kitted up: who gets what, the links to buy by gauge, and what it comes to. */
export type KitUp = { given: KitGiven[]; buyLinks: { gaugeMm: number; links: number }[]; bought: number; linksBought: number; linksMoved: number };

/** What is least, one after the other: dogs without a collar, collars bought, links bought, links moved, dogs that get another collar than they wear. */
export const KIT_STAGES = ['nothing', 'collars', 'links', 'moves', 'others'] as const;
export type KitStage = (typeof KIT_STAGES)[number];

/** A program of whole numbers as a solver reads it, asked for one stage with what the stages before came to held fast; and how its answer is read. */
export type KitModel = {
  lp: (stage: KitStage, reached: Readonly<Partial<Record<KitStage, number>>>) => string;
  read: (value: (name: string) => number) => KitUp;
};
/** What a solver answers: whether it is the best there is, its cost, and each variable by name. */
export type Solved = { optimal: boolean; cost: number; value: (name: string) => number };

type Term = readonly [factor: number, name: string];
const sumOf = (all: readonly Term[]): string | null => {
  const some = all.filter(([factor]) => factor !== 0);
  return some.length === 0 ? null : some.map(([factor, name], index) => `${factor < 0 ? '-' : index === 0 ? '' : '+'} ${Math.abs(factor)} ${name}`).join(' ');
};

/**
 * Kitting up a class as a program of whole numbers: each dog gets one collar or one is bought for it, each collar goes to one dog,
 * and of each gauge no more links go in than come out, lie in the bag and are bought. The format is CPLEX LP. Source: the
 * assignment problem, Kuhn, Naval Research Logistics Quarterly 2 (1955), 83–97, with a shared store of links, which makes it one
 * of whole numbers; own formulation.
 */
export function kitUpModel({ dogs, bag }: KitCase): KitModel {
  const gauges = [
    ...new Set([...bag.map(({ gaugeMm }) => gaugeMm), ...dogs.flatMap(({ options, buys }) => [...options, ...buys].flatMap(({ gaugeMm }) => gaugeMm ?? []))]),
  ];
  const take = dogs.map(({ options }, dog) => options.map((option, index) => ({ name: `t${dog}_${index}`, ...option })));
  const buy = dogs.map(({ buys }, dog) => buys.map((one, index) => ({ name: `b${dog}_${index}`, ...one })));
  const none = dogs.map((_one, dog) => `n${dog}`);
  const links = gauges.map((_gauge, index) => `l${index}`);
  const given = [...take.flat(), ...buy.flat()];
  const costs: Record<KitStage, Term[]> = {
    nothing: none.map((name) => [1, name]),
    collars: buy.flat().map(({ name }) => [1, name]),
    links: links.map((name) => [1, name]),
    moves: given.map(({ name, change }) => [Math.abs(change), name]),
    others: given.map((one) => ['worn' in one && one.worn ? 0 : 1, one.name]),
  };
  const each = dogs.map((_dog, index) => `${sumOf([...take[index]!, ...buy[index]!].map(({ name }): Term => [1, name]).concat([[1, none[index]!]]))} = 1`);
  const once = [...new Set(take.flat().map(({ collarId }) => collarId))].map(
    (id) => `${sumOf(take.flat().flatMap(({ collarId, name }): Term[] => (collarId === id ? [[1, name]] : [])))} <= 1`,
  );
  const held = gauges.flatMap((gauge, index) => {
    const moved = given.flatMap(({ gaugeMm, change, name }): Term[] => (gaugeMm === gauge && change !== 0 ? [[change, name]] : []));
    return moved.length === 0 ? [] : [`${sumOf([...moved, [-1, links[index]!]])} <= ${bag.find(({ gaugeMm }) => gaugeMm === gauge)?.links ?? 0}`];
  });
  return {
    lp: (stage, reached) => {
      const fast = KIT_STAGES.flatMap((one) => (reached[one] === undefined || !sumOf(costs[one]) ? [] : [`${sumOf(costs[one])} <= ${reached[one]}`]));
      return [
        'Minimize',
        ` cost: ${sumOf(costs[stage]) ?? `0 ${none[0]}`}`,
        'Subject To',
        ...[...each, ...once, ...held, ...fast].map((line, index) => ` r${index}: ${line}`),
        ...(links.length > 0 ? ['Bounds', ...links.map((name) => ` 0 <= ${name} <= ${MOST_LINKS}`), 'General', ...links.map((name) => ` ${name}`)] : []),
        'Binary',
        ...[...given.map(({ name }) => name), ...none].map((name) => ` ${name}`),
        'End',
      ].join('\n');
    },
    read: (value) => {
      const on = ({ name }: { name: string }) => value(name) > 0.5;
      const all = dogs.map(({ id, options, buys }, dog): KitGiven => {
        const own = take[dog]!.findIndex(on);
        if (own >= 0) return { dogId: id, given: { from: 'locker', option: options[own]! } };
        const bought = buy[dog]!.findIndex(on);
        return { dogId: id, given: bought >= 0 ? { from: 'shop', buy: buys[bought]! } : { from: 'nowhere' } };
      });
      const buyLinks = gauges.flatMap((gaugeMm, index) => {
        const count = Math.round(value(links[index]!));
        return count > 0 ? [{ gaugeMm, links: count }] : [];
      });
      return { given: all, buyLinks, ...kitUpCost(all, buyLinks) };
    },
  };
}

/** Nobody buys more links of a gauge for one class than this. */
const MOST_LINKS = 2000;

/**
 * Kits a class up with a solver of whole numbers: stage by stage, what came before held fast, so that each stage is provably least
 * and none is weighed against another. Null where the solver cannot say that it is.
 */
export function solveKitUp(one: KitCase, solve: (lp: string) => Solved): KitUp | null {
  const model = kitUpModel(one);
  const reached: Partial<Record<KitStage, number>> = {};
  let last: Solved | null = null;
  for (const stage of KIT_STAGES) {
    last = solve(model.lp(stage, reached));
    if (!last.optimal) return null;
    reached[stage] = Math.round(last.cost);
  }
  return model.read(last!.value);
}

/** What a way of kitting up comes to. */
export function kitUpCost(given: readonly KitGiven[], buyLinks: KitUp['buyLinks']): Pick<KitUp, 'bought' | 'linksBought' | 'linksMoved'> {
  const changes = given.map(({ given: one }) => (one.from === 'locker' ? one.option.change : one.from === 'shop' ? one.buy.change : 0));
  return {
    bought: given.filter(({ given: one }) => one.from === 'shop').length,
    linksBought: buyLinks.reduce((sum, { links }) => sum + links, 0),
    linksMoved: changes.reduce((sum, change) => sum + Math.abs(change), 0),
  };
}
