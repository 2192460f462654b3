/** The two ends of every rig. */
export const HAND = 'hand';
export const DOG = 'dog';

/** One part of a rig: an edge between two joints. A joint is where parts meet: a ring, the end of a leash, a hand. */
export type RigPart = { id: string; kind: string; from: string; to: string };

/** What a rig comes to when any of its parts may fail. */
export type RigRoutes = {
  /** Two routes with no common part. */
  sound: boolean;
  /** Whether anything leads from hand to dog at all. */
  connected: boolean;
  /** Parts whose loss parts hand from dog, from the hand on. */
  singlePoints: string[];
  /** A largest set of routes that share no part; ids from the hand to the dog. */
  routes: string[][];
  /** Parts that lie on no way from hand to dog: loose ends, and loops back to the joint they came from. */
  loose: string[];
};

/** A part seen from one of its joints. */
type Step = { part: number; to: string; forward: boolean };

function stepsByJoint(parts: readonly RigPart[]): Map<string, Step[]> {
  const steps = new Map<string, Step[]>([
    [HAND, []],
    [DOG, []],
  ]);
  parts.forEach(({ from, to }, part) => {
    for (const [joint, other, forward] of [[from, to, true] as const, [to, from, false] as const]) {
      if (!steps.has(joint)) steps.set(joint, []);
      steps.get(joint)!.push({ part, to: other, forward });
    }
  });
  return steps;
}

/**
 * The largest number of routes that share no part, by augmenting paths on unit capacities (Ford and Fulkerson 1956, shortest
 * first as by Edmonds and Karp 1972), and the routes themselves.
 */
function disjointRoutes(parts: readonly RigPart[], steps: ReadonlyMap<string, Step[]>): number[][] {
  /** Flow through a part: 1 from `from` to `to`, −1 the other way, 0 none. */
  const flow = parts.map(() => 0);
  for (;;) {
    const cameBy = new Map<string, { joint: string; step: Step } | null>([[HAND, null]]);
    const queue = [HAND];
    for (let joint = queue.shift(); joint !== undefined && !cameBy.has(DOG); joint = queue.shift()) {
      for (const step of steps.get(joint)!) {
        if (cameBy.has(step.to) || flow[step.part] === (step.forward ? 1 : -1)) continue;
        cameBy.set(step.to, { joint, step });
        queue.push(step.to);
      }
    }
    if (!cameBy.has(DOG)) break;
    for (let back = cameBy.get(DOG)!; back !== null; back = cameBy.get(back.joint)!) flow[back.step.part]! += back.step.forward ? 1 : -1;
  }

  const routes: number[][] = [];
  const carries = (step: Step) => flow[step.part] === (step.forward ? 1 : -1);
  for (;;) {
    const route: number[] = [];
    const passed = new Map<string, number>([[HAND, 0]]);
    let joint = HAND;
    while (joint !== DOG) {
      const step = steps.get(joint)!.find(carries);
      if (!step) return routes;
      flow[step.part] = 0;
      route.push(step.part);
      joint = step.to;
      // A flow may run in a ring; what leads back to a joint is no part of the route.
      const before = passed.get(joint);
      if (before === undefined) passed.set(joint, route.length);
      else route.length = before;
    }
    routes.push(route);
  }
}

/**
 * Which parts lie on some way from hand to dog that passes no joint twice: those in one block with a part laid between hand
 * and dog (blocks by depth-first search, Hopcroft and Tarjan 1973).
 */
function partsThatCarry(parts: readonly RigPart[], steps: ReadonlyMap<string, Step[]>): Set<number> {
  const virtual = parts.length;
  const around = (joint: string): Step[] => [
    ...(joint === HAND ? [{ part: virtual, to: DOG, forward: true }] : []),
    ...(joint === DOG ? [{ part: virtual, to: HAND, forward: false }] : []),
    ...steps.get(joint)!,
  ];
  const found = new Map<string, number>();
  const low = new Map<string, number>();
  const stack: number[] = [];
  let block = new Set<number>();
  const visit = (joint: string, cameBy: number): void => {
    found.set(joint, found.size);
    low.set(joint, found.get(joint)!);
    for (const step of around(joint)) {
      if (step.part === cameBy || step.to === joint) continue;
      const seen = found.get(step.to);
      if (seen !== undefined) {
        if (seen < found.get(joint)!) {
          stack.push(step.part);
          low.set(joint, Math.min(low.get(joint)!, seen));
        }
        continue;
      }
      stack.push(step.part);
      visit(step.to, step.part);
      low.set(joint, Math.min(low.get(joint)!, low.get(step.to)!));
      if (low.get(step.to)! >= found.get(joint)!) {
        const own = new Set(stack.splice(stack.lastIndexOf(step.part)));
        if (own.has(virtual)) block = own;
      }
    }
  };
  visit(HAND, -1);
  block.delete(virtual);
  return block;
}

/** What is left of the routes once one part has failed. */
function routesWithout(parts: readonly RigPart[], without: number): number[][] {
  const left = parts.filter((_part, index) => index !== without);
  return disjointRoutes(left, stepsByJoint(left));
}

/**
 * The routes of a rig from hand to dog, and the parts on which everything hangs.
 *
 * Parts are edges; a rig is sound when two routes have no part in common, which is so exactly when no single part parts hand
 * from dog. Source: Menger 1927, for edges; flow and blocks as cited at their functions. Loops and loose ends are no error: they carry nothing, and are named.
 *
 * @example rigRoutes([{ id: 'a', kind: 'leash', from: 'hand', to: 'dog' }]).singlePoints // ['a']
 */
export function rigRoutes(parts: readonly RigPart[]): RigRoutes {
  const steps = stepsByJoint(parts);
  const routes = disjointRoutes(parts, steps);
  const carry = partsThatCarry(parts, steps);
  const connected = routes.length > 0;
  const ids = (list: readonly number[]) => list.map((index) => parts[index]!.id);
  return {
    sound: routes.length >= 2,
    connected,
    // Where there is one route only, the parts that everything hangs on are on it.
    singlePoints: routes.length === 1 ? ids(routes[0]!.filter((part) => routesWithout(parts, part).length === 0)) : [],
    routes: routes.map(ids),
    loose: connected ? ids(parts.map((_part, index) => index).filter((index) => !carry.has(index))) : parts.map(({ id }) => id),
  };
}
