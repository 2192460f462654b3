import { asProngCollar, type ProngChoices, type ProngNumbers, type ProngPlanOutcome } from '@banter/contract';
import type { StockedCollar } from '@banter/contract';
import { prongGirths, shiftLinks, type LinkSplit, type ProngCollar, type ProngNeck } from '@banter/core/collars/prong';
import { below } from '@banter/core';
import { computed } from 'vue';
import type { Bench } from '../shared/bench.ts';

/** The most links on a side that a collar is made up with. */
const MOST = 60;

/** What the parts of the bench know of the prong on it. */
export function useBenchProng(bench: Bench) {
  const choices = computed(() => bench.choices as ProngChoices);
  const collar = computed<ProngCollar>(() => asProngCollar(bench.collar as StockedCollar<ProngNumbers>));
  const neckOf = ({ skinGirthMm, tapedGirthMm, headGirthMm }: Bench['dog']): ProngNeck => ({
    girthMm: skinGirthMm ?? tapedGirthMm!,
    ...(headGirthMm === null ? {} : { headGirthMm }),
  });
  const neck = computed(() => neckOf(bench.dog));
  const countOn = ({ left, right }: LinkSplit) => left + right;
  const loose = computed(() => (choices.value.start === null ? 0 : countOn(choices.value.start) - countOn(choices.value.split)));

  /** So many links more to start with, less what would pass the head; null when it starts as it is fitted. */
  function looser(split: LinkSplit, more: number): LinkSplit | null {
    for (let links = more; links > 0; links -= 1) {
      const { relaxedGirthMm } = prongGirths(collar.value, countOn(split) + links, neck.value.girthMm);
      const head = neck.value.headGirthMm;
      if (head === undefined || below(relaxedGirthMm, head)) return shiftLinks(split, links);
    }
    return null;
  }
  /** Makes it up with this split, as loose at first as it was. */
  const makeUp = (split: LinkSplit) => bench.choose({ split, start: looser(split, loose.value) });
  function shift(side: 'left' | 'right', by: 1 | -1) {
    const next = { ...choices.value.split, [side]: choices.value.split[side] + by };
    if (next[side] >= 0 && countOn(next) >= 1 && next[side] <= MOST) makeUp(next);
  }
  const shiftBy = (by: 1 | -1) => {
    if (countOn(choices.value.split) + by >= 1) makeUp(shiftLinks(choices.value.split, by));
  };
  return {
    choices,
    collar,
    neck,
    tapedNeck: computed(() => neckOf(bench.taped)),
    outcome: computed(() => bench.outcome as ProngPlanOutcome),
    loose,
    startLoose: (more: number) => bench.choose({ start: looser(choices.value.split, more) }),
    makeUp,
    shift,
    shiftBy,
    /** Links of the collar that are off it. */
    spare: computed(() => Math.max(0, collar.value.links - countOn(choices.value.split))),
  };
}
