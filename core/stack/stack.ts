import type { FitTone } from '../fit/fit-row.ts';
import type { ReasonWords } from '../reasons/reason.ts';
import type { HouseRules } from '../rules/house-rules.ts';
import { countWord, listWords } from '../units/count-words.ts';
import { above, atMost } from '../units/tolerance.ts';

/** Layers of a stack from the ears down: what trains, what has contacts, what backs up or identifies, and the rest. Common practice. */
export const STACK_LAYERS = ['training', 'electronic', 'holding', 'other'] as const;
export type StackLayer = (typeof STACK_LAYERS)[number];

/** One thing on the neck; `anchor` when a backup hangs on it. Its width down the neck in mm. */
export type StackItem = { id: string; name: string; layer: StackLayer; widthMm: number; anchor: boolean };

/** Where an item lies: its upper edge and width, mm down from the ear base. */
export type StackedItem = { id: string; topMm: number; widthMm: number };

export type StackReason =
  | { code: 'room'; neededMm: number; lengthMm: number; gapMm: number; count: number }
  | { code: 'too-much'; neededMm: number; lengthMm: number; gapMm: number; leaveOff: string[] }
  | { code: 'cannot-fit'; neededMm: number; lengthMm: number; name: string }
  | { code: 'room-by-guess'; neededMm: number; leastMm: number }
  | { code: 'lies-alone' }
  | { code: 'length-unknown'; neededMm: number; leastMm: number }
  | { code: 'electronic-above-training'; upper: string; lower: string }
  | { code: 'holding-above-training'; upper: string; lower: string }
  | { code: 'holding-above-electronic'; upper: string; lower: string }
  | { code: 'other-above'; upper: string; lower: string }
  | { code: 'right-order' }
  | { code: 'nothing-on' };

export const STACK_REASON_TONES: Record<StackReason['code'], FitTone> = {
  room: 'good',
  'too-much': 'stop',
  'cannot-fit': 'stop',
  'room-by-guess': 'good',
  'lies-alone': 'good',
  'length-unknown': 'open',
  'electronic-above-training': 'stop',
  'holding-above-training': 'stop',
  'holding-above-electronic': 'mind',
  'other-above': 'mind',
  'right-order': 'good',
  'nothing-on': 'open',
};

/** What is said of a stack whose things do not lie in the right order. */
const WRONG_ORDER: readonly StackReason['code'][] = ['electronic-above-training', 'holding-above-training', 'holding-above-electronic', 'other-above'];
export const isWrongOrder = ({ code }: Pick<StackReason, 'code'>): boolean => WRONG_ORDER.includes(code);

export const STACK_REASON_WORDS: ReasonWords<StackReason> = {
  room: (r, speak) =>
    `${r.count === 1 ? 'It takes' : `The ${countWord(r.count)} take`} ${speak.gap(r.neededMm)} of a ${speak.taped(r.lengthMm)} neck${r.count === 1 ? '' : `, with ${speak.gap(r.gapMm)} between them`}.`,
  'too-much': (r, speak) =>
    `With ${speak.gap(r.gapMm)} between them they take ${speak.gap(r.neededMm)}, and the neck has ${speak.taped(r.lengthMm)}: leave off ${listWords(r.leaveOff)}${r.leaveOff.length > 1 ? ', in this order' : ''}.`,
  'cannot-fit': (r, speak) => `${r.name} alone takes ${speak.gap(r.neededMm)}, and the neck has ${speak.taped(r.lengthMm)}: it is too wide for this dog.`,
  'room-by-guess': (r, speak) => `They take ${speak.gap(r.neededMm)}; a neck of this girth has at least about ${speak.gap(r.leastMm)}.`,
  'lies-alone': () => 'It lies alone: the length of the neck decides nothing.',
  'length-unknown': (r, speak) =>
    r.leastMm > 0
      ? `They take ${speak.gap(r.neededMm)}, and a neck of this girth may have only ${speak.gap(r.leastMm)}: tape the neck length.`
      : `They take ${speak.gap(r.neededMm)}: tape the high girth and the neck length.`,
  'electronic-above-training': (r) =>
    `${r.upper} lies above ${r.lower}: the training collar belongs directly behind the ears, and would slide down onto the receiver and knock its contacts.`,
  'holding-above-training': (r) =>
    `${r.upper} lies above ${r.lower}: it keeps the training collar low, where the neck is wider: it slides, and the dog can back out.`,
  'holding-above-electronic': (r) => `${r.upper} lies above ${r.lower}: pulled, it rides on the receiver and shifts its contacts.`,
  'other-above': (r) => `${r.upper} lies above ${r.lower}: what does no work goes lowest.`,
  'right-order': () => 'From the ears down: training, electronic, flat, the rest.',
  'nothing-on': () => 'Nothing is on the neck.',
};

const rank = (layer: StackLayer) => STACK_LAYERS.indexOf(layer);

/** Items in the right order from the ears down; of one layer they stay as they were. */
export function rightOrder<Item extends Pick<StackItem, 'layer'>>(items: readonly Item[]): Item[] {
  return STACK_LAYERS.flatMap((layer) => items.filter((item) => item.layer === layer));
}

