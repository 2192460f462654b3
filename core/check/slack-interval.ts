/** An interval of slack in mm; infinite where nothing bounds it. */
export type SlackInterval = { lowMm: number; highMm: number };

export const ANY_SLACK: SlackInterval = { lowMm: -Infinity, highMm: Infinity };

/** What two observations leave together; null when they contradict each other by more than a touch. */
export function overlapOfSlack(a: SlackInterval, b: SlackInterval): SlackInterval | null {
  const lowMm = Math.max(a.lowMm, b.lowMm);
  const highMm = Math.min(a.highMm, b.highMm);
  return lowMm < highMm ? { lowMm, highMm } : null;
}

/** The interval after the collar has become longer (positive) or shorter by `byMm`. */
export function shiftSlack({ lowMm, highMm }: SlackInterval, byMm: number): SlackInterval {
  return { lowMm: lowMm + byMm, highMm: highMm + byMm };
}

/** Whether a slack lies inside, both ends counted. */
export function slackWithin({ lowMm, highMm }: SlackInterval, slackMm: number): boolean {
  return slackMm >= lowMm && slackMm <= highMm;
}

/** An observation with the name of the answer it comes from. */
export type Observation = { from: string; slack: SlackInterval };

/** All observations together, or the first two answers that contradict each other. */
export function meetAll(observations: readonly Observation[]): { slack: SlackInterval } | { contradict: [string, string] } {
  let together = ANY_SLACK;
  for (const [index, observation] of observations.entries()) {
    const met = overlapOfSlack(together, observation.slack);
    if (!met) {
      const against = observations.slice(0, index).find((earlier) => !overlapOfSlack(earlier.slack, observation.slack));
      return { contradict: [against?.from ?? observations[0]!.from, observation.from] };
    }
    together = met;
  }
  return { slack: together };
}