/** Height that items take with a gap between each two, mm. */
export function stackHeight(items: readonly Pick<StackItem, 'widthMm'>[], gapMm: number): number {
  return items.reduce((sum, { widthMm }) => sum + widthMm, 0) + Math.max(0, items.length - 1) * gapMm;
}

/** How early each is left off when the neck is too short: what does no work first, a training collar never. Common practice. */
function givenUp(item: StackItem): number {
  if (item.layer === 'training') return Infinity;
  if (item.layer === 'other') return 0;
  if (item.layer === 'holding') return item.anchor ? 3 : 1;
  return 2;
}

/**
 * What to leave off, in order, so that the rest fits: of all sets that would do, the one that gives up least, and nothing of it
 * in vain. Null when a training collar, or any one thing alone, is too wide already.
 */
export function leaveOff(items: readonly StackItem[], lengthMm: number, gapMm: number): StackItem[] | null {
  const may = items.filter((item) => givenUp(item) < Infinity);
  // One thing worth keeping weighs more than all that is given up before it.
  const cost = (off: readonly StackItem[]) => off.reduce((sum, item) => sum + (items.length + 1) ** givenUp(item), 0);
  let best: StackItem[] | null = null;
  for (let mask = 0; mask < 1 << may.length; mask += 1) {
    const off = may.filter((_item, index) => mask & (1 << index));
    if (off.length === items.length) continue;
    const kept = items.filter((item) => !off.includes(item));
    if (above(stackHeight(kept, gapMm), lengthMm)) continue;
    if (best === null || cost(off) < cost(best)) best = off;
  }
  return best && best.sort((a, b) => givenUp(a) - givenUp(b) || b.widthMm - a.widthMm);
}

/** Whether the length of a neck decides what can be worn on it: only where several things might not fit below each other. */
export const lengthDecides = (items: readonly Pick<StackItem, 'widthMm'>[], leastMm: number, { stackGapMm }: Pick<HouseRules, 'stackGapMm'>): boolean =>
  items.length > 1 && above(stackHeight(items, stackGapMm), leastMm);

/**
 * A stack on a neck, from the ears down: where each lies, whether they fit, what to leave off first, and whether the order is
 * right. Needed height is the sum of widths plus `stackGapMm` between each two, held against the neck's length, mm. While that is
 * not taped (null) it is held against the least that it may be, `leastMm`: the length is asked for only where it decides. Common
 * practice.
 *
 * @example stackOnNeck([], 150, rules).tone // 'open'
 */
export function stackOnNeck(
  items: readonly StackItem[],
  lengthMm: number | null,
  rules: Pick<HouseRules, 'stackGapMm'>,
  leastMm = 0,
): { places: StackedItem[]; neededMm: number; leaveOff: string[]; reasons: StackReason[]; tone: FitTone } {
  const gapMm = rules.stackGapMm;
  let topMm = 0;
  const places = items.map(({ id, widthMm }) => {
    const place = { id, topMm, widthMm };
    topMm += widthMm + gapMm;
    return place;
  });
  const neededMm = stackHeight(items, gapMm);
  const reasons: StackReason[] = [];
  let off: StackItem[] = [];
  if (items.length === 0) reasons.push({ code: 'nothing-on' });
  else if (lengthMm === null)
    reasons.push(
      lengthDecides(items, leastMm, rules)
        ? { code: 'length-unknown', neededMm, leastMm }
        : items.length === 1
          ? { code: 'lies-alone' }
          : { code: 'room-by-guess', neededMm, leastMm },
    );
  else if (atMost(neededMm, lengthMm)) reasons.push({ code: 'room', neededMm, lengthMm, gapMm, count: items.length });
  else {
    const found = leaveOff(items, lengthMm, gapMm);
    off = found ?? [];
    const widest = [...items].sort((a, b) => b.widthMm - a.widthMm)[0]!;
    reasons.push(
      found
        ? { code: 'too-much', neededMm, lengthMm, gapMm, leaveOff: found.map(({ name }) => name) }
        : { code: 'cannot-fit', neededMm: widest.widthMm, lengthMm, name: widest.name },
    );
  }
  const wrong: StackReason[] = [];
  items.forEach((upper, index) => {
    for (const lower of items.slice(index + 1)) {
      if (rank(upper.layer) <= rank(lower.layer)) continue;
      const names = { upper: upper.name, lower: lower.name };
      if (upper.layer === 'other') wrong.push({ code: 'other-above', ...names });
      else if (lower.layer === 'training')
        wrong.push({ code: upper.layer === 'electronic' ? 'electronic-above-training' : 'holding-above-training', ...names });
      else wrong.push({ code: 'holding-above-electronic', ...names });
    }
  });
  if (items.length > 1) reasons.push(...(wrong.length > 0 ? wrong : [{ code: 'right-order' as const }]));
  const worst = (['stop', 'mind', 'open'] as const).find((tone) => reasons.some(({ code }) => STACK_REASON_TONES[code] === tone));
  return { places, neededMm, leaveOff: off.map(({ id }) => id), reasons, tone: worst ?? 'good' };
}
